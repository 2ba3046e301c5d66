import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { WeighingWatch } from '@/core/balance';
import { isMass } from '@/core/press';
import { PressServer } from '@/devices/press/press-server';
import { balanceStandIn } from '@/devices/press/stand-in';
import { freshDatabase } from '@/testing/database';
import { type Delivery, deliver } from '@/testing/masonry';
import { makeSite, readingsOf, type Site } from '@/testing/site';
import { loadBalance } from './actions/press';
import { saveReadings, startRun } from './actions/runs';
import { pressFeed } from './press/feed';

let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
let lot: Delivery;
let balance: PressServer;
let runId = '';
let elsewhere = '';
const leave: (() => void)[] = [];

beforeAll(async () => {
  fresh = await freshDatabase();
  site = await makeSite(fresh.db);
  lot = await deliver(site);
  const id = await lot.set();
  balance = new PressServer({ number: 'LIV-BALANCE', port: 0, device: balanceStandIn(7, 'lb') });
  process.env.BRICOLE_FEEDS = `LIV-BALANCE=127.0.0.1:${await balance.start()}`;
  const receive = async (balance: object) =>
    lot.together('unit-receiving', await lot.views(id), { place: 'Bench', ...balance }, 1, false);
  runId = await receive({});
  elsewhere = await receive({ balance: 'ELSEWHERE' });
});
afterAll(async () => {
  for (const each of leave) each();
  await balance?.stop();
  await fresh?.close();
});

const load = (data: object) => lot.act(loadBalance, { runId, ...data }, 1);
const choose = (number: string) =>
  lot.act(saveReadings, { runId, readings: readingsOf({ balance: number }) }, 1);

describe('a balance with a line', () => {
  it('has to be chosen, and to be a stand-in to be loaded from here', async () => {
    await expect(load({ what: 'tare' })).rejects.toThrow(/Choose the balance/u);
    await expect(load({ runId: elsewhere, what: 'tare' })).rejects.toThrow(/no stand-in balance/u);
  });
  it('is no way to work what has no balance', async () => {
    const report = await lot.act(startRun, { lotId: lot.lotId, method: 'unit-report' }, 1);
    await expect(load({ ...report, what: 'tare' })).rejects.toThrow();
  });
  it('shows what is laid on it, once, until it is lifted off', async () => {
    await choose('LIV-BALANCE');
    await expect(load({ what: 'put', mass: 'much' })).rejects.toMatchObject({
      errors: { mass: expect.anything() },
    });
    await expect(load({ what: 'put', mass: '-3' })).rejects.toMatchObject({
      errors: { mass: expect.anything() },
    });
    const watch = new WeighingWatch();
    const states = new Set<string>();
    const until = (state: string) =>
      new Promise<void>((resolve) => {
        const stop = pressFeed('LIV-BALANCE')?.subscribe({
          readings: (lines) => {
            for (const line of lines.filter(isMass)) watch.take(line);
            const now = watch.view()?.state;
            if (now) states.add(now);
            if (now === state) resolve();
          },
        });
        if (stop) leave.push(stop);
      });
    // In another unit it is the same mass: 15.18 kg are 33.466 lb.
    await load({ what: 'put', mass: '15.18 kg' });
    await until('ready');
    expect(Math.abs(Number(watch.view()?.text) - 33.466)).toBeLessThan(0.02);
    expect(states.has('moving')).toBe(true);
    watch.taken();
    await load({ what: 'off' });
    await until('empty');
  }, 60_000);
});
