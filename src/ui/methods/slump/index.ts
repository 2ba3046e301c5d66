import { slump } from '@/core/methods/slump';
import type { MethodFolder } from '../kit';
import { SlumpBench } from './Bench';

export const FOLDER: MethodFolder = {
  method: slump,
  Bench: SlumpBench,
};
