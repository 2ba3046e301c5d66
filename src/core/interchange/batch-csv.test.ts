import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { computed, textOf } from '@/testing/outcome';
import { Limits } from '../limits';
import type { Method } from '../methods';
import { findMethod } from '../methods/registry';
import { type Batch, batchDifferences, batchReadings, readBatches } from './batch-csv';

const HEAD = 'ticket,truck,time_loaded,volume,material,type,design,actual,unit,moisture_pct,absorption_pct';
const limits = new Limits();
const read = (rows: readonly string[], system: 'US' | 'SI' = 'US') =>
  readBatches([HEAD, ...rows].join('\n'), system, 'America/New_York');
const one = (rows: readonly string[], system: 'US' | 'SI' = 'US'): Batch => {
  const [batch] = read(rows, system).batches;
  if (!batch) throw new Error('no batch');
  return batch;
};

describe('tickets out of a file', () => {
  it('gathers the rows of a ticket, wherever they stand, in the order of the file', () => {
    const { batches, problems } = read([
      'A1,7,2031-05-14 07:40,9,cement,cement,4200,4230,lb,,',
      'A2,8,2031-05-14 07:50,9,cement,cement,4200,4190,lb,,',
      'A1,7,,,water,water,2100,2142,lb,,',
    ]);
    expect(problems).toEqual([]);
    expect(batches.map(({ ticket, truck, materials }) => [ticket, truck, materials.length])).toEqual([
      ['A1', '7', 2],
      ['A2', '8', 1],
    ]);
    expect(batches[0]?.loadedAt).toBe('2031-05-14T11:40:00.000Z');
    expect(batches[0]?.volume).toBe('9');
  });
  it.each([
    ['A1,,,,cement,wine,1,1,lb,,', /Line 2: type must be one of/],
    ['A1,,,,cement,cement,1,1,furlongs,,', /Line 2: unit "furlongs"/],
    ['A1,,,,cement,cement,1,lots,lb,,', /Line 2: actual is no number/],
    ['A1,,,,cement,cement,1,-4,lb,,', /Line 2: actual is no number/],
    [',,,,cement,cement,1,4,lb,,', /Line 2: no ticket number/],
  ])('leaves out a ticket with a row it cannot read: %j', (row, problem) => {
    const { batches, problems } = read([row, 'B1,,,,cement,cement,,5,lb,,']);
    expect(problems).toEqual([expect.stringMatching(problem)]);
    expect(batches.map(({ ticket }) => ticket)).toEqual(['B1']);
  });
  it('does not bring in half a ticket', () => {
    const { batches } = read(['A1,,,,cement,cement,,5,lb,,', 'A1,,,,water,water,,many,lb,,']);
    expect(batches).toEqual([]);
  });
  it.each([
    ['1000', 'kg', 'US', '2204.62262184878'],
    ['2.5', 'lb', 'SI', '1.133980925'],
    ['100', 'gal', 'US', '834.5'],
  ] as const)('%s %s is in %s a mass of %s', (amount, unit, system, mass) => {
    expect(one([`A1,,,,w,water,,${amount},${unit},,`], system).materials[0]?.actual).toBe(mass);
  });
  it('bears semicolons with decimal commas', () => {
    const text = `${HEAD.replaceAll(',', ';')}\nA1;7;14.05.2031 07:40;7,5;Zement;cement;;2100,5;kg;;`;
    const [batch] = readBatches(text, 'SI', 'Europe/Berlin').batches;
    expect([batch?.volume, batch?.materials[0]?.actual, batch?.loadedAt]).toEqual([
      '7.5',
      '2100.5',
      '2031-05-14T05:40:00.000Z',
    ]);
  });
  it('never throws, whatever stands in the rows', () => {
    fc.assert(
      fc.property(fc.array(fc.string(), { maxLength: 5 }), (rows) => {
        expect(() => read(rows)).not.toThrow();
      }),
    );
  });
});

describe('what a ticket fills in', () => {
  const ROWS = [
    'A1,7,2031-05-14 07:40,9,cement,cement,4200,4230,lb,,',
    'A1,7,,,fly ash,scm,850,846,lb,,',
    'A1,7,,,sand,fine,,11250,lb,5.2,1.1',
    'A1,7,,,stone,coarse,,16200,lb,0.4,1.0',
    'A1,7,,,water,water,,1642,lb,,',
    'A1,7,,,ice,ice,,200,lb,,',
  ];
  it('sums cementitious material and water with ice, and keeps moistures', () => {
    const { delivery, 'density-yield': density } = batchReadings(one(ROWS));
    expect(delivery).toMatchObject({
      batchedAt: '2031-05-14T11:40:00.000Z',
      batchedFrom: 'ticket',
      loadVolume: '9',
      cementitious: '5076',
      water: '1842',
      fine: '11250',
      fineMoisture: '5.2',
      fineAbsorption: '1.1',
    });
    expect(density).toEqual({ batchMass: '34368', cementitious: '5076', ticketVolume: '9' });
  });
  it('gives readings that the methods take as they are', () => {
    const { delivery } = batchReadings(one(ROWS));
    const outcome = computed(findMethod('delivery') as Method, delivery, { facts: { waterRatio: '0.45' } });
    // Free water by hand: 11250/1.052·0.041 = 438.45; 16200/1.004·(−0.006) = −96.81; (1842 + 438.45 − 96.81)/5076 = 0.4302.
    expect(textOf(outcome, 'water-cementitious ratio')).toBe('0.43');
  });
  it('makes one aggregate of several with the same free water', () => {
    const batch = one(['A1,,,,sand,fine,,8000,lb,6.0,1.0', 'A1,,,,sand 2,fine,,3000,lb,3.0,1.4']);
    const { fine, fineMoisture, fineAbsorption } = batchReadings(batch).delivery;
    const free = (wet: number, moisture: number, absorption: number): number =>
      ((wet / (1 + moisture / 100)) * (moisture - absorption)) / 100;
    const both = free(8000, 6, 1) + free(3000, 3, 1.4);
    expect(free(Number(fine), Number(fineMoisture), Number(fineAbsorption))).toBeCloseTo(both, 0);
  });
  it('leaves out what the file does not say', () => {
    const { delivery, 'density-yield': density } = batchReadings(one(['A1,,,,cement,cement,,500,lb,,']));
    expect(Object.keys(delivery).toSorted()).toEqual(['cementitious', 'water']);
    expect(density.ticketVolume).toBeUndefined();
  });
});

// Batching tolerances of ASTM C94/C94M (from memory): cement 1 %, aggregates 2 %, water 3 %, admixtures 3 %.
describe('batched against the mix', () => {
  it.each([
    ['cement', '1000', '1010', []],
    ['cement', '1000', '1010.1', ['delivery.cement-mass']],
    ['cement', '1000', '989.9', ['delivery.cement-mass']],
    ['scm', '1000', '1011', ['delivery.cement-mass']],
    ['fine', '1000', '1020', []],
    ['coarse', '1000', '979', ['delivery.aggregate-mass']],
    ['water', '1000', '1030', []],
    ['ice', '1000', '1031', ['delivery.water-mass']],
    ['admixture', '10', '10.4', ['delivery.admixture-mass']],
    ['admixture', '10', '10.3', []],
  ])('%s %s batched as %s', (type, design, actual, ids) => {
    expect(
      batchDifferences(one([`A1,,,,m,${type},${design},${actual},lb,,`]), 'US', limits).map(({ id }) => id),
    ).toEqual(ids);
  });
  it('looks at the kind as a whole, and says by how much and who is told', () => {
    const found = batchDifferences(
      one(['A1,,,,c,cement,4000,4100,lb,,', 'A1,,,,s,scm,1000,910,lb,,', 'A1,,,,w,water,1000,950,lb,,']),
      'US',
      limits,
    );
    expect(found.map(({ message }) => message)).toEqual(['Water: −5 % of what the mix asks for.']);
    expect(found[0]?.action).toMatch(/purchaser’s representative/);
    expect(found[0]?.severity).toBe('advice');
  });
  it('says nothing where the file gives no design mass', () => {
    expect(batchDifferences(one(['A1,,,,c,cement,,4100,lb,,']), 'US', limits)).toEqual([]);
  });
});
