import 'reflect-metadata';
import { describe, expect, it } from 'vitest';
import { plainRecord, type TemperatureRecord } from '../../temperature';
import { type Method, usableInput } from '..';
import { findMethod } from '../registry';

const method = findMethod('gluing') as Method;
const glued = (
  over: Record<string, unknown> = {},
  rows: readonly (readonly [string, string, string])[] = [
    ['A-D1', 'straight', '2031-03-02T13:05:00Z'],
    ['A-D2', 'straight', '2031-03-02T13:20:00Z'],
  ],
  record?: TemperatureRecord,
) => {
  const { input } = usableInput(method, {
    system: 'SI',
    kind: 'slow',
    product: 'epoxy 7',
    tried: 'sound',
    cure: '24',
    cureAt: '21',
    least: '8',
    life: '60',
    prepared: 'both',
    surfaceTemperature: '21',
    airTemperature: '22',
    airHumidity: '50',
    mixedAt: '2031-03-02T13:00:00Z',
    setAt: '2031-03-02T13:20:00Z',
    dollies: rows.map(([specimen, set, at], place) => ({ id: `d${place}`, specimen, set, at })),
    ...over,
  });
  const setup = {
    zone: 'America/New_York',
    batch: { label: 'GB-1', seed: 1, specimens: ['A-D1', 'A-D2'].map((label) => ({ label, form: 'dolly' })) },
    ...(record ? { records: { record } } : {}),
  };
  return { input, setup, ...method.compute(input, setup) };
};
const waitsFor = (...given: Parameters<typeof glued>) => {
  const { input, setup } = glued(...given);
  return (method.waits?.(input, setup) ?? []).map(({ about, opens }) => [about, opens]);
};

describe('a batch of glue', () => {
  // Twice the time for every 10 °C colder (common practice, no source).
  it.each([
    ['21', '24.0'],
    ['15', '36.4'],
    ['10', '51.4'],
    ['30', '12.9'],
  ])('cures at %s °C in %s h', (surfaceTemperature, hours) => {
    expect(glued({ surfaceTemperature }).results[0]?.text).toBe(hours);
  });
  describe('with a log beside it', () => {
    // Half an hour apart from noon on, an hour and twenty minutes before the last dolly was set.
    const log = (celsius: readonly number[], start?: string) =>
      plainRecord(
        celsius.map((_, row) => row / 2),
        { surface: [...celsius] },
        start ?? '2031-03-02T12:00:00.000Z',
      );
    const night = (hours: number) => Array.from({ length: 2 * hours + 1 }, (_, row) => (row < 3 ? 3 : 15));
    const by = (record: TemperatureRecord, over: Record<string, unknown> = {}) =>
      glued({ record: 'night.csv', ...over }, undefined, record);
    it('cures by the coldest since the last was set, whatever was typed', () => {
      expect(by(log(night(60))).results[0]?.text).toBe('36.4');
      expect(by(log(night(60)), { coldest: '21' }).results[0]?.text).toBe('36.4');
      expect(by(log(night(60))).findings).toEqual([]);
      // It was 3 °C before they were set: then it does not count, with no time at all it does.
      const all = { ...log(night(60)), start: null };
      expect(by(all).findings.map(({ id }) => id)).toContain('glue.cold');
    });
    it('is told where it ends too early', () => {
      expect(by(log(night(40))).findings.map(({ message }) => message)).toEqual(
        // Set at 13:20, hard after 36.4 h; the log ends 40 h after noon.
        [],
      );
      expect(by(log(night(20))).findings.map(({ message }) => message)).toEqual([
        'The log ends 17.7 h before the glue is hard: how cold it was then is not known.',
      ]);
      const before = by(log([15, 15, 15]));
      expect(before.findings.map(({ message }) => message)).toEqual([
        'The log ends before the last dolly was set: it says nothing of the cure.',
      ]);
      expect(before.results[0]?.text).toBe('24.0');
    });
  });
  it('waits by the same rule that its time is told by, where a laboratory has its own', () => {
    const { input, setup } = glued({ surfaceTemperature: '15' });
    const doubling = {
      status: 'set by the laboratory',
      SI: { low: '6', high: '6', unit: 'deltaC' },
    } as const;
    const own = { ...setup, limitChanges: { 'glue.doubling': doubling } };
    expect(method.compute(input, own).results[0]?.text).toBe('48.0');
    expect((method.waits?.(input, own) ?? []).map(({ opens }) => opens)).toEqual([
      '2031-03-04T13:05:00.000Z',
      '2031-03-04T13:20:00.000Z',
    ]);
  });

  it('goes by the coldest since, where a log says it', () => {
    expect(glued({ coldest: '11' }).results[0]?.text).toBe('48.0');
    expect(glued({ surfaceTemperature: '14', airHumidity: '40' }).findings.map(({ id }) => id)).toEqual([
      'glue.worth-log',
    ]);
    expect(glued({ surfaceTemperature: '14', airHumidity: '40', coldest: '13' }).findings).toEqual([]);
  });
  it('stands still below what its sheet says', () => {
    const { findings, results } = glued({ surfaceTemperature: '7' });
    expect(findings.map(({ id }) => id)).toContain('glue.cold');
    expect(results).toEqual([]);
    expect(waitsFor({ surfaceTemperature: '7' })).toEqual([]);
  });
  it('lets each dolly wait from when its own glue is hard, by instants', () => {
    expect(waitsFor()).toEqual([
      ['A-D1', '2031-03-03T13:05:00.000Z'],
      ['A-D2', '2031-03-03T13:20:00.000Z'],
    ]);
    const { input, setup } = glued();
    expect(method.batch?.tells(input, { label: 'A-D1', batch: 'GB-1', remarks: [] }, setup)).toMatchObject({
      curedAt: '2031-03-03T13:05:00.000Z',
      glue: 'epoxy 7',
      set: 'straight',
    });
  });
  it('does not wait for one that slid, and says one that was set too late', () => {
    const rows = [
      ['A-D1', 'slid', '2031-03-02T13:05:00Z'],
      ['A-D2', 'straight', '2031-03-02T14:10:00Z'],
    ] as const;
    expect(waitsFor({}, rows).map(([about]) => about)).toEqual(['A-D2']);
    expect(glued({}, rows).findings.map(({ id }) => id)).toEqual(['glue.slid.A-D1', 'glue.life.A-D2']);
  });
  it('wants the surface above the dew point', () => {
    // Air of 22 °C and 80 % has its dew point at 18.4 °C (psychrometric chart, from memory).
    expect(glued({ airHumidity: '80', surfaceTemperature: '21' }).findings.map(({ id }) => id)).toEqual([
      'pull.dew',
    ]);
    expect(glued({ airHumidity: '60', surfaceTemperature: '21' }).findings).toEqual([]);
  });
  it('is told once it was tried, or was not', () => {
    expect(glued({ tried: 'changed' }).findings.map(({ severity }) => severity)).toEqual(['invalid']);
    expect(glued({ tried: 'not' }).findings.map(({ id }) => id)).toEqual(['glue.not-tried']);
  });
});
