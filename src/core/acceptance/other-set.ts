import type { LimitId, Limits } from '../limits';
import type { MouldKind } from '../moulds';
import { type Exact, exact, type RoundingMode, type System, type UnitId } from '../quantity';
import { Sheet, type Source, type WorkingLine } from '../working';
import { coreSet } from './core-set';
import { cubeSet } from './cube-set';
import { meanLine, rangeLine } from './set-lines';
import { groutSet, mortarSet } from './small-set';
import { splitSet } from './split-set';

/** Specimens whose set is no strength test of the ACI criteria. */
export type OtherKind =
  | Extract<MouldKind, 'cube' | 'core' | 'grout prism' | 'mortar cube'>
  | 'split cylinder';

/** What the specimens of such a set say together. */
export interface OtherSet {
  /** The mean as reported; null where there is none to report, and of cores, whose rule is another. */
  readonly text: string | null;
  /** The rule of the set in words, once there is something to say. */
  readonly note: string | undefined;
  /** Places in the list of the strengths that count. */
  readonly used: readonly number[];
  readonly lines: readonly WorkingLine[];
}

/** The rows that the mean and the range of a set come from. */
const ROWS = {
  cube: { step: 'cube.step', range: 'cube.set-range' },
  'grout prism': { step: 'small.step', range: 'grout-prism.range' },
  'mortar cube': { step: 'small.step', range: 'mortar-cube.range-3' },
  'split cylinder': { step: 'splitting.step', range: 'splitting.range' },
} as const satisfies Record<Exclude<OtherKind, 'core'>, { step: LimitId; range: LimitId }>;

/**
 * What strengths of one kind say together: the mean to print with its working, and the rule in words.
 * @param strengths unrounded, of the specimens that may be reported
 * @param specified strength asked for, psi or MPa; undefined where none is on record
 */
export function otherSet(
  kind: OtherKind,
  strengths: readonly string[],
  specified: Exact | undefined,
  about: { readonly system: System; readonly limits: Limits; readonly mode: RoundingMode },
): OtherSet {
  const { system, limits, mode } = about;
  const all = strengths.map((_, place) => place);
  if (kind === 'core') {
    const cores = specified && coreSet(strengths, specified.toFixed(), system, limits, mode);
    return { text: null, note: cores?.sentence, used: all, lines: cores?.lines ?? [] };
  }
  const unit: UnitId = system === 'US' ? 'psi' : 'MPa';
  const lines = (places: readonly number[]): readonly WorkingLine[] => {
    if (places.length === 0) return [];
    const values = places.map((place) => exact(strengths[place] ?? 0));
    const sheet = new Sheet(mode);
    const of = (id: LimitId): Source => limits.of(id, system).source;
    const { step, range } = ROWS[kind];
    meanLine(sheet, values, {
      name: 'Mean of the unrounded strengths',
      unit,
      step: limits.number(step, system),
      source: of(step),
    });
    rangeLine(sheet, values, of(range));
    return sheet.lines;
  };
  if (kind === 'cube') {
    const cubes = cubeSet(strengths, system, limits, mode);
    return {
      text: cubes?.text ?? null,
      note: cubes && `${cubes.rule}: ${cubes.sentence}`,
      used: all,
      lines: cubes ? lines(all) : [],
    };
  }
  if (kind === 'split cylinder') {
    const split = splitSet(strengths, system, limits, mode);
    return { ...split, used: all, lines: split.text === null ? [] : lines(all) };
  }
  const small =
    kind === 'grout prism'
      ? groutSet(strengths, specified, system, limits, mode)
      : strengths.length > 1
        ? mortarSet(strengths, system, limits, mode)
        : undefined;
  const used = small?.text ? small.used : all;
  return {
    text: small?.text ?? null,
    note: small?.sentence,
    used,
    lines: small ? lines(used) : [],
  };
}
