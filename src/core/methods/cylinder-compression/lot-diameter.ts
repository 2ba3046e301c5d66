import type { Limits } from '../../limits';
import { type Exact, measureIn, parseMeasure, type RoundingMode, roundTo, type System } from '../../quantity';
import { type MemberRead, MembersTold } from '../batch-facts';
import { factOf } from '../facts';
import { LENGTH_UNIT, lotDiameter } from '../press';
import { limitsOf, type RunSetup } from '../setup';

/** The kind of a batch whose cylinders come out of one lot of moulds, and what is read of each. */
export const DIAMETER_LOT = 'diameter';
export const DIAMETERS_READ = ['diameter1', 'diameter2', 'diameterBy'] as const;

/** A day’s cylinders out of one lot of moulds, some of which are measured for all. */
export interface LotState {
  readonly lot: string;
  /** The drawn ones are not measured yet; their mean holds; their range is too large. */
  readonly state: 'wait' | 'take' | 'measure all';
  readonly mean?: string;
  readonly range?: string;
  readonly measured: number;
  readonly drawn: number;
  readonly count: number;
}

interface About {
  readonly system: System;
  readonly mode: RoundingMode;
  readonly limits: Limits;
}

/** The mean of two diameters of a cylinder’s own, in or mm; undefined where they are not read, or are the lot’s. */
export function ownDiameter(
  { read }: Pick<MemberRead, 'read'>,
  { system, mode, limits }: About,
): Exact | undefined {
  if (read.diameterBy === 'lot') return undefined;
  const unit = LENGTH_UNIT[system];
  const [one, two] = [read.diameter1, read.diameter2].map((text) => {
    const measure = parseMeasure(text ?? '', 'length', unit);
    return measure.ok ? measureIn(measure.measure, unit).value : undefined;
  });
  return one && two
    ? roundTo(one.plus(two).div(2), limits.number('cylinder.diameter-step', system), mode)
    : undefined;
}

/** How a lot stands by what was read of its drawn cylinders. */
export function lotState({ title, members }: MembersTold, about: About): LotState {
  const drawn = members.filter((member) => member.drawn);
  const means = drawn.flatMap((member) => ownDiameter(member, about) ?? []);
  const found = lotDiameter(means, about.system, about.limits, about.mode);
  const said = (value: Exact): string => `${value.toFixed(2)} ${LENGTH_UNIT[about.system]}`;
  return {
    lot: title,
    // A range that is too large is known as soon as two show it.
    state: found && !found.good ? 'measure all' : means.length < drawn.length ? 'wait' : 'take',
    measured: means.length,
    drawn: drawn.length,
    count: members.length,
    ...(found ? { mean: said(found.taken), range: said(found.range) } : {}),
  };
}

/** What the lot of a run’s cylinder says of its diameter: `measure` where it is one of those drawn. */
export function lotDiameterOf(
  setup: RunSetup,
  system: System,
): (Omit<LotState, 'state'> & { readonly state: LotState['state'] | 'measure' }) | undefined {
  const told = factOf(setup, 'lot', MembersTold);
  if (!told) return undefined;
  const own = told.members.find(({ label }) => label === setup.specimen?.label);
  const state = lotState(told, { system, mode: setup.rounding ?? 'half-even', limits: limitsOf(setup) });
  return own?.drawn ? { ...state, state: 'measure' } : state;
}
