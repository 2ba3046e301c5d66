import { DateTime } from 'luxon';
import type { Chance } from '@/core/statistics';
import { freshTests, type Readings } from './fresh';
import { JOB, type MIXES } from './scenario';

const HOUR = 3_600_000;
const DAY = 24 * HOUR;
const MINUTE = 60_000;

export interface PlannedCylinder {
  readonly testedAt: number;
  readonly readings: Readonly<Record<string, string>>;
  readonly reasons: string;
}

export interface PlannedSample {
  readonly sampledAt: number;
  readonly element: string;
  readonly location: string;
  readonly volume: number;
  readonly ticket: string;
  readonly truck: string;
  /** Readings of the fresh tests, by method. */
  readonly fresh: Readonly<Record<string, Readings>>;
  /** What its cylinders come to about at 28 days, psi. */
  readonly strength: number;
  /** Concrete and air at the truck, °F. */
  readonly concrete: number;
  readonly freshDone: boolean;
  readonly moulded: boolean;
  readonly early: PlannedCylinder | undefined;
  readonly mature: readonly PlannedCylinder[];
  readonly accepted: boolean;
  readonly report: 'none' | 'draft' | 'signed';
}

type Mix = (typeof MIXES)[number];

/** What makes a sample special: it is what is due, overdue or under way on the day the scenario is loaded. */
interface Moment {
  /** Age of the cylinders now. */
  readonly age: number;
  readonly kind: 'plain' | 'due' | 'missed' | 'late break' | 'unaccepted' | 'low' | 'today';
}

/** From the final portion to the last specimen. */
export const CAST_AFTER = 11 * MINUTE;

/** Moments fixed against now, so that on any day something is due, something is closing and something was missed. */
const FIXED: Readonly<Record<Mix['key'], readonly Moment[]>> = {
  piers: [
    { age: 28 * DAY - 8 * HOUR, kind: 'due' },
    { age: 7 * DAY - 11 * HOUR, kind: 'plain' },
    { age: -10 * MINUTE, kind: 'today' },
  ],
  apron: [
    { age: 28 * DAY + 31 * HOUR, kind: 'missed' },
    { age: 7 * DAY + 4.2 * HOUR, kind: 'due' },
    { age: 26 * HOUR, kind: 'plain' },
  ],
  walls: [
    { age: 28 * DAY + 16.5 * HOUR, kind: 'due' },
    { age: 28 * DAY - 3 * HOUR, kind: 'due' },
    { age: 6 * DAY + 2 * HOUR, kind: 'plain' },
    { age: 3 * DAY + 5 * HOUR, kind: 'plain' },
  ],
};

/** The samples of one mix over some ten weeks, oldest first, with strengths that tell the mix's story. */
export function planSamples(mix: Mix, now: number, chance: Chance): PlannedSample[] {
  const fixed = FIXED[mix.key].map((moment) => ({ sampledAt: now - moment.age - CAST_AFTER, moment }));
  const regular = Array.from({ length: 10 }, (_, index) => {
    const daysAgo = 72 - index * 4.1 - (mix.key === 'apron' ? 1 : mix.key === 'walls' ? 2 : 0);
    return {
      sampledAt: workingHour(now - daysAgo * DAY, chance),
      moment: { age: 0, kind: 'plain' } as Moment,
    };
  }).filter(({ sampledAt }) => now - sampledAt > 30 * DAY);
  const between = [19, 12].map((daysAgo) => ({
    sampledAt: workingHour(now - daysAgo * DAY, chance),
    moment: { age: 0, kind: 'plain' } as Moment,
  }));
  const all = [...regular, ...between, ...fixed].toSorted((a, b) => a.sampledAt - b.sampledAt);
  const strengths = strengthsOf(mix, all.length, chance);
  return all.map(({ sampledAt, moment }, index) => {
    const special = specialOf(mix, index, moment);
    return planSample(
      mix,
      index,
      sampledAt,
      { ...moment, kind: special },
      strengths[index] ?? mix.mean,
      now,
      chance,
    );
  });
}

/** A few of the older samples carry the scenario's departures. */
function specialOf(mix: Mix, index: number, moment: Moment): Moment['kind'] {
  if (moment.kind !== 'plain') return moment.kind;
  if (mix.story === 'low' && index === 6) return 'low';
  if (mix.story === 'low' && index === 2) return 'late break';
  if (mix.story === 'low' && index === 8) return 'unaccepted';
  return 'plain';
}

function strengthsOf(mix: Mix, count: number, chance: Chance): number[] {
  const drawn = Array.from({ length: count }, () => chance.normal(mix.mean, mix.deviation));
  if (mix.story === 'low') drawn[6] = Number(mix.specifiedStrength.replace(/\D/g, '')) - 690;
  if (mix.story !== 'marginal') return drawn;
  // Marginal: moved as a whole until the weakest three in a row stand just above what is specified.
  const weakest = Math.min(
    ...drawn.slice(2).map((value, index) => (value + (drawn[index] ?? 0) + (drawn[index + 1] ?? 0)) / 3),
  );
  const shift = Number(mix.specifiedStrength.replace(/\D/g, '')) + 28 - weakest;
  return drawn.map((value) => value + shift);
}

function workingHour(at: number, chance: Chance): number {
  const day = DateTime.fromMillis(at, { zone: JOB.zone }).startOf('day');
  const weekday = day.weekday > 5 ? day.minus({ days: day.weekday - 5 }) : day;
  return weekday.plus({ minutes: Math.round(chance.between(7.5, 14.5) * 60) }).toMillis();
}

function planSample(
  mix: Mix,
  index: number,
  sampledAt: number,
  moment: Moment,
  strength: number,
  now: number,
  chance: Chance,
): PlannedSample {
  const castAt = sampledAt + CAST_AFTER;
  const cylinder = (target: number, testedAt: number, late = false): PlannedCylinder =>
    planCylinder(target, testedAt, late, chance);
  const spread = (): number => strength * (1 + chance.normal(0, 0.018));
  const late = moment.kind === 'late break' || moment.kind === 'unaccepted';
  const matureAt = castAt + 28 * DAY + (late ? 23 * HOUR : chance.between(-1.2, 1.8) * HOUR);
  const due = moment.kind === 'due' || moment.kind === 'missed';
  const old = now - castAt > 29.5 * DAY;
  const earlyDue = castAt + 7 * DAY + chance.between(-0.8, 1.5) * HOUR;
  return {
    sampledAt,
    element: mix.elements[index % mix.elements.length] ?? mix.elements[0],
    location: `Lift ${1 + Math.floor(index / mix.elements.length)}`,
    volume: Math.round(chance.between(24, 118)),
    ticket: `T${4100 + Math.round(chance.between(0, 5200))}`,
    truck: `${11 + Math.floor(chance.between(0, 24))}`,
    ...freshTests(mix, index, sampledAt, now, chance, moment.kind === 'today'),
    freshDone: moment.kind !== 'today',
    moulded: moment.kind !== 'today',
    strength,
    early:
      now - castAt > 7 * DAY - 6 * HOUR && !(due && now - castAt < 8 * DAY)
        ? cylinder(strength * chance.between(0.7, 0.76), Math.min(earlyDue, now - 10 * MINUTE))
        : undefined,
    mature:
      old && !due ? [0, 1, 2].map((order) => cylinder(spread(), matureAt + order * 7 * MINUTE, late)) : [],
    accepted: moment.kind !== 'unaccepted',
    report:
      !old || due || moment.kind === 'low' ? 'none' : index < 7 ? 'signed' : index <= 8 ? 'draft' : 'none',
  };
}

function planCylinder(target: number, testedAt: number, late: boolean, chance: Chance): PlannedCylinder {
  const one = 4 + Math.round(chance.normal(0.003, 0.008) * 100) / 100;
  const two = one + Math.round(chance.normal(0, 0.007) * 100) / 100;
  const mean = (one + two) / 2;
  const area = (Math.PI * mean * mean) / 4;
  const length = 8 + Math.round(chance.normal(0, 0.03) * 20) / 20;
  const density = chance.normal(145.6, 0.6);
  return {
    testedAt,
    reasons: late
      ? 'Press stood idle after a power cut; the engineer was told and asked for the number all the same.'
      : '',
    readings: {
      machine: 'PR-01',
      calliper: 'CA-01',
      outOfMoistAt: new Date(testedAt - Math.round(chance.between(12, 50)) * MINUTE).toISOString(),
      surface: 'moist',
      outOfSquareGap: chance.pick(['0.00', '0.01', '0.02']),
      diameter1: one.toFixed(2),
      diameter2: two.toFixed(2),
      length: length.toFixed(2),
      mass: ((density * area * length) / 1728).toFixed(2),
      ends: 'pads',
      padsLooked: 'sound',
      endsPlane: 'yes',
      zeroed: 'true',
      spacers: '5 + 2',
      flush: 'yes',
      aligned: 'true',
      zeroAfter: 'same',
      guarded: 'true',
      loadingRate: String(Math.round(chance.normal(35, 2))),
      maximumLoad: String(Math.round((target * area) / 10) * 10),
      testedAt: new Date(Math.floor(testedAt / MINUTE) * MINUTE).toISOString(),
      fracture: chance.pick(['1', '2', '3', '3', '5', '5', '6']),
    },
  };
}
