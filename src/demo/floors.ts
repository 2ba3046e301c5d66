import { randomUUID } from 'node:crypto';
import type { Database } from '@/db/client';
import { createLot, createSpecification } from '@/server/actions/jobs';
import { drawPlan, placePoints } from '@/server/actions/plan';
import { registerSpecimens } from '@/server/actions/register';
import { startRun } from '@/server/actions/runs';
import { takeSample } from '@/server/actions/samples';
import { type SpecimenView, specimenViews } from '@/server/queries/dossier';
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
  /** Thickness and depth of each hole, in, and the serial number of the sensor that stays in it, where one does. */
  readonly holes: readonly (readonly [thickness: string, depth: string, serial?: string])[];
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
      ['5.5', '2.19', 'RH-0411'],
      ['5.5', '2.25', 'RH-0412'],
      ['5.75', '2.31', 'RH-0413'],
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
        counted: 'zone',
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
  const zones: string[] = [];
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
          pouredAt: iso(from - 118 * DAY),
          enclosedAt: iso(from - 31 * DAY),
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
        how: 'points',
        form: 'slab-hole',
        count: zone.holes.length,
        place: 'As on the plan of the level',
      },
      begun,
    );
    const holes = await pointsOf(db, sampleId, 'slab-hole');
    await drill({ act, read }, holes, zone.holes, begun);
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
    for (const visit of zone.visits)
      await visitHoles(
        { act, read },
        holes,
        visit,
        now.getTime() - visit.daysAgo * DAY,
        visit.daysAgo === 39,
        zone.holes.some(([, , serial]) => serial) ? { pack: 'SP-01' } : undefined,
      );
    zones.push(sampleId);
  }
  await drawHall({ act, read }, db, lotId, zones, now.getTime());
  await readOutAir({ act, read }, lotId, now.getTime() - HOUR);
}

/** The air of the hall over the last days, an hour apart: the doors stood open once. */
async function readOutAir({ act, read }: Hands, lotId: string, at: number): Promise<void> {
  const { runId } = await act('laboratory', startRun, { method: 'service-record', lotId }, at);
  const rows = Array.from({ length: 121 }, (_, hour) => {
    const open = hour === 31;
    const t = open ? 58 : 69 + Math.round(2 * Math.sin((hour * Math.PI) / 12));
    return `${iso(at - (120 - hour) * HOUR)},${t},${open ? 61 : 43 + (hour % 5)}`;
  });
  const values = {
    logger: 'air logger, ticket counter',
    temperature: '70',
    humidity: '45',
    record: ['time,t_f,rh', ...rows].join('\n'),
    readAt: iso(at),
  };
  await read('laboratory', runId, values, at, true);
}

/** The waiting hall from above, m: three zones side by side, the sea wall along the bottom, heating under the café. */
const HALL = { width: 31.4, height: 11 } as const;
const ACROSS = [
  [0.6, 9.24],
  [9.24, 20.76],
  [20.76, 30.8],
] as const;
/** Where the holes of each zone lie, m. */
const LIE: readonly (readonly (readonly [x: number, y: number])[])[] = [
  [
    [1.4, 9.7],
    [6.7, 1.3],
    [6.9, 5.4],
  ],
  [
    [10.6, 9.6],
    [16.9, 1.3],
    [18.6, 9.7],
    [14.8, 5.6],
  ],
  [[25.4, 9.6]],
];

/** The hall is drawn, with its points on it. */
async function drawHall(
  { act }: Hands,
  db: Database,
  lotId: string,
  zones: readonly string[],
  at: number,
): Promise<void> {
  const box = (x1: number, x2: number, y1: number, y2: number) => [
    { x: x1, y: y1 },
    { x: x2, y: y1 },
    { x: x2, y: y2 },
    { x: x1, y: y2 },
  ];
  const drawn = zones.map((sampleId, place) => ({
    sampleId,
    outline: box(ACROSS[place]?.[0] ?? 0, ACROSS[place]?.[1] ?? 1, 0.5, 10.5),
    walls: place === 0 ? [2, 3] : place === 1 ? [0, 2] : [2],
  }));
  const corridors = [{ what: 'heating tubes', outline: box(22.4, 29.2, 2, 4.6) }];
  const flags = [{ what: 'last pour', at: { x: 17.3, y: 2 } }];
  const plan = { id: randomUUID(), lotId, ...HALL, zones: drawn, corridors, flags, locked: false };
  await act('laboratory', drawPlan, plan, at);
  const places = [];
  for (const [place, sampleId] of zones.entries())
    for (const [order, hole] of (await pointsOf(db, sampleId, 'slab-hole')).entries()) {
      const [x, y] = LIE[place]?.[order] ?? [1, 1];
      places.push({ specimenId: hole.id, x: x / HALL.width, y: y / HALL.height });
    }
  await act('laboratory', placePoints, { lotId, places }, at);
}

/** The points of a zone that have a form, in the order of their labels. */
export async function pointsOf(db: Database, sampleId: string, form: string): Promise<SpecimenView[]> {
  return (await specimenViews(db, [sampleId]))
    .filter((each) => each.form === form)
    .toSorted((one, two) => one.label.localeCompare(two.label));
}

const iso = (at: number): string => new Date(Math.round(at / MINUTE) * MINUTE).toISOString();

/** Holes drilled one after the other, each of its thickness and depth. */
export async function drill(
  { act, read }: Hands,
  holes: readonly SpecimenView[],
  sizes: Zone['holes'],
  begun: number,
): Promise<void> {
  for (const [place, hole] of holes.entries()) {
    const [thickness, depth, serial] = sizes[place] ?? ['5.5', '2.19'];
    const sealed = begun + (40 + 14 * place) * MINUTE;
    const asked = { method: 'slab-hole', specimenId: hole.id };
    const { runId } = await act('laboratory', startRun, asked, sealed - 12 * MINUTE);
    const readings = {
      scanned: 'clear',
      thickness,
      thicknessBy: 'pilot',
      drilled: 'dry',
      cleaned: 'true',
      depth,
      lined: 'true',
      ...(serial ? { serial } : {}),
      sealedAt: iso(sealed),
    };
    await read('laboratory', runId, readings, sealed, true);
  }
}

/** All holes of a zone read at one visit. @param by what they are read with; absent: a probe that is brought along */
export async function visitHoles(
  { act, read }: Hands,
  holes: readonly SpecimenView[],
  { daysAgo, slab, room, shows }: Visit,
  from: number,
  first: boolean,
  by: Readonly<Record<string, string>> | undefined = undefined,
): Promise<void> {
  for (const [place, hole] of holes.entries()) {
    const at = from + place * 9 * MINUTE;
    const asked = { method: 'slab-humidity', specimenId: hole.id };
    const { runId } = await act('laboratory', startRun, asked, at - 7 * MINUTE);
    const shown = shows[place] ?? 80;
    const readings = {
      service: first ? 'proven' : 'kept',
      capped: 'true',
      ...(by ?? {
        probe: 'HP-01',
        salt: 'kcl',
        saltTemperature: '74',
        saltShown: '84.3',
        saltAt: iso(at - (3 + (daysAgo % 5)) * DAY),
      }),
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
