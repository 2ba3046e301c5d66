import { randomUUID } from 'node:crypto';
import { gzipSync } from 'node:zlib';
import { Chance } from '@/core/statistics';
import type { Database } from '@/db/client';
import { keepLoadLog } from '@/server/actions/load-logs';
import { startRun } from '@/server/actions/runs';
import { makeSpecimens } from '@/server/actions/samples';
import { specimenViews } from '@/server/queries/dossier';
import type { Hands } from './hands';

const MINUTE = 60_000;
const DAY = 24 * 60 * MINUTE;

type Corner = readonly [mm: number, newtons: number];

interface Bent {
  readonly kind: 'plain' | 'bars' | 'fibre';
  /** Straight from corner to corner after the toe; made up. */
  readonly corners: readonly Corner[];
  readonly readings: Readonly<Record<string, string>>;
}

/** Beams of the bay that are due now. */
const DUE = 2;
const PLAIN_END = { failure: 'snapped', ended: 'broken' } as const;
/** Two plain beams, one with basalt bars and one with fibres, bent by their displacement beside one another. */
const BEAMS: readonly Bent[] = [
  {
    kind: 'plain',
    corners: [
      [0, 0],
      [0.36, 22_900],
      [0.37, 900],
      [0.6, 500],
    ],
    readings: PLAIN_END,
  },
  {
    kind: 'plain',
    corners: [
      [0, 0],
      [0.38, 24_100],
      [0.39, 700],
      [0.6, 400],
    ],
    readings: PLAIN_END,
  },
  {
    kind: 'bars',
    corners: [
      [0, 0],
      [0.37, 23_600],
      [0.41, 16_800],
      [1.9, 29_500],
      [4.6, 38_200],
      [5.3, 17_500],
      [5.8, 16_200],
    ],
    readings: {
      failure: 'torn',
      ended: 'set',
      barArea: '0.088',
      barDepth: '5.1',
      barPerimeter: '1.49',
      barModulus: '6,900',
      concreteModulus: '4,050',
      concreteStrength: '4,900',
      cracks: '4',
      spacing: '2.9',
      widest: '0.07',
      crackSeen: '5,260',
    },
  },
  {
    kind: 'fibre',
    corners: [
      [0, 0],
      [0.37, 23_300],
      [0.5, 21_400],
      [0.9, 19_600],
      [2.4, 13_900],
      [4.2, 9100],
    ],
    readings: { failure: 'pulled', ended: 'set', cracks: '1', widest: '0.16', crackSeen: '5,190' },
  },
];

/** A machine’s file: seconds, travel and force ten times a second at 1 mm a minute, after a soft seat. */
export function bentRecord(corners: readonly Corner[], seed: number): string {
  const chance = new Chance(seed);
  const [toe, start] = [0.12, 0.25];
  const end = (corners.at(-1)?.[0] ?? 0) + start + toe / 2;
  const first = corners[1] ?? [1, 0];
  const slope = first[1] / first[0];
  const law = (d: number): number => {
    const x = d - start - toe / 2;
    if (x < -toe / 2) return 0;
    if (x < toe / 2) return (slope * (x + toe / 2) ** 2) / (2 * toe);
    const next = corners.findIndex(([at]) => at >= x);
    const [before, after] = [
      corners[Math.max(0, next - 1)] ?? first,
      corners[next] ?? (corners.at(-1) as Corner),
    ];
    const width = after[0] - before[0];
    return width > 0 ? before[1] + ((x - before[0]) / width) * (after[1] - before[1]) : after[1];
  };
  const rows = Array.from({ length: Math.floor(end * 600) }, (_, index) => {
    const d = index / 600;
    return `${(index / 10).toFixed(1)},${d.toFixed(4)},${(law(d) + chance.normal(0, 25)).toFixed(0)}`;
  });
  return `time_s,displacement_mm,force_N\n${rows.join('\n')}\n`;
}

/** Beams of one bay that are bent by their displacement, with the machine’s files; two more are due on the frame now. */
export async function addBent(
  db: Database,
  { act, read }: Hands,
  sampleId: string,
  castAt: number,
  now: Date,
): Promise<void> {
  await act(
    'field',
    makeSpecimens,
    {
      sampleId,
      castAt: new Date(castAt).toISOString(),
      size: 'beam-6x6x21',
      cure: 'standard',
      groups: [
        { ageDays: 28, count: BEAMS.length },
        { ageDays: Math.round((now.getTime() - castAt) / DAY), count: DUE },
      ],
    },
    castAt,
  );
  const beams = (await specimenViews(db, [sampleId])).filter(({ form }) => form.startsWith('beam'));
  for (const [place, beam] of beams.entries()) {
    const own = BEAMS[place];
    if (!own) continue;
    const at = castAt + 28 * DAY + (40 + 35 * place) * MINUTE;
    const { runId } = await act(
      'laboratory',
      startRun,
      { method: 'beam-bending', specimenId: beam.id },
      at - 12 * MINUTE,
    );
    const peak = Math.max(...own.corners.map(([, newtons]) => newtons)) / 4.4482216;
    await read(
      'laboratory',
      runId,
      {
        machine: 'SF-01',
        calliper: 'CA-01',
        outOfMoistAt: new Date(at - 10 * MINUTE).toISOString(),
        ...Object.fromEntries(
          ['width1', 'width2', 'width3', 'depth1', 'depth2', 'depth3'].map((name, index) => [
            name,
            (6 + 0.05 * ((index + place) % 2)).toFixed(2),
          ]),
        ),
        span: '18.00',
        kind: own.kind,
        loading: 'centre',
        measuredBy: 'crosshead',
        spacers: 'none',
        flush: 'yes',
        zeroed: 'true',
        guarded: 'true',
        speed: '0.0394',
        stops: 'true',
      },
      at - 5 * MINUTE,
      false,
    );
    await act(
      'laboratory',
      keepLoadLog,
      {
        id: randomUUID(),
        runId,
        name: `${beam.label}.csv`,
        data: gzipSync(bentRecord(own.corners, 40 + place)).toString('base64'),
        mapping: {
          delimiter: ',',
          decimalComma: false,
          header: 1,
          time: 0,
          timeUnit: 's',
          load: 2,
          loadUnit: 'N',
          position: 1,
          positionUnit: 'mm',
        },
      },
      at,
    );
    await read(
      'laboratory',
      runId,
      {
        maximumLoad: String(Math.round(peak / 10) * 10),
        testedAt: new Date(Math.round(at / MINUTE) * MINUTE).toISOString(),
        zeroAfter: 'same',
        place: (8.6 + 0.1 * place).toFixed(1),
        ...own.readings,
      },
      at,
      true,
    );
  }
}
