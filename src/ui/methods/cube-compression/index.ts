import { cubeCompression } from '@/core/methods/cube-compression';
import type { MethodFolder } from '../kit';
import { CubeBench } from './Bench';

export const FOLDER: MethodFolder = {
  method: cubeCompression,
  Bench: CubeBench,
};
