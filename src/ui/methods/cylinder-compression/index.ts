import dynamic from 'next/dynamic';
import { cylinderCompression } from '@/core/methods/cylinder-compression';
import type { MethodFolder } from '../kit';
import { CylinderBench } from './Bench';
import { LotDiameter } from './LotDiameter';

const FracturePath = dynamic(() => import('./FracturePath').then((all) => all.FracturePath));

export const FOLDER: MethodFolder = {
  method: cylinderCompression,
  Bench: CylinderBench,
  // The diameters of the lot are not fetched when their step comes up: the first keys typed there would be lost.
  instruments: { diameters: LotDiameter, fracture: FracturePath },
};
