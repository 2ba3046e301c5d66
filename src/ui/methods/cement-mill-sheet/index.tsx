'use client';
import type { PropsWithChildren } from 'react';
import { cementMillSheet } from '@/core/methods/cement-mill-sheet';
import { InFolder, wholeFolder } from '../holding';
import { SheetBeside } from './SheetBeside';

const FOLDER = wholeFolder({ method: cementMillSheet, Bench: SheetBeside, benchStays: true });

export function InCementMillSheet({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
