import { randomUUID } from 'node:crypto';
import type { Database } from '@/db/client';
import { createLot, createSpecification } from '@/server/actions/jobs';
import { registerSpecimens } from '@/server/actions/register';
import { startRun } from '@/server/actions/runs';
import { takeSample } from '@/server/actions/samples';
import type { SpecimenView } from '@/server/queries/dossier';
import { glueAndPull, type Pulled } from './coatings';
import { drill, pointsOf, visitHoles } from './floors';
import type { Hands } from './hands';

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
const DAY = 24 * HOUR;
const iso = (at: number): string => new Date(Math.round(at / MINUTE) * MINUTE).toISOString();

const PULLS: readonly Pulled[] = [
  { shown: '338', seconds: '17', face: [['A', '100']], broken: '0.19' },
  {
    shown: '296',
    seconds: '14',
    face: [
      ['A', '80'],
      ['A/B', '20'],
    ],
    broken: '0.16',
  },
  {
    shown: '351',
    seconds: '19',
    face: [
      ['A', '90'],
      ['B', '10'],
    ],
    broken: '0.22',
  },
];

/** Grams before and after of the dishes, and the hours they stood open; the last one stands open still. */
const DISHES = [
  ['31.84', '33.12', 65.5],
  ['32.27', '33.68', 66.25],
  ['32.05', null, 62],
] as const;

/** The plant room, before and after its resin floor: every kind of test on one zone, one dish still to be closed. */
export async function addPlantRoom(db: Database, hands: Hands, jobId: string, now: Date): Promise<void> {
  const { act } = hands;
  const from = now.getTime() - 19 * DAY;
  const { specificationId } = await act(
    'reviewer',
    createSpecification,
    {
      jobId,
      code: 'PM-FL2',
      title: 'Resin floor, plant room',
      material: 'floor',
      asked: {
        floor: 'resin',
        layer: 'high-build',
        humidityMost: '82 %',
        emissionMost: '3.5',
        phHigh: '10.5',
        pullOffLeast: '240 psi',
        limitFrom: 'data sheet of the resin floor, named in the floor schedule',
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
      title: 'Plant room, basement',
      about: { location: 'Terminal, level −1' },
    },
    from,
  );
  const { sampleId } = await act(
    'laboratory',
    takeSample,
    {
      clientId: randomUUID(),
      lotId,
      sampledAt: iso(from),
      about: {
        name: 'Pump bay',
        slab: 'below',
        area: '780 ft2',
        walls: '2',
        thickness: '7 in',
        aggregate: 'normal',
        top: 'bare',
        retarder: 'yes',
        pouredAt: iso(from - 150 * DAY),
        dryingFrom: iso(from - 60 * DAY),
      },
    },
    from,
  );
  for (const [form, count, place] of [
    ['slab-hole', 3, 'By both walls and at the drain'],
    ['slab-dish', 3, 'Beside the holes'],
    ['slab-sheet', 1, 'North wall, out of the light'],
    ['dolly', 3, 'Beside the holes'],
  ] as const)
    await act('laboratory', registerSpecimens, { sampleId, how: 'points', form, count, place }, from);
  const holes = await pointsOf(db, sampleId, 'slab-hole');
  await drill(
    hands,
    holes,
    [
      ['7', '2.81'],
      ['7.12', '2.87'],
      ['6.94', '2.75'],
    ],
    from,
  );
  const visit = { daysAgo: 16, slab: 64, room: [65, 51], shows: [80.4, 79.2, 81.1] } as const;
  await visitHoles(hands, holes, visit, from + 3 * DAY, true);
  await survey(hands, sampleId, from + 2 * HOUR);
  await profile(hands, sampleId, from + 4 * DAY);
  await alkali(hands, sampleId, from + 4 * DAY + HOUR);
  const sheets = await pointsOf(db, sampleId, 'slab-sheet');
  await sheet(hands, sheets[0]?.id ?? '', from + 4 * DAY + 6 * HOUR);
  await dishes(hands, await pointsOf(db, sampleId, 'slab-dish'), from + 6 * DAY, now.getTime());
  await glueAndPull(hands, await pointsOf(db, sampleId, 'dolly'), PULLS, now.getTime() - 6 * DAY, {
    dolly: '1.97',
    depth: '0.03',
    cut: 'through',
    film: '18',
    repaired: 'resin of the floor',
  });
}

async function dishes(
  { act, read }: Hands,
  points: readonly SpecimenView[],
  from: number,
  today: number,
): Promise<void> {
  for (const [place, dish] of points.entries()) {
    const [before, after, hours] = DISHES[place] ?? ['32', null, 62];
    const opened = after ? from + place * 20 * MINUTE : today - hours * HOUR;
    const asked = { method: 'slab-emission', specimenId: dish.id };
    const { runId } = await act('laboratory', startRun, asked, opened - 25 * MINUTE);
    const closed = opened + hours * HOUR;
    const readings = {
      service: 'proven',
      surface: 'ground',
      bareAt: iso(opened - 27 * HOUR),
      pH: '9.5',
      kit: `kit ${place + 1} of 6`,
      cover: '72.2',
      dish: '2.81',
      balance: 'BL-03',
      checked: 'true',
      massBefore: before,
      openedAt: iso(opened),
    };
    const end = {
      closedAt: iso(closed),
      found: 'whole',
      lid: 'true',
      massAfter: after ?? '',
      airTemperature: '65',
      airHumidity: '51',
    };
    await read(
      'laboratory',
      runId,
      after ? { ...readings, ...end } : readings,
      after ? closed : opened,
      after !== null,
    );
  }
}

async function survey({ act, read }: Hands, sampleId: string, at: number): Promise<void> {
  const { runId } = await act('laboratory', startRun, { method: 'impedance', sampleId }, at);
  const shown = [
    ['drain', 4.6],
    ['pump 1', 3.9],
    ['pump 2', 3.7],
    ['north wall', 4.3],
    ['west wall', 4.1],
    ['door', 3.4],
    ['hatch', 3.6],
    ['panel', 3.5],
  ] as const;
  const places = shown.map(([place, most]) => ({
    place,
    first: (most - 0.2).toFixed(1),
    second: most.toFixed(1),
    third: (most - 0.1).toFixed(1),
  }));
  const values = {
    meter: 'survey meter, setting concrete',
    scale: 'six',
    checked: 'true',
    alike: 'true',
    places,
    airTemperature: '65',
    airHumidity: '51',
    readAt: new Date(at).toISOString(),
  };
  await read('laboratory', runId, values, at, true);
}

async function profile({ act, read }: Hands, sampleId: string, at: number): Promise<void> {
  const { runId } = await act('laboratory', startRun, { method: 'surface-profile', sampleId }, at);
  const compared = [
    ['drain', '3', '4', '0.021'],
    ['between the pumps', '4', '4', '0.024'],
    ['north wall', '3', '4', '0.019'],
  ] as const;
  const spots = compared.map(([place, low, high, putty]) => ({ place, low, high, putty }));
  const values = { clean: 'true', made: 'blast', spots, comparedAt: new Date(at).toISOString() };
  await read('laboratory', runId, values, at, true);
}

async function alkali({ act, read }: Hands, sampleId: string, at: number): Promise<void> {
  const { runId } = await act('laboratory', startRun, { method: 'surface-ph', sampleId }, at);
  const puddles = ['9.5', '10', '9.5'].map((pH, place) => ({ place: `H${place + 1}`, waited: '61', pH }));
  const values = {
    surface: 'ready',
    water: 'distilled',
    by: 'paper',
    puddles,
    readAt: new Date(at).toISOString(),
  };
  await read('laboratory', runId, values, at, true);
}

async function sheet({ act, read }: Hands, specimenId: string, at: number): Promise<void> {
  const { runId } = await act('laboratory', startRun, { method: 'slab-sheet', specimenId }, at);
  const peeled = at + 17.5 * HOUR;
  const values = {
    surface: 'bare',
    sheet: '18',
    tapedAt: new Date(at).toISOString(),
    slabTemperature: '64',
    sheetTemperature: '63',
    airTemperature: '65',
    airHumidity: '50',
    peeledAt: new Date(peeled).toISOString(),
    taped: 'true',
    drops: 'none',
    concrete: 'same',
  };
  await read('laboratory', runId, values, peeled, true);
}
