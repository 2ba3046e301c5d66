import type { Limits } from '../../limits';
import { gradeRow } from '../../materials/brick/alternates';
import { BRICK } from '../../materials/brick/forms';
import { gradeNamed } from '../../materials/brick/products';
import { type Exact, meanOf, type System } from '../../quantity';
import { factMeasure, factText } from '../facts';
import { readMeasure } from '../fields';
import { declaredStrength } from '../masonry-press/school';
import { LENGTH_UNIT } from '../press/units';
import type { RunSetup } from '../setup';
import type { BrickCompressionInput } from './input';

/** The area that a half bears on: the mean of both faces, of one where only that was measured. */
export interface Bearing {
  readonly area: Exact;
  readonly faces: readonly { readonly L: Exact; readonly W: Exact }[];
  /** False where it is guessed from the size that is specified. */
  readonly measured: boolean;
}

/** Area of a half brick; in² or mm². Source: ASTM C67/C67M 7 (from memory): the mean of the gross areas of both faces. */
export function bearingOf(input: BrickCompressionInput, setup: RunSetup): Bearing | undefined {
  const faces = ['Top', 'Bottom'].flatMap((face) => {
    const [L, W] = [readMeasure(input, `length${face}`)?.value, readMeasure(input, `width${face}`)?.value];
    return L && W ? [{ L, W }] : [];
  });
  if (faces.length > 0) return { area: meanOf(faces.map(({ L, W }) => L.times(W))), faces, measured: true };
  const specified = specifiedHalf(setup, input.system);
  return specified && { area: specified.L.times(specified.W), faces: [], measured: false };
}

/** A half as it is specified: as wide, and half as long; or the whole brick. */
export function specifiedHalf(setup: RunSetup, system: System): { L: Exact; W: Exact } | undefined {
  const of = (name: string): Exact | undefined => factMeasure(setup, name, 'length', LENGTH_UNIT[system]);
  const [length, width] = [of('ownLength') ?? of('length'), of('width')];
  const half = setup.specimen?.form !== BRICK;
  return length && width ? { L: half ? length.div(2) : length, W: width } : undefined;
}

/** Strength that the grade asks for: of the mean, or of each; psi or MPa. */
export function gradeStrength(
  setup: RunSetup,
  which: 'mean' | 'each',
  system: System,
  limits: Limits,
): Exact | undefined {
  const declared = declaredStrength(setup, which, system, limits);
  if (declared) return declared;
  const id = gradeRow(gradeNamed(factText(setup, 'grade')), which);
  return id && limits.number(id, system);
}
