'use client';
import dynamic from 'next/dynamic';
import type { ComponentType } from 'react';
import type { Picture } from '@/core/methods';
import { Card } from '../parts/Card';
import type { PieceView } from './kit';

/** What is drawn of a lot and of a sample, by material; a material that draws nothing of its own has no entry. */
const LOTS: Readonly<Record<string, ComponentType<{ picture: Picture }>>> = {
  brick: dynamic(() => import('./brick/Grades').then((all) => all.Grades)),
};
const SAMPLES: Readonly<Record<string, ComponentType<{ pieces: readonly PieceView[] }>>> = {
  brick: dynamic(() => import('./brick/Pairs').then((all) => all.Pairs)),
};

/** What the samples of a lot say together, as its material draws it. */
export function LotPicture({ material, picture }: { material: string; picture: Picture }) {
  const View = LOTS[material];
  return View ? <View picture={picture} /> : null;
}

/** The specimens of a sample, as its material draws them. */
export function SamplePicture({ material, pieces }: { material: string; pieces: readonly PieceView[] }) {
  const View = SAMPLES[material];
  return View && pieces.length > 0 ? (
    <Card title="What belongs together">
      <View pieces={pieces} />
    </Card>
  ) : null;
}
