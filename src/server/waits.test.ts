import { randomUUID } from 'node:crypto';
import { and, eq, sql } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { runs, specimens, waits } from '@/db/schema';
import { freshDatabase } from '@/testing/database';
import { AT_28_DAYS, breakSpecimen, CAST, makeSample, makeSite, readingsOf, type Site } from '@/testing/site';
import { changeLimit } from './actions/gear';
import { makeBatch } from './actions/make-batch';
import { letClientSee } from './actions/people';
import { completeRun, saveReadings, startRun } from './actions/runs';
import { recordEvent } from './actions/specimens';
import { addStorage, recordDuty } from './actions/storage';
import { perform } from './perform';
import { dayList, siteWaits } from './queries/today';
import type { UseCase } from './use-case';
import { rebuildWaits } from './waits';

const HOUR = 3_600_000;
const METHOD = 'cylinder-compression';
const WAIT = 'cylinder.out-of-moist';
let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
let sampleId = '';
let specimenIds: string[] = [];
const at = (hours: number): string => new Date(CAST + hours * HOUR).toISOString();
const act = <I extends object, R>(who: keyof Site['actors'], what: UseCase<I, R>, data: object, hours = 1) =>
  perform(site.db, site.actors[who], what, data, new Date(CAST + hours * HOUR));
const stamp = (method: string, values: Record<string, string>): Promise<void> =>
  stampOf(sampleId, method, values);
const stampOf = async (sample: string, method: string, values: Record<string, string>): Promise<void> => {
  const found = await site.db.select().from(runs).where(eq(runs.sampleId, sample));
  const runId = found.find((run) => run.method === method)?.id ?? '';
  await act('field', saveReadings, { runId, readings: readingsOf(values) });
};
/** What is kept of an owner's waits, hours after the casting. */
const kept = async (owner: string, key: string) => {
  const [row] = await site.db
    .select()
    .from(waits)
    .where(and(eq(waits.owner, owner), eq(waits.key, key)));
  const hours = (instant: Date | null | undefined) => (instant ? (instant.getTime() - CAST) / HOUR : null);
  return row && { opens: hours(row.opensAt), closes: hours(row.closesAt), done: hours(row.doneAt) };
};
const rebuilt = (hours: number) =>
  site.db.transaction((tx) => rebuildWaits(tx, new Date(CAST + hours * HOUR)));
const onSite = async (hours: number) =>
  (await siteWaits(site.db, site.actors.field, new Date(CAST + hours * HOUR))).waits.filter(
    (wait) => wait.sampleId === sampleId,
  );

beforeAll(async () => {
  fresh = await freshDatabase();
  site = await makeSite(fresh.db);
  ({ sampleId, specimenIds } = await makeSample(site));
});
afterAll(() => fresh?.close());

describe('the age of a specimen', () => {
  // ASTM C39/C39M (from memory): 28 d within 20 h.
  it('waits for its break from when it is made, and is done when it is broken', async () => {
    const [first = '', second = ''] = specimenIds;
    expect(await kept(first, 'age')).toEqual({ opens: 652, closes: 692, done: null });
    await breakSpecimen(site, second, '57,900', AT_28_DAYS);
    expect(await kept(second, 'age')).toMatchObject({ done: 672 });
    const [held] = await site.db.select().from(specimens).where(sql`age_hours IS NULL`);
    expect(await kept(held?.id ?? '', 'age')).toBeUndefined();
  });

  it('is listed with its companions, and not when it is not there any more', async () => {
    const day = async () =>
      (await dayList(site.db, site.actors.laboratory, new Date(AT_28_DAYS))).sets
        .filter(({ lane, doneAt }) => lane === 'press' && doneAt === null)
        .map((set) => set.specimens.map(({ doneAt }) => doneAt !== null));
    expect(await day()).toEqual([[false, true, false]]);
    const lost = { specimenId: specimenIds[0], kind: 'discarded', note: 'Fell off the barrow', at: at(30) };
    await act('laboratory', recordEvent, lost, 31);
    expect(await day()).toEqual([[true, false]]);
  });
});

// ASTM C31/C31M (from memory): collected within 48 h, not moved before 8 h after final set. By common practice concrete at
// 70 °F sets six hours after batching.
describe('a box on site', () => {
  it('waits from the last mould to its collection', async () => {
    expect(await onSite(1)).toEqual([]);
    await stamp('moulding', { finishedAt: at(0) });
    expect(await onSite(1)).toMatchObject([
      {
        what: 'Collect the specimens',
        opensAt: CAST,
        closesAt: CAST + 48 * HOUR,
        provisional: expect.stringMatching(/not known/),
      },
    ]);
  });

  it('may be moved eight hours after the set, estimated first, then measured', async () => {
    await stamp('delivery', { batchedAt: at(-1) });
    await stamp('initial-curing', { method: 'box', meanTemperature: '70' });
    expect(await onSite(2)).toMatchObject([
      { opensAt: CAST + (-1 + 6 + 8) * HOUR, provisional: 'by an estimated set' },
    ]);
    await stamp('initial-curing', { setAt: at(4) });
    expect(await onSite(5)).toMatchObject([{ opensAt: CAST + 12 * HOUR, provisional: null }]);
  });

  it('moves with the limit it hangs on, when the laboratory or its project sets another', async () => {
    const limit = {
      limitId: 'curing.initial',
      status: 'set by the project',
      jobId: site.jobId,
      edition: 'Job manual',
      note: 'Collected sooner',
      values: { both: { high: '36' } },
    };
    await act('manager', changeLimit, limit);
    // A run is held to the register as it stood when it began.
    expect(await onSite(5)).toMatchObject([{ closesAt: CAST + 48 * HOUR }]);
    expect(await rebuilt(5)).toMatchObject({ changed: 0 });
  });

  it('is done once it is collected, and what follows is waited for', async () => {
    await stamp('initial-curing', { collectedAt: at(20), leftAt: at(20.5) });
    expect(await onSite(21)).toMatchObject([{ what: 'Reach the laboratory', closesAt: CAST + 24.5 * HOUR }]);
    await stamp('initial-curing', { receivedAt: at(22) });
    expect(await onSite(23)).toEqual([]);
    expect(await kept(await runOf('initial-curing'), 'collect')).toMatchObject({ done: 20 });
  });

  it('is a client’s nowhere: theirs is when their specimens are broken', async () => {
    const { client } = site.actors;
    await expect(siteWaits(site.db, client, new Date(CAST))).rejects.toThrow();
    const { sampleId: boxed } = await makeSample(site);
    await stampOf(boxed, 'moulding', { finishedAt: at(651) });
    await act('manager', letClientSee, { personId: client.id, jobId: site.jobId });
    const lanes = async (who: keyof Site['actors']) => {
      const { sets } = await dayList(site.db, site.actors[who], new Date(CAST + 652 * HOUR));
      return [...new Set(sets.map(({ lane }) => lane))].toSorted();
    };
    expect(await lanes('laboratory')).toEqual(['field', 'press']);
    expect(await lanes('client')).toEqual(['press']);
  });

  it('of many only those to be done first are listed, and the rest is counted', async () => {
    for (let index = 1; index <= 18; index += 1) {
      ({ sampleId } = await makeSample(site));
      await stamp('moulding', { finishedAt: at(index / 60) });
    }
    const { waits: listed, more } = await siteWaits(site.db, site.actors.field, new Date(CAST + 2 * HOUR));
    expect([listed.length, more]).toEqual([16, 3]);
    const order = listed.map(({ closesAt }) => closesAt);
    expect(order).toEqual(order.toSorted((a, b) => a - b));
  }, 60_000);

  it('misses nothing when two people stamp the same sample at the same moment', async () => {
    for (let turn = 0; turn < 4; turn += 1) {
      ({ sampleId } = await makeSample(site));
      await Promise.all([
        stamp('moulding', { finishedAt: at(0) }),
        stamp('delivery', { batchedAt: at(-1) }),
        stamp('initial-curing', { method: 'box', setAt: at(3 + turn) }),
      ]);
      expect(await onSite(5)).toMatchObject([
        { opensAt: CAST + (11 + turn) * HOUR, closesAt: CAST + 36 * HOUR, provisional: null },
      ]);
    }
  });
});

async function runOf(method: string): Promise<string> {
  const found = await site.db
    .select()
    .from(runs)
    .where(and(eq(runs.sampleId, sampleId), eq(runs.method, method)));
  return found[0]?.id ?? '';
}

// The laboratory's own row: three hours from the moist room to the break.
describe('a specimen out of the moist room', () => {
  it('waits at the press for its break, in the laboratory’s list and no client’s, until it is broken', async () => {
    const { specimenIds: made } = await makeSample(site);
    const { runId } = await act('laboratory', startRun, { specimenId: made[0], method: METHOD }, 671);
    const save = (values: Record<string, string>, hours: number) =>
      act('laboratory', saveReadings, { runId, readings: readingsOf(values) }, hours);
    await save({ surface: 'moist' }, 671);
    expect(await kept(runId, WAIT)).toBeUndefined();
    await save({ outOfMoistAt: at(671) }, 671);
    expect(await kept(runId, WAIT)).toEqual({ opens: 671, closes: 674, done: null });
    const listed = async (who: keyof Site['actors']) =>
      (await dayList(site.db, site.actors[who], new Date(AT_28_DAYS))).sets.filter(
        ({ what }) => what === 'Break it before it dries',
      );
    expect(await listed('laboratory')).toMatchObject([
      { lane: 'press', href: `/runs/${runId}`, specimens: [{ id: made[0] }] },
    ]);
    await act('manager', letClientSee, { personId: site.actors.client.id, jobId: site.jobId });
    expect(await listed('client')).toEqual([]);
    expect(await rebuilt(672)).toMatchObject({ changed: 0 });
    await save({ testedAt: at(672) }, 672);
    expect(await kept(runId, WAIT)).toBeUndefined();
    expect(await rebuilt(672)).toMatchObject({ changed: 0 });
  });
});

// ASTM C617/C617M (from memory): 2 h, from 5,000 psi 16 h.
describe('caps', () => {
  it('harden each from its own youngest, and end by themselves', async () => {
    const made = await makeSample(site);
    const [a = '', b = ''] = made.specimenIds;
    const { runId } = await act(
      'laboratory',
      makeBatch,
      { id: randomUUID(), kind: 'capping', specimenIds: [a, b] },
      650,
    );
    const [one] = await site.db.select().from(specimens).where(eq(specimens.id, a));
    await act(
      'laboratory',
      saveReadings,
      {
        runId,
        readings: readingsOf({
          lastCapAt: at(651),
          'pours/r1/specimen': one?.label ?? '',
          'pours/r1/end': '2',
          'pours/r1/at': at(650.5),
        }),
      },
      651,
    );
    const hard = await site.db.select().from(waits).where(eq(waits.owner, runId));
    const hours = hard.map(({ specimenId, doneAt }) => [
      specimenId,
      ((doneAt?.getTime() ?? 0) - CAST) / HOUR,
    ]);
    const wait = Number(hours.find(([id]) => id === b)?.[1]) - 651;
    expect([2, 16]).toContain(wait);
    expect(hours).toEqual(
      expect.arrayContaining([
        [a, 650.5 + wait],
        [b, 651 + wait],
      ]),
    );
    const { sets } = await dayList(site.db, site.actors.laboratory, new Date(CAST + 651.5 * HOUR));
    const [caps] = sets.filter(({ lane }) => lane === 'ends');
    expect(caps).toMatchObject({
      what: 'Caps hard',
      href: `/runs/${runId}`,
      specimens: [{ id: a }, { id: b }],
    });
  });
});

describe('tanks and rooms', () => {
  it('wait for their duties from when they are there, and each time it is done again', async () => {
    const { storageId } = await act(
      'laboratory',
      addStorage,
      { name: 'Tank A', kind: 'tank', rows: 2, columns: 3, volume: '250 gal' },
      0,
    );
    expect(await kept(storageId, 'tank-stirred')).toEqual({ opens: 0, closes: null, done: null });
    await act('laboratory', recordDuty, { storageId, duty: 'tank-stirred', at: at(1) }, 1);
    const next = await kept(storageId, 'tank-stirred');
    expect(next?.closes).toBeGreaterThan(next?.opens ?? 0);
  });
});

describe('the projection', () => {
  it('is what a rebuild derives from the records', async () => {
    const { rows, changed } = await rebuilt(652);
    expect([rows > 30, changed]).toEqual([true, 0]);
  });

  it('that was spoilt is found out and mended', async () => {
    const [first = ''] = specimenIds;
    await site.db
      .update(waits)
      .set({ closesAt: new Date(CAST) })
      .where(eq(waits.owner, first));
    await site.db.delete(waits).where(eq(waits.key, 'collect'));
    expect((await rebuilt(652)).changed).toBeGreaterThan(15);
    expect(await kept(first, 'age')).toMatchObject({ closes: 692 });
    expect((await rebuilt(652)).changed).toBe(0);
  });

  it('forgets what a complete test no longer asks for', async () => {
    const runId = await runOf('initial-curing');
    expect(await kept(runId, 'collect')).toMatchObject({ done: null });
    await stamp('initial-curing', {
      method: 'box',
      minimum: '62',
      maximum: '77',
      collectedAt: at(24),
      condition: 'ok',
    });
    const reasonForAll = 'Not read';
    await act('field', completeRun, { runId, reasons: [], reasonForAll }, 30);
    expect(await kept(runId, 'collect')).toMatchObject({ done: 24 });
    expect((await rebuilt(652)).changed).toBe(0);
  });
});
