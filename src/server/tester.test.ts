import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { isLoad } from '@/core/press';
import { PressServer } from '@/devices/press/press-server';
import { testerStandIn } from '@/devices/press/stand-in';
import { freshDatabase } from '@/testing/database';
import { errorsOf } from '@/testing/refusals';
import { CAST, makeSite, readingsOf, type Site } from '@/testing/site';
import { createLot, createSpecification } from './actions/jobs';
import { pumpFrame } from './actions/press';
import { registerSpecimens } from './actions/register';
import { saveReadings, startRun } from './actions/runs';
import { takeSample } from './actions/samples';
import { perform } from './perform';
import { pressFeed } from './press/feed';
import { pieceFor } from './press/run';
import { specimenViews } from './queries/dossier';
import type { Actor, UseCase } from './use-case';

let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
let tester: PressServer;
let runId = '';
const act = <I extends object, R>(
  useCase: UseCase<I, R>,
  data: object,
  who: Actor['role'] = 'laboratory',
): Promise<R> => perform(site.db, site.actors[who], useCase, data, new Date(CAST));

beforeAll(async () => {
  fresh = await freshDatabase();
  site = await makeSite(fresh.db, 'TSR', 'SI');
  tester = new PressServer({ number: 'TSR-T', port: 0, device: testerStandIn(5) });
  process.env.BRICOLE_FEEDS = `TSR-T=127.0.0.1:${await tester.start()}`;
  const { specificationId } = await act(
    createSpecification,
    {
      jobId: site.jobId,
      code: 'O1',
      title: 'Overlay',
      material: 'coating',
      asked: { pullBy: 'd7234', coats: 'A concrete, B membrane' },
    },
    'reviewer',
  );
  const startsAt = new Date(CAST).toISOString();
  const { lotId } = await act(createLot, { jobId: site.jobId, specificationId, title: 'Deck', startsAt });
  const { sampleId } = await act(takeSample, {
    clientId: randomUUID(),
    lotId,
    sampledAt: startsAt,
    about: { name: 'Bay 1' },
  });
  await act(registerSpecimens, { sampleId, how: 'dollies', form: 'dolly', count: 1 });
  const [dolly] = await specimenViews(site.db, [sampleId]);
  ({ runId } = await act(startRun, { method: 'pull-off', specimenId: dolly?.id }));
});
afterAll(async () => {
  await tester?.stop();
  await fresh?.close();
});

it('bears what a dolly of its size would, and nothing while its size is not known', async () => {
  expect((await errorsOf(act(pumpFrame, { runId, what: 'place' })))['']).toMatch(/Choose the frame/u);
  await act(saveReadings, { runId, readings: readingsOf({ tester: 'TSR-T' }) });
  expect((await pieceFor(site.db, runId, new Date())).splits).toBe(0);
  await act(saveReadings, { runId, readings: readingsOf({ dolly: '50' }) });
  const { splits } = await pieceFor(site.db, runId, new Date());
  // 1.2 to 3 MPa on a face of 50 mm, kN.
  expect(splits).toBeGreaterThan(2.3);
  expect(splits).toBeLessThan(5.9);
  expect((await pieceFor(site.db, runId, new Date())).splits).toBe(splits);
});

it('rises while a stroke goes on, as long and as far as it is told, and lets go by itself', async () => {
  const seen: { load: number; peak: number }[] = [];
  const leave = pressFeed('TSR-T')?.subscribe({
    readings: (some) => seen.push(...some.filter(isLoad).map(({ load, peak }) => ({ load, peak }))),
  });
  const { splits } = await pieceFor(site.db, runId, new Date());
  await act(pumpFrame, { runId, what: 'place' });
  for (let stroke = 0; stroke < 30 && !seen.some(({ peak }) => peak >= splits - 0.01); stroke += 1) {
    await act(pumpFrame, { runId, what: 'stroke', seconds: 0.4, part: 1 });
    await new Promise((resolve) => setTimeout(resolve, 500));
  }
  leave?.();
  expect(Math.max(...seen.map(({ peak }) => peak))).toBeCloseTo(splits, 1);
  expect(seen.at(-1)?.load).toBeLessThan(0.05);
  // The strokes that pressed the air rose by less than those after them.
  const half = seen.findIndex(({ load }) => load > splits / 2);
  expect(half).toBeGreaterThan(seen.length / 4);
}, 60_000);

it('refuses a stroke that is none', async () => {
  for (const over of [{ seconds: 0 }, { seconds: 4, part: 1.5 }, { seconds: 4, part: 0 }])
    expect(Object.keys(await errorsOf(act(pumpFrame, { runId, what: 'stroke', ...over })))).toHaveLength(1);
});
