import { staticModulus } from '@/core/methods/static-modulus';
import type { MethodFolder } from '../kit';
import { ModulusBench } from './Bench';

export const FOLDER: MethodFolder = {
  method: staticModulus,
  Bench: ModulusBench,
  benchStays: true,
};
