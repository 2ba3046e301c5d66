'use client';
import type { PropsWithChildren } from 'react';
import { delivery } from '@/core/methods/delivery';
import { InFolder, wholeFolder } from '../holding';
import { DeliveryBench } from './Bench';

const FOLDER = wholeFolder({
  method: delivery,
  Bench: DeliveryBench,
});

export function InDelivery({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
