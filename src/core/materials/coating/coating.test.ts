import { describe, expect, it } from 'vitest';
import { Limits } from '../../limits';
import { coating } from '.';

const limits = new Limits();

describe('a coating or an overlay', () => {
  // Three of an area by ASTM D4541, D7234, C1583 (from memory).
  it('wants three pulls of an area, and one in five more for one that slides', () => {
    const plan = (area: string | undefined, asked: object = {}) =>
      coating.plan?.(area ? { area } : {}, { limits, system: 'SI', asked: { ...asked } });
    expect(plan('400 m2')).toMatchObject({ count: 3, take: 4 });
    expect(plan('461 m2')).toMatchObject({ count: 6, take: 8 });
    expect(plan(undefined)).toMatchObject({ count: 3 });
    expect(plan('400 m2', { pulls: '5' })).toMatchObject({ count: 5, take: 6 });
  });
  it('says whose limit it is', () => {
    expect(Object.keys(coating.problems?.({ pullBy: 'd4541', pullOffLeast: '5 MPa' }) ?? {})).toEqual([
      'limitFrom',
    ]);
    expect(coating.problems?.({ pullBy: 'd4541' })).toEqual({});
    expect(coating.problems?.({ pullOffMean: '1 MPa', limitFrom: 'section 4' })).toEqual({});
  });
  it('stands in lists by its standard, its coats and its limits', () => {
    const said = Object.fromEntries(
      coating.summary({ pullBy: 'c1583', coats: 'A old, B new', pullOffLeast: '150 psi' }),
    );
    expect(said).toMatchObject({ Coats: 'A old, B new', 'Every pull at least': '150 psi' });
    expect(said['Pulled by']).toContain('C1583');
  });
});
