import type { Limits } from '../limits';
import { convert, type Exact, exact, type System } from '../quantity';

/** How many samples a day of placing asks for, and what asked for them. */
export interface DayPlan {
  readonly count: number;
  readonly governs: 'one a day' | 'volume' | 'area' | 'project total';
  readonly sentence: string;
}

export interface PlannedDay {
  /** yd³ or m³ of one mixture. */
  readonly volume: Exact;
  /** Slab or one face of wall, ft² or m²; absent when there is none. */
  readonly area?: Exact | undefined;
  readonly system: System;
  /** Shifts of the day: in the IS school at least one sample each. */
  readonly shifts?: number | undefined;
  /** In the EN school: m³ or yd³ delivered of the mixture before, results it has so far, production certified. */
  readonly history?:
    | { readonly before: Exact; readonly results: number; readonly certified: boolean }
    | undefined;
}

/**
 * Strength samples of one mixture on one day.
 * Source: ACI 318 26.12.2 (from memory): at least one a day, one for each 150 yd³ [110 m³], one for each 5,000 ft²
 *   [460 m²]. That "at least one for each" is rounded up is our choice.
 */
export function samplesForDay(day: PlannedDay, limits: Limits): DayPlan {
  const { volume, area, system, shifts, history } = day;
  if (limits.profile === 'is' || limits.profile === 'en') {
    const metric = (each: Exact): Exact => (system === 'US' ? convert(each, 'yd3', 'm3') : each);
    const count =
      limits.profile === 'is'
        ? samplesByIs456(metric(volume), limits, shifts)
        : samplesByEn206(
            metric(volume),
            metric(history?.before ?? exact(0)),
            history?.results ?? 0,
            history?.certified ?? false,
            limits,
          );
    return {
      count,
      governs: 'volume',
      sentence: `${count} ${count === 1 ? 'sample' : 'samples'} by ${limits.profile === 'is' ? 'IS 456' : enWords(history, limits)}`,
    };
  }
  const byVolume = volume.div(limits.number('plan.volume', system)).ceil().toNumber();
  const byArea = area ? area.div(limits.number('plan.area', system)).ceil().toNumber() : 0;
  const count = Math.max(1, byVolume, byArea);
  const governs = count === 1 ? 'one a day' : byArea > byVolume ? 'area' : 'volume';
  const said = {
    'one a day': 'at least one a day',
    volume: `one for each ${limits.number('plan.volume', system)} ${system === 'US' ? 'yd³' : 'm³'}`,
    area: `one for each ${limits.number('plan.area', system)} ${system === 'US' ? 'ft²' : 'm²'}`,
  }[governs];
  return { count, governs, sentence: `${count} ${count === 1 ? 'sample' : 'samples'}: ${said}` };
}

function enWords(history: PlannedDay['history'], limits: Limits): string {
  const initial = limits.number('en/plan.initial', 'SI').greaterThan(history?.results ?? 0);
  return `EN 206, ${initial ? 'initial' : 'continuous'} production, ${history?.certified ? 'certified' : 'not certified'}`;
}

/**
 * Tests still owed to a mixture over a whole project.
 * @param byDay samples that the daily rule asks for, all days together
 * @param batches batches of the mixture in the project
 * @returns how many more random batches must be sampled: up to five tests, or each batch when there are fewer
 */
export function owedByProject(byDay: number, batches: number, limits: Limits): number {
  const fewest = limits.number('plan.fewest', 'US').toNumber();
  return Math.max(0, Math.min(fewest, batches) - byDay);
}

/** Mean thickness under which the area rule governs, in ft or m: 9.72 in for the rule as it ships. */
export function thicknessWhereAreaGoverns(system: System, limits: Limits): Exact {
  const volume = limits.number('plan.volume', system).times(system === 'US' ? 27 : 1);
  return volume.div(limits.number('plan.area', system));
}

/**
 * Samples of a day by the school of IS 456.
 * @param volume m³
 * Source: IS 456 15.2.2 (from memory): 1 to 5 m³ 1; 6 to 15 2; 16 to 30 3; 31 to 50 4; above, 4 and one for each further
 *   50 m³ or part; at least one a shift.
 */
export function samplesByIs456(volume: Exact, limits: Limits, shifts = 1): number {
  const rows = ['is/plan.one', 'is/plan.two', 'is/plan.three', 'is/plan.four'] as const;
  const row = rows.findIndex((id) => volume.lessThanOrEqualTo(limits.number(id, 'SI')));
  const beyond = volume
    .minus(limits.number('is/plan.four', 'SI'))
    .div(limits.number('is/plan.further', 'SI'));
  const count = row === -1 ? rows.length + beyond.ceil().toNumber() : row + 1;
  return Math.max(count, shifts);
}

/**
 * Samples by the school of EN 206, for production not certified and certified.
 * @param volume m³ of the day, `before` m³ delivered before it, `results` so far
 * Source: EN 206 table on sampling (from memory, to be checked): initially three in the first 50 m³, then one for each
 *   200 m³ (certified) or 150 m³; with 35 results, one for each 400 m³ (certified) or 150 m³.
 */
export function samplesByEn206(
  volume: Exact,
  before: Exact,
  results: number,
  certified: boolean,
  limits: Limits,
): number {
  const each = (id: 'en/plan.certified' | 'en/plan.certified-later' | 'en/plan.other') =>
    limits.number(id, 'SI');
  if (limits.number('en/plan.initial', 'SI').lessThanOrEqualTo(results)) {
    return Math.max(
      1,
      volume
        .div(each(certified ? 'en/plan.certified-later' : 'en/plan.other'))
        .ceil()
        .toNumber(),
    );
  }
  const opening = limits.number('en/plan.first-volume', 'SI');
  const first = before.lessThan(opening) ? limits.number('en/plan.first', 'SI').toNumber() : 0;
  const after = before.plus(volume).minus(before.lessThan(opening) ? opening : before);
  const later = after.greaterThan(0)
    ? after
        .div(each(certified ? 'en/plan.certified' : 'en/plan.other'))
        .ceil()
        .toNumber()
    : 0;
  return Math.max(1, first + later);
}

/**
 * Whether the next load is to be sampled although nothing was drawn: the volume since the last sample of this mixture
 * comes near what one sample stands for.
 * @param since volume placed since the last sample, yd³ or m³
 * @param next volume of the next load
 * Source: ACI 318 26.12.2 for the volume (from memory); that it is said at a share of it is our choice.
 */
export function isSampleDue(since: Exact, next: Exact, system: System, limits: Limits): boolean {
  const share = limits.number('plan.due-soon', system).div(100);
  return since.plus(next).greaterThanOrEqualTo(limits.number('plan.volume', system).times(share));
}

/** True when so little of a mixture is used in all that tests may be waived, with approved evidence. */
export function isWaivable(total: Exact, system: System, limits: Limits): boolean {
  return total.lessThan(limits.number('plan.waiver', system));
}
