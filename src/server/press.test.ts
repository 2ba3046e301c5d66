import { randomUUID } from 'node:crypto';
import { gunzipSync } from 'node:zlib';
import { eq } from 'drizzle-orm';
import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest';
import { isLoad, type ReadingLine } from '@/core/press';
import { loadLogs, pressFeeds } from '@/db/schema';
import { PressServer } from '@/devices/press/press-server';
import { pressStandIn } from '@/devices/press/stand-in';
import { freshDatabase } from '@/testing/database';
import { AT_28_DAYS, breakValues, makeSample, makeSite, readingsOf, type Site } from '@/testing/site';
import { describeMachine } from './actions/gear';
import { closePressFeed, drivePress, openPressFeed } from './actions/press';
import { saveReadings, startRun } from './actions/runs';
import { perform } from './perform';
import { PressFeed, pressFeed } from './press/feed';
import { lastRecorded, PressRecorder, recordedLines } from './press/recorder';
import { gearList } from './queries/gear';

let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
let press: PressServer;
let recorder: PressRecorder;
const NOW = new Date(AT_28_DAYS);
const leave: (() => void)[] = [];

beforeAll(async () => {
  fresh = await freshDatabase();
  site = await makeSite(fresh.db, 'LIV');
  press = new PressServer({ number: 'LIV-PRESS', port: 0, device: pressStandIn(5) });
  process.env.BRICOLE_FEEDS = `LIV-PRESS=127.0.0.1:${await press.start()}`;
  recorder = new PressRecorder(site.db);
  recorder.start();
});
afterEach(() => {
  for (const each of leave.splice(0)) each();
});
afterAll(async () => {
  await recorder?.stop();
  await press?.stop();
  await fresh?.close();
});

const act = <I extends object, R>(useCase: Parameters<typeof perform<I, R>>[2], data: object) =>
  perform(site.db, site.actors.laboratory, useCase, data, NOW);

async function opened(more: Record<string, string> = {}): Promise<string> {
  const { specimenIds } = await makeSample(site);
  const { runId } = await act(startRun, { method: 'cylinder-compression', specimenId: specimenIds[0] });
  const { maximumLoad: _, testedAt: __, fracture: ___, ...values } = breakValues('0');
  await act(saveReadings, { runId, readings: readingsOf({ ...values, machine: 'LIV-PRESS', ...more }) });
  return runId;
}

/** Listens until something holds, and gives every reading that came meanwhile. */
async function listen(
  until: (lines: readonly ReadingLine[]) => boolean,
  from?: number,
): Promise<ReadingLine[]> {
  const lines: ReadingLine[] = [];
  await new Promise<void>((resolve) => {
    const stop = pressFeed('LIV-PRESS')?.subscribe(
      {
        readings: (some) => {
          lines.push(...some.filter(isLoad));
          if (until(lines)) resolve();
        },
      },
      from,
    );
    if (stop) leave.push(stop);
  });
  return lines;
}

async function follow(runId: string): Promise<{ feedId: string; fromSeq: number }> {
  const [now] = (await listen((lines) => lines.length > 0)).slice(-1);
  const boot = pressFeed('LIV-PRESS')?.about?.boot ?? '';
  return act(openPressFeed, { id: randomUUID(), runId, boot, fromSeq: (now?.seq ?? 0) + 1, anew: true });
}

describe('a machine followed live', () => {
  it('gives its readings in order, each once, and to a late listener those before too', async () => {
    const first = await listen((lines) => lines.length >= 20);
    const seqs = first.map(({ seq }) => seq);
    expect(seqs).toEqual(Array.from({ length: seqs.length }, (_, index) => (seqs[0] ?? 0) + index));
    const late = await listen((lines) => lines.length >= 30, seqs[0]);
    expect(late.map(({ seq }) => seq).slice(0, 25)).toEqual(
      Array.from({ length: 25 }, (_, index) => (seqs[0] ?? 0) + index),
    );
  });

  it('goes on without a gap when the line was cut', async () => {
    const pending = listen((lines) => lines.length >= 90);
    await new Promise((resolve) => setTimeout(resolve, 400));
    press.cut();
    const lines = await pending;
    const seqs = lines.map(({ seq }) => seq);
    expect(seqs).toEqual(Array.from({ length: seqs.length }, (_, index) => (seqs[0] ?? 0) + index));
  });

  it('gives what was read before anybody listened, though nothing new is read', async () => {
    const line = { load: 1, unit: 'kN', peak: 1, pos: 0, pump: true, approach: false, fine: 0, door: true };
    const all = Array.from({ length: 12 }, (_, place) => ({ ...line, t: place / 50 }));
    const quiet = new PressServer({
      number: 'QUIET',
      port: 0,
      device: { unit: 'kN', rate: 50, loaded: true, run: () => all.splice(0), obey: () => undefined },
    });
    const feed = new PressFeed({ host: '127.0.0.1', port: await quiet.start() });
    while (all.length > 0) await new Promise((resolve) => setTimeout(resolve, 20));
    expect((await feed.ready())?.newest).toBe(12);
    const seqs: number[] = [];
    await new Promise<void>((resolve) => {
      const stop = feed.subscribe(
        {
          readings: (some) => {
            seqs.push(...some.map(({ seq }) => seq));
            if (seqs.length >= 10) resolve();
          },
        },
        3,
      );
      leave.push(stop, () => void quiet.stop());
    });
    expect(seqs).toEqual(Array.from({ length: 10 }, (_, place) => place + 3));
  });

  it('is recorded whole, through a cut line and a recorder that ends and begins again', async () => {
    const runId = await opened();
    const { feedId, fromSeq } = await follow(runId);
    const until = async (seq: number): Promise<void> => {
      while (((await lastRecorded(site.db, feedId)) ?? 0) < seq)
        await new Promise((resolve) => setTimeout(resolve, 50));
    };
    await until(fromSeq + 20);
    press.cut();
    await until(fromSeq + 60);
    await recorder.stop();
    await new Promise((resolve) => setTimeout(resolve, 400));
    recorder = new PressRecorder(site.db);
    recorder.start();
    await until(fromSeq + 120);
    const lines = await recordedLines(site.db, feedId, fromSeq + 120);
    expect(lines.map(({ seq }) => seq)).toEqual(Array.from({ length: 121 }, (_, index) => fromSeq + index));
  }, 30_000);

  it('a break becomes the load log of its run: what the press was told, the analysis finds', async () => {
    const runId = await opened();
    await act(drivePress, { runId, times: 60, place: 'normal' });
    const { feedId } = await follow(runId);
    await act(drivePress, { runId, levers: { pump: true, approach: false, fine: 1, door: true } });
    let peak = 0;
    const slow = { pump: true, approach: false, fine: 0.17, door: true };
    let eased = false;
    const lines = await listen((all) => {
      const last = all.at(-1);
      peak = Math.max(peak, last?.peak ?? 0);
      if (!eased && (last?.load ?? 0) > 12) {
        eased = true;
        pressFeed('LIV-PRESS')?.send({ levers: slow });
      }
      return peak > 100 && (last?.load ?? peak) < 0.3 * peak;
    });
    const toSeq = lines.at(-1)?.seq ?? 0;
    await act(drivePress, { runId, times: 1 });
    const { analysis, peak: register } = await act(closePressFeed, { feedId, toSeq });
    expect(analysis.peak).toBeCloseTo(peak / 0.0044482216152605, -2);
    expect(register).toBeGreaterThanOrEqual(analysis.peak - 12);
    expect(analysis.brokenAt).not.toBeNull();
    const [kept] = await site.db.select().from(loadLogs).where(eq(loadLogs.runId, runId));
    expect(gunzipSync(kept?.bytes ?? Buffer.from('')).toString('utf8')).toMatch(/^time_s,load_lbf,/);
    expect(kept?.curve?.length).toBeGreaterThan(20);
    // Asked for again it is the same log, not a second one.
    const again = await act(closePressFeed, { feedId, toSeq });
    expect(again.analysis.peak).toBe(analysis.peak);
    expect(await site.db.select().from(loadLogs).where(eq(loadLogs.runId, runId))).toHaveLength(1);
  }, 60_000);

  it('keeps nobody else waiting while a dozen records wait for the recorder', async () => {
    const { feedId } = await follow(await opened());
    let ended = 0;
    const waiting = Array.from({ length: 12 }, () =>
      act(closePressFeed, { feedId, toSeq: 1_000_000_000 }).catch((error: Error) => {
        ended += 1;
        return error.message;
      }),
    );
    await new Promise((resolve) => setTimeout(resolve, 300));
    await opened();
    expect(ended).toBe(0);
    for (const message of await Promise.all(waiting)) expect(message).toMatch(/has not caught up/);
  }, 60_000);

  it('belongs to one run at a time', async () => {
    const one = await opened();
    const other = await opened();
    const first = await follow(one);
    await follow(other);
    const [closed] = await site.db.select().from(pressFeeds).where(eq(pressFeeds.id, first.feedId));
    expect(closed?.closedAt).not.toBeNull();
    await expect(act(closePressFeed, { feedId: first.feedId, toSeq: 1 })).rejects.toThrow(/let go/);
  });

  it('wants a machine, and the specimen measured', async () => {
    const unmeasured = await opened({ diameter1: '' });
    const { feedId, fromSeq } = await follow(unmeasured);
    while (((await lastRecorded(site.db, feedId)) ?? 0) < fromSeq + 5)
      await new Promise((resolve) => setTimeout(resolve, 50));
    await expect(act(closePressFeed, { feedId, toSeq: fromSeq + 5 })).rejects.toMatchObject({
      errors: { toSeq: expect.stringContaining('Measure the specimen') },
    });
    const none = await opened({ machine: 'TST-OTHER' });
    await expect(act(drivePress, { runId: none, times: 1 })).rejects.toThrow(/no stand-in/);
  });
});

describe('what a machine is like', () => {
  it('is described once, and a dial with all its marks', async () => {
    const [machine] = (await gearList(site.db, site.actors.laboratory, '2031-06-11')).filter(
      ({ kind }) => kind === 'compression machine',
    );
    const describeAs = (machineFacts: object) =>
      act(describeMachine, { equipmentId: machine?.id ?? randomUUID(), machine: machineFacts });
    await expect(describeAs({ indicator: 'dial', major: '5,000 lbf' })).rejects.toMatchObject({
      errors: { major: expect.stringContaining('small marks') },
    });
    await expect(describeAs({ clearHeight: 'tall' })).rejects.toMatchObject({
      errors: { 'machine.clearHeight': expect.any(String) },
    });
    await describeAs({
      indicator: 'digital',
      clearHeight: '18 in',
      stroke: '2.5 in',
      spacers: ['4 in', '2 in'],
    });
    const [after] = (await gearList(site.db, site.actors.laboratory, '2031-06-11')).filter(
      ({ id }) => id === machine?.id,
    );
    expect(after?.machine?.spacers).toEqual(['4 in', '2 in']);
  });
});
