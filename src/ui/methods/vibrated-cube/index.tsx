'use client';
import type { PropsWithChildren } from 'react';
import { vibratedCube } from '@/core/methods/vibrated-cube';
import { InFolder, wholeFolder } from '../holding';
import { MortarCubeBench } from '../mortar-cube/Bench';

const FOLDER = wholeFolder({ method: vibratedCube, Bench: MortarCubeBench });

export function InVibratedCube({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
