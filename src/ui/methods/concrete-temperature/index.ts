import { concreteTemperature } from '@/core/methods/concrete-temperature';
import type { MethodFolder } from '../kit';
import { TemperatureBench } from './Bench';

export const FOLDER: MethodFolder = {
  method: concreteTemperature,
  Bench: TemperatureBench,
};
