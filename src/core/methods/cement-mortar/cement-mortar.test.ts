import { describe, expect, it } from 'vitest';
import { findMethod } from '../registry';
import type { RunSetup } from '../setup';
import { usableInput } from '../validate';

const method = findMethod('cement-mortar') as NonNullable<ReturnType<typeof findMethod>>;
const CONTACT = '2031-09-12T13:40:00Z';
type Batch = readonly [water: string, across: string, more?: object];
const mixed = (
  batches: readonly Batch[],
  more: object = {},
  facts: RunSetup['facts'] = { cementType: 'c150.I' },
) => {
  const { input } = usableInput(method, {
    ...{ system: 'SI', cubes: '6', cement: '500', sand: '1375', tamped: '140', tamping: 'right' },
    batches: batches.map(([water, across, over], place) => {
      const [d1, d2, d3, d4] = across.split(' ');
      return {
        id: `b${place}`,
        contactAt: CONTACT,
        water,
        drops: '25',
        lifted: '60',
        d1,
        d2,
        d3,
        d4,
        ...over,
      };
    }),
    ...more,
  });
  return { ...method.compute(input, { facts }), waits: method.waits?.(input, { facts }) ?? [] };
};
const ids = ({ findings }: ReturnType<typeof mixed>) => findings.map(({ id }) => id);
const texts = ({ results }: ReturnType<typeof mixed>) => results.map(({ text }) => text);
const LIMESTONE = { cementType: 'c595.IL' };

// ASTM C1437 and C109 (from memory); means by hand.
describe('the flow of a mortar', () => {
  it.each([
    ['211 209 213 208', '', '110'],
    ['213 212 215 210', '101.6', '109'],
  ])('%s on a base of %s: %s %%', (across, base, text) => {
    expect(texts(mixed([['242.5', across]], base ? { base } : {}))).toEqual([text, '0.485']);
  });
  it('of portland cement is told, whatever it is', () => {
    const told = mixed([['242.5', '224 224 224 224']]);
    expect(texts(told)[0]).toBe('124');
    expect(ids(told)).toEqual([]);
  });
  it('of every other cement has to be right: no cubes else', () => {
    const told = mixed([['242', '217 217 217 217']], {}, LIMESTONE);
    expect(ids(told)).toContain('cement-mortar.flow');
    expect(ids(mixed([['242', '215 215 215 215']], {}, LIMESTONE))).toEqual([]);
  });
  it('of portland-limestone cement goes by what the order says', () => {
    const fixed = { ...LIMESTONE, waterBy: 'fixed' };
    expect(ids(mixed([['242.5', '224 224 224 224']], {}, fixed))).toEqual([]);
  });
  it('tells the next water between two batches', () => {
    // 98 and 118 %: 242 + 13 · 12 / 20.
    const told = mixed(
      [
        ['242', '198 198 198 198'],
        ['255', '218 218 218 218'],
      ],
      {},
      LIMESTONE,
    );
    expect(told.picture.values.next).toBe(249.8);
  });
  it.each([
    [{ drops: '24' }, 'flow-table.batch-1'],
    [{ lifted: '80' }, 'flow-table.batch-1'],
    [{ d1: '230' }, 'flow-table.spread-1'],
  ])('%j: %s', (over, id) => {
    expect(ids(mixed([['242.5', '210 210 210 210', over]]))).toContain(id);
  });
});

describe('the batch', () => {
  it.each([
    [{ cement: '505' }, 'cement-mortar.mass-cement'],
    [{ sand: '1380' }, 'cement-mortar.mass-sand'],
    [{ tamped: '160' }, 'cement-mortar.mould'],
    [{ tamping: 'otherwise' }, 'cement-mortar.tamping'],
    [{ cabinetAt: '2031-09-12T14:00:00Z', strippedAt: '2031-09-13T08:00:00Z' }, 'cement-mortar.in-moulds'],
  ])('%j: %s', (more, id) => {
    expect(ids(mixed([['242.5', '210 210 210 210']], more))).toContain(id);
  });
  it('another water of portland cement is said', () => {
    expect(ids(mixed([['250', '210 210 210 210']]))).toContain('cement-mortar.mass-batches');
    // Air-entraining portland cement has 0.460.
    expect(ids(mixed([['230', '210 210 210 210']], {}, { cementType: 'c150.IA' }))).toEqual([]);
  });
  it('nine cubes take 740 g', () => {
    const nine = { cubes: '9', cement: '740', sand: '2035' };
    expect(ids(mixed([['358.9', '210 210 210 210']], nine))).toEqual([]);
    expect(
      method
        .plan('SI', { facts: { cementType: 'c150.I' } })
        .slice(0, 2)
        .map(({ text }) => text),
    ).toEqual(['cement 500 g, sand 1,375 g, water 242 g', 'cement 740 g, sand 2,035 g, water 359 g']);
  });
  it('waits in its moulds for a day, three at the most', () => {
    const told = mixed([['242.5', '210 210 210 210']], { cabinetAt: '2031-09-12T14:00:00Z' });
    expect(told.waits).toMatchObject([
      {
        opens: '2031-09-13T10:00:00.000Z',
        best: '2031-09-13T14:00:00.000Z',
        closes: '2031-09-15T14:00:00.000Z',
      },
    ]);
  });
});
