import { describe, expect, it } from 'vitest';
import { readRows } from '../picture-rows';
import { findMethod } from '../registry';
import { usableInput } from '../validate';

const method = findMethod('cement-mill-sheet') as NonNullable<ReturnType<typeof findMethod>>;
type Value = readonly [property: string, value: string, unit: string, more?: object];
const FACTS = {
  cementType: 'c150.I',
  surface: '385 m2/kg',
  initial: '118 min',
  density: '3.14',
  'strength-3d': ['22.0 MPa', '22.4 MPa', '22.2 MPa'],
  'strength-7d': ['4940 psi', '4950 psi', '4960 psi'],
};
function read(values: readonly Value[], facts: object = FACTS, over: object = {}) {
  const { input } = usableInput(method, {
    ...{ system: 'SI', sheet: 'MS-1', basis: 'grab', readAt: '2031-09-22T13:00:00Z', ...over },
    values: values.map(([property, value, unit, more]) => ({ property, value, unit, ...more })),
  });
  const done = method.compute(input, { facts } as never);
  return {
    done,
    rows: readRows(done.picture.values.rows).map(([label, sheet, own, , , ratio, standing, why]) => ({
      ...{ label, sheet, own, ratio, standing, why },
    })),
    ids: done.findings.map(({ id }) => id.replace(/\.r\d+$/u, '')),
  };
}

describe('a sheet beside own tests', () => {
  it('is compared in one unit, whatever it is written in', () => {
    const { rows, done } = read([
      ['strength-7d', '5210', 'psi'],
      ['surface', '4120', 'cm2/g'],
      ['initial', '2.5', 'h'],
    ]);
    expect(rows.map(({ ratio, standing }) => [ratio, standing])).toEqual([
      ['0.28', 'agrees'],
      ['1.13', 'investigate'],
      ['0.71', 'within method'],
    ]);
    expect(rows[0]).toMatchObject({ sheet: '35.9', own: '34.1' });
    expect(done.results[0]?.text).toBe('0');
  });
  it('strengths of a school whose precision nobody knows stand beside one another and are not judged', () => {
    const is = { ...FACTS, cementType: 'is269.43', 'strength-7d': ['34.0 MPa', '34.4 MPa', '34.2 MPa'] };
    const { rows } = read([['strength-7d', '39.0', 'MPa']], is);
    expect(rows[0]).toMatchObject({ own: '34.2', standing: '', why: 'no precision known' });
    // Prisms are no specimens: their strengths stand in tests of their own, which is not the same as none.
    const { 'strength-7d': _, ...prisms } = { ...FACTS, cementType: 'en197.42.5N' };
    const en = read([['strength-7d', '39.0', 'MPa']], prisms);
    expect(en.rows[0]).toMatchObject({
      own: '',
      standing: '',
      why: 'own strengths stand in their own tests',
    });
  });
  it('of another school is shown and not compared', () => {
    // A prism of 34.5 MPa is no cube of 4,950 psi.
    const { rows, ids } = read([['strength-7d', '34.5', 'MPa', { school: 'en' }]]);
    expect(rows[0]).toMatchObject({ standing: '', why: 'different methods, not compared' });
    expect(ids).toEqual([]);
  });
  it('says what it waits for, and what nobody knows a precision of', () => {
    const { rows } = read(
      [
        ['final', '240', 'min'],
        ['loss', '2.1', 'percent'],
        ['strength-1d', '12', 'MPa'],
        ['so3', '2.9', 'percent'],
      ],
      {
        ...FACTS,
        loss: '2.0 percent',
      },
    );
    expect(rows.map(({ why }) => why)).toEqual([
      'no own test yet',
      'no precision known',
      'no own test yet',
      '',
    ]);
  });
  it('is disputed far beyond, and asks for one split sample', () => {
    const { ids, done } = read([['initial', '190', 'min']]);
    expect(ids).toContain('mill.disputed');
    expect(done.results[0]?.text).toBe('1');
    expect(done.verdicts).toEqual([]);
  });
  it('of a mean over a month may lie further apart, where its spread is known', () => {
    const value: Value = ['surface', '412', 'm2/kg', { spread: '8' }];
    expect(read([value]).rows[0]?.standing).toBe('investigate');
    const mean = read([value], FACTS, { basis: 'mean' });
    expect(mean.rows[0]?.standing).toBe('within method');
    expect(mean.ids).toContain('mill.mean');
  });
});

describe('what is odd in a sheet', () => {
  it.each<[string, Value[]]>([
    ['mill.unit', [['surface', '380', 'MPa']]],
    // Ten times too much: cm²/g that were called m²/kg.
    ['mill.usual', [['surface', '3800', 'm2/kg']]],
    ['mill.usual', [['initial', '2', 'min']]],
    ['mill.held', [['initial', '30', 'min']]],
    [
      'mill.order',
      [
        ['strength-3d', '22', 'MPa'],
        ['strength-7d', '21', 'MPa'],
      ],
    ],
    [
      'mill.compound.C₃S',
      [
        ['cao', '63.9', 'percent'],
        ['sio2', '20.5', 'percent'],
        ['al2o3', '5.4', 'percent'],
        ['fe2o3', '2.6', 'percent'],
        ['so3', '3.0', 'percent'],
        ['c3s', '62', 'percent'],
      ],
    ],
    [
      'mill.alkalies.alkalies',
      [
        ['na2o', '0.2', 'percent'],
        ['k2o', '0.6', 'percent'],
        ['alkalies', '0.80', 'percent'],
      ],
    ],
  ])('%s', (id, values) => {
    expect(read(values).ids).toContain(id);
  });
  it('in order says nothing', () => {
    const { ids } = read([
      ...([
        ['cao', '63.9', 'percent'],
        ['sio2', '20.5', 'percent'],
        ['al2o3', '5.4', 'percent'],
      ] as const),
      ...([
        ['fe2o3', '2.6', 'percent'],
        ['so3', '3.0', 'percent'],
        ['c3s', '55.6', 'percent'],
      ] as const),
      ...([
        ['na2o', '0.2', 'percent'],
        ['k2o', '0.6', 'percent'],
        ['alkalies', '0.59', 'percent'],
      ] as const),
      ...([
        ['strength-3d', '22', 'MPa'],
        ['strength-7d', '34', 'MPa'],
      ] as const),
    ]);
    expect(ids).toEqual([]);
  });
  it('is seen as a pattern where several values say one thing', () => {
    const coarse = read([
      ['surface', '412', 'm2/kg'],
      ['strength-7d', '42', 'MPa'],
      ['initial', '80', 'min'],
    ]);
    expect(coarse.done.findings.find(({ id }) => id === 'mill.pattern')?.message).toMatch(/coarser/u);
  });
});

it('says what its compounds let it give off, and what a model expects', () => {
  const compounds: Value[] = [
    ...([
      ['c3s', '57', 'percent'],
      ['c2s', '15', 'percent'],
      ['c3a', '8', 'percent'],
    ] as const),
    ...([
      ['c4af', '9', 'percent'],
      ['so3', '2.9', 'percent'],
      ['mgo', '2.0', 'percent'],
    ] as const),
  ];
  const lines = (values: Value[], facts: object = FACTS) =>
    read(values, facts).done.lines.map(({ symbol, rounded }) => [symbol, rounded]);
  const found = new Map(
    lines([...compounds, ['surface', '380', 'm2/kg']], { cementType: 'c150.I' }).map(([a, b]) => [
      a,
      Number(b),
    ]),
  );
  expect(found.get('Hu')).toBeCloseTo(466.2, 0);
  // 245.0 and 286.1 of 478.0 J/g.
  expect(found.get('M3')).toBeCloseTo((245 * 466.18) / 478.04, 0);
  expect(found.get('M7')).toBeCloseTo((286.1 * 466.18) / 478.04, 0);
  expect(lines(compounds, { cementType: 'c150.I' })).toEqual([['Hu', '466.2']]);
  expect(lines(compounds.slice(1))).toEqual([]);
});
