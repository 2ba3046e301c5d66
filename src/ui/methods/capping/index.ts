import { capping } from '@/core/methods/capping';
import type { MethodFolder } from '../kit';
import { CappingBench } from './Bench';

export const FOLDER: MethodFolder = {
  method: capping,
  Bench: CappingBench,
};
