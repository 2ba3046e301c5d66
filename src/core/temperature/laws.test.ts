import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  between,
  compareSensors,
  difference,
  excursion,
  greatestDrop,
  indexAt,
  indexCurve,
  type MaturityFunction,
  meanOver,
  plainRecord,
  type Series,
  segmentWorth,
  temperatureAt,
  worthOf,
} from '.';

const FUNCTIONS: readonly MaturityFunction[] = [
  { kind: 'nurse-saul', datum: 0 },
  { kind: 'nurse-saul', datum: -10 },
  { kind: 'equivalent-age', q: 5000, reference: 20 },
  { kind: 'adjusted-age' },
];
const how = fc.constantFrom(...FUNCTIONS);
const celsius = fc.double({ min: -15, max: 80, noNaN: true });
/** A series of rows up to an hour apart, without a gap. */
const series: fc.Arbitrary<Series> = fc
  .array(fc.tuple(fc.integer({ min: 1, max: 60 }), celsius), { minLength: 3, maxLength: 60 })
  .map((rows) => {
    let at = 0;
    const hours = rows.map(([minutes]) => {
      at += minutes / 60;
      return at;
    });
    return { hours, celsius: rows.map(([, value]) => value), gaps: [] };
  });
const ends = (own: Series): readonly [number, number] => [own.hours[0] ?? 0, own.hours.at(-1) ?? 0];

describe('a maturity index', () => {
  it('never falls, and a decision never counts more than the best estimate', () => {
    fc.assert(
      fc.property(series, how, (own, by) => {
        const { best, decision } = indexCurve(own, by, own.hours[0] ?? 0);
        for (let place = 1; place < best.length; place += 1) {
          expect(best[place]).toBeGreaterThanOrEqual(best[place - 1] ?? 0);
          expect(decision[place]).toBeLessThanOrEqual((best[place] ?? 0) + 1e-9);
        }
      }),
    );
  });

  it('of temperature times time is the same with a row more on a straight line', () => {
    fc.assert(
      fc.property(celsius, celsius, fc.double({ min: 0.05, max: 0.95, noNaN: true }), (a, b, share) => {
        const by = FUNCTIONS[0] as MaturityFunction;
        const middle = a + (b - a) * share;
        const parts = segmentWorth(by, a, middle, share) + segmentWorth(by, middle, b, 1 - share);
        expect(parts).toBeCloseTo(segmentWorth(by, a, b, 1), 6);
      }),
    );
  });

  it('is worth more the warmer it is', () => {
    fc.assert(
      fc.property(celsius, fc.double({ min: 0.1, max: 20, noNaN: true }), how, (cold, more, by) => {
        expect(worthOf(by, cold + more)).toBeGreaterThanOrEqual(worthOf(by, cold));
      }),
    );
  });

  it('may be told at any hour, between what it was before and after', () => {
    fc.assert(
      fc.property(series, how, fc.double({ min: 0, max: 1, noNaN: true }), (own, by, share) => {
        const [from, to] = ends(own);
        const curve = indexCurve(own, by, from);
        // A share of one may come out a rounding beyond the end, where there is no record any more.
        const found = indexAt(curve, Math.min(to, from + (to - from) * share));
        expect(found?.best).toBeGreaterThanOrEqual(-1e-9);
        expect(found?.best).toBeLessThanOrEqual((curve.best.at(-1) ?? 0) + 1e-9);
      }),
    );
  });

  it('a gap never makes a decision larger than readings would', () => {
    fc.assert(
      fc.property(celsius, celsius, fc.integer({ min: 3, max: 40 }), how, (a, b, hours, by) => {
        const gap: Series = { hours: [0, hours], celsius: [a, b], gaps: [0] };
        const whole: Series = { ...gap, gaps: [] };
        const last = (own: Series): number => indexCurve(own, by, 0).decision.at(-1) ?? 0;
        // A curve bent upwards may be worth less at the mean of a line than the line is; it is never less than its colder end.
        const cold = worthOf(by, Math.min(a, b)) * hours;
        expect(last(gap)).toBeLessThanOrEqual(Math.max(last(whole), cold) + 1e-6);
      }),
    );
  });
});

describe('parts of a series', () => {
  it('have its temperatures, and its mean lies between its extremes', () => {
    fc.assert(
      fc.property(
        series,
        fc.double({ min: 0, max: 0.4, noNaN: true }),
        fc.double({ min: 0.6, max: 1, noNaN: true }),
        (own, a, b) => {
          const [from, to] = ends(own);
          const [first, last] = [from + (to - from) * a, from + (to - from) * b];
          const part = between(own, first, last);
          expect(part.hours[0]).toBeCloseTo(first, 9);
          expect(part.hours.at(-1)).toBeCloseTo(last, 9);
          for (const [place, at] of part.hours.entries())
            expect(part.celsius[place]).toBeCloseTo(temperatureAt(own, at) ?? Number.NaN, 6);
          const mean = meanOver(part) ?? Number.NaN;
          expect(mean).toBeGreaterThanOrEqual(Math.min(...part.celsius) - 1e-9);
          expect(mean).toBeLessThanOrEqual(Math.max(...part.celsius) + 1e-9);
        },
      ),
    );
  });

  it('hours above, below and within a range are all of its hours', () => {
    fc.assert(
      fc.property(series, celsius, fc.double({ min: 1, max: 30, noNaN: true }), (own, low, wide) => {
        const [from, to] = ends(own);
        const out = excursion(own, { low, high: low + wide }, 2);
        expect(out.above + out.below).toBeLessThanOrEqual(to - from + 1e-9);
        expect(out.unknown).toBe(0);
        const never = excursion(own, { low: -100, high: 200 }, 2);
        expect([never.above, never.below, never.first]).toEqual([0, 0, null]);
        const always = excursion(own, { high: -100 }, 2);
        expect(always.above).toBeCloseTo(to - from, 9);
        expect(always.degreesAbove).toBeCloseTo(((meanOver(own) ?? 0) + 100) * (to - from), 4);
      }),
    );
  });

  it('one place over another, and the other over the one, are opposite', () => {
    fc.assert(
      fc.property(series, fc.double({ min: -10, max: 10, noNaN: true }), (own, off) => {
        const other = { ...own, celsius: own.celsius.map((each) => each - off) };
        const found = difference(own, other);
        for (const value of found?.celsius ?? []) expect(value).toBeCloseTo(off, 6);
        expect(difference(other, own)?.greatest.celsius).toBeCloseTo(-off, 6);
      }),
    );
  });

  it('falls by no more than from its highest to its lowest', () => {
    fc.assert(
      fc.property(series, fc.double({ min: 0.1, max: 3, noNaN: true }), (own, over) => {
        const drop = greatestDrop(own, over);
        if (drop)
          expect(drop.celsius).toBeLessThanOrEqual(
            Math.max(...own.celsius) - Math.min(...own.celsius) + 1e-9,
          );
      }),
    );
  });
});

describe('a record', () => {
  it('whatever stands in it, comes to sensors of rising hours and plain numbers', () => {
    fc.assert(
      fc.property(
        fc.array(fc.oneof(celsius, fc.constantFrom(Number.NaN, -127, 85, 1e9, -1e9)), {
          minLength: 1,
          maxLength: 80,
        }),
        (values) => {
          const record = plainRecord(
            values.map((_, row) => row / 2),
            { one: values },
          );
          for (const channel of record.channels) {
            expect(channel.rows + channel.removed).toBe(values.length);
            for (const [place, at] of channel.hours.entries()) {
              expect(Number.isFinite(channel.celsius[place])).toBe(true);
              if (place > 0) expect(at).toBeGreaterThan(channel.hours[place - 1] ?? 0);
            }
            expect(channel.highest.celsius).toBeGreaterThanOrEqual(channel.lowest.celsius);
            expect(Math.max(...channel.celsius)).toBeLessThanOrEqual(95);
          }
        },
      ),
    );
  });

  it('laid over itself, shifted and lifted, comes back as it was shifted and lifted', () => {
    const hours = Array.from({ length: 200 }, (_, row) => row / 4);
    const hump = (t: number): number =>
      15 + 14 * (t / 11) ** 2 * Math.exp(2 * (1 - t / 11)) + Math.sin(t / 3);
    const one: Series = { hours, celsius: hours.map(hump), gaps: [] };
    fc.assert(
      fc.property(
        fc.double({ min: -4, max: 4, noNaN: true }),
        fc.double({ min: -5, max: 5, noNaN: true }),
        (shift, lift) => {
          const other: Series = {
            hours: hours.map((at) => at + shift),
            celsius: one.celsius.map((each) => each + lift),
            gaps: [],
          };
          const found = compareSensors(one, other);
          expect(found?.ahead).toBeCloseTo(shift, 1);
          expect(found?.bias).toBeCloseTo(lift, 1);
          const back = compareSensors(other, one);
          expect(back?.ahead).toBeCloseTo(-shift, 1);
        },
      ),
      { numRuns: 25 },
    );
  });
});
