import { coreCompression } from '@/core/methods/core-compression';
import type { MethodFolder } from '../kit';
import { CoreBench } from './Bench';

export const FOLDER: MethodFolder = {
  method: coreCompression,
  Bench: CoreBench,
};
