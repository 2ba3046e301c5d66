import { randomUUID } from 'node:crypto';
import { eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { verdicts } from '@/db/schema';
import { freshDatabase } from '@/testing/database';
import { makeSite, readingsOf, type Site } from '@/testing/site';
import { createLot, createSpecification } from './actions/jobs';
import { letClientSee } from './actions/people';
import { registerSpecimens } from './actions/register';
import { prepareReport, signReport } from './actions/reports';
import { completeRun, saveReadings, startRun } from './actions/runs';
import { takeSample } from './actions/samples';
import { Invalid } from './errors';
import { perform } from './perform';
import { specimenViews } from './queries/dossier';
import { lotDossier } from './queries/lot';
import { reportDetail } from './queries/reports';
import { sampleDossier } from './queries/sample';
import { dayList } from './queries/today';
import type { UseCase } from './use-case';

let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
let lotId = '';
const day = Date.UTC(2031, 8, 8, 12);
const now = (hours = 0): Date => new Date(day + hours * 3_600_000);
const iso = (hours = 0): string => now(hours).toISOString();
const act = <I extends object, R>(useCase: UseCase<I, R>, data: object, hours = 0): Promise<R> =>
  perform(site.db, site.actors.laboratory, useCase, data, now(hours));

beforeAll(async () => {
  fresh = await freshDatabase();
  site = await makeSite(fresh.db, 'PPT', 'US');
  const { specificationId } = await perform(
    site.db,
    site.actors.reviewer,
    createSpecification,
    {
      ...{ jobId: site.jobId, material: 'pipe', code: 'P-60', title: '60 in class III' },
      asked: {
        ...{ design: 'c76-III', span: '60', wallLetter: 'B', joint: 'plain', overall: '8' },
        ...{ specifiedStrength: '5,000', absorptionMost: '8.5' },
      },
    },
    now(),
  );
  ({ lotId } = await act(createLot, {
    ...{ jobId: site.jobId, specificationId, title: '60 in, 2031', startsAt: iso(-900) },
    about: { year: '2031', plant: 'Yard' },
  }));
});
afterAll(() => fresh?.close());

const draw = async (mark: string): Promise<string> =>
  (
    await act(takeSample, {
      ...{ clientId: randomUUID(), lotId, sampledAt: iso(-4) },
      about: { mark, drawn: 'parts', castAt: iso(-300), cage: 'circular' },
    })
  ).sampleId;
/** The newest specimen of a form that a sample was given. */
async function part(sampleId: string, how: string, form: string): Promise<string> {
  const { labels } = await act(registerSpecimens, { sampleId, how, form, count: 1 });
  const found = (await specimenViews(site.db, [sampleId])).find(({ label }) => label === labels[0]);
  return found?.id ?? '';
}
async function made(method: string, about: object, values: Readonly<Record<string, unknown>>, hours = 0) {
  const { runId } = await act(startRun, { method, ...about }, hours);
  await act(saveReadings, { runId, readings: readingsOf(values) }, hours);
  await act(completeRun, { runId, reasons: [], reasonForAll: 'as it was' }, hours);
  return runId;
}

/** A core 6 in wide and 12 in long, of so many psi: longer than 1.75 times its width it has no factor. */
const core = async (sampleId: string, psi: number): Promise<void> => {
  const specimenId = await part(sampleId, 'cores', 'pipe-core');
  await made(
    'pipe-core',
    { specimenId },
    {
      ...{ machine: 'TST-PRESS', steel: 'none', kept: 'sealed', ends: 'compound', broke: 'cones' },
      ...{ diameter1: '6', diameter2: '6', lengthBefore: '11.8', length: '12', spacers: 'none' },
      ...{
        maximumLoad: String(Math.round(psi * 9 * Math.PI)),
        testedAt: iso(2),
        zeroed: 'true',
        guarded: 'true',
      },
      flush: 'yes',
    },
    2,
  );
};
const says = async () => (await lotDossier(site.db, site.actors.laboratory, lotId)).says;

describe('cores of a group', () => {
  let first = '';
  it('low, the same pipe is cored again; low again, two others are drawn', async () => {
    first = await draw('C-1');
    await core(first, 4880);
    expect((await says())?.verdict).toMatchObject({
      state: 'not yet determinable',
      sentence: expect.stringContaining('core C-1 again'),
    });
    await core(first, 4900);
    expect((await says())?.verdict).toMatchObject({
      state: 'does not meet',
      sentence: expect.stringContaining('draw 2 more pipes'),
    });
  });
  it('both others good, the rest of the group meets without the first', async () => {
    for (const mark of ['C-2', 'C-3']) await core(await draw(mark), 5110);
    expect((await says())?.verdict).toMatchObject({
      state: 'meets',
      sentence: expect.stringContaining('C-1 is rejected'),
    });
  });
  it('each core stands with its own verdict, and in the records too', async () => {
    const kept = await site.db.select().from(verdicts).where(eq(verdicts.sampleId, first));
    expect(
      kept
        .filter(({ released }) => !released)
        .map(({ key, state }) => `${key} ${state}`)
        .toSorted(),
    ).toEqual(['pipe-core/C does not meet', 'pipe-core/C+1 does not meet']);
    const { sets } = await sampleDossier(site.db, site.actors.laboratory, first);
    expect(sets.flatMap((set) => set.verdicts).map(({ state }) => state)).toEqual([
      'does not meet',
      'does not meet',
    ]);
  });
});

describe('absorption of the wall', () => {
  let sampleId = '';
  const piece = async (dry: number, wet: number): Promise<void> => {
    const specimenId = await part(sampleId, 'pieces', 'pipe-wall');
    await made(
      'pipe-absorption',
      { specimenId },
      {
        ...{ piece: 'sound', thickness: '2.5', temperature: '230', inAt: iso(0) },
        weighings: [
          { id: 'a', mass: String(dry), at: iso(48) },
          { id: 'b', mass: String(dry), at: iso(54) },
        ],
        ...{
          wetAt: iso(60),
          water: '66',
          heatAt: iso(60.1),
          steam: 'no',
          boilingAt: iso(61.5),
          offAt: iso(66.6),
        },
        ...{ outAt: iso(82), drained: '60', wet: String(wet), weighedAt: iso(82.1) },
      },
      83,
    );
  };
  const verdict = async () => {
    const { sets } = await sampleDossier(site.db, site.actors.laboratory, sampleId);
    return sets.find(({ title }) => title.startsWith('Absorption'))?.verdicts[0];
  };
  it('waits on Today for its weighing while it is in the oven', async () => {
    sampleId = await draw('W-1');
    const specimenId = await part(sampleId, 'pieces', 'pipe-wall');
    const { runId } = await act(startRun, { method: 'pipe-absorption', specimenId });
    await act(saveReadings, { runId, readings: readingsOf({ thickness: '2.5', inAt: iso(0) }) });
    const { sets } = await dayList(site.db, site.actors.laboratory, now(30));
    expect(sets.find(({ what }) => what === 'Weigh the piece out of the oven')).toMatchObject({
      ...{ lane: 'tank', opensAt: now(48).getTime() },
    });
  });
  it('too high by what the owner asks, another piece of the same pipe stands in its place', async () => {
    sampleId = await draw('W-2');
    await piece(1250, 1362.5);
    // 9.0 % would do for the standard, the owner asks for 8.5.
    expect(await verdict()).toMatchObject({ state: 'does not meet', statistic: '9' });
    await piece(1300, 1400);
    expect(await verdict()).toMatchObject({ state: 'meets' });
    const { sets } = await sampleDossier(site.db, site.actors.laboratory, sampleId);
    expect(sets.flatMap(({ derived }) => derived?.remarks ?? []).join()).toContain('stands in its place');
  });
});

describe('what is made of a lot or leaves its pipe whole', () => {
  it('cylinders of a group are counted by their rules', async () => {
    const cylinders = [5110, 4870, 5260, 4590, 4980].map((psi, place) => ({
      ...{ id: `c${place}`, mark: `M${place}`, diameter1: '4', load: String(Math.round(psi * 4 * Math.PI)) },
    }));
    await made('pipe-cylinders', { lotId }, { group: '2 Sept', cylinders, brokenAt: iso(1) }, 1);
    const { runs } = await lotDossier(site.db, site.actors.laboratory, lotId);
    const run = runs.find(({ method }) => method === 'pipe-cylinders');
    expect(run?.outcome?.verdicts.map(({ state }) => state)).toEqual([
      'does not meet',
      'does not meet',
      'meets',
    ]);
  });
  it('a joint is held under pressure, its ten minutes wait, and its pipe can be loaded afterwards', async () => {
    const sampleId = await draw('J-1');
    const specimenId = await part(sampleId, 'pipe', 'pipe');
    const { runId } = await act(startRun, { method: 'pipe-joint', specimenId });
    const readings = [{ id: 'r1', pressure: '13.5', at: iso(1) }];
    await act(saveReadings, { runId, readings: readingsOf({ kind: 'straight', readings }) }, 1);
    const { sets } = await dayList(site.db, site.actors.laboratory, now(1));
    expect(sets.find(({ what }) => what.startsWith('Look at the joint'))?.opensAt).toBe(
      now(1).getTime() + 600_000,
    );
    const more = [{ id: 'r2', pressure: '13', at: iso(1.2) }];
    await act(
      saveReadings,
      { runId, readings: readingsOf({ readings: more, tied: true, vented: true, endedAt: iso(1.2) }) },
      2,
    );
    await act(completeRun, { runId, reasons: [] }, 2);
    const view = (await specimenViews(site.db, [sampleId]))[0];
    expect(view?.run ?? null).toBeNull();
    expect(await act(startRun, { method: 'three-edge', specimenId }, 3)).toMatchObject({
      runId: expect.any(String),
    });
  });
});

describe('what is typed of a size and class', () => {
  const specify = (asked: object) =>
    perform(
      site.db,
      site.actors.reviewer,
      createSpecification,
      { ...{ jobId: site.jobId, material: 'pipe', code: randomUUID().slice(0, 8), title: 'x' }, asked },
      now(),
    );
  it.each([
    [{ design: 'c76-III', span: 'wide', joint: 'plain', overall: '8' }, 'span'],
    [{ design: 'c76-III', span: '600', joint: 'plain', overall: '8' }, 'span'],
    [{ design: 'c76-III', span: '60', joint: 'bell', overall: '8' }, 'jointDepth'],
    [{ design: 'c76-III', span: '60', joint: 'plain', overall: '80' }, 'overall'],
    [{ design: 'own', span: '60', joint: 'plain', overall: '8', crackLoad: '30 N/m' }, 'crackLoad'],
  ])('%j is refused at %s', async (asked, field) => {
    const failed = await specify(asked).catch((error: unknown) => error);
    expect(failed).toBeInstanceOf(Invalid);
    const { errors } = failed as Invalid;
    expect(Object.keys(errors).some((name) => name.endsWith(field))).toBe(true);
  });
  it('a class that is none is refused', async () => {
    await expect(specify({ design: 'c76-VI', span: '60', joint: 'plain', overall: '8' })).rejects.toThrow(
      Invalid,
    );
  });
  it('a D-load in the units of the other system is the same D-load', async () => {
    expect(
      await specify({
        ...{
          design: 'own',
          span: '60',
          joint: 'plain',
          overall: '8',
          crackLoad: '65 N/m/mm',
          mostLoad: '2,000',
        },
      }),
    ).toMatchObject({ specificationId: expect.any(String) });
  });
});

it('a client reads the signed report of its lot, with what failed in it', async () => {
  await perform(
    site.db,
    site.actors.manager,
    letClientSee,
    { jobId: site.jobId, personId: site.actors.client.id },
    now(),
  );
  const { reportId } = await act(prepareReport, { lotId }, 100);
  const draft = await reportDetail(site.db, site.actors.reviewer, reportId);
  await perform(site.db, site.actors.reviewer, signReport, { reportId, seen: draft.seen }, now(101));
  const seen = await lotDossier(site.db, site.actors.client, lotId);
  expect(seen.says?.verdict?.sentence).toContain('C-1 is rejected');
});
