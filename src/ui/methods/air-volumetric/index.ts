import { airVolumetric } from '@/core/methods/air-volumetric';
import type { MethodFolder } from '../kit';
import { AirVolumetricBench } from './Bench';

export const FOLDER: MethodFolder = {
  method: airVolumetric,
  Bench: AirVolumetricBench,
};
