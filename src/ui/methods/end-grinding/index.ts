import { endGrinding } from '@/core/methods/end-grinding';
import type { MethodFolder } from '../kit';
import { EndGrindingBench } from './Bench';

export const FOLDER: MethodFolder = {
  method: endGrinding,
  Bench: EndGrindingBench,
};
