'use client';
import type { PropsWithChildren } from 'react';
import { cementHeat } from '@/core/methods/cement-heat';
import { InFolder, wholeFolder } from '../holding';
import { HeatBench } from './HeatBench';
import { HeatOverlay } from './HeatOverlay';
import { LiveCells } from './LiveCells';
import { References } from './References';

const FOLDER = wholeFolder({
  method: cementHeat,
  Bench: HeatBench,
  leads: { cells: References },
  instruments: { record: LiveCells },
  Overlay: HeatOverlay,
});

export function InCementHeat({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
