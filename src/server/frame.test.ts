import { eq } from 'drizzle-orm';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { HandPumpWatch, isLoad, type ReadingLine } from '@/core/press';
import { specimens } from '@/db/schema';
import { PressServer } from '@/devices/press/press-server';
import { frameStandIn } from '@/devices/press/stand-in';
import { freshDatabase } from '@/testing/database';
import { groupOf, makeRock } from '@/testing/rock';
import { AT_28_DAYS, makeSample, makeSite, readingsOf, type Site } from '@/testing/site';
import { pumpFrame } from './actions/press';
import { registerSpecimens } from './actions/register';
import { saveReadings, startRun } from './actions/runs';
import { perform } from './perform';
import { pressFeed } from './press/feed';
import { pieceFor } from './press/run';

let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
let frame: PressServer;
let runId: string;
const act = <I extends object, R>(useCase: Parameters<typeof perform<I, R>>[2], data: object) =>
  perform(site.db, site.actors.laboratory, useCase, data, new Date(AT_28_DAYS));

beforeAll(async () => {
  fresh = await freshDatabase();
  site = await makeSite(fresh.db, 'FRM', 'SI');
  frame = new PressServer({ number: 'FRM-FRAME', port: 0, device: frameStandIn(5) });
  process.env.BRICOLE_FEEDS = `FRM-FRAME=127.0.0.1:${await frame.start()}`;
  const { lotId } = await makeRock(site);
  const sampleId = await groupOf(site, lotId, 'none', 10);
  await act(registerSpecimens, { sampleId, how: 'pieces', form: 'rock-core', count: 1 });
  const [piece] = await site.db.select().from(specimens).where(eq(specimens.sampleId, sampleId));
  ({ runId } = await act(startRun, { method: 'point-load', specimenId: piece?.id }));
});
afterAll(async () => {
  await frame?.stop();
  await fresh?.close();
});

it('wants a frame chosen, and a line to it', async () => {
  await expect(act(pumpFrame, { runId, what: 'stroke' })).rejects.toThrow(/Choose the frame/u);
  await act(saveReadings, { runId, readings: readingsOf({ frame: 'ELSEWHERE' }) });
  await expect(act(pumpFrame, { runId, what: 'stroke' })).rejects.toThrow(/no stand-in frame/u);
});

it('is no way to work a press', async () => {
  const { specimenIds } = await makeSample(site);
  const { runId: other } = await act(startRun, {
    method: 'cylinder-compression',
    specimenId: specimenIds[0],
  });
  await expect(act(pumpFrame, { runId: other, what: 'stroke' })).rejects.toThrow();
});

it('takes the piece of its run, rises at every stroke, and holds the peak it split at', async () => {
  const place = await anew();
  const lines: ReadingLine[] = [];
  const watch = new HandPumpWatch(0.2);
  const leave = pressFeed('FRM-FRAME')?.subscribe({
    readings: (some) => {
      const loads = some.filter(isLoad);
      lines.push(...loads);
      for (const { t, load, peak } of loads) watch.take({ seconds: t, load, peak });
    },
  });
  await act(pumpFrame, { runId: place, what: 'place' });
  for (let stroke = 0; stroke < 40 && watch.view().phase !== 'broken'; stroke += 1) {
    await act(pumpFrame, { runId: place, what: 'stroke' });
    await new Promise((resolve) => setTimeout(resolve, 450));
  }
  leave?.();
  const { phase, peak, seconds, strokes } = watch.view();
  expect(phase).toBe('broken');
  expect(peak).toBeCloseTo((await pieceFor(site.db, place, new Date())).splits, 1);
  expect(seconds).toBeGreaterThan(1);
  expect(strokes).toBeGreaterThan(2);
  expect(lines.at(-1)?.load).toBeLessThan(1);
}, 60_000);

/** Another piece with the stand-in chosen for it. */
async function anew(): Promise<string> {
  const [before] = await site.db.select().from(specimens).where(eq(specimens.form, 'rock-core'));
  await act(registerSpecimens, { how: 'pieces', sampleId: before?.sampleId, form: 'rock-core', count: 1 });
  const all = await site.db.select().from(specimens).where(eq(specimens.form, 'rock-core'));
  const last = all.find(({ id }) => id !== before?.id);
  const { runId: made } = await act(startRun, { method: 'point-load', specimenId: last?.id });
  await act(saveReadings, { runId: made, readings: readingsOf({ frame: 'FRM-FRAME' }) });
  return made;
}
