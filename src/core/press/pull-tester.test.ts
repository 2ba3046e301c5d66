import { describe, expect, it } from 'vitest';
import { PULL_PUMP, PullTester } from './pull-tester';
import { pressureAfter, pressureRate, pushed, strokesTo } from './pump';

const DOLLY_20 = Math.PI * 100;
const DOLLY_50 = Math.PI * 625;

describe('a hand pump', () => {
  // The model worked by hand: oil, hose and frame give way, air is pressed together.
  it('starts soft: its first strokes press the air', () => {
    const after = [1, 2, 3, 4].map((count) => pressureAfter(PULL_PUMP, 150 * count));
    const wanted = [0.094, 0.6629, 2.682, 5.0975];
    for (const [place, pressure] of wanted.entries()) expect(after[place]).toBeCloseTo(pressure, 3);
  });
  it('says how to end in the middle of a stroke', () => {
    const small = strokesTo(PULL_PUMP, { stress: 10, face: DOLLY_20, most: 1 });
    expect(small.strokes).toBeCloseTo(4.0564, 3);
    expect(small.first).toBeCloseTo(0.5564, 3);
    expect(small.seconds).toBeCloseTo(4.69, 2);
    const large = strokesTo(PULL_PUMP, { stress: 1.5, face: DOLLY_50, most: 0.2068427 });
    expect(large.strokes).toBeCloseTo(3.923, 3);
    expect(large.seconds).toBeCloseTo(3.62, 2);
  });
  it('rises the quicker the quicker it is worked, and back and forth comes to the same', () => {
    const rate = (seconds: number): number => (pressureRate(PULL_PUMP, 5.236, seconds) * 600) / DOLLY_20;
    expect(rate(3)).toBeCloseTo(1.564, 3);
    expect(rate(6)).toBeCloseTo(rate(3) / 2, 9);
    for (const pressure of [0.01, 0.3, 2, 9])
      expect(pressureAfter(PULL_PUMP, pushed(PULL_PUMP, pressure))).toBeCloseTo(pressure, 9);
  });
});

describe('a stand-in tester', () => {
  const pull = (seconds: number, splits = 2.6) => {
    const tester = new PullTester(7);
    tester.place({ splits, stroke: 1, slack: 0 });
    const readings = [];
    for (let stroke = 0; stroke < 12; stroke += 1) {
      tester.stroke({ seconds, part: 1 });
      readings.push(...tester.run(seconds + 0.05));
    }
    return readings;
  };
  it('lets go at what its piece bears, and its pointer holds that', () => {
    const readings = pull(4);
    expect(readings.at(-1)?.load).toBeLessThan(0.01);
    expect(readings.at(-1)?.peak).toBeCloseTo(2.6, 2);
  });
  it('is pulled the faster the shorter its strokes', () => {
    const took = (seconds: number): number => {
      const readings = pull(seconds);
      const end = readings.findIndex(({ peak }) => peak >= 2.59);
      return (readings[end]?.t ?? 0) - (readings.find(({ load }) => load > 0.26)?.t ?? 0);
    };
    expect(took(8)).toBeGreaterThan(1.8 * took(4));
  });
  it('goes on with a stroke until it is through, takes part of one, and is let go by its valve', () => {
    const tester = new PullTester(1);
    tester.place({ splits: 9, stroke: 1, slack: 0 });
    expect(tester.stroke({ seconds: 3, part: 1 })).toBe(true);
    tester.run(1);
    expect(tester.stroke({ seconds: 3, part: 1 })).toBe(false);
    tester.run(2.5);
    const one = tester.trueForce;
    tester.stroke({ seconds: 3, part: 0.5 });
    tester.run(3);
    const more = tester.trueForce;
    expect(more).toBeGreaterThan(one);
    tester.run(5);
    expect(tester.trueForce).toBe(more);
    tester.release();
    expect(tester.trueForce).toBe(0);
  });
  it('says the same for the same seed', () => {
    expect(pull(3)).toEqual(pull(3));
  });
});
