import { evaporation } from '@/core/methods/evaporation';
import type { MethodFolder } from '../kit';
import { EvaporationBench } from './Bench';

export const FOLDER: MethodFolder = {
  method: evaporation,
  Bench: EvaporationBench,
};
