import { randomUUID } from 'node:crypto';
import { and, eq } from 'drizzle-orm';
import Papa from 'papaparse';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { computeRecord } from '@/core/interchange';
import { columnOf } from '@/core/interchange/columns';
import { Limits } from '@/core/limits';
import { STRENGTH } from '@/core/materials/concrete/series';
import { fieldsOf } from '@/core/methods';
import { findMethod } from '@/core/methods/registry';
import type { ReportContent } from '@/core/report';
import { outcomes, readings, reports, runs, samples, specimens } from '@/db/schema';
import { freshDatabase } from '@/testing/database';
import { mixSeries } from '@/testing/series';
import { AT_28_DAYS, breakSpecimen, makeSample, makeSite, type Site, signShown } from '@/testing/site';
import { openAmendment } from './actions/amendments';
import { attach } from './actions/attach';
import { importResults, previewResults } from './actions/import';
import { letClientSee } from './actions/people';
import { prepareReport, recordFollowUp } from './actions/reports';
import { acceptReason, saveReadings } from './actions/runs';
import { describeSample } from './actions/samples';
import { Conflict, NotFound } from './errors';
import { perform } from './perform';
import { exportRecords } from './queries/export';
import { photoFile } from './queries/photos';
import { reportDetail, reportFile, reportList } from './queries/reports';
import { sampleDossier } from './queries/sample';
import { mixPage } from './queries/series';
import { composeReport } from './reports/content';
import { askedOf } from './verdicts';

let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
beforeAll(async () => {
  fresh = await freshDatabase();
  site = await makeSite(fresh.db);
});
afterAll(() => fresh?.close());

const later = (minutes: number) => new Date(AT_28_DAYS + minutes * 60_000);

async function brokenSample(load = '58,300', at = AT_28_DAYS, reason = '') {
  const made = await makeSample(site);
  const runIds: string[] = [];
  for (const specimenId of made.specimenIds)
    runIds.push(await breakSpecimen(site, specimenId, load, at, reason));
  return { ...made, runIds };
}

async function signed(sampleId: string, reason?: string) {
  const { reportId } = await perform(
    site.db,
    site.actors.laboratory,
    prepareReport,
    { sampleId, ...(reason ? { reason } : {}) },
    later(30),
  );
  await signShown(site, reportId, later(40));
  return reportId;
}

const brokenFirst = (content: ReportContent | undefined) => content?.tests.find(({ specimen }) => specimen);

describe('a signed report', () => {
  it('carries a PDF whose data is what was signed, and cannot be changed by anyone', async () => {
    const { sampleId } = await brokenSample();
    const reportId = await signed(sampleId);
    const { bytes, name } = await reportFile(site.db, site.actors.reviewer, reportId);
    expect(name).toMatch(/^TST-R\d{3}-rev0\.pdf$/);
    expect(bytes.subarray(0, 5).toString()).toBe('%PDF-');
    const detail = await reportDetail(site.db, site.actors.reviewer, reportId);
    expect(detail.content.sets[0]).toMatchObject({
      value: '4,640',
      state: 'tested',
      title: 'Strength test at 28 d',
    });
    expect(
      detail.content.tests.flatMap(({ specimen, results }) => (specimen ? [results[0]?.text] : [])),
    ).toEqual(['4,640', '4,640', '4,640']);

    const change = site.db.update(reports).set({ number: 'X' }).where(eq(reports.id, reportId));
    await expect(change).rejects.toMatchObject({ cause: { code: 'BR002' } });
    // Not even by the owner of the tables.
    await expect(fresh.owner.query('DELETE FROM reports WHERE id = $1', [reportId])).rejects.toMatchObject({
      code: 'BR001',
    });
    await expect(signShown(site, reportId)).rejects.toThrow(Conflict);
  });

  it('has the photographs of its tests in it, and lets the client see just those', async () => {
    const { sampleId, runIds } = await brokenSample();
    const keep = async (runId: string): Promise<string> => {
      const picture = await sharp({ create: { width: 9, height: 9, channels: 3, background: '#776655' } })
        .jpeg()
        .toBuffer();
      const data = picture.toString('base64');
      const kept = { id: randomUUID(), runId, name: 'break.jpg', data };
      return (await perform(site.db, site.actors.laboratory, attach, kept, later(20))).attachmentId;
    };
    const photo = await keep(runIds[0] ?? '');
    const other = await brokenSample();
    const inside = await keep(other.runIds[0] ?? '');
    await perform(
      site.db,
      site.actors.manager,
      letClientSee,
      { jobId: site.jobId, personId: site.actors.client.id },
      later(21),
    );
    const seen = (id: string) => photoFile(site.db, site.actors.client, id);
    await expect(seen(photo)).rejects.toThrow(NotFound);
    const reportId = await signed(sampleId);
    const { content } = await reportDetail(site.db, site.actors.client, reportId);
    expect(content.tests.flatMap(({ photographs = [] }) => photographs.map(({ id }) => id))).toEqual([photo]);
    expect((await seen(photo)).mime).toBe('image/jpeg');
    await expect(seen(inside)).rejects.toThrow(NotFound);
    expect((await photoFile(site.db, site.actors.field, inside)).mime).toBe('image/jpeg');
    const { bytes } = await reportFile(site.db, site.actors.client, reportId);
    expect(bytes.includes('/Subtype /Image')).toBe(true);
  });

  it('locks what it rests on', async () => {
    const { sampleId, runIds } = await brokenSample();
    await signed(sampleId);
    const reading = {
      id: randomUUID(),
      field: 'maximumLoad',
      text: '59,000',
      takenAt: later(50).toISOString(),
      reason: 'because',
    };
    const [load] = await site.db
      .select()
      .from(readings)
      .where(and(eq(readings.runId, runIds[0] ?? ''), eq(readings.field, 'maximumLoad')));
    const change = perform(site.db, site.actors.laboratory, saveReadings, {
      runId: runIds[0],
      readings: [{ ...reading, basedOn: load?.seq }],
    });
    await expect(change).rejects.toThrow(/amendment/);
    // When it was tested is what was signed: added later it may be, changed it is not.
    const [tested] = await site.db
      .select({ id: runs.specimenId })
      .from(runs)
      .where(eq(runs.id, runIds[0] ?? ''));
    const moved = site.db
      .update(specimens)
      .set({ testedAt: later(99) })
      .where(eq(specimens.id, tested?.id ?? ''));
    await expect(moved).rejects.toMatchObject({ cause: { code: 'BR002' } });
    await expect(
      perform(site.db, site.actors.field, describeSample, { sampleId, ticket: 'T-2' }),
    ).rejects.toThrow(/signed report/i);
    await expect(
      fresh.owner.query('UPDATE specimens SET since = now() WHERE sample_id = $1 AND age_hours IS NOT NULL', [
        sampleId,
      ]),
    ).rejects.toMatchObject({ code: 'BR002' });
  });

  it('is amended by a reason, a corrected reading and a new revision; the old one stays readable', async () => {
    const { sampleId, runIds } = await brokenSample();
    const first = await signed(sampleId);
    const { amendmentId } = await perform(site.db, site.actors.reviewer, openAmendment, {
      reportId: first,
      code: 'copying error',
      reason: 'Load copied wrongly.',
    });
    const [load] = await site.db
      .select()
      .from(readings)
      .where(and(eq(readings.runId, runIds[0] ?? ''), eq(readings.field, 'maximumLoad')));
    await perform(site.db, site.actors.laboratory, saveReadings, {
      runId: runIds[0],
      readings: [
        {
          id: randomUUID(),
          field: 'maximumLoad',
          text: '53,800',
          takenAt: later(60).toISOString(),
          basedOn: load?.seq,
          reason: 'as on the photograph',
          amendmentId,
        },
      ],
    });
    await expect(perform(site.db, site.actors.laboratory, prepareReport, { sampleId })).rejects.toThrow(
      'new or changed',
    );
    const second = await signed(sampleId, 'Load of cylinder A corrected.');
    const [before, after] = await Promise.all(
      [first, second].map((id) => reportDetail(site.db, site.actors.reviewer, id)),
    );
    expect(brokenFirst(before?.content)?.results[0]?.text).toBe('4,640');
    expect(brokenFirst(after?.content)?.results[0]?.text).toBe('4,280');
    expect(after?.revision).toBe(1);
    expect(before?.replacedBy?.id).toBe(second);
    // The new revision locks again.
    await expect(
      perform(site.db, site.actors.field, describeSample, { sampleId, ticket: 'T-3' }),
    ).rejects.toThrow(/signed report/i);
  });

  it('waits until a reviewer, not the one who gave it, has accepted every recorded reason', async () => {
    const { sampleId } = await brokenSample('58,300', AT_28_DAYS + 22 * 3_600_000, 'Press was down.');
    const { reportId } = await perform(
      site.db,
      site.actors.laboratory,
      prepareReport,
      { sampleId },
      later(30),
    );
    const error = await signShown(site, reportId).catch((caught: unknown) => caught);
    expect((error as Conflict).details.hindrances).toHaveLength(3);
    const dossier = await sampleDossier(site.db, site.actors.reviewer, sampleId);
    for (const view of dossier.specimens) {
      for (const reason of view.run?.reasons ?? []) {
        expect(reason.reason).toBe('Press was down.');
        await perform(site.db, site.actors.reviewer, acceptReason, { reasonId: reason.id });
      }
    }
    await signShown(site, reportId);
    const { content } = await reportDetail(site.db, site.actors.reviewer, reportId);
    expect(brokenFirst(content)?.remarks[0]).toContain('Reason recorded: Press was down.');
    expect(content.verdicts.map(({ state }) => state)).toContain('needs decision');
  });
});

describe('a client', () => {
  it('reads signed reports of shared jobs, and nothing before', async () => {
    const { client, manager } = site.actors;
    const { sampleId } = await brokenSample();
    await perform(site.db, manager, letClientSee, { personId: client.id, jobId: site.jobId });
    const hidden = await sampleDossier(site.db, client, sampleId);
    expect(hidden.specimens.every(({ run }) => run === null)).toBe(true);
    const { reportId } = await perform(site.db, site.actors.laboratory, prepareReport, { sampleId });
    await expect(reportDetail(site.db, client, reportId)).rejects.toThrow(NotFound);
    const before = (await mixSeries(site.db, client, site.specificationId)).rows.find(
      (row) => row.sampleId === sampleId,
    );
    expect(before?.state).toBe('pending');
    await signShown(site, reportId);
    expect((await reportList(site.db, client)).rows.some(({ id }) => id === reportId)).toBe(true);
    const after = (await mixSeries(site.db, client, site.specificationId)).rows.find(
      (row) => row.sampleId === sampleId,
    );
    expect(after?.value).toBe('4640');
  });
});

describe('records', () => {
  it('append only: readings and outcomes refuse every change', async () => {
    for (const table of ['readings', 'outcomes', 'audit', 'amendments', 'report_outcomes']) {
      await expect(
        fresh.owner.query(
          `UPDATE ${table} SET ${table === 'audit' ? 'actor' : table === 'report_outcomes' ? 'run_id' : 'by'} = NULL`,
        ),
      ).rejects.toMatchObject({ code: 'BR001' });
      await expect(fresh.owner.query(`TRUNCATE ${table} CASCADE`)).rejects.toMatchObject({ code: 'BR001' });
    }
  });

  it('the application’s own role cannot delete samples, write the trail or switch a trigger off', async () => {
    await expect(site.db.delete(samples)).rejects.toMatchObject({ cause: { code: '42501' } });
    await expect(site.db.execute('ALTER TABLE readings DISABLE TRIGGER ALL')).rejects.toMatchObject({
      cause: { code: '42501' },
    });
    await expect(
      site.db.execute("INSERT INTO audit (table_name, row_key, action) VALUES ('x', 'y', 'z')"),
    ).rejects.toMatchObject({ cause: { code: '42501' } });
  });

  it('exported, go through the command line’s computing and give the same figures', async () => {
    const rows = await exportRecords(site.db, site.actors.reviewer, {
      jobId: site.jobId,
      method: 'cylinder-compression',
    });
    expect(rows.length).toBeGreaterThan(5);
    for (const { record } of rows) {
      const again = computeRecord(undefined, JSON.parse(JSON.stringify(record)));
      expect(again.ok && again.record.results).toEqual(record.results);
      expect(again.ok && again.record.lines).toEqual(record.lines);
      expect(again.ok && again.record.findings).toEqual(record.findings);
    }
  });

  it('recompute to what was stored, to the last digit', async () => {
    const stored = await site.db.select().from(outcomes);
    for (const row of stored) {
      const again = computeRecord('cylinder-compression', { input: row.input, setup: row.setup });
      expect(again.ok && again.record.results).toEqual(row.outcome.results);
    }
  });
});

describe('importing', () => {
  const header =
    'specimen,machine,surface,diameter1_in,diameter2_in,ends,zeroed,maximum_load_lbf,tested_at,fracture';
  const line = (label: string, load: string) =>
    `${label},TST-PRESS,moist,4.00,4.00,pads,yes,${load},${new Date(AT_28_DAYS).toISOString()},2`;

  it('shows each bad row and why, imports nothing until told, then all or none', async () => {
    const { sampleId } = await makeSample(site);
    const dossier = await sampleDossier(site.db, site.actors.laboratory, sampleId);
    const labels = dossier.specimens.filter(({ ageHours }) => ageHours).map(({ label }) => label);
    const csv = [
      header,
      line(labels[0] ?? '', '58300'),
      line(labels[1] ?? '', 'heavy'),
      line('NONE-1', '58300'),
      line(labels[2] ?? '', '57,100'),
    ]
      .join('\n')
      .replace('57,100', '"57,100"');
    const preview = await previewResults(site.db, site.actors.laboratory, 'cylinder-compression', csv);
    expect(preview.rows.map(({ line: at, errors }) => [at, errors.map(({ column }) => column)])).toEqual([
      [2, []],
      [3, ['maximum_load_lbf']],
      [4, ['specimen']],
      [5, []],
    ]);
    const job = { method: 'cylinder-compression', csv, reason: '' };
    const ask = (lines: number[], confirmed: boolean) =>
      perform(site.db, site.actors.laboratory, importResults, { ...job, lines, confirmed }, later(0));
    await expect(ask([2], false)).rejects.toThrow(Conflict);
    await expect(ask([2, 3], true)).rejects.toThrow('Nothing was');
    expect(
      (await sampleDossier(site.db, site.actors.laboratory, sampleId)).specimens.every(
        ({ run }) => run === null,
      ),
    ).toBe(true);
    expect(await ask([2, 5], true)).toEqual({ imported: 2 });
    const after = await sampleDossier(site.db, site.actors.laboratory, sampleId);
    expect(
      after.specimens.flatMap(({ run }) => run?.outcome?.results.slice(0, 1).map(({ text }) => text) ?? []),
    ).toEqual(['4,640', '4,540']);
    const again = await previewResults(site.db, site.actors.laboratory, 'cylinder-compression', csv);
    expect(again.rows[0]?.errors[0]?.message).toContain('tested already');
  });

  it('is of any test of a specimen, and says which specimens it is not made on', async () => {
    const { sampleId } = await makeSample(site);
    const dossier = await sampleDossier(site.db, site.actors.laboratory, sampleId);
    const [label = ''] = dossier.specimens.map((each) => each.label);
    const preview = (method: string, csv: string) =>
      previewResults(site.db, site.actors.laboratory, method, csv);
    const cube = await preview('cube-compression', `specimen,maximum_load_lbf\n${label},58300`);
    expect(cube.rows[0]?.errors[0]).toEqual({
      column: 'specimen',
      message: `"${label}" is 4 × 8 in: cube compression is not made on it.`,
    });
    const { input } = findMethod('splitting-tensile')?.example('US') ?? {};
    const columns = fieldsOf(findMethod('splitting-tensile')?.Input ?? Object)
      .filter(({ name }) => Object.hasOwn(input ?? {}, name))
      .map((field) => [columnOf(field, 'US'), String((input as Record<string, unknown>)[field.name])]);
    const csv = Papa.unparse([
      ['specimen', ...columns.map(([column]) => column)],
      [label, ...columns.map(([, text]) => text)],
    ]);
    const split = await preview('splitting-tensile', csv);
    expect([split.rows[0]?.errors, split.ignoredColumns]).toEqual([[], []]);
    expect(
      await perform(
        site.db,
        site.actors.laboratory,
        importResults,
        { method: 'splitting-tensile', csv, reason: 'as found', lines: [2], confirmed: true },
        later(0),
      ),
    ).toEqual({ imported: 1 });
    await expect(preview('slump', csv)).rejects.toThrow('This method');
  });
});

it('a mix specified in the other system is judged in the job’s own', () => {
  // 30 MPa is 4,351.13 psi: 145.0377 psi to the MPa (NIST SP 811, from memory).
  const specified = (specifiedStrength: string, system: 'US' | 'SI'): string =>
    askedOf(STRENGTH, { specifiedStrength }, { system, rounding: 'half-even' }, new Limits()).specified;
  expect(Number(specified('30 MPa', 'US'))).toBeCloseTo(4351.13, 2);
  expect(specified('4250 psi', 'US')).toBe('4250');
  expect(specified('30 MPa', 'SI')).toBe('30');
});

it('a placement is reported whole: each sample’s tests under its own name', async () => {
  const site = await makeSite(fresh.db, 'WHL');
  const first = await makeSample(site);
  const second = await makeSample(site);
  for (const id of [...first.specimenIds.slice(0, 3), ...second.specimenIds.slice(0, 3)])
    await breakSpecimen(site, id, '58,300', AT_28_DAYS);
  const { content } = await composeReport(site.db, site.actors.reviewer, { lotId: site.lotId });
  expect(content.subject).toBe('placement 1, Wall A');
  expect(content.sets.map(({ sample, title }) => [sample, title])).toEqual([
    ['WHL-001', 'Strength test at 28 d'],
    ['WHL-002', 'Strength test at 28 d'],
  ]);
  expect(content.tests.filter(({ specimen }) => specimen)).toHaveLength(6);
  expect(content.facts.filter(([label]) => label === 'Sample')).toHaveLength(2);
  // Each sample is a test of the series: both are held against the limit of a single one.
  expect(content.verdicts.filter(({ criterion }) => criterion === 'individual')).toHaveLength(2);
});

it('a low test has its follow-up, step by step', async () => {
  const { sampleId } = await brokenSample('41,000');
  const series = await mixSeries(site.db, site.actors.reviewer, site.specificationId);
  expect(series.verdicts.summary).toBe('does not meet');
  await perform(site.db, site.actors.laboratory, recordFollowUp, {
    sampleId,
    stepId: 'recheck',
    note: 'Same figures.',
  });
  const after = await mixPage(site.db, site.actors.reviewer, site.specificationId, 0);
  expect(after.followUps.map(({ stepId, note }) => [stepId, note])).toEqual([['recheck', 'Same figures.']]);
  await expect(
    perform(site.db, site.actors.laboratory, recordFollowUp, { sampleId, stepId: 'cores', note: 'x' }),
  ).rejects.toThrow(NotFound);
});
