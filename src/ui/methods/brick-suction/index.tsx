'use client';
import type { PropsWithChildren } from 'react';
import { brickSuction } from '@/core/methods/brick-suction';
import { InFolder, wholeFolder } from '../holding';
import { BrickSuctionBench } from './Bench';
import { Minute } from './Minute';

const FOLDER = wholeFolder({
  method: brickSuction,
  Bench: BrickSuctionBench,
  instruments: { minute: Minute },
});

export function InBrickSuction({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
