import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { HandPumpWatch } from './hand-pump-watch';
import { HandPumpedFrame } from './hand-pumped';

const PIECE = { splits: 11.3, stroke: 1.2, slack: 3 };

/** Pumps once every so many seconds until it splits or the time is up; every reading. */
function pumped(every: number, seconds: number, piece = PIECE, seed = 5) {
  const frame = new HandPumpedFrame(seed);
  frame.place(piece);
  const readings = frame.run(0.5);
  for (let time = 0; time < seconds; time += every) {
    frame.stroke();
    readings.push(...frame.run(every));
  }
  return { frame, readings };
}

describe('a frame pumped by hand', () => {
  it('gives the same readings for the same seed and strokes', () => {
    expect(pumped(0.8, 12).readings).toEqual(pumped(0.8, 12).readings);
  });
  it('rises by a jump at each stroke that takes, shoots over, and settles', () => {
    const frame = new HandPumpedFrame(5);
    frame.place({ ...PIECE, slack: 0 });
    frame.stroke();
    const loads = frame.run(1).map(({ load }) => load);
    const most = Math.max(...loads);
    const end = loads.at(-1) ?? 0;
    expect(end).toBeGreaterThan(0.8 * PIECE.stroke);
    expect(most).toBeGreaterThan(end * 1.02);
  });
  it('takes nothing from a stroke that comes too soon, nor before the points grip', () => {
    const frame = new HandPumpedFrame(5);
    frame.place(PIECE);
    expect([frame.stroke(), frame.stroke()]).toEqual([true, false]);
    frame.run(1);
    expect(frame.trueForce).toBe(0);
  });
  it('splits at its load, holds the peak, and carries next to nothing then', () => {
    const { frame, readings } = pumped(0.8, 14);
    expect(readings.at(-1)?.peak).toBeCloseTo(11.3, 1);
    expect(frame.trueForce).toBeLessThan(0.2);
    frame.resetPeak();
    frame.release();
    expect(frame.run(0.1).at(-1)).toMatchObject({ peak: expect.closeTo(0, 1), load: expect.closeTo(0, 1) });
  });
});

describe('the watch over it', () => {
  const watched = (readings: ReturnType<typeof pumped>['readings']) => {
    const watch = new HandPumpWatch(0.2);
    for (const { t, load, peak } of readings) watch.take({ seconds: t, load, peak });
    return watch.view();
  };
  it('counts from the first load to the split, and takes the peak that is held', () => {
    const { readings } = pumped(0.8, 14);
    const { phase, seconds, peak, strokes } = watched(readings);
    const first = readings.find(({ load }) => load >= 0.2)?.t ?? 0;
    const top = readings.reduce((best, each) => (each.load > best.load ? each : best));
    expect(phase).toBe('broken');
    expect(seconds).toBe(Math.floor((top.t - first) * 10 + 1e-6) / 10);
    expect(peak).toBeCloseTo(11.3, 1);
    // It took about ten strokes of 1.2 kN; the one it split in counts too.
    expect(strokes).toBeGreaterThanOrEqual(8);
    expect(strokes).toBeLessThanOrEqual(11);
  });
  it('does not take what settles between two strokes for a split, whatever the pace', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.45, max: 4, noNaN: true }),
        fc.double({ min: 0.4, max: 3, noNaN: true }),
        fc.integer({ min: 1, max: 999 }),
        (every, stroke, seed) => {
          const { readings } = pumped(every, 10, { splits: 1000, stroke, slack: 0 }, seed);
          expect(watched(readings).phase).toBe('loading');
        },
      ),
      { numRuns: 25 },
    );
  });
  it('waits while nothing is loaded', () => {
    expect(watched(new HandPumpedFrame(1).run(2))).toEqual({
      phase: 'waiting',
      seconds: 0,
      peak: 0,
      strokes: 0,
    });
  });
});
