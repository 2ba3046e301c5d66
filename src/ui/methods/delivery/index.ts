import { delivery } from '@/core/methods/delivery';
import type { MethodFolder } from '../kit';
import { DeliveryBench } from './Bench';

export const FOLDER: MethodFolder = {
  method: delivery,
  Bench: DeliveryBench,
};
