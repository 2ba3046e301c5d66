import type { Limits } from '../../limits';
import { type Exact, exact, largest, smallest } from '../../quantity';
import { readMeasure } from '../fields';
import { wholeRows } from '../rows-field';
import type { HardenedDensityInput, State, VoidsRow } from './input';

const HOUR = 3_600_000;

interface Weighed {
  readonly at: number;
  readonly mass: Exact;
}

/** How far one piece has come. */
export interface Piece {
  readonly name: string;
  /** The masses that count, g: absent while they are still to come. */
  readonly A?: Exact;
  readonly B?: Exact;
  readonly C?: Exact;
  readonly D?: Exact;
  /** By how much the last two dry, and the last two wet, masses differ, percent; absent before there are two. */
  readonly dryApart?: Exact;
  readonly wetApart?: Exact;
  /** When the next weighing counts, ms; absent where none is waited for. */
  readonly nextAt?: number;
  readonly next?: 'dry' | 'soaked';
}

function weighed(rows: readonly VoidsRow[], piece: string, state: State): Weighed[] {
  return rows
    .filter((row) => nameOf(row) === piece && row.state === state)
    .flatMap((row) => {
      const [at, mass] = [Date.parse(row.at ?? ''), readMeasure(row, 'mass')?.value];
      return mass && !Number.isNaN(at) ? [{ at, mass }] : [];
    })
    .toSorted((a, b) => a.at - b.at);
}

const nameOf = ({ piece }: VoidsRow): string => piece?.trim() || '1';

/** Weighings at least so far apart, from the first that is late enough on. */
function counted(
  all: readonly Weighed[],
  from: number,
  first: number,
  between: number,
  grace: number,
): Weighed[] {
  const kept: Weighed[] = [];
  for (const each of all) {
    const least = kept.length === 0 ? from + first : (kept.at(-1)?.at ?? 0) + between;
    if (each.at >= least - grace) kept.push(each);
  }
  return kept;
}

/** How much two masses in a row differ, in percent of the lesser or of the larger. */
function apart(all: readonly Weighed[], of: 'lesser' | 'larger'): Exact | undefined {
  const [before, last] = all.slice(-2);
  if (!before || !last) return undefined;
  const both = [before.mass, last.mass];
  const [low, high] = [smallest(both), largest(both)];
  return high
    .minus(low)
    .div(of === 'lesser' ? low : high)
    .times(100);
}

/**
 * The pieces of a specimen with the masses that count.
 * Source: ASTM C642 5 (from memory): dry to two masses within 0.5 % a day apart, wet the same way, boiled, hung.
 */
export function piecesOf(input: HardenedDensityInput, limits: Limits): Piece[] {
  const rows = wholeRows(input.weighings);
  const hours = (id: Parameters<Limits['number']>[0]): number =>
    limits.number(id, input.system).toNumber() * HOUR;
  const grace = (limits.number('voids.grace', input.system).toNumber() / 60) * HOUR;
  const ovenAt = Date.parse(input.ovenAt ?? '');
  const waterAt = Date.parse(input.waterAt ?? '');
  const holds = (value: Exact | undefined, id: 'voids.dry-alike' | 'voids.wet-alike'): boolean =>
    value?.lessThanOrEqualTo(limits.number(id, input.system)) ?? false;
  return [...new Set(rows.map(nameOf))].map((name): Piece => {
    const dry = counted(weighed(rows, name, 'dry'), ovenAt, hours('voids.oven'), hours('voids.oven'), grace);
    // The last wet one lies two days after the water, the one before it a day earlier.
    const firstWet = hours('voids.soak') - hours('voids.soak-between');
    const wet = counted(weighed(rows, name, 'soaked'), waterAt, firstWet, hours('voids.soak-between'), grace);
    const [dryApart, wetApart] = [apart(dry, 'lesser'), apart(wet, 'larger')];
    const isDry = holds(dryApart, 'voids.dry-alike');
    const isWet = holds(wetApart, 'voids.wet-alike');
    const last = (state: State): Exact | undefined => weighed(rows, name, state).at(-1)?.mass;
    const [C, D] = [last('boiled'), last('hung')];
    const next = !isDry ? 'dry' : !isWet && !Number.isNaN(waterAt) ? 'soaked' : undefined;
    const nextAt =
      next === 'dry'
        ? (dry.at(-1)?.at ?? ovenAt) + hours('voids.oven')
        : next === 'soaked'
          ? (wet.at(-1)?.at ?? waterAt + firstWet - hours('voids.soak-between')) + hours('voids.soak-between')
          : Number.NaN;
    return {
      name,
      ...(isDry ? { A: dry.at(-1)?.mass ?? exact(0) } : {}),
      ...(isWet ? { B: wet.at(-1)?.mass ?? exact(0) } : {}),
      ...(C ? { C } : {}),
      ...(D ? { D } : {}),
      ...(dryApart ? { dryApart } : {}),
      ...(wetApart ? { wetApart } : {}),
      ...(next && !Number.isNaN(nextAt) ? { next, nextAt } : {}),
    };
  });
}
