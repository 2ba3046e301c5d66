import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freshDatabase } from '@/testing/database';
import { rowsOf } from '@/testing/rows';
import {
  AT_28_DAYS,
  breakSpecimen,
  makeSample,
  makeSite,
  readingsOf,
  type Site,
  signShown,
} from '@/testing/site';
import { prepareReport } from './actions/reports';
import { acceptReason, completeRun, saveReadings, startRun } from './actions/runs';
import { perform } from './perform';
import { withoutUnreleased } from './queries/dossier';
import { sampleDossier } from './queries/sample';
import { specimenDetail } from './queries/specimen';
import { composeReport } from './reports/content';

let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
const NOW = new Date(AT_28_DAYS);
beforeAll(async () => {
  fresh = await freshDatabase();
  site = await makeSite(fresh.db, 'OTH');
});
afterAll(() => fresh?.close());

const act = <I extends object, R>(
  useCase: Parameters<typeof perform<I, R>>[2],
  data: object,
  who: 'laboratory' | 'reviewer' = 'laboratory',
) => perform(site.db, site.actors[who], useCase, data, NOW);
const dossierOf = (sampleId: string) => sampleDossier(site.db, site.actors.reviewer, sampleId);
const compose = (sampleId: string) => composeReport(site.db, site.actors.reviewer, { sampleId });

/** Every reason on record is accepted, so that nothing hinders a report. */
async function acceptAll(sampleId: string): Promise<void> {
  for (const { run, whole } of (await dossierOf(sampleId)).specimens)
    for (const each of [run, ...whole])
      for (const reason of each?.reasons ?? [])
        if (!reason.acceptedByName) await act(acceptReason, { reasonId: reason.id }, 'reviewer');
}

/** Carries a test of another kind through, with a reason for whatever asks for one. */
async function make(method: string, specimenId: string, values: Record<string, unknown>): Promise<void> {
  const { runId } = await act(startRun, { method, specimenId });
  await act(saveReadings, { runId, readings: readingsOf(values) });
  await act(completeRun, { runId, reasons: [], reasonForAll: 'Asked for by the engineer.' });
}

const MODULUS = {
  machine: 'OTH-PRESS',
  surface: 'moist',
  diameter1: '4.00',
  diameter2: '4.00',
  companion: '4380',
  ends: 'ground',
  kind: 'strain',
  zeroed: 'true',
  guarded: 'true',
  loadings: rowsOf(
    'loading load axial',
    '1,0,0\n1,22000,452\n2,0,0\n2,2000,41\n2,2600,53\n2,12000,245\n2,21500,439\n2,23000,470\n3,0,0\n3,2000,41\n3,2600,53\n3,12000,245\n3,21500,438\n3,23000,469',
  ),
  maximumLoad: '23000',
  testedAt: NOW.toISOString(),
};
const SPLIT = {
  machine: 'OTH-PRESS',
  surface: 'moist',
  lines: 'yes',
  diameter1: '4.00',
  diameter2: '4.00',
  diameter3: '4.01',
  length1: '8.0',
  length2: '8.1',
  strips: 'new',
  zeroed: 'true',
  guarded: 'true',
  testedAt: NOW.toISOString(),
  fracture: 'split',
};

describe('a test that leaves its specimen whole', () => {
  it('is not its break: the specimen waits on, and its companions keep it', async () => {
    const { sampleId, specimenIds } = await makeSample(site);
    const [first = ''] = specimenIds;
    await make('static-modulus', first, MODULUS);
    const { specimens, sets } = await dossierOf(sampleId);
    const view = specimens.find(({ id }) => id === first);
    expect(view?.run).toBeNull();
    expect(view?.testedAt).toBeNull();
    expect(view?.whole[0]?.main?.text).toBe('3,900,000');
    const { events } = await specimenDetail(site.db, site.actors.reviewer, first);
    expect(events.map(({ kind }) => kind)).not.toContain('tested');
    expect(events.at(-1)?.note).toContain('left whole');
    expect(sets.find(({ designated }) => designated)?.test.waitingFor).toHaveLength(3);
  });
  it('stands in the report beside the break, each with its age, and is signed with it', async () => {
    const { sampleId, specimenIds } = await makeSample(site);
    const [first = '', second = '', third = ''] = specimenIds;
    await make('static-modulus', first, MODULUS);
    const early = await compose(sampleId);
    expect(early.content.tests.map(({ title }) => title)).toEqual(['Static modulus']);
    expect(early.content.waiting).toHaveLength(4);
    for (const [id, load] of [
      [first, '61,000'],
      [second, '60,200'],
      [third, '59,400'],
    ] as const)
      await breakSpecimen(site, id, load, AT_28_DAYS, 'As it came.');
    await acceptAll(sampleId);
    const { content, hindrances, rests } = await compose(sampleId);
    expect(hindrances).toEqual([]);
    expect(content.tests.map(({ specimen, title }) => [specimen?.label.slice(-1), title])).toEqual([
      ['A', 'Static modulus'],
      ['A', 'Cylinder compression'],
      ['B', 'Cylinder compression'],
      ['C', 'Cylinder compression'],
    ]);
    for (const { specimen } of content.tests) expect(specimen?.age).toMatch(/^28 d/u);
    expect(content.methods.join(' ')).toContain('static modulus');
    expect(rests).toHaveLength(4);

    // A client sees none of it before it is signed, all of it afterwards.
    const shown = async () => withoutUnreleased((await dossierOf(sampleId)).specimens)[0];
    expect(await shown()).toMatchObject({ run: null, whole: [] });
    const { reportId } = await act(prepareReport, { sampleId });
    await signShown(site, reportId);
    expect((await shown())?.whole).toHaveLength(1);
    expect((await shown())?.run).not.toBeNull();
  });
});

describe('cylinders that are split', () => {
  it('are a pair of their own, and no companions in compression', async () => {
    const { sampleId, specimenIds } = await makeSample(site);
    const [first = '', second = '', third = ''] = specimenIds;
    await make('splitting-tensile', first, { ...SPLIT, maximumLoad: '24400' });
    const one = (await dossierOf(sampleId)).sets.find(({ what }) => what === 'Split cylinders');
    expect(one?.test.text).toBeNull();
    await make('splitting-tensile', second, { ...SPLIT, maximumLoad: '28600' });
    await breakSpecimen(site, third, '60,200', AT_28_DAYS, 'As it came.');
    const { sets } = await dossierOf(sampleId);
    const pair = sets.find(({ what }) => what === 'Split cylinders');
    // 24,400 and 28,600 lbf over 50.58 in²: 482.4 and 565.4 psi, 15.85 % of their mean apart.
    expect(pair?.test.text).toBe('525');
    expect(pair?.note).toMatch(/^Range 15\.8\d % of the mean of two; 14 % is allowed\. Investigate/u);
    expect(pair?.test.lines.map(({ symbol }) => symbol)).toEqual(['x', 'w']);
    expect(sets.find(({ designated }) => designated)?.specimens.map(({ id }) => id)).toEqual([third]);
    const { content } = await compose(sampleId);
    expect(content.sets.map(({ title }) => title)).toContain('Split cylinders at 28 d');
  });
});
