import { type Exact, meanOf } from '../../quantity';
import { readMeasure } from '../fields';
import type { RockCompressionInput } from './input';

export const DIAMETERS = ['top1', 'top2', 'middle1', 'middle2', 'bottom1', 'bottom2'] as const;
export const LENGTHS = ['length1', 'length2', 'length3'] as const;

/** Readings that are there, in order, in in or mm. */
export function readAll(
  input: RockCompressionInput,
  names: readonly (keyof RockCompressionInput & string)[],
): Exact[] {
  return names.flatMap((name) => readMeasure(input, name)?.value ?? []);
}

/** The mean of what was read; undefined before the first. */
export function meanRead(
  input: RockCompressionInput,
  names: readonly (keyof RockCompressionInput & string)[],
): Exact | undefined {
  const read = readAll(input, names);
  return read.length > 0 ? meanOf(read) : undefined;
}
