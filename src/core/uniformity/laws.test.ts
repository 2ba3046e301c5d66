import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Limits } from '../limits';
import { exact } from '../quantity';
import { standardDeviation } from '../statistics';
import { chartRules, chartsOf, firstSignals, withStep } from './charts';
import { scatterOf } from './scatter';
import { type SourceResult, seriesOfSources } from './series';

const limits = new Limits();
const rules = chartRules(limits);
const strength = fc.integer({ min: 3000, max: 7000 });
const series = fc.array(strength, { minLength: 16, maxLength: 40 });
const drawn = (values: readonly number[], out?: ReadonlySet<number>) => chartsOf(values, rules, out);
const near = (one: number | undefined, other: number | undefined) =>
  expect(one ?? Number.NaN).toBeCloseTo(other ?? Number.NaN, 5);

describe('charts, whatever the results', () => {
  it('move with them and change nothing else when all are higher by so much', () => {
    fc.assert(
      fc.property(series, fc.integer({ min: -500, max: 500 }), (values, by) => {
        const [one, two] = [drawn(values), drawn(values.map((value) => value + by))];
        if (!one || !two) return;
        near(two.centre, one.centre + by);
        near(two.deviation, one.deviation);
        near(two.five.high, one.five.high + by);
        for (const [at, point] of one.points.entries()) {
          near(two.points[at]?.weighted.value, point.weighted.value + by);
          near(two.points[at]?.sums.up, point.sums.up);
        }
      }),
      { numRuns: 40 },
    );
  });

  it('say the same of a strength in any unit', () => {
    fc.assert(
      fc.property(series, (values) => {
        const [psi, mpa] = [drawn(values), drawn(values.map((value) => value * 0.006894757))];
        if (!psi || !mpa) return;
        near(mpa.centre, psi.centre * 0.006894757);
        for (const [at, point] of psi.points.entries()) {
          near(mpa.points[at]?.sums.up, point.sums.up);
          near(mpa.points[at]?.sums.down, point.sums.down);
        }
      }),
      { numRuns: 40 },
    );
  });

  it('see a fall as they see a rise', () => {
    fc.assert(
      fc.property(series, (values) => {
        const [up, down] = [drawn(values), drawn(values.map((value) => 10_000 - value))];
        for (const [at, point] of up?.points.entries() ?? [])
          near(down?.points[at]?.sums.down, point.sums.up);
      }),
      { numRuns: 40 },
    );
  });

  it('say of a result what they said when it was the newest', () => {
    fc.assert(
      fc.property(series, fc.array(strength, { maxLength: 10 }), (values, later) => {
        const [then, now] = [drawn(values), drawn([...values, ...later])];
        expect(now?.points.slice(0, values.length)).toEqual(then?.points);
        expect(now?.until).toEqual(then?.until);
      }),
      { numRuns: 40 },
    );
  });

  it('make their baseline of exactly so many results, left-out ones passed over', () => {
    fc.assert(
      fc.property(series, fc.uniqueArray(fc.nat({ max: 12 }), { maxLength: 6 }), (values, left) => {
        const out = new Set(left);
        const charts = drawn(values, out);
        const kept = values.filter((_, at) => !out.has(at));
        const first = kept.slice(0, rules.baseline);
        if (!charts) {
          expect(first.length < rules.baseline || new Set(first).size === 1).toBe(true);
          return;
        }
        near(charts.centre, first.reduce((a, b) => a + b) / rules.baseline);
        const inside = [...Array(charts.until + 1).keys()].filter((at) => !out.has(at));
        expect(inside.length).toBe(rules.baseline);
      }),
      { numRuns: 60 },
    );
  });

  it('see a step that is large enough at its first result, and before it nothing new', () => {
    fc.assert(
      fc.property(series, fc.constantFrom(-1, 1), (values, side) => {
        const plain = drawn(values);
        if (!plain || values.length === rules.baseline) return;
        const from = plain.until + 1;
        const apart = Math.abs((values[from] ?? 0) - plain.centre) / plain.deviation;
        const stepped = drawn(withStep(values, from, side * (apart + 3.2), plain));
        expect(stepped && firstSignals(stepped, from).get('single')).toBe(from);
        expect(stepped?.points.slice(0, from)).toEqual(plain.points.slice(0, from));
      }),
      { numRuns: 40 },
    );
  });
});

describe('the scatter, whatever the results', () => {
  const pairs = fc.array(fc.tuple(strength, strength), { minLength: 10, maxLength: 14 });
  const told = (values: readonly number[], of: readonly (readonly [number, number])[]) =>
    scatterOf(
      values.map(exact),
      of.map(([first, second]) => [exact(first), exact(second)] as const),
      limits,
    );

  it('adds up: what is left and what is the laboratory’s make the whole, or a word says why not', () => {
    fc.assert(
      fc.property(series, pairs, (values, of) => {
        const found = told(values, of);
        near(found?.deviation.toNumber(), standardDeviation(values.map(exact))?.toNumber());
        if (!found?.corrected || found.remarks.length > 0) {
          expect(found?.remarks.length ?? 0).toBeGreaterThan(0);
          return;
        }
        near(
          Math.hypot(found.corrected.deviation.toNumber(), found.testing?.deviation.toNumber() ?? 0),
          found.deviation.toNumber(),
        );
        expect(found.corrected.deviation.toNumber()).toBeLessThanOrEqual(found.deviation.toNumber());
      }),
      { numRuns: 60 },
    );
  });

  it('does not hang on which of a pair came first', () => {
    fc.assert(
      fc.property(series, pairs, (values, of) => {
        const back = of.map(([first, second]) => [second, first] as const);
        expect(told(values, of)?.testing).toEqual(told(values, back)?.testing);
      }),
      { numRuns: 30 },
    );
  });
});

describe('series of sources, whatever comes in', () => {
  const arrival = fc.record({
    source: fc.constantFrom('A, silo 1', 'A, silo 2', 'B, silo 1'),
    lotId: fc.constantFrom('l1', 'l2', 'l3'),
    again: fc.boolean(),
    value: fc.option(strength.map(String)),
    step: fc.constantFrom('none', 'source-anew', 'source-out', 'source-in', 'source-looked'),
  });
  it('keep each result once, in its own source, in order, and none that is not there', () => {
    fc.assert(
      fc.property(fc.array(arrival, { maxLength: 60 }), (arrivals) => {
        const results = arrivals.map(
          ({ step, ...rest }, at): SourceResult => ({
            ...{ sampleId: `s${at}`, label: `S-${at}`, sampledAt: at, early: null, day: {}, ...rest },
            decisions: step === 'none' ? [] : [{ step, words: 'so it was' }],
          }),
        );
        const found = seriesOfSources(results, limits);
        const kept = found.flatMap(({ points }) => points.map(({ sampleId }) => sampleId)).toSorted();
        const wanted = results
          .filter(({ again, value }) => !again && value !== null)
          .map(({ sampleId }) => sampleId)
          .toSorted();
        expect(kept).toEqual(wanted);
        for (const { source, points, scatter } of found) {
          expect(points.every((point) => point.source === source)).toBe(true);
          expect(
            points.every((point, at) => at === 0 || point.sampledAt > (points[at - 1]?.sampledAt ?? 0)),
          ).toBe(true);
          // Only the first of a series may begin one.
          expect(points.slice(1).every(({ counts }) => counts !== 'anew')).toBe(true);
          expect(scatter?.count ?? 0).toBeLessThanOrEqual(points.length);
        }
      }),
      { numRuns: 80 },
    );
  });
});
