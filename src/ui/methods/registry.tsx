import type { ComponentType } from 'react';
import type { MethodId, Picture } from '@/core/methods';
import { TemperatureBench } from './concrete-temperature/Bench';
import { CylinderBench } from './cylinder-compression/Bench';
import { SlumpBench } from './slump/Bench';

/** What a method's bench is given: its picture as data. */
export interface BenchProps {
  readonly picture: Picture;
}

/** The bench of each method, by the method's id. */
export const BENCHES: Readonly<Record<MethodId, ComponentType<BenchProps>>> = {
  slump: SlumpBench,
  'concrete-temperature': TemperatureBench,
  'cylinder-compression': CylinderBench,
};
