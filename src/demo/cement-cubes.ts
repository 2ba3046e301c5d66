import type { DateTime } from 'luxon';
import type { Database } from '@/db/client';
import { registerSpecimens } from '@/server/actions/register';
import { startRun } from '@/server/actions/runs';
import { specimenViews } from '@/server/queries/dossier';
import type { Readings } from './fresh';
import type { Hands } from './hands';

/** What is read in the cement room. */
export const ROOM = { room: '73.6', waterTemperature: '73.0', balance: 'BL-03' };

/** The mortar of six cubes, begun at a moment: of fixed water, or for the flow. */
export function mortarOf(contact: DateTime, fixed: boolean, sandLot: string): Readings {
  const iso = (at: DateTime): string => at.toISO() ?? '';
  return {
    ...{ ...ROOM, humidity: '55', table: 'FT-01', sandLot, cubes: '6', cement: '500.0', sand: '1375.0' },
    batches: [
      {
        ...{ id: 'b1', contactAt: iso(contact), water: fixed ? '242.5' : '248.0', lifted: '60', drops: '25' },
        ...(fixed
          ? { d1: '8.32', d2: '8.36', d3: '8.28', d4: '8.34' }
          : { d1: '8.40', d2: '8.44', d3: '8.38', d4: '8.42' }),
      },
    ],
    ...{ tamped: '135', tamping: 'right', moulds: 'CM-1, CM-2' },
    cabinetAt: iso(contact.plus({ minutes: 12 })),
    strippedAt: iso(contact.plus({ hours: 23.5 })),
  };
}

/** Cubes of one age, registered and broken each in its window; loads in lbf. */
export async function breakCubes(
  db: Database,
  { act, read }: Hands,
  cubes: {
    readonly sampleId: string;
    readonly contact: DateTime;
    readonly days: number;
    readonly loads: readonly number[];
  },
): Promise<void> {
  const { sampleId, contact, days, loads } = cubes;
  const iso = (at: DateTime): string => at.toISO() ?? '';
  await act(
    'laboratory',
    registerSpecimens,
    {
      ...{ sampleId, how: 'cement-cubes', form: 'mortar-2', count: loads.length, place: 'Lime tank 2' },
      told: { madeAt: iso(contact), ageDays: String(days) },
    },
    contact.plus({ hours: 1 }).toMillis(),
  );
  const made = (await specimenViews(db, [sampleId])).filter(({ ageHours }) => ageHours === days * 24);
  for (const [place, load] of loads.entries()) {
    // Ages are elapsed hours: a clock that is put back between moves nothing.
    const at = contact.plus({ hours: 24 * days, minutes: 4 * place });
    const { runId } = await act(
      'laboratory',
      startRun,
      { method: 'mortar-cube', specimenId: made[place]?.id ?? '' },
      at.toMillis(),
    );
    await read(
      'laboratory',
      runId,
      {
        ...{ found: 'sound', faces: 'cast', machine: 'PR-04', surface: 'moist', maximumLoad: String(load) },
        testedAt: iso(at),
      },
      at.toMillis(),
      true,
    );
  }
}
