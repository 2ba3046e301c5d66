'use client';
import dynamic from 'next/dynamic';
import type { PropsWithChildren } from 'react';
import { cylinderCompression } from '@/core/methods/cylinder-compression';
import { InFolder, wholeFolder } from '../holding';
import { CylinderBench } from './Bench';
import { BrokenCylinder } from './Broken';
import { LotDiameter } from './LotDiameter';

const FracturePath = dynamic(() => import('./FracturePath').then((all) => all.FracturePath));

const FOLDER = wholeFolder({
  method: cylinderCompression,
  Bench: CylinderBench,
  Broken: BrokenCylinder,
  // The diameters of the lot are not fetched when their step comes up: the first keys typed there would be lost.
  instruments: { diameters: LotDiameter, fracture: FracturePath },
});

export function InCylinderCompression({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
