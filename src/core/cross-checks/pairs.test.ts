import { describe, expect, it } from 'vitest';
import { Limits } from '../limits';
import { type PairedSample, pairsOf } from './pairs';

const limits = new Limits();
const sample = (over: Partial<PairedSample>): PairedSample => ({
  label: '1',
  load: 'T1',
  kind: 'acceptance',
  point: 'truck',
  results: {},
  ...over,
});
const slump = (value: string) => ({ slump: { value, unit: 'in' as const } });
const air = (value: string) => ({ 'air content': { value, unit: 'percent' as const } });
const second = (results: PairedSample['results'], over: Partial<PairedSample> = {}) =>
  sample({ label: '2', kind: 'assurance', results, ...over });

// Two people's results differ by at most (ASTM C143, C231, C138, from memory): slump 0.82, 1.10 and 1.50 in at 1.2, 3.4
// and 6.5 in; air 0.8 %; density 2.31 lb/ft³; temperature 2 °F is our choice.
describe('two people on one load', () => {
  it.each([
    ['4.25', '5.25', '1.27', true],
    ['4', '5.25', '1.26', true],
    ['4', '5.50', '1.27', false],
    ['6.5', '7.5', '1.5', true],
    ['1', '1.75', '0.84', true],
    ['1', '2', '0.86', false],
  ])('slumps of %s and %s in may differ by %s: %s', (a, b, allowed, inside) => {
    const [row] = pairsOf([sample({ results: slump(a) }), second(slump(b))], 'US', limits);
    expect(row?.allowed).toBe(`${allowed} in`);
    expect(row?.inside).toBe(inside);
    expect(row?.why).toBe('people');
  });
  it.each([
    ['air content', '5.6', '6.4', 'percent', true],
    ['air content', '5.6', '6.5', 'percent', false],
    ['density', '143.1', '145.4', 'lb/ft3', true],
    ['density', '143.1', '145.5', 'lb/ft3', false],
    ['concrete temperature', '71', '73', 'degF', true],
    ['concrete temperature', '71', '74', 'degF', false],
  ] as const)('%s of %s and %s %s: %s', (quantity, a, b, unit, inside) => {
    const [row] = pairsOf(
      [sample({ results: { [quantity]: { value: a, unit } } }), second({ [quantity]: { value: b, unit } })],
      'US',
      limits,
    );
    expect(row?.inside).toBe(inside);
  });
  it('stand beside each other whichever was entered first', () => {
    const rows = pairsOf([second(air('6.0')), sample({ results: air('5.7') })], 'US', limits);
    expect(rows.map((row) => [row.first, row.second, row.difference])).toEqual([
      ['1 5.7 %', '2 6.0 %', '+0.3 %'],
    ]);
  });
  it('are compared only on one load, at one point, in one unit, and when one of them is for assurance', () => {
    const a = sample({ results: slump('4') });
    expect(pairsOf([a, second(slump('4'), { load: 'T2' })], 'US', limits)).toEqual([]);
    expect(pairsOf([a, second(slump('4'), { kind: 'preliminary' })], 'US', limits)).toEqual([]);
    expect(pairsOf([a, second(slump('4'), { point: null })], 'US', limits)).toEqual([]);
    expect(pairsOf([a, second({ slump: { value: '100', unit: 'mm' } })], 'US', limits)).toEqual([]);
    expect(pairsOf([a, second(air('5'))], 'US', limits)).toEqual([]);
    expect(
      pairsOf([sample({ load: '', results: slump('4') }), second(slump('4'), { load: '' })], 'US', limits),
    ).toEqual([]);
  });
});

describe('along the pump line', () => {
  it('shows the loss from the truck to the placing end, and judges nobody by it', () => {
    const rows = pairsOf(
      [
        sample({ label: '8', point: 'end', results: { ...air('4.1'), ...slump('4.5') } }),
        sample({ label: '7', results: { ...air('5.9'), ...slump('5') } }),
      ],
      'US',
      limits,
    );
    expect(
      rows.map(({ why, first, second: b, difference, allowed, inside }) => [
        why,
        first,
        b,
        difference,
        allowed,
        inside,
      ]),
    ).toEqual([
      ['line', '7 5 in', '8 4.5 in', '−0.5 in', null, null],
      ['line', '7 5.9 %', '8 4.1 %', '−1.8 %', null, null],
    ]);
  });
});
