import { describe, expect, it } from 'vitest';
import { exact } from '../../quantity';
import { Sheet } from '../../working';
import { blendLines, blendsOf } from './blends';
import { CellRow } from './input';
import type { Cell } from './read-cells';

/** A cell that gave off so much to a gram of its cement, up to three days. */
const cellOf = (heat: number, over: object = {}, until = 72): Cell => {
  const row = Object.assign(new CellRow(), { system: 'SI', id: 'r', channel: 'X', ...over });
  return {
    ...({ row, name: row.channel ?? '', plain: !row.other } as Cell),
    recipe: { cement: exact('10') } as never,
    curve: { first: 0, until, heat: (_: number, to: number) => (to <= until ? heat : undefined) } as never,
  };
};
const blended = (heat: number, over: object = {}) => {
  const cell = cellOf(heat, { channel: 'S', other: '2.5', otherKind: 'fly-ash', ...over });
  // 7.5 g of cement beside 2.5 g.
  return { ...cell, recipe: { cement: exact('7.5') } as never };
};

// By hand, from memory of the model’s own cases: 278.1 J/g of cement are 208.58 of binder, 203.09 the cement diluted.
describe('a quarter of it not cement', () => {
  const found = blendsOf([cellOf(270.79), blended(278.1067)], 0.75);
  it('to a gram of binder, beside the cement diluted', () => {
    expect(found.map(({ age }) => age)).toEqual([24, 48, 72]);
    const last = found.at(-1);
    expect(last?.share).toBeCloseTo(0.25, 10);
    expect(last?.binder).toBeCloseTo(208.58, 2);
    expect(last?.diluted).toBeCloseTo(203.09, 2);
    expect((last?.binder ?? 0) - (last?.diluted ?? 0)).toBeCloseTo(5.49, 2);
  });
  it('stands with its working at three days', () => {
    const sheet = new Sheet('half-even');
    blendLines(found, sheet);
    expect(sheet.lines.map(({ symbol, name }) => `${symbol} ${name}`)).toEqual([
      'B1 Heat of S to a gram of binder, 72 h',
      'A1 of which above the cement diluted, 72 h',
    ]);
  });
  it('nothing is told without the cement as it came, of other cells, or of an age that one of them does not reach', () => {
    expect(blendsOf([blended(278)], 0.75)).toEqual([]);
    expect(blendsOf([cellOf(270), cellOf(260)], 0.75)).toEqual([]);
    expect(blendsOf([cellOf(270), blended(278, { otherKind: undefined })], 0.75)).toEqual([]);
    expect(blendsOf([cellOf(270), cellOf(270, {}, 24), blended(278)], 0.75).map(({ age }) => age)).toEqual([
      24,
    ]);
  });
});
