import dynamic from 'next/dynamic';
import type { ComponentType } from 'react';
import type { Method, MethodId, Picture } from '@/core/methods';
import { LiveLead } from '../press/LiveLead';
import type { RunSheetData } from '../runsheet/types';
import type { Run } from '../runsheet/use-run';
import { AirPressureBench } from './air-pressure/Bench';
import { AirVolumetricBench } from './air-volumetric/Bench';
import { CappingBench } from './capping/Bench';
import { TemperatureBench } from './concrete-temperature/Bench';
import { CoreBench } from './core-compression/Bench';
import { CubeBench } from './cube-compression/Bench';
import { CylinderBench } from './cylinder-compression/Bench';
import { LotDiameter } from './cylinder-compression/LotDiameter';
import { DeliveryBench } from './delivery/Bench';
import { DensityYieldBench } from './density-yield/Bench';
import { EndGrindingBench } from './end-grinding/Bench';
import { EvaporationBench } from './evaporation/Bench';
import { GroutPrismBench } from './grout-prism/Bench';
import { InitialCuringBench } from './initial-curing/Bench';
import { MortarCubeBench } from './mortar-cube/Bench';
import { MouldingBench } from './moulding/Bench';
import { SamplingBench } from './sampling/Bench';
import { SlumpBench } from './slump/Bench';
import { SlumpFlowBench } from './slump-flow/Bench';
import { SplittingBench } from './splitting-tensile/Bench';
import { ModulusBench } from './static-modulus/Bench';

/** What a method's bench is given: its picture as data. */
export interface BenchProps {
  readonly picture: Picture;
  /** Takes a reading off the picture; absent where nothing can be written. */
  readonly take?: ((field: string, text: string) => void) | undefined;
}

/** What an instrument of a step is given: the run that it reads for. */
export interface InstrumentProps {
  readonly run: Run;
  readonly data: RunSheetData;
  readonly readOnly: boolean;
}

const LoadLog = dynamic(() => import('../press/LoadLog').then((all) => all.LoadLog));
const PressRates = dynamic(() => import('../press/PressRates').then((all) => all.PressRates));
const DialReader = dynamic(() => import('../press/DialReader').then((all) => all.DialReader));
const SpacerView = dynamic(() => import('../press/SpacerView').then((all) => all.SpacerView));

/** Benches that are looked at while an instrument of the step is in use: the plot of what is being read. */
export const BENCH_STAYS: ReadonlySet<MethodId> = new Set(['static-modulus']);

/** Instruments that belong to one method alone, by the step they stand at. */
const OWN: Readonly<Partial<Record<MethodId, Readonly<Record<string, ComponentType<InstrumentProps>>>>>> = {
  'cylinder-compression': {
    // Not fetched when its step comes up: the first keys typed there would be lost meanwhile.
    diameters: LotDiameter,
    fracture: dynamic(() => import('./cylinder-compression/FracturePath').then((all) => all.FracturePath)),
  },
};

/** What stands above the readings of a step: wanted before the first of them is taken. */
export function leadOf(method: Method, step: string): ComponentType<InstrumentProps> | null {
  return method.press?.steps.load === step ? LiveLead : null;
}

/** Instruments that stand below the readings of a step, by the step's name. */
export function instrumentsOf(method: Method, step: string): readonly ComponentType<InstrumentProps>[] {
  const { press } = method;
  const own = OWN[method.id as MethodId]?.[step];
  return [
    ...(press?.steps.setup === step ? [SpacerView] : []),
    ...(press?.steps.load === step ? [DialReader, PressRates, LoadLog] : []),
    ...(own ? [own] : []),
  ];
}

/** The bench of each method, by the method's id. */
export const BENCHES: Readonly<Record<MethodId, ComponentType<BenchProps>>> = {
  delivery: DeliveryBench,
  sampling: SamplingBench,
  slump: SlumpBench,
  'slump-flow': SlumpFlowBench,
  'air-volumetric': AirVolumetricBench,
  'air-pressure': AirPressureBench,
  'density-yield': DensityYieldBench,
  moulding: MouldingBench,
  'initial-curing': InitialCuringBench,
  evaporation: EvaporationBench,
  'concrete-temperature': TemperatureBench,
  capping: CappingBench,
  'end-grinding': EndGrindingBench,
  'cylinder-compression': CylinderBench,
  'cube-compression': CubeBench,
  'core-compression': CoreBench,
  'grout-prism': GroutPrismBench,
  'mortar-cube': MortarCubeBench,
  'splitting-tensile': SplittingBench,
  'static-modulus': ModulusBench,
};
