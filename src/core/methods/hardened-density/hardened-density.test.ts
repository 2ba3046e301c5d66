import { describe, expect, it } from 'vitest';
import { rowsOf } from '@/testing/rows';
import { usableInput } from '..';
import type { Method } from '../contract';
import { findMethod } from '../registry';
import type { State } from './input';

const START = Date.parse('2031-06-12T08:00:00Z');
const at = (hours: number): string => new Date(START + hours * 3_600_000).toISOString();
type Weighing = readonly [state: State, hours: number, mass: string, piece?: string];

function weighed(all: readonly Weighing[], more: Record<string, unknown> = {}, system: 'US' | 'SI' = 'SI') {
  const method = findMethod('hardened-density') as Method;
  const input = {
    system,
    ovenAt: at(0),
    waterAt: at(49),
    weighings: rowsOf(
      'piece state at mass',
      all.map(([state, hours, mass, piece = '1']) => [piece, state, at(hours), mass].join()).join('\n'),
    ),
    ...more,
  };
  const { input: usable } = usableInput(method, input);
  const outcome = method.compute(usable, {});
  const of = (quantity: string) => outcome.results.find((each) => each.quantity === quantity);
  return {
    reported: Object.fromEntries(outcome.results.map(({ quantity, reported }) => [quantity, reported])),
    value: (quantity: string) => Number(of(quantity)?.value),
    found: outcome.findings.map(({ id }) => id),
    findings: outcome.findings,
    waits: method.waits?.(usable, {}) ?? [],
  };
}

const whole = (A: string, B: string, C: string, D: string): Weighing[] => [
  ['dry', 24, A],
  ['dry', 48, A],
  ['soaked', 74, B],
  ['soaked', 98, B],
  ['boiled', 120, C],
  ['hung', 120.1, D],
];

describe('density and voids', () => {
  // The worked example of ASTM C642 (from memory).
  it('come to what the method’s own example comes to', () => {
    const { reported, value } = weighed(whole('1000', '1090', '1095', '495'));
    expect(reported).toMatchObject({
      voids: '15.8',
      'absorption after immersion': '9.0',
      'absorption after boiling': '9.5',
      'bulk density, dry': '1670',
      'bulk density after immersion': '1820',
      'apparent density': '1980',
    });
    expect(value('bulk density after boiling')).toBeCloseTo(1825, 8);
    // From rounded densities it would be 15.7.
    expect(value('voids')).toBeCloseTo(15.8333, 3);
  });
  it('of a usual concrete, in both systems', () => {
    const metric = weighed(whole('2284.6', '2412.9', '2421.7', '1401.2'));
    expect(metric.reported).toMatchObject({
      'absorption after immersion': '5.6',
      'absorption after boiling': '6.0',
      'bulk density, dry': '2240',
      'bulk density after immersion': '2360',
      'bulk density after boiling': '2370',
      'apparent density': '2590',
      voids: '13.4',
    });
    expect(metric.found).not.toContain('voids.usual-density');
    const inch = weighed(whole('2284.6', '2412.9', '2421.7', '1401.2'), {}, 'US');
    expect(Number(inch.reported['bulk density, dry'])).toBeCloseTo(2.2387 * 62.3, 0);
  });
  it('of several pieces rest on their sums', () => {
    const two = weighed([
      ...whole('1000', '1090', '1095', '495'),
      ...whole('2284.6', '2412.9', '2421.7', '1401.2').map(
        ([state, hours, mass]) => [state, hours, mass, '2'] as const,
      ),
    ]);
    expect(two.value('voids')).toBeCloseTo(
      (100 * (1095 + 2421.7 - 3284.6)) / (1095 + 2421.7 - 495 - 1401.2),
      6,
    );
  });
  it('of an odd density are looked at again', () => {
    expect(weighed(whole('1000', '1090', '1095', '495')).found).toEqual(
      expect.arrayContaining(['voids.usual-density', 'voids.usual-absorption']),
    );
  });
});

describe('a piece', () => {
  it('is not dry while it loses more than half a percent in a day, and waits another one', () => {
    // 22 g of 2,290: 0.96 % of the lesser (ASTM C642, from memory).
    const open = weighed(
      [
        ['dry', 24, '2312'],
        ['dry', 48, '2290'],
      ],
      { waterAt: undefined },
    );
    expect(open.findings.find(({ id }) => id === 'voids.dry-alike')).toMatchObject({ severity: 'advice' });
    expect(open.waits).toEqual([expect.objectContaining({ id: 'weigh-dry', opens: at(72) })]);
    expect(open.reported).toEqual({});
    const done = weighed(
      [
        ['dry', 24, '2312'],
        ['dry', 48, '2290'],
        ['boiled', 120, '2420'],
        ['hung', 120, '1400'],
      ],
      { finishedAt: at(121) },
    );
    expect(done.findings.find(({ id }) => id === 'voids.dry-alike')).toMatchObject({ severity: 'invalid' });
    expect(done.reported).not.toHaveProperty('voids');
  });
  it('is dry at half a percent, and not by a weighing that came too soon', () => {
    expect(
      weighed([
        ['dry', 24, '1005'],
        ['dry', 48, '1000'],
        ['boiled', 120, '1095'],
        ['hung', 120, '495'],
      ]).reported,
    ).toHaveProperty('voids');
    expect(
      weighed([
        ['dry', 24, '1005.1'],
        ['dry', 48, '1000'],
        ['boiled', 120, '1095'],
        ['hung', 120, '495'],
      ]).reported,
    ).not.toHaveProperty('voids');
    expect(
      weighed([
        ['dry', 20, '1000'],
        ['dry', 24, '1000'],
        ['boiled', 120, '1095'],
        ['hung', 120, '495'],
      ]).reported,
    ).not.toHaveProperty('voids');
    expect(
      weighed([
        ['dry', 23.8, '1000'],
        ['dry', 47.6, '1000'],
        ['boiled', 120, '1095'],
        ['hung', 120, '495'],
      ]).reported,
    ).toHaveProperty('voids');
  });
  it('takes two days in water, and a third where it still drinks', () => {
    const wet = (second: string) =>
      weighed([
        ['dry', 24, '1000'],
        ['dry', 48, '1000'],
        ['soaked', 74, '1084'],
        ['soaked', 98, second],
      ]);
    expect(wet('1089.4').reported).toHaveProperty('absorption after immersion');
    const thirsty = wet('1095');
    expect(thirsty.found).toContain('voids.wet-alike');
    expect(thirsty.waits).toContainEqual(expect.objectContaining({ id: 'weigh-soaked', opens: at(122) }));
    // Only one wet weighing: the next a day after it.
    expect(
      weighed([
        ['dry', 24, '1000'],
        ['dry', 48, '1000'],
        ['soaked', 74, '1084'],
      ]).waits,
    ).toContainEqual(expect.objectContaining({ opens: at(98) }));
  });
  it('cannot grow lighter in water', () => {
    expect(weighed(whole('1000', '990', '1095', '495')).findings).toContainEqual(
      expect.objectContaining({ id: 'voids.order', severity: 'invalid' }),
    );
    expect(weighed(whole('1000', '1090', '990', '495')).found).toContain('voids.order');
    expect(weighed(whole('1000', '1090', '1095', '1001')).found).toContain('voids.order');
  });
  it('of less than 350 mL is too small', () => {
    expect(weighed(whole('600', '640', '645', '296')).found).toContain('voids.piece');
    expect(weighed(whole('600', '640', '645', '295')).found).not.toContain('voids.piece');
  });
  it('boils five hours and cools fourteen, and Today says when', () => {
    const stage = (offHours: number, weighedHours: number) =>
      weighed(
        [
          ['dry', 24, '1000'],
          ['dry', 48, '1000'],
          ['boiled', weighedHours, '1095'],
          ['hung', weighedHours, '495'],
        ],
        { boilAt: at(100), offAt: at(offHours) },
      );
    expect(stage(105, 119).found.filter((id) => /boil|cool/u.test(id))).toEqual([]);
    expect(stage(104.9, 119).found).toContain('voids.boil');
    expect(stage(105, 118.9).found).toContain('voids.cool');
    expect(weighed([], { boilAt: at(100) }).waits).toContainEqual(
      expect.objectContaining({ id: 'boil', opens: at(105) }),
    );
    expect(weighed([], { boilAt: at(100), offAt: at(105) }).waits).toContainEqual(
      expect.objectContaining({ id: 'cool', opens: at(119) }),
    );
    expect(weighed([]).waits).toContainEqual(expect.objectContaining({ id: 'weigh-dry', opens: at(24) }));
  });
});
