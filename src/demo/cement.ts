import { randomUUID } from 'node:crypto';
import { DateTime } from 'luxon';
import { nextPlace } from '@/core/cement/ring';
import { curveOf, depthAt } from '@/core/cement/setting';
import { Chance } from '@/core/statistics';
import type { Database } from '@/db/client';
import { createLot, createSpecification } from '@/server/actions/jobs';
import { startRun } from '@/server/actions/runs';
import { takeSample } from '@/server/actions/samples';
import { breakCubes, mortarOf, ROOM } from './cement-cubes';
import { addHeat, addHeatNow } from './cement-heat';
import { addSeries, SERIES } from './cement-series';
import type { Readings } from './fresh';
import type { Hands } from './hands';
import { JOB } from './scenario';

/** Where holes go in the demo's ring, mm. */
const RING = { space: 6.35, wall: 10, radius: 30 };

interface Shipment {
  readonly title: string;
  readonly daysAgo: number;
  readonly tons: string;
  readonly sheet: string;
  /** Water of the consistency, percent; initial and final set, min. */
  readonly water: number;
  readonly sets: readonly [initial: number, final: number];
  readonly surface: number;
  /** Loads of cubes at 1, 3 and 7 days, lbf; those that are there. */
  readonly loads: Readonly<Record<number, readonly number[]>>;
}

/** Two plants that the terminal is supplied by. */
const PLANTS = [
  {
    code: 'PM-C1',
    title: 'Cement of Gull Point works',
    asked: { cementType: 'c150.II', edition: '2024' },
    lot: { plant: 'Gull Point works', silo: 'silo 3' },
    shipments: [
      {
        ...{
          title: 'GP 31',
          daysAgo: 34,
          tons: '210',
          sheet: 'GP-31-07',
          water: 25.8,
          sets: [128, 246],
          surface: 372,
        },
        loads: { 3: [13_420, 13_610, 13_290], 7: [18_310, 18_760, 18_540] },
      },
      {
        ...{
          title: 'GP 34',
          daysAgo: 9,
          tons: '185',
          sheet: 'GP-34-02',
          water: 26.1,
          sets: [124, 241],
          surface: 379,
        },
        loads: { 3: [13_880, 14_050, 13_760], 7: [18_930, 19_210, 18_820] },
      },
    ],
  },
  {
    code: 'PM-C2',
    title: 'Limestone cement of Skerry works',
    asked: { cementType: 'c595.IL', edition: '2024' },
    lot: { plant: 'Skerry works', silo: 'silo 1' },
    shipments: [
      {
        ...{
          title: 'SK 118',
          daysAgo: 12,
          tons: '140',
          sheet: 'SK-118',
          water: 26.9,
          sets: [112, 219],
          surface: 448,
        },
        loads: { 3: [13_150, 13_300, 12_980], 7: [16_940, 17_320, 14_980] },
      },
    ],
  },
] as const satisfies readonly {
  readonly code: string;
  readonly title: string;
  readonly asked: Readonly<Record<string, string>>;
  readonly lot: Readonly<Record<string, string>>;
  readonly shipments: readonly Shipment[];
}[];

type Row = Readonly<Record<string, string>>;

/** What the plant's sheet says of the newest shipment. */
const SHEET = [
  ['strength-3d', '3640', 'psi'],
  ['strength-7d', '4980', 'psi'],
  ['surface', '356', 'm2/kg'],
  ['initial', '131', 'min'],
  ['final', '252', 'min'],
  ['consistency', '25.8', 'percent'],
  ['so3', '2.94', 'percent'],
] as const;

/** What was put aside of it, and taken out so far. */
const PORTIONS = (first: string, second: string, third: string): Readings => ({
  portions: [
    { id: 'p1', name: 'A', use: 'tests', mass: '3390', place: 'Shelf 4' },
    { id: 'p2', name: 'R', use: 'reserve', mass: '2210', place: 'Shelf 5, sealed' },
  ],
  taken: [
    { id: 't1', name: 'A', mass: '1300', purpose: 'consistency, two pastes', at: first },
    { id: 't2', name: 'A', mass: '650', purpose: 'setting', at: second },
    { id: 't3', name: 'A', mass: '740', purpose: 'nine cubes', at: third },
  ],
});

/** Falls of a needle on a paste that sets so, up to a minute; places as the ring proposes them. */
function fallsOf(
  [initial, final]: readonly [number, number],
  at: (minutes: number) => string,
  upTo: number,
  chance: Chance,
): Row[] {
  const curve = curveOf(initial, final, 25, 40);
  const holes: { x: number; y: number }[] = [];
  const fall = (minutes: number, more: Row = {}): Row => {
    const place = nextPlace(holes, RING) ?? { x: 0, y: 0 };
    holes.push(place);
    const depth = Math.min(
      40,
      depthAt(curve, minutes, 40) + (depthAt(curve, minutes, 40) > 2 ? chance.between(-0.6, 0.6) : 0),
    );
    return {
      ...{
        id: `f${holes.length}`,
        at: at(minutes),
        depth: (Math.round(depth * 2) / 2).toFixed(1),
        wrong: 'nothing',
      },
      ...{ settled: '30', x: String(place.x), y: String(place.y) },
      ...more,
    };
  };
  const rows: Row[] = [];
  for (let minutes = 38; minutes <= Math.min(upTo, final - 1); minutes += 15)
    rows.push(fall(minutes, minutes > initial + 60 ? { circle: 'whole' } : {}));
  if (upTo > final + 2)
    for (const after of [0, 0.7, 1.3]) rows.push(fall(final + after, { circle: 'none', depth: '0' }));
  return rows;
}

/** The cements of the terminal: shipments of two plants with their tests, a ring under the needle right now. */
export async function addCements(
  db: Database,
  { act, read }: Hands,
  jobId: string,
  now: Date,
): Promise<void> {
  const chance = new Chance(7331);
  const today = DateTime.fromJSDate(now, { zone: JOB.zone });
  for (const plant of PLANTS) {
    const { specificationId } = await act(
      'reviewer',
      createSpecification,
      { jobId, material: 'cement', code: plant.code, title: plant.title, asked: plant.asked },
      today.minus({ days: 189 }).toMillis(),
    );
    for (const shipment of plant.shipments)
      await addShipment(db, { act, read }, { jobId, specificationId, plant, shipment, today, chance });
    await addSeries(db, { act, read }, SERIES[plant.code], {
      ...{ jobId, specificationId, lot: plant.lot, today, chance },
    });
  }
}

interface ShipmentAbout {
  readonly jobId: string;
  readonly specificationId: string;
  readonly plant: (typeof PLANTS)[number];
  readonly shipment: Shipment;
  readonly today: DateTime;
  readonly chance: Chance;
}

async function addShipment(db: Database, { act, read }: Hands, about: ShipmentAbout): Promise<void> {
  const { jobId, specificationId, plant, shipment, today, chance } = about;
  const day = today.minus({ days: shipment.daysAgo }).startOf('day');
  const iso = (at: DateTime): string => at.toISO() ?? '';
  const on = (days: number, hour: number, minute = 0): DateTime =>
    day.plus({ days, hours: hour, minutes: minute });
  const { lotId } = await act(
    'laboratory',
    createLot,
    {
      ...{ jobId, specificationId, title: shipment.title, startsAt: iso(on(-6, 7)) },
      about: { ...plant.lot, tons: shipment.tons, millSheet: shipment.sheet },
    },
    on(-1, 9).toMillis(),
  );
  const { sampleId } = await act(
    'laboratory',
    takeSample,
    {
      ...{ clientId: randomUUID(), lotId, sampledAt: iso(on(0, 8)) },
      about: { mode: 'shipment', purpose: 'lot' },
    },
    on(0, 9).toMillis(),
  );
  const made = async (method: string, values: Readings, at: DateTime, whole = true): Promise<void> => {
    const { runId } = await act(
      'laboratory',
      startRun,
      { method, sampleId },
      at.minus({ minutes: 40 }).toMillis(),
    );
    await read('laboratory', runId, values, at.toMillis(), whole);
  };
  const room = ROOM;
  await made(
    'cement-sample',
    {
      ...{ grabs: '4', container: 'tight', lumps: 'none', temperature: '81', mass: '5600', retained: '7.5' },
      ...{ reserve: '2200', receivedAt: iso(on(0, 9, 30)) },
    },
    on(0, 9, 40),
  );
  const grams = (percent: number): string => (6.5 * percent).toFixed(1);
  await made(
    'cement-consistency',
    {
      ...{ ...room, humidity: '54', vicat: 'VN-01', cement: '650.0', finishedAt: iso(on(0, 10, 40)) },
      pastes: [
        {
          id: 'p1',
          contactAt: iso(on(0, 10, 2)),
          water: grams(shipment.water - 0.9),
          released: '23',
          depth: '7.5',
          paste: 'fresh',
        },
        {
          id: 'p2',
          contactAt: iso(on(0, 10, 24)),
          water: grams(shipment.water),
          released: '21',
          depth: '10.5',
          paste: 'fresh',
        },
      ],
    },
    on(0, 10, 45),
  );
  const ring = (contact: DateTime, upTo: number, finished: boolean): Readings => ({
    ...{
      ...room,
      cabinet: '73.4',
      vicat: 'VN-01',
      cement: '650.0',
      water: grams(Math.round(shipment.water * 2) / 2),
    },
    ...{ paste: 'fresh', contactAt: iso(contact), mouldedAt: iso(contact.plus({ minutes: 7 })) },
    falls: fallsOf(
      shipment.sets,
      (minutes) => iso(contact.plus({ seconds: Math.round(minutes * 60) })),
      upTo,
      chance,
    ),
    ...(finished ? { finishedAt: iso(contact.plus({ minutes: shipment.sets[1] + 6 })) } : {}),
  });
  await made('cement-setting', ring(on(0, 11), 999, true), on(0, 15, 40));
  const standard = {
    cell: 'PC-01',
    balance: 'BL-03',
    standardSurface: '379.2',
    standardTime: '84.8',
    standardTemperature: '23.0',
  };
  const time = (surface: number): string => (84.8 * (surface / 379.2) ** 2).toFixed(1);
  await made(
    'cement-surface',
    {
      ...{
        ...standard,
        standardDensity: '3.15',
        standardPorosity: '0.500',
        volume: '1.882',
        density: '3.15',
        porosity: '0.500',
      },
      beds: [1.5, -1.5].map((off, place) => ({
        id: `b${place}`,
        mass: '2.964',
        time: time(shipment.surface + off),
        temperature: '23.4',
      })),
      finishedAt: iso(on(1, 9)),
    },
    on(1, 9, 10),
  );
  const fixed = plant.asked.cementType.startsWith('c150');
  const contact = on(1, 10);
  await made('cement-mortar', mortarOf(contact, fixed, 'S-12'), contact.plus({ hours: 24 }));
  for (const [age, loads] of Object.entries(shipment.loads))
    await breakCubes(db, { act, read }, { sampleId, contact, days: Number(age), loads });
  if (shipment.daysAgo < 10)
    await addHeat({ act, read }, sampleId, on(0, 16), { sulfate: 3.1, fineness: shipment.surface });
  if (shipment.daysAgo < 10) {
    await made(
      'cement-portions',
      PORTIONS(iso(on(0, 10)), iso(on(0, 11)), iso(on(1, 9))),
      on(1, 9, 30),
      false,
    );
    await made(
      'cement-mill-sheet',
      {
        ...{ sheet: shipment.sheet, basis: 'composite', period: 'Three days before it left' },
        values: SHEET.map(([property, value, unit], place) => ({
          ...{ id: `v${place}`, property, value, unit, school: 'astm' },
        })),
      },
      on(8, 9),
      false,
    );
  }
  if (plant.code === 'PM-C2') await addHeatNow({ act, read }, sampleId, today);
  // The newest shipment has a second ring under the needle now: the next fall is due in a few minutes.
  if (shipment.daysAgo < 10) {
    const begun = today.minus({ minutes: 118 });
    const { runId } = await act(
      'laboratory',
      startRun,
      { method: 'cement-setting', sampleId },
      begun.toMillis(),
    );
    await read('laboratory', runId, ring(begun, 114, false), today.minus({ minutes: 5 }).toMillis(), false);
  }
}
