import { randomUUID } from 'node:crypto';
import { eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { outcomes, specimens } from '@/db/schema';
import { freshDatabase } from '@/testing/database';
import {
  AT_28_DAYS,
  breakSpecimen,
  breakValues,
  makeSample,
  makeSite,
  readingsOf,
  type Site,
} from '@/testing/site';
import { addEquipment, describePads, qualifyPads, recordLotStrength } from './actions/gear';
import { makeBatch } from './actions/make-batch';
import { registerSpecimens } from './actions/register';
import { completeRun, saveReadings, startRun } from './actions/runs';
import { makeSpecimens } from './actions/samples';
import { perform } from './perform';
import { specimenViews } from './queries/dossier';
import { endBatchList, endsToMake } from './queries/ends';
import { gearList } from './queries/gear';
import { runSheet } from './queries/run';

let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
const NOW = new Date(AT_28_DAYS);
const HOUR = 3_600_000;
beforeAll(async () => {
  fresh = await freshDatabase();
  site = await makeSite(fresh.db, 'END');
});
afterAll(() => fresh?.close());

const act = <I extends object, R>(
  useCase: Parameters<typeof perform<I, R>>[2],
  data: object,
  who: 'laboratory' | 'reviewer' = 'laboratory',
) => perform(site.db, site.actors[who], useCase, data, NOW);
const owned = async (number: string, kind: string): Promise<string> =>
  (await act(addEquipment, { number, kind, name: 'as described' })).equipmentId;

describe('a batch of caps', () => {
  it('is a run of its own, and what it found stands with every specimen of it', async () => {
    const lot = await owned('END-LOT', 'capping compound');
    const { strength, usable } = await act(recordLotStrength, {
      equipmentId: lot,
      verifiedOn: '2031-06-01',
      loads: '21,850 22,400 21,300',
      system: 'US',
    });
    expect([strength, usable]).toEqual(['5460 psi', true]);
    const { specimenIds } = await makeSample(site);
    const id = randomUUID();
    const { runId, label } = await act(makeBatch, { id, kind: 'capping', specimenIds });
    expect((await act(makeBatch, { id, kind: 'capping', specimenIds })).runId).toBe(runId);
    const capped = new Date(NOW.getTime() - HOUR).toISOString();
    await act(saveReadings, {
      runId,
      readings: readingsOf({
        kind: 'sulfur',
        lot: 'END-LOT',
        potStart: '301',
        lastCapAt: capped,
        sounding: 'sound',
      }),
    });
    await act(completeRun, { runId, reasons: [] });
    const { runId: test } = await act(startRun, {
      method: 'cylinder-compression',
      specimenId: specimenIds[0],
    });
    const { setup } = await runSheet(site.db, site.actors.laboratory, test, NOW);
    expect(setup.facts?.ends).toMatchObject({ kind: 'sulfur', batch: label, compound: '5460 psi' });
    expect((setup.facts?.ends as { remarks?: string[] } | undefined)?.remarks?.join()).toContain('301');
    const listed = await endBatchList(site.db, site.actors.laboratory);
    expect(listed[0]).toMatchObject({ label, state: 'complete', done: 'caps' });
    expect(listed[0]?.specimens).toHaveLength(3);
  });
  it('found after the break, stands with the specimens that were broken: they are computed anew, once', async () => {
    const { specimenIds } = await makeSample(site);
    const { runId } = await act(makeBatch, { id: randomUUID(), kind: 'capping', specimenIds });
    const lastCapAt = new Date(NOW.getTime() - 20 * HOUR).toISOString();
    const said = (values: Record<string, string>) =>
      act(saveReadings, { runId, readings: readingsOf({ kind: 'sulfur', lastCapAt, ...values }) });
    await said({});
    const { runId: test } = await act(startRun, {
      method: 'cylinder-compression',
      specimenId: specimenIds[0],
    });
    await act(saveReadings, {
      runId: test,
      readings: readingsOf({ ...breakValues('58,000'), ends: 'sulfur' }),
    });
    await act(completeRun, { runId: test, reasons: [] });
    const outcomesOf = () =>
      site.db.select().from(outcomes).where(eq(outcomes.runId, test)).orderBy(outcomes.seq);
    const remarks = async () =>
      (await outcomesOf()).at(-1)?.outcome.findings.filter(({ id }) => id.startsWith('ends.batch')).length;
    expect(await outcomesOf()).toHaveLength(1);
    expect(await remarks()).toBe(0);
    await said({ potStart: '301', sounding: 'sound', lot: 'END-LOT' });
    await act(completeRun, { runId, reasons: [] });
    expect(await outcomesOf()).toHaveLength(2);
    expect(await remarks()).toBe(1);
  });
  it('takes no broken specimen, and is the laboratory’s', async () => {
    const { specimenIds } = await makeSample(site);
    await breakSpecimen(site, specimenIds[0] ?? '', '61,000');
    await expect(act(makeBatch, { id: randomUUID(), kind: 'capping', specimenIds })).rejects.toThrow(
      /broken already/,
    );
    await expect(
      perform(site.db, site.actors.field, makeBatch, { id: randomUUID(), kind: 'capping', specimenIds }, NOW),
    ).rejects.toThrow();
  });
  it('is planned back from the window', async () => {
    const { specimenIds } = await makeSample(site);
    const coming = await endsToMake(site.db, site.actors.laboratory, NOW);
    const own = coming.find(({ id }) => id === specimenIds[0]);
    expect(own?.capBy).toBe((own?.closesAt ?? 0) - (own?.hardens ?? 0) * HOUR);
  });
});

describe('companions', () => {
  it('of the same age are told to a test of their sample, others are not', async () => {
    const { specimenIds } = await makeSample(site);
    await breakSpecimen(site, specimenIds[0] ?? '', '58,000');
    const { runId } = await act(startRun, { method: 'static-modulus', specimenId: specimenIds[1] });
    const told = async () =>
      (await runSheet(site.db, site.actors.laboratory, runId, NOW)).setup.facts?.companions;
    expect(await told()).toEqual([expect.stringMatching(/^4\d{3} psi$/u)]);
    await breakSpecimen(site, specimenIds[2] ?? '', '61,000');
    expect(await told()).toHaveLength(2);
  });
});

describe('pads', () => {
  it('are counted by the tests that name them, and worn out by them alone', async () => {
    const equipmentId = await owned('END-PAD', 'unbonded pads');
    await act(describePads, { equipmentId, pads: { durometer: '60', retainer: '4.19 in', uses: 99 } });
    const { specimenIds } = await makeSample(site);
    const { runId } = await act(startRun, { method: 'cylinder-compression', specimenId: specimenIds[0] });
    await act(saveReadings, { runId, readings: readingsOf({ ...breakValues('61,000'), pads: 'END-PAD' }) });
    await act(completeRun, { runId, reasons: [] });
    const [item] = (await gearList(site.db, site.actors.laboratory, '2031-06-11')).filter(
      ({ id }) => id === equipmentId,
    );
    expect(item?.pads?.uses).toBe(1);
    expect(item?.pads?.highest).toMatch(/^48\d\d\.\d+ psi$/);
    // The next specimen of the morning takes over what was set up, pads among it, each with its reason.
    const { runId: next } = await act(startRun, {
      method: 'cylinder-compression',
      specimenId: specimenIds[1],
    });
    const sheet = await runSheet(site.db, site.actors.laboratory, next, NOW);
    expect(sheet.history.map(({ field, text }) => `${field} ${text}`).toSorted()).toEqual(
      ['ends pads', 'machine TST-PRESS', 'pads END-PAD'].map((each) =>
        each.replace('TST-PRESS', String(sheet.history.find(({ field }) => field === 'machine')?.text)),
      ),
    );
    expect(new Set(sheet.history.map(({ reason }) => reason))).toEqual(
      new Set(['As for the specimen before.']),
    );
  });
  it('are qualified by ten pairs that pass, and by nothing less', async () => {
    const equipmentId = await owned('END-HARD', 'unbonded pads');
    await act(describePads, { equipmentId, pads: { durometer: '70' } });
    const reference = [8120, 8340, 8010, 8260, 8430, 7980, 8190, 8300, 8150, 8220];
    const pads = [7985, 8210, 7870, 8100, 8305, 7840, 8050, 8170, 8015, 8085];
    const pairs = reference.map((value, index) => `${value} ${pads[index]}`).join('\n');
    const qualify = (text: string) =>
      act(qualifyPads, { equipmentId, pairs: text, system: 'US', document: 'Q-12' }, 'reviewer');
    await expect(qualify(pairs.split('\n').slice(1).join('\n'))).rejects.toMatchObject({
      errors: { pairs: expect.stringContaining('at least 10') },
    });
    await expect(
      qualify(reference.map((value) => `${value} ${value - 300}`).join('\n')),
    ).rejects.toMatchObject({
      errors: { pairs: expect.stringContaining('Not qualified') },
    });
    expect((await qualify(pairs)).qualifiedTo).toBe('8200 psi');
  });
});

describe('cores and cubes', () => {
  it('cores have their own window and letters, and are tested as cores only', async () => {
    const { sampleId } = await makeSample(site);
    const drilledAt = new Date(NOW.getTime() - 6 * 24 * HOUR).toISOString();
    const { labels } = await act(registerSpecimens, {
      ...{ sampleId, how: 'cores', form: 'core-4', count: 3 },
      told: { drilledAt },
      place: 'Wall, bay 3',
    });
    expect(labels.map((label) => label.slice(-3))).toEqual(['-K1', '-K2', '-K3']);
    const [core] = (await specimenViews(site.db, [sampleId])).filter(({ form: size }) => size === 'core-4');
    expect((core?.closesAt?.getTime() ?? 0) - (core?.opensAt?.getTime() ?? 0)).toBe(2 * 24 * HOUR);
    await expect(act(startRun, { method: 'cylinder-compression', specimenId: core?.id })).rejects.toThrow(
      /not made on/,
    );
    const { runId } = await act(startRun, { method: 'core-compression', specimenId: core?.id });
    const { setup } = await runSheet(site.db, site.actors.laboratory, runId, NOW);
    expect(setup.specimen?.held).toBeUndefined();
    await expect(
      act(registerSpecimens, {
        ...{ sampleId, how: 'cores', form: 'core-4', count: 1 },
        told: { drilledAt: '2020-01-01T08:00:00Z' },
      }),
    ).rejects.toMatchObject({ errors: { drilledAt: expect.stringContaining('before the concrete') } });
  });
  it('a specimen that was split cannot be compressed, and leaves its set', async () => {
    const { specimenIds, sampleId } = await makeSample(site);
    const { runId } = await act(startRun, { method: 'splitting-tensile', specimenId: specimenIds[0] });
    const {
      diameter1: _,
      diameter2: __,
      ends: ___,
      fracture: ____,
      aligned: _____,
      ...common
    } = breakValues('23,150');
    await act(saveReadings, {
      runId,
      readings: readingsOf({
        ...common,
        diameter1: '4.01',
        diameter2: '4.01',
        diameter3: '4.01',
        length1: '8.0',
        length2: '8.0',
        strips: 'new',
        lines: 'yes',
        fracture: 'split',
      }),
    });
    await act(completeRun, { runId, reasons: [], reasonForAll: 'as seen' });
    const [split] = await site.db
      .select()
      .from(specimens)
      .where(eq(specimens.id, specimenIds[0] ?? ''));
    expect(split?.testedAt).not.toBeNull();
    await expect(
      act(startRun, { method: 'cylinder-compression', specimenId: specimenIds[0] }),
    ).rejects.toThrow(/broken already/);
    const { sets } = await runSheet(site.db, site.actors.laboratory, runId, NOW);
    expect(sets.find(({ ageHours }) => ageHours === 672)?.specimens).toHaveLength(2);
    expect(sampleId).toBeTruthy();
  });
  it('cubes of one sample are a set by the rule of their school', async () => {
    const { sampleId } = await makeSample(site);
    await act(makeSpecimens, {
      sampleId,
      castAt: new Date(NOW.getTime() - 28 * 24 * HOUR).toISOString(),
      size: 'cube-150',
      cure: 'standard',
      groups: [{ ageDays: 28, count: 2 }],
    });
    const cubes = (await specimenViews(site.db, [sampleId])).filter(({ form: size }) => size === 'cube-150');
    let last = '';
    for (const [index, load] of ['158,300', '203,000'].entries()) {
      const { runId } = await act(startRun, { method: 'cube-compression', specimenId: cubes[index]?.id });
      last = runId;
      const {
        diameter1: _,
        diameter2: __,
        ends: ___,
        fracture: ____,
        aligned: _____,
        ...common
      } = breakValues(load);
      await act(saveReadings, {
        runId,
        readings: readingsOf({
          ...common,
          sideX: '5.905',
          sideY: '5.905',
          trowelled: 'side',
          pattern: 'even',
        }),
      });
      await act(completeRun, { runId, reasons: [], reasonForAll: 'as seen' });
    }
    const { sets } = await runSheet(site.db, site.actors.laboratory, last, NOW);
    const set = sets.find(({ specimens: own }) => own.some(({ id }) => id === cubes[0]?.id));
    expect(set?.note).toMatch(/EN 206: Range 24\.\d % .*Disregard the set/);
    expect(set?.designated).toBe(false);
  });
});
