'use client';
import type { PropsWithChildren } from 'react';
import { rockCompression } from '@/core/methods/rock-compression';
import { InFolder, wholeFolder } from '../holding';
import { RockCoreBench } from './Bench';

const FOLDER = wholeFolder({ method: rockCompression, Bench: RockCoreBench });

export function InRockCompression({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
