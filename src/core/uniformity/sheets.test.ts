import { describe, expect, it } from 'vitest';
import { Limits } from '../limits';
import { type SheetOfLot, sheetTrends } from './sheets';

const DAY = 86_400_000;
const limits = new Limits();
/** Sheets of one source, with one property each, in their order. */
const sheets = (
  values: readonly number[],
  own: readonly (number | undefined)[] = [],
  source = 'Works',
): SheetOfLot[] =>
  values.map((sheet, at) => ({
    ...{ sampleId: `s${at}`, label: `C-${at}`, sampledAt: at * DAY, source },
    values: [{ what: 'Surface', unit: 'm²/kg', decimals: 0, sheet, own: own[at] }],
  }));
/** Six that scatter by some: mean 380, steps of 4 to 8. */
const BASE = [380, 376, 384, 378, 382, 380];

describe('sheets over the lots of a source', () => {
  it('one alone says nothing, two stand beside one another', () => {
    expect(sheetTrends(sheets([380]), limits)).toEqual([]);
    expect(sheetTrends(sheets([380, 382]), limits)).toMatchObject([
      { what: 'Surface', source: 'Works', steps: undefined, off: undefined },
    ]);
  });
  it.each([
    // Six sheets are the baseline; what stays about them is no step.
    [[...BASE, 379, 381, 380], undefined],
    [[...BASE, 390, 393, 395], 'up'],
    [[...BASE, 370, 367, 366], 'down'],
    // The baseline by itself is held against nothing.
    [BASE, undefined],
  ])('%j: %s', (values, steps) => {
    expect(sheetTrends(sheets(values), limits)[0]?.steps).toBe(steps);
  });
  it('says how far the own values lie off, of those that there are', () => {
    // By hand: (+4, −2) on the average +1.
    expect(sheetTrends(sheets([380, 382, 384], [384, undefined, 382]), limits)[0]?.off).toBe(1);
    expect(sheetTrends(sheets([380, 382], [384]), limits)[0]?.off).toBeUndefined();
  });
  it('never mixes sources, and has what steps first', () => {
    const quiet = sheets([...BASE, 380], [], 'Works');
    const other = sheets([...BASE, 395, 396, 398], [], 'Other works');
    expect(sheetTrends([...quiet, ...other], limits).map(({ source, steps }) => [source, steps])).toEqual([
      ['Other works', 'up'],
      ['Works', undefined],
    ]);
  });
});
