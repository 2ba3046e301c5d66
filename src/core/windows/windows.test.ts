import fc from 'fast-check';
import { DateTime } from 'luxon';
import { describe, expect, it } from 'vitest';
import { Limits } from '../limits';
import { ageText, ageWindow, durationText, offWindow, windowState } from '.';

const limits = new Limits();
const zone = 'America/New_York';
const at = (text: string): number => DateTime.fromISO(text, { zone }).toMillis();
const shown = (ms: number): string => DateTime.fromMillis(ms, { zone }).toFormat('ccc d LLL HH:mm');

describe('age windows', () => {
  // ASTM C39 table of tolerances (from memory), worked by elapsed hours across the start of summer time.
  it.each([
    [168, 'Mon 9 Mar 05:20', 'Mon 9 Mar 11:20', 'Mon 9 Mar 17:20'],
    [672, 'Sun 29 Mar 15:20', 'Mon 30 Mar 11:20', 'Tue 31 Mar 07:20'],
    [336, 'Mon 16 Mar 04:37', 'Mon 16 Mar 11:20', 'Mon 16 Mar 18:03'],
  ])('%s h from Mon 2 Mar 2026 10:20', (hours, opens, target, closes) => {
    const window = ageWindow(at('2026-03-02T10:20'), hours, limits);
    expect([window.opensAt, window.targetAt, window.closesAt].map(shown)).toEqual([opens, target, closes]);
  });

  it.each([
    [24, 0.5],
    [72, 2],
    [168, 6],
    [672, 20],
    [2160, 48],
  ])('%s h has %s h either side', (hours, tolerance) => {
    const window = ageWindow(0, hours, limits);
    expect((window.targetAt - window.opensAt) / 3_600_000).toBe(tolerance);
    expect((window.closesAt - window.targetAt) / 3_600_000).toBe(tolerance);
  });

  it('counts the end itself as inside and a minute later as outside', () => {
    const window = ageWindow(at('2026-05-12T15:40'), 24, limits);
    expect(offWindow(window, at('2026-05-13T16:10')).where).toBe('inside');
    expect(offWindow(window, at('2026-05-13T16:14'))).toEqual({ where: 'after', minutes: 4 });
    expect(offWindow(window, at('2026-05-13T15:09'))).toEqual({ where: 'before', minutes: 1 });
  });

  it('uses the tolerance that the laboratory set', () => {
    const own = new Limits({
      'age.28d': { status: 'set by the laboratory', both: { high: '12', unit: 'h' } },
    });
    expect((ageWindow(0, 672, own).closesAt - 672 * 3_600_000) / 3_600_000).toBe(12);
  });

  it('opens before its target and closes after it, whatever the age', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 9000 }),
        fc.integer({ min: 0, max: 2_000_000_000_000 }),
        (hours, cast) => {
          const window = ageWindow(cast, hours, limits);
          expect(window.opensAt).toBeLessThanOrEqual(window.targetAt + 60_000);
          expect(window.closesAt).toBeGreaterThanOrEqual(window.targetAt - 60_000);
        },
      ),
    );
  });
});

describe('window states', () => {
  const window = { opensAt: 100_000, closesAt: 200_000 };
  it.each([
    [99_999, 'not open yet'],
    [100_000, 'open'],
    [179_999, 'open'],
    [180_000, 'closing'],
    [200_000, 'closing'],
    [200_001, 'missed'],
  ])('at %s it is %s', (now, state) => {
    expect(windowState(window, now, limits)).toBe(state);
  });

  it('is done once it is done', () => {
    expect(windowState(window, 999_999, limits, 150_000)).toBe('done');
  });
});

it('says lengths of time and ages as people do', () => {
  expect([0, 59, 60, 200, 1440, 3000].map(durationText)).toEqual([
    '0 min',
    '59 min',
    '1 h',
    '3 h 20 min',
    '1 d',
    '2 d 2 h',
  ]);
  expect([24, 72, 672, 30].map(ageText)).toEqual(['24 h', '3 d', '28 d', '30 h']);
  expect([90, 100, 168, 935, 936].map(ageText)).toEqual(['90 h', '100 h', '7 d', '39 d', '39 d']);
});
