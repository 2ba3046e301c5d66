import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fieldOf, isRows } from '../methods';
import { CappingInput } from '../methods/capping/input';
import { ConcreteTemperatureInput } from '../methods/concrete-temperature/input';
import { DensityYieldInput } from '../methods/density-yield/input';
import { EndGrindingInput } from '../methods/end-grinding/input';
import { OvenDryingInput } from '../methods/oven-drying/input';
import { UnitConditioningInput } from '../methods/unit-conditioning/input';
import { UnitSoakInput } from '../methods/unit-soak/input';
import { readMoment } from './moment-text';
import { readRows } from './rows-csv';

const ZONE = 'America/New_York';
const NOW = Date.parse('2031-06-10T14:00:00-04:00');
const about = { system: 'US', zone: ZONE, now: NOW } as const;

function tableOf(input: new () => object, name: string) {
  const field = fieldOf(input, name);
  if (!field || !isRows(field)) throw new Error(name);
  return field;
}
const materials = tableOf(DensityYieldInput, 'materials');
const pours = tableOf(CappingInput, 'pours');
const trace = tableOf(ConcreteTemperatureInput, 'trace');
const found = tableOf(EndGrindingInput, 'found');
const soaked = tableOf(UnitSoakInput, 'units');
const weighings = tableOf(OvenDryingInput, 'weighings');

describe('rows out of a paste or a file', () => {
  it.each([
    ['tabs', 'cement\t4600\t3.15\nsand\t10100\t2.64'],
    ['commas', 'cement,4600,3.15\nsand,10100,2.64'],
    ['semicolons and decimal commas', 'cement;4600;3,15\nsand;10100;2,64'],
    ['a header in another order', 'Relative density,Material,Mass\n3.15,cement,4600\n2.64,sand,10100'],
    [
      'a mark of the encoding and Windows line ends',
      '\uFEFFname,mass,density\r\ncement,4600,3.15\r\nsand,10100,2.64\r\n',
    ],
  ])('set apart by %s', (_, text) => {
    const { rows, ignored } = readRows(text, materials, about);
    expect(rows.map(({ cells }) => cells)).toEqual([
      { name: 'cement', mass: '4600', density: '3.15' },
      { name: 'sand', mass: '10100', density: '2.64' },
    ]);
    expect(rows.every(({ errors, problem }) => problem === null && Object.keys(errors).length === 0)).toBe(
      true,
    );
    expect(ignored).toEqual([]);
  });
  it('keep the unit of their column, and that of a cell before it', () => {
    const { rows } = readRows('name,mass_kg,density\ncement,2086,3.15\nsand,10100 lb,2.64', materials, about);
    expect(rows.map(({ cells }) => cells.mass)).toEqual(['2086 kg', '10100 lb']);
  });
  it('take a material whose name holds the word of a column for a material', () => {
    const { rows } = readRows('density of cement,4600,3.15', materials, about);
    expect(rows).toHaveLength(1);
    expect(rows[0]?.cells.name).toBe('density of cement');
    expect(readRows('mass', materials, about).rows).toHaveLength(1);
  });
  it('say which cell cannot be, which is missing, and when a comma for thousands made two of one', () => {
    const { rows } = readRows('cement,-4600,315\nsand,10100\nstone,14,650,2.71,1,1', materials, about);
    expect(Object.keys(rows[0]?.errors ?? {})).toEqual(expect.arrayContaining(['mass', 'density']));
    expect(rows[1]?.errors.density).toMatch(/not taken yet/u);
    expect(rows[2]?.problem).toMatch(/without a comma/u);
  });
  it('know what other files call a column, and the unit that goes with the word', () => {
    const file = 'batch_id,specimen_id,end,t_pour,pot_C,plate_id\nCB-3,A-1,1,2031-06-10T09:10,131,P1';
    const { rows, ignored } = readRows(file, pours, about);
    expect(rows[0]?.cells).toEqual({
      specimen: 'A-1',
      end: '1',
      at: '2031-06-10T13:10:00.000Z',
      pot: '131 degC',
      plate: 'P1',
    });
    expect([rows[0]?.errors, ignored]).toEqual([{}, ['batch_id']]);
  });
  it('name the columns that the table does not have', () => {
    const { rows, ignored } = readRows(
      'name,mass,density,supplier\ncement,4600,3.15,quarry',
      materials,
      about,
    );
    expect(ignored).toEqual(['supplier']);
    expect(rows[0]?.errors).toEqual({});
  });
  it('take words for answers, and times of day on the day they are near', () => {
    expect(
      readRows('A-1,7.90,0.01,ok\nA-2,7.8,0.02,fail', found, about).rows.map(({ cells }) => cells.plane),
    ).toEqual(['yes', 'no']);
    const { rows } = readRows('A-1,1,13:20,270,P2\nA-1,2,13:31', pours, about);
    expect(rows.map(({ cells }) => cells.at)).toEqual([
      '2031-06-10T17:20:00.000Z',
      '2031-06-10T17:31:00.000Z',
    ]);
    expect(readRows('A-1,3,soon', pours, about).rows[0]?.errors).toMatchObject({
      end: expect.stringContaining('choose'),
      at: expect.stringContaining('no time'),
    });
  });
  it('count their seconds, from the first row where the text does', () => {
    const { rows } = readRows('13:20:00\t60\n+1:30\t71\n+2:00\t72', trace, about);
    expect(rows.map(({ cells }) => cells.at?.slice(11, 19))).toEqual(['17:20:00', '17:21:30', '17:22:00']);
    expect(readRows('0:30\t60', trace, about).rows[0]?.errors.at).toMatch(/seconds count/u);
  });
  it('answer any text with rows and words, never with an exception', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 200 }), (text) => {
        for (const table of [materials, pours, trace])
          for (const { cells, line } of readRows(text, table, about).rows) {
            expect(line).toBeGreaterThan(0);
            for (const cell of Object.values(cells)) expect(typeof cell).toBe('string');
          }
      }),
    );
  });
});

describe('a moment without a date', () => {
  const at = (text: string, near: string): string | undefined => {
    const read = readMoment(text, { zone: ZONE, near: Date.parse(near) });
    return 'at' in read ? read.at : undefined;
  };
  it('is the nearest of yesterday, today and tomorrow', () => {
    expect(at('0:20', '2031-06-10T23:50:00-04:00')).toBe('2031-06-11T04:20:00.000Z');
    expect(at('23:50', '2031-06-11T00:20:00-04:00')).toBe('2031-06-11T03:50:00.000Z');
    expect(at('13:20', '2031-06-10T14:00:00-04:00')).toBe('2031-06-10T17:20:00.000Z');
  });
  it('is read with its date too, and nothing else is a time', () => {
    expect(at('2031-06-09 8:05', '2031-06-10T14:00:00-04:00')).toBe(undefined);
    expect(at('2031-06-09 08:05', '2031-06-10T14:00:00-04:00')).toBe('2031-06-09T12:05:00.000Z');
    for (const text of ['24:10', '7', '13.20', 'noon', '', '+2:00', '13:60'])
      expect(at(text, '2031-06-10T14:00:00-04:00'), text).toBeUndefined();
  });
});

describe('the log of a balance', () => {
  const LOG = [
    'timestamp,specimen_id,quantity,mass,unit,operator',
    '2031-06-10T10:00:00-04:00,U4,Wi,17.28,lb,TM',
    '2031-06-10T10:03:00-04:00,U4,Ws,34.94,lb,TM',
    '2031-06-10T10:05:00-04:00,U5,Wi,7.883,kg,TM',
    '2031-06-11T12:00:00-04:00,U4,Wd,32.36,lb,TM',
    '2031-06-11T14:00:00-04:00,U4,Wd,32.35,lb,TM',
  ].join('\n');
  it('gives to the tank what was weighed there, one row for each unit, and leaves the rest aside in words', () => {
    const { rows, ignored } = readRows(LOG, soaked, about);
    expect(rows.map(({ cells }) => [cells.specimen, cells.immersed, cells.saturated])).toEqual([
      ['U4', '17.28 lb', '34.94 lb'],
      ['U5', '7.883 kg', undefined],
    ]);
    expect(Date.parse(rows[0]?.cells.at ?? '')).toBe(Date.parse('2031-06-10T10:03:00-04:00'));
    expect(rows[1]?.errors).toHaveProperty('saturated');
    expect(ignored).toEqual(['2 lines of other quantities']);
  });
  it('gives to the oven one row for each weighing, and never a mass of the tank', () => {
    const { rows, ignored } = readRows(LOG, weighings, about);
    expect(rows.map(({ cells }) => cells.mass)).toEqual(['32.36 lb', '32.35 lb']);
    expect(ignored).toEqual(['3 lines of other quantities']);
  });
});

describe('a log in any order', () => {
  const line = fc.record({
    unit: fc.constantFrom('U4', 'U5', 'U6'),
    quantity: fc.constantFrom('Wi', 'Ws', 'Wd', 'Wr'),
    mass: fc.integer({ min: 1000, max: 4000 }).map((hundredths) => (hundredths / 100).toFixed(2)),
  });
  it('loses no mass that the table has, and takes none that it has not', () => {
    fc.assert(
      fc.property(fc.array(line, { minLength: 1, maxLength: 25 }), (lines) => {
        const text = [
          'timestamp,specimen_id,quantity,mass,unit',
          ...lines.map(
            ({ unit, quantity, mass }) => `2031-06-10T10:00:00-04:00,${unit},${quantity},${mass},lb`,
          ),
        ].join('\n');
        const { rows } = readRows(text, soaked, about);
        const masses = (own: (typeof lines)[number]['unit']) =>
          rows
            .filter(({ cells }) => cells.specimen === own)
            .flatMap(({ cells }) => [cells.immersed, cells.saturated])
            .filter((cell) => cell !== undefined)
            .toSorted();
        for (const own of ['U4', 'U5', 'U6'] as const)
          expect(masses(own)).toEqual(
            lines
              .filter(({ unit, quantity }) => unit === own && (quantity === 'Wi' || quantity === 'Ws'))
              .map(({ mass }) => `${mass} lb`)
              .toSorted(),
          );
      }),
    );
  });
});

describe('the log of a recorder with several channels', () => {
  const LOG = [
    'timestamp,channel,temp_f,rh_pct',
    '2031-06-10T10:00:00-04:00,oven,230,',
    '2031-06-10T10:00:00-04:00,room,72,61',
    '2031-06-10T11:00:00-04:00,room,73,62',
    '2031-06-10T11:00:00-04:00,tank,70,',
  ].join('\n');
  it.each([
    [UnitConditioningInput, 'air', ['72 degF', '73 degF'], '2 lines of other channels'],
    [OvenDryingInput, 'log', ['230 degF'], '3 lines of other channels'],
  ] as const)('gives to each table its own', (input, name, read, aside) => {
    const { rows, ignored } = readRows(LOG, tableOf(input, name), about);
    expect(rows.map(({ cells }) => cells.temperature)).toEqual(read);
    expect(ignored).toContain(aside);
  });
});
