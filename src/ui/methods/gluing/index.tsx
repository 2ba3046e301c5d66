'use client';
import type { PropsWithChildren } from 'react';
import { gluing } from '@/core/methods/gluing';
import { InFolder, wholeFolder } from '../holding';
import { GluingBench } from './Bench';

const FOLDER = wholeFolder({ method: gluing, Bench: GluingBench });

export function InGluing({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
