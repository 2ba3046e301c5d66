import fc from 'fast-check';
import psychrolib from 'psychrolib';
import { beforeAll, describe, expect, it } from 'vitest';
import { dewPoint, humidityAt, saturation, vapour } from './air';
import { changeOf, slope } from './change';
import { type DayReading, forecast } from './forecast';
import { humidityOver } from './salts';

const celsius = (fahrenheit: number): number => (fahrenheit - 32) / 1.8;
beforeAll(() => psychrolib.SetUnitSystem(psychrolib.SI));

describe('water in air', () => {
  // Steam tables: 23.39 hPa at 20 °C, 31.69 at 25 °C (from memory).
  it.each([
    [20, 23.39],
    [25, 31.69],
    [0, 6.11],
  ])('is saturated at %d °C at %d hPa', (at, hPa) => {
    expect(saturation(at) / hPa).toBeCloseTo(1, 2);
  });
  it('is what the reference library for moist air makes of it', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 50 }), fc.integer({ min: 5, max: 99 }), (at, humidity) => {
        // ASHRAE's formula and that of the WMO lie half a percent apart at most in this range.
        expect(
          vapour(at, humidity) / (psychrolib.GetVapPresFromRelHum(at, humidity / 100) / 100),
        ).toBeCloseTo(1, 2);
        const point = dewPoint(at, humidity) ?? 0;
        if (point > 1)
          expect(Math.abs(point - psychrolib.GetTDewPointFromRelHum(at, humidity / 100))).toBeLessThan(0.1);
        expect(vapour(point, 100)).toBeCloseTo(vapour(at, humidity), 9);
        expect(humidityAt(point, at, humidity)).toBeCloseTo(100, 9);
      }),
    );
    expect(dewPoint(20, 0)).toBeUndefined();
  });
  // Handbook chart: air of 75 °F and 50 % has its dew point at about 55 °F (from memory).
  it('of 75 °F and 50 % condenses at 55 °F, and over a cool slab before', () => {
    expect((dewPoint(celsius(75), 50) ?? 0) * 1.8 + 32).toBeCloseTo(55.1, 1);
    expect(humidityAt(celsius(70), celsius(82), 70)).toBeCloseTo(104, 0);
  });
});

describe('a change in a slab', () => {
  it('rises a little with the temperature, as no free air does', () => {
    // Published coefficient (from memory), percent for 1 °C.
    expect([70, 80, 85, 90, 95].map((humidity) => Number(slope(humidity).toFixed(2)))).toEqual([
      0.52, 0.48, 0.43, 0.35, 0.21,
    ]);
  });
  // Worked by hand from the two formulas.
  it.each([
    [83, 64, 88, 79, 86.78, 'no change shown'],
    [84, 70, 91, 71, 84.25, 'wetter'],
    [90, 78, 84, 60, 86.53, 'no change shown'],
    [86, 72, 83, 72, 86, 'no change shown'],
    [86, 72, 82, 72, 86, 'drier'],
  ] as const)('from %d %% at %d °F to %d %% at %d °F: expected %d, %s', (h1, t1, h2, t2, expected, says) => {
    const change = changeOf(
      { humidity: h1, celsius: celsius(t1) },
      { humidity: h2, celsius: celsius(t2) },
      3,
    );
    expect(change.expected).toBeCloseTo(expected, 1);
    expect(change.says).toBe(says);
  });
  it('tells how far the vapour pressure rose though its water did not', () => {
    const change = changeOf(
      { humidity: 83, celsius: celsius(64) },
      { humidity: 88, celsius: celsius(79) },
      3,
    );
    expect([change.before, change.after].map((hPa) => hPa.toFixed(2))).toEqual(['16.85', '29.70']);
    expect(change.pressure).toBeCloseTo(76, 0);
  });
});

const RULES = { readings: 4, span: 21, apart: 3, scatter: 1 };
const hole = (days: readonly number[], humidities: readonly number[], at = 22): DayReading[] =>
  days.map((day, place) => ({ day, humidity: humidities[place] ?? 0, celsius: at }));

describe('when a hole is dry', () => {
  // Worked by hand: slope -0.11429 a day, pivot 90.5 % on day 21, t 1.886; over the root of time day 80.
  it('is told as three dates, never one', () => {
    const found = forecast(hole([0, 14, 28, 42], [93, 91, 90, 88]), 85, 30, RULES);
    if (!found.dated) throw new Error(found.why);
    expect([found.earliest, found.central, found.latest].map((day) => Math.round(day ?? 0))).toEqual([
      53, 69, 123,
    ]);
    const other = forecast(hole([0, 10, 20, 30, 40], [96, 94, 91, 90, 88]), 85, 20, RULES);
    if (!other.dated) throw new Error(other.why);
    expect([other.earliest, other.central, other.latest].map((day) => Math.round(day ?? 0))).toEqual([
      47, 54, 66,
    ]);
  });
  it.each([
    ['4 readings are needed for a date', [0, 14, 28], [92, 91, 90], 22],
    ['the readings span 14 of 21 days', [0, 5, 9, 14], [93, 92, 91, 90], 22],
    ['it is there already', [0, 14, 28, 42], [90, 88, 86, 85], 22],
    ['drying is not established', [0, 14, 28, 42], [90, 90, 91, 91], 22],
  ] as const)('is not told where %s', (why, days, humidities, at) => {
    expect(forecast(hole(days, humidities, at), 85, 0, RULES)).toEqual({ dated: false, why });
  });
  it('is not told from readings at several temperatures, and not as a latest far out', () => {
    const warm = hole([0, 14, 28, 42], [93, 91, 90, 88]).map((each, place) => ({
      ...each,
      celsius: 18 + 2 * place,
    }));
    expect(forecast(warm, 85, 0, RULES)).toEqual({
      dated: false,
      why: 'the slab was not at one temperature',
    });
    const slowly = forecast(hole([0, 30, 60, 90], [96, 94, 93, 92]), 75, 30, RULES);
    expect(slowly).toMatchObject({ dated: true, latest: null });
  });
});

describe('salts that a probe is checked over', () => {
  // Fixed points of saturated salts, 1977 (from memory).
  it.each([
    ['nacl', 25, 75.3],
    ['kcl', 20, 85.1],
    ['kcl', 27.5, 83.95],
    ['k2so4', 30, 97],
    ['mgcl2', 22.5, 32.95],
  ] as const)('%s at %d °C has %d %%', (salt, at, percent) => {
    expect(humidityOver(salt, at)).toBeCloseTo(percent, 9);
  });
});
