import type { Limits } from '../limits';
import { type Exact, exact, largest, meanOf, type System, smallest, type UnitId } from '../quantity';
import type { Finding } from '../working';
import type { FactSources } from './facts';
import { limitFinding } from './limit-finding';
import { setupMeasure } from './measure-text';
import type { RunSetup } from './setup';

/** A specimen on the balance twice: as it came, and now. */
export interface WeighedTwice {
  readonly label: string;
  readonly before: Exact;
  readonly now: Exact;
}

/** After an exchange the rest has to lie at least so much closer, or it was not the exchange. */
const CLOSER = 3;

/** How far the shares lie apart, in percent of their mean. */
function apart(all: readonly WeighedTwice[]): Exact {
  const shares = all.map(({ before, now }) => now.div(before));
  return largest(shares).minus(smallest(shares)).div(meanOf(shares)).times(100);
}

/**
 * Two specimens whose marks were probably exchanged: what is alike gains or loses alike, and it does once their masses of
 * now are changed round.
 * @param alike how far the shares of specimens of one lot lie apart, in percent
 * @returns their labels; undefined where all is well, or no one exchange would make it so
 * Source: arithmetic; how far is our choice.
 */
export function exchanged(all: readonly WeighedTwice[], alike: Exact): readonly [string, string] | undefined {
  if (all.length < 2) return undefined;
  const was = apart(all);
  if (was.lessThanOrEqualTo(alike)) return undefined;
  let best: { readonly pair: readonly [string, string]; readonly off: Exact } | undefined;
  for (const [place, one] of all.entries())
    for (const two of all.slice(place + 1)) {
      const off = apart(
        all.map((each) =>
          each === one ? { ...one, now: two.now } : each === two ? { ...two, now: one.now } : each,
        ),
      );
      if (!best || off.lessThan(best.off)) best = { pair: [one.label, two.label], off };
    }
  return best?.off.lessThanOrEqualTo(alike) && best.off.times(CLOSER).lessThanOrEqualTo(was)
    ? best.pair
    : undefined;
}

/** What was weighed of a batch's specimens before it, in a unit, where a batch before said so. */
export function receivedMasses(setup: RunSetup, unit: UnitId): ReadonlyMap<string, Exact> {
  return new Map(
    (setup.batch?.specimens ?? []).flatMap(({ label, facts }): [string, Exact][] => {
      const told = facts?.receivedMass;
      const mass = typeof told === 'string' ? setupMeasure(told, 'mass', unit) : undefined;
      return mass ? [[label, exact(mass)]] : [];
    }),
  );
}

/** What a batch has to know of its specimens for that. */
export const RECEIVED: FactSources = {
  receivedMass: { of: 'batch', take: 'receivedMass', by: ['unit-receiving'], is: { dimension: 'mass' } },
};

/** Says of masses that are read now whether two marks were exchanged, by what the specimens weighed as they came. */
export function exchangedFindings(
  read: readonly { readonly label: string; readonly mass: Exact }[],
  { field, what, unit }: { readonly field: string; readonly what: string; readonly unit: UnitId },
  setup: RunSetup,
  limits: Limits,
  system: System,
): Finding[] {
  const received = receivedMasses(setup, unit);
  const twice = read.flatMap(({ label, mass }) => {
    const before = received.get(label);
    return before ? [{ label, before, now: mass }] : [];
  });
  const pair = exchanged(twice, limits.number('batch.exchanged', system));
  if (!pair) return [];
  return [
    limitFinding(
      limits,
      system,
      { id: 'batch.exchanged', severity: 'departure', needsReason: true, fields: [field] },
      {
        message: `${pair.join(' and ')}: their ${what} masses fit their received ones only when they change places.`,
        action: 'Read the marks on both again, and put each mass where it belongs.',
        remark: `${pair.join(' and ')} may have been exchanged: ${what} masses beside the received ones.`,
      },
    ),
  ];
}
