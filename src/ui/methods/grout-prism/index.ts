import { groutPrism } from '@/core/methods/grout-prism';
import type { MethodFolder } from '../kit';
import { GroutPrismBench } from './Bench';

export const FOLDER: MethodFolder = {
  method: groutPrism,
  Bench: GroutPrismBench,
};
