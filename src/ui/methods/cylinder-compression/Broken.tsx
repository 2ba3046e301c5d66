'use client';
import { seedOf, simulatedFracture } from '@/core/press';
import type { BrokenProps } from '../kit';
import { Fracture } from './Fracture';

/** The cylinder as it stands in the simulated press after its break: the same label, the same fracture. */
export function BrokenCylinder({ label, prepared }: BrokenProps) {
  const type = simulatedFracture(seedOf(label), { dry: false, angle: 0, wornPads: false, ...prepared });
  return (
    <svg width="58" height="104" role="img" aria-label="The broken specimen as it stands in the press">
      <Fracture type={type} width={58} height={104} />
    </svg>
  );
}
