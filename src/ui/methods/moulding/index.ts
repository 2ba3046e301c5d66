import { moulding } from '@/core/methods/moulding';
import type { MethodFolder } from '../kit';
import { MouldingBench } from './Bench';

export const FOLDER: MethodFolder = {
  method: moulding,
  Bench: MouldingBench,
};
