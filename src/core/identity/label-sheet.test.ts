import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sheetRows } from './label-sheet';

describe('labels on a sheet', () => {
  it('stand three across, in the order they are stuck', () => {
    expect(sheetRows(['A', 'B', 'C', 'D'])).toEqual([['A', 'B', 'C'], ['D']]);
    expect(sheetRows([])).toEqual([]);
    expect(sheetRows([1, 2, 3], 1)).toEqual([[1], [2], [3]]);
  });
  it('are all there, once', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer(), { maxLength: 70 }),
        fc.integer({ min: 1, max: 6 }),
        (labels, across) => {
          const rows = sheetRows(labels, across);
          expect(rows.flat()).toEqual(labels);
          for (const row of rows) expect(row.length).toBeLessThanOrEqual(across);
          for (const row of rows.slice(0, -1)) expect(row.length).toBe(across);
        },
      ),
    );
  });
});
