import fc from 'fast-check';
import { linearRegression, linearRegressionLine, rSquared } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { Chance } from '../../statistics';
import { bendOfLog } from '.';
import { cleaned, largestAt, noiseOf } from './clean';
import { dropsIn } from './drops';
import { lineThrough } from './line';

const record = (count: number, each: number, law: (d: number, index: number) => number) => {
  const displacement = Float64Array.from({ length: count }, (_, index) => index * each);
  return { displacement, force: displacement.map(law) };
};

describe('the line through samples', () => {
  it('is that of a reference library, wherever it begins', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(fc.double({ min: 0, max: 5, noNaN: true }), fc.integer({ min: -9000, max: 90_000 })),
          {
            minLength: 3,
            maxLength: 60,
          },
        ),
        (rows) => {
          const sorted = rows.toSorted(([a], [b]) => a - b);
          const [least = 0, most = 0] = [sorted[0]?.[0], sorted.at(-1)?.[0]];
          fc.pre(most - least > 0.05);
          const own = lineThrough(
            {
              displacement: Float64Array.from(sorted, ([d]) => d),
              force: Float64Array.from(sorted, ([, f]) => f),
            },
            0,
            sorted.length - 1,
          );
          const reference = linearRegression(sorted.map(([d, f]) => [d, f]));
          const scale = Math.max(1, Math.abs(reference.m), Math.abs(reference.b));
          expect(Math.abs((own?.k ?? Number.NaN) - reference.m) / scale).toBeLessThan(1e-6);
          expect(Math.abs((own?.c ?? Number.NaN) - reference.b) / scale).toBeLessThan(1e-6);
          expect(own?.count).toBe(sorted.length);
          if (new Set(sorted.map(([, f]) => f)).size > 1)
            expect(own?.r2).toBeCloseTo(
              rSquared(
                sorted.map(([d, f]) => [d, f]),
                linearRegressionLine(reference),
              ),
              5,
            );
        },
      ),
    );
  });
  it('is none through one sample, or samples at one place', () => {
    const same = { displacement: Float64Array.of(1, 1, 1), force: Float64Array.of(1, 2, 3) };
    expect(lineThrough(same, 0, 2)).toBeNull();
    expect(
      lineThrough(
        record(5, 0.1, (d) => d),
        2,
        2,
      ),
    ).toBeNull();
  });
  it('has no error where all lie on it, and takes only those that were asked for', () => {
    const bent = record(200, 0.01, (d) => (d < 1 ? 500 * d : 500));
    expect(lineThrough(bent, 0, 99)).toMatchObject({ count: 100 });
    expect(lineThrough(bent, 0, 99)?.k).toBeCloseTo(500, 8);
    expect(lineThrough(bent, 0, 99)?.error).toBeCloseTo(0, 6);
    expect(lineThrough(bent, 100, 199)?.k).toBeCloseTo(0, 8);
  });
});

describe('what falls suddenly', () => {
  const kinds = (law: (d: number) => number, to = 2) => {
    const own = record(Math.round(to * 500), 1 / 500, law);
    return dropsIn(own, largestAt(own.force), 1).map(({ kind, peak, trough }) => [
      kind,
      Number(own.displacement[peak]?.toFixed(2)),
      Number(own.displacement[trough]?.toFixed(2)),
    ]);
  };
  const rising = (d: number): number => 10_000 * d;
  it('is nothing in a record that only rises', () => {
    expect(kinds(rising)).toEqual([]);
  });
  it('is a slip of the seat where it goes on as steeply as before, or comes early', () => {
    expect(kinds((d) => rising(d) - (d >= 1 ? 800 : 0))).toEqual([['seating', 1, 1]]);
    expect(kinds((d) => (d < 0.15 ? rising(d) : 0.5 * rising(d)))).toEqual([['seating', 0.15, 0.15]]);
  });
  it('is a crack where it does not', () => {
    expect(kinds((d) => (d < 1 ? rising(d) : 8000 + 4000 * (d - 1)), 3)).toEqual([['crack', 1, 1]]);
  });
  it('is told apart behind the peak', () => {
    const saw = (d: number): number => (d < 1 ? rising(d) : 9000 - 1000 * (d - 1) - (d >= 1.5 ? 1500 : 0));
    expect(kinds(saw).map(([kind]) => kind)).toEqual(['crack', 'after the peak']);
  });
  it('is none where it gives way by degrees, or by less than two percent', () => {
    expect(kinds((d) => (d < 1 ? rising(d) : 10_000 - 1000 * (d - 1)))).toEqual([]);
    expect(kinds((d) => rising(d) - (d >= 1 ? 150 : 0))).toEqual([]);
  });
  it('is none of a beam that is hardly touched', () => {
    expect(kinds((d) => (d < 0.02 ? 100 : d < 0.04 ? 20 : rising(d)))).toEqual([]);
  });
});

describe('a record as it came', () => {
  const straight = (d: number): number => (d < 0.1 ? 0 : 9000 * (d - 0.1));
  it('has the noise that was put on it, whatever its slope', () => {
    for (const sigma of [5, 40]) {
      const chance = Chance.settled(17);
      const own = record(3000, 0.001, (d) => 9000 * d + chance.normal(0, sigma));
      const noise = noiseOf(own.force, own.force.length - 1);
      expect(noise / sigma).toBeGreaterThan(0.9);
      expect(noise / sigma).toBeLessThan(1.1);
    }
  });
  it('has no noise of too few samples', () => {
    expect(noiseOf(Float64Array.of(1, 5, 2), 2)).toBe(0);
  });
  it('is zeroed by what stood before contact, and where there is none it is not', () => {
    const offset = cleaned(record(600, 0.001, (d) => straight(d) + 60));
    expect(offset.force[0]).toBeCloseTo(0, 8);
    expect(offset.atZero).toBe(true);
    const loaded = cleaned(record(600, 0.001, (d) => 2000 + 9000 * d));
    expect(loaded.force[0]).toBeCloseTo(2000, 8);
    expect(loaded.atZero).toBe(false);
  });
  it('loses a row that jumped by itself, up or down, and keeps a fall over several rows', () => {
    const jumped = cleaned(
      record(600, 0.001, (d, index) => straight(d) + (index === 300 ? 2500 : index === 450 ? -2500 : 0)),
    );
    expect(jumped.spikes.map(({ index }) => index)).toEqual([300, 450]);
    expect(jumped.force[300]).toBeCloseTo(straight(0.3), -2);
    const fell = cleaned(record(600, 0.001, (d) => straight(d) - (d >= 0.4 ? 1500 : 0)));
    expect(fell.spikes).toEqual([]);
  });
  it('leaves what it was given as it was', () => {
    const own = record(600, 0.001, (d, index) => -straight(d) - (index === 300 ? 2500 : 0));
    const before = [...own.force];
    expect(cleaned(own).force[599]).toBeGreaterThan(0);
    expect([...own.force]).toEqual(before);
  });
});

describe('a log over its travel', () => {
  const log = (position: Float64Array, times = 1) => ({
    load: position.map((_, index) => (index < 500 ? index * 8 * times : 100 * times)),
    position,
  });
  const travel = Float64Array.from({ length: 600 }, (_, index) => index / 1000);
  const asked = { toe: true, at: [] } as const;
  it('in any unit of force is the same in newtons', () => {
    const one = bendOfLog(log(travel), 'N', asked);
    const other = bendOfLog(log(travel, 0.001), 'kN', asked);
    expect(other?.peak.force).toBeCloseTo(one?.peak.force ?? 0, 6);
    expect(one?.peak.force).toBeCloseTo(499 * 8, 6);
    expect(one?.stiffness?.k).toBeCloseTo(8000, 3);
  });
  it('that counts down, or from somewhere else, is turned round', () => {
    const one = bendOfLog(log(travel), 'N', asked);
    for (const other of [travel.map((at) => 40 - at), travel.map((at) => at - 7)]) {
      const found = bendOfLog(log(other), 'N', asked);
      expect(found?.stiffness?.k).toBeCloseTo(one?.stiffness?.k ?? 0, 3);
      expect(found?.peak.at).toBeCloseTo(one?.peak.at ?? 0, 6);
    }
  });
  it('leaves out rows that have no travel', () => {
    const gaps = travel.map((at, index) => (index % 7 === 3 ? Number.NaN : at));
    const found = bendOfLog(log(gaps), 'N', asked);
    expect(found?.rows).toBe(gaps.filter(Number.isFinite).length);
    expect(found?.stiffness?.k).toBeCloseTo(8000, 3);
  });
  it('without travel says nothing', () => {
    expect(bendOfLog({ load: Float64Array.of(1, 2, 3) }, 'N', asked)).toBeUndefined();
    expect(bendOfLog(log(new Float64Array(600).fill(Number.NaN)), 'N', asked)).toBeUndefined();
  });
  it('keeps a curve that a page can draw, with its peak in it', () => {
    const found = bendOfLog(log(travel), 'N', asked);
    const curve = found?.curve ?? [];
    expect(curve.length).toBeLessThanOrEqual(260);
    expect(Math.max(...curve.map(([, force]) => force))).toBeCloseTo(499 * 8, 3);
  });
});

describe('what lies before the test', () => {
  const law = (d: number): number => (d < 0.05 ? 0 : d < 0.4 ? 60_000 * (d - 0.05) : 400);
  const test = record(400, 1 / 600, law);
  const told = (before: readonly (readonly [mm: number, newtons: number])[], way: 1 | -1 = 1) =>
    bendOfLog(
      {
        load: Float64Array.from([...before.map(([, newtons]) => newtons), ...test.force]),
        position: Float64Array.from([
          ...before.map(([mm]) => way * mm),
          ...test.displacement.map((d) => way * d),
        ]),
      },
      'N',
      { toe: true, at: [] },
    );
  const alone = told([]);
  it('the way back of the crosshead, with the beam before still in it, is none of it', () => {
    const back = Array.from({ length: 60 }, (_, row): readonly [number, number] => [
      15 - row / 4,
      Math.max(0, 9000 - 900 * row),
    ]);
    for (const way of [1, -1] as const) {
      const found = told(back, way);
      expect(found?.peak).toEqual(alone?.peak);
      expect(found?.stiffness?.k).toBeCloseTo(alone?.stiffness?.k ?? 0, 6);
    }
    // As it is, without what was moved before.
    expect(alone?.peak.force).toBeCloseTo(20_900, -2);
  });
  it('a tremble of the travel is no move, and a record without any is left whole', () => {
    const still = Array.from({ length: 60 }, (_, row): readonly [number, number] => [0.02 * (row % 2), 0]);
    expect(told(still)?.rows).toBe(460);
    expect(alone?.rows).toBe(400);
  });
});
