import { splittingTensile } from '@/core/methods/splitting-tensile';
import type { MethodFolder } from '../kit';
import { SplittingBench } from './Bench';

export const FOLDER: MethodFolder = {
  method: splittingTensile,
  Bench: SplittingBench,
};
