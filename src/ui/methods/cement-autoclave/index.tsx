'use client';
import type { PropsWithChildren } from 'react';
import { cementAutoclave } from '@/core/methods/cement-autoclave';
import { DeterminedBeside } from '../../cement/DeterminedBeside';
import { InFolder, wholeFolder } from '../holding';

const FOLDER = wholeFolder({ method: cementAutoclave, Bench: DeterminedBeside, benchStays: true });

export function InCementAutoclave({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
