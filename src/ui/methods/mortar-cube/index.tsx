'use client';
import type { PropsWithChildren } from 'react';
import { mortarCube } from '@/core/methods/mortar-cube';
import { InFolder, wholeFolder } from '../holding';
import { MortarCubeBench } from './Bench';

const FOLDER = wholeFolder({
  method: mortarCube,
  Bench: MortarCubeBench,
});

export function InMortarCube({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
