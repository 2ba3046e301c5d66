import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { computed, idsOf } from '@/testing/outcome';
import { CappingInput } from './capping/input';
import type { Method } from './contract';
import { fieldsOf } from './fields';
import { findMethod, METHODS } from './registry';
import {
  columnsOfRows,
  fieldAt,
  isRows,
  labelAt,
  newRowName,
  pathOf,
  placeOf,
  ROWS_LENGTH,
  readingsOf,
  typedInput,
} from './rows-field';
import { usableInput, validateInput } from './validate';

const capping = findMethod('capping') as Method;
const cap = (id: string, specimen: string, end: string) => ({
  id,
  specimen,
  end,
  at: '2031-06-10T13:20:00-04:00',
});

describe('the path of a cell', () => {
  it('is table, row, column, and nothing else is one', () => {
    expect(placeOf('pours/k3f9/at')).toEqual({ field: 'pours', row: 'k3f9', column: 'at' });
    for (const path of ['pours', 'pours/k3f9', 'pours//at', 'pours/k3f9/at/x', 'pours/K3 F9/at', '/k3/at'])
      expect(placeOf(path) ?? { field: '' }).not.toMatchObject({ field: 'pours' });
  });
  it('finds the column it means, and no other', () => {
    expect(fieldAt(CappingInput, 'pours/k1/pot')?.kind).toBe('measure');
    expect(labelAt(CappingInput, 'pours/k1/pot')).toBe('Caps as poured: Pot');
    expect(labelAt(CappingInput, 'lot')).toBe('Lot of compound');
    for (const path of [
      'pours/k1/weight',
      'lot/k1/pot',
      'pours',
      'constructor/k1/at',
      'pours/k1/constructor',
    ])
      expect(fieldAt(CappingInput, path), path).toBeUndefined();
  });
  it('names later rows after earlier ones, rows made in one go in their order', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: Date.UTC(1990, 0), max: Date.UTC(2050, 0) }),
        fc.integer({ min: 1, max: 1e9 }),
        fc.double({ min: 0, max: 0.999, noNaN: true }),
        (at, later, chance) => {
          expect(newRowName(at + later, chance) > newRowName(at, 0.999)).toBe(true);
          expect(newRowName(at, chance, 7) > newRowName(at, 0.999, 6)).toBe(true);
          expect(placeOf(pathOf('pours', newRowName(at, chance, 1295), 'at'))).toBeDefined();
        },
      ),
    );
  });
});

describe('rows as readings', () => {
  it.each(METHODS.map((method) => [method.id, method] as const))(
    'of %s come back as they went',
    (_, method) => {
      for (const system of ['US', 'SI'] as const) {
        const { input } = method.example(system);
        const readings = readingsOf(input);
        const back = typedInput(
          method.Input,
          system,
          readings.map(({ field, text }) => [field, text] as const),
        );
        const plain = (each: Record<string, unknown>): unknown =>
          JSON.parse(JSON.stringify(each, (key, value) => (key === 'id' ? undefined : value)));
        const given = Object.fromEntries(Object.entries(input).filter(([, value]) => value !== undefined));
        expect(plain(back)).toEqual(plain(given));
      }
    },
  );
  it('stand in the order in which they were made, whichever cell was read last', () => {
    const { pours } = typedInput(CappingInput, 'US', [
      ['pours/k2/end', '1'],
      ['pours/k1/end', '2'],
      ['pours/k1/specimen', 'A'],
      ['pours/k3/end', null],
      ['pours/k4/end', ' '],
    ]);
    expect(pours).toEqual([
      { id: 'k1', end: '2', specimen: 'A' },
      { id: 'k2', end: '1' },
    ]);
  });
});

describe('what cannot be', () => {
  const errorsOf = (pours: unknown, whole = false) => {
    const checked = validateInput(capping, { system: 'US', pours }, { whole });
    return checked.ok ? {} : checked.errors;
  };
  it('is refused at the cell, by the name of the row', () => {
    expect(Object.keys(errorsOf([{ ...cap('k1', 'A', '3'), pot: '999' }]))).toEqual([
      'pours/k1/end',
      'pours/k1/pot',
    ]);
    expect(errorsOf([{ specimen: 'A', plates: 'P1' }])['pours/r1/plates']).toMatch(/mean.*plate/u);
  });
  it('is asked for at the end, row by row', () => {
    expect(errorsOf([{ id: 'k1', specimen: 'A' }])).toEqual({});
    const missing = Object.keys(errorsOf([{ id: 'k1', specimen: 'A' }], true));
    expect(missing).toEqual(expect.arrayContaining(['pours/k1/end', 'pours/k1/at']));
  });
  it.each([['A,1,13:20'], [{ specimen: 'A' }], [[null]], [['A']], [[[]]], [42]])(
    'is no table: %j',
    (pours) => {
      expect(Object.values(errorsOf(pours)).join()).toMatch(/rows are expected|each row/u);
      expect(() => capping.compute(usableInput(capping, { system: 'US', pours }).input, {})).not.toThrow();
    },
  );
  it('are more rows than a table has', () => {
    const many = Array.from({ length: ROWS_LENGTH + 1 }, (_, index) => cap(`k${index}`, 'A', '1'));
    expect(errorsOf(many).pours).toMatch(/at most 500 rows/u);
    expect(errorsOf(many.slice(1))).toEqual({});
  });
  it('goes by itself: the row keeps what can be used', () => {
    const { input, errors } = usableInput(capping, {
      system: 'US',
      pours: [{ ...cap('k1', 'A', '1'), pot: 'hot' }, cap('k2', 'A', '2')],
    });
    expect(Object.keys(errors)).toEqual(['pours/k1/pot']);
    const { pours } = input as CappingInput;
    expect(pours?.map(({ id, end, pot }) => [id, end, pot])).toEqual([
      ['k1', '1', undefined],
      ['k2', '2', undefined],
    ]);
  });
});

it('a row that lacks something is said, and is in no sum', () => {
  const outcome = computed(capping, { pours: [{ specimen: 'A', end: '1' }, cap('k2', 'A', '2')] });
  const said = outcome.findings.find(({ id }) => id === 'rows.unfinished');
  expect(said?.message).toBe('Caps as poured: row 1 lacks at.');
  expect(outcome.picture.values.capped).toBe('A/2');
  expect(idsOf(computed(capping, { pours: [cap('k2', 'A', '2')] }))).not.toContain('rows.unfinished');
});

it('every table has a column that a row cannot be without, and examples that fit its columns', () => {
  const tables = METHODS.flatMap(({ id, Input }) =>
    fieldsOf(Input)
      .filter(isRows)
      .map((table) => ({ id, table })),
  );
  expect(tables.length).toBeGreaterThan(7);
  for (const { id, table } of tables) {
    const columns = columnsOfRows(table);
    expect(
      columns.some(({ required }) => required),
      `${id} ${table.name}`,
    ).toBe(true);
    for (const cells of [...table.example.US, ...table.example.SI])
      expect(cells.length, `${id} ${table.name}`).toBeLessThanOrEqual(columns.length);
  }
});
