import { randomUUID } from 'node:crypto';
import { DateTime } from 'luxon';
import type { Database } from '@/db/client';
import { createLot, createSpecification } from '@/server/actions/jobs';
import { registerSpecimens } from '@/server/actions/register';
import { startRun } from '@/server/actions/runs';
import { takeSample } from '@/server/actions/samples';
import { specimenViews } from '@/server/queries/dossier';
import type { Readings } from './fresh';
import type { Hands } from './hands';
import { JOB } from './scenario';

/** A pipe as the story has it: loads as the gauge shows them, lbf. */
interface Drawn {
  readonly mark: string;
  readonly daysAgo: number;
  readonly drawn: 'year' | 'customer' | 'retest';
  readonly retestOf?: string;
  /** The last load without the crack, the first with it, the greatest; left out where the test goes on. */
  readonly sound?: number;
  readonly opened?: number;
  readonly most?: number;
  /** Where the leaf was tried along the invert, in from the spigot, and whether it went in. */
  readonly probes?: readonly (readonly [at: number, enters: boolean])[];
  readonly whole?: boolean;
  readonly remarks?: string;
}

interface Product {
  readonly code: string;
  readonly title: string;
  readonly asked: Readonly<Record<string, string>>;
  /** What it is loaded to, lbf, by class, diameter and joint; worked out beside the story. */
  readonly design: number;
  readonly plain?: true;
  readonly sizes: {
    readonly bore: number;
    readonly wall: number;
    readonly long: number;
    readonly apart: string;
  };
  readonly cage: 'elliptical' | 'circular' | 'none';
  readonly made: readonly (readonly [count: number, daysAgo: number])[];
  readonly pipes: readonly Drawn[];
}

const RUN = [22, 25, 28, 31, 34].map((at) => [at, true] as const);
const RULE = 'harbour trust, drainage specification, section 7';

const PRODUCTS: readonly Product[] = [
  {
    code: 'PM-S1',
    title: 'Storm drain, 30 in class III',
    asked: {
      ...{ design: 'c76-III', span: '30 in', wallLetter: 'B', joint: 'tongue', overall: '8.42 ft' },
      ...{ jointDepth: '4 in', absorptionMost: '8.0 percent', specifiedStrength: '4,000 psi' },
    },
    design: 27_292,
    sizes: { bore: 30, wall: 3.5, long: 8.42, apart: '2.25' },
    cage: 'elliptical',
    made: [
      [31, 74],
      [58, 40],
    ],
    pipes: [
      {
        ...{ mark: 'K-0117', daysAgo: 52, drawn: 'year', sound: 25_100, opened: 26_000, most: 39_400 },
        probes: [...RUN, [37, false]],
        remarks: 'Crack first at the invert near the spigot, wider there than at the other end.',
      },
      {
        ...{ mark: 'K-0131', daysAgo: 48, drawn: 'retest', retestOf: 'K-0117' },
        ...{ sound: 29_700, opened: 30_600, most: 44_900, probes: RUN },
      },
      {
        ...{ mark: 'K-0134', daysAgo: 47, drawn: 'retest', retestOf: 'K-0117' },
        ...{ sound: 30_900, opened: 31_700, most: 46_200, probes: RUN },
      },
    ],
  },
  {
    code: 'PM-S2',
    title: 'Storm drain, 42 in class IV',
    asked: {
      ...{ design: 'c76-IV', span: '42 in', wallLetter: 'B', joint: 'bell', overall: '7.9 ft' },
      ...{ jointDepth: '4.5 in', specifiedStrength: '5,000 psi', yearEach: '40', yearFrom: RULE },
    },
    design: 52_675,
    sizes: { bore: 42, wall: 4.5, long: 7.9, apart: '3' },
    cage: 'elliptical',
    made: [
      [36, 70],
      [84, 33],
      [113, 6],
    ],
    pipes: [
      {
        ...{ mark: 'K-0208', daysAgo: 44, drawn: 'year', sound: 56_900, opened: 58_200, most: 86_300 },
        probes: RUN,
      },
      {
        ...{ mark: 'K-0226', daysAgo: 21, drawn: 'customer', sound: 55_400, opened: 56_800, most: 83_100 },
        probes: RUN,
      },
      // The crack in progress: held a little above the design load, probed as far as the lamp reached.
      {
        ...{ mark: 'K-0241', daysAgo: 0, drawn: 'year', sound: 52_200 },
        probes: [
          [38, true],
          [41, true],
          [44, true],
          [50, true],
        ],
        whole: false,
      },
    ],
  },
  {
    code: 'PM-S3',
    title: 'Yard drain, 15 in, not reinforced',
    asked: { design: 'c14-2', span: '15 in', joint: 'tongue', overall: '4.25 ft', jointDepth: '2 in' },
    design: 10_617,
    plain: true,
    sizes: { bore: 15, wall: 1.625, long: 4.25, apart: '1.125' },
    cage: 'none',
    made: [[24, 38]],
    pipes: [{ mark: 'K-0305', daysAgo: 36, drawn: 'year', most: 12_340 }],
  },
];

/** What was read over time up to a load: as the hand may pump it, slower past three quarters of what it goes by. */
function logTo(load: number, design: number): NonNullable<Readings['log']> {
  const beam = 560;
  const marks = [0, 0.4, 0.735, 0.87, 1].map((share) => share * design - beam).filter((each) => each < load);
  let at = 0;
  return [...marks, load].map((read, place, all) => {
    const before = all[place - 1] ?? 0;
    const second = read + beam > 0.745 * design;
    at +=
      place === 0 ? 0 : ((Math.max(0, read) - Math.max(0, before)) / (design * (second ? 0.27 : 0.9))) * 60;
    return { id: `t${place}`, seconds: at.toFixed(1), load: String(Math.max(0, Math.round(read / 10) * 10)) };
  }) as NonNullable<Readings['log']>;
}

function readingsOf(pipe: Drawn, product: Product): Readings {
  const { bore, wall, long, apart } = product.sizes;
  const { sound, opened, most, probes = [], whole, remarks } = pipe;
  const by = (value: number, off: number): string => (value + off).toFixed(4);
  return {
    ...{ purpose: product.plain ? 'most' : 'proof', cracked: 'none', surface: 'true' },
    turned: product.cage === 'elliptical' ? 'up' : 'none',
    holes: product.plain ? 'none' : 'clear',
    ...{ bore1: by(bore, 0.0625), bore2: by(bore, -0.0625) },
    walls: [0.0625, 0, -0.0625, 0.125].map((off, place) => ({ id: `w${place}`, wall: by(wall, off) })),
    ...{ side1: long.toFixed(2), side2: (long - 0.01).toFixed(2) },
    ...{ strips: 'rubber', apart1: apart, apart2: apart, apart3: apart },
    ...{ hardness1: '51', hardness2: '54', hardness3: '52', boards: 'one', straight: 'true' },
    ...{ beam: 'one', beamOf: 'steel', beamWide: '8', beamHigh: '12', off1: '0.125', off2: '0' },
    ...{ machine: 'PB-01', leaf: 'LG-01', clear: 'true' },
    log: logTo(sound ?? most ?? product.design, product.design),
    ...(probes.length > 0
      ? {
          probes: probes.map(([at, enters], place) => ({
            ...{ id: `p${place}`, at: String(at), enters: enters ? 'yes' : 'no', where: 'invert' },
          })),
        }
      : {}),
    ...(whole === undefined ? { whole: 'true' } : { whole: String(whole) }),
    ...(sound === undefined
      ? {}
      : { sound: String(sound), hairline: String(Math.round((sound * 0.82) / 100) * 100), held: '85' }),
    ...(opened === undefined ? {} : { opened: String(opened) }),
    ...(most === undefined ? {} : { most: String(most), ended: 'peak' }),
    ...(remarks ? { remarks } : {}),
  };
}

/** A piece of the wall: dried, boiled, weighed; or still in the oven. */
function absorptionOf(from: DateTime, dry: number, wet: number | null): Readings {
  const at = (hours: number): string => from.plus({ hours }).toISO() ?? '';
  const begun = {
    ...{ piece: 'sound', thickness: '3.5', balance: 'BL-03', oven: 'OV-01', temperature: '230', inAt: at(0) },
  };
  if (wet === null) return begun;
  const weighed = [
    [dry + 0.7, 72.5],
    [dry, 79],
  ] as const;
  return {
    ...begun,
    weighings: weighed.map(([mass, hours], place) => ({
      id: `d${place}`,
      mass: mass.toFixed(1),
      at: at(hours),
    })),
    ...{ wetAt: at(95), water: '67', steam: 'no', heatAt: at(95.2), boilingAt: at(96.6), offAt: at(101.7) },
    ...{ outAt: at(119), drained: '60', wet: wet.toFixed(1), weighedAt: at(119.1) },
  };
}

/** The storm drain of the terminal: three sizes and classes of one plant, a year that is short of a test, a crack in progress. */
export async function addPipes(db: Database, { act, read }: Hands, jobId: string, now: Date): Promise<void> {
  const today = DateTime.fromJSDate(now, { zone: JOB.zone });
  // All of it in one calendar year, whenever the demo is begun.
  const { year } = today.minus({ days: 3 });
  const first = DateTime.fromObject({ year, month: 1, day: 2, hour: 8 }, { zone: JOB.zone });
  const ago = (days: number, hour: number): DateTime => {
    const at = today.minus({ days }).startOf('day').plus({ hours: hour });
    const early = first.plus({ minutes: 15 * (90 - days) });
    return at < early ? early : at > today ? today.minus({ minutes: 20 }) : at;
  };
  const iso = (at: DateTime): string => at.toISO() ?? '';
  for (const [order, product] of PRODUCTS.entries()) {
    const { specificationId } = await act(
      'reviewer',
      createSpecification,
      { jobId, material: 'pipe', code: product.code, title: product.title, asked: product.asked },
      ago(80, 8).toMillis(),
    );
    const { lotId } = await act(
      'laboratory',
      createLot,
      {
        ...{ jobId, specificationId, title: `${product.title}, ${year}`, startsAt: iso(ago(78, 7)) },
        about: { year: String(year), plant: 'Tidewall Yard, shed 2', order: 'storm drain, 2nd lot' },
      },
      ago(78, 7).toMillis(),
    );
    const { runId: yearRun } = await act(
      'laboratory',
      startRun,
      { method: 'pipe-year', lotId },
      ago(70, 9).toMillis(),
    );
    await read(
      'laboratory',
      yearRun,
      {
        counts: product.made.map(([made, days], place) => ({
          ...{ id: `c${place}`, made: String(made), at: iso(ago(days, 16)) },
        })),
      },
      ago(6, 17).toMillis(),
      false,
    );
    // The sections of its manholes come with the first size.
    if (order === 0) {
      const at = ago(12, 14);
      const { runId } = await act(
        'laboratory',
        startRun,
        { method: 'manhole-step', lotId },
        at.minus({ minutes: 50 }).toMillis(),
      );
      const row = (mark: string, bent: string, out: string, place: number) => ({
        ...{ id: `m${place}`, mark, down: '810', bent, out, seen: 'sound' },
      });
      await read(
        'laboratory',
        runId,
        {
          ...{ sections: 'SM-4 and SM-5, steps driven in', gauge: 'HJ-01', firm: 'true', testedAt: iso(at) },
          steps: [row('SM-4, 2nd', '0.0625', '410', 0), row('SM-5, 3rd', '0.125', '405', 1)],
        },
        at.toMillis(),
        true,
      );
    }
    for (const [place, pipe] of product.pipes.entries()) {
      const at = ago(pipe.daysAgo, 10 + place);
      const { sampleId } = await act(
        'laboratory',
        takeSample,
        {
          ...{ clientId: randomUUID(), lotId, sampledAt: iso(at.minus({ hours: 2 })) },
          about: {
            ...{
              mark: pipe.mark,
              drawn: pipe.drawn,
              castAt: iso(at.minus({ days: 14 })),
              cage: product.cage,
            },
            ...(pipe.retestOf ? { retestOf: pipe.retestOf } : {}),
          },
        },
        at.minus({ hours: 2 }).toMillis(),
      );
      await act(
        'laboratory',
        registerSpecimens,
        { sampleId, how: 'pipe', form: 'pipe', count: 1, place: 'Pipe yard, press' },
        at.minus({ minutes: 90 }).toMillis(),
      );
      const [specimen] = await specimenViews(db, [sampleId]);
      const { runId } = await act(
        'laboratory',
        startRun,
        { method: 'three-edge', specimenId: specimen?.id ?? '' },
        at.minus({ minutes: 40 }).toMillis(),
      );
      const done = pipe.most !== undefined;
      await read(
        'laboratory',
        runId,
        { ...readingsOf(pipe, product), ...(done ? { testedAt: iso(at) } : {}) },
        at.toMillis(),
        done,
      );
      // Of the two that were tested last, pieces of the wall: one is weighed, one still in the oven.
      const piece =
        order === 0 ? ([null, 1391.6, null] as const)[place] : order === 1 && place === 1 ? 0 : null;
      if (piece === null || piece === undefined) continue;
      await act(
        'laboratory',
        registerSpecimens,
        { sampleId, how: 'pieces', form: 'pipe-wall', count: 1, place: 'Springline, 2 ft from the spigot' },
        at.plus({ hours: 3 }).toMillis(),
      );
      const wall = (await specimenViews(db, [sampleId])).find(({ form }) => form === 'pipe-wall');
      const begun = piece > 0 ? at.plus({ hours: 5 }) : today.minus({ hours: 30 });
      const { runId: wallRun } = await act(
        'laboratory',
        startRun,
        { method: 'pipe-absorption', specimenId: wall?.id ?? '' },
        begun.toMillis(),
      );
      const values = absorptionOf(begun, piece, piece > 0 ? piece * 1.0584 : null);
      await read(
        'laboratory',
        wallRun,
        values,
        begun.plus({ hours: piece > 0 ? 120 : 0 }).toMillis(),
        piece > 0,
      );
    }
  }
}
