import { describe, expect, it } from 'vitest';
import type { Criterion } from '../acceptance/criterion';
import { limitOf } from '../acceptance/evaluate';
import { Limits } from '../limits';
import { exact } from '../quantity';
import { brick } from './brick';
import { CRITERIA as OF_BRICK } from './brick/criteria';
import { masonry } from './masonry';
import { CRITERIA as OF_BLOCK } from './masonry/criteria';
import { declaredProblem, schoolOf } from './schools';

const limits = new Limits();
/** What a criterion asks of a product: the limit, with nothing where it does not ask. */
function asks(
  all: readonly Criterion[],
  id: string,
  product: string,
  asked: Record<string, string> = {},
  found: Record<string, string> = {},
): string | undefined {
  const of = (values: Record<string, string>) => (name: string) =>
    values[name] === undefined ? undefined : exact(values[name]);
  const criterion = all.find((each) => each.id === id);
  if (!criterion) throw new Error(id);
  const about = {
    unit: 'MPa',
    mode: 'half-even',
    step: exact('0.1'),
    asked: of(asked),
    said: (name: string) => (name === 'product' ? product : asked[name]),
    found: of(found),
    limits,
    system: 'SI',
  } as const;
  return limitOf(criterion, about)?.value.toString();
}

describe('concrete block of another school', () => {
  // EN 771-3, IS 2185-1, CSA A165.1 (from memory): the class or what is declared; no unit below 80 % of it.
  it.each([
    ['unit-normalised-mean', 'en771-3', '10'],
    ['unit-normalised-each', 'en771-3', '8'],
    ['unit-gross-mean', 'en771-3', undefined],
    ['unit-strength-mean', 'en771-3', undefined],
    ['unit-gross-mean', 'is2185', '10'],
    ['unit-gross-each', 'is2185', '8'],
    ['unit-mass-mean', 'is2185', '10'],
    ['unit-strength-mean', 'is2185', undefined],
    ['unit-strength-mean', 'a165', '10'],
    ['unit-gross-mean', 'a165', undefined],
    ['unit-normalised-mean', 'c90', undefined],
    ['unit-strength-mean', 'c90', '13.8'],
  ])('%s of %s with 10 MPa declared: %s', (id, product, limit) => {
    expect(asks(OF_BLOCK, id, product, { declared: '10' })).toBe(limit);
  });
  it('is drawn in its own number', () => {
    // EN 6 and IS 8 for strength, CSA 5, ASTM C140 three (from memory); three for absorption.
    for (const [product, count] of [
      ['c90', 6],
      ['en771-3', 9],
      ['is2185', 11],
      ['a165', 8],
    ] as const)
      expect(masonry.plan?.({}, { limits, system: 'SI', asked: { product } })).toMatchObject({ count });
    const roles = Array.from({ length: 10 }, (_, before) =>
      masonry.registers?.[0]?.role?.(before, { product: 'en771-3' }, limits),
    );
    expect(roles).toEqual([
      ...Array<string>(6).fill('compression'),
      ...Array<string>(3).fill('absorption'),
      'spare',
    ]);
  });
});

// ASTM C90 Table 1 up to 2010 and of today (from memory).
describe('shells and webs by the edition', () => {
  const wide = { width: '194' };
  it.each([
    ['unit-web', 'c90', wide, '19'],
    ['unit-web', 'c90-2013', wide, '19'],
    ['unit-web', 'c90-2010', wide, '25'],
    ['unit-web-area', 'c90', wide, '45140'],
    ['unit-web-area', 'c90-2010', wide, undefined],
    ['unit-web-equivalent', 'c90', wide, undefined],
    ['unit-web-equivalent', 'c90-2010', wide, '188'],
    ['unit-web-equivalent', 'c90-2010', { width: '92' }, '136'],
    ['unit-shell', 'c90', { width: '295' }, '32'],
    ['unit-shell', 'c90-2010', { width: '295' }, '38'],
    ['unit-shell', 'c90-2010', {}, undefined],
    ['unit-strength-mean', 'c90-2013', {}, '13.1'],
    ['unit-strength-each', 'c90-2010', {}, '11.7'],
    // What an edition has no row of its own for is that of today.
    ['unit-absorption-mean', 'c90-2010', {}, '208'],
  ] as const)('%s of %s, %o: %s', (id, product, asked, limit) => {
    expect(asks(OF_BLOCK, id, product, asked, { 'class density': '2100' })).toBe(limit);
  });
});

describe('brick of another school', () => {
  // EN 771-1 and IS 1077 (from memory).
  it.each([
    ['brick-strength-mean', 'is1077', '10', '10'],
    ['brick-strength-each', 'is1077', '10', '8'],
    ['brick-cold-mean', 'is1077', '12.5', '20'],
    ['brick-cold-mean', 'is1077', '15', '15'],
    ['brick-boil-mean', 'is1077', '10', undefined],
    ['brick-normalised-mean', 'en771-1', '25', '25'],
    ['brick-normalised-each', 'en771-1', '25', '20'],
    ['brick-strength-mean', 'en771-1', '25', undefined],
    ['brick-cold-mean', 'en771-1', '25', undefined],
    ['brick-voids', 'is1077', '10', undefined],
  ])('%s of %s, class %s: %s', (id, product, declared, limit) => {
    expect(asks(OF_BRICK, id, product, { declared })).toBe(limit);
  });
  it('of heavy paving has strength and cold absorption by its type', () => {
    // ASTM C1272 (from memory).
    expect(asks(OF_BRICK, 'brick-strength-mean', 'c1272', { grade: 'f' })).toBe('69');
    expect(asks(OF_BRICK, 'brick-cold-each', 'c1272', { grade: 'r' })).toBe('7');
    expect(asks(OF_BRICK, 'brick-boil-mean', 'c1272', { grade: 'r' })).toBeUndefined();
  });
  it('is broken whole', () => {
    const roles = (product: string) =>
      Array.from({ length: 12 }, (_, before) => brick.registers?.[0]?.role?.(before, { product }, limits));
    expect(roles('is1077').slice(3, 11)).toEqual([
      ...['compression', 'compression'],
      ...Array<string>(5).fill('absorption'),
      'efflorescence',
    ]);
    expect(roles('en771-1').filter((role) => role === 'compression')).toHaveLength(10);
    expect(roles('c216')[0]).toBe('halves');
  });
  it('needs its class, and IS one that there is', () => {
    const wrong = (asked: object) => brick.problems?.({ edition: '2020', ...asked }) ?? {};
    expect(wrong({ product: 'is1077' })).toHaveProperty('declared');
    expect(wrong({ product: 'is1077', declared: '11 MPa' }).declared).toContain('10, 12.5');
    expect(wrong({ product: 'is1077', declared: '12.5 MPa' })).toEqual({});
    expect(wrong({ product: 'is1077', declared: '1813 psi' })).toEqual({});
    expect(wrong({ product: 'en771-1', declared: '11 MPa' })).toEqual({});
    expect(wrong({ product: 'c62' })).toHaveProperty('grade');
  });
});

it('knows its products, and what is missing of them', () => {
  expect([schoolOf('a165'), schoolOf('c90'), schoolOf(undefined)]).toEqual(['csa', undefined, undefined]);
  expect(declaredProblem({ product: 'is2185' })).toHaveProperty('declared');
  expect(declaredProblem({ product: 'is2185', declared: '5 MPa' })).toEqual({});
  expect(declaredProblem({ product: 'c90' })).toEqual({});
});
