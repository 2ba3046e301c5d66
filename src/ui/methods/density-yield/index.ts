import { densityYield } from '@/core/methods/density-yield';
import type { MethodFolder } from '../kit';
import { DensityYieldBench } from './Bench';

export const FOLDER: MethodFolder = {
  method: densityYield,
  Bench: DensityYieldBench,
};
