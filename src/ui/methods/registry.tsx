import type { ComponentType } from 'react';
import type { MethodId, Picture } from '@/core/methods';
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
