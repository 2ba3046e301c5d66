'use client';
import type { PropsWithChildren } from 'react';
import { brickCompression } from '@/core/methods/brick-compression';
import { InFolder, wholeFolder } from '../holding';
import { MasonryInPress } from '../masonry-press/InPress';

const FOLDER = wholeFolder({ method: brickCompression, Bench: MasonryInPress });

export function InBrickCompression({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
