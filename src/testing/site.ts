import { randomUUID } from 'node:crypto';
import { readingsOf as plainReadings } from '@/core/methods';
import type { Database } from '@/db/client';
import { addCard, CARD_METHODS } from '@/server/actions/cards';
import { addEquipment, recordVerification } from '@/server/actions/gear';
import { createJob, createLot, createSpecification } from '@/server/actions/jobs';
import { signReport } from '@/server/actions/reports';
import { completeRun, saveReadings, startRun } from '@/server/actions/runs';
import { makeSpecimens, takeSample } from '@/server/actions/samples';
import { perform } from '@/server/perform';
import { specimenViews } from '@/server/queries/dossier';
import { reportDetail } from '@/server/queries/reports';
import type { Actor } from '@/server/use-case';
import { personOf } from './database';

export const CAST = Date.parse('2031-05-14T13:30:00Z');
const HOUR = 3_600_000;
export const AT_28_DAYS = CAST + 672 * HOUR;

/** A small invented site to test on: one job, one mix, one placement, people of every role, one press in date. */
export interface Site {
  readonly db: Database;
  readonly actors: Readonly<Record<Actor['role'], Actor>>;
  readonly jobId: string;
  readonly specificationId: string;
  readonly lotId: string;
}

export async function makeSite(db: Database, number = 'TST', system: 'US' | 'SI' = 'US'): Promise<Site> {
  const roles = ['field', 'laboratory', 'reviewer', 'manager', 'client'] as const;
  const actors = {} as Record<Actor['role'], Actor>;
  for (const role of roles) actors[role] = await personOf(db, role);
  const then = new Date(CAST - HOUR);
  const us = system === 'US';
  const { jobId } = await perform(
    db,
    actors.manager,
    createJob,
    {
      number,
      name: 'Test quay',
      owner: 'Nobody',
      location: 'Nowhere',
      zone: 'America/New_York',
      system,
    },
    then,
  );
  const { specificationId } = await perform(
    db,
    actors.reviewer,
    createSpecification,
    {
      jobId,
      code: 'M1',
      title: 'Walls',
      material: 'concrete',
      asked: {
        specifiedStrength: us ? '4,250 psi' : '29 MPa',
        ageDays: 28,
        slump: us ? '4 1/4 in' : '110 mm',
      },
    },
    then,
  );
  const { lotId } = await perform(
    db,
    actors.field,
    createLot,
    { jobId, specificationId, startsAt: then.toISOString(), title: 'Wall A' },
    then,
  );
  const { equipmentId } = await perform(
    db,
    actors.manager,
    addEquipment,
    {
      number: `${number}-PRESS`,
      kind: 'compression machine',
      name: 'Press',
    },
    then,
  );
  await perform(
    db,
    actors.laboratory,
    recordVerification,
    {
      equipmentId,
      verifiedOn: '2031-01-15',
      verifiedFrom: '20,000 lbf',
      verifiedTo: '300,000 lbf',
    },
    then,
  );
  for (const role of ['field', 'laboratory'] as const) {
    await certify(db, actors.manager, actors[role].id, '2029-02-01');
  }
  return { db, actors, jobId, specificationId, lotId };
}

/** A certificate for every test that asks for one. */
export async function certify(
  db: Database,
  manager: Actor,
  personId: string,
  issuedOn: string,
): Promise<string> {
  const { cardId } = await perform(
    db,
    manager,
    addCard,
    { personId, number: `C-${issuedOn}`, methods: CARD_METHODS, issuedOn },
    new Date(CAST - HOUR),
  );
  return cardId;
}

/** A sample with three cylinders for 28 days and one held. */
export async function makeSample(
  site: Site,
): Promise<{ sampleId: string; specimenIds: string[]; held: string }> {
  const { db, actors, lotId } = site;
  const { sampleId } = await perform(
    db,
    actors.field,
    takeSample,
    {
      clientId: randomUUID(),
      lotId,
      sampledAt: new Date(CAST - 10 * 60_000).toISOString(),
    },
    new Date(CAST - 9 * 60_000),
  );
  await perform(
    db,
    actors.field,
    makeSpecimens,
    {
      sampleId,
      castAt: new Date(CAST).toISOString(),
      size: '4x8',
      cure: 'standard',
      groups: [{ ageDays: 28, count: 3 }, { count: 1 }],
    },
    new Date(CAST + 60_000),
  );
  const views = await specimenViews(db, [sampleId]);
  const held = views.find(({ ageHours }) => ageHours === null)?.id ?? '';
  return {
    sampleId,
    held,
    specimenIds: views.filter(({ ageHours }) => ageHours !== null).map(({ id }) => id),
  };
}

/** Readings as a device sends them; the rows of a table as arrays. */
export function readingsOf(values: Readonly<Record<string, unknown>>) {
  return plainReadings(values).map((reading) => ({
    ...reading,
    id: randomUUID(),
    takenAt: new Date(CAST).toISOString(),
  }));
}

export function breakValues(load: string, testedAt = AT_28_DAYS): Record<string, string> {
  return {
    machine: 'TST-PRESS',
    surface: 'moist',
    diameter1: '4.00',
    diameter2: '4.01',
    ends: 'pads',
    zeroed: 'true',
    aligned: 'true',
    maximumLoad: load,
    testedAt: new Date(testedAt).toISOString(),
    fracture: '3',
  };
}

/** Breaks a specimen from start to completion. */
export async function breakSpecimen(
  site: Site,
  specimenId: string,
  load: string,
  testedAt = AT_28_DAYS,
  reasonForAll = '',
  more: Readonly<Record<string, string>> = {},
): Promise<string> {
  const { db, actors } = site;
  const now = new Date(testedAt);
  const { runId } = await perform(
    db,
    actors.laboratory,
    startRun,
    { method: 'cylinder-compression', specimenId },
    now,
  );
  await perform(
    db,
    actors.laboratory,
    saveReadings,
    { runId, readings: readingsOf({ ...breakValues(load, testedAt), ...more }) },
    now,
  );
  await perform(db, actors.laboratory, completeRun, { runId, reasons: [], reasonForAll }, now);
  return runId;
}

/** Signs a report as it is shown at that moment. */
export async function signShown(site: Site, reportId: string, now?: Date): Promise<void> {
  const { db, actors } = site;
  const { seen } = await reportDetail(db, actors.reviewer, reportId);
  await perform(db, actors.reviewer, signReport, { reportId, seen }, now);
}
