import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { usableInput } from '..';
import type { Method } from '../contract';
import { findMethod } from '../registry';
import { exampleRecord } from './example';

const INCH = 25.4;
const PSI = 4.4482216152605 / INCH ** 2;
type Corners = readonly (readonly [at: number, force: number])[];

/** A beam of 150 mm by one method, its sizes told in either system, its record in mm and N. */
function bent(
  id: 'fibre-beam' | 'notched-beam' | 'beam-bending',
  system: 'US' | 'SI',
  corners: Corners,
  depth = 150,
) {
  const method = findMethod(id) as Method;
  const length = (mm: number): string => (system === 'US' ? (mm / INCH).toFixed(6) : String(mm));
  const { input } = usableInput(method, {
    system,
    span: length(id === 'notched-beam' ? 500 : 450),
    place: length(220),
    ...Object.fromEntries(
      [1, 2, 3].flatMap((index) => [
        [`width${index}`, length(150)],
        [`depth${index}`, length(depth)],
        [`above${index}`, length(125)],
      ]),
    ),
    kind: 'fibre',
    loading: 'third',
    measuredBy: id === 'beam-bending' ? 'crosshead' : 'net',
  });
  const asked = method.bends?.(input, {});
  if (!asked) throw new Error(`${id} asks for no record`);
  const outcome = method.compute(input, { loadLog: exampleRecord(corners, asked) });
  return (quantity: string): number =>
    Number(outcome.results.find((each) => each.quantity === quantity)?.value ?? Number.NaN);
}

/** A beam that cracks at a load, falls, goes on and ends: the shares of its first peak are drawn. */
const records = fc
  .record({
    crack: fc.integer({ min: 18_000, max: 45_000 }),
    fall: fc.double({ min: 0.5, max: 0.8, noNaN: true }),
    end: fc.double({ min: 0.2, max: 0.45, noNaN: true }),
  })
  .map(
    ({ crack, fall, end }): Corners => [
      [0, 0],
      [0.045, crack],
      [0.075, crack * fall],
      [0.75, crack * fall * 0.95],
      [3, crack * end],
      [3.9, crack * end * 0.9],
    ],
  );

// NIST SP 811 (from memory): 1 in = 25.4 mm, 1 lbf = 4.4482216152605 N.
describe('one record in both systems', () => {
  it.each([
    ['fibre-beam', 'first-peak strength'],
    ['fibre-beam', 'residual strength at L/150'],
    ['beam-bending', 'stress at the peak'],
  ] as const)('%s: %s is the same stress', (id, quantity) => {
    fc.assert(
      fc.property(records, (corners) => {
        const [si, us] = [bent(id, 'SI', corners)(quantity), bent(id, 'US', corners)(quantity)];
        expect(Number.isFinite(si)).toBe(true);
        expect(Math.abs(si / PSI - us) / us).toBeLessThan(1e-4);
      }),
      { numRuns: 12 },
    );
  });
});

describe('a fibre beam', () => {
  it('has the ratio that its toughness and first peak give, whatever the record', () => {
    // Worked by hand from ASTM C1609/C1609M (from memory): R = 150 T / (f1 b d²) × 100 %.
    fc.assert(
      fc.property(records, (corners) => {
        const of = bent('fibre-beam', 'SI', corners);
        const ratio =
          (100 * 150 * of('toughness to L/150') * 1000) / (of('first-peak strength') * 150 * 150 ** 2);
        expect(of('equivalent flexural strength ratio')).toBeCloseTo(ratio, 1);
      }),
      { numRuns: 12 },
    );
  });
  it('never leaves more than its peak', () => {
    fc.assert(
      fc.property(records, (corners) => {
        const of = bent('fibre-beam', 'SI', corners);
        for (const place of ['L/600', 'L/150'])
          expect(of(`residual strength at ${place}`)).toBeLessThanOrEqual(of('peak strength') + 1e-9);
      }),
      { numRuns: 12 },
    );
  });
  it('has toughness in proportion to its force, and less stress in a deeper beam', () => {
    fc.assert(
      fc.property(records, (corners) => {
        const of = bent('fibre-beam', 'SI', corners);
        const half = bent(
          'fibre-beam',
          'SI',
          corners.map(([at, force]) => [at, force / 2] as const),
        );
        expect(half('toughness to L/150') / of('toughness to L/150')).toBeCloseTo(0.5, 6);
        const deeper = bent('fibre-beam', 'SI', corners, 153);
        expect(deeper('peak strength') / of('peak strength')).toBeCloseTo((150 / 153) ** 2, 6);
      }),
      { numRuns: 12 },
    );
  });
});
