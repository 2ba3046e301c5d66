import { airPressure } from '@/core/methods/air-pressure';
import type { MethodFolder } from '../kit';
import { AirPressureBench } from './Bench';

export const FOLDER: MethodFolder = {
  method: airPressure,
  Bench: AirPressureBench,
};
