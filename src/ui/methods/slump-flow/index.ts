import { slumpFlow } from '@/core/methods/slump-flow';
import type { MethodFolder } from '../kit';
import { SlumpFlowBench } from './Bench';

export const FOLDER: MethodFolder = {
  method: slumpFlow,
  Bench: SlumpFlowBench,
};
