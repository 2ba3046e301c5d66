import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Limits } from '../../limits';
import { exact } from '../../quantity';
import { Sheet } from '../../working';
import { loadedBy, loading, normalised, SCHOOL_STEP, schoolFindings, schoolRate } from './school';
import { shapeFactor } from './shape-factor';

const limits = new Limits();
const factor = (height: number, width: number) =>
  shapeFactor(exact(height), exact(width), limits, 'SI')?.toNumber();

// EN 772-1 Table A.1 (from memory).
describe('the shape factor', () => {
  it.each([
    [100, 100, 1],
    [65, 100, 0.85],
    [40, 50, 0.8],
    [250, 250, 1.15],
    // Beyond the last it stays as it is; between two it lies between, both ways.
    [300, 290, 1.15],
    [125, 100, 1.1],
    [190, 140, (1.35 + (1.25 - 1.35) * 0.8) * 0.8 + (1.2 + (1.1 - 1.2) * 0.8) * 0.2],
    // Where the table is empty it says nothing.
    [40, 150, undefined],
    [45, 120, undefined],
    [50, 151, undefined],
    [39, 100, undefined],
    [100, 49, undefined],
  ])('%i mm high, %i mm wide: %s', (height, width, is) => {
    const found = factor(height, width);
    if (is === undefined) expect(found).toBeUndefined();
    else expect(found).toBeCloseTo(is, 9);
  });
  it('rises with height and falls with width', () => {
    const size = (low: number) => fc.integer({ min: low, max: 300 });
    fc.assert(
      fc.property(size(65), size(50), size(0), size(0), (height, width, higher, wider) => {
        const low = factor(height, width) as number;
        expect(factor(height + higher, width)).toBeGreaterThanOrEqual(low);
        expect(factor(height, width + wider)).toBeLessThanOrEqual(low);
      }),
    );
  });
  it('is the same in inches', () => {
    expect(
      shapeFactor(exact('190').div('25.4'), exact('140').div('25.4'), limits, 'US')?.toNumber(),
    ).toBeCloseTo(factor(190, 140) as number, 9);
  });
});

// EN 772-1; IS 3495-1 (from memory).
describe('the rate of a school', () => {
  it.each([
    ['en', 10, 0.05],
    ['en', 10.1, 0.15],
    ['en', 20, 0.15],
    ['en', 40, 0.3],
    ['en', 80, 0.6],
    ['en', 80.1, 1],
    ['is', 5, 14 / 60],
    ['is', 50, 14 / 60],
  ] as const)('%s at %d MPa: %d MPa a second', (school, expected, rate) => {
    expect(schoolRate(school, exact(expected), limits, 'SI').rate.toNumber()).toBeCloseTo(rate, 9);
    const psi = exact(expected).times('145.03773773');
    expect(schoolRate(school, psi, limits, 'US').rate.toNumber()).toBeCloseTo(rate, 9);
  });
  it('is a rate of the load, in kN or lbf a second, about which the press has its band', () => {
    const about = {
      area: exact(50_000),
      load: exact(600),
      factor: exact(1000),
      row: 'unit.second-half',
    } as const;
    // 12 N/mm² is expected: 0.15 × 50,000 N a second.
    const { band, from, halves } = loading('en', about, limits, 'SI');
    expect(band.low?.toNumber()).toBeCloseTo(7.5 * 0.85, 9);
    expect(band.high?.toNumber()).toBeCloseTo(7.5 * 1.15, 9);
    expect([from, halves, band.unit]).toEqual(['half', undefined, 'kN/s']);
    expect(loading('is', about, limits, 'SI').from).toBe('start');
    expect(loading(undefined, about, limits, 'SI').halves).toBeDefined();
  });
  it('is that of EN and IS alone: CSA loads as ASTM does', () => {
    const by = (product: string) => loadedBy({ facts: { product } });
    expect(['en771-3', 'is2185', 'a165', 'c90'].map(by)).toEqual(['en', 'is', undefined, undefined]);
    expect(SCHOOL_STEP.when?.({ facts: { product: 'c90' } })).toBe(false);
    expect(SCHOOL_STEP.when?.({ facts: { product: 'is1077' } })).toBe(true);
  });
});

describe('the normalised strength', () => {
  const size = { height: exact(65), width: exact(100) };
  const of = (condition?: 'air' | 'oven' | 'wet', own = size) =>
    normalised(
      new Sheet('half-even'),
      { symbol: 'fg', value: exact(30) },
      own,
      { system: 'SI', ...(condition ? { condition } : {}) },
      limits,
    )?.toNumber();
  it.each([
    ['air', 30 * 0.85],
    ['oven', 30 * 0.8 * 0.85],
    ['wet', 30 * 1.2 * 0.85],
  ] as const)('of one broken %s: %d MPa', (condition, strength) => {
    expect(of(condition)).toBeCloseTo(strength, 9);
  });
  it('is not worked out while it is not known how wet it was, or outside the table', () => {
    expect(of()).toBeUndefined();
    expect(of('air', { height: exact(30), width: exact(100) })).toBeUndefined();
    const said = (input: object, own: { height: typeof size.height; width: typeof size.width } = size) =>
      schoolFindings('en', own, { system: 'SI', ...input }, limits).map(({ id }) => id);
    expect(said({})).toEqual(['school.bearing', 'school.condition']);
    expect(said({ bearing: 'ground', condition: 'air' })).toEqual([]);
    expect(said({ bearing: 'ground', condition: 'air' }, { ...size, height: exact(30) })).toEqual([
      'school.shape',
    ]);
    expect(schoolFindings('is', size, { system: 'SI', bearing: 'plywood' }, limits)).toEqual([]);
  });
});
