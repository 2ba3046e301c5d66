import { initialCuring } from '@/core/methods/initial-curing';
import type { MethodFolder } from '../kit';
import { InitialCuringBench } from './Bench';

export const FOLDER: MethodFolder = {
  method: initialCuring,
  Bench: InitialCuringBench,
};
