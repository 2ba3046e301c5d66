import type { LimitId, Limits } from '../../limits';
import { type Exact, exact, smallest } from '../../quantity';

/** A weighing of something that dries; the moment in ms since the epoch, the mass in any one unit. */
export interface Weighing {
  readonly at: number;
  readonly mass: Exact;
}

/** When weighings count. */
export interface DryingRule {
  /** When drying began, ms since the epoch. */
  readonly startedAt: number;
  /** Hours before the first weighing counts. */
  readonly first: number;
  /** Hours from one to the next, less the grace; loss and gain in percent of the mass before. */
  readonly every: number;
  readonly grace: number;
  readonly loss: Exact;
  readonly gain: Exact;
}

/** Two weighings that count, one after the other. */
export interface Step {
  readonly from: Weighing;
  readonly to: Weighing;
  /** Loss in percent of the mass before; negative for a gain. */
  readonly percent: Exact;
}

export interface DryingState {
  /** In the order of time; those that were too early count for nothing. */
  readonly counted: readonly Weighing[];
  readonly early: readonly Weighing[];
  readonly steps: readonly Step[];
  /** When it was dry: the weighing that showed no more loss than is allowed; null while none did. */
  readonly dryAt: number | null;
  /** The lowest mass of all weighings; undefined before the first. */
  readonly least: Exact | undefined;
  /** When the next weighing counts, ms since the epoch; null when it is dry. */
  readonly nextAt: number | null;
  /** The last counted weighing gained more than a balance may differ by. */
  readonly gained: boolean;
}

const HOUR = 3_600_000;
const MINUTE = 60_000;

/** The rows that say when weighings count: how long before the first, from one to the next, and how much may be lost. */
export type DryingRows = Readonly<Record<'first' | 'every' | 'loss', LimitId>>;

/** The rule in force. @param rows what it is held against @param startedAt ms since the epoch */
export function dryingRule(limits: Limits, startedAt: number, rows: DryingRows): DryingRule {
  const of = (id: LimitId): number => limits.number(id, 'US').toNumber();
  return {
    startedAt,
    first: of(rows.first),
    every: of(rows.every),
    grace: of('drying.grace'),
    loss: limits.number(rows.loss, 'US'),
    gain: limits.number('drying.gain', 'US'),
  };
}

/**
 * How far something is dried.
 * @param weighings in any order
 * @returns which of them count, and whether the last two show that it is dry; a weighing that comes too early counts for
 *   nothing and moves nothing
 * Source: ASTM C140/C140M 8 (from memory): two weighings two hours apart that differ by no more than 0.2 % of the first.
 */
export function dryingState(weighings: readonly Weighing[], rule: DryingRule): DryingState {
  const sorted = weighings.toSorted((a, b) => a.at - b.at);
  const counted: Weighing[] = [];
  const early: Weighing[] = [];
  const steps: Step[] = [];
  let dryAt: number | null = null;
  for (const weighing of sorted) {
    const last = counted.at(-1);
    const from = last
      ? last.at + rule.every * HOUR - rule.grace * MINUTE
      : rule.startedAt + rule.first * HOUR;
    if (weighing.at < from) {
      early.push(weighing);
      continue;
    }
    counted.push(weighing);
    if (!last) continue;
    const percent = last.mass.minus(weighing.mass).div(last.mass).times(100);
    steps.push({ from: last, to: weighing, percent });
    const gained = percent.negated().greaterThan(rule.gain);
    if (dryAt === null && !gained && percent.lessThanOrEqualTo(rule.loss)) dryAt = weighing.at;
  }
  const lastStep = steps.at(-1);
  return {
    counted,
    early,
    steps,
    dryAt,
    least: sorted.length > 0 ? smallest(sorted.map(({ mass }) => mass)) : undefined,
    nextAt:
      dryAt !== null
        ? null
        : counted.length > 0
          ? (counted.at(-1)?.at ?? 0) + rule.every * HOUR
          : rule.startedAt + rule.first * HOUR,
    gained: lastStep !== undefined && exact(0).minus(lastStep.percent).greaterThan(rule.gain),
  };
}
