import { randomUUID } from 'node:crypto';
import { and, eq } from 'drizzle-orm';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { outcomes, verdicts } from '@/db/schema';
import { freshDatabase } from '@/testing/database';
import { errorsOf } from '@/testing/refusals';
import { CAST, makeSite, readingsOf, type Site } from '@/testing/site';
import { addEquipment, recordVerification } from './actions/gear';
import { createLot, createSpecification } from './actions/jobs';
import { makeBatch } from './actions/make-batch';
import { registerSpecimens } from './actions/register';
import { prepareReport } from './actions/reports';
import { completeRun, saveReadings, startRun } from './actions/runs';
import { takeSample } from './actions/samples';
import { perform } from './perform';
import { specimenViews } from './queries/dossier';
import { sampleDossier } from './queries/sample';
import { dayList } from './queries/today';
import { currentReadings } from './readings';
import { composeReport } from './reports/content';
import type { Actor, UseCase } from './use-case';
import { rebuildVerdicts } from './verdicts';

const HOUR = 3_600_000;
let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
let sampleId = '';
let dollies: { id: string; label: string }[] = [];
let glueRun = '';
const iso = (at: number): string => new Date(at).toISOString();
const act = <I extends object, R>(
  useCase: UseCase<I, R>,
  data: object,
  at: number,
  who: Actor['role'] = 'laboratory',
): Promise<R> => perform(site.db, site.actors[who], useCase, data, new Date(at));
const GLUED = CAST + 2 * HOUR;

beforeAll(async () => {
  fresh = await freshDatabase();
  site = await makeSite(fresh.db, 'COA');
  const { equipmentId } = await act(
    addEquipment,
    { number: 'COA-T', kind: 'pull-off tester', name: 'Tester' },
    CAST,
    'manager',
  );
  await act(
    recordVerification,
    { equipmentId, verifiedOn: '2031-02-01', verifiedFrom: '50 lbf', verifiedTo: '1,400 lbf' },
    CAST,
  );
  const { specificationId } = await act(
    createSpecification,
    {
      jobId: site.jobId,
      code: 'C1',
      title: 'Ramp',
      material: 'coating',
      asked: { pullBy: 'd4541', coats: 'A steel, B primer', pullOffLeast: '900 psi', limitFrom: 'section 4' },
    },
    CAST,
    'reviewer',
  );
  const { lotId } = await act(
    createLot,
    { jobId: site.jobId, specificationId, title: 'Ramp 1', startsAt: iso(CAST) },
    CAST,
  );
  ({ sampleId } = await act(
    takeSample,
    { clientId: randomUUID(), lotId, sampledAt: iso(CAST), about: { name: 'Panel 1', area: '300 ft2' } },
    CAST + HOUR,
  ));
  await act(registerSpecimens, { sampleId, how: 'dollies', form: 'dolly', count: 4 }, CAST + HOUR);
  dollies = (await specimenViews(site.db, [sampleId])).map(({ id, label }) => ({ id, label }));
});
afterAll(() => fresh?.close());

async function read(runId: string, values: Parameters<typeof readingsOf>[0], at: number): Promise<void> {
  const known = new Map((await currentReadings(site.db, runId)).map(({ field, seq }) => [field, seq]));
  const readings = readingsOf(values).map((each) => ({ ...each, basedOn: known.get(each.field) }));
  await act(saveReadings, { runId, readings }, at);
}
async function pull(place: number, shown: string, face: [string, string][], at: number): Promise<string> {
  const { runId } = await act(startRun, { method: 'pull-off', specimenId: dollies[place]?.id }, at);
  await read(
    runId,
    {
      ...{ tester: 'COA-T', seat: 'self', dolly: '0.787', cut: 'no', zeroed: 'true', shows: 'stress' },
      ...{ shown, seconds: '20', ended: 'broke', cameOff: 'even', pulledAt: iso(at) },
      face: face.map(([plane, share]) => ({ plane, share })),
    },
    at,
  );
  await act(completeRun, { runId, reasons: [], reasonForAll: '' }, at);
  return runId;
}
const standing = async () =>
  (
    await site.db
      .select()
      .from(verdicts)
      .where(and(eq(verdicts.sampleId, sampleId), eq(verdicts.released, false)))
  ).map(({ criterion, state }) => `${criterion} ${state}`);
const toPull = async (at: number) =>
  (await dayList(site.db, site.actors.laboratory, new Date(at))).sets.filter(
    ({ what }) => what === 'Pull the dolly',
  );

it('cannot be pulled before it is glued', async () => {
  const at = GLUED;
  const { runId } = await act(startRun, { method: 'pull-off', specimenId: dollies[3]?.id }, at);
  await read(
    runId,
    {
      ...{ tester: 'COA-T', seat: 'self', dolly: '0.787', cut: 'no', zeroed: 'true', shows: 'stress' },
      ...{ shown: '1000', seconds: '20', ended: 'broke', cameOff: 'even', pulledAt: iso(at) },
    },
    at,
  );
  const why = await errorsOf(act(completeRun, { runId, reasons: [], reasonForAll: '' }, at));
  expect(Object.values(why).join(' ')).toContain('its glue');
});

it('waits for each dolly from when its glue is hard at the coldest of the surface', async () => {
  const specimenIds = dollies.map(({ id }) => id);
  ({ runId: glueRun } = await act(makeBatch, { id: randomUUID(), kind: 'gluing', specimenIds }, GLUED));
  await read(
    glueRun,
    {
      ...{
        kind: 'slow',
        product: 'epoxy 1',
        tried: 'sound',
        cure: '20',
        cureAt: '70',
        least: '50',
        life: '60',
      },
      ...{ prepared: 'both', surfaceTemperature: '70', airTemperature: '71', airHumidity: '40' },
      ...{ mixedAt: iso(GLUED), setAt: iso(GLUED + 0.5 * HOUR) },
      dollies: dollies.map(({ label }) => ({
        specimen: label,
        set: 'straight',
        at: iso(GLUED + 0.25 * HOUR),
      })),
    },
    GLUED + HOUR,
  );
  await act(completeRun, { runId: glueRun, reasons: [], reasonForAll: '' }, GLUED + HOUR);
  const [waiting] = await toPull(GLUED + 2 * HOUR);
  expect(waiting?.specimens).toHaveLength(4);
  expect(waiting?.opensAt).toBe(GLUED + 20.25 * HOUR);
});

it('is pulled once it is hard, with nothing to find', async () => {
  const runId = await pull(0, '950', [['B', '100']], GLUED + 30 * HOUR);
  const [outcome] = await site.db.select().from(outcomes).where(eq(outcomes.runId, runId));
  expect(outcome?.outcome.results[0]?.text).toBe('950');
  expect(outcome?.outcome.findings.map(({ id }) => id)).toEqual([]);
});

it('is judged over all pulls: a break in the glue below the limit is made again', async () => {
  await pull(
    1,
    '700',
    [
      ['Y', '80'],
      ['B', '20'],
    ],
    GLUED + 31 * HOUR,
  );
  await pull(2, '1,020', [['B', '100']], GLUED + 32 * HOUR);
  expect(await standing()).toEqual(['pull-off-each not yet determinable']);
  const { sets } = await sampleDossier(site.db, site.actors.reviewer, sampleId);
  expect(sets[0]?.note).toBeDefined();
});

it('has a fourth one in its place, and then its verdict, its faces and its scatter in the report', async () => {
  const at = GLUED + 34 * HOUR;
  const open = (await specimenViews(site.db, [sampleId])).find(({ id }) => id === dollies[3]?.id)?.run;
  await read(open?.id ?? '', { pulledAt: iso(at), face: [{ plane: 'B', share: '100' }] }, at);
  await act(completeRun, { runId: open?.id ?? '', reasons: [], reasonForAll: '' }, at);
  expect(await standing()).toEqual(['pull-off-each meets']);
  expect((await site.db.transaction((tx) => rebuildVerdicts(tx))).changed).toBe(0);
  expect((await toPull(at + HOUR)).every(({ doneAt }) => doneAt !== null)).toBe(true);
  await act(prepareReport, { sampleId }, at);
  const text = JSON.stringify(await composeReport(site.db, site.actors.reviewer, { sampleId }));
  expect(text).toContain('Report of pull-off tests');
  expect(text).toContain('B 20 %, Y 80 %');
  expect(text).toContain('Scatter');
  expect(text).toContain('Made again in its place');
});
