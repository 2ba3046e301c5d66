'use client';
import type { PropsWithChildren } from 'react';
import { cementPortions } from '@/core/methods/cement-portions';
import { InFolder, wholeFolder } from '../holding';
import { Jars } from './Jars';

const FOLDER = wholeFolder({ method: cementPortions, Bench: Jars, benchStays: true });

export function InCementPortions({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
