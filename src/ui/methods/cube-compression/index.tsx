'use client';
import type { PropsWithChildren } from 'react';
import { cubeCompression } from '@/core/methods/cube-compression';
import { InFolder, wholeFolder } from '../holding';
import { CubeBench } from './Bench';

const FOLDER = wholeFolder({
  method: cubeCompression,
  Bench: CubeBench,
});

export function InCubeCompression({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
