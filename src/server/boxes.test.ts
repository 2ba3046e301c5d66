import { eq } from 'drizzle-orm';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { runs } from '@/db/schema';
import { freshDatabase } from '@/testing/database';
import { CAST, makeSample, makeSite, readingsOf, type Site } from '@/testing/site';
import { saveReadings } from './actions/runs';
import { boxedSets } from './queries/boxes';
import { perform } from './use-case';

const HOUR = 3_600_000;
let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
let sampleId = '';
const at = (hours: number): string => new Date(CAST + hours * HOUR).toISOString();
const stamp = async (method: string, values: Record<string, string>): Promise<void> => {
  const found = await site.db.select().from(runs).where(eq(runs.sampleId, sampleId));
  const runId = found.find((run) => run.method === method)?.id ?? '';
  await perform(
    site.db,
    site.actors.field,
    saveReadings,
    { runId, readings: readingsOf(values) },
    new Date(CAST + HOUR),
  );
};
beforeAll(async () => {
  fresh = await freshDatabase();
  site = await makeSite(fresh.db);
  ({ sampleId } = await makeSample(site));
});
afterAll(() => fresh?.close());

const boxed = async (hours: number) =>
  (await boxedSets(site.db, site.actors.field, new Date(CAST + hours * HOUR))).sets;

// ASTM C31/C31M (from memory): collected within 48 h, not moved before 8 h after final set. By common practice concrete at
// 70 °F sets six hours after batching.
it('a set is in its box from the last mould to its collection', async () => {
  expect(await boxed(1)).toEqual([]);
  await stamp('moulding', { finishedAt: at(0) });
  const [set] = await boxed(1);
  expect(set).toMatchObject({
    sampleId,
    collectBy: CAST + 48 * HOUR,
    earliest: null,
    estimated: true,
    over: false,
  });
  expect((await boxed(48.1))[0]?.over).toBe(true);
});

it('may be moved eight hours after the set, estimated first, then measured', async () => {
  await stamp('delivery', { batchedAt: at(-1) });
  await stamp('initial-curing', { method: 'box', meanTemperature: '70' });
  expect(await boxed(2)).toMatchObject([{ earliest: CAST + (-1 + 6 + 8) * HOUR, estimated: true }]);
  await stamp('initial-curing', { setAt: at(4) });
  expect(await boxed(5)).toMatchObject([{ earliest: CAST + 12 * HOUR, estimated: false }]);
});

it('of many only those to be collected first are listed, and the rest is counted', async () => {
  const own = sampleId;
  for (let index = 1; index <= 17; index += 1) {
    ({ sampleId } = await makeSample(site));
    await stamp('moulding', { finishedAt: at(index / 60) });
  }
  sampleId = own;
  const { sets, more } = await boxedSets(site.db, site.actors.field, new Date(CAST + 2 * HOUR));
  expect([sets.length, more]).toEqual([16, 2]);
  expect(sets[0]?.sampleId).toBe(own);
  const order = sets.map(({ collectBy }) => collectBy);
  expect(order).toEqual(order.toSorted((a, b) => a - b));
}, 60_000);

it('is gone from the list once it is collected, and is no client’s', async () => {
  await stamp('initial-curing', { collectedAt: at(20) });
  expect((await boxed(21)).map((set) => set.sampleId)).not.toContain(sampleId);
  await expect(boxedSets(site.db, site.actors.client, new Date(CAST))).rejects.toThrow();
});
