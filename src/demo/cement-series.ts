import { randomUUID } from 'node:crypto';
import type { DateTime } from 'luxon';
import type { Chance } from '@/core/statistics';
import type { Database } from '@/db/client';
import { createLot } from '@/server/actions/jobs';
import { recordFollowUp } from '@/server/actions/reports';
import { startRun } from '@/server/actions/runs';
import { takeSample } from '@/server/actions/samples';
import { breakCubes, mortarOf } from './cement-cubes';
import type { Readings } from './fresh';
import type { Hands } from './hands';

/** What a plant sent over half a year, shipment by shipment. */
interface Series {
  /** How its daily lots are called, before a D and their number. */
  readonly lots: string;
  /** Days between two of them. */
  readonly every: number;
  readonly cement: 'fixed' | 'flow';
  /** Mean loads of cubes at 7 days, lbf; of the newest they are still in the tank. */
  readonly loads: readonly number[];
  /** How far second tests of the first of them lie from them, lbf. */
  readonly second: readonly number[];
  /** The last so many are broken at 3 days as well; at so much of their load, a thousandth of it by another. */
  readonly early: number;
  /** What the sheets of the last lots say: surface in m²/kg. */
  readonly sheets: readonly number[];
  /** Order of the one that a reviewer looked into. */
  readonly looked?: number;
}

/** From the 19th of the first plant on its mill grinds finer; the second one stays as it was. */
export const SERIES: Readonly<Record<'PM-C1' | 'PM-C2', Series>> = {
  'PM-C1': {
    ...{ lots: 'GP', every: 7.6, cement: 'fixed', early: 13, looked: 22 },
    sheets: [368, 371, 366, 370, 367, 369, 374, 377, 379, 382],
    loads: [
      ...[18_420, 18_690, 18_240, 18_550, 18_330, 18_770, 18_480, 18_150, 18_610, 18_380, 18_260, 18_640],
      ...[18_720, 18_190, 18_450, 18_590, 18_310, 18_680, 18_980, 19_060, 18_910, 19_040, 19_130, 18_960],
    ],
    second: [-210, 240, 180, -160, -290, 190, -130, 260, 90, -220],
  },
  'PM-C2': {
    ...{ lots: 'SK', every: 11.4, cement: 'flow', early: 0 },
    sheets: [],
    loads: [
      ...[17_060, 16_840, 17_210, 16_930, 17_120, 16_780, 17_030, 17_180],
      ...[16_890, 17_090, 16_960, 17_240, 16_810, 17_010, 17_150, 16_900],
    ],
    second: [],
  },
};
/** From this shipment on a new lot of standard sand is used. */
const NEW_SAND = 8;
/** The newest of a series: its cubes of 7 days are broken in some days. */
const NEWEST_DAYS_AGO = 5;

interface About {
  readonly jobId: string;
  readonly specificationId: string;
  readonly lot: Readonly<Record<string, string>>;
  readonly today: DateTime;
  readonly chance: Chance;
}

/** Shipments of one plant every few days over half a year with their cubes, the first of them tested twice. */
export async function addSeries(db: Database, hands: Hands, series: Series, about: About): Promise<void> {
  const { loads, every, second, looked, early } = series;
  const cubes = (one: Omit<OneTest, 'cement'>) =>
    cubesOf(db, hands, about, { ...one, cement: series.cement });
  for (const [order, load] of loads.entries()) {
    const back = Math.round((loads.length - 1 - order) * every) + 9;
    const day = about.today.minus({ days: back }).startOf('day');
    const lotId = await lotOf(hands, about, `${series.lots} D${10 + order}`, day);
    const ages = order >= loads.length - early ? [3, 7] : [7];
    const sampleId = await cubes({ lotId, day, load, order, ages, purpose: 'lot' });
    const apart = second[order];
    if (apart !== undefined)
      await cubes({
        ...{ lotId, order, load: load + apart, ages: [7] },
        day: day.plus({ days: 1 }),
        purpose: 'duplicate',
      });
    const surface = series.sheets[order - (loads.length - series.sheets.length)];
    if (surface !== undefined) await sheetOf(hands, sampleId, surface, load, day);
    if (order === looked)
      await hands.act(
        'reviewer',
        recordFollowUp,
        {
          ...{ sampleId, stepId: 'source-looked' },
          note: 'Cubes within their range, sand and moulds as before. Asked the plant for the fineness of this month.',
        },
        day.plus({ days: 9 }).toMillis(),
      );
  }
  if (early === 0) return;
  const day = about.today.minus({ days: NEWEST_DAYS_AGO }).startOf('day');
  const lotId = await lotOf(hands, about, `${series.lots} D${10 + loads.length}`, day);
  const [load, order] = [loads.at(-1) ?? 0, loads.length];
  await cubes({ lotId, day, load, order, ages: [3], purpose: 'lot' });
}

async function lotOf({ act }: Hands, about: About, title: string, day: DateTime): Promise<string> {
  const { lotId } = await act(
    'laboratory',
    createLot,
    {
      ...{ jobId: about.jobId, specificationId: about.specificationId, title },
      startsAt: day.minus({ days: 1 }).plus({ hours: 7 }).toISO() ?? '',
      about: { ...about.lot, tons: '90' },
    },
    day.plus({ hours: 7 }).toMillis(),
  );
  return lotId;
}

/** The sheet that came with a lot, a month’s mean: its surface, and its strength of 7 days. */
async function sheetOf(
  { act, read }: Hands,
  sampleId: string,
  surface: number,
  load: number,
  day: DateTime,
): Promise<void> {
  const typed = day.plus({ days: 8, hours: 9 });
  const at = typed.toMillis();
  const { runId } = await act('laboratory', startRun, { method: 'cement-mill-sheet', sampleId }, at);
  const strength = String(Math.round(load / 40 + (surface % 3)) * 10);
  await read(
    'laboratory',
    runId,
    {
      ...{ sheet: `GP-${surface}`, basis: 'mean', period: 'The month before', readAt: typed.toISO() ?? '' },
      values: [
        { id: 'v1', property: 'surface', value: String(surface), unit: 'm2/kg', school: 'astm' },
        { id: 'v2', property: 'strength-7d', value: strength, unit: 'psi', school: 'astm' },
      ],
    },
    at,
    true,
  );
}

interface OneTest {
  readonly lotId: string;
  readonly day: DateTime;
  readonly load: number;
  readonly order: number;
  readonly cement: Series['cement'];
  readonly ages: readonly number[];
  readonly purpose: 'lot' | 'duplicate';
}

/** Part of the strength of 7 days that is there at 3. */
const AT_THREE = 0.73;

async function cubesOf(
  db: Database,
  { act, read }: Hands,
  { chance }: About,
  { lotId, day, load, order, cement, ages, purpose }: OneTest,
): Promise<string> {
  const iso = (at: DateTime): string => at.toISO() ?? '';
  const taken = day.plus({ hours: 8 });
  const { sampleId } = await act(
    'laboratory',
    takeSample,
    {
      ...{ clientId: randomUUID(), lotId, sampledAt: iso(taken) },
      about: { mode: 'shipment', purpose },
    },
    taken.plus({ minutes: 20 }).toMillis(),
  );
  const contact = taken.plus({ hours: 2 });
  const made = async (method: string, values: Readings, at: DateTime): Promise<void> => {
    const begun = at.minus({ minutes: 30 }).toMillis();
    const { runId } = await act('laboratory', startRun, { method, sampleId }, begun);
    await read('laboratory', runId, values, at.toMillis(), true);
  };
  const received = iso(taken.plus({ hours: 1 }));
  await made(
    'cement-sample',
    {
      ...{ grabs: '4', container: 'tight', lumps: 'none', temperature: '79', mass: '5500', retained: '5.5' },
      ...{ reserve: '2500', receivedAt: received },
    },
    taken.plus({ hours: 1.1 }),
  );
  const sand = order < NEW_SAND ? 'S-11' : 'S-12';
  await made('cement-mortar', mortarOf(contact, cement === 'fixed', sand), contact.plus({ hours: 24 }));
  for (const days of ages) {
    const mean = days === 3 ? load * (AT_THREE + chance.between(-0.006, 0.006)) : load;
    // Two of the early ones are enough for what they are for.
    const places = days === 3 ? [-1, 1] : [-1, 0, 1];
    const loads = places.map((off) => Math.round((mean + off * chance.between(120, 320)) / 10) * 10);
    await breakCubes(db, { act, read }, { sampleId, contact, days, loads });
  }
  return sampleId;
}
