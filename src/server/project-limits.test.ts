import { randomUUID } from 'node:crypto';
import { eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { jobs, runs } from '@/db/schema';
import { freshDatabase } from '@/testing/database';
import { errorsOf } from '@/testing/refusals';
import { CAST, makeSite, readingsOf, type Site } from '@/testing/site';
import { addLoad, planSampling } from './actions/field';
import { changeLimit } from './actions/gear';
import { createLot } from './actions/jobs';
import { saveReadings } from './actions/runs';
import { makeSpecimens, takeSample } from './actions/samples';
import { perform } from './perform';
import { specimenViews } from './queries/dossier';
import { limitRegister, projectLimits } from './queries/gear';
import { runSheet } from './queries/run';
import { composeReport } from './reports/content';
import { limitChangesAt } from './run-setup';

const HOUR = 3_600_000;
let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let strict: Site;
let other: Site;
beforeAll(async () => {
  fresh = await freshDatabase();
  strict = await makeSite(fresh.db, 'STR');
  other = await makeSite(fresh.db, 'OTH');
});
afterAll(() => fresh?.close());

const now = (minutes: number): Date => new Date(CAST + minutes * 60_000);
const set = (data: object, by = strict.actors.manager) =>
  perform(
    strict.db,
    by,
    changeLimit,
    {
      edition: 'Specification 03 30 00',
      note: 'clause 3.4',
      status: 'set by the project',
      jobId: strict.jobId,
      ...data,
    },
    now(0),
  );
const sampleOf = async (site: Site): Promise<string> => {
  const { sampleId } = await perform(
    site.db,
    site.actors.field,
    takeSample,
    { clientId: randomUUID(), lotId: site.lotId, sampledAt: now(1).toISOString() },
    now(1),
  );
  return sampleId;
};
const most = async (
  site: Site,
  method: string,
  limit: 'delivery.discharge' | 'slump.total',
): Promise<string | undefined> => {
  const sampleId = await sampleOf(site);
  const found = await site.db.select().from(runs).where(eq(runs.sampleId, sampleId));
  const runId = found.find((run) => run.method === method)?.id ?? '';
  const sheet = await runSheet(site.db, site.actors.field, runId, now(2));
  return sheet.setup.limitChanges?.[limit]?.both?.high;
};

describe('a limit that a project sets', () => {
  it('holds for its runs and for nobody else’s', async () => {
    await set({ limitId: 'delivery.discharge', values: { both: { high: '60' } } });
    expect(await most(strict, 'delivery', 'delivery.discharge')).toBe('60');
    expect(await most(other, 'delivery', 'delivery.discharge')).toBeUndefined();
  });
  it('stands before what the laboratory sets, whichever came later', async () => {
    await perform(
      strict.db,
      strict.actors.manager,
      changeLimit,
      {
        limitId: 'delivery.discharge',
        status: 'set by the laboratory',
        edition: '2031',
        note: 'our rule',
        values: { both: { high: '75' } },
      },
      now(0),
    );
    expect(await most(strict, 'delivery', 'delivery.discharge')).toBe('60');
    expect(await most(other, 'delivery', 'delivery.discharge')).toBe('75');
    await set({ limitId: 'delivery.discharge', values: { both: { high: '65' } }, note: 'addendum 2' });
    expect(await most(strict, 'delivery', 'delivery.discharge')).toBe('65');
  });
  it('is not in the laboratory’s register, and is listed with its document', async () => {
    const register = await limitRegister(strict.db, strict.actors.field);
    const row = register.entries.find(({ id }) => id === 'delivery.discharge');
    expect([row?.status, row?.both?.high, row?.history.length]).toEqual(['set by the laboratory', '75', 1]);
    const own = await projectLimits(strict.db, strict.actors.field, { id: strict.jobId, profile: 'astm' });
    expect(own.set.map(({ limitId, edition, note }) => [limitId, edition, note])).toEqual([
      ['delivery.discharge', 'Specification 03 30 00', 'addendum 2'],
    ]);
    await expect(
      projectLimits(strict.db, strict.actors.client, { id: strict.jobId, profile: 'astm' }),
    ).rejects.toThrow();
  });
  it('is kept by the runs that began before it was changed', async () => {
    const { revision } = await limitChangesAt(strict.db, { jobId: strict.jobId });
    await set({ limitId: 'slump.total', values: { both: { high: '120' } } });
    expect(
      (await limitChangesAt(strict.db, { jobId: strict.jobId, revision })).changes['slump.total'],
    ).toBeUndefined();
    expect(
      (await limitChangesAt(strict.db, { jobId: strict.jobId })).changes['slump.total']?.both?.high,
    ).toBe('120');
  });
  it('counts in the plan of the day', async () => {
    await set({ limitId: 'plan.volume', values: { US: { high: '100' }, SI: { high: '75' } } });
    const plan = (site: Site) =>
      perform(site.db, site.actors.field, planSampling, { lotId: site.lotId, volume: '310 yd3' }, now(-10));
    expect((await plan(strict)).count).toBe(4);
    expect((await plan(other)).count).toBe(3);
  });
  it('is named in the report', async () => {
    const report = await composeReport(strict.db, strict.actors.reviewer, {
      sampleId: await sampleOf(strict),
    });
    expect(report.content.methods).toContainEqual(
      expect.stringMatching(/^Set by the project \(Specification 03 30 00\): .*65 min/),
    );
    const without = await composeReport(other.db, other.actors.reviewer, { sampleId: await sampleOf(other) });
    expect(without.content.methods.some((line) => line.startsWith('Set by the project'))).toBe(false);
  });
  it.each([
    [{ jobId: undefined }, ''],
    [{ jobId: randomUUID() }, ''],
    [{ status: 'set by the laboratory' }, ''],
    [{ edition: '' }, 'edition'],
    [{ note: '' }, 'note'],
    [{ values: { both: { high: 'soon' } } }, 'both.high'],
    [{ limitId: 'nothing' }, ''],
  ])('is refused in words: %j', async (over, field) => {
    const errors = await errorsOf(
      set({ limitId: 'delivery.discharge', values: { both: { high: '60' } }, ...over }),
    );
    expect(errors).toHaveProperty([field]);
  });
  it('is set by a manager', async () => {
    expect(
      await errorsOf(
        set({ limitId: 'slump.total', values: { both: { high: '9' } } }, strict.actors.reviewer),
      ),
    ).toHaveProperty('');
  });
  it('of another school is that school’s own row', async () => {
    const { entries } = await projectLimits(strict.db, strict.actors.field, {
      id: strict.jobId,
      profile: 'en',
    });
    const ids = entries.map(({ id }) => id);
    // A fraction in a name is no school.
    expect(ids).toContain('air.F1.3/8');
    expect(ids).toContain('en/delivery.discharge');
    expect(ids).not.toContain('delivery.discharge');
    expect(ids).not.toContain('is/delivery.discharge');
    expect(ids).toContain('slump.total');
  });
});

// IS 516 (from memory): the age counts from the addition of the water to the dry ingredients.
it('in the IS school the windows count from the water, elsewhere from the casting', async () => {
  const windows = async (profile: 'is' | 'astm'): Promise<number | undefined> => {
    await fresh.owner.query(`UPDATE jobs SET profile = '${profile}' WHERE id = '${other.jobId}'`);
    const sampleId = await sampleOf(other);
    const found = await other.db.select().from(runs).where(eq(runs.sampleId, sampleId));
    const delivery = found.find(({ method }) => method === 'delivery')?.id ?? '';
    const batchedAt = new Date(CAST - HOUR).toISOString();
    await perform(
      other.db,
      other.actors.field,
      saveReadings,
      { runId: delivery, readings: readingsOf({ batchedAt }) },
      now(5),
    );
    await perform(
      other.db,
      other.actors.field,
      makeSpecimens,
      {
        sampleId,
        castAt: now(10).toISOString(),
        size: '4x8',
        cure: 'standard',
        groups: [{ ageDays: 28, count: 1 }],
      },
      now(11),
    );
    const [view] = await specimenViews(other.db, [sampleId]);
    return view?.opensAt && view.closesAt
      ? (view.opensAt.getTime() + view.closesAt.getTime()) / 2
      : undefined;
  };
  expect(await windows('is')).toBe(CAST - HOUR + 672 * HOUR);
  expect(await windows('astm')).toBe(now(10).getTime() + 672 * HOUR);
  const [job] = await other.db.select().from(jobs).where(eq(jobs.id, other.jobId));
  expect(job?.profile).toBe('astm');
});

// EN 206 (from memory, to be checked): what was delivered of the mixture before, and whether production is certified, count.
it('in the EN school the plan of a day looks at what the mixture has had before', async () => {
  await fresh.owner.query(`UPDATE jobs SET profile = 'en', system = 'SI' WHERE id = '${other.jobId}'`);
  const plan = async (data: object) =>
    (
      await perform(
        other.db,
        other.actors.field,
        planSampling,
        { lotId: other.lotId, volume: '350 m3', ...data },
        now(-5),
      )
    ).count;
  expect(await plan({})).toBe(5);
  expect(await plan({ certified: 'yes' })).toBe(5);
  const { lotId } = await perform(
    other.db,
    other.actors.field,
    createLot,
    {
      jobId: other.jobId,
      specificationId: other.specificationId,
      startsAt: new Date(CAST - 48 * HOUR).toISOString(),
      title: 'Wall before',
    },
    now(-48 * 60),
  );
  for (let truck = 0; truck < 5; truck += 1) {
    await perform(
      other.db,
      other.actors.field,
      addLoad,
      {
        clientId: randomUUID(),
        lotId,
        ticket: `B${truck}`,
        volume: '12 m3',
        arrivedAt: new Date(CAST - 47 * HOUR).toISOString(),
      },
      now(-47 * 60),
    );
  }
  // 60 m³ are behind it: the first fifty with their three samples are over.
  expect(await plan({})).toBe(3);
  expect(await plan({ certified: 'yes' })).toBe(2);
  expect(await errorsOf(plan({ certified: 'perhaps' }))).toHaveProperty('certified');
});
