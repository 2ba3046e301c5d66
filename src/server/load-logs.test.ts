import { randomUUID } from 'node:crypto';
import { gunzipSync, gzipSync } from 'node:zlib';
import { eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { guessMapping, type LogMapping } from '@/core/signals';
import { equipment, loadLogs } from '@/db/schema';
import { freshDatabase } from '@/testing/database';
import { type Breakpoints, CORNER, loadAt, ORDINARY, STOPPED } from '@/testing/load-curves';
import { errorsOf } from '@/testing/refusals';
import {
  AT_28_DAYS,
  breakSpecimen,
  breakValues,
  makeSample,
  makeSite,
  readingsOf,
  type Site,
} from '@/testing/site';
import { keepLoadLog } from './actions/load-logs';
import { completeRun, saveReadings, startRun } from './actions/runs';
import { perform } from './perform';
import { runViews } from './queries/dossier';
import { logFile } from './queries/load-log';
import { runSheet } from './queries/run';
import type { Actor } from './use-case';

let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
const NOW = new Date(AT_28_DAYS);
beforeAll(async () => {
  fresh = await freshDatabase();
  site = await makeSite(fresh.db, 'TST');
});
afterAll(() => fresh?.close());

/** A log by straight lines between breakpoints, ten readings a second. */
function logText(points: Breakpoints): string {
  const rows = ['time_s,load_lbf'];
  for (let tenth = 0; tenth <= (points.at(-1)?.[0] ?? 0) * 10; tenth += 1) {
    const t = tenth / 10;
    rows.push(`${t.toFixed(1)},${Math.round(loadAt(points, t))}`);
  }
  return rows.join('\n');
}

const GOOD = logText(ORDINARY);
const BROKEN_CORNER = logText(CORNER);
const CUT_SHORT = logText(STOPPED);

const opened = async (values: Record<string, string> = breakValues('55630')): Promise<string> => {
  const { specimenIds } = await makeSample(site);
  const { runId } = await perform(
    site.db,
    site.actors.laboratory,
    startRun,
    { method: 'cylinder-compression', specimenId: specimenIds[0] },
    NOW,
  );
  if (Object.keys(values).length > 0) {
    await perform(
      site.db,
      site.actors.laboratory,
      saveReadings,
      { runId, readings: readingsOf(values) },
      NOW,
    );
  }
  return runId;
};
const keep = (runId: string, text: string, over: object = {}, by: Actor = site.actors.laboratory, at = NOW) =>
  perform(
    site.db,
    by,
    keepLoadLog,
    {
      id: randomUUID(),
      runId,
      name: 'press.csv',
      data: gzipSync(text).toString('base64'),
      mapping: guessMapping(text) as LogMapping,
      ...over,
    },
    at,
  );
const found = async (runId: string): Promise<string[]> => {
  const sheet = await runSheet(site.db, site.actors.laboratory, runId, NOW);
  await perform(
    site.db,
    site.actors.laboratory,
    completeRun,
    { runId, reasons: [], reasonForAll: 'as seen' },
    NOW,
  );
  const [run] = await runViews(site.db, { runIds: [sheet.run.id] });
  return (run?.outcome?.findings ?? []).map(({ id }) => id).filter((id) => id.startsWith('log.'));
};

describe('a load log kept with its run', () => {
  it('is analysed from the file itself, and kept whole', async () => {
    const runId = await opened();
    const { analysis } = await keep(runId, GOOD);
    expect([analysis.verdict, analysis.peak]).toEqual(['valid', 55_630]);
    const [kept] = await site.db.select().from(loadLogs).where(eq(loadLogs.runId, runId));
    expect(gunzipSync(kept?.bytes ?? Buffer.alloc(0)).toString()).toBe(GOOD);
    expect(kept?.sha256).toMatch(/^[0-9a-f]{64}$/);
    expect(await found(runId)).toEqual([]);
  });
  it('of a whole morning gives each run its own test, and refuses one that is not there', async () => {
    const later = [...CORNER].map(([t, load]) => [t + 120, load] as const);
    const both = logText([...ORDINARY, [100, 0], [119.9, 0], ...later, [240, 0]]);
    const [first, second] = [await opened(), await opened(breakValues('51400'))];
    expect((await keep(first, both)).analysis.peak).toBe(55_630);
    expect((await keep(second, both, { part: 1 })).analysis.peak).toBe(51_400);
    expect(await errorsOf(keep(await opened(), both, { part: 2 }))).toMatchObject({
      part: 'There are 2 tests in this file.',
    });
    const kept = await site.db.select().from(loadLogs).where(eq(loadLogs.runId, second));
    expect(gunzipSync(kept[0]?.bytes ?? Buffer.alloc(0)).toString()).toBe(both);
  });
  it('goes out again byte for byte, with its analysis, and as it was judged', async () => {
    const later = [...CORNER].map(([t, load]) => [t + 120, load] as const);
    const both = logText([...ORDINARY, [100, 0], [119.9, 0], ...later, [240, 0]]);
    const runId = await opened(breakValues('51400'));
    const { analysis } = await keep(runId, both, { part: 1 });
    const out = (form: 'original' | 'analysis.json' | 'cleaned.csv', who: Actor = site.actors.laboratory) =>
      logFile(site.db, who, runId, form);
    expect(String((await out('original')).body)).toBe(both);
    const told = JSON.parse(String((await out('analysis.json')).body)) as {
      analysis: object;
      sha256: string;
    };
    expect(told.analysis).toEqual(JSON.parse(JSON.stringify(analysis)));
    expect(told.sha256).toMatch(/^[0-9a-f]{64}$/);
    const rows = String((await out('cleaned.csv')).body)
      .trim()
      .split('\n')
      .slice(1);
    // Only its own test: the largest load is this one's, not that of the test before it.
    expect(Math.max(...rows.map((row) => Number(row.split(',')[1])))).toBe(51_400);
    await expect(out('original', site.actors.client)).rejects.toThrow();
    await expect(logFile(site.db, site.actors.laboratory, await opened(), 'original')).rejects.toThrow(/log/);
  });
  it('sent twice is one', async () => {
    const runId = await opened();
    const id = randomUUID();
    const first = await keep(runId, GOOD, { id });
    expect(await keep(runId, BROKEN_CORNER, { id })).toEqual(first);
    expect((await site.db.select().from(loadLogs).where(eq(loadLogs.runId, runId))).length).toBe(1);
  });
  it('says what it found in the run’s findings, and the newest counts', async () => {
    const runId = await opened();
    await keep(runId, CUT_SHORT);
    await keep(runId, BROKEN_CORNER, {}, site.actors.laboratory, new Date(AT_28_DAYS + 60_000));
    expect(await found(runId)).toEqual(['log.dip']);
    expect((await site.db.select().from(loadLogs).where(eq(loadLogs.runId, runId))).length).toBe(2);
  });
  it('that never fell below 95 % gives no valid result without a reason', async () => {
    const runId = await opened();
    await keep(runId, CUT_SHORT);
    const errors = await errorsOf(
      perform(site.db, site.actors.laboratory, completeRun, { runId, reasons: [] }, NOW),
    );
    expect(errors).toHaveProperty(['reason.log.maximum-not-shown']);
  });
  it('kept after completion makes the outcome anew', async () => {
    const { specimenIds } = await makeSample(site);
    const runId = await breakSpecimen(site, specimenIds[0] ?? '', '51400');
    await keep(runId, BROKEN_CORNER);
    const [run] = await runViews(site.db, { runIds: [runId] });
    expect(run?.outcome?.findings.map(({ id }) => id)).toContain('log.dip');
  });
  it('is remembered for the machine as it was confirmed', async () => {
    const runId = await opened();
    const semicolons = GOOD.replaceAll(',', ';').replaceAll('.', ',');
    const mapping = { ...(guessMapping(semicolons) as LogMapping), loadUnit: 'lbf' as const };
    await keep(runId, semicolons, { mapping });
    const [press] = await site.db.select().from(equipment).where(eq(equipment.number, 'TST-PRESS'));
    expect(press?.logMapping).toEqual(mapping);
    const sheet = await runSheet(site.db, site.actors.laboratory, await opened(), NOW);
    expect(sheet.setup.equipment?.find(({ number }) => number === 'TST-PRESS')?.logMapping).toEqual(mapping);
  });
  it.each([
    [{ data: 'AAAA' }, 'data', /unpacked/],
    [{ data: gzipSync('time,load\nx,y').toString('base64') }, 'data', /No two rows/],
    [{ mapping: { delimiter: '|' } }, 'mapping.delimiter', /choose one/],
    [
      { mapping: { ...(guessMapping(GOOD) as LogMapping), loadUnit: 'stone' } },
      'mapping.loadUnit',
      /choose one/,
    ],
    [{ runId: randomUUID() }, '', /run/],
  ])('is refused in words: %j', async (over, field, message) => {
    const errors = await errorsOf(keep(await opened(), GOOD, over));
    expect(errors[field]).toMatch(message);
  });
  it('needs the diameters, and is the laboratory’s to keep', async () => {
    expect((await errorsOf(keep(await opened({}), GOOD))).data).toMatch(/specimen first/);
    expect(await errorsOf(keep(await opened(), GOOD, {}, site.actors.field))).toHaveProperty('');
  });
  it('never changes', async () => {
    await expect(fresh.owner.query("UPDATE load_logs SET name = 'x'")).rejects.toThrow(/append only/);
    await expect(fresh.owner.query('DELETE FROM load_logs')).rejects.toThrow(/append only/);
  });
});
