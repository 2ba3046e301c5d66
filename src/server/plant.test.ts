import { randomUUID } from 'node:crypto';
import { and, eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { samplePairs } from '@/core/materials/concrete/day';
import { readings, runs, samplingPlans } from '@/db/schema';
import { freshDatabase } from '@/testing/database';
import { errorsOf } from '@/testing/refusals';
import { CAST, makeSite, readingsOf, type Site } from '@/testing/site';
import { importBatches } from './actions/batches';
import { addLoad, planSampling } from './actions/field';
import { completeRun, saveReadings, startRun } from './actions/runs';
import { takeSample } from './actions/samples';
import { perform } from './perform';
import { runViews } from './queries/dossier';
import { jobList, usualZone } from './queries/jobs';
import { placementDay } from './queries/placement';
import { runSheet } from './queries/run';

const MINUTE = 60_000;
let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
beforeAll(async () => {
  fresh = await freshDatabase();
  site = await makeSite(fresh.db);
});
afterAll(() => fresh?.close());

const at = (minutes: number): string => new Date(CAST + minutes * MINUTE).toISOString();
const now = (minutes: number): Date => new Date(CAST + minutes * MINUTE);

const HEAD = 'ticket,truck,time_loaded,volume,material,type,design,actual,unit,moisture_pct,absorption_pct';
const CSV = [
  HEAD,
  'K1,7,2031-05-14 08:40,9,cement,cement,4200,4230,lb,,',
  'K1,7,,,water,water,2100,2142,lb,,',
  'K1,7,,,sand,fine,,11250,lb,5.2,1.1',
  'K2,9,2031-05-14 08:55,,cement,cement,4200,4200,lb,,',
  'K3,9,2031-05-14 08:55,,cement,cheese,4200,4200,lb,,',
].join('\n');

describe('tickets of the plant', () => {
  const bring = (tickets: string[], csv = CSV) =>
    perform(site.db, site.actors.field, importBatches, { lotId: site.lotId, csv, tickets }, now(-30));
  it('are brought in as chosen, all or none', async () => {
    expect(await errorsOf(bring(['K1', 'K9']))).toHaveProperty('csv');
    expect(await errorsOf(bring(['K3']))).toHaveProperty('csv');
    expect(await errorsOf(bring([]))).toHaveProperty('tickets');
    const day = await placementDay(site.db, site.actors.field, site.lotId);
    expect(day.batches).toEqual([]);
    expect(await bring(['K1', 'K2'])).toEqual({ imported: 2 });
  });
  it('never overwrite what is there', async () => {
    expect((await errorsOf(bring(['K2'])))['']).toMatch(/K2: imported already/);
    await expect(fresh.owner.query("UPDATE plant_batches SET ticket = 'x'")).rejects.toThrow(/append only/);
  });
  it('fill in the truck that comes, what is typed first', async () => {
    const load = (data: object) =>
      perform(
        site.db,
        site.actors.field,
        addLoad,
        { clientId: randomUUID(), lotId: site.lotId, arrivedAt: at(-20), ...data },
        now(-20),
      );
    await load({ ticket: 'K1' });
    expect((await errorsOf(load({ ticket: 'K2' }))).volume).toMatch(/needed/);
    await load({ ticket: 'K2', volume: '8 yd³', truck: '10' });
    expect((await errorsOf(load({ ticket: 'unheard of' }))).volume).toMatch(/needed/);
    const day = await placementDay(site.db, site.actors.field, site.lotId);
    expect(day.loads.map(({ ticket, truck, volume }) => [ticket, truck, volume])).toEqual([
      ['K1', '7', '9 yd3'],
      ['K2', '10', '8 yd3'],
    ]);
  });
  it('are read in with the sample of their truck', async () => {
    const day = await placementDay(site.db, site.actors.field, site.lotId);
    const { sampleId } = await perform(
      site.db,
      site.actors.field,
      takeSample,
      { clientId: randomUUID(), lotId: site.lotId, sampledAt: at(-10), loadId: day.loads[0]?.id },
      now(-10),
    );
    const rows = await site.db
      .select({ method: runs.method, field: readings.field, text: readings.text })
      .from(readings)
      .innerJoin(runs, eq(runs.id, readings.runId))
      .where(and(eq(runs.sampleId, sampleId), eq(runs.method, 'delivery')));
    const read = Object.fromEntries(rows.map(({ field, text }) => [field, text]));
    expect(read).toMatchObject({
      batchedAt: '2031-05-14T12:40:00.000Z',
      batchedFrom: 'ticket',
      cementitious: '4230',
      water: '2142',
      fine: '11250',
      fineMoisture: '5.2',
      fineAbsorption: '1.1',
      loadVolume: '9 yd3',
    });
  });
});

describe('random numbers of a table', () => {
  const plan = (data: object) =>
    perform(
      site.db,
      site.actors.field,
      planSampling,
      { lotId: site.lotId, volume: '310 yd3', ...data },
      now(-60),
    );
  it('are used as they stand, and said with the plan', async () => {
    const { planId } = await plan({ numbers: '0.371 0.862\n0.054 0.9' });
    const [made] = await site.db.select().from(samplingPlans).where(eq(samplingPlans.id, planId));
    expect(made?.draws.map(({ position }) => position)).toEqual(['38.34', '192.41', '212.25']);
    expect(made?.why).toMatch(/random numbers from a table$/);
  });
  it.each([
    ['0.371 0.862', /3 samples are to be drawn: 2 numbers are too few/],
    ['0.371 0.862 1.5', /1.5 is no random number/],
    ['rubbish', /No number found/],
  ])('are refused at the field: %j', async (numbers, message) => {
    expect((await errorsOf(plan({ numbers }))).numbers).toMatch(message);
  });
});

describe('what the samples of a load say to one another', () => {
  const sample = async (kind: string, loadId: string | undefined, minutes: number): Promise<string> => {
    const { sampleId } = await perform(
      site.db,
      site.actors.field,
      takeSample,
      {
        clientId: randomUUID(),
        lotId: site.lotId,
        sampledAt: at(minutes),
        kind,
        ...(loadId ? { loadId } : {}),
      },
      now(minutes),
    );
    return sampleId;
  };
  const run = async (sampleId: string, method: string, values: Record<string, string>): Promise<string> => {
    const { runId } = await perform(site.db, site.actors.field, startRun, { method, sampleId }, now(20));
    const current = readingsOf(values);
    const there = await site.db.select().from(readings).where(eq(readings.runId, runId));
    const based = current.map((reading) => {
      const seq = there.filter(({ field }) => field === reading.field).at(-1)?.seq;
      return seq === undefined ? reading : { ...reading, basedOn: seq };
    });
    await perform(site.db, site.actors.field, saveReadings, { runId, readings: based }, now(20));
    await perform(
      site.db,
      site.actors.field,
      completeRun,
      { runId, reasons: [], reasonForAll: 'as seen' },
      now(21),
    );
    return runId;
  };
  const CHUTE = { source: 'chute', kind: 'acceptance' };
  it('an assurance sample is laid beside the other, a sample at the hose beside the truck', async () => {
    const [load] = (await placementDay(site.db, site.actors.field, site.lotId)).loads;
    const first = await sample('acceptance', load?.id, 5);
    const second = await sample('assurance', load?.id, 6);
    const hose = await sample('acceptance', load?.id, 7);
    await run(first, 'sampling', CHUTE);
    await run(second, 'sampling', { ...CHUTE, kind: 'assurance' });
    await run(hose, 'sampling', { ...CHUTE, source: 'pump' });
    await run(first, 'slump', { shape: 'true', slump: '4' });
    await run(second, 'slump', { shape: 'true', slump: '5 1/2' });
    await run(hose, 'slump', { shape: 'true', slump: '3 1/2' });
    const rows = samplePairs(await placementDay(site.db, site.actors.field, site.lotId));
    expect(rows.map(({ why, difference, inside }) => [why, difference, inside]).toSorted()).toEqual([
      ['line', '−0.50 in', null],
      ['line', '−2.00 in', null],
      ['people', '+1.50 in', false],
    ]);
  });
  it('the load before says its slump and its ratio, the mix the alcohol that worked', async () => {
    const first = await sample('acceptance', undefined, 30);
    await run(first, 'air-volumetric', {
      variant: 'before',
      alcohol: '1.8',
      zeroed: 'true',
      reading1: '5.75',
      reading2: '5.75',
      stuck: 'no',
      leaked: 'no',
    });
    await run(first, 'slump', { shape: 'true', slump: '4' });
    await run(first, 'delivery', { cementitious: '5000', water: '2100', loadVolume: '9', batchedAt: at(0) });
    const next = await sample('acceptance', undefined, 60);
    await run(next, 'delivery', { cementitious: '5000', water: '2150', loadVolume: '9', batchedAt: at(30) });
    await run(next, 'concrete-temperature', { temperature: '82' });
    const { runId } = await perform(
      site.db,
      site.actors.field,
      startRun,
      { method: 'slump', sampleId: next },
      now(61),
    );
    const sheet = await runSheet(site.db, site.actors.field, runId, now(61));
    expect(sheet.setup.facts).toMatchObject({
      previousSlump: '4.00 in',
      ratio: '0.43',
      previousRatio: '0.42',
      measuredTemperature: '82 degF',
    });
    const air = await perform(
      site.db,
      site.actors.field,
      startRun,
      { method: 'air-volumetric', sampleId: next },
      now(61),
    );
    expect((await runSheet(site.db, site.actors.field, air.runId, now(61))).setup.facts?.alcohol).toEqual([
      '1.8 pt',
    ]);
  });
  it('the air of the load before is that of the last test, by whichever method it was made', async () => {
    const previousAir = async (sampleId: string, minutes: number, method = 'air-pressure') => {
      const about = { method, sampleId };
      const { runId } = await perform(site.db, site.actors.field, startRun, about, now(minutes));
      return (await runSheet(site.db, site.actors.field, runId, now(minutes))).setup.facts?.previousAir;
    };
    const pressure = {
      type: 'B',
      consolidation: 'rod',
      petcocks: 'closed',
      mainValve: 'shut',
      apparent: '6.2',
      factor: '0.4',
    };
    const early = await sample('acceptance', undefined, 65);
    await run(early, 'air-pressure', pressure);
    const late = await sample('acceptance', undefined, 70);
    await run(late, 'air-volumetric', {
      variant: 'before',
      alcohol: '1.8',
      zeroed: 'true',
      reading1: '5.25',
      reading2: '5.25',
      stuck: 'no',
      leaked: 'no',
    });
    const next = await sample('acceptance', undefined, 75);
    const said = await previousAir(next, 76);
    expect(said).toMatch(/ percent$/u);
    const [volumetric] = (await runViews(site.db, { sampleIds: [late] }, { method: 'air-volumetric' })).map(
      ({ outcome }) => outcome?.results.find(({ quantity }) => quantity === 'air content')?.reported,
    );
    expect(said).toBe(`${volumetric} percent`);
    // What was taken before it, and what is taken later, is no load before.
    expect(await previousAir(early, 77, 'air-volumetric')).not.toBe(said);
  });
});

it('a list of jobs says how much is going on in each', async () => {
  const second = await makeSite(site.db, 'TWO');
  const list = await jobList(site.db, site.actors.field);
  const of = (id: string) => list.find((job) => job.id === id);
  expect([of(second.jobId)?.placements, of(second.jobId)?.samples]).toEqual([1, 0]);
  const day = await placementDay(site.db, site.actors.field, site.lotId);
  expect([of(site.jobId)?.placements, of(site.jobId)?.samples]).toEqual([1, day.samples.length]);
  expect(await usualZone(site.db)).toBe('America/New_York');
});

describe('a reading of a device whose clock is wrong', () => {
  it('keeps both times and the steady counter', async () => {
    const { sampleId } = await perform(
      site.db,
      site.actors.field,
      takeSample,
      { clientId: randomUUID(), lotId: site.lotId, sampledAt: at(90) },
      now(90),
    );
    const { runId } = await perform(
      site.db,
      site.actors.field,
      startRun,
      { method: 'slump', sampleId },
      now(91),
    );
    const reading = {
      id: randomUUID(),
      field: 'readAt',
      text: at(91),
      takenAt: at(91),
      deviceAt: at(151),
      steadyMs: 61_200,
    };
    await perform(site.db, site.actors.field, saveReadings, { runId, readings: [reading] }, now(91));
    const [kept] = await site.db.select().from(readings).where(eq(readings.id, reading.id));
    expect([kept?.takenAt.toISOString(), kept?.deviceAt?.toISOString(), kept?.steadyMs]).toEqual([
      at(91),
      at(151),
      61_200,
    ]);
    const sheet = await runSheet(site.db, site.actors.field, runId, now(92));
    expect(sheet.setup.enteredAt).toEqual({ readAt: at(91) });
  });
});
