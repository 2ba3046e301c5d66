import { describe, expect, it } from 'vitest';
import { Limits } from '../limits';
import { PipeWatch } from './watch';

const GOAL = { turn: 24_300, design: 32_400, first: 60_000, second: 10_800, ultimate: 48_000 };
const limits = new Limits();

/** Followed at twenty readings a second, from load to load at so much a minute. */
function followed(...way: readonly (readonly [to: number, rate: number])[]) {
  const watch = new PipeWatch(GOAL, limits, 'US');
  let [at, load] = [0, 0];
  const seen: string[] = [watch.view().phase];
  const look = (): void => {
    const { phase } = watch.view();
    if (seen.at(-1) !== phase) seen.push(phase);
  };
  for (const [to, rate] of way) {
    const seconds = (Math.abs(to - load) / rate) * 60;
    for (let part = 1; part <= seconds * 20; part += 1) {
      watch.take(at + part / 20, load + (to - load) * (part / (seconds * 20)));
      if (part % 10 === 0) look();
    }
    at += seconds;
    load = to;
    look();
  }
  const hold = (more: number, by = load): void => {
    for (let part = 1; part <= more * 20; part += 1) watch.take(at + part / 20, by);
    at += more;
    look();
  };
  return { watch, seen, hold };
}

// ASTM C497 (from memory): 7,500 lbf a foot and minute to three quarters, then no more than a third of the design load.
describe('a pipe that is followed', () => {
  it('is told each part of its test as it comes', () => {
    const { watch, seen, hold } = followed(
      [24_300, 50_000],
      [32_400, 10_000],
      [33_500, 10_000],
      [50_000, 20_000],
    );
    expect(seen).toEqual(['waiting', 'first', 'soon', 'second', 'design', 'past']);
    hold(10, 40_000);
    expect(watch.view().phase).toBe('falling');
    hold(25, 39_000);
    expect(watch.view()).toMatchObject({ phase: 'ended', most: null });
    expect(watch.view().peak).toBe(50_000);
  });
  it('tells its rate, what it may be, and in how many seconds the next mark comes', () => {
    const { watch } = followed([12_000, 30_000]);
    const now = watch.view();
    expect(now.rate).toBeCloseTo(30_000, 0);
    expect(now).toMatchObject({ most: 60_000, fast: false });
    // 12,300 at 30,000 a minute, then a quarter of the design load at the second rate.
    expect(now.toTurn).toBeCloseTo(24.6, 1);
    expect(now.toDesign).toBeCloseTo(24.6 + 45, 1);
  });
  it('is too fast where the slope of the last seconds says so, with a little to spare for a gauge', () => {
    expect(followed([20_000, 66_000]).watch.view().fast).toBe(true);
    expect(followed([20_000, 62_000]).watch.view().fast).toBe(false);
    expect(followed([24_300, 50_000], [30_000, 12_000]).watch.view().fast).toBe(true);
    expect(followed([24_300, 50_000], [30_000, 11_200]).watch.view().fast).toBe(false);
    // Past the design load no rate is asked for.
    expect(followed([24_300, 50_000], [32_400, 10_000], [45_000, 90_000]).watch.view()).toMatchObject({
      ...{ fast: false, most: null },
    });
  });
  it('goes by what it may be while it stands still', () => {
    const { watch, hold } = followed([12_000, 30_000]);
    hold(10);
    expect(watch.view().rate).toBeCloseTo(0, 6);
    expect(watch.view().toTurn).toBeCloseTo(12.3, 1);
  });
  it('a fall that recovers is none', () => {
    const { watch, hold } = followed([24_300, 50_000], [32_400, 10_000], [40_000, 20_000]);
    hold(10, 35_000);
    expect(watch.view().phase).toBe('falling');
    hold(1, 39_000);
    hold(40, 39_000);
    expect(watch.view().phase).toBe('past');
  });
});
