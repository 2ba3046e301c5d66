import { mortarCube } from '@/core/methods/mortar-cube';
import type { MethodFolder } from '../kit';
import { MortarCubeBench } from './Bench';

export const FOLDER: MethodFolder = {
  method: mortarCube,
  Bench: MortarCubeBench,
};
