import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bendOfLog } from '../signals';
import { type Behaviour, FRAME_CASES, type FrameCase, placedBeam } from './beam-law';
import { BendWatch } from './bend-watch';
import { type Drive, DrivenFrame, type PlacedBeam } from './driven-frame';
import type { PressReading } from './reading';

const ON: Drive = { way: 'load', speed: 1, fast: false, guard: true };
const caseOf = (id: string): FrameCase => FRAME_CASES.find((each) => each.id === id) as FrameCase;
const beam = (behaves: Behaviour, id = 'normal', own = false, end: number | null = 6): PlacedBeam =>
  placedBeam({ force: 24, behaves, own, end }, caseOf(id), 11);

/** A specimen driven from just clear of it on, until it stops or so many seconds have gone by. */
function driven(specimen: PlacedBeam, drive: Partial<Drive> = {}, seconds = 420) {
  const frame = new DrivenFrame(5);
  frame.place(specimen);
  const readings: PressReading[] = [];
  frame.drive = { ...ON, fast: true };
  readings.push(...frame.run(10));
  frame.drive = { ...ON, ...drive };
  readings.push(...frame.run(seconds));
  return { frame, readings };
}
const found = (readings: readonly PressReading[], toe = true, edges: readonly number[] = []) =>
  bendOfLog(
    {
      load: Float64Array.from(readings, ({ load }) => load),
      position: Float64Array.from(readings, ({ position }) => position),
      seconds: Float64Array.from(readings, ({ t }) => t),
    },
    'kN',
    { toe, at: [], edges },
  );
const most = (readings: readonly PressReading[]): number => Math.max(...readings.map(({ load }) => load));

// The frame against the law that was put into it, and against the analysis, which knows nothing of it. Our own model.
describe('a frame driven by its displacement', () => {
  it('comes down fast until it is just clear', () => {
    const frame = new DrivenFrame(1);
    frame.place(beam('snaps'));
    frame.drive = { ...ON, fast: true };
    const last = frame.run(20).at(-1);
    expect(last?.pump).toBe(false);
    expect(last?.position ?? 0).toBeGreaterThan(5.94);
    expect(frame.trueForce).toBe(0);
  });
  it('does not move with its guard open', () => {
    const frame = new DrivenFrame(1);
    frame.place(beam('snaps'));
    frame.drive = { ...ON, fast: true, guard: false };
    expect(frame.run(5).every(({ position, pump }) => position === 0 && !pump)).toBe(true);
  });
  it('goes at the speed it is set to', () => {
    for (const speed of [0.5, 1, 2]) {
      const record = found(driven(beam('hardens'), { speed }, 120).readings);
      expect(record?.speeds?.[0]).toBeCloseTo(speed, 1);
    }
  });
  it('lets a plain beam snap, and the record finds what was put in', () => {
    const specimen = beam('snaps', 'normal', false, null);
    const { readings } = driven(specimen, {}, 60);
    const record = found(readings);
    expect(most(readings)).toBeCloseTo(specimen.law[1]?.[1] ?? 0, 1);
    expect(record?.brittle).toBe(true);
    // Beam and frame give way one after the other: 1/k = 1/62 + 0.04/F.
    const force = specimen.law[1]?.[1] ?? 1;
    expect(record?.stiffness?.k).toBeCloseTo(1000 / (1 / 62 + 0.04 / force), -3);
  });
  it('takes one with bars on beyond its crack, and back along a straight line', () => {
    const specimen = beam('hardens');
    const { frame, readings } = driven(specimen, { endAt: 4 });
    const record = found(readings);
    expect(readings.at(-1)?.stop).toBe('set');
    expect(record?.firstCrack?.by).toBe('drop');
    expect(record?.firstCrack?.force ?? 0).toBeCloseTo(1000 * (specimen.law[1]?.[1] ?? 0), -3);
    expect(record?.peak.force ?? 0).toBeGreaterThan(1.2 * (record?.firstCrack?.force ?? 0));
    const before = frame.trueForce;
    frame.drive = { ...ON, way: 'back' };
    frame.run(6);
    expect(frame.trueForce).toBeLessThan(before - 1);
    // Driven on again it comes back to where it was left.
    frame.drive = ON;
    frame.run(7);
    expect(frame.trueForce).toBeCloseTo(before, 0);
  });
  it('stops by itself on a fall, which cuts the record off', () => {
    const { readings } = driven(beam('hardens'), { dropAt: 0.2 });
    expect(readings.at(-1)?.stop).toBe('drop');
    expect(readings.at(-1)?.pump).toBe(false);
    expect(found(readings)?.end ?? 9).toBeLessThan(1);
    // Set to four fifths the same beam is carried on.
    expect(driven(beam('hardens'), { dropAt: 0.8 }).readings.at(-1)?.stop).toBeUndefined();
  });
  it('a softening beam with a transducer on it does not jump', () => {
    const { readings } = driven(beam('softens', 'normal', true, 3), { speed: 0.2, endAt: 3 }, 1100);
    const record = found(readings, false, [0.5]);
    expect(record?.brittle).toBe(false);
    expect(record?.end).toBeGreaterThanOrEqual(3);
    expect(record?.speeds?.map((each) => Number(each?.toFixed(2)))).toEqual([0.2, 0.2]);
  });
  it('a seat that slips is told from a crack', () => {
    const specimen = beam('snaps', 'slip', false, null);
    const record = found(driven(specimen, {}, 60).readings);
    expect(record?.drops.map(({ kind }) => kind)).toEqual(['seating', 'crack']);
    expect(record?.firstCrack?.force ?? 0).toBeCloseTo(1000 * (specimen.law[1]?.[1] ?? 0), -3);
  });
  it('pulls as it bends: the travel is counted the other way', () => {
    const { readings } = driven({ ...beam('snaps', 'normal', false, null), pulled: true }, {}, 60);
    expect(Math.min(...readings.map(({ position }) => position))).toBeLessThan(-0.3);
    expect(found(readings)?.peak.force).toBeCloseTo(1000 * most(readings), -2);
  });
  it('gives the same lines for the same seed and orders, and never less than nothing', () => {
    fc.assert(
      fc.property(
        fc.constantFrom<Behaviour>('snaps', 'softens', 'hardens'),
        fc.constantFrom(...FRAME_CASES.map(({ id }) => id)),
        fc.double({ min: 0.3, max: 20, noNaN: true }),
        (behaves, id, speed) => {
          const once = driven(beam(behaves, id), { speed }, 20).readings;
          expect(driven(beam(behaves, id), { speed }, 20).readings).toEqual(once);
          for (const { load } of once) expect(load).toBeGreaterThan(-0.05);
        },
      ),
      { numRuns: 8 },
    );
  });
});

describe('a bend that is watched', () => {
  const watched = (readings: readonly PressReading[], over: { own?: boolean; end?: number | null } = {}) => {
    const watch = new BendWatch({
      expected: 24,
      contact: 0.05,
      own: over.own ?? false,
      sections: [{ to: null, low: 0.95, high: 1.05 }],
      end: over.end === undefined ? 6 : over.end,
      most: 100,
    });
    const phases: string[] = [];
    for (const { t, load, position, pump, stop } of readings) {
      watch.take({ seconds: t, load, position, running: pump, stop });
      const { phase } = watch.view();
      if (phases.at(-1) !== phase) phases.push(phase);
    }
    return { view: watch.view(), phases };
  };
  it('of a plain beam: seating, rising, through', () => {
    const { phases, view } = watched(driven(beam('snaps', 'normal', false, null), {}, 40).readings, {
      end: null,
    });
    expect(phases[0]).toBe('waiting');
    expect(phases).toContain('rising');
    expect(phases.at(-1)).toBe('through');
    expect(view.crack?.load ?? 0).toBeCloseTo(view.peak, 0);
  });
  it('of one with bars: its crack is called, and the end that was asked for', () => {
    const { phases, view } = watched(driven(beam('hardens', 'normal', false, 5), { endAt: 6 }).readings, {
      end: 5,
    });
    expect(phases).toContain('cracked');
    expect(phases.at(-1)).toBe('far enough');
    expect(view.crack?.load ?? 0).toBeLessThan(view.peak);
    expect(view.stop).toBe('set');
  });
  it('the speed in its band, too fast, and while it stands none', () => {
    const at = (speed: number) => watched(driven(beam('hardens'), { speed }, 20).readings).view;
    expect(at(1).off).toBe(0);
    expect(at(1.4).off).toBe(1);
    expect(at(0.5).off).toBe(-1);
    expect(watched(driven(beam('hardens'), { dropAt: 0.2 }).readings).view.speed).toBeNull();
  });
  it('a slip of the seat is no crack', () => {
    const early = driven(beam('hardens', 'slip'), {}, 14).readings;
    expect(watched(early).view.crack).toBeNull();
  });
  it('readings whose time stands still are left aside', () => {
    const readings = driven(beam('snaps'), {}, 5).readings;
    const doubled = readings.flatMap((each) => [each, { ...each, load: 99 }]);
    expect(watched(doubled).view.peak).toBeLessThan(50);
  });
});
