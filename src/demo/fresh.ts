import type { Chance } from '@/core/statistics';
import type { MIXES } from './scenario';

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;

type Mix = (typeof MIXES)[number];
/** Readings by field: text, or the rows of a table. */
export type Readings = Record<string, string | readonly Readonly<Record<string, string>>[]>;

/** The day at the truck: the readings of every fresh test of one sample, each stamped within its clock. */
export function freshTests(
  mix: Mix,
  index: number,
  sampledAt: number,
  now: number,
  chance: Chance,
  underWay: boolean,
): { fresh: Record<string, Readings>; concrete: number } {
  const after = (minutes: number): string =>
    new Date(sampledAt + Math.round(minutes * 60) * 1000).toISOString();
  const concrete = Math.round(chance.normal(71, 4));
  const load = chance.pick(['8', '8.5', '9', '9']);
  const fresh: Record<string, Readings> = {
    delivery: delivery(mix, Number(load), after, chance, underWay),
    sampling: {
      kind: 'acceptance',
      source: 'chute',
      allIn: 'true',
      firstPortionAt: after(-chance.between(4, 9)),
      finalPortionAt: after(0),
      portions: '2',
      loadVolume: load,
      outAtFirst: '2.5',
      outAtLast: '5.5',
      wholeStream: 'true',
      ...(underWay
        ? {}
        : {
            compositeAt: after(0.7),
            look: 'uniform',
            size: '1.3',
            specimens: 'yes',
            location: `Line ${1 + (index % 6)}`,
            weather: chance.pick(['clear', 'overcast', 'light wind', 'drizzle before, dry now']),
          }),
    },
    'concrete-temperature': {
      thermometer: 'TH-01',
      place: 'barrow',
      cover: '4',
      ...(underWay
        ? {}
        : {
            insertedAt: after(1.2),
            steady: 'true',
            temperature: String(concrete),
            readAt: after(chance.between(3.5, 4.6)),
            airTemperature: (concrete - chance.between(2, 14)).toFixed(0),
          }),
    },
    slump: underWay ? { mould: 'SC-01' } : slump(mix, index, after, chance),
    moulding: underWay ? {} : moulding(mix, after, chance),
    'initial-curing': underWay ? {} : curing(sampledAt, now, after, chance),
  };
  if (mix.key === 'piers') fresh['air-pressure'] = underWay ? { meter: 'AP-01' } : pressure(after, chance);
  if (mix.key === 'apron') {
    fresh['air-volumetric'] = rolling(after, chance, index);
    fresh['density-yield'] = density(Number(load), after, chance);
  }
  return { fresh, concrete };
}

type After = (minutes: number) => string;

function delivery(mix: Mix, load: number, after: After, chance: Chance, underWay: boolean): Readings {
  const cement = Number(/\d+/.exec(mix.cementitious)?.[0]) * load;
  const water = Number(/\d+/.exec(mix.water)?.[0]) * load;
  const trip = chance.between(24, 41);
  return {
    batchedAt: after(-trip - 22),
    batchedFrom: 'ticket',
    arrivedAt: after(-20),
    mix: 'approved',
    loadVolume: String(load),
    cementitious: Math.round(cement * chance.between(0.996, 1.004)).toString(),
    water: Math.round(water * chance.between(0.985, 1.004)).toString(),
    ticketAllows: '12',
    mixingTurns: String(Math.round(chance.between(74, 92))),
    washWater: 'no',
    siteReady: 'true',
    dischargeStartedAt: after(-12),
    ...(underWay
      ? {}
      : {
          dischargedAt: after(chance.between(9, 18)),
          totalTurns: String(Math.round(chance.between(150, 240))),
        }),
  };
}

function slump(mix: Mix, index: number, after: After, chance: Chance): Readings {
  const wanted = mix.key === 'piers' ? 5.5 : mix.key === 'apron' ? 4.5 : 4;
  // One sample in the story is out of tolerance, and was reported so at the truck.
  const quarters = Math.round(chance.normal(wanted, 0.4) * 4) + (mix.key === 'apron' && index === 5 ? 8 : 0);
  const part = ['', ' 1/4', ' 1/2', ' 3/4'][quarters % 4] ?? '';
  const start = chance.between(1.6, 2.4);
  const lift = start + chance.between(1.7, 2.1);
  return {
    mould: 'SC-01',
    fillStartedAt: after(start),
    strokes: '25 25 25',
    layers: 'true',
    struckAt: after(lift - 0.2),
    liftStartedAt: after(lift),
    liftEndedAt: after(lift + Number(chance.pick(['4', '5', '5', '6'])) / 60),
    shape: 'true',
    slump: `${Math.floor(quarters / 4)}${part}`,
    readAt: after(lift + 0.4),
  };
}

function pressure(after: After, chance: Chance): Readings {
  return {
    meter: 'AP-01',
    type: 'B',
    fillStartedAt: after(4.4),
    consolidation: 'rod',
    strokes: '25 25 25',
    taps: '12 12 11',
    struckAt: after(6.3),
    watered: 'true',
    mainValve: 'shut',
    pumpedAt: after(7.6),
    trimmedAt: after(7.8),
    onLine: 'true',
    petcocks: 'closed',
    apparent: chance.normal(6.1, 0.35).toFixed(1),
    readAt: after(8.1),
  };
}

function rolling(after: After, chance: Chance, index: number): Readings {
  const level = (Math.round(chance.normal(5.6, 0.4) * 4) / 4).toFixed(2);
  return {
    meter: 'AV-01',
    variant: 'before',
    fillStartedAt: after(4.3),
    strokes: '25 25',
    taps: '12 12',
    struckAt: after(6),
    alcohol: chance.pick(['1.5', '1.5', '1.8']),
    zeroed: 'true',
    leaked: 'no',
    uprightAt: after(9.5),
    standing: [0.75, 0.25, 0].map((below, place) => ({
      at: after(9.6 + 2 * place),
      level: (Number(level) - below).toFixed(2),
    })),
    reading1: level,
    reading2: level,
    waterCups: '0',
    stuck: 'no',
    readAt: after(17 + (index % 3)),
  };
}

function density(load: number, after: After, chance: Chance): Readings {
  const full = 8.26 + 0.2496 * chance.normal(143.6, 0.7);
  return {
    measure: 'DM-01',
    balance: 'BL-01',
    measureVolume: '0.2496',
    nominalVolume: '0.25',
    emptyMass: '8.26',
    consolidation: 'rod',
    strokes: '25 25 25',
    taps: '12 12 12',
    plate: 'true',
    fullMass: full.toFixed(2),
    weighedAt: after(8.5),
    ticketVolume: String(load),
    cementitious: String(Math.round(571 * load)),
    materials: [
      { name: 'cement', mass: String(Math.round(457 * load)), density: '3.14' },
      { name: 'slag', mass: String(Math.round(114 * load)), density: '2.91' },
      { name: 'sand', mass: String(Math.round(1264 * load)), density: '2.64' },
      { name: 'stone', mass: String(Math.round(1793 * load)), density: '2.73' },
      { name: 'water', mass: String(Math.round(249 * load)), density: '1' },
    ],
  };
}

function moulding(mix: Mix, after: After, chance: Chance): Readings {
  const mass = (): string => chance.normal(8.47, 0.025).toFixed(2);
  return {
    mould: '4x8',
    consolidation: 'rod',
    rod: 'small',
    place: 'true',
    mouldState: 'good',
    startedAt: after(6.5),
    strokes: '25 25 25 25 25 25 25 25 25 25',
    taps: '12 12 12 11 12 12 11 12 12 12',
    finishedAt: after(11),
    tops: 'flat',
    marked: 'true',
    coveredAt: after(12),
    restingAt: after(18),
    counted: '5',
    planned: '5',
    location: chance.pick(['Box 1, row 2', 'Box 2, row 1', 'Box 2, row 3']),
    ...(mix.key === 'walls'
      ? {}
      : { masses: ['A', 'B', 'C', 'D', 'E'].map((letter) => ({ letter, filled: mass(), empty: '0.17' })) }),
  };
}

/** The first day: in the box for a good day, then to the laboratory; only what lies behind `now` has happened. */
function curing(sampledAt: number, now: number, after: After, chance: Chance): Readings {
  const readings: Readings = { method: 'box', atPlacing: '71', meanTemperature: '71' };
  const collected = 23.5 + chance.between(0, 1);
  if (sampledAt + 27 * HOUR > now) return readings;
  const minutes = collected * 60;
  return {
    ...readings,
    minimum: String(Math.round(chance.between(63, 68))),
    maximum: String(Math.round(chance.between(72, 78))),
    collectedAt: after(minutes),
    condition: 'ok',
    leftAt: after(minutes + 8),
    protectedOnTheWay: 'true',
    receivedAt: after(minutes + 49),
    demouldedAt: after(minutes + 66),
    wetAt: after(minutes + 82),
    finalTemperature: '73.4',
  };
}
