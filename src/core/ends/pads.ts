import type { LimitId, Limits } from '../limits';
import { isWithin } from '../limits';
import { type Exact, exact, type System } from '../quantity';

export type Durometer = '50' | '60' | '70';

const BAND: Readonly<Record<Durometer, LimitId>> = {
  '50': 'pads.strength-50',
  '60': 'pads.strength-60',
  '70': 'pads.strength-70',
};

/** Whether pads of a hardness may be used at a strength. */
export type PadFit = 'fits' | 'fits when qualified' | 'does not fit';

/**
 * Pads against the strength that is tested.
 * Source: ASTM C1231/C1231M table (from memory); the ends of a band belong to it.
 */
export function padFit(durometer: Durometer, strength: Exact, system: System, limits: Limits): PadFit {
  if (isWithin(strength, limits.of(BAND[durometer], system))) return 'fits';
  if (durometer === '70' && isWithin(strength, limits.of('pads.strength-qualified', system)))
    return 'fits when qualified';
  return 'does not fit';
}

/** The band of a hardness, without qualification. */
export function padBand(durometer: Durometer): LimitId {
  return BAND[durometer];
}

/**
 * The hardness to take for a strength; null where pads are not permitted.
 * Source: the choice between bands that overlap is ours: 60 from 2,500 to 7,000 psi, 50 below, 70 above.
 */
export function padFor(strength: Exact, system: System, limits: Limits): Durometer | null {
  for (const durometer of ['60', '50', '70'] as const)
    if (padFit(durometer, strength, system, limits) !== 'does not fit') return durometer;
  return null;
}

/**
 * The row that says how many tests a pair of pads lasts: the shorter life once they are used above the band of no
 * qualification, in this test by the strength expected or proved, or in one before.
 * @param strengths the highest they have seen, and that of the test they are in now
 */
export function padLife(
  strengths: readonly (Exact | undefined)[],
  system: System,
  limits: Limits,
): 'pads.reuse' | 'pads.reuse-qualified' {
  const above = limits.of('pads.strength-70', system).high ?? exact(0);
  return strengths.some((each) => each?.greaterThan(above)) ? 'pads.reuse-qualified' : 'pads.reuse';
}

/** Tests that a pair of pads still has. @param strengths as of `padLife` */
export function usesLeft(
  uses: number,
  strengths: readonly (Exact | undefined)[],
  system: System,
  limits: Limits,
): number {
  return limits.number(padLife(strengths, system, limits), system).toNumber() - uses;
}

/** Fractures at one end, that a worn or loose pad makes. Source: common practice, no source. */
const EDGE: readonly string[] = ['5', '6'];

/** What the tests made with a pair of pads say of it. */
export interface PadWear {
  readonly left: number;
  /** Days that it lasts at the pace of late; null when it was not used of late. */
  readonly days: number | null;
  /** Share of its tests that broke at one end, and of how many. */
  readonly edge: { readonly share: number; readonly of: number };
}

/**
 * How long a pair of pads lasts, and whether it breaks specimens at their edge.
 * @param tests made with it so far: their fracture types, and days ago
 * @param left tests that it still has
 * @param over days that the pace is taken over
 * Source: our choice.
 */
export function padWear(
  tests: readonly { readonly fracture: string | null; readonly daysAgo: number }[],
  left: number,
  over = 14,
): PadWear {
  const late = tests.filter(({ daysAgo }) => daysAgo <= over).length;
  const typed = tests.filter(({ fracture }) => fracture !== null);
  const edge = typed.filter(({ fracture }) => EDGE.includes(fracture ?? '')).length;
  return {
    left: Math.max(0, left),
    days: late === 0 ? null : Math.floor((Math.max(0, left) * over) / late),
    edge: { share: typed.length === 0 ? 0 : edge / typed.length, of: typed.length },
  };
}
