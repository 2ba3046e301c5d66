import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Limits } from '../../limits';
import { exact } from '../../quantity';
import { usableInput } from '..';
import type { Facts } from '../facts';
import { findMethod } from '../registry';
import { waitsOf } from '../step-clock';
import { unitSawing } from '.';
import { type Looked, whatToSaw } from './what-to-saw';

const limits = new Limits();
const method = findMethod(unitSawing.id) ?? unitSawing;
const what = (over: Partial<Record<keyof Looked, unknown>> = {}) =>
  whatToSaw({ machine: 'whole', closed: true, height: exact('7.625'), ...over } as Looked, limits, 'US').what;
const inches = (text: string) => exact(text);

// ASTM C140/C140M 7.2 and annex A1 (from memory).
describe('what has to be sawn', () => {
  it.each([
    [{}, 'none'],
    [{ projection: inches('1.5'), thick: inches('1.5') }, 'none'],
    [{ projection: inches('1.51'), thick: inches('1.5') }, 'projections'],
    [{ recess: inches('1') }, 'shells'],
    [{ projection: inches('3'), thick: inches('1'), recess: inches('1') }, 'both'],
    // A third of 7.5 in is 2.5.
    [{ recess: inches('2.5'), height: inches('7.5') }, 'shells'],
    [{ recess: inches('2.51'), height: inches('7.5') }, 'coupon'],
    [{ machine: 'cells' }, 'cells'],
    [{ machine: 'cells', projection: inches('3'), thick: inches('1') }, 'cells'],
    [{ machine: 'cells', closed: false }, 'coupon'],
    [{ machine: 'neither' }, 'coupon'],
  ])('%j: %s', (looked, found) => expect(what(looked)).toBe(found));
  it('is a coupon wherever the face shells would come down by more than a third', () => {
    fc.assert(
      fc.property(fc.integer({ min: 30, max: 120 }), fc.integer({ min: 1, max: 110 }), (tenths, lower) => {
        const found = what({ height: exact(tenths).div(10), recess: exact(lower).div(10) });
        expect(found === 'coupon').toBe(3 * lower > tenths);
      }),
    );
  });
});

const FACTS: Facts = { product: 'c90', width: '7.625 in', height: '7.625 in', length: '15.625 in' };
const base = {
  ...{ system: 'US', shell: '1.27', projection: '0', recess: '0', machine: 'neither', closed: 'yes' },
  ...{ sawn: 'coupon', saw: 'wet', sawnAt: '2031-05-20T10:00:00Z', marked: true },
  ...{ couponThickness: '1.27', couponHeight: '2.54', couponLength: '5.08' },
};
const input = (typed: object = {}) => usableInput(method, { ...base, ...typed }).input;
const computed = (typed: object = {}, facts: Facts = {}) =>
  method.compute(input(typed), { facts: { ...FACTS, ...facts } });
const ids = (typed: object = {}) => computed(typed).findings.map(({ id, severity }) => `${severity} ${id}`);

describe('a unit at the saw', () => {
  it('has its coupon from its face shell, and says the load that proves the strength', () => {
    // 2 × 1.27 and 4 × 1.27; 2,000 psi on 5.08 × 1.27 in².
    expect(computed().results.map(({ text }) => text)).toEqual(['2.54', '5.08']);
    expect(computed().findings.find(({ id }) => id === 'saw.what')?.message).toContain('12,900 lbf');
    expect(ids()).toEqual(['advice saw.what']);
  });
  it.each([
    [{ couponHeight: '2.80' }, 'invalid unit.coupon-height'],
    [{ couponLength: '4.70' }, 'invalid unit.coupon-length'],
    [{ couponThickness: '0.74', couponHeight: '1.48', couponLength: '2.96' }, 'invalid unit.coupon-thick'],
    [{ sawn: 'cells' }, 'departure saw.other'],
    [{ sawn: 'none', machine: 'whole' }, 'invalid saw.unlike'],
    [{ saw: 'none' }, 'invalid saw.unlike'],
    [{ marked: false }, 'advice saw.mark'],
    [{ projection: '2' }, 'advice saw.thick'],
  ])('%j: %s', (typed, said) => expect(ids(typed)).toContain(said));
  it('that was sawn wet waits to be conditioned again, until that began', () => {
    const waits = (typed: object, facts: Facts = {}) => waitsOf(method, input(typed), { facts });
    expect(waits({})).toMatchObject([{ id: 'condition', opens: base.sawnAt, stays: true }]);
    expect(waits({})[0]).not.toHaveProperty('done');
    expect(waits({}, { conditionedFrom: '2031-05-19T10:00:00Z' })[0]).not.toHaveProperty('done');
    const again = '2031-05-20T11:00:00Z';
    expect(waits({}, { conditionedFrom: again })).toMatchObject([{ done: again }]);
    expect(waits({ saw: 'dry' })).toEqual([]);
    // A unit for absorption goes into water anyway.
    const soaked = { specimen: { label: 'U4', role: 'absorption' } };
    expect(waitsOf(method, input(), soaked)).toEqual([]);
  });
  it('is drawn with the share that a coupon has of it', () => {
    // 8 × 1.27³ over 53 % of 7.625 × 7.625 × 15.625.
    const share = (100 * 8 * 1.27 ** 3) / (0.53 * 7.625 * 7.625 * 15.625);
    expect(computed().picture?.values).toMatchObject({ what: 'coupon', least: 20 });
    expect(computed().picture?.values.couponShare).toBeCloseTo(share, 9);
    expect(method.compute(input(), {}).picture?.values.couponShare).toBeNull();
  });
  it('is the same in SI', () => {
    const { results, findings } = method.compute(
      usableInput(method, {
        ...base,
        ...{ system: 'SI', shell: '32', couponThickness: '32', couponHeight: '64', couponLength: '128' },
      }).input,
      { facts: { product: 'c90', width: '194 mm', height: '194 mm', length: '397 mm' } },
    );
    expect(results.map(({ text, unit }) => `${text} ${unit}`)).toEqual(['64.0 mm', '128.0 mm']);
    // 13.8 MPa on 128 × 32 mm² are 56.5 kN.
    expect(findings.find(({ id }) => id === 'saw.what')?.message).toContain('56.5 kN');
    expect(findings.map(({ severity }) => severity)).toEqual(['advice']);
  });
});
