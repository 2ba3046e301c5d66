import { randomUUID } from 'node:crypto';
import { gzipSync } from 'node:zlib';
import { LOGGERS, loggerCsv, SimulatedLogger } from '@/core/logger';
import { Chance } from '@/core/statistics';
import { guessRecord } from '@/core/temperature';
import { createLot } from '@/server/actions/jobs';
import { keepRecord } from '@/server/actions/records';
import { startRun } from '@/server/actions/runs';
import type { Readings } from './fresh';
import type { Hands } from './hands';

const HOUR = 3_600_000;
const DAY = 24 * HOUR;

interface Where {
  readonly jobId: string;
  readonly specificationId: string;
}

/** The people of the scenario with their loggers, on one lot. */
class Recording {
  constructor(
    private readonly hands: Hands,
    private readonly now: Date,
  ) {}

  async lot(where: Where, title: string, location: string, at: number): Promise<string> {
    const { lotId } = await this.hands.act(
      'field',
      createLot,
      { ...where, startsAt: new Date(at).toISOString(), title, about: { location } },
      at,
    );
    return lotId;
  }

  /** Opens a run on a lot, takes its readings and keeps its records; completes it when asked. */
  async run(
    lotId: string,
    method: string,
    values: Readings,
    records: Readonly<Record<string, readonly [name: string, text: string]>>,
    at: number,
    complete: boolean,
  ): Promise<void> {
    const then = Math.min(at, this.now.getTime());
    const { runId } = await this.hands.act('laboratory', startRun, { method, lotId }, then);
    for (const [field, [name, text]] of Object.entries(records))
      await this.hands.act(
        'laboratory',
        keepRecord,
        {
          ...{ id: randomUUID(), runId, field, name },
          data: gzipSync(text).toString('base64'),
          mapping: guessRecord(text)?.mapping,
        },
        then,
      );
    await this.hands.read('laboratory', runId, values, then, complete);
  }
}

/** A file as a logger with a screen of its own writes it: a row every so many hours, °F. */
function fileOf(
  start: number,
  hours: number,
  step: number,
  sensors: Readonly<Record<string, (hour: number) => number>>,
  chance: Chance,
): string {
  const rows = Array.from({ length: Math.floor(hours / step) + 1 }, (_, row) => row * step);
  return [
    ['time', ...Object.keys(sensors).map((name) => `${name} °F`)].join(','),
    ...rows.map((hour) =>
      [
        new Date(start + hour * HOUR).toISOString(),
        ...Object.values(sensors).map((of) => (of(hour) + chance.normal(0, 0.08)).toFixed(1)),
      ].join(','),
    ),
  ].join('\n');
}

const iso = (at: number): string => new Date(Math.round(at / 60_000) * 60_000).toISOString();
const warmed = (rise: number, peak: number) => (hour: number) =>
  rise * (Math.max(hour, 0) / peak) ** 2 * Math.exp(2 * (1 - Math.max(hour, 0) / peak));

/** Strengths of the trial batch by age in days, psi; made up. */
const TRIAL = [
  [1, 1035, 1085],
  [3, 2205, 2130],
  [7, 3115, 3215],
  [14, 3815, 3730],
  [28, 4390, 4455],
] as const;
/** Rates of its cement by temperature, °F and 1/day; made up. */
const RATES = [
  [50, 0.21],
  [72, 0.41],
  [95, 0.71],
] as const;

const cubes: Readings = Object.fromEntries(
  RATES.flatMap(([temperature, k], place) =>
    [14, 28, 56, 112, 224, 448].flatMap((hours, row) => {
      const grown = k * (hours / 24 - 0.22);
      const id = `c${place}x${row}`;
      return [
        [`cubes/${id}/temperature`, String(temperature)],
        [`cubes/${id}/age`, String(hours)],
        [`cubes/${id}/strength`, ((6350 * grown) / (1 + grown)).toFixed(0)],
      ];
    }),
  ),
);

/** The trial batch of the walls: what its cement makes of warmth, its curve, and two curing places beside one another. */
async function addTrial(recording: Recording, where: Where, now: Date): Promise<void> {
  const chance = Chance.settled(811);
  const cast = now.getTime() - 33 * DAY - 3 * HOUR;
  const lotId = await recording.lot(where, 'Trial batch for maturity', 'Laboratory', cast);
  await recording.run(
    lotId,
    'maturity-datum',
    {
      cement: 'Port Merrow Type I/II, no admixture',
      machine: 'PR-01',
      ...cubes,
      madeAt: iso(cast + 20 * DAY),
    },
    {},
    cast + 20 * DAY,
    true,
  );
  const room = (off: number) => (hour: number) => 72.9 + off + warmed(8.5, 12)(hour);
  const breaks = Object.fromEntries(
    TRIAL.flatMap(([days, ...strengths], age) =>
      strengths.flatMap((strength, place) => {
        const id = `b${age}x${place}`;
        return [
          [`breaks/${id}/specimen`, `TB-${2 * age + place + 1}`],
          [`breaks/${id}/at`, iso(cast + days * DAY + place * 8 * 60_000)],
          [`breaks/${id}/strength`, String(strength)],
        ];
      }),
    ),
  );
  await recording.run(
    lotId,
    'maturity-calibration',
    {
      how: 'nurse-saul',
      castAt: iso(cast),
      machine: 'PR-01',
      ...breaks,
      madeAt: iso(cast + 28 * DAY + HOUR),
    },
    {
      record: [
        'trial-cylinders.csv',
        fileOf(cast + 0.2 * HOUR, 28.3 * 24, 0.5, { 'cylinder A': room(0), 'cylinder B': room(0.3) }, chance),
      ],
    },
    cast + 28 * DAY + HOUR,
    true,
  );
  await recording.run(
    lotId,
    'temperature-record',
    {
      purpose: 'places',
      logger: 'TL-01',
      where: 'Six cylinders in the room, six in the cabinet',
      readAt: iso(cast + 7 * DAY),
    },
    {
      record: [
        'two-places.csv',
        fileOf(
          cast,
          7 * 24,
          0.5,
          {
            'room at 68': (hour) => 68.2 + 0.5 * Math.sin(hour / 3.7),
            'cabinet at 86': (hour) => 86.1 + 0.9 * Math.sin(hour / 2.3),
          },
          chance,
        ),
      ],
    },
    cast + 7 * DAY,
    true,
  );
}

/** A wall of the same mix some days before: its forms are off, and two cylinders of it confirmed the curve. */
async function addEarlierWall(recording: Recording, where: Where, now: Date): Promise<void> {
  const placed = now.getTime() - 9 * DAY;
  const lotId = await recording.lot(where, 'Wall grid F', 'Ticket hall, north side', placed - HOUR);
  const text = fileOf(
    placed - HOUR,
    100,
    0.5,
    { core: (hour) => 55 + warmed(13, 15)(hour - 1) },
    Chance.settled(814),
  );
  await recording.run(
    lotId,
    'maturity-estimate',
    {
      operation: 'vertical',
      required: '1650',
      where: 'Wall grid F',
      mix: 'same',
      logger: 'TL-01',
      placedAt: iso(placed),
      outlook: '48',
      supplementary: 'C918',
      supplementaryStrength: '2010',
      'verified/v1/specimen': 'F-V1',
      'verified/v1/index': '640',
      'verified/v1/strength': '1105',
      'verified/v2/specimen': 'F-V2',
      'verified/v2/index': '1150',
      'verified/v2/strength': '1610',
      readAt: iso(placed + 99 * HOUR),
    },
    { record: ['wall-grid-f.csv', text] },
    placed + 99 * HOUR,
    true,
  );
}

/** A wall placed in the cold: two loggers of one place, and forms that wait for a strength. */
async function addColdWall(recording: Recording, where: Where, now: Date): Promise<void> {
  const began = now.getTime() - LOGGERS.wires.startedBefore * HOUR;
  const placed = began + LOGGERS.wires.placedAfter * HOUR;
  const lotId = await recording.lot(
    where,
    'Wall grid G, in the cold',
    'Ticket hall, north side',
    placed - HOUR,
  );
  const file = (kind: keyof typeof LOGGERS, seed: number): string => {
    const { startedBefore } = LOGGERS[kind];
    return loggerCsv(new SimulatedLogger(seed, LOGGERS[kind], now.getTime() - startedBefore * HOUR).run(0));
  };
  const sensors = {
    'sensors/s1/sensor': '1',
    'sensors/s1/place': 'core',
    'sensors/s1/kind': 'k-2',
    'sensors/s1/bath': '0.3',
    'sensors/s2/sensor': '2',
    'sensors/s2/place': 'surface',
    'sensors/s2/kind': 'k-2',
    'sensors/s3/sensor': '3',
    'sensors/s3/place': 'air',
  };
  await recording.run(
    lotId,
    'temperature-record',
    {
      purpose: 'concrete',
      logger: 'TL-01',
      otherLogger: 'TL-02',
      where: 'Wall grid G, mid-height',
      placedAt: iso(placed),
      thickness: '12',
      ...sensors,
      'sensors/s4/sensor': 'B1',
      'sensors/s4/place': 'core',
      'sensors/s4/kind': 'digital',
    },
    { record: ['TL-01 wall G.csv', file('wires', 31)], second: ['TL-02 wall G.csv', file('digital', 32)] },
    now.getTime(),
    false,
  );
  await recording.run(
    lotId,
    'maturity-estimate',
    {
      operation: 'vertical',
      required: '1650',
      where: 'Wall grid G',
      mix: 'same',
      logger: 'TL-01',
      placedAt: iso(placed),
      ...sensors,
      outlook: '42',
      supplementary: 'none',
      'verified/v1/specimen': 'G-V1',
      'verified/v1/index': '590',
      'verified/v1/strength': '1020',
    },
    { record: ['TL-01 wall G.csv', file('wires', 31)] },
    now.getTime(),
    false,
  );
}

/** A pier cap that is thick enough to crack by its own heat. */
async function addPierCap(recording: Recording, where: Where, now: Date): Promise<void> {
  const chance = Chance.settled(812);
  const placed = now.getTime() - 12 * DAY;
  const lotId = await recording.lot(where, 'Pier cap 5, mass pour', 'Pier 5', placed);
  await recording.run(
    lotId,
    'temperature-record',
    {
      purpose: 'mass',
      logger: 'TL-01',
      where: 'Pier cap 5, middle and river face',
      placedAt: iso(placed),
      thickness: '74',
      cement: '668',
      lookedAt: 'true',
      readAt: iso(placed + 8 * DAY),
    },
    {
      record: [
        'pier-cap-5.csv',
        fileOf(
          placed - HOUR,
          8 * 24,
          0.5,
          {
            core: (hour) =>
              hour < 1 ? 51 : 61 + 74 * (1 - Math.exp(-(hour - 1) / 14)) * Math.exp(-(hour - 1) / 210),
            surface: (hour) =>
              hour < 1
                ? 51
                : 59 +
                  51 * (1 - Math.exp(-(hour - 1) / 13)) * Math.exp(-(hour - 1) / 170) +
                  3 * Math.sin((hour * Math.PI) / 12),
            air: (hour) => 47 + 8 * Math.sin((hour * Math.PI) / 12),
          },
          chance,
        ),
      ],
    },
    placed + 8 * DAY,
    true,
  );
}

/**
 * Loggers of the scenario: a trial batch with its maturity, a wall in the cold, a thick pier cap.
 * @param walls the mix of the walls, @param piers that of the pier caps
 */
export async function addTemperatures(hands: Hands, walls: Where, piers: Where, now: Date): Promise<void> {
  const recording = new Recording(hands, now);
  await addTrial(recording, walls, now);
  await addEarlierWall(recording, walls, now);
  await addColdWall(recording, walls, now);
  await addPierCap(recording, piers, now);
}
