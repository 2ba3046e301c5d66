import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { resultsCsv } from '@/core/interchange';
import { freshDatabase } from '@/testing/database';
import {
  AT_28_DAYS,
  breakSpecimen,
  breakValues,
  CAST,
  makeSample,
  makeSite,
  readingsOf,
  type Site,
} from '@/testing/site';
import { addEquipment, changeLimit, recordVerification, setService } from './actions/gear';
import { completeRun, saveReadings, startRun } from './actions/runs';
import { Invalid } from './errors';
import { perform } from './perform';
import { exportRecords } from './queries/export';
import { gearList, limitRegister } from './queries/gear';
import { jobDetail } from './queries/jobs';
import { runSheet } from './queries/run';
import { search } from './queries/specimen';

let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
beforeAll(async () => {
  fresh = await freshDatabase();
  site = await makeSite(fresh.db);
});
afterAll(() => fresh?.close());

const errorsOf = async (work: Promise<unknown>): Promise<string[]> => {
  const error = await work.catch((caught: unknown) => caught);
  expect(error).toBeInstanceOf(Invalid);
  return Object.keys((error as Invalid).errors);
};

describe('equipment', () => {
  it('says what is in date, due soon, overdue, never verified or out of service', async () => {
    const { db, actors } = site;
    const add = async (number: string, verifiedOn?: string) => {
      const { equipmentId } = await perform(db, actors.laboratory, addEquipment, {
        number,
        kind: 'calliper',
        name: number,
      });
      if (verifiedOn)
        await perform(db, actors.laboratory, recordVerification, { equipmentId, verifiedOn }, new Date(CAST));
      return equipmentId;
    };
    await add('FINE', '2031-03-01');
    await add('SOON', '2030-06-01');
    await add('LATE', '2030-05-13');
    await add('NEVER');
    const away = await add('AWAY', '2031-03-01');
    await perform(db, actors.laboratory, setService, { equipmentId: away, inService: false });
    const list = [
      ...(await gearList(db, actors.field, '2031-05-14')),
      ...(await gearList(db, actors.field, '2031-05-14', { retired: true })),
    ];
    const states = Object.fromEntries(list.map(({ number, state }) => [number, state]));
    expect(states).toMatchObject({
      FINE: 'in date',
      SOON: 'due soon',
      LATE: 'overdue',
      NEVER: 'never verified',
      AWAY: 'out of service',
    });
    expect(
      await errorsOf(
        perform(db, actors.laboratory, addEquipment, { number: 'FINE', kind: 'calliper', name: 'x' }),
      ),
    ).toEqual(['number']);
  });

  it('a machine is verified over a range, on a day that has come', async () => {
    const { db, actors } = site;
    const { equipmentId } = await perform(db, actors.laboratory, addEquipment, {
      number: 'P9',
      kind: 'compression machine',
      name: 'x',
    });
    const record = (data: object) =>
      perform(db, actors.laboratory, recordVerification, { equipmentId, ...data }, new Date(CAST));
    expect(await errorsOf(record({ verifiedOn: '2031-05-01' }))).toEqual(['verifiedFrom']);
    expect(
      await errorsOf(record({ verifiedOn: '2031-05-01', verifiedFrom: '80 kN', verifiedTo: 'a lot' })),
    ).toEqual(['verifiedTo']);
    expect(
      await errorsOf(record({ verifiedOn: '2031-06-01', verifiedFrom: '80 kN', verifiedTo: '1,200 kN' })),
    ).toEqual(['verifiedOn']);
    expect(
      await errorsOf(record({ verifiedOn: '2031-02-30', verifiedFrom: '80 kN', verifiedTo: '1,200 kN' })),
    ).toEqual(['verifiedOn']);
    await record({ verifiedOn: '2031-05-01', verifiedFrom: '80 kN', verifiedTo: '1,200 kN' });
    // Or by the loads of the certificate: the range is what they prove.
    const loads = 'indicated,applied\n50 49.2\n80 79.8\n300;299\n600 598\n900 901\n1,200 1,195';
    const proof = (data: object) => record({ verifiedOn: '2031-05-02', loadsIn: 'kN', ...data });
    expect(await errorsOf(proof({ loads: 'nothing\nmuch' }))).toEqual(['loads']);
    expect(await errorsOf(proof({ loads: loads.replace('600 598', '600 590') }))).toEqual(['loads']);
    expect(await errorsOf(proof({ loads, verifiedFrom: '50 kN', verifiedTo: '1,200 kN' }))).toEqual([
      'verifiedFrom',
    ]);
    expect(await errorsOf(proof({ loads, verifiedTo: '1,300 kN' }))).toEqual(['verifiedTo']);
    await proof({ loads });
    const item = (await gearList(db, actors.laboratory, '2031-05-14')).find(({ number }) => number === 'P9');
    expect(item?.last).toMatchObject({
      verifiedOn: '2031-05-02',
      verifiedFrom: '80 kN',
      verifiedTo: '1200 kN',
    });
    expect(item?.loads?.rows[0]).toEqual({
      indicated: '50',
      applied: '49.2',
      percent: '1.63',
      within: false,
    });
  });

  it('is judged by the verification that stood on the day of the test, not by a later one', async () => {
    const { db, actors } = site;
    const { equipmentId } = await perform(db, actors.laboratory, addEquipment, {
      number: 'P8',
      kind: 'compression machine',
      name: 'x',
    });
    const verify = (verifiedOn: string, now: string) =>
      perform(
        db,
        actors.laboratory,
        recordVerification,
        { equipmentId, verifiedOn, verifiedFrom: '20,000 lbf', verifiedTo: '300,000 lbf' },
        new Date(now),
      );
    await verify('2030-04-01', '2030-04-02T12:00:00Z');
    await verify('2031-07-01', '2031-07-02T12:00:00Z');
    const { specimenIds } = await makeSample(site);
    const { runId } = await perform(db, actors.laboratory, startRun, {
      method: 'cylinder-compression',
      specimenId: specimenIds[0],
    });
    await perform(db, actors.laboratory, saveReadings, {
      runId,
      readings: readingsOf({ ...breakValues('58,300'), machine: 'P8' }),
    });
    const sheet = await runSheet(db, actors.laboratory, runId, new Date('2031-08-01T12:00:00Z'));
    expect(sheet.setup.equipment?.find(({ number }) => number === 'P8')?.verifiedOn).toBe('2030-04-01');
    const complete = perform(db, actors.laboratory, completeRun, { runId, reasons: [] });
    expect(await errorsOf(complete)).toEqual(['reason.equipment.overdue']);
  });
});

describe('the limits register', () => {
  it('is changed by the manager with a note; runs keep the revision they began with', async () => {
    const { db, actors } = site;
    const { specimenIds } = await makeSample(site);
    const before = await perform(db, actors.laboratory, startRun, {
      method: 'cylinder-compression',
      specimenId: specimenIds[0],
    });
    const set = {
      limitId: 'cylinder.loading-rate',
      status: 'set by the laboratory',
      edition: 'project specification',
      note: 'Asked by the owner.',
    };
    expect(
      await errorsOf(
        perform(db, actors.manager, changeLimit, {
          ...set,
          values: { US: { low: '30', high: 'x' }, SI: { low: '0.2', high: '0.3' } },
        }),
      ),
    ).toEqual(['US.high']);
    expect(
      await errorsOf(
        perform(db, actors.manager, changeLimit, {
          ...set,
          values: { US: { low: '40', high: '30' }, SI: { low: '0.2', high: '0.3' } },
        }),
      ),
    ).toEqual(['US.low']);
    expect(
      await errorsOf(perform(db, actors.manager, changeLimit, { ...set, note: '', values: {} })),
    ).toContain('note');
    const { revision } = await perform(db, actors.manager, changeLimit, {
      ...set,
      values: { US: { low: '32', high: '38' }, SI: { low: '0.2', high: '0.3' } },
    });
    const after = await perform(db, actors.laboratory, startRun, {
      method: 'cylinder-compression',
      specimenId: specimenIds[1],
    });
    const [old, young] = await Promise.all(
      [before, after].map(({ runId }) => runSheet(db, actors.laboratory, runId, new Date(AT_28_DAYS))),
    );
    expect([old?.setup.limitsRevision, young?.setup.limitsRevision]).toEqual([0, revision]);
    expect(old?.setup.limitChanges).toEqual({});
    expect(young?.setup.limitChanges?.['cylinder.loading-rate']?.US).toEqual({
      low: '32',
      high: '38',
      unit: 'psi/s',
    });
    const entry = (await limitRegister(db, actors.field)).entries.find(
      ({ id }) => id === 'cylinder.loading-rate',
    );
    expect(entry).toMatchObject({ status: 'set by the laboratory', edition: 'project specification' });
    expect(entry?.history.map(({ note }) => note)).toEqual(['Asked by the owner.']);
  });
});

describe('reading back', () => {
  it('finds specimens, samples and jobs by their words, and takes signs for signs', async () => {
    const { db, actors } = site;
    expect((await search(db, actors.laboratory, 'tst-00')).some(({ kind }) => kind === 'specimen')).toBe(
      true,
    );
    expect((await search(db, actors.laboratory, 'Test quay')).map(({ kind }) => kind)).toEqual(['job']);
    expect(await search(db, actors.laboratory, '100%')).toEqual([]);
    expect(await search(db, actors.laboratory, '   ')).toEqual([]);
  });

  it('lists a job with its lots and how many of each sample are broken', async () => {
    const made = await makeSample(site);
    await breakSpecimen(site, made.specimenIds[0] ?? '', '58,300');
    const detail = await jobDetail(site.db, site.actors.field, site.jobId);
    expect(detail.samples.find(({ id }) => id === made.sampleId)).toMatchObject({ specimens: 4, broken: 1 });
    await expect(jobDetail(site.db, site.actors.client, site.jobId)).rejects.toThrow('not yours');
  });

  it('exports a table with one row a run, units in the names', async () => {
    const rows = await exportRecords(site.db, site.actors.reviewer, {
      jobId: site.jobId,
      method: 'cylinder-compression',
    });
    const [header, ...lines] = resultsCsv('cylinder-compression', rows).split('\r\n');
    expect(header).toContain('specimen,size,cure,cast_at,designated_age_h,age_h,sample');
    expect(header).toContain('maximum_load_lbf');
    expect(lines.length).toBe(rows.length);
    expect(lines[0]).toContain('4640');
  });

  it('a job in SI measures, judges and reports in SI', async () => {
    const metric = await makeSite(site.db, 'MET', 'SI');
    const { db, actors } = metric;
    const { specimenIds } = await makeSample(metric);
    const { runId } = await perform(db, actors.laboratory, startRun, {
      method: 'cylinder-compression',
      specimenId: specimenIds[0],
    });
    const values = {
      ...breakValues('280'),
      machine: 'MET-PRESS',
      diameter1: '101.50',
      diameter2: '101.75',
      loadingRate: '0.195',
    };
    await perform(db, actors.laboratory, saveReadings, { runId, readings: readingsOf(values) });
    const { outcome } = await perform(
      db,
      actors.laboratory,
      completeRun,
      { runId, reasons: [] },
      new Date(AT_28_DAYS),
    );
    expect(outcome?.results[0]).toMatchObject({ unit: 'MPa', text: '34.6' });
    expect(outcome?.findings.map(({ id }) => id)).toContain('cylinder.loading-rate');
  });
});
