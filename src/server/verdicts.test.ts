import { and, asc, eq, isNotNull } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { evaluateSeries } from '@/core/acceptance';
import { sampleLabel } from '@/core/identity/labels';
import { Limits } from '@/core/limits';
import { STRENGTH } from '@/core/materials/concrete/series';
import { Chance } from '@/core/statistics';
import { jobs, lots, runs, samples, sets, specifications, verdicts } from '@/db/schema';
import { freshDatabase } from '@/testing/database';
import { breakPieces, groupOf, makeRock } from '@/testing/rock';
import { mixSeries } from '@/testing/series';
import { AT_28_DAYS, breakSpecimen, CAST, makeSample, makeSite, readingsOf, type Site } from '@/testing/site';
import { correctCastTime } from './actions/cast-time';
import { changeLimit } from './actions/gear';
import { registerSpecimens } from './actions/register';
import { prepareReport, signReport } from './actions/reports';
import { saveReadings } from './actions/runs';
import { leaveOut, recordEvent } from './actions/specimens';
import { perform } from './perform';
import { reportDetail } from './queries/reports';
import { sampleDossier } from './queries/sample';
import { mixPage, seriesPage } from './queries/series';
import { setsOfSamples } from './sets';
import type { UseCase } from './use-case';
import { askedOf, rebuildVerdicts } from './verdicts';

const HOUR = 3_600_000;
let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
const day = new Date(AT_28_DAYS + 2 * HOUR);
const act = <I extends object, R>(who: keyof Site['actors'], what: UseCase<I, R>, data: object) =>
  perform(site.db, site.actors[who], what, data, day);
const rebuilt = () => site.db.transaction((tx) => rebuildVerdicts(tx));

beforeAll(async () => {
  fresh = await freshDatabase();
  site = await makeSite(fresh.db, 'VRD');
});
afterAll(() => fresh?.close());

/** What the whole series comes to, from the outcomes of all its tests, by no projection. */
async function workedOut() {
  const places = await site.db
    .select({ sample: samples, placement: lots, mix: specifications, job: jobs })
    .from(samples)
    .innerJoin(lots, eq(lots.id, samples.lotId))
    .innerJoin(specifications, eq(specifications.id, lots.specificationId))
    .innerJoin(jobs, eq(jobs.id, samples.jobId))
    .where(eq(specifications.id, site.specificationId))
    .orderBy(asc(samples.sampledAt), asc(samples.number));
  const points = (await setsOfSamples(site.db, places)).flatMap(({ place: { sample, job }, sets: own }) => {
    const set = own.find(({ designated, cure }) => designated && cure === 'standard');
    return set
      ? [
          {
            id: sample.id,
            label: sampleLabel(job.number, sample.number),
            sampledAt: sample.sampledAt.getTime(),
            value: set.test.state === 'tested' ? set.test.value : null,
            state: set.test.state,
            engineer: set.test.engineer,
          },
        ]
      : [];
  });
  return evaluateSeries(
    points,
    askedOf(
      STRENGTH,
      { specifiedStrength: '4,250 psi' },
      { system: 'US', rounding: 'half-even' },
      new Limits({}, 0),
    ),
  );
}

/** The projection says of every test and every mean of three what the whole series says. */
async function agrees(): Promise<void> {
  const whole = await workedOut();
  const { verdicts: kept } = await mixSeries(site.db, site.actors.manager, site.specificationId);
  const plain = (each: {
    criterion: string;
    state: string;
    statistic: string | null;
    members: readonly string[];
  }) => [each.criterion, each.members.join(), each.state, each.statistic];
  expect(kept.windows.map(plain)).toEqual(whole.windows.map(plain));
  expect(kept.individuals.map(plain)).toEqual(whole.individuals.map(plain));
  expect([kept.summary, kept.soFar, kept.needed, kept.excluded]).toEqual([
    whole.summary,
    whole.soFar,
    whole.needed,
    whole.excluded,
  ]);
  expect(kept.governing?.sentence).toEqual(whole.governing?.sentence);
  // The page counts and picks out in the database what the whole says.
  const page = await mixPage(site.db, site.actors.manager, site.specificationId, 0, { allLow: true });
  expect([page.state, page.waiting, page.governing, page.asks.needed, page.excluded.labels]).toEqual([
    whole.soFar.state,
    whole.soFar.waiting,
    whole.governing?.sentence ?? null,
    whole.needed,
    whole.excluded.map(({ label }) => label),
  ]);
  const failing = (all: readonly { state: string; members: readonly string[] }[]) =>
    all.filter(({ state }) => state === 'does not meet').map(({ members }) => members.at(-1));
  expect(page.low.map(({ sampleId }) => sampleId)).toEqual(failing(whole.individuals));
  expect(page.lowMeans).toBe(failing(whole.windows).length);
  expect([...page.means.values()].map(plain).toSorted()).toEqual(whole.windows.map(plain).toSorted());
  expect(page.listed.map(({ id }) => id)).toEqual(page.drawn.map(({ id }) => id));
  const alike = page.drawn.filter(({ spread }) => spread !== null);
  expect(page.within?.count ?? 0).toBe(alike.length);
  if (page.within)
    expect(page.within.spread.range.toNumber()).toBeCloseTo(
      alike.reduce((sum, { spread }) => sum + Number(spread?.range), 0) / alike.length,
      6,
    );
}

describe('a series', () => {
  it('stays what the whole of it says, whatever happens to its tests in whatever order', async () => {
    const chance = new Chance(31);
    const made = [];
    for (let index = 0; index < 7; index += 1) made.push(await makeSample(site));
    // Tests are broken as they come, not as they were sampled.
    for (const { specimenIds } of [...made].sort(() => chance.between(-1, 1))) {
      for (const id of specimenIds)
        await breakSpecimen(site, id, String(Math.round(chance.between(500, 590)) * 100), AT_28_DAYS);
      await agrees();
    }
    const [first, second, third, fourth] = made;
    // One leaves its set, one set has nothing left to go by, one load is corrected, one is cast at another time.
    await act('reviewer', leaveOut, {
      specimenId: third?.specimenIds[0],
      fault: 'testing',
      evidence: 'Cap came off before it was loaded, photographed.',
      apart: 'yes',
    });
    await agrees();
    const fifth = await makeSample(site);
    for (const specimenId of fifth.specimenIds)
      await act('laboratory', recordEvent, {
        specimenId,
        kind: 'discarded',
        note: 'Crushed on the way',
        at: day.toISOString(),
      });
    await agrees();
    const [run] = await site.db
      .select()
      .from(runs)
      .where(eq(runs.specimenId, second?.specimenIds[1] ?? ''));
    const [reading] = await site.db.query.readings.findMany({
      where: (all, { and: both, eq: is }) => both(is(all.runId, run?.id ?? ''), is(all.field, 'maximumLoad')),
    });
    await act('laboratory', saveReadings, {
      runId: run?.id,
      readings: readingsOf({ maximumLoad: '39,000' }).map((each) => ({
        ...each,
        basedOn: reading?.seq,
        reason: 'Read off the wrong line',
      })),
    });
    await agrees();
    const sampledAt = (
      await site.db
        .select()
        .from(samples)
        .where(eq(samples.id, fourth?.sampleId ?? ''))
    )[0];
    await act('field', correctCastTime, {
      sampleId: fourth?.sampleId,
      castAt: new Date((sampledAt?.sampledAt.getTime() ?? 0) + HOUR).toISOString(),
      reason: 'Clock of the phone was an hour off',
    });
    await agrees();
    // A final portion stamped later moves its sample in the order.
    const [sampling] = await site.db
      .select()
      .from(runs)
      .where(and(eq(runs.sampleId, first?.sampleId ?? ''), eq(runs.method, 'sampling')));
    await act('field', saveReadings, {
      runId: sampling?.id,
      readings: readingsOf({ finalPortionAt: new Date(CAST - 2 * 60_000).toISOString() }),
    });
    expect((await mixSeries(site.db, site.actors.manager, site.specificationId)).rows.at(-1)?.id).toBe(
      first?.sampleId,
    );
    await agrees();
    expect(await rebuilt()).toMatchObject({ changed: 0 });
  }, 120_000);

  it('misses nothing when neighbours are broken at the same moment', async () => {
    const made = [];
    for (let index = 0; index < 4; index += 1) made.push(await makeSample(site));
    for (let turn = 0; turn < 3; turn += 1)
      await Promise.all(
        made.map(({ specimenIds }, index) =>
          breakSpecimen(site, specimenIds[turn] ?? '', String(52_000 + 700 * (turn + 3 * index)), AT_28_DAYS),
        ),
      );
    await agrees();
    expect(await rebuilt()).toMatchObject({ changed: 0 });
  }, 60_000);

  it('keeps the order of sampling when a test is broken while its sample is stamped anew', async () => {
    for (let turn = 0; turn < 4; turn += 1) {
      const { sampleId, specimenIds } = await makeSample(site);
      const [sampling] = await site.db
        .select()
        .from(runs)
        .where(and(eq(runs.sampleId, sampleId), eq(runs.method, 'sampling')));
      await Promise.all([
        breakSpecimen(site, specimenIds[0] ?? '', '57,100', AT_28_DAYS),
        act('field', saveReadings, {
          runId: sampling?.id,
          readings: readingsOf({ finalPortionAt: new Date(CAST - (40 + turn) * 60_000).toISOString() }),
        }),
      ]);
      const [row] = (await mixSeries(site.db, site.actors.manager, site.specificationId)).rows;
      expect(row?.id).toBe(sampleId);
    }
    await agrees();
    expect(await rebuilt()).toMatchObject({ changed: 0 });
  }, 60_000);

  it('that was spoilt is found out and mended', async () => {
    await site.db.update(verdicts).set({ state: 'meets' }).where(eq(verdicts.state, 'does not meet'));
    await site.db.update(sets).set({ value: '9990' }).where(eq(sets.state, 'pending'));
    await site.db.delete(verdicts).where(eq(verdicts.criterion, 'running-average'));
    expect((await rebuilt()).changed).toBeGreaterThan(4);
    await agrees();
    expect(await rebuilt()).toMatchObject({ changed: 0 });
  });

  it('is judged anew when its project sets a limit of its own', async () => {
    const before = await mixSeries(site.db, site.actors.manager, site.specificationId);
    await act('manager', changeLimit, {
      limitId: 'acceptance.individual-shortfall',
      status: 'set by the project',
      jobId: site.jobId,
      edition: 'Job manual',
      note: 'No single test far below the specified strength',
      values: { US: { high: '200' }, SI: { high: '1.4' } },
    });
    const after = await mixSeries(site.db, site.actors.manager, site.specificationId);
    expect(new Set(after.verdicts.individuals.map(({ limit }) => limit))).toEqual(new Set(['4050']));
    expect(before.verdicts.individuals[0]?.limit).toBe('3750');
    expect(await rebuilt()).toMatchObject({ changed: 0 });
  });
});

describe('what a client sees', () => {
  it('is decided only by what a signed report rests on', async () => {
    const { sampleId, specimenIds } = await makeSample(site);
    for (const id of specimenIds) await breakSpecimen(site, id, '58,300', AT_28_DAYS);
    const kept = async () =>
      (
        await site.db
          .select({ state: sets.state })
          .from(sets)
          .where(and(eq(sets.sampleId, sampleId), eq(sets.released, true), isNotNull(sets.series)))
      ).map(({ state }) => state);
    expect(await kept()).toEqual(['pending']);
    const { reportId } = await act('laboratory', prepareReport, { sampleId });
    const { seen } = await reportDetail(site.db, site.actors.reviewer, reportId);
    await act('reviewer', signReport, { reportId, seen });
    expect(await kept()).toEqual(['tested']);
    expect(await rebuilt()).toMatchObject({ changed: 0 });
  });
});

describe('rock', () => {
  it('is decided sample by sample, and the list of verdicts says what its sample does', async () => {
    const { specificationId, lotId } = await makeRock(site);
    const sampleId = await groupOf(site, lotId, 'none', 10);
    await act('laboratory', registerSpecimens, { sampleId, how: 'pieces', form: 'rock-core', count: 3 });
    await breakPieces(site, sampleId, [8.1, 8.8, 9.3], 20);
    const { sets: own } = await sampleDossier(site.db, site.actors.manager, sampleId);
    const said = own.flatMap((set) => set.verdicts.map(({ criterion, state }) => [criterion, state]));
    const kept = await site.db.select().from(verdicts).where(eq(verdicts.specificationId, specificationId));
    expect(
      kept
        .filter(({ released }) => !released)
        .map(({ criterion, state }) => [criterion, state])
        .toSorted(),
    ).toEqual(said.toSorted());
    const { shown } = await seriesPage(site.db, site.actors.manager, 0);
    expect(shown.find(({ mix }) => mix.id === specificationId)?.words).toMatch(/^1 of 1 .*tested/u);
    expect(await rebuilt()).toMatchObject({ changed: 0 });
  });
});
