import dynamic from 'next/dynamic';
import type { ComponentType } from 'react';
import type { MethodId, Picture } from '@/core/methods';
import type { RunSheetData } from '../runsheet/types';
import type { Run } from '../runsheet/use-run';
import { AirPressureBench } from './air-pressure/Bench';
import { AirVolumetricBench } from './air-volumetric/Bench';
import { TemperatureBench } from './concrete-temperature/Bench';
import { CylinderBench } from './cylinder-compression/Bench';
import { DeliveryBench } from './delivery/Bench';
import { DensityYieldBench } from './density-yield/Bench';
import { EvaporationBench } from './evaporation/Bench';
import { InitialCuringBench } from './initial-curing/Bench';
import { MouldingBench } from './moulding/Bench';
import { SamplingBench } from './sampling/Bench';
import { SlumpBench } from './slump/Bench';
import { SlumpFlowBench } from './slump-flow/Bench';

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

/** Instruments that stand below the readings of one step: a file of the press, a live feed. */
export const INSTRUMENTS: Readonly<
  Partial<Record<MethodId, { readonly step: string; readonly Instrument: ComponentType<InstrumentProps> }>>
> = {
  'cylinder-compression': {
    step: 'load',
    Instrument: dynamic(() => import('./cylinder-compression/LoadLog').then((all) => all.LoadLog)),
  },
};

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
  'cylinder-compression': CylinderBench,
};
