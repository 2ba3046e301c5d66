import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { lotDiameterOf } from '@/core/methods/cylinder-compression/lot-diameter';
import { batches } from '@/db/schema';
import { freshDatabase } from '@/testing/database';
import {
  AT_28_DAYS,
  breakSpecimen,
  makeSample,
  makeSite,
  readingsOf,
  type Site,
  signShown,
} from '@/testing/site';
import { drawDiameters } from './actions/diameters';
import { addEquipment, qualifyCompound } from './actions/gear';
import { registerSpecimens } from './actions/register';
import { prepareReport } from './actions/reports';
import { completeRun, saveReadings, startRun } from './actions/runs';
import { leaveOut, takeBackIn } from './actions/specimens';
import { perform } from './perform';
import { specimenViews } from './queries/dossier';
import { diameterLotList, endsToMake } from './queries/ends';
import { gearList } from './queries/gear';
import { runSheet } from './queries/run';
import { sampleDossier } from './queries/sample';

let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
const NOW = new Date(AT_28_DAYS);
const DAY = 86_400_000;
beforeAll(async () => {
  fresh = await freshDatabase();
  site = await makeSite(fresh.db, 'SET');
});
afterAll(() => fresh?.close());

const act = <I extends object, R>(
  useCase: Parameters<typeof perform<I, R>>[2],
  data: object,
  who: 'field' | 'laboratory' | 'reviewer' | 'manager' = 'laboratory',
) => perform(site.db, site.actors[who], useCase, data, NOW);
const dossierOf = (sampleId: string) => sampleDossier(site.db, site.actors.reviewer, sampleId);

describe('leaving a specimen out of its set', () => {
  const fault = { fault: 'testing', evidence: 'The seat was stuck: photograph 2, crushed on one side.' };
  it('is a reviewer’s decision on evidence, told with both means, and can be taken back', async () => {
    const { sampleId, specimenIds } = await makeSample(site);
    for (const [index, load] of ['61,000', '60,000', '46,000'].entries())
      await breakSpecimen(site, specimenIds[index] ?? '', load);
    const specimenId = specimenIds[2] ?? '';
    await expect(act(leaveOut, { specimenId, ...fault, apart: 'no' }, 'reviewer')).rejects.toMatchObject({
      errors: { apart: expect.stringContaining('apart from the strength') },
    });
    await expect(act(leaveOut, { specimenId, ...fault, apart: 'yes' })).rejects.toThrow();
    await act(leaveOut, { specimenId, ...fault, apart: 'yes' }, 'reviewer');
    await expect(act(leaveOut, { specimenId, ...fault, apart: 'yes' }, 'reviewer')).rejects.toThrow(
      /already/,
    );
    const set = (await dossierOf(sampleId)).sets.find(({ designated }) => designated);
    expect(set?.test.used).toHaveLength(2);
    expect(set?.test.leftOut[0]?.why).toMatch(/^testing: The seat was stuck.*\(.+\)$/u);
    expect(set?.test.findings.map(({ id }) => id)).toEqual(
      expect.arrayContaining(['set.left-out', 'set.reduced']),
    );
    await act(takeBackIn, { specimenId, reason: 'Photograph 2 is of another specimen.' }, 'manager');
    expect((await dossierOf(sampleId)).sets.find(({ designated }) => designated)?.test.used).toHaveLength(3);
  });
  it('is for broken ones, and not under a signed report', async () => {
    const { sampleId, specimenIds } = await makeSample(site);
    const specimenId = specimenIds[0] ?? '';
    await expect(act(leaveOut, { specimenId, ...fault, apart: 'yes' }, 'reviewer')).rejects.toThrow(
      /not broken/,
    );
    for (const id of specimenIds) await breakSpecimen(site, id, '60,500');
    const { reportId } = await act(prepareReport, { sampleId });
    await signShown(site, reportId);
    await expect(act(leaveOut, { specimenId, ...fault, apart: 'yes' }, 'reviewer')).rejects.toThrow(
      /amendment/,
    );
  });
});

describe('grout prisms and mortar cubes', () => {
  it('get labels, their own windows and a run in the press, and make a set of their own', async () => {
    const { sampleId } = await makeSample(site);
    const madeAt = new Date(NOW.getTime() - 7 * DAY).toISOString();
    const common = { sampleId, how: 'small', count: 3 };
    const told = { madeAt, ageDays: '7' };
    const { labels } = await act(registerSpecimens, { ...common, form: 'mortar-2', told }, 'field');
    expect(labels.map((label) => label.slice(-3))).toEqual(['-M1', '-M2', '-M3']);
    await act(registerSpecimens, {
      ...common,
      form: 'prism-3.5',
      told: { ...told, specifiedStrength: '2,150 psi' },
    });
    await expect(
      act(registerSpecimens, {
        ...common,
        form: 'prism-3.5',
        told: { ...told, specifiedStrength: '2150 °F' },
      }),
    ).rejects.toMatchObject({ errors: { specifiedStrength: expect.any(String) } });
    await expect(
      act(registerSpecimens, {
        ...common,
        form: 'prism-3.5',
        count: 99,
        told: { ...told, ageDays: 'seven' },
      }),
    ).rejects.toMatchObject({
      errors: { count: expect.stringContaining('12'), ageDays: expect.any(String) },
    });
    await expect(act(registerSpecimens, { ...common, how: 'air', form: 'prism-3.5' })).rejects.toThrow(
      /not there/,
    );
    await expect(
      act(
        registerSpecimens,
        { ...common, how: 'cores', form: 'core-4', told: { drilledAt: madeAt } },
        'field',
      ),
    ).rejects.toThrow(/Only the laboratory/);
    const views = await specimenViews(site.db, [sampleId]);
    const of = (size: string) => views.filter((view) => view.form === size);
    const hours = (view: (typeof views)[number] | undefined): number =>
      ((view?.closesAt?.getTime() ?? 0) - (view?.opensAt?.getTime() ?? 0)) / 3_600_000;
    expect([hours(of('mortar-2')[0]), hours(of('prism-3.5')[0])]).toEqual([6, 12]);
    const loads = ['25,050', '26,150', '23,500'];
    for (const [index, cube] of of('mortar-2').entries()) {
      const { runId } = await act(startRun, { method: 'mortar-cube', specimenId: cube.id });
      await act(saveReadings, {
        runId,
        readings: readingsOf({
          machine: 'SET-PRESS',
          found: 'sound',
          faces: 'cast',
          surface: 'moist',
          flush: 'yes',
          zeroed: 'true',
          guarded: 'true',
          maximumLoad: loads[index] ?? '',
          testedAt: NOW.toISOString(),
        }),
      });
      await act(completeRun, { runId, reasons: [], reasonForAll: 'as seen' });
    }
    const { sets } = await dossierOf(sampleId);
    const cubes = sets.find(({ what }) => what === 'Mortar cubes');
    // 6262.5, 6537.5 and 5875 psi: range 10.6 % of the mean; without the last 4.3 %, mean 6400.
    expect([cubes?.test.text, cubes?.designated]).toEqual(['6,400', false]);
    expect(cubes?.note).toContain('farthest from the mean is left out');
    // They are no part of what the mix is judged by, and their own strength is expected of the prisms.
    expect(sets.filter(({ designated }) => designated)).toHaveLength(1);
    const due = await endsToMake(site.db, site.actors.laboratory, NOW);
    const prism = due.find(({ label }) => label === of('prism-3.5')[0]?.label);
    expect(prism).toMatchObject({ pads: 'not for these', expected: expect.stringContaining('2,470') });
  });
});

it('a lot of compound is qualified by fifteen and fifteen cylinders, and by nothing less', async () => {
  const { equipmentId } = await act(addEquipment, {
    number: 'SET-LOT',
    kind: 'capping compound',
    name: 'as delivered',
  });
  const rows = (shift: number) =>
    Array.from({ length: 15 }, (_, index) => {
      const value = 8010 + 37 * ((index * 7) % 15);
      return `${value} ${value + shift}`;
    });
  const qualify = (pairs: readonly string[]) =>
    act(
      qualifyCompound,
      {
        equipmentId,
        pairs: pairs.join('\n'),
        system: 'US',
        qualifiedOn: '2031-05-02',
        hardens: '3 h',
        document: 'Q-31',
      },
      'reviewer',
    );
  await expect(qualify(rows(-20).slice(1))).rejects.toMatchObject({
    errors: { pairs: expect.stringContaining('15 of each kind') },
  });
  await expect(qualify(rows(-400))).rejects.toMatchObject({
    errors: { pairs: expect.stringContaining('Not qualified') },
  });
  expect((await qualify(rows(-20))).usableTo).toBe('9922.8 psi');
  const [item] = (await gearList(site.db, site.actors.laboratory, '2031-06-11')).filter(
    ({ id }) => id === equipmentId,
  );
  expect(item?.compound?.hardens).toBe('3 h');
});

describe('diameters of one lot of moulds', () => {
  it.each([
    ['4.01', { state: 'take', mean: '4.01 in', range: '0.02 in' }],
    ['3.99', { state: 'measure all', range: '0.03 in' }],
  ])('are drawn beforehand; with a third of %s the others do %o', async (third, expected) => {
    const first = await makeSample(site);
    const second = await makeSample(site);
    const specimenIds = [...first.specimenIds.slice(0, 3), ...second.specimenIds.slice(0, 3)];
    const id = randomUUID();
    await expect(
      act(drawDiameters, { id, lot: 'M-7', specimenIds: specimenIds.slice(0, 3) }),
    ).rejects.toMatchObject({ errors: { specimenIds: expect.stringContaining('at least four') } });
    await act(drawDiameters, { id, lot: 'M-7', specimenIds });
    await act(drawDiameters, { id, lot: 'M-7', specimenIds });
    const lot = async () =>
      (await diameterLotList(site.db, site.actors.laboratory)).find((each) => each.id === id);
    const drawn = (await lot())?.members.filter((member) => member.drawn) ?? [];
    expect([drawn.length, (await lot())?.state]).toEqual([3, 'wait']);
    const measure = async (specimenId: string, diameter: string): Promise<string> => {
      const { runId } = await act(startRun, { method: 'cylinder-compression', specimenId });
      await act(saveReadings, { runId, readings: readingsOf({ diameter1: diameter, diameter2: diameter }) });
      return runId;
    };
    const other = specimenIds.find((each) => !drawn.some((member) => member.id === each)) ?? '';
    const { runId } = await act(startRun, { method: 'cylinder-compression', specimenId: other });
    const says = async () =>
      lotDiameterOf((await runSheet(site.db, site.actors.laboratory, runId, NOW)).setup, 'US');
    for (const [index, member] of drawn.slice(0, 2).entries())
      await measure(member.id, index === 0 ? '4.00' : '4.02');
    expect(await says()).toMatchObject({ state: 'wait', measured: 2, drawn: 3, count: 6 });
    await measure(drawn[2]?.id ?? '', third);
    expect(await says()).toMatchObject(expected);
    await expect(site.db.delete(batches)).rejects.toThrow();
  });
});
