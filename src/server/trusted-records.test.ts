import { randomUUID } from 'node:crypto';
import { eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { loads, readings, runs, samples, specimenEvents } from '@/db/schema';
import { freshDatabase } from '@/testing/database';
import { errorsOf } from '@/testing/refusals';
import {
  AT_28_DAYS as BROKEN_MS,
  breakSpecimen,
  CAST,
  makeSample,
  makeSite,
  type Site,
  signShown,
} from '@/testing/site';
import { addLoad, correctLoad } from './actions/field';
import { changeLimit } from './actions/gear';
import { createLot } from './actions/jobs';
import { makeBatch } from './actions/make-batch';
import { registerSpecimens } from './actions/register';
import { prepareReport, signReport } from './actions/reports';
import { completeRun, giveReason, saveReadings, startRun } from './actions/runs';
import { takeSample } from './actions/samples';
import { leaveOut, recordEvent, takeBackDiscard } from './actions/specimens';
import { perform } from './perform';
import { placementDay } from './queries/placement';
import { reportDetail, reportFile } from './queries/reports';
import { sampleDossier } from './queries/sample';
import { dayList } from './queries/today';
import type { Actor, UseCase } from './use-case';

let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
beforeAll(async () => {
  fresh = await freshDatabase();
  site = await makeSite(fresh.db);
});
afterAll(() => fresh?.close());

const DAY = 86_400_000;
const AT_28_DAYS = new Date(BROKEN_MS);
const later = (days: number) => new Date(CAST + days * DAY);

function act<I extends object, R>(
  useCase: UseCase<I, R>,
  input: object,
  role: keyof Site['actors'] = 'laboratory',
  now = AT_28_DAYS,
): Promise<R> {
  return perform(site.db, site.actors[role] as Actor, useCase, input, now);
}

describe('a discard', () => {
  const discard = { kind: 'discarded', note: 'Chipped at the edge.', at: later(1).toISOString() };

  it('takes no broken specimen out of its set, under a signed report least of all', async () => {
    const { sampleId, specimenIds } = await makeSample(site);
    for (const id of specimenIds) await breakSpecimen(site, id, '58,300');
    const specimenId = specimenIds[0] ?? '';
    for (const role of ['field', 'laboratory', 'manager'] as const)
      expect((await errorsOf(act(recordEvent, { specimenId, ...discard }, role)))['']).toMatch(
        /only a reviewer/,
      );
    const { reportId } = await act(prepareReport, { sampleId });
    await signShown(site, reportId, later(40));
    await expect(
      site.db.insert(specimenEvents).values({
        specimenId,
        kind: 'discarded',
        at: AT_28_DAYS,
        personId: site.actors.field.id,
        note: 'x',
      }),
    ).rejects.toMatchObject({ cause: { code: 'BR002' } });
    const { sets } = await sampleDossier(site.db, site.actors.laboratory, sampleId);
    expect(sets[0]?.test.used).toHaveLength(3);
  });

  it('is refused by the database itself for one that is broken', async () => {
    const { specimenIds } = await makeSample(site);
    await breakSpecimen(site, specimenIds[0] ?? '', '58,300');
    const insert = site.db.insert(specimenEvents).values({
      specimenId: specimenIds[0] ?? '',
      kind: 'discarded',
      at: AT_28_DAYS,
      personId: site.actors.field.id,
      note: 'x',
    });
    await expect(insert).rejects.toMatchObject({ cause: { code: 'BR001' } });
  });

  it('made by mistake is taken back with its reason, and the specimen waits as before', async () => {
    const { sampleId, specimenIds } = await makeSample(site);
    const specimenId = specimenIds[0] ?? '';
    const waits = async () =>
      (await dayList(site.db, site.actors.laboratory, AT_28_DAYS, 'open')).sets.some(({ specimens }) =>
        specimens.some(({ id }) => id === specimenId),
      );
    expect(await waits()).toBe(true);
    await act(recordEvent, { specimenId, ...discard }, 'field');
    expect(await waits()).toBe(false);
    expect((await errorsOf(act(recordEvent, { specimenId, ...discard }, 'field')))['']).toMatch(/already/);
    const start = () => act(startRun, { method: 'cylinder-compression', specimenId });
    expect((await errorsOf(start()))['']).toMatch(/was discarded/);
    const back = { specimenId, reason: 'It was the one beside it.' };
    expect((await errorsOf(act(takeBackDiscard, back, 'field')))['']).toMatch(/right/);
    await act(takeBackDiscard, back);
    expect((await errorsOf(act(takeBackDiscard, back)))['']).toMatch(/not discarded/);
    expect(await waits()).toBe(true);
    await start();
    const { specimens } = await sampleDossier(site.db, site.actors.laboratory, sampleId);
    expect(specimens.find(({ id }) => id === specimenId)?.discarded).toBeNull();
  });

  it('of one that is broken stays the reviewer’s, by leaving it out', async () => {
    const { specimenIds } = await makeSample(site);
    for (const id of specimenIds) await breakSpecimen(site, id, '58,300');
    await act(
      leaveOut,
      { specimenId: specimenIds[0], fault: 'testing', evidence: 'The pads were torn.', apart: 'yes' },
      'reviewer',
    );
  });
});

describe('a signature', () => {
  it('covers what its signer was shown, and nothing that changed meanwhile', async () => {
    const { sampleId, specimenIds } = await makeSample(site);
    for (const id of specimenIds.slice(0, 2)) await breakSpecimen(site, id, '58,300');
    const { reportId } = await act(prepareReport, { sampleId });
    const { seen } = await reportDetail(site.db, site.actors.reviewer, reportId);
    expect(await errorsOf(act(signReport, { reportId }, 'reviewer'))).toHaveProperty('seen');
    await breakSpecimen(site, specimenIds[2] ?? '', '41,000', undefined, 'Seen.');
    expect((await errorsOf(act(signReport, { reportId, seen }, 'reviewer', later(40))))['']).toMatch(
      /changed since it was shown|cannot be signed/,
    );
    expect((await reportDetail(site.db, site.actors.reviewer, reportId)).state).toBe('draft');
  });

  it('is kept with the mark of its content', async () => {
    const { sampleId, specimenIds } = await makeSample(site);
    for (const id of specimenIds) await breakSpecimen(site, id, '58,300');
    const { reportId } = await act(prepareReport, { sampleId });
    const { seen } = await reportDetail(site.db, site.actors.reviewer, reportId);
    await act(signReport, { reportId, seen }, 'reviewer', later(40));
    const { rows } = await fresh.owner.query('SELECT content_sha256 FROM reports WHERE id = $1', [reportId]);
    expect(rows[0]?.content_sha256).toBe(seen);
  });
});

describe('the number of a reading', () => {
  const reading = (over: object) => ({
    field: 'ends',
    text: 'pads',
    takenAt: later(28).toISOString(),
    ...over,
  });
  it('belongs to its run, its field and its text: anything else under it is told, never acknowledged', async () => {
    const { specimenIds } = await makeSample(site);
    const [one, two] = await Promise.all(
      specimenIds
        .slice(0, 2)
        .map((specimenId) => act(startRun, { method: 'cylinder-compression', specimenId })),
    );
    const id = randomUUID();
    const first = await act(saveReadings, { runId: one?.runId, readings: [reading({ id })] });
    expect(await act(saveReadings, { runId: one?.runId, readings: [reading({ id })] })).toEqual(first);
    for (const [runId, over] of [
      [two?.runId, {}],
      [one?.runId, { text: 'plain' }],
      [one?.runId, { field: 'diameter1', text: '4.01' }],
    ] as const)
      expect(
        (await errorsOf(act(saveReadings, { runId, readings: [reading({ id, ...over })] })))[''],
      ).toMatch(/number is taken/);
    // Twice in one parcel.
    const twice = randomUUID();
    const both = [
      reading({ id: twice, field: 'length', text: '8.01' }),
      reading({ id: twice, field: 'mass', text: '8.4' }),
    ];
    expect((await errorsOf(act(saveReadings, { runId: one?.runId, readings: both })))['']).toMatch(
      /number is taken/,
    );
    expect(await site.db.select().from(readings).where(eq(readings.id, twice))).toEqual([]);
  });
});

describe('a reason', () => {
  it('is given for a finding that is there and asks for one, by who works at the bench', async () => {
    const { specimenIds } = await makeSample(site);
    const runId = await breakSpecimen(site, specimenIds[0] ?? '', '58,300');
    const give = (over: object, role: keyof Site['actors'] = 'laboratory') =>
      errorsOf(act(giveReason, { runId, findingId: 'specimen.age-late', reason: 'x', ...over }, role));
    expect((await give({ findingId: 'no.such-finding' }))['']).toMatch(/no such finding/);
    expect((await give({ runId: randomUUID() }))['']).toMatch(/not there/);
    expect((await give({}, 'field'))['']).toMatch(/right/);
  });
});

describe('a batch of ends', () => {
  it('is completed by the laboratory only', async () => {
    const { specimenIds } = await makeSample(site);
    const { runId } = await act(
      makeBatch,
      { id: randomUUID(), kind: 'capping', specimenIds },
      'laboratory',
      later(27),
    );
    expect((await errorsOf(act(completeRun, { runId, reasons: [] }, 'field')))['']).toMatch(/right/);
  });
});

describe('a limit of the project', () => {
  it('that was set after the laboratory’s last change reaches a run begun at the bench', async () => {
    const { specimenIds } = await makeSample(site);
    await act(
      changeLimit,
      {
        limitId: 'cylinder.planeness',
        status: 'set by the project',
        jobId: site.jobId,
        note: 'The project asks it.',
        edition: 'Project manual',
        values: { US: { high: '0.001' }, SI: { high: '0.03' } },
      },
      'manager',
    );
    const { runId } = await act(startRun, { method: 'cylinder-compression', specimenId: specimenIds[0] });
    const [run] = await site.db.select().from(runs).where(eq(runs.id, runId));
    const { rows } = await fresh.owner.query('SELECT max(revision)::int AS newest FROM limit_changes');
    expect(run?.limitsRevision).toBe(rows[0]?.newest);
    expect(rows[0]?.newest).toBeGreaterThan(0);
  });
});

describe('instants', () => {
  const at = (arrivedAt: string) => ({
    clientId: randomUUID(),
    lotId: site.lotId,
    ticket: randomUUID().slice(0, 8),
    volume: '9 yd3',
    arrivedAt,
  });
  it.each([
    ['9999-05-14T10:00:00Z', /year 9999|future/],
    ['1026-05-14T10:00:00Z', /year 1026/],
    ['2020-W01-1T10:00:00Z', /give date and time/],
    ['20310514T101112Z', /give date and time/],
    ['2030-05-14T10:00:00Z', /days from the placement/],
  ])('of a truck cannot be %s', async (text, message) => {
    expect((await errorsOf(act(addLoad, at(text), 'field'))).arrivedAt).toMatch(message);
  });
  it('of a sample and of a placement keep near what they belong to', async () => {
    const take = (sampledAt: string) =>
      errorsOf(act(takeSample, { clientId: randomUUID(), lotId: site.lotId, sampledAt }, 'field'));
    expect((await take('2030-05-14T10:00:00Z')).sampledAt).toMatch(/days from the placement/);
    const place = { jobId: site.jobId, specificationId: site.specificationId, title: 'Far' };
    for (const placedAt of ['9999-05-14T10:00:00Z', '1999-05-14T10:00:00Z'])
      expect(await errorsOf(act(createLot, { ...place, startsAt: placedAt }, 'field'))).toHaveProperty(
        'startsAt',
      );
  });
  it('of a reading keep near the sample', async () => {
    const { sampleId } = await makeSample(site);
    const { runId } = await act(startRun, { method: 'slump', sampleId }, 'field');
    const save = (text: string) =>
      errorsOf(
        act(
          saveReadings,
          {
            runId,
            readings: [{ id: randomUUID(), field: 'readAt', text, takenAt: new Date(CAST).toISOString() }],
          },
          'field',
        ),
      );
    for (const text of ['2036-05-14T10:00:00Z', '2030-05-14T10:00:00Z', '9999-05-14T10:00:00Z'])
      expect((await save(text)).readAt).toMatch(/too far from the sample|cannot be/);
    expect(await save(new Date(CAST).toISOString())).toEqual({});
  });
});

describe('a load entered wrongly', () => {
  const load = async (over: object = {}) => {
    const { loadId } = await act(
      addLoad,
      {
        clientId: randomUUID(),
        lotId: site.lotId,
        ticket: randomUUID().slice(0, 8),
        volume: '9 yd3',
        arrivedAt: new Date(CAST - DAY).toISOString(),
        ...over,
      },
      'field',
    );
    return loadId;
  };
  it('is corrected with its reason; the trail keeps what it was', async () => {
    const loadId = await load();
    const wanted = { loadId, volume: '7.5 yd3', arrivedAt: new Date(CAST).toISOString() };
    expect(await errorsOf(act(correctLoad, { ...wanted, reason: ' ' }, 'field'))).toHaveProperty('reason');
    await act(correctLoad, { ...wanted, reason: 'Typed from the wrong ticket.' }, 'field');
    const [row] = await site.db.select().from(loads).where(eq(loads.id, loadId));
    expect(row).toMatchObject({ volume: '7.5 yd3', correction: 'Typed from the wrong ticket.' });
    expect(row?.arrivedAt.getTime()).toBe(CAST);
    const { rows } = await fresh.owner.query(
      `SELECT before ->> 'volume' AS was FROM audit WHERE table_name = 'loads' AND row_key = $1 AND action = 'update'`,
      [loadId],
    );
    expect(rows).toEqual([{ was: '9 yd3' }]);
  });
  it('is struck out when it never came, and counts no more; one that was sampled came', async () => {
    const loadId = await load();
    await act(correctLoad, { loadId, strikeOut: true, reason: 'Entered twice.' }, 'field');
    const day = await placementDay(site.db, site.actors.field, site.lotId);
    expect(day.loads.map(({ id }) => id)).not.toContain(loadId);
    expect(day.struckOut.map(({ id }) => id)).toContain(loadId);
    expect((await errorsOf(act(correctLoad, { loadId, volume: '8', reason: 'x' }, 'field')))['']).toMatch(
      /struck out/,
    );
    const sampled = await load();
    await act(
      takeSample,
      {
        clientId: randomUUID(),
        lotId: site.lotId,
        loadId: sampled,
        sampledAt: new Date(CAST).toISOString(),
      },
      'field',
    );
    expect(
      (await errorsOf(act(correctLoad, { loadId: sampled, strikeOut: true, reason: 'x' }, 'field')))[''],
    ).toMatch(/it came/);
    expect(await site.db.select().from(samples).where(eq(samples.loadId, sampled))).toHaveLength(1);
  });
  it('is changed by nobody without a reason, not even past the application', async () => {
    const loadId = await load();
    await expect(
      site.db.update(loads).set({ volume: '1 yd3' }).where(eq(loads.id, loadId)),
    ).rejects.toMatchObject({
      cause: { code: 'BR001' },
    });
  });
});

describe('a report', () => {
  it('of a sample whose cores are registered and not broken is read, printed and signed', async () => {
    const { sampleId, specimenIds } = await makeSample(site);
    for (const id of specimenIds) await breakSpecimen(site, id, '58,300');
    await act(
      registerSpecimens,
      {
        sampleId,
        how: 'cores',
        form: 'core-4',
        count: 3,
        told: { drilledAt: later(30).toISOString() },
      },
      'laboratory',
      later(31),
    );
    const { reportId } = await act(prepareReport, { sampleId }, 'laboratory', later(31));
    const { bytes } = await reportFile(site.db, site.actors.reviewer, reportId);
    expect(bytes.subarray(0, 5).toString()).toBe('%PDF-');
    await signShown(site, reportId, later(40));
  });
});
