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

/** Mean loads of the cubes at 7 days, lbf, shipment by shipment: from the 17th on the mill grinds finer. */
const LOADS = [
  ...[18_420, 18_690, 18_240, 18_550, 18_330, 18_770, 18_480, 18_150, 18_610, 18_380],
  ...[18_260, 18_640, 18_720, 18_190, 18_450, 18_590, 18_980, 19_060, 18_910, 19_040],
];
/** How far second tests of the first ten lie from them, lbf. */
const SECOND = [-210, 240, 180, -160, -290, 190, -130, 260, 90, -220];
/** From this shipment on a new lot of standard sand is used. */
const NEW_SAND = 8;

interface About {
  readonly jobId: string;
  readonly specificationId: string;
  readonly lot: Readonly<Record<string, string>>;
  readonly today: DateTime;
  readonly chance: Chance;
}

/** Shipments of one plant every few days with their cubes at 7 days, ten of them tested twice. */
export async function addSeries(db: Database, hands: Hands, about: About): Promise<void> {
  for (const [order, load] of LOADS.entries()) {
    const day = about.today.minus({ days: 78 - Math.round(order * 3.3) }).startOf('day');
    const lotId = await lotOf(hands, about, order, day);
    const sampleId = await cubesOf(db, hands, about, { lotId, day, load, order, purpose: 'lot' });
    const apart = SECOND[order];
    if (apart !== undefined)
      await cubesOf(db, hands, about, {
        ...{ lotId, order, load: load + apart },
        day: day.plus({ days: 1 }),
        purpose: 'duplicate',
      });
    if (order === LOADS.length - 2)
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
}

async function lotOf({ act }: Hands, about: About, order: number, day: DateTime): Promise<string> {
  const { lotId } = await act(
    'laboratory',
    createLot,
    {
      ...{ jobId: about.jobId, specificationId: about.specificationId, title: `GP ${10 + order} daily` },
      startsAt: day.minus({ days: 1 }).plus({ hours: 7 }).toISO() ?? '',
      about: { ...about.lot, tons: '90' },
    },
    day.plus({ hours: 7 }).toMillis(),
  );
  return lotId;
}

async function cubesOf(
  db: Database,
  { act, read }: Hands,
  { chance }: About,
  one: {
    readonly lotId: string;
    readonly day: DateTime;
    readonly load: number;
    readonly order: number;
    readonly purpose: 'lot' | 'duplicate';
  },
): Promise<string> {
  const { lotId, day, load, order, purpose } = one;
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
  await made('cement-mortar', mortarOf(contact, true, sand), contact.plus({ hours: 24 }));
  const around = [-1, 0, 1].map((off) => Math.round((load + off * chance.between(120, 320)) / 10) * 10);
  await breakCubes(db, { act, read }, { sampleId, contact, days: 7, loads: around });
  return sampleId;
}
