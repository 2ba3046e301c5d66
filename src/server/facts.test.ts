import { randomUUID } from 'node:crypto';
import { and, desc, eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { outcomes, readings, runs } from '@/db/schema';
import { freshDatabase } from '@/testing/database';
import { CAST, makeSite, readingsOf, type Site } from '@/testing/site';
import { createLot, createSpecification } from './actions/jobs';
import { completeRun, saveReadings, startRun } from './actions/runs';
import { takeSample } from './actions/samples';
import { perform } from './perform';

const MINUTE = 60_000;
const at = (minutes: number): string => new Date(CAST + minutes * MINUTE).toISOString();
const now = (minutes: number): Date => new Date(CAST + minutes * MINUTE);
let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
let lotId = '';
beforeAll(async () => {
  fresh = await freshDatabase();
  site = await makeSite(fresh.db);
  const { specificationId } = await perform(site.db, site.actors.reviewer, createSpecification, {
    jobId: site.jobId,
    code: 'FACT',
    title: 'Kerb',
    material: 'concrete',
    asked: { specifiedStrength: '4,200 psi', ageDays: 28, slump: '3 in' },
  });
  ({ lotId } = await perform(site.db, site.actors.field, createLot, {
    jobId: site.jobId,
    specificationId,
    startsAt: at(-60),
    title: 'Kerb 3',
  }));
});
afterAll(() => fresh?.close());

async function newSample(minutes: number): Promise<string> {
  const { sampleId } = await perform(
    site.db,
    site.actors.field,
    takeSample,
    {
      clientId: randomUUID(),
      lotId,
      sampledAt: at(minutes),
      press: 'whole',
      kind: 'acceptance',
    },
    now(minutes),
  );
  return sampleId;
}

async function runOf(sampleId: string, method: string): Promise<string> {
  const [run] = await site.db
    .select({ id: runs.id })
    .from(runs)
    .where(and(eq(runs.sampleId, sampleId), eq(runs.method, method)))
    .orderBy(desc(runs.attempt));
  return run?.id ?? '';
}

async function read(runId: string, values: Record<string, unknown>, complete = true, reason?: string) {
  const there = await site.db.select().from(readings).where(eq(readings.runId, runId));
  const based = readingsOf(values).map((reading) => {
    const seq = there.filter(({ field }) => field === reading.field).at(-1)?.seq;
    return { ...reading, ...(seq ? { basedOn: seq } : {}), ...(reason ? { reason } : {}) };
  });
  await perform(site.db, site.actors.field, saveReadings, { runId, readings: based }, now(40));
  if (complete)
    await perform(
      site.db,
      site.actors.field,
      completeRun,
      { runId, reasons: [], reasonForAll: 'As seen.' },
      now(41),
    );
}

const outcomesOf = (runId: string) =>
  site.db.select().from(outcomes).where(eq(outcomes.runId, runId)).orderBy(outcomes.seq);

describe('a fact that a test takes from another', () => {
  it('comes to it when the other is made later, again when it is corrected, and at no other time', async () => {
    const sampleId = await newSample(0);
    const moulding = await runOf(sampleId, 'moulding');
    await read(moulding, {
      mould: '4x8',
      consolidation: 'rod',
      finishedAt: at(12),
      tops: 'flat',
      marked: 'true',
    });
    const [first] = await outcomesOf(moulding);
    expect(first?.setup.facts).not.toHaveProperty('measuredSlump');
    await read(await runOf(sampleId, 'concrete-temperature'), {
      temperature: '71',
      place: 'barrow',
      readAt: at(3),
    });
    expect(await outcomesOf(moulding)).toHaveLength(1);

    const slump = await runOf(sampleId, 'slump');
    await read(slump, { shape: 'true', slump: '0.75', readAt: at(4) });
    const [, second] = await outcomesOf(moulding);
    expect(second?.setup.facts?.measuredSlump).toBe('0.75 in');
    // ASTM C31 (from memory): below 1 in specimens are vibrated, not rodded.
    expect(second?.outcome.findings.map(({ id }) => id)).toContain('moulding.rod-below');

    await read(slump, { slump: '3.25' }, false, 'Read from the wrong edge.');
    const all = await outcomesOf(moulding);
    expect(all).toHaveLength(3);
    expect(all[2]?.setup.facts?.measuredSlump).toBe('3.25 in');
    expect(all[2]?.outcome.findings.map(({ id }) => id)).not.toContain('moulding.rod-below');
    await read(slump, { remarks: 'windy' }, false, 'Noted afterwards.');
    expect(await outcomesOf(moulding)).toHaveLength(3);
  });

  it('of an attempt before tells the later one, and never the earlier of the later', async () => {
    const sampleId = await newSample(60);
    const first = await runOf(sampleId, 'slump');
    await read(first, { shape: 'shear', slump: '2', readAt: at(64) });
    const { runId: second } = await perform(
      site.db,
      site.actors.field,
      startRun,
      { method: 'slump', sampleId, repeatReason: 'It sheared.' },
      now(65),
    );
    await read(second, { shape: 'true', slump: '3', readAt: at(66) });
    expect((await outcomesOf(second)).at(-1)?.setup.facts).toMatchObject({ earlierShape: 'shear' });
    expect(await outcomesOf(first)).toHaveLength(1);
    expect((await outcomesOf(first))[0]?.setup.facts).not.toHaveProperty('earlierShape');
    // Corrected to a true slump, the first is a result that the second is compared with.
    await read(first, { shape: 'true' }, false, 'Looked at the photograph.');
    const after = (await outcomesOf(second)).at(-1);
    expect(after?.setup.facts).toMatchObject({ earlierShape: 'true', earlierSlump: '2.00 in' });
  });
});
