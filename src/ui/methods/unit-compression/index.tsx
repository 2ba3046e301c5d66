'use client';
import type { PropsWithChildren } from 'react';
import { unitCompression } from '@/core/methods/unit-compression';
import { InFolder, wholeFolder } from '../holding';
import { MasonryInPress } from '../masonry-press/InPress';

const FOLDER = wholeFolder({ method: unitCompression, Bench: MasonryInPress });

export function InUnitCompression({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
