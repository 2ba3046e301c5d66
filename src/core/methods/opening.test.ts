import fc from 'fast-check';
import { DateTime } from 'luxon';
import { describe, expect, it } from 'vitest';
import { Limits } from '../limits';
import { closedFindings, firstOpen, openingText } from './opening';

const limits = new Limits();
const ZONE = 'America/New_York';
const HOUR = 3_600_000;

describe('when somebody is there', () => {
  it('is said in words', () => {
    expect(openingText(limits)).toBe('Monday to Friday, 07:30 to 16:30');
  });
  it('is never earlier than asked for, and always on a working day within the hours, clock changes and all', () => {
    const from = Date.parse('2031-01-01T00:00:00Z');
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 365 * 24 * 60 }), (minutes) => {
        const at = from + minutes * 60_000;
        const open = firstOpen(at, ZONE, limits);
        expect(open).not.toBeNull();
        expect(open).toBeGreaterThanOrEqual(at);
        const local = DateTime.fromMillis(open ?? 0, { zone: ZONE });
        expect(local.weekday).toBeLessThan(6);
        const hours = local.hour + local.minute / 60;
        expect(hours).toBeGreaterThanOrEqual(7.5);
        expect(hours).toBeLessThanOrEqual(16.5);
        // Asked again from then on, the answer is the same.
        expect(firstOpen(open ?? 0, ZONE, limits)).toBe(open);
      }),
    );
  });
  it('is nobody, where it would be too late', () => {
    const saturday = Date.parse('2031-06-07T15:00:00Z');
    expect(firstOpen(saturday, 'utc', limits, saturday + 4 * HOUR)).toBeNull();
    expect(firstOpen(saturday, 'utc', limits, saturday + 48 * HOUR)).not.toBeNull();
  });
});

describe('a wait that ends while nobody is there', () => {
  const said = (from: string, done?: string) =>
    closedFindings({ from, done, limit: 'soak.time', field: 'inAt' }, { zone: 'utc' }).map(
      ({ severity, message }) => `${severity}: ${message}`,
    );
  it('is said when it begins, and no more once it is over', () => {
    expect(said('2031-06-06T10:00:00Z')).toEqual([
      'advice: It is over on Saturday 10:00, when nobody is here.',
    ]);
    expect(said('2031-06-06T10:00:00Z', '2031-06-07T10:30:00Z')).toEqual([]);
    expect(said('2031-06-03T10:00:00Z')).toEqual([]);
    expect(said('')).toEqual([]);
  });
  it('is not said where there is time until somebody comes', () => {
    // In at 05:00 on a Tuesday: 24 to 28 h end on Wednesday from 05:00 to 09:00, and the house opens at 07:30.
    expect(said('2031-06-03T05:00:00Z')).toEqual([]);
    // In at 02:00: over at 06:00, before anybody comes.
    expect(said('2031-06-03T02:00:00Z')).toHaveLength(1);
  });
});
