'use client';
import type { PropsWithChildren } from 'react';
import { staticModulus } from '@/core/methods/static-modulus';
import { InFolder, wholeFolder } from '../holding';
import { ModulusBench } from './Bench';

const FOLDER = wholeFolder({
  method: staticModulus,
  Bench: ModulusBench,
  benchStays: true,
});

export function InStaticModulus({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
