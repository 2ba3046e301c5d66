import 'reflect-metadata';
import { describe, expect, it } from 'vitest';
import { type Method, usableInput } from '..';
import { findMethod } from '../registry';

const method = findMethod('service-record') as Method;
const HOUR = 3_600_000;
const START = Date.parse('2031-03-01T05:00:00Z');
/** Hourly rows, °F and percent; what is said of an hour stands in its place, null where there is none. */
const rows = (hours: number, said: Readonly<Record<number, readonly [number, number] | null>> = {}): string =>
  Array.from({ length: hours + 1 }, (_, hour) => {
    const row = hour in said ? said[hour] : ([70, 45] as const);
    return row ? `${new Date(START + hour * HOUR).toISOString()},${row[0]},${row[1]}` : '';
  })
    .filter(Boolean)
    .join('\n');
const air = (record: string, over: object = {}) => {
  const { input } = usableInput(method, {
    system: 'US',
    logger: 'L',
    temperature: '70',
    humidity: '45',
    record: `time,t_f,rh\n${record}`,
    readAt: '2031-03-09T12:00:00Z',
    ...over,
  });
  return method.compute(input, { zone: 'America/New_York' });
};
const held = (...given: Parameters<typeof air>) => air(...given).results[0]?.text;
const found = (...given: Parameters<typeof air>) =>
  air(...given).findings.map(({ severity, message }) => `${severity}: ${message}`);

describe('a record of the air of a level', () => {
  it('is held up to its last reading, in hours', () => {
    expect(held(rows(72))).toBe('72');
    expect(air(rows(72)).picture.values).toMatchObject({
      since: new Date(START).toISOString(),
      until: new Date(START + 72 * HOUR).toISOString(),
      rows: 73,
    });
    expect(air(rows(72)).picture.values.words).toBe('Held since Sat 1 Mar 00:00, up to Tue 4 Mar 00:00.');
  });
  // 5 °F, 10 % and two hours are our choice.
  it('is outside of its bands beyond five degrees and ten percent', () => {
    expect(found(rows(72, { 10: [75, 55], 11: [65, 35] }))).toEqual([]);
    expect(found(rows(72, { 10: [76, 45] }))).toEqual(['advice: Outside for 1 h from Sat 1 Mar 10:00.']);
    expect(found(rows(72, { 10: [70, 56] }))).toHaveLength(1);
    expect(held(rows(72, { 10: [76, 45] }))).toBe('72');
  });
  it('begins anew behind what is too long, and says so', () => {
    const out = { 30: [60, 45], 31: [60, 45], 32: [60, 45] } as const;
    expect(held(rows(72, out))).toBe('39');
    expect(found(rows(72, out))).toEqual(['departure: Outside for 3 h from Sun 2 Mar 06:00.']);
    const gap = { 20: null, 21: null, 22: null };
    expect(held(rows(72, gap))).toBe('49');
    expect(found(rows(72, gap))).toEqual(['departure: No reading for 4 h from Sat 1 Mar 19:00.']);
  });
  it('is nothing that is held where it ends outside', () => {
    const end = Object.fromEntries([66, 67, 68, 69, 70, 71, 72].map((hour) => [hour, [58, 60] as const]));
    expect(held(rows(72, end))).toBe('0');
    expect(air(rows(72, end)).picture.values).toMatchObject({ since: null, from: null });
  });
  it('counts a night in which the clocks change as long as it was', () => {
    // New York, 9 March 2031, 02:00: the hour after 01:00 is 03:00 by the wall.
    const wall = [
      '2031-03-08 23:00',
      '2031-03-09 00:00',
      '2031-03-09 01:00',
      '2031-03-09 03:00',
      '2031-03-09 04:00',
    ];
    const record = wall.map((at) => `${at},70,45`).join('\n');
    expect(held(record)).toBe('4');
    expect(found(record)).toEqual([]);
  });
  it('names what could not be read and goes on with the rest', () => {
    const record = `${rows(48)}\nnot a line\n2031-03-04T05:00:00Z,seventy,45`;
    expect(found(record)[0]).toBe('departure: Lines 51, 52 could not be read.');
    expect(held(record)).toBe('48');
    expect(air('').results).toEqual([]);
  });
  it('is the same in degrees Celsius', () => {
    const record = rows(50).replaceAll(',70,', ',21,');
    const si = air(record, { system: 'SI', temperature: '21', record: `time,t_c,rh\n${record}` });
    expect(si.results[0]?.text).toBe('50');
    const edge = record.replace(',21,', ',24,');
    expect(air(edge, { system: 'SI', temperature: '21', record: `time,t_c,rh\n${edge}` }).findings).toEqual(
      [],
    );
  });
});
