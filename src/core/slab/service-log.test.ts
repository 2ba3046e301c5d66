import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type AirRow, notProvenBy, readAir, serviceOf } from './service-log';

const HOUR = 3_600_000;
const START = Date.parse('2031-03-01T00:00:00Z');
// 72 ± 5 °F and 50 ± 10 %, an hour apart; our choice.
const rules = {
  celsius: (72 - 32) / 1.8,
  off: 5 / 1.8,
  humidity: 50,
  humidityOff: 10,
  gap: 2 * HOUR,
  out: 2 * HOUR,
};
/** An hourly record; what is said of an hour is its temperature in °F, null where nothing was read. */
const record = (hours: number, said: Readonly<Record<number, number | null>> = {}): AirRow[] =>
  Array.from({ length: hours + 1 }, (_, hour) => hour).flatMap((hour) => {
    const fahrenheit = hour in said ? said[hour] : 72;
    return fahrenheit === null || fahrenheit === undefined
      ? []
      : [{ at: START + hour * HOUR, celsius: (fahrenheit - 32) / 1.8, humidity: 50 }];
  });
const hours = (at: number | undefined): number | undefined =>
  at === undefined ? undefined : (at - START) / HOUR;
const outside = (from: number, count: number) =>
  Object.fromEntries(Array.from({ length: count }, (_, index) => [from + index, 66]));

describe('since when the air was held', () => {
  it('is the first reading where nothing was wrong', () => {
    const says = serviceOf(record(60), rules);
    expect([hours(says?.since), hours(says?.until), says?.breaks]).toEqual([0, 60, []]);
    expect(serviceOf([], rules)).toBeUndefined();
  });
  it('begins anew behind three hours outside, two are only said', () => {
    const three = serviceOf(record(80, outside(30, 3)), rules);
    expect(hours(three?.since)).toBe(33);
    expect(three?.breaks.map(({ kind, anew }) => [kind, anew])).toEqual([['out', true]]);
    const two = serviceOf(record(80, outside(30, 2)), rules);
    expect(hours(two?.since)).toBe(0);
    expect(two?.breaks.map(({ anew }) => anew)).toEqual([false]);
  });
  it('begins anew behind a gap of more than two hours', () => {
    const none = (from: number, count: number) =>
      Object.fromEntries(Array.from({ length: count }, (_, index) => [from + index, null]));
    expect(hours(serviceOf(record(80, none(10, 30)), rules)?.since)).toBe(40);
    expect(hours(serviceOf(record(80, none(10, 1)), rules)?.since)).toBe(0);
  });
  it('is nothing where it is outside at the end for long, and ends of the band are within', () => {
    expect(serviceOf(record(80, outside(70, 11)), rules)?.since).toBeUndefined();
    expect(serviceOf(record(10, { 5: 77, 6: 67 }), rules)?.breaks).toEqual([]);
    expect(serviceOf(record(10, { 5: 77.1 }), rules)?.breaks).toHaveLength(1);
  });
  it('never lies before the last break that begins anew, nor after the end', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(72, 66, null), { minLength: 2, maxLength: 60 }), (said) => {
        const rows = record(said.length - 1, Object.fromEntries(said.map((each, hour) => [hour, each])));
        const says = serviceOf(rows, rules);
        if (!says) return;
        const anew = Math.max(0, ...says.breaks.filter((each) => each.anew).map(({ to }) => to));
        if (says.since !== undefined) {
          expect(says.since).toBeGreaterThanOrEqual(anew);
          expect(says.since).toBeLessThanOrEqual(says.until);
        }
      }),
    );
  });
});

describe('whether it proves a reading', () => {
  const asked = { hours: 48, ends: 12 };
  const proven = (since: number | undefined, until: number, at: number, sealed: number, later = false) =>
    notProvenBy(
      { since: since === undefined ? undefined : since * HOUR, until: until * HOUR },
      { at: at * HOUR, sealedAt: sealed * HOUR, later },
      asked,
    );
  it('wants two days before it was sealed', () => {
    expect(proven(0, 72, 72, 48)).toBeUndefined();
    expect(proven(0, 72, 72, 47)).toContain('held for 47 h');
    // Three hours outside that ended twenty hours before it was sealed.
    expect(proven(28, 72, 72, 48)).toContain('held for 20 h before it only');
    expect(proven(50, 90, 90, 48)).toContain('not held before the hole was sealed');
  });
  it('wants them again behind a break for a later reading, and none where there was no break', () => {
    expect(proven(0, 600, 600, 50, true)).toBeUndefined();
    expect(proven(500, 527, 527, 50, true)).toContain('held for 27 h');
    expect(proven(500, 548, 548, 50, true)).toBeUndefined();
  });
  it('wants a record up to the reading', () => {
    expect(proven(0, 60, 72, 48)).toBeUndefined();
    expect(proven(0, 59, 72, 48)).toContain('ends 13 h before');
    expect(proven(undefined, 72, 72, 48)).toContain('not held at the end');
  });
});

describe('a record of the air', () => {
  it('is read with or without a head, in either scale, with a decimal comma, in any order', () => {
    const f = readAir(
      'datetime_iso,t_f,rh_pct\n2031-03-01T09:00:00Z,71.6,45\n2031-03-01T08:00:00Z,68,44',
      'utc',
      false,
    );
    expect(f.rows.map(({ celsius }) => celsius)).toEqual([expect.closeTo(20), expect.closeTo(22)]);
    expect(readAir('2031-03-01 08:00;20,5;45', 'utc', false).rows).toEqual([
      { at: Date.parse('2031-03-01T08:00:00Z'), celsius: 20.5, humidity: 45 },
    ]);
    expect(readAir('time,temperature °C,rh\n2031-03-01 08:00,20,45', 'utc', true).rows[0]?.celsius).toBe(20);
    expect(readAir('2031-03-01T08:00,68,45', 'America/New_York', true).rows[0]?.at).toBe(
      Date.parse('2031-03-01T13:00:00Z'),
    );
  });
  it('names the lines that are none', () => {
    expect(
      readAir('yesterday,20,45\n2031-03-01T08:00:00Z,20,145\n2031-03-01T09:00:00Z,20,45', 'utc', false),
    ).toMatchObject({
      bad: [1, 2],
      rows: [{ humidity: 45 }],
    });
    expect(readAir('', 'utc', false).rows).toEqual([]);
  });
});
