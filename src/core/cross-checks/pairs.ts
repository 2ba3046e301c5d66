import type { LimitId, Limits } from '../limits';
import { slumpRepeatability } from '../methods/slump';
import { type Exact, exact, plainOf, type System, type UnitId, unitLabel } from '../quantity';

/** A sample of a load with what its tests came to, as reported. */
export interface PairedSample {
  readonly label: string;
  readonly load: string;
  readonly kind: 'acceptance' | 'preliminary' | 'assurance';
  /** Where it was taken: at the truck, or where the pump or conveyor places. */
  readonly point: 'truck' | 'end' | null;
  readonly results: Readonly<Partial<Record<Compared, { readonly value: string; readonly unit: UnitId }>>>;
}

export type Compared = 'slump' | 'air content' | 'concrete temperature' | 'density';

/** Two results on one load beside each other. */
export interface PairRow {
  readonly load: string;
  readonly quantity: Compared;
  /** `people`: two persons on one sample; `line`: before and after the pump line. */
  readonly why: 'people' | 'line';
  readonly first: string;
  readonly second: string;
  /** Second less first, in words with its sign. */
  readonly difference: string;
  /** The largest difference two people’s results may have; null along a line, which changes the concrete. */
  readonly allowed: string | null;
  readonly inside: boolean | null;
}

const FIXED: Readonly<Record<Exclude<Compared, 'slump'>, LimitId>> = {
  'air content': 'air.people',
  'concrete temperature': 'temperature.people',
  density: 'density.operators',
};

/**
 * The pairs that samples of one load make: an assurance sample beside the acceptance sample, and the placing end beside
 * the truck. Results of different points are compared to see the loss, never to judge a person.
 * Source: precision of each method (from memory); for temperature our choice.
 */
export function pairsOf(samples: readonly PairedSample[], system: System, limits: Limits): PairRow[] {
  const rows: PairRow[] = [];
  for (const [index, first] of samples.entries()) {
    for (const second of samples.slice(index + 1)) {
      if (first.load === '' || first.load !== second.load) continue;
      const [a, b] = inOrder(first, second);
      const line = a.point === 'truck' && b.point === 'end';
      const people = !line && a.point === b.point && [a, b].some(({ kind }) => kind === 'assurance');
      if (!line && !people) continue;
      for (const quantity of ['slump', 'air content', 'concrete temperature', 'density'] as const) {
        const row = compared(a, b, quantity, line ? 'line' : 'people', system, limits);
        if (row) rows.push(row);
      }
    }
  }
  return rows;
}

/** The truck before the placing end; the acceptance sample before the assurance sample. */
function inOrder(first: PairedSample, second: PairedSample): [PairedSample, PairedSample] {
  const later = (each: PairedSample): number =>
    (each.point === 'end' ? 2 : 0) + (each.kind === 'assurance' ? 1 : 0);
  return later(first) > later(second) ? [second, first] : [first, second];
}

function compared(
  a: PairedSample,
  b: PairedSample,
  quantity: Compared,
  why: PairRow['why'],
  system: System,
  limits: Limits,
): PairRow | null {
  const [one, other] = [a.results[quantity], b.results[quantity]];
  if (!one || !other || one.unit !== other.unit) return null;
  const [x, y] = [exact(one.value), exact(other.value)];
  const allowed = why === 'line' ? null : largest(quantity, x, y, system, limits);
  const difference = y.minus(x);
  // To the place both are reported to.
  const places = Math.max(...[one, other].map(({ value }) => value.split('.')[1]?.length ?? 0));
  return {
    load: a.load,
    quantity,
    why,
    first: `${a.label} ${one.value} ${unitLabel(one.unit)}`,
    second: `${b.label} ${other.value} ${unitLabel(other.unit)}`,
    difference: `${difference.isNegative() ? '−' : '+'}${difference.abs().toFixed(places)} ${unitLabel(one.unit)}`,
    allowed: allowed && plainOf(allowed.toDecimalPlaces(2), one.unit),
    inside: allowed && difference.abs().lessThanOrEqualTo(allowed),
  };
}

function largest(quantity: Compared, x: Exact, y: Exact, system: System, limits: Limits): Exact {
  return quantity === 'slump'
    ? slumpRepeatability(x.plus(y).div(2), system, limits, 'two')
    : limits.number(FIXED[quantity], system);
}
