import { BEAMS, nominalOf } from '../../moulds';
import { type Exact, meanOf } from '../../quantity';
import { readMeasure } from '../fields';
import type { RunSetup } from '../setup';
import type { BeamInput } from './input';

export const WIDTHS = ['width1', 'width2', 'width3'] as const;
export const DEPTHS = ['depth1', 'depth2', 'depth3'] as const;
export const BREAKS = ['a1', 'a2', 'a3'] as const;

/** The readings of some names, when all of them are there; in or mm. */
export function readAll(input: object, names: readonly string[]): readonly Exact[] | undefined {
  const read = names.flatMap((name) => readMeasure(input, name)?.value ?? []);
  return read.length === names.length ? read : undefined;
}

/** How large the beam is: as measured, else as its mould; in or mm. */
export interface BeamSize {
  readonly width: Exact;
  readonly depth: Exact;
  readonly measured: boolean;
}

/** Width and depth as it lies in the machine: means of three, unrounded; before that of its mould. */
export function sizeOf(input: BeamInput, setup: RunSetup): BeamSize | undefined {
  const [widths, depths] = [readAll(input, WIDTHS), readAll(input, DEPTHS)];
  if (widths && depths) return { width: meanOf(widths), depth: meanOf(depths), measured: true };
  const mould = nominalOf(setup.specimen?.form, BEAMS, input.system);
  return mould && { width: mould.across, depth: mould.across, measured: false };
}

/** How long the beam is, as it lies: span and what hangs over; undefined while one of them is missing. */
export function lengthOf(input: BeamInput): Exact | undefined {
  const parts = readAll(input, ['span', 'overhangLeft', 'overhangRight']);
  return parts?.reduce((sum, each) => sum.plus(each));
}
