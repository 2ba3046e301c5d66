import { sampling } from '@/core/methods/sampling';
import type { MethodFolder } from '../kit';
import { SamplingBench } from './Bench';

export const FOLDER: MethodFolder = {
  method: sampling,
  Bench: SamplingBench,
};
