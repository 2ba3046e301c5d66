import { randomUUID } from 'node:crypto';
import { and, eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { computeRecord, resultsCsv } from '@/core/interchange';
import { sectionsOf } from '@/core/report';
import { readings } from '@/db/schema';
import { freshDatabase } from '@/testing/database';
import { at, breakPieces, groupOf, makeRock, now } from '@/testing/rock';
import { makeSite, readingsOf, type Site } from '@/testing/site';
import { openAmendment } from './actions/amendments';
import { createLot } from './actions/jobs';
import { makeBatch } from './actions/make-batch';
import { letClientSee } from './actions/people';
import { registerSpecimens } from './actions/register';
import { prepareReport, signReport } from './actions/reports';
import { completeRun, saveReadings, startRun } from './actions/runs';
import { makeSpecimens, takeSample } from './actions/samples';
import { recordEvent, takeBackDiscard } from './actions/specimens';
import { Conflict, Invalid, NotFound } from './errors';
import { labelsOf } from './labels';
import { perform } from './perform';
import { specimenViews } from './queries/dossier';
import { exportRecords } from './queries/export';
import { lotDossier } from './queries/lot';
import { reportDetail, reportList } from './queries/reports';
import { sampleDossier } from './queries/sample';
import { seriesPage } from './queries/series';
import { standingsOf } from './queries/specification';
import type { UseCase } from './use-case';

let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
let specificationId = '';
let lotId = '';

beforeAll(async () => {
  fresh = await freshDatabase();
  site = await makeSite(fresh.db, 'ROK', 'SI');
  ({ specificationId, lotId } = await makeRock(site));
});
afterAll(() => fresh?.close());

const register = (sampleId: string, form: string, count: number) =>
  perform(
    site.db,
    site.actors.laboratory,
    registerSpecimens,
    { sampleId, how: 'pieces', form, count },
    now(10),
  );

describe('a group of pieces', () => {
  let sampleId = '';
  it('is taken with what it is, and its pieces get labels that go on', async () => {
    sampleId = await groupOf(site, lotId, 'perpendicular', 5);
    expect((await register(sampleId, 'rock-core', 2)).labels).toEqual(['ROK-001-C1', 'ROK-001-C2']);
    expect((await register(sampleId, 'rock-core', 9)).labels.at(-1)).toBe('ROK-001-C11');
    const { specimens, sample } = await sampleDossier(site.db, site.actors.laboratory, sampleId);
    expect(sample.about).toMatchObject({ pieces: 'rock-core', direction: 'perpendicular' });
    expect(specimens.map(({ label }) => label.slice(8)).slice(-3)).toEqual(['C9', 'C10', 'C11']);
    expect(specimens.every(({ ageHours, closesAt }) => ageHours === null && closesAt === null)).toBe(true);
  });
  it('refuses what it is not of, in words', async () => {
    await expect(register(sampleId, 'rock-lump', 3)).rejects.toThrow(Invalid);
    await expect(register(sampleId, '4x8', 3)).rejects.toMatchObject({
      errors: { form: expect.any(String) },
    });
    await expect(register(sampleId, 'rock-core', 61)).rejects.toThrow(Invalid);
    const cast = perform(
      site.db,
      site.actors.laboratory,
      makeSpecimens,
      { sampleId, castAt: at(8), size: '100x200', cure: 'standard', groups: [{ ageDays: 28, count: 3 }] },
      now(9),
    );
    await expect(cast).rejects.toMatchObject({ errors: { size: 'Rock has no specimens of this form.' } });
    const bare = perform(
      site.db,
      site.actors.laboratory,
      takeSample,
      { clientId: randomUUID(), lotId, sampledAt: at(6), about: { pieces: 'rock-core' } },
      now(6),
    );
    await expect(bare).rejects.toMatchObject({ errors: { direction: expect.stringContaining('asked for') } });
    const later = perform(
      site.db,
      site.actors.laboratory,
      createLot,
      {
        jobId: site.jobId,
        specificationId,
        title: 'BH-10',
        startsAt: at(-300),
        about: {
          source: 'borehole',
          depthFrom: '9',
          depthTo: '8',
          rock: 'granite',
          weathering: 'II',
          moisture: 'received',
        },
      },
      now(0),
    );
    await expect(later).rejects.toMatchObject({ errors: { depthTo: expect.any(String) } });
  });
  it('has its mean without the highest and the lowest, its estimate and its verdicts', async () => {
    await breakPieces(site, sampleId, [8.2, 9.6, 7.1, 10.4, 8.8, 9.1, 8.5, 9.9, 6.2, 8.9], 20);
    const early = await sampleDossier(site.db, site.actors.laboratory, sampleId);
    expect(early.sets[0]?.verdicts.map(({ state }) => state)).toEqual([
      'not yet determinable',
      'not yet determinable',
    ]);
    await breakPieces(site, sampleId, [9.3], 40);
    const { sets } = await sampleDossier(site.db, site.actors.laboratory, sampleId);
    const [set] = sets;
    expect(set).toMatchObject({ method: 'point-load', title: 'Mean index of the group', ageHours: null });
    expect(set?.test.used).toHaveLength(7);
    // 42 × 60 mm: De² 3208.6 mm², F 1.0578, by hand; the mean of the seven loads that count is 62.4 / 7 kN.
    expect(Number(set?.test.text)).toBeCloseTo(((62.4 / 7) * 1000 * 1.0578) / 3208.6, 2);
    expect(Object.fromEntries(set?.derived?.said ?? [])['Estimated strength']).toMatch(
      /^68 MPa .*general K 23/u,
    );
    expect(set?.verdicts.map(({ criterion, state }) => [criterion, state])).toEqual([
      ['rock-index-mean', 'meets'],
      ['rock-estimate', 'meets'],
    ]);
  });
  it('has labels that say when it was taken, in the order of their numbers', async () => {
    const labels = await labelsOf(site.db, site.actors.laboratory, { sampleId });
    expect(labels.map(({ code }) => code.slice(8)).slice(-2)).toEqual(['C10', 'C11']);
    expect(labels[0]).toMatchObject({
      since: expect.stringMatching(/^Taken /u),
      due: '',
      cure: '',
      size: 'Piece of core',
    });
  });
  it('is known to its runs: the expected strength, the weathering, the direction', async () => {
    const { specimens } = await sampleDossier(site.db, site.actors.laboratory, sampleId);
    expect(specimens[0]?.run?.setup?.facts).toMatchObject({
      direction: 'perpendicular',
      weathering: 'II',
      expectedStrength: '90 MPa',
    });
  });
});

describe('a lot of groups', () => {
  it('has an anisotropy index once both directions are tested', async () => {
    expect((await lotDossier(site.db, site.actors.laboratory, lotId)).says).toBeNull();
    const along = await groupOf(site, lotId, 'parallel', 60);
    await register(along, 'rock-core', 3);
    await breakPieces(site, along, [4.4, 4.1, 4.6], 70);
    const { says, samples } = await lotDossier(site.db, site.actors.laboratory, lotId);
    expect(samples).toHaveLength(2);
    expect(Number(says?.results[0]?.value)).toBeCloseTo(8.9 / 4.4, 1);
  });
  it('stands against what is asked, each group by itself', async () => {
    const [standing] = await standingsOf(site.db, site.actors.reviewer, [specificationId]);
    expect(standing?.state).toBe('does not meet');
    expect(standing?.samples).toHaveLength(2);
    const { shown } = await seriesPage(site.db, site.actors.reviewer, 0);
    expect(shown.find(({ mix }) => mix.id === specificationId)).toMatchObject({
      state: 'does not meet',
      words: '2 of 2 groups tested.',
    });
  });
  it('takes a factor of its own once it is found, and every group is estimated by it', async () => {
    const { runId } = await perform(
      site.db,
      site.actors.laboratory,
      startRun,
      { method: 'site-factor', lotId },
      now(100),
    );
    const pairs = [2.1, 2.6, 3.0, 3.4, 3.9, 4.3, 2.4, 3.2, 3.7, 2.9].map((index, place) => ({
      core: `C-${place}`,
      index: String(index),
      strength: String(Math.round(index * 20.5 + (place % 2 ? 1 : -1))),
    }));
    await perform(
      site.db,
      site.actors.laboratory,
      saveReadings,
      {
        runId,
        readings: readingsOf({ weathering: 'II', moisture: 'received', pairs, madeAt: at(100) }),
      },
      now(100),
    );
    await perform(site.db, site.actors.laboratory, completeRun, { runId, reasons: [] }, now(100));
    const { samples } = await lotDossier(site.db, site.actors.laboratory, lotId);
    const said = Object.fromEntries(samples[0]?.sets[0]?.derived?.said ?? []);
    expect(said['Estimated strength']).toMatch(/the site’s own K 20\.[45] from 10 pairs/u);
  });
  it('is reported whole: both groups, what they say together, and the factor', async () => {
    const { reportId } = await perform(site.db, site.actors.laboratory, prepareReport, { lotId }, now(120));
    const draft = await reportDetail(site.db, site.actors.reviewer, reportId);
    expect(draft.number).toBe('ROK-L002');
    const { content } = draft;
    expect(content).toMatchObject({ title: 'Report of tests on rock', subject: 'borehole or face 2, BH-9' });
    expect(content.tests.filter(({ specimen }) => specimen)).toHaveLength(14);
    expect(content.together?.results).toHaveLength(1);
    expect(content.verdicts.map(({ of, state }) => [of, state])).toContainEqual(['ROK-002', 'does not meet']);
    const tables = JSON.stringify(sectionsOf(content));
    expect(tables).toContain('estimated, not tested');
    expect(tables).toContain('Anisotropy index');
    await perform(site.db, site.actors.reviewer, signReport, { reportId, seen: draft.seen }, now(130));
    expect((await reportList(site.db, site.actors.reviewer)).rows[0]).toMatchObject({ lotTitle: 'BH-9' });
    // Signed, it locks every sample of the lot.
    const { samples } = await lotDossier(site.db, site.actors.reviewer, lotId);
    await expect(
      fresh.owner.query('UPDATE samples SET remarks = $1 WHERE id = $2', ['x', samples[0]?.sample.id]),
    ).rejects.toMatchObject({ code: 'BR002' });
  });
  it('is the client’s to read once it is signed, and what is not in it stays hidden', async () => {
    const { client } = site.actors;
    await expect(lotDossier(site.db, client, lotId)).rejects.toThrow(NotFound);
    await perform(
      site.db,
      site.actors.manager,
      letClientSee,
      { personId: client.id, jobId: site.jobId },
      now(131),
    );
    const seen = await lotDossier(site.db, client, lotId);
    expect(seen.reports.map(({ state }) => state)).toEqual(['signed']);
    expect(seen.samples[0]?.sets[0]?.test.text).toMatch(/^2\.9\d$/u);
    // A group that no signed report rests on yet says nothing to the client.
    const hidden = await groupOf(site, lotId, 'none', 132);
    await register(hidden, 'rock-core', 3);
    await breakPieces(site, hidden, [8.1, 8.4, 9.0], 133);
    const dossier = await sampleDossier(site.db, client, hidden);
    expect(dossier.specimens.every(({ run }) => run === null)).toBe(true);
    const own = await sampleDossier(site.db, site.actors.laboratory, hidden);
    expect(own.sets[0]?.test.text).not.toBeNull();
  });
  it('is amended by its reason: a load put right makes a new revision, the old one stays', async () => {
    const { samples, reports: before } = await lotDossier(site.db, site.actors.reviewer, lotId);
    const [signed] = before;
    const piece = samples[1]?.specimens[0];
    const runId = piece?.run?.id ?? '';
    const correct = (amendmentId?: string) =>
      perform(
        site.db,
        site.actors.laboratory,
        saveReadings,
        {
          runId,
          readings: [
            {
              id: randomUUID(),
              field: 'load',
              text: '4.9 kN',
              takenAt: at(150),
              reason: 'Read off the wrong scale.',
              ...(amendmentId ? { amendmentId } : {}),
              basedOn: seqOf,
            },
          ],
        },
        now(150),
      );
    const [current] = await site.db
      .select({ seq: readings.seq })
      .from(readings)
      .where(and(eq(readings.runId, runId), eq(readings.field, 'load')));
    const seqOf = current?.seq;
    await expect(correct()).rejects.toThrow(/amendment/u);
    const { amendmentId } = await perform(
      site.db,
      site.actors.reviewer,
      openAmendment,
      { reportId: signed?.id ?? '', code: 'other', reason: 'A load was read off the wrong scale.' },
      now(149),
    );
    await correct(amendmentId);
    const { reportId } = await perform(
      site.db,
      site.actors.laboratory,
      prepareReport,
      { lotId, reason: 'One load corrected.' },
      now(151),
    );
    const draft = await reportDetail(site.db, site.actors.reviewer, reportId);
    expect([draft.number, draft.revision]).toEqual(['ROK-L002', 1]);
    const old = await reportDetail(site.db, site.actors.reviewer, signed?.id ?? '');
    const loadIn = (content: typeof old.content) =>
      content.tests
        .find(({ specimen }) => specimen?.label === piece?.label)
        ?.columns.find(([word]) => word === 'P')?.[1];
    expect([loadIn(old.content), loadIn(draft.content)]).toEqual(['4.4 kN', '4.9 kN']);
  });
  it('goes out as records that the command line computes the same, under the words of its material', async () => {
    const rows = await exportRecords(site.db, site.actors.manager, {
      jobId: site.jobId,
      method: 'point-load',
    });
    expect(rows).toHaveLength(17);
    const [first] = rows;
    expect(first?.record.about).toMatchObject({
      rock_unit: 'R1 v1',
      title: 'BH-9',
      depth_from: '12 m',
      weathering: 'II',
      direction: 'perpendicular',
      size: 'rock-core',
    });
    expect(Object.keys(first?.record.about ?? {})).not.toContain('ticket');
    const again = computeRecord(undefined, JSON.parse(JSON.stringify(first?.record)));
    expect(again.ok && again.record.results).toEqual(first?.record.results);
    const csv = resultsCsv('point-load', rows);
    expect(csv.split('\r\n')[0]).toContain('point_load_strength_index_mpa');
  });
  it('is prepared of one thing only', async () => {
    const ask = (data: object) =>
      perform(site.db, site.actors.laboratory, prepareReport, data as never, now(140));
    await expect(ask({})).rejects.toThrow('What this report is of');
    await expect(ask({ lotId, sampleId: randomUUID() })).rejects.toThrow('What this report is of');
  });
});

describe('a specimen that is lost', () => {
  it('waits no longer, and is there again when it is found', async () => {
    const { sampleId } = await perform(
      site.db,
      site.actors.field,
      takeSample,
      { clientId: randomUUID(), lotId: site.lotId, sampledAt: at(200), press: 'whole' },
      now(200),
    );
    await perform(
      site.db,
      site.actors.field,
      makeSpecimens,
      { sampleId, castAt: at(230), size: '100x200', cure: 'standard', groups: [{ ageDays: 28, count: 3 }] },
      now(240),
    );
    const [first] = await specimenViews(site.db, [sampleId]);
    const specimenId = first?.id ?? '';
    const lose = () =>
      perform(
        site.db,
        site.actors.laboratory,
        recordEvent,
        { specimenId, kind: 'lost', at: at(300) },
        now(300),
      );
    await lose();
    const gone = await sampleDossier(site.db, site.actors.laboratory, sampleId);
    expect(gone.specimens.find(({ id }) => id === specimenId)?.discarded).toBe('lost');
    expect(gone.sets[0]?.test.waitingFor).not.toContain(first?.label);
    await expect(lose()).rejects.toThrow(Conflict);
    await perform(
      site.db,
      site.actors.laboratory,
      takeBackDiscard,
      { specimenId, reason: 'It stood in the other rack.' },
      now(310),
    );
    const back = await sampleDossier(site.db, site.actors.laboratory, sampleId);
    expect(back.sets[0]?.test.waitingFor).toContain(first?.label);
  });
});

describe('the pieces of several cores in one oven', () => {
  const act = <I extends object, R>(useCase: UseCase<I, R>, data: object, minutes: number): Promise<R> =>
    perform(site.db, site.actors.laboratory, useCase, data, now(minutes));
  it('are dried as a batch once they are broken, and each has its water content', async () => {
    const sampleId = await groupOf(site, lotId, 'perpendicular', 5);
    await register(sampleId, 'rock-core', 3);
    const pieces = () => specimenViews(site.db, [sampleId]);
    const batch = async (ids: readonly (string | undefined)[]) =>
      act(makeBatch, { id: randomUUID(), kind: 'rock-drying', specimenIds: ids }, 60);
    const whole = await pieces();
    await expect(batch([whole[0]?.id])).rejects.toThrow('is not broken yet: there are no pieces of it.');
    await breakPieces(site, sampleId, [8.2, 9.6], 20);
    const [one, two] = await pieces();
    const { runId } = await batch([one?.id, two?.id]);
    const row = (specimen: string | undefined, more: object) => ({
      id: randomUUID().slice(0, 8),
      specimen,
      ...more,
    });
    const wet = { tinMass: '100', wetMass: '712', wetAt: at(24) };
    const dry = (hours: number, mass: string) => ({ mass, at: at(30 + hours * 60) });
    await act(
      saveReadings,
      {
        runId,
        readings: readingsOf({
          ...{ dried: 'usual', temperature: '110', inAt: at(30) },
          tins: [row(one?.label, { ...wet, tin: 'A' }), row(two?.label, { ...wet, tin: 'B' })],
          weighings: [one, two].flatMap((piece) => [
            row(piece?.label, dry(13, '700.2')),
            row(piece?.label, dry(15, '700')),
          ]),
        }),
      },
      1200,
    );
    const { runId: own } = await act(startRun, { method: 'rock-water', specimenId: one?.id }, 1210);
    await act(saveReadings, { runId: own, readings: readingsOf({ finishedAt: at(1215) }) }, 1220);
    const { outcome } = await act(completeRun, { runId: own, reasons: [] }, 1220);
    // 12 g of water in 600 g.
    expect(outcome?.results.map(({ text, provisional }) => [text, provisional])).toEqual([
      ['2.0', undefined],
    ]);
    expect(outcome?.findings.filter(({ severity }) => severity === 'invalid')).toEqual([]);
  });
});
