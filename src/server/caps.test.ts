import { eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { equipment, waits } from '@/db/schema';
import { freshDatabase } from '@/testing/database';
import { type Delivery, deliver } from '@/testing/masonry';
import { makeSite, readingsOf, type Site } from '@/testing/site';
import { addEquipment, describeCompound, recordLotStrength } from './actions/gear';
import { completeRun, saveReadings } from './actions/runs';

// Caps of masonry as they reach the break: each unit answers for its own, and the pot for its sheet.

let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
let lot: Delivery;
let sampleId = '';
let compound = '';
beforeAll(async () => {
  fresh = await freshDatabase();
  site = await makeSite(fresh.db);
  lot = await deliver(site);
  sampleId = await lot.set();
  const made = await lot.act(
    addEquipment,
    { number: 'SUL-1', kind: 'capping compound', name: 'Sulfur of the test', place: 'Bay' },
    1,
  );
  compound = made.equipmentId;
  await lot.act(
    recordLotStrength,
    { equipmentId: compound, verifiedOn: '2031-05-13', loads: '25,200 24,600 24,900', system: 'US' },
    1,
  );
});
afterAll(() => fresh?.close());

const pour = (specimen: string, end: string, hours: number, pot = '298') => ({
  specimen,
  end,
  at: lot.at(hours),
  pot,
});
const three = async () => (await lot.views(sampleId)).slice(0, 3);
const broken = async (place: number, hours: number) => {
  const unit = (await three())[place];
  if (!unit) throw new Error('no unit');
  return lot.test(
    'unit-compression',
    unit,
    {
      machine: 'TST-PRESS',
      moisture: 'none',
      width1: '7.62',
      width2: '7.62',
      height1: '7.62',
      height2: '7.62',
      length1: '15.63',
      length2: '15.63',
      zeroed: true,
      guarded: true,
      secondHalf: '90',
      maximumLoad: '170,000',
      testedAt: lot.at(hours),
    },
    hours,
    false,
  );
};
describe('the sheet of a compound', () => {
  const sheet = (potLow: string, potHigh: string) =>
    lot.act(describeCompound, { equipmentId: compound, potLow, potHigh }, 2);
  it('is refused at its field where it cannot be', async () => {
    await expect(sheet('warm', '300 °F')).rejects.toMatchObject({ errors: { potLow: expect.any(String) } });
    await expect(sheet('300 °F', '290 °F')).rejects.toMatchObject({
      errors: { potHigh: expect.stringContaining('warmer') },
    });
    await expect(sheet('290 °F', '900 °F')).rejects.toMatchObject({
      errors: { potHigh: expect.any(String) },
    });
  });
  it('is kept beside what the lot is qualified to', async () => {
    await sheet('290 °F', '305 °F');
    const [row] = await site.db.select().from(equipment).where(eq(equipment.id, compound));
    expect(row?.compound).toMatchObject({
      potLow: expect.stringContaining('290'),
      potHigh: expect.stringContaining('305'),
    });
  });
});

it('a batch of sulfur caps is held to its sheet, waits for its refill, and its bad cap goes with its own unit', async () => {
  const units = await three();
  const labels = units.map(({ label }) => label);
  const runId = await lot.together(
    'capping',
    units,
    {
      kind: 'sulfur',
      lot: 'SUL-1',
      safe: true,
      levelled: true,
      potStart: '298',
      pours: labels.flatMap((label) => [pour(label, '1', 10), pour(label, '2', 10.2)]),
      lastCapAt: lot.at(10.2),
      inspected: [
        { specimen: labels[0], end: '1', thickness: '0.09', look: 'sound' },
        { specimen: labels[1], end: '2', thickness: '0.16', look: 'sound' },
      ],
      sounding: 'sound',
    },
    10.5,
    false,
  );
  const waiting = async () =>
    (await site.db.select().from(waits).where(eq(waits.owner, runId))).map(({ key, doneAt }) => [
      key.split('/')[0],
      doneAt !== null,
    ]);
  expect((await waiting()).filter(([key]) => key === 'refill')).toEqual([['refill', false]]);
  await lot.act(saveReadings, { runId, readings: readingsOf({ addedAt: lot.at(11) }) }, 11);
  expect((await waiting()).filter(([key]) => key === 'refill')).toEqual([['refill', true]]);
  await lot.act(completeRun, { runId, reasons: [] }, 11);
  // The wait at the press outlives the batch.
  expect((await waiting()).filter(([key]) => key === 'break')).toHaveLength(3);
  const bad = await broken(1, 13);
  // Its own cap is too thick: that takes a reason; its neighbour’s does not.
  await expect(lot.act(completeRun, { runId: bad, reasons: [] }, 13)).rejects.toMatchObject({
    errors: expect.objectContaining({ 'reason.caps.batch-0': expect.any(String) }),
  });
  const good = await broken(0, 13.1);
  await expect(lot.act(completeRun, { runId: good, reasons: [] }, 13.1)).rejects.not.toMatchObject({
    errors: expect.objectContaining({ 'reason.caps.batch-0': expect.any(String) }),
  });
});
