import { randomUUID } from 'node:crypto';
import type { Database } from '@/db/client';
import { createLot, createSpecification } from '@/server/actions/jobs';
import { registerSpecimens } from '@/server/actions/register';
import { startRun } from '@/server/actions/runs';
import { takeSample } from '@/server/actions/samples';
import { specimenViews } from '@/server/queries/dossier';
import type { Hands } from './hands';

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
const DAY = 24 * HOUR;

/** One visit to the holes of a zone: how long ago, the slab, the room, and what each hole shows; made up. */
interface Visit {
  readonly daysAgo: number;
  readonly slab: number;
  readonly room: readonly [fahrenheit: number, percent: number];
  readonly shows: readonly number[];
}

interface Zone {
  readonly name: string;
  readonly area: string;
  readonly walls: string;
  /** Thickness and depth of each hole, in. */
  readonly holes: readonly (readonly [thickness: string, depth: string])[];
  readonly drilledDaysAgo: number;
  readonly visits: readonly Visit[];
  /** pH at each hole, read at the second visit; none where it is still to be read. */
  readonly pH: readonly string[];
}

/** The waiting hall of the terminal: one zone dry, one that rose when the heating came on, one short of holes and not read yet. */
const ZONES: readonly Zone[] = [
  {
    name: 'Zone 1, ticket side',
    area: '930 ft2',
    walls: '2',
    holes: [
      ['5.5', '2.19'],
      ['5.5', '2.25'],
      ['5.75', '2.31'],
    ],
    drilledDaysAgo: 41,
    visits: [
      { daysAgo: 39, slab: 68, room: [69, 44], shows: [88.4, 86.9, 87.6] },
      { daysAgo: 27, slab: 69, room: [70, 43], shows: [86.1, 84.8, 85.3] },
      { daysAgo: 15, slab: 69, room: [70, 41], shows: [83.7, 82.9, 83.2] },
      { daysAgo: 4, slab: 69, room: [70, 42], shows: [81.6, 80.7, 81.1] },
    ],
    pH: ['9', '9.5', '9'],
  },
  {
    name: 'Zone 2, sea side',
    area: '1,240 ft2',
    walls: '3',
    holes: [
      ['5.25', '2.12'],
      ['5.25', '2.06'],
      ['5.5', '2.19'],
      ['5.5', '2.25'],
    ],
    drilledDaysAgo: 41,
    visits: [
      { daysAgo: 39, slab: 61, room: [60, 46], shows: [81.2, 80.4, 82.3, 81.6] },
      { daysAgo: 11, slab: 74, room: [75, 58], shows: [86.6, 85.2, 91.8, 86.1] },
    ],
    pH: ['9.5', '9', '10.5', '9'],
  },
  {
    name: 'Zone 3, café',
    area: '1,080 ft2',
    walls: '1',
    holes: [['6', '2.38']],
    drilledDaysAgo: 1.3,
    visits: [],
    pH: [],
  },
];

/** A slab on grade before its floor goes on, over six weeks. */
export async function addFloors(db: Database, { act, read }: Hands, jobId: string, now: Date): Promise<void> {
  const from = now.getTime() - 44 * DAY;
  const iso = (at: number): string => new Date(Math.round(at / MINUTE) * MINUTE).toISOString();
  const { specificationId } = await act(
    'reviewer',
    createSpecification,
    {
      jobId,
      code: 'PM-FL1',
      title: 'Sheet floor, waiting hall',
      material: 'floor',
      asked: {
        floor: 'resilient',
        humidityMost: '84 %',
        limitFrom: 'data sheet of the glue, named in the floor schedule',
      },
    },
    from,
  );
  const { lotId } = await act(
    'laboratory',
    createLot,
    {
      jobId,
      specificationId,
      startsAt: iso(from),
      title: 'Waiting hall, ground floor',
      about: { location: 'Terminal, level 0' },
    },
    from,
  );
  for (const zone of ZONES) {
    const begun = now.getTime() - zone.drilledDaysAgo * DAY - 2 * HOUR;
    const { sampleId } = await act(
      'laboratory',
      takeSample,
      {
        clientId: randomUUID(),
        lotId,
        sampledAt: iso(begun),
        about: {
          name: zone.name,
          slab: 'grade',
          area: zone.area,
          walls: zone.walls,
          thickness: '5.5 in',
          aggregate: 'normal',
          retarder: 'yes',
          dryingFrom: iso(from - 25 * DAY),
        },
      },
      begun,
    );
    await act(
      'laboratory',
      registerSpecimens,
      {
        sampleId,
        how: 'holes',
        form: 'slab-hole',
        count: zone.holes.length,
        place: 'As on the plan of the level',
      },
      begun,
    );
    const holes = (await specimenViews(db, [sampleId])).toSorted((a, b) => a.label.localeCompare(b.label));
    for (const [place, hole] of holes.entries()) {
      const [thickness, depth] = zone.holes[place] ?? ['5.5', '2.19'];
      const sealed = begun + (40 + 14 * place) * MINUTE;
      const { runId } = await act(
        'laboratory',
        startRun,
        { method: 'slab-hole', specimenId: hole.id },
        sealed - 12 * MINUTE,
      );
      const readings = {
        scanned: 'clear',
        thickness,
        thicknessBy: 'pilot',
        drilled: 'dry',
        cleaned: 'true',
        depth,
        lined: 'true',
        sealedAt: iso(sealed),
      };
      await read('laboratory', runId, readings, sealed, true);
    }
    const [, second] = zone.visits;
    if (second) {
      const at = now.getTime() - second.daysAgo * DAY + HOUR;
      const { runId } = await act('laboratory', startRun, { method: 'surface-ph', sampleId }, at);
      const puddles = zone.pH.map((pH, place) => ({
        place: `H${place + 1}`,
        waited: String(58 + place),
        pH,
      }));
      const readings = { surface: 'ready', water: 'distilled', by: 'paper', puddles, readAt: iso(at) };
      await read('laboratory', runId, readings, at, true);
    }
    for (const { daysAgo, slab, room, shows } of zone.visits)
      for (const [place, hole] of holes.entries()) {
        const at = now.getTime() - daysAgo * DAY + place * 9 * MINUTE;
        const { runId } = await act(
          'laboratory',
          startRun,
          { method: 'slab-humidity', specimenId: hole.id },
          at - 7 * MINUTE,
        );
        const shown = shows[place] ?? 80;
        const readings = {
          service: daysAgo === 39 ? 'proven' : 'kept',
          capped: 'true',
          probe: 'HP-01',
          salt: 'kcl',
          saltTemperature: '74',
          saltShown: '84.3',
          saltAt: iso(at - (3 + (daysAgo % 5)) * DAY),
          slabTemperature: String(slab),
          probeTemperature: String(slab),
          humidityFirst: (shown - 0.3).toFixed(1),
          humidity: shown.toFixed(1),
          airTemperature: String(room[0]),
          airHumidity: String(room[1]),
          readAt: iso(at),
        };
        await read('laboratory', runId, readings, at, true);
      }
  }
}
