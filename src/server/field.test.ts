import { randomUUID } from 'node:crypto';
import {
  BarcodeFormat,
  BinaryBitmap,
  DecodeHintType,
  GlobalHistogramBinarizer,
  MultiFormatReader,
  RGBLuminanceSource,
} from '@zxing/library';
import { eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { claimedYield, freshSeries } from '@/core/materials/concrete/day';
import { runs, samples, samplingPlans, specimenEvents, specimens } from '@/db/schema';
import { freshDatabase } from '@/testing/database';
import { CAST, makeSample, makeSite, readingsOf, type Site } from '@/testing/site';
import { addLoad, handOver, planSampling } from './actions/field';
import { createLot, createSpecification } from './actions/jobs';
import { completeRun, saveReadings, startRun } from './actions/runs';
import { makeSpecimens, takeSample } from './actions/samples';
import { Conflict, Invalid } from './errors';
import { barcodeSvg, labelPdf, labelsOf } from './labels';
import { LiveChanges } from './live';
import { perform } from './perform';
import { custody } from './queries/custody';
import { fieldSample, placementDay } from './queries/placement';
import { placementCsv } from './queries/placement-csv';
import { runSheet } from './queries/run';
import { sampleEvents } from './sample-stamps';

const MINUTE = 60_000;
let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
let lotId = '';
beforeAll(async () => {
  fresh = await freshDatabase();
  site = await makeSite(fresh.db);
  const { specificationId } = await perform(site.db, site.actors.reviewer, createSpecification, {
    jobId: site.jobId,
    code: 'AIR',
    title: 'Deck',
    material: 'concrete',
    asked: {
      specifiedStrength: '4,600 psi',
      ageDays: 28,
      slump: '4 in',
      air: '6 %',
      aggregate: '3/4 in',
      aggregateFactor: '0.4 %',
      density: '144 lb/ft3',
      waterRatio: '.44',
    },
  });
  const made = await perform(site.db, site.actors.field, createLot, {
    jobId: site.jobId,
    specificationId,
    startsAt: at(-60),
    title: 'Deck 4',
    about: { volume: '310 yd3', section: '8 in' },
  });
  lotId = made.lotId;
});
afterAll(() => fresh?.close());

const at = (minutes: number): string => new Date(CAST + minutes * MINUTE).toISOString();
const now = (minutes: number): Date => new Date(CAST + minutes * MINUTE);
const errorsOf = (promise: Promise<unknown>): Promise<Record<string, string>> =>
  promise.then(
    () => ({}),
    (error: unknown) => (error instanceof Invalid ? { ...error.errors } : { '': String(error) }),
  );

async function sampleOf(
  kind: 'acceptance' | 'preliminary',
  minutes: number,
  loadId?: string,
): Promise<string> {
  const { sampleId } = await perform(
    site.db,
    site.actors.field,
    takeSample,
    {
      clientId: randomUUID(),
      lotId,
      sampledAt: at(minutes),
      press: 'first portion',
      kind,
      ...(loadId ? { loadId } : {}),
    },
    now(minutes),
  );
  return sampleId;
}

async function runOf(sampleId: string, method: string) {
  const found = await site.db.select().from(runs).where(eq(runs.sampleId, sampleId));
  return found.filter((run) => run.method === method).at(-1)?.id ?? '';
}

async function read(runId: string, values: Record<string, unknown>, complete = true): Promise<void> {
  await perform(site.db, site.actors.field, saveReadings, { runId, readings: readingsOf(values) }, now(30));
  if (complete)
    await perform(
      site.db,
      site.actors.field,
      completeRun,
      { runId, reasons: [], reasonForAll: 'as seen' },
      now(31),
    );
}

describe('the plan of a day', () => {
  it('draws the samples the rule asks for, locks them, and draws the same again from the seed', async () => {
    const first = await perform(
      site.db,
      site.actors.field,
      planSampling,
      { lotId, volume: '310 yd³', seed: 71 },
      now(-50),
    );
    expect(first.count).toBe(3);
    const second = await perform(
      site.db,
      site.actors.field,
      planSampling,
      { lotId, volume: '310', seed: 71 },
      now(-49),
    );
    const plans = await site.db.select().from(samplingPlans).where(eq(samplingPlans.lotId, lotId));
    expect(plans.map(({ draws }) => draws)[0]).toEqual(plans.map(({ draws }) => draws)[1]);
    expect(plans.map(({ id }) => id)).toContain(second.planId);
    await expect(fresh.owner.query('UPDATE sampling_plans SET seed = 1')).rejects.toThrow(/append only/);
  });
  it('asks for more when the project does, never for less', async () => {
    const errors = await errorsOf(
      perform(site.db, site.actors.field, planSampling, { lotId, volume: '310', count: 2 }),
    );
    expect(errors.count).toMatch(/The rule asks for 3/);
    expect(
      await errorsOf(perform(site.db, site.actors.field, planSampling, { lotId, volume: 'lots' })),
    ).toHaveProperty('volume');
  });
});

describe('trucks, samples and their decisions', () => {
  let loadId = '';
  it('come in order; the same ticket is not entered twice, the same press is one', async () => {
    const clientId = randomUUID();
    const load = { clientId, lotId, ticket: 'T-1', truck: '9', volume: '9 yd3', arrivedAt: at(-20) };
    const one = await perform(site.db, site.actors.field, addLoad, load, now(-20));
    expect(await perform(site.db, site.actors.field, addLoad, load, now(-20))).toEqual(one);
    expect(
      await errorsOf(
        perform(site.db, site.actors.field, addLoad, { ...load, clientId: randomUUID() }, now(-19)),
      ),
    ).toHaveProperty('ticket');
    expect(
      await errorsOf(
        perform(
          site.db,
          site.actors.field,
          addLoad,
          { ...load, clientId: randomUUID(), ticket: 'T-2', volume: '900' },
          now(-19),
        ),
      ),
    ).toHaveProperty('volume');
    loadId = one.loadId;
  });

  it('a first portion opens the tests of the mix, with what the truck already says', async () => {
    const sampleId = await sampleOf('acceptance', -10, loadId);
    const field = await fieldSample(site.db, site.actors.field, sampleId);
    expect(field.runs.map(({ method }) => method)).toEqual(
      expect.arrayContaining(['delivery', 'sampling', 'slump', 'air-pressure', 'density-yield', 'moulding']),
    );
    const sheet = await runSheet(site.db, site.actors.field, await runOf(sampleId, 'sampling'), now(0));
    expect(Object.fromEntries(sheet.readings.map(({ field: name, text }) => [name, text]))).toMatchObject({
      kind: 'acceptance',
      loadVolume: '9 yd3',
      firstPortionAt: at(-10),
    });
  });

  it('the final portion is the sample’s own time, and every other test sees it', async () => {
    const sampleId = await sampleOf('acceptance', -8, loadId);
    await read(await runOf(sampleId, 'sampling'), { finalPortionAt: at(-2) }, false);
    const [sample] = await site.db.select().from(samples).where(eq(samples.id, sampleId));
    expect(sample?.sampledAt.toISOString()).toBe(at(-2));
    const sheet = await runSheet(site.db, site.actors.field, await runOf(sampleId, 'slump'), now(0));
    expect(sheet.setup.sample?.events).toMatchObject({ 'first-portion': at(-8), 'final-portion': at(-2) });
    await read(await runOf(sampleId, 'slump'), { fillStartedAt: at(3.5), shape: 'true', slump: '4' });
    const again = await runSheet(site.db, site.actors.field, await runOf(sampleId, 'slump'), now(40));
    expect(again.view?.outcome?.findings.map(({ id }) => id)).toContain('slump.start');
  });

  it('a high preliminary sample asks for a check, a second high one fails; the laboratory only reports', async () => {
    const preliminary = async (value: string, minutes: number) => {
      const sampleId = await sampleOf('preliminary', minutes, loadId);
      await read(await runOf(sampleId, 'slump'), { shape: 'true', slump: value });
    };
    const decision = async () =>
      (await placementDay(site.db, site.actors.field, lotId)).loads.find(({ id }) => id === loadId)?.decision;
    await preliminary('5 1/2', 5);
    expect((await decision())?.state).toBe('check');
    await preliminary('5 3/4', 8);
    expect((await decision())?.state).toBe('failed');
    expect((await decision())?.next).toMatch(/reports and does not decide/);
  });
});

describe('the stamps of samples', () => {
  it('are read of several at once, each its own, and a second attempt starts without the first one’s', async () => {
    const one = await sampleOf('acceptance', 10);
    const two = await sampleOf('acceptance', 12);
    const first = await runOf(one, 'slump');
    await read(first, { shape: 'shear', slump: '3', fillStartedAt: at(11), readAt: at(13) });
    await read(await runOf(two, 'slump'), { fillStartedAt: at(14) }, false);
    const stamps = async () => {
      const all = await sampleEvents(site.db, [one, two]);
      return [one, two].map((id) => all.get(id)?.['slump-fill']);
    };
    expect(await stamps()).toEqual([at(11), at(14)].map((each) => Date.parse(each)));
    const again = await perform(
      site.db,
      site.actors.field,
      startRun,
      { method: 'slump', sampleId: one, repeatReason: 'It sheared.' },
      now(15),
    );
    expect(await stamps()).toEqual([undefined, Date.parse(at(14))]);
    await read(again.runId, { fillStartedAt: at(16) }, false);
    expect(await stamps()).toEqual([at(16), at(14)].map((each) => Date.parse(each)));
    expect(await sampleEvents(site.db, [])).toEqual(new Map());
    // Asked for some events, it tells those and no other, and of the last attempt all the same.
    const some = await sampleEvents(site.db, [one, two], ['slump-fill', 'moulded']);
    expect([one, two].map((id) => some.get(id))).toEqual(
      [at(16), at(14)].map((each) => ({ 'slump-fill': Date.parse(each) })),
    );
    const others = await sampleEvents(site.db, [one], ['moulded', 'slump-read']);
    expect(others.get(one)).toEqual({});
  });
});

describe('what tests say to one another', () => {
  it('air is held against the slump, the factor on file and the load before; density against the meter', async () => {
    const first = await sampleOf('acceptance', 20);
    await read(await runOf(first, 'slump'), { shape: 'true', slump: '4' });
    await read(await runOf(first, 'air-pressure'), {
      consolidation: 'vibrate',
      apparent: '6.4',
      readAt: at(24),
    });
    const sheet = await runSheet(site.db, site.actors.field, await runOf(first, 'air-pressure'), now(40));
    expect(sheet.view?.outcome?.results[0]?.text).toBe('6.0');
    expect(sheet.view?.outcome?.findings.map(({ id }) => id)).toContain('air-pressure.rod-above');

    const second = await sampleOf('acceptance', 30);
    await read(await runOf(second, 'air-pressure'), {
      consolidation: 'rod',
      apparent: '8.4',
      readAt: at(34),
    });
    const next = await runSheet(site.db, site.actors.field, await runOf(second, 'air-pressure'), now(40));
    // The first was no valid test, so the second has no load before it to be compared with.
    expect(next.setup.facts?.previousAir).toBeUndefined();
    expect(next.view?.outcome?.verdicts[0]?.state).toBe('does not meet');
    await read(await runOf(second, 'density-yield'), {
      measureVolume: '0.25',
      emptyMass: '8',
      fullMass: '44',
      ticketVolume: '9',
      materials: [{ name: 'all', mass: '35000', density: '2.45' }],
    });
    const density = await runSheet(site.db, site.actors.field, await runOf(second, 'density-yield'), now(40));
    expect(density.setup.facts?.measuredAir).toBe('8.00 percent');
  });

  it('a placement’s page has its series with their limits, and a yield only from three loads', async () => {
    const day = await placementDay(site.db, site.actors.field, lotId);
    const slump = freshSeries(day).find(({ title }) => title === 'Slump');
    expect([slump?.low, slump?.high]).toEqual([3, 5]);
    expect(
      freshSeries(day)
        .find(({ title }) => title === 'Air')
        ?.points.some(({ valid }) => !valid),
    ).toBe(true);
    expect(claimedYield(day)).toBeNull();
  });

  it('the weather is read again and again at a placement, and a gap is remarked', async () => {
    const weather = async (minutes: number) => {
      const { runId } = await perform(
        site.db,
        site.actors.field,
        startRun,
        { method: 'evaporation', lotId },
        now(minutes),
      );
      await read(runId, {
        airTemperature: '80',
        humidity: '50',
        wind: '10',
        concreteTemperature: '85',
        readAt: at(minutes),
      });
      return runSheet(site.db, site.actors.field, runId, now(minutes));
    };
    expect((await weather(0)).view?.outcome?.results[0]?.text).toBe('0.19');
    const later = await weather(45);
    expect(later.view?.outcome?.findings.map(({ id }) => id)).toContain('evaporation.interval');
    expect(later.view?.attempt).toBe(2);
  });
});

describe('specimens', () => {
  it('of other shapes are made, labelled and kept, and never broken as cylinders', async () => {
    const sampleId = await sampleOf('acceptance', 50);
    await perform(
      site.db,
      site.actors.field,
      makeSpecimens,
      {
        sampleId,
        castAt: at(60),
        size: 'beam-6x6x20',
        cure: 'standard',
        place: 'Box 4',
        groups: [{ ageDays: 28, count: 2 }],
      },
      now(61),
    );
    const field = await fieldSample(site.db, site.actors.field, sampleId);
    const [beam] = field.specimens;
    const start = perform(site.db, site.actors.laboratory, startRun, {
      method: 'cylinder-compression',
      specimenId: beam?.id ?? '',
    });
    await expect(start).rejects.toThrow(Conflict);
    const labels = await labelsOf(site.db, site.actors.field, { sampleId });
    expect(labels[0]).toMatchObject({ code: beam?.label, size: 'Beam 6 × 6 × 20 in', cure: 'S' });
    for (const single of [true, false]) {
      const bytes = await labelPdf(labels, { single, paper: 'A4' });
      expect(bytes.subarray(0, 5).toString()).toBe('%PDF-');
    }
  });

  it('a label’s bars are read back by another library as the label', () => {
    const code = 'TST-002-C';
    const svg = barcodeSvg(code);
    const width = Number(/viewBox="0 0 (\d+)/.exec(svg)?.[1]);
    // The bars as they are printed: one dark stretch for each stroke of the drawing, on white.
    const line = Array.from({ length: width * 2 }, () => 255);
    for (const [, stroke, path] of svg.matchAll(/stroke-width="(\d+)" d="([^"]+)"/g)) {
      for (const [, x] of (path ?? '').matchAll(/M(\d+)/g)) {
        line.fill(0, (Number(x) - Number(stroke) / 2) * 2, (Number(x) + Number(stroke) / 2) * 2);
      }
    }
    const height = 40;
    const pixels = Uint8ClampedArray.from(Array.from({ length: height }, () => line).flat());
    const reader = new MultiFormatReader();
    const source = new RGBLuminanceSource(pixels, line.length, height);
    const hints = new Map([[DecodeHintType.POSSIBLE_FORMATS, [BarcodeFormat.CODE_128]]]);
    expect(reader.decode(new BinaryBitmap(new GlobalHistogramBinarizer(source)), hints).getText()).toBe(code);
  });

  it('change hands by count and by both names; a hand-over sent twice is one', async () => {
    const { specimenIds } = await makeSample(site);
    const over = {
      id: randomUUID(),
      kind: 'collected',
      specimenIds,
      fromPersonId: site.actors.field.id,
      at: at(1500),
      condition: 'in order',
      count: 2,
      place: 'Van',
    };
    const carry = (change: object) =>
      perform(site.db, site.actors.laboratory, handOver, { ...over, ...change }, now(1501));
    expect(await errorsOf(carry({}))).toHaveProperty('count');
    expect(await errorsOf(carry({ count: 3, condition: 'cracked' }))).toHaveProperty('note');
    expect(await errorsOf(carry({ count: 3, fromPersonId: 'nobody' }))).toHaveProperty('fromPersonId');
    await carry({ count: 3 });
    await carry({ count: 3 });
    const events = await site.db.select().from(specimenEvents).where(eq(specimenEvents.handoverId, over.id));
    expect(events.length).toBe(3);
    const [carried] = await site.db
      .select()
      .from(specimens)
      .where(eq(specimens.id, specimenIds[0] ?? ''));
    const carriedSample = carried?.sampleId ?? '';
    expect((await sampleEvents(site.db, [carriedSample])).get(carriedSample)).toMatchObject({
      collected: Date.parse(at(1500)),
    });
    const { past, specimens: carriedOver } = await custody(site.db, site.actors.field, site.lotId);
    expect(past[0]).toMatchObject({ from: 'field', to: 'laboratory', count: 3 });
    expect(carriedOver.some(({ state }) => state === 'collected, Van')).toBe(true);
    await expect(fresh.owner.query('UPDATE handovers SET count = 1')).rejects.toThrow(/append only/);
    const csv = await placementCsv(site.db, site.actors.field, site.lotId, 'custody');
    expect(csv).toMatch(/TST-\d+-A,collected,[^,]+,field,laboratory,Van,in order,/);
    const clocks = await placementCsv(site.db, site.actors.field, lotId, 'clocks');
    expect(clocks).toMatch(/slump-start,[^,]+,[^,]+,330,,300,missed/);
  });
});

it('tells every change of a placement to whoever listens, on any server of the database', async () => {
  const live = new LiveChanges(fresh.url);
  const heard: string[] = [];
  const leave = live.subscribe(({ lot }) => heard.push(lot));
  try {
    await expect
      .poll(
        async () => {
          const sampleId = await sampleOf('acceptance', 70);
          await read(await runOf(sampleId, 'slump'), { shape: 'true' }, false);
          return heard.includes(lotId);
        },
        { timeout: 20_000, interval: 300 },
      )
      .toBe(true);
  } finally {
    leave();
    await live.end();
  }
});
