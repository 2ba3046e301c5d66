import 'reflect-metadata';
import { describe, expect, it } from 'vitest';
import { exact } from '../../quantity';
import { saturation } from '../../slab/air';
import { type Method, usableInput } from '..';
import type { Facts } from '../facts';
import { worthMeasuring } from '../impedance/compute';
import { findMethod } from '../registry';

const run = (id: string, values: object, facts: Facts = {}) => {
  const method = findMethod(id) as Method;
  const { input } = usableInput(method, { system: 'SI', ...values });
  return method.compute(input, { facts });
};

describe('a plastic sheet', () => {
  const sheet = (slab: string, film: string, over: object = {}) =>
    run('slab-sheet', {
      surface: 'bare',
      sheet: '18',
      taped: true,
      tapedAt: '2031-03-02T16:00:00Z',
      peeledAt: '2031-03-03T09:00:00Z',
      drops: 'none',
      concrete: 'same',
      slabTemperature: slab,
      sheetTemperature: film,
      airTemperature: '21',
      airHumidity: '50',
      ...over,
    });
  // Drops form where the vapour of the slab is saturated at the sheet: WMO-No. 8 (from memory).
  it.each([
    ['20', '20', 100],
    ['20', '15', 72.95],
    ['18', '24', 144.6],
  ])('of a slab of %s °C at %s °C shows drops from %d %% on', (slab, film, percent) => {
    const could = Number(sheet(slab, film).results[1]?.value);
    expect(could).toBeCloseTo(percent, 1);
    expect(could).toBeCloseTo((100 * saturation(Number(film))) / saturation(Number(slab)), 6);
  });
  it('that is too warm shows nothing however wet the slab is: inconclusive, never dry', () => {
    const { results, findings } = sheet('18', '24');
    expect(results[0]).toMatchObject({ text: 'none seen', provisional: expect.stringContaining('too warm') });
    expect(findings[0]).toMatchObject({ id: 'sheet.could', severity: 'departure' });
    expect(sheet('20', '19').results[0]).not.toHaveProperty('provisional');
  });
  it('that is cold may show drops of its own', () => {
    const { results, findings } = sheet('20', '15', { drops: 'drops' });
    expect(results[0]?.text).toBe('seen');
    expect(findings.map(({ id }) => id)).toEqual(['sheet.cold']);
  });
  it('is no test under sixteen hours, over a film, in the sun or with an open edge', () => {
    const found = (over: object) =>
      sheet('20', '19', over).findings.map(({ id, severity }) => `${severity} ${id}`);
    expect(found({ peeledAt: '2031-03-03T07:59:00Z' })).toEqual(['invalid sheet.time']);
    expect(found({ peeledAt: '2031-03-03T08:00:00Z' })).toEqual([]);
    expect(found({ surface: 'film' })).toEqual(['invalid sheet.film']);
    expect(found({ surface: 'sun' })).toEqual(['invalid sheet.sun']);
    expect(found({ taped: false })).toEqual(['invalid sheet.edge']);
    expect(found({ sheet: '16' })).toEqual(['departure sheet.small']);
  });
});

describe('the profile of a surface', () => {
  const profile = (
    spots: readonly (readonly [string, string, string?])[],
    facts: Facts = {},
    over: object = {},
  ) =>
    run(
      'surface-profile',
      {
        clean: true,
        made: 'grind',
        comparedAt: '2031-03-03T12:00:00Z',
        spots: spots.map(([low, high, putty], place) => ({
          id: `s${place}`,
          place: `spot ${place + 1}`,
          low,
          high,
          ...(putty ? { putty } : {}),
        })),
        ...over,
      },
      facts,
    );
  // ICRI 310.2R: 3 to 5 under 10 to 40 mil, 1 to 3 under a thin film (from memory).
  it('is held to what is laid on it, or to what its maker says', () => {
    const three = [
      ['2', '3'],
      ['3', '3'],
      ['3', '4'],
    ] as const;
    const stands = (facts: Facts) => profile(three, facts).verdicts.map(({ state }) => state);
    expect(stands({ layer: 'high-build' })).toEqual(['does not meet', 'meets']);
    expect(stands({ layer: 'thin' })).toEqual(['meets', 'does not meet']);
    expect(stands({ layer: 'thin', profileHigh: '4' })).toEqual(['meets', 'meets']);
    expect(stands({})).toEqual([]);
  });
  it('is no profile of dust, and a wide bracket is told', () => {
    const found = (spots: Parameters<typeof profile>[0], over = {}) =>
      profile(spots, {}, over).findings.map(({ id }) => id);
    const good = [
      ['3', '4'],
      ['3', '4'],
      ['4', '4'],
    ] as const;
    expect(found(good)).toEqual([]);
    expect(found(good, { clean: false })).toEqual(['profile.dust']);
    expect(found(good.slice(1))).toEqual(['profile.spots']);
    expect(found([...good, ['2', '5']])).toEqual(['profile.bracket']);
    expect(found([...good, ['5', '3']])).toEqual(['profile.order']);
  });
  it('has a depth where the putty was taken, and half of it is coating that fills', () => {
    const { results, lines } = profile([
      ['3', '4', '0.5'],
      ['3', '4', '0.7'],
      ['4', '4'],
    ]);
    expect(results.find(({ quantity }) => quantity === 'mean peak to valley')?.text).toBe('0.60');
    expect(Number(lines.find(({ symbol }) => symbol === 'f')?.value)).toBeCloseTo(0.3, 9);
  });
});

describe('a survey by impedance', () => {
  const survey = (count: number, area: string, over: object = {}) =>
    run(
      'impedance',
      {
        meter: 'M',
        scale: 'six',
        checked: true,
        alike: true,
        airTemperature: '21',
        airHumidity: '50',
        readAt: '2031-03-03T12:00:00Z',
        places: Array.from({ length: count }, (_, place) => ({
          id: `i${String(place).padStart(2, '0')}`,
          place: `P${place + 1}`,
          first: (3 + place / 100).toFixed(2),
          second: '3',
          third: '3',
        })),
        ...over,
      },
      { area },
    );
  // ASTM F2659: eight for the first 1000 ft² (100 m²), five for each further (from memory).
  it.each([
    ['90 m2', 8],
    ['101 m2', 13],
    ['400 m2', 23],
  ])('of %s wants %d places', (area, count) => {
    expect(survey(count, area).findings).toEqual([]);
    expect(survey(count - 1, area).findings[0]).toMatchObject({
      id: 'impedance.first',
      message: `${count - 1} of ${count} places.`,
    });
  });
  it('keeps the highest, names where to measure, and accepts nothing', () => {
    const { results, verdicts, picture } = survey(8, '90 m2');
    expect(results.map(({ text }) => text)).toEqual(['3.1', '3.0']);
    expect(verdicts).toEqual([]);
    expect(String(picture.values.measure).split('|')).toEqual([
      'P8/highest',
      'P7/second highest',
      'P4/in the middle',
      'P1/lowest',
    ]);
  });
  it('names each place once, and none where there is nothing to compare', () => {
    const of = (...values: number[]) =>
      worthMeasuring(values.map((value, place) => ({ place: `P${place}`, highest: exact(value) })));
    expect(of(1, 2)).toEqual([
      ['P1', 'highest'],
      ['P0', 'second highest'],
    ]);
    expect(of(4)).toEqual([]);
  });
});
