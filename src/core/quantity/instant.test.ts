import { describe, expect, it } from 'vitest';
import { isZone, readDay, readInstant } from './instant';

describe('an instant', () => {
  it.each([
    '2031-05-14T09:30:00-04:00',
    '2031-05-14T09:30Z',
    '2031-05-14T09:30:00.123456Z',
    '2032-02-29T00:00:00+14:00',
  ])('is read: %s', (text) => expect(readInstant(text)).toEqual({ ok: true, at: new Date(text) }));

  it.each([
    ['2020-W01-1T10:00:00Z', /give date and time/],
    ['20261128T101112Z', /give date and time/],
    ['2031-134T10:00:00Z', /give date and time/],
    ['2031-05-14', /give date and time/],
    ['2031-05-14T09:30:00', /offset/],
    ['2031-02-29T09:30:00Z', /no such date/],
    ['2031-05-14T24:00:00Z', /no such date/],
    ['2031-05-14T23:60:00Z', /give date|no such/],
    ['2031-05-14T09:30:60Z', /no such date/],
    ['2031-05-14T09:30:00+23:00', /no such date/],
    ['9999-05-14T09:30:00Z', /year 9999/],
    ['1026-05-14T09:30:00Z', /year 1026/],
    ['+012031-05-14T09:30:00Z', /give date and time/],
    [`2031-05-14T09:30:00.${'0'.repeat(5000)}Z`, /give date and time/],
    [20310514, /give date and time/],
    [null, /give date and time/],
  ])('is not read: %s', (text, problem) => {
    const read = readInstant(text);
    expect(read.ok ? 'read' : read.problem).toMatch(problem);
  });

  it('that is read is one that the language reads too', () => {
    for (const text of ['2031-05-14T09:30Z', '1990-01-01T00:00:00Z', '2199-12-31T23:59:59+05:30'])
      expect(readInstant(text).ok && Number.isFinite(Date.parse(text))).toBe(true);
  });
});

describe('a day and a zone', () => {
  it('are what the calendar knows', () => {
    expect(readDay('2032-02-29')).toBe('2032-02-29');
    for (const text of ['2031-02-29', '14.05.2031', '2031-5-14', '9999-01-01', '', 5])
      expect(readDay(text)).toBeUndefined();
    expect(isZone('America/New_York')).toBe(true);
    for (const zone of ['Moon/Base', '', 'nowhere']) expect(isZone(zone)).toBe(false);
  });
});
