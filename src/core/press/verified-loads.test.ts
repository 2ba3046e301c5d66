import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Limits } from '../limits';
import { exact } from '../quantity';
import { verifiedLoads } from './verified-loads';

const limits = new Limits();
const of = (rows: readonly (readonly [number, number])[], smallest?: number) =>
  verifiedLoads(
    rows.map(([indicated, applied]) => [exact(indicated), exact(applied)]),
    limits,
    smallest === undefined ? undefined : exact(smallest),
  );
const ends = ({ from, to }: ReturnType<typeof of>) => [from?.toFixed(), to?.toFixed()];

describe('the range that a verification proves', () => {
  it('the error is indicated less applied, of the applied load', () => {
    // ASTM E4 (from memory): E = indicated − applied, Ep = 100 E / applied, within ±1.0 %.
    const { loads } = of([
      [100_200, 99_350],
      [25_000, 24_700],
    ]);
    expect(loads.map(({ error, percent, within }) => [error.toFixed(), percent.toFixed(3), within])).toEqual([
      ['300', '1.215', false],
      ['850', '0.856', true],
    ]);
  });
  it('exactly the permitted error is within it, on either side', () => {
    expect(of([[10_100, 10_000]]).loads[0]?.within).toBe(true);
    expect(of([[9_900, 10_000]]).loads[0]?.within).toBe(true);
    expect(of([[10_101, 10_000]]).loads[0]?.within).toBe(false);
  });
  const FIVE = [20_000, 40_000, 80_000, 120_000, 160_000].map((load) => [load, load - 100] as const);
  it('begins above a load that is out', () => {
    expect(ends(of([[10_000, 9_800], ...FIVE]))).toEqual(['20000', '160000']);
  });
  it('a load that is out in the middle cuts it, whatever lies beyond', () => {
    const cut = of([...FIVE, [200_000, 195_000], [240_000, 239_000]]);
    expect(ends(cut)).toEqual(['20000', '160000']);
    expect(cut.proved).toBe(5);
  });
  it('is not proved at fewer than five loads', () => {
    expect(ends(of(FIVE.slice(0, 4)))).toEqual([undefined, undefined]);
    expect(of([]).proved).toBe(0);
  });
  it('opens at no less than a hundred of the smallest changes that can be read', () => {
    expect(ends(of([...FIVE, [240_000, 239_000]], 250))).toEqual(['40000', '240000']);
  });
  it('does not depend on the order of the rows, and lies within the loads', () => {
    const row = fc
      .integer({ min: 1000, max: 400_000 })
      .chain((applied) =>
        fc
          .double({ min: -0.02, max: 0.02, noNaN: true })
          .map((off) => [Math.round(applied * (1 + off)), applied] as const),
      );
    fc.assert(
      fc.property(
        fc.uniqueArray(row, { selector: ([, applied]) => applied, minLength: 1, maxLength: 12 }),
        (rows) => {
          const found = of(rows);
          expect(ends(of(rows.toReversed()))).toEqual(ends(found));
          const { from, to } = found;
          if (!from || !to) return;
          const inside = found.loads.filter(
            ({ indicated }) => indicated.greaterThanOrEqualTo(from) && indicated.lessThanOrEqualTo(to),
          );
          expect(inside.length).toBeGreaterThanOrEqual(found.proved);
        },
      ),
    );
  });
});
