import { randomUUID } from 'node:crypto';
import { gzipSync } from 'node:zlib';
import type { DateTime } from 'luxon';
import {
  calorimeterCsv,
  guessHeat,
  SimulatedCalorimeter,
  type SimulatedCell,
  STAND_IN_CELLS,
  STARTED_BEFORE,
} from '@/core/calorimetry';
import { keepRecord } from '@/server/actions/records';
import { startRun } from '@/server/actions/runs';
import type { Readings } from './fresh';
import type { Hands } from './hands';

const HOUR_S = 3600;
/** Hours of baseline before the first water. */
const BEFORE = 2;

interface Cell {
  readonly name: string;
  readonly what: string;
  readonly mixed: { readonly cement: number; readonly water: number; readonly sulfate?: number };
  readonly paste: number;
  readonly admixture?: string;
  /** Hours of the record at which water met its cement, and minutes later that it was put in. */
  readonly contact: number;
  readonly insertedAfter: number;
}

/** What is typed of cells whose record began then. */
function cellsOf(cells: readonly Cell[], began: DateTime): Readings {
  const at = (hours: number): string => began.plus({ seconds: Math.round(hours * HOUR_S) }).toISO() ?? '';
  return {
    cells: cells.map(({ name, what, mixed, paste, admixture, contact, insertedAfter }, place) => ({
      ...{ id: `c${place + 1}`, channel: name, what, paste: paste.toFixed(2) },
      ...{ cement: mixed.cement.toFixed(2), water: mixed.water.toFixed(2) },
      ...(mixed.sulfate ? { sulfate: mixed.sulfate.toFixed(3) } : {}),
      ...(admixture ? { admixture } : {}),
      ...{ contactAt: at(contact), insertedAt: at(contact + insertedAfter / 60) },
      ...{ reference: 'water', referenceWater: (0.5432 * (paste / 12) * 10).toFixed(2), lost: '0.003' },
    })),
  };
}

const READY: Readings = {
  ...{
    calorimeter: 'HC-01',
    balance: 'BL-03',
    bath: '23.02',
    mixed: 'outside',
    conditioned: '20',
    range: '80',
  },
};

/** A shipment’s heat over a week: twice as it came, and once with the retarder of the job. */
export async function addHeat(
  hands: Hands,
  sampleId: string,
  began: DateTime,
  cement: SimulatedCell['cement'],
): Promise<void> {
  const cells: Cell[] = [0, 1, 2].map((place) => ({
    ...{
      name: String(place + 1),
      contact: BEFORE + place * 0.2,
      insertedAfter: 5,
      paste: 12.4 + 0.05 * place,
    },
    mixed: { cement: 10, water: 5 },
    what: place < 2 ? 'as it came' : 'held back',
    ...(place < 2 ? {} : { admixture: 'Retarder of the job, 0.25 %' }),
  }));
  const simulated = cells.map(
    ({ name, paste, contact, insertedAfter }, place): SimulatedCell => ({
      ...{ name, contact, insertedAfter, grams: (paste * 10) / 15, level: 0.03 * (place - 1), warmer: 0.3 },
      cement: place < 2 ? cement : { ...cement, lag: 2.6 },
      inertFrom: 168 + BEFORE + 1,
    }),
  );
  const hours = 168 + BEFORE + 4;
  const text = calorimeterCsv(
    new SimulatedCalorimeter(41, simulated, began.toMillis(), hours * HOUR_S).run(0),
  );
  const ended = began.plus({ hours });
  const { runId } = await hands.act(
    'laboratory',
    startRun,
    { method: 'cement-heat', sampleId },
    began.toMillis(),
  );
  await hands.act(
    'laboratory',
    keepRecord,
    {
      ...{ id: randomUUID(), runId, field: 'record', name: 'HC-01 week.csv' },
      data: gzipSync(text).toString('base64'),
      mapping: guessHeat(text)?.mapping,
    },
    ended.toMillis(),
  );
  await hands.read(
    'laboratory',
    runId,
    {
      ...READY,
      ...cellsOf(cells, began),
      days: '7',
      inertAt: began.plus({ hours: 168 + BEFORE + 1 }).toISO() ?? '',
      finishedAt: ended.toISO() ?? '',
    },
    ended.toMillis(),
    true,
  );
}

/** What stands in the calorimeter now: a series of sulfate beside two admixtures, its record still in its memory. */
export async function addHeatNow(hands: Hands, sampleId: string, now: DateTime): Promise<void> {
  const began = now.minus({ hours: STARTED_BEFORE });
  const { runId } = await hands.act(
    'laboratory',
    startRun,
    { method: 'cement-heat', sampleId },
    began.toMillis(),
  );
  await hands.read(
    'laboratory',
    runId,
    {
      ...READY,
      ...cellsOf(STAND_IN_CELLS, began),
      ...{ days: '3', sulfate: '2.2', sulfateAs: 'gypsum', purity: '94' },
    },
    began.plus({ hours: 4 }).toMillis(),
    false,
  );
}
