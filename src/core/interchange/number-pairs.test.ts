import { describe, expect, it } from 'vitest';
import { readNumberPairs } from '.';

const plain = (text: string): string[][] =>
  readNumberPairs(text).pairs.map((pair) => pair.map((value) => value.toFixed()));

describe('rows of two numbers', () => {
  it('are read as they are pasted', () => {
    expect(plain('ground,pads\n8120,8060\n8,340\t8,390\n8010; 7950\n\n')).toEqual([
      ['8120', '8060'],
      ['8340', '8390'],
      ['8010', '7950'],
    ]);
  });
  it('a row without two numbers is given back, a header is not', () => {
    expect(readNumberPairs('indicated applied\n20,000 19,950\nnothing 5\n12').bad).toEqual([
      'nothing 5',
      '12',
    ]);
    expect(readNumberPairs('20,000').bad).toEqual(['20,000']);
  });
  it('thousands that are marked by commas are not cut in two, decimals are kept', () => {
    expect(plain('100,200,99,350\n44.5 44.72')).toEqual([
      ['100200', '99350'],
      ['44.5', '44.72'],
    ]);
  });
});
