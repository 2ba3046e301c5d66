import { randomUUID } from 'node:crypto';
import { DateTime } from 'luxon';
import type { Database } from '@/db/client';
import { makeBatch } from '@/server/actions/make-batch';
import { registerSpecimens } from '@/server/actions/register';
import { startRun } from '@/server/actions/runs';
import { specimenViews } from '@/server/queries/dossier';
import type { Hands } from './hands';
import { JOB } from './scenario';

/** What three cores out of the questioned footing came to, with strength and pieces of their caps; made up. */
const CORES = [
  {
    diameters: ['3.72', '3.71'],
    lengths: ['7.15', '7.40'],
    load: '38,140',
    caps: '3510,0.13,0.14,0.12,0.13,0.15,0.13',
    words: 'Cones on both ends',
  },
  {
    diameters: ['3.71', '3.72'],
    lengths: ['7.05', '7.30'],
    load: '36,520',
    caps: '3360,0.12,0.12,0.13,0.11,0.12,0.14',
    words: 'Cone above, cracks below',
  },
  {
    diameters: ['3.73', '3.72'],
    lengths: ['7.20', '7.40'],
    load: '37,860',
    caps: '3480,0.14,0.13,0.13,0.12,0.14,0.13',
    words: 'Cones on both ends',
  },
] as const;
const PLATE = 'P2';

/**
 * The low test of the scenario is followed up: three cores drilled, bagged, capped together and broken.
 * Nothing is done while the cores would not be broken yet.
 * @param brokenAt when the last cylinder of the low test was broken
 */
export async function addCores(
  db: Database,
  { act, read }: Hands,
  sampleId: string,
  brokenAt: number,
  now: Date,
): Promise<void> {
  const asked = DateTime.fromMillis(brokenAt, { zone: JOB.zone }).plus({ days: 4 });
  const day = asked.weekday > 5 ? asked.plus({ days: 8 - asked.weekday }) : asked;
  const on = (days: number, hour: number, minute: number): DateTime =>
    day.plus({ days }).set({ hour, minute, second: 0, millisecond: 0 });
  const iso = (at: DateTime): string => at.toUTC().toISO() ?? '';
  const tested = on(6, 14, 5);
  if (tested.plus({ hours: 1 }).toMillis() > now.getTime()) return;
  const drilled = on(0, 9, 10);
  const location = 'Footing line, bay 2, mid-height';
  await act(
    'laboratory',
    registerSpecimens,
    {
      ...{ sampleId, how: 'cores', form: 'core-4', count: CORES.length },
      told: { drilledAt: iso(drilled) },
      place: location,
    },
    drilled.plus({ minutes: 50 }).toMillis(),
  );
  const cores = (await specimenViews(db, [sampleId])).filter(({ form: size }) => size.startsWith('core'));

  const batch = await act(
    'laboratory',
    makeBatch,
    { id: randomUUID(), kind: 'capping', specimenIds: cores.map(({ id }) => id) },
    on(6, 9, 5).toMillis(),
  );
  const pours = cores.flatMap(({ label }, place) =>
    [1, 2].map((end) => ({
      specimen: label,
      end: String(end),
      at: iso(on(6, 9, 20 + 9 * place + 4 * end)),
      pot: String(269 + place),
      plate: PLATE,
    })),
  );
  await read(
    'laboratory',
    batch.runId,
    {
      kind: 'sulfur',
      lot: 'SM-04',
      material: 'fresh',
      melts: '1',
      safe: 'true',
      potStart: '269',
      potHottest: '272',
      endsDry: 'true',
      plate: 'Plate 2, guide 1',
      firstCapAt: iso(on(6, 9, 24)),
      lastCapAt: iso(on(6, 9, 46)),
      returnedAt: iso(on(6, 9, 58)),
      pours,
      sounding: 'sound',
      planeness: cores.map(({ label }) => ({ specimen: label, first: 'yes', second: 'yes', third: 'yes' })),
    },
    on(6, 9, 58).toMillis(),
    false,
  );

  for (const [place, core] of cores.entries()) {
    const own = CORES[place];
    if (!own) continue;
    const at = tested.plus({ minutes: 9 * place });
    const { runId } = await act(
      'laboratory',
      startRun,
      { method: 'core-compression', specimenId: core.id },
      at.minus({ minutes: 7 }).toMillis(),
    );
    await read(
      'laboratory',
      runId,
      {
        machine: 'PR-01',
        calliper: 'CA-01',
        drilledAt: iso(drilled.plus({ minutes: 12 * place })),
        baggedAt: iso(drilled.plus({ minutes: 12 * place + 25 })),
        wettedAt: iso(on(0, 13, 30)),
        location,
        member: 'bearing',
        direction: 'perpendicular',
        aggregate: '0.75',
        steel: 'none',
        diameter1: own.diameters[0],
        diameter2: own.diameters[1],
        lengthBefore: own.lengths[0],
        length: own.lengths[1],
        surface: 'moist',
        ends: 'sulfur',
        endsPlane: 'yes',
        spacers: '5 + 4',
        flush: 'yes',
        zeroed: 'true',
        guarded: 'true',
        loadingRate: String(34 + place),
        maximumLoad: own.load,
        testedAt: iso(at),
        zeroAfter: 'same',
        fractureWords: own.words,
      },
      at.toMillis(),
      true,
    );
  }
  const thickness = cores.map(({ label }, place) => {
    const [strength = '', ...pieces] = (CORES[place]?.caps ?? '').split(',');
    return {
      specimen: label,
      strength,
      ...Object.fromEntries(pieces.map((piece, index) => [`t${index + 1}`, piece])),
    };
  });
  await read('laboratory', batch.runId, { thickness }, tested.plus({ minutes: 40 }).toMillis(), true);
}
