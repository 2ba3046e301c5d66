import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Limits } from '../../limits';
import { exact } from '../../quantity';
import { couponFindings } from './coupon';

const limits = new Limits();
const found = (thickness: string, height: string, length: string, system: 'US' | 'SI' = 'US') =>
  couponFindings(
    { thickness: exact(thickness), height: exact(height), length: exact(length) },
    ['t', 'h', 'l'],
    { limits, system, beforeLoad: true },
  ).map(({ id, fields }) => `${id} ${fields.join()}`);

// ASTM C140/C140M annex A1 (from memory): twice as high and four times as long as thick; 5 % either way is our choice.
describe('a coupon of a face shell', () => {
  it.each([
    ['1.25', '2.50', '5.00', []],
    ['1.25', '2.375', '5.25', []],
    ['1.25', '2.63', '5.00', ['unit.coupon-height h']],
    ['1.25', '2.50', '4.74', ['unit.coupon-length l']],
    ['0.75', '1.50', '3.00', []],
    ['0.74', '1.48', '2.96', ['unit.coupon-thick t']],
    ['1.25', '5.00', '2.50', ['unit.coupon-height h', 'unit.coupon-length l']],
  ])('%s thick, %s high, %s long: %j', (t, h, l, said) => expect(found(t, h, l)).toEqual(said));
  it('is judged alike in millimetres', () => {
    expect(found('32', '64', '128', 'SI')).toEqual([]);
    expect(found('18.9', '37.8', '75.6', 'SI')).toEqual(['unit.coupon-thick t']);
  });
  it('of any thickness that is enough is legal by its shape alone, whatever its size', () => {
    const part = (low: number, high: number) => fc.double({ min: low, max: high, noNaN: true });
    fc.assert(
      fc.property(part(0.75, 3), part(1.5, 2.5), part(3, 5), (t, high, long) => {
        const legal = high >= 1.9 && high <= 2.1 && long >= 3.8 && long <= 4.2;
        // Away from the very ends, where the last digit of a double decides.
        fc.pre([1.9, 2.1].every((end) => Math.abs(high - end) > 1e-6));
        fc.pre([3.8, 4.2].every((end) => Math.abs(long - end) > 1e-6));
        expect(found(String(t), String(t * high), String(t * long)).length === 0).toBe(legal);
      }),
    );
  });
  it('says nothing while its thickness is not known', () => {
    const sizes = { thickness: undefined, height: exact(2), length: exact(4) };
    expect(couponFindings(sizes, ['t', 'h', 'l'], { limits, system: 'US' })).toEqual([]);
  });
});
