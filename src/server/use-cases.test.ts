import { randomUUID } from 'node:crypto';
import { and, eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { audit, people, ROLES, readings, runs, specimens } from '@/db/schema';
import { freshDatabase } from '@/testing/database';
import { mixSeries } from '@/testing/series';
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
import { correctCastTime } from './actions/cast-time';
import { createJob, createSpecification } from './actions/jobs';
import { addPerson, changePerson } from './actions/people';
import { acceptReason, completeRun, giveReason, saveReadings, startRun } from './actions/runs';
import { makeSpecimens, takeSample } from './actions/samples';
import { recordEvent } from './actions/specimens';
import { Conflict, Invalid, Refused } from './errors';
import { perform } from './perform';
import { jobList } from './queries/jobs';
import { sampleDossier } from './queries/sample';
import { search } from './queries/specimen';
import { dayList } from './queries/today';
import { USE_CASES } from './registry';

let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
beforeAll(async () => {
  fresh = await freshDatabase();
  site = await makeSite(fresh.db);
});
afterAll(() => fresh?.close());

describe('rights', () => {
  it.each(Object.entries(USE_CASES))(
    '%s is refused to every role it does not name, before anything else',
    async (name, useCase) => {
      for (const role of ROLES) {
        if (useCase.roles.includes(role)) continue;
        await expect(perform(site.db, site.actors[role], useCase as never, {})).rejects.toThrow(Refused);
      }
      // A client only reads; their own password and sessions are theirs all the same.
      if (!['change-password', 'end-own-session'].includes(name))
        expect(useCase.roles).not.toContain('client');
    },
  );

  it('shows a client nothing that was not shared', async () => {
    expect(await jobList(site.db, site.actors.client)).toEqual([]);
    await expect(mixSeries(site.db, site.actors.client, site.specificationId)).rejects.toThrow();
    expect(await search(site.db, site.actors.client, 'Wall')).toEqual([]);
  });
});

describe('validation', () => {
  it.each([
    [
      createJob,
      'manager',
      { number: '', name: 'x', owner: 'x', location: 'x', zone: 'UTC', system: 'US' },
      'number',
    ],
    [
      createJob,
      'manager',
      { number: 'N', name: 'x', owner: 'x', location: 'x', zone: 'Moon/Base', system: 'US' },
      'zone',
    ],
    [
      createJob,
      'manager',
      { number: 'TST', name: 'x', owner: 'x', location: 'x', zone: 'UTC', system: 'US' },
      'number',
    ],
    [addPerson, 'manager', { name: 'A', email: 'no', role: 'client' }, 'email'],
    [addPerson, 'manager', { name: 'A', email: 'a@b.example', role: 'king' }, 'role'],
    [createJob, 'manager', { number: 'N', stranger: 1 }, 'stranger'],
  ] as const)('%# names the field', async (useCase, role, data, field) => {
    const error = await perform(site.db, site.actors[role], useCase as never, data).catch(
      (caught: unknown) => caught,
    );
    expect(error).toBeInstanceOf(Invalid);
    expect(Object.keys((error as Invalid).errors)).toContain(field);
  });

  it.each([
    ['many psi', 'specifiedStrength'],
    ['30 psi', 'specifiedStrength'],
    ['4 in', 'specifiedStrength'],
  ])('strength %s is refused', async (specifiedStrength, field) => {
    const asked = { specifiedStrength, ageDays: 28 };
    const data = { jobId: site.jobId, material: 'concrete', code: 'X', title: 'x', asked };
    const error = await perform(site.db, site.actors.reviewer, createSpecification, data).catch(
      (caught: unknown) => caught,
    );
    expect(Object.keys((error as Invalid).errors)).toEqual([field]);
  });

  it('a specimen is discarded only with what is wrong with it', async () => {
    const { specimenIds } = await makeSample(site);
    const data = { specimenId: specimenIds[0], kind: 'discarded', at: new Date(CAST).toISOString() };
    await expect(perform(site.db, site.actors.laboratory, recordEvent, data)).rejects.toThrow(
      'what is wrong',
    );
  });

  it('a sample is not taken in the future, nor cylinders made before their sample', async () => {
    const ahead = {
      clientId: randomUUID(),
      lotId: site.lotId,
      sampledAt: new Date(CAST + 3_600_000).toISOString(),
    };
    await expect(perform(site.db, site.actors.field, takeSample, ahead, new Date(CAST))).rejects.toThrow(
      'future',
    );
    const { sampleId } = await makeSample(site);
    const early = {
      sampleId,
      castAt: new Date(CAST - 3_600_000).toISOString(),
      size: '4x8',
      cure: 'standard',
      groups: [{ count: 1 }],
    };
    await expect(perform(site.db, site.actors.field, makeSpecimens, early, new Date(CAST))).rejects.toThrow(
      'before the sample',
    );
  });
});

describe('samples and specimens', () => {
  it('takes one sample however often the press is sent', async () => {
    const press = {
      clientId: randomUUID(),
      lotId: site.lotId,
      sampledAt: new Date(CAST).toISOString(),
    };
    const now = new Date(CAST + 1000);
    const first = await perform(site.db, site.actors.field, takeSample, press, now);
    expect(await perform(site.db, site.actors.field, takeSample, press, now)).toEqual(first);
  });

  it('numbers samples without gaps or doubles when many are taken at once', async () => {
    const press = () =>
      perform(
        site.db,
        site.actors.field,
        takeSample,
        {
          clientId: randomUUID(),
          lotId: site.lotId,
          sampledAt: new Date(CAST).toISOString(),
        },
        new Date(CAST + 1000),
      );
    const taken = await Promise.all(Array.from({ length: 6 }, press));
    expect(new Set(taken.map(({ sampleId }) => sampleId)).size).toBe(6);
  });

  it('gives each cylinder its window, and the held one none', async () => {
    const { sampleId } = await makeSample(site);
    const rows = await site.db.select().from(specimens).where(eq(specimens.sampleId, sampleId));
    const timed = rows.filter(({ ageHours }) => ageHours === 672);
    expect(timed.length).toBe(3);
    expect(
      timed.every(
        ({ opensAt, closesAt }) =>
          opensAt?.getTime() === AT_28_DAYS - 20 * 3_600_000 &&
          closesAt?.getTime() === AT_28_DAYS + 20 * 3_600_000,
      ),
    ).toBe(true);
    expect(rows.find(({ ageHours }) => ageHours === null)?.opensAt).toBeNull();
    const { sets } = await dayList(site.db, site.actors.laboratory, new Date(AT_28_DAYS), 'open');
    const own = sets.filter(({ href }) => href === `/samples/${sampleId}`);
    expect(own.map(({ specimens: all }) => all.length)).toEqual([3]);
    expect(own[0]).toMatchObject({
      opensAt: AT_28_DAYS - 20 * 3_600_000,
      closesAt: AT_28_DAYS + 20 * 3_600_000,
    });
  });
});

describe('readings', () => {
  async function openRun() {
    const { specimenIds } = await makeSample(site);
    const { runId } = await perform(site.db, site.actors.laboratory, startRun, {
      method: 'cylinder-compression',
      specimenId: specimenIds[0],
    });
    return { runId, specimenId: specimenIds[0] ?? '' };
  }

  it('are saved once, however often they are sent', async () => {
    const { runId } = await openRun();
    const batch = { runId, readings: readingsOf({ diameter1: '4.01 in', diameter2: '4.00' }) };
    const first = await perform(site.db, site.actors.laboratory, saveReadings, batch);
    const again = await perform(site.db, site.actors.laboratory, saveReadings, batch);
    expect(again.saved.map(({ seq }) => seq).toSorted()).toEqual(
      first.saved.map(({ seq }) => seq).toSorted(),
    );
    const rows = await site.db.select().from(readings).where(eq(readings.runId, runId));
    expect(rows.map(({ text }) => text).toSorted()).toEqual(['4.00', '4.01 in']);
  });

  it('of two people at once: the later sees the earlier, and nothing is overwritten', async () => {
    const { runId } = await openRun();
    const one = { runId, readings: readingsOf({ maximumLoad: '61,870' }) };
    const { saved } = await perform(site.db, site.actors.laboratory, saveReadings, one);
    const other = { runId, readings: readingsOf({ maximumLoad: '61,780' }) };
    const error = await perform(site.db, site.actors.reviewer, saveReadings, other).catch(
      (caught: unknown) => caught,
    );
    expect(error).toBeInstanceOf(Conflict);
    expect((error as Conflict).details).toMatchObject({ theirs: { text: '61,870', seq: saved[0]?.seq } });
    const seen = {
      runId,
      readings: other.readings.map((reading) => ({ ...reading, basedOn: saved[0]?.seq })),
    };
    await perform(site.db, site.actors.reviewer, saveReadings, seen);
    const rows = await site.db.select().from(readings).where(eq(readings.runId, runId));
    expect(rows.map(({ text }) => text)).toEqual(['61,870', '61,780']);
  });

  it('what cannot be is refused at its field; what is odd is saved', async () => {
    const { runId } = await openRun();
    const error = await perform(site.db, site.actors.laboratory, saveReadings, {
      runId,
      readings: readingsOf({ diameter1: '400' }),
    }).catch((caught: unknown) => caught);
    expect(Object.keys((error as Invalid).errors)).toEqual(['diameter1']);
    await perform(site.db, site.actors.laboratory, saveReadings, {
      runId,
      readings: readingsOf({ diameter1: '4.40' }),
    });
  });

  it('a field technician may not break specimens', async () => {
    const { specimenId } = await openRun();
    await expect(
      perform(site.db, site.actors.field, startRun, { method: 'cylinder-compression', specimenId }),
    ).rejects.toThrow(Refused);
  });

  it('completing asks for what is missing, and for the reason of what is out of order', async () => {
    const { runId } = await openRun();
    const complete = (reasons: object[]) =>
      perform(site.db, site.actors.laboratory, completeRun, { runId, reasons }, new Date(AT_28_DAYS));
    const missing = await complete([]).catch((caught: unknown) => caught);
    expect(Object.keys((missing as Invalid).errors)).toContain('maximumLoad');
    const late = breakValues('61,870', AT_28_DAYS + 24 * 3_600_000);
    await perform(site.db, site.actors.laboratory, saveReadings, { runId, readings: readingsOf(late) });
    const unexplained = await complete([]).catch((caught: unknown) => caught);
    expect(Object.keys((unexplained as Invalid).errors)).toEqual(['reason.specimen.age-late']);
    await complete([{ findingId: 'specimen.age-late', reason: 'Storm closed the road.' }]);
    const [run] = await site.db.select().from(runs).where(eq(runs.id, runId));
    expect(run?.state).toBe('complete');
  });

  it('a correction after completion needs its reason, recomputes, and keeps what was', async () => {
    const { specimenIds, sampleId } = await makeSample(site);
    const runId = await breakSpecimen(site, specimenIds[0] ?? '', '54,350');
    const wrong = await site.db.select().from(readings).where(eq(readings.runId, runId));
    const load = wrong.find(({ field }) => field === 'maximumLoad');
    const correction = {
      id: randomUUID(),
      field: 'maximumLoad',
      text: '45,350',
      takenAt: new Date().toISOString(),
      basedOn: load?.seq,
    };
    await expect(
      perform(site.db, site.actors.laboratory, saveReadings, { runId, readings: [correction] }),
    ).rejects.toThrow('reason');
    await perform(site.db, site.actors.laboratory, saveReadings, {
      runId,
      readings: [{ ...correction, reason: 'digits swapped' }],
    });
    const dossier = await sampleDossier(site.db, site.actors.laboratory, sampleId);
    const view = dossier.specimens.find(({ id }) => id === specimenIds[0]);
    expect(view?.run?.outcome?.results[0]?.text).toBe('3,610');
    expect((await site.db.select().from(readings).where(eq(readings.runId, runId))).length).toBe(
      wrong.length + 1,
    );
  });
});

it('a casting time is corrected with its reason: windows move, and what was broken is computed anew', async () => {
  const { specimenIds, sampleId } = await makeSample(site);
  const runId = await breakSpecimen(site, specimenIds[0] ?? '', '58,300');
  const correct = (castAt: number, reason: string) =>
    perform(
      site.db,
      site.actors.field,
      correctCastTime,
      { sampleId, castAt: new Date(castAt).toISOString(), reason },
      new Date(AT_28_DAYS + 3_600_000),
    );
  await expect(correct(CAST - 86_400_000, 'x')).rejects.toThrow('before the sample');
  await expect(correct(CAST, '')).rejects.toThrow('why');
  await correct(CAST + 24 * 3_600_000, 'Wrong day was chosen on the phone.');
  const { specimens: views } = await sampleDossier(site.db, site.actors.laboratory, sampleId);
  const waiting = views.find(({ id }) => id === specimenIds[1]);
  expect(waiting?.opensAt?.getTime()).toBe(AT_28_DAYS + 4 * 3_600_000);
  const broken = views.find(({ id }) => id === specimenIds[0]);
  expect(broken?.run?.id).toBe(runId);
  expect(broken?.run?.outcome?.findings.map(({ id }) => id)).toContain('specimen.age-early');
  expect(broken?.run?.openReasons).toEqual(['specimen.age-early']);
});

describe('repeating and explaining', () => {
  it('a sheared slump is made again for a named reason; both attempts stay, and the report says why', async () => {
    const { sampleId } = await makeSample(site);
    const now = new Date(CAST);
    const { field } = site.actors;
    const { runId } = await perform(site.db, field, startRun, { method: 'slump', sampleId }, now);
    await perform(
      site.db,
      field,
      saveReadings,
      { runId, readings: readingsOf({ shape: 'shear', slump: '3' }) },
      now,
    );
    const unexplained = perform(site.db, field, completeRun, { runId, reasons: [] }, now);
    await expect(unexplained).rejects.toThrow('reason');
    await perform(
      site.db,
      field,
      completeRun,
      { runId, reasons: [], reasonForAll: 'Kept as it was seen.' },
      now,
    );
    const again = { method: 'slump', sampleId, repeatReason: 'The first portion sheared.' };
    const second = await perform(site.db, field, startRun, again, now);
    expect(second.runId).not.toBe(runId);
    // Asked twice on a bad network, the open attempt is given back.
    expect(await perform(site.db, field, startRun, again, now)).toEqual(second);
    const { fresh: tests } = await sampleDossier(site.db, field, sampleId);
    const slumps = tests.filter(({ method }) => method === 'slump');
    expect(slumps.map(({ attempt, repeatReason }) => [attempt, repeatReason])).toEqual([
      [1, null],
      [2, 'The first portion sheared.'],
    ]);
  });

  it('a broken cylinder is not tested again, and a finding that came later can still be explained', async () => {
    const { specimenIds, sampleId } = await makeSample(site);
    const runId = await breakSpecimen(site, specimenIds[0] ?? '', '54,350');
    const again = { method: 'cylinder-compression', specimenId: specimenIds[0], repeatReason: 'it was low' };
    await expect(perform(site.db, site.actors.laboratory, startRun, again)).rejects.toThrow(Conflict);
    const [old] = await site.db
      .select()
      .from(readings)
      .where(and(eq(readings.runId, runId), eq(readings.field, 'diameter2')));
    const wider = {
      ...readingsOf({ diameter2: '4.20' })[0],
      basedOn: old?.seq,
      reason: 'read the wrong scale',
    };
    await perform(site.db, site.actors.laboratory, saveReadings, { runId, readings: [wider] });
    const open = async () =>
      (await sampleDossier(site.db, site.actors.laboratory, sampleId)).specimens[0]?.run?.openReasons;
    expect(await open()).toEqual(['cylinder.diameter-spread']);
    const reason = { runId, findingId: 'cylinder.diameter-spread', reason: 'mould was out of round' };
    await perform(site.db, site.actors.laboratory, giveReason, reason);
    expect(await open()).toEqual(['cylinder.diameter-spread']);
    const view = (await sampleDossier(site.db, site.actors.laboratory, sampleId)).specimens[0];
    await perform(site.db, site.actors.reviewer, acceptReason, { reasonId: view?.run?.reasons[0]?.id });
    expect(await open()).toEqual([]);
  });
});

it('writes who did what to which row, by trigger, without passwords', async () => {
  const { personId } = await perform(site.db, site.actors.manager, addPerson, {
    name: 'New',
    email: 'New@Test.example',
    role: 'client',
  });
  await perform(site.db, site.actors.manager, changePerson, { personId, active: false });
  const trail = await site.db.select().from(audit).where(eq(audit.rowKey, personId));
  expect(trail.map(({ action, actor, useCase }) => [action, actor, useCase])).toEqual([
    ['insert', site.actors.manager.id, 'add person'],
    ['update', site.actors.manager.id, 'change person'],
  ]);
  const all = await fresh.owner.query(
    "SELECT count(*)::int AS n FROM audit WHERE coalesce(after, before) ? 'password'",
  );
  expect(all.rows[0].n).toBe(0);
  const [person] = await site.db.select().from(people).where(eq(people.id, personId));
  expect(person).toMatchObject({ email: 'new@test.example', active: false });
});
