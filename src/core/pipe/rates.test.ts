import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Limits } from '../limits';
import { exact } from '../quantity';
import { fastestOf, type LoadAt, ratePlan, risesOf, streamedRises, tooFast } from './rates';

const limits = new Limits();
/** 36 in, 8 ft, class III: 60,000 lbf/min to 24,300, then 10,800 to 32,400. */
const plan = ratePlan(exact(32_400), exact(8), limits, 'US');
const log = (...read: readonly (readonly [seconds: number, load: number])[]): LoadAt[] =>
  read.map(([seconds, load]) => ({ seconds: exact(seconds), load: exact(load) }));

type Way = readonly (readonly [to: number, rate: number])[];

/** A recorder of ten readings a second over stretches, each to a load at so much a minute. */
function recorded(way: Way): LoadAt[] {
  const read: [number, number][] = [[0, 0]];
  let [at, load] = [0, 0];
  for (const [to, rate] of way) {
    const seconds = (Math.abs(to - load) / rate) * 60;
    const count = Math.max(1, Math.round(seconds * 10));
    for (let part = 1; part <= count; part += 1)
      read.push([at + (seconds * part) / count, load + ((to - load) * part) / count]);
    at += seconds;
    load = to;
  }
  return log(...read);
}
const steepest = (...way: Way) =>
  Object.fromEntries(
    streamedRises(recorded(way), plan, limits, 'US').map(({ part, rate }) => [part, rate.toNumber()]),
  );

// ASTM C497 (from memory); the seconds of a slope are our choice.
describe('a record of a recorder', () => {
  it('tells the slope of each part', () => {
    const found = steepest([24_300, 40_000], [32_400, 9_000]);
    expect(found.first).toBeCloseTo(40_000, -1);
    expect(found.second).toBeCloseTo(9_000, -1);
  });
  it('sees a stretch that was pumped fast for some seconds, in its part alone', () => {
    // 8 s at 20,000 a minute past three quarters.
    const found = steepest([24_300, 40_000], [27_000, 9_000], [29_667, 20_000], [32_400, 9_000]);
    expect(found.second).toBeGreaterThan(19_000);
    expect(found.first).toBeLessThan(41_000);
  });
  it('takes no notice of what follows the design load, nor of a pause or a fall', () => {
    const found = steepest([24_300, 40_000], [32_400, 9_000], [60_000, 200_000]);
    expect(found.second).toBeCloseTo(9_000, -1);
    expect(steepest([20_000, 40_000], [18_000, 30_000], [24_300, 40_000], [32_400, 9_000]).first).toBeCloseTo(
      40_000,
      -1,
    );
  });
  it('of a pipe that was not loaded past its first part has no second', () => {
    expect(Object.keys(steepest([20_000, 30_000]))).toEqual(['first']);
    expect(streamedRises(log([0, 0], [1, 0], [2, 0]), plan, limits, 'US')).toEqual([]);
    expect(streamedRises([], plan, limits, 'US')).toEqual([]);
  });
  it('that is steady is never taken for a faster one', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 5_000, max: 60_000 }),
        fc.integer({ min: 2_000, max: 10_800 }),
        (first, second) => {
          const found = steepest([24_300, first], [32_400, second]);
          expect(found.first ?? 0).toBeLessThanOrEqual(first * 1.01);
          expect(found.second ?? 0).toBeLessThanOrEqual(second * 1.01);
        },
      ),
      { numRuns: 25 },
    );
  });
});

describe('a record by hand', () => {
  it('tells each interval in the parts that it lies in', () => {
    const rises = risesOf(log([0, 0], [30, 15_000], [60, 26_000], [90, 30_000]), plan);
    expect(rises.map(({ part, rate }) => `${part} ${rate.toFixed(0)}`)).toEqual([
      'first 30000',
      'first 22000',
      'second 22000',
      'second 8000',
    ]);
    expect(fastestOf(rises).map(({ part, rate }) => `${part} ${rate.toFixed(0)}`)).toEqual([
      'first 30000',
      'second 22000',
    ]);
  });
  it('has no rate where time stands still or the load falls', () => {
    expect(risesOf(log([0, 1000], [0, 2000], [5, 1500]), plan)).toEqual([]);
    expect(fastestOf([])).toEqual([]);
  });
  it('kept at its limits is kept, and any more is not', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 99 }), fc.boolean(), (share, over) => {
        const factor = over ? 1.001 : 1;
        const turn = plan.turn.toNumber();
        const middle = turn + ((plan.design.toNumber() - turn) * share) / 100;
        const t1 = plan.firstSeconds.toNumber();
        const t2 = ((middle - turn) / plan.second.toNumber()) * 60;
        const read = log([0, 0], [t1 * 1.0001, turn], [t1 * 1.0001 + (t2 / factor) * 1.00001, middle]);
        expect(tooFast(read, plan).length > 0).toBe(over);
      }),
    );
  });
  it('does not hang on where it is cut: more readings of the same steady load find no faster one', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 1, max: 99 }), { minLength: 1, maxLength: 12 }),
        (cuts) => {
          const steady = [0, ...cuts.toSorted((a, b) => a - b), 100].map(
            (share) => [share * 0.6, share * 240] as const,
          );
          for (const { rate } of risesOf(log(...steady), plan))
            expect(rate.toNumber()).toBeCloseTo(24_000, 3);
        },
      ),
    );
  });
});

// Arithmetic of C497’s two rates (from memory): past three quarters it takes 45 s at the least, whatever the pipe.
describe('the least time of a pipe', () => {
  it('is 45 s past three quarters, but where a third a minute would be faster than the first rate', () => {
    fc.assert(
      fc.property(fc.integer({ min: 800, max: 4000 }), fc.integer({ min: 12, max: 120 }), (d, inches) => {
        const design = exact(d).times(inches).div(12).times(8);
        const { secondSeconds, first, second } = ratePlan(design, exact(8), limits, 'US');
        const slow = d * (inches / 12) <= 22_500;
        if (slow) expect(secondSeconds.toNumber()).toBeCloseTo(45, 6);
        else expect(second.toString()).toBe(first.toString());
      }),
    );
  });
});
