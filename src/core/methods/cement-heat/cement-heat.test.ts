import { describe, expect, it } from 'vitest';
import { recordOfRows, SimulatedCalorimeter, type SimulatedCell, STAND_IN_CELLS } from '../../calorimetry';
import { findMethod } from '../registry';
import { usableInput } from '../validate';
import { readHeatPicture } from './read-picture';

const method = findMethod('cement-heat') as NonNullable<ReturnType<typeof findMethod>>;
const START = Date.parse('2031-09-12T12:00:00Z');
const QUIET = { interval: 60, range: 400, lag: 0, noise: 0.002, wanders: 0, ripple: 0, rippleEvery: 14 };
const iso = (hours: number): string => new Date(START + hours * 3_600_000).toISOString();

type Cells = readonly (Partial<SimulatedCell> & { readonly row?: object })[];
/** Cells of 12 g of paste, 8 g of cement, a fifth of an hour apart from two hours of baseline on. */
const cellsOf = (cells: Cells): SimulatedCell[] =>
  cells.map(({ row: _, ...over }, place) => ({
    ...{ name: String(place + 1), cement: {}, grams: 8, contact: 2 + place / 5, insertedAfter: 5 },
    ...over,
  }));
function tested(
  cells: Cells,
  { hours = 80, ...over }: { hours?: number; [name: string]: unknown } = {},
  asked = {},
) {
  const simulated = cellsOf(cells);
  const record = recordOfRows(new SimulatedCalorimeter(5, simulated, START, hours * 3600, QUIET).run(0));
  const { input } = usableInput(method, {
    ...{ system: 'SI', calorimeter: 'CAL', bath: '23', mixed: 'outside', days: '3', conditioned: '20' },
    cells: simulated.map(({ name, contact, insertedAfter }, place) => ({
      ...{ channel: name, cement: '10', water: '5', paste: '12' },
      ...{ contactAt: iso(contact), insertedAt: iso(contact + insertedAfter / 60) },
      ...{ reference: 'water', referenceWater: '5.44' },
      ...cells[place]?.row,
    })),
    ...{ record: 'test.csv', finishedAt: iso(hours) },
    ...over,
  });
  const outcome = method.compute(input, {
    records: { record: over.unit ? { ...record, unit: over.unit as 'mV' } : record },
    facts: { cementType: 'c150.II-MH', orderedHeat: true },
    equipment: [{ number: 'CAL', kind: 'calorimeter', verifiedOn: '2031-08-01' }],
    ...asked,
  });
  return {
    outcome,
    ids: outcome.findings.map(({ id }) => id.replace(/\.r\d+$/u, '')),
    result: (quantity: string) => outcome.results.find((each) => each.quantity === quantity),
    drawn: readHeatPicture(outcome.picture),
  };
}

describe('two cells of one cement', () => {
  const { outcome, ids, result, drawn } = tested([{}, {}]);
  it('come to the heat that was put in', () => {
    // The model gives off 270.79 J/g in three days, 11.72 of it before 45 min.
    expect(Number(result('heat in 3 d')?.reported)).toBeCloseTo(270.8 - 11.7, -0.5);
    expect(result('heat in 3 d')).not.toHaveProperty('provisional');
    expect(Number(result('main maximum of power')?.reported)).toBeCloseTo(3.48, 1);
    expect(Number(result('half of the maximum, from the water')?.reported)).toBeCloseTo(4.8, 1);
    expect(result('heat in 7 d')).toBeUndefined();
  });
  it('say nothing but what they are', () => {
    expect(ids).toEqual([]);
  });
  it('are held to the heat of their type, where it was ordered', () => {
    expect(outcome.verdicts.map(({ state, limit }) => [state, limit])).toEqual([
      ['meets', 'not more than 335 J/g'],
    ]);
    const four = tested([{}, {}], {}, { facts: { cementType: 'c150.IV' } }).outcome.verdicts;
    expect(four.map(({ state }) => state)).toEqual(['does not meet', 'not yet determinable']);
    expect(tested([{}, {}], {}, { facts: { cementType: 'c150.II-MH' } }).outcome.verdicts).toEqual([]);
    expect(tested([{}, {}], { ofJob: true }).outcome.verdicts).toEqual([]);
  });
  it('weigh their reference by heat capacity', () => {
    // 8 g of cement and 4 g of water: 6 + 16.72 J/K.
    expect(drawn.references[0]?.slice(1, 4)).toEqual([22.72, 5.44, 30.29]);
  });
  it('draw their marks', () => {
    expect(drawn.cells).toHaveLength(2);
    const main = drawn.cells[0]?.marks.find(({ mark }) => mark === 'main');
    expect(main?.at).toBeCloseTo(8.15, 0);
    expect(drawn.cells[0]?.points.length).toBeGreaterThan(200);
    expect(method.draws?.(outcome.picture)[0]?.drawing.shapes.length).toBeGreaterThan(10);
  });
});

describe('what is said of a test of heat', () => {
  const cases: [string, ReturnType<typeof tested>][] = [
    ['heat.off', tested([{}, {}], { bath: '24' })],
    ['heat.conditioned', tested([{}, {}], { conditioned: '1' })],
    ['heat.water-off', tested([{ row: { water: '5.2' } }, {}])],
    ['heat.paste', tested([{ row: { paste: '16' } }, {}])],
    ['heat.insert', tested([{ insertedAfter: 25 }, {}])],
    ['heat.order', tested([{ row: { insertedAt: iso(1) } }, {}])],
    ['heat.reference', tested([{ row: { referenceWater: '12' } }, {}])],
    // 0.10 g of water: 2442 J/g, over 8 g of cement 30.5 J/g.
    ['heat.evaporated', tested([{ row: { lost: '0.10' } }, {}])],
    ['heat.channel', tested([{ row: { channel: 'nine' } }, {}])],
    ['heat.baseline', tested([{ contact: 0.5, row: { contactAt: iso(0.5), insertedAt: iso(0.6) } }, {}])],
    ['heat.range-share', tested([{}, {}], { range: '30' })],
    ['heat.volts', tested([{}, {}], { unit: 'mV' })],
    // A tenth of the masses: mW to a gram come out ten times as high.
    ['heat.usual-peak', tested([{ row: { cement: '1', water: '0.5', paste: '1.2' } }, {}])],
    ['heat.alike', tested([{ grams: 8.5 }, {}])],
    ['heat.alike-half', tested([{ cement: { lag: 1 } }, {}])],
    ['heat.unclear', tested([{ cement: { sulfate: 2.4 } }, {}])],
    // 0.3 mW higher behind than before, of 8 g: 37 µW/g.
    ['heat.drift', tested([{ row: { before: '0', after: '0.3' } }, {}])],
    ['heat.negative', tested([{ row: { before: '1', after: '2' } }, {}])],
  ];
  it.each(cases)('%s', (id, { ids }) => {
    expect(ids).toContain(id);
  });
  it('of a record that counts from nought: when was that?', () => {
    const done = tested(
      [{}, {}],
      { hours: 60 },
      {
        records: {
          record: {
            ...recordOfRows(new SimulatedCalorimeter(5, cellsOf([{}, {}]), START, 216_000, QUIET).run(0)),
            start: null,
          },
        },
      },
    );
    expect(done.ids).toContain('heat.began');
    expect(done.outcome.results).toEqual([]);
  });
  it('is provisional while two cells lie apart, until a third is there', () => {
    const two = tested([{ grams: 8.5 }, {}]).result('heat in 3 d');
    expect(two?.provisional).toMatch(/J\/g of heat.* apart: a third is run first/u);
    expect(tested([{ grams: 8.5 }, {}, {}]).result('heat in 3 d')?.provisional).toBeUndefined();
    expect(tested([{}]).result('heat in 3 d')?.provisional).toMatch(/two are wanted/u);
  });
  it('is of the cement as it came: what was added stands beside it', () => {
    const done = tested([{}, {}, { cement: { lag: 3 }, row: { admixture: 'Retarder' } }]);
    expect(done.ids).toEqual([]);
    expect(done.drawn.cells.map(({ plain }) => plain)).toEqual([true, true, false]);
  });
});

describe('a mark that is put elsewhere', () => {
  const moved = { channel: '1', mark: 'half', at: '5.30', why: 'the induction is too short' };
  it('counts, and where it was found is kept', () => {
    const done = tested([{}, {}], { moved: [moved] });
    // Of the mean of two cells half of it moves.
    expect(Number(done.result('half of the maximum, from the water')?.value)).toBeCloseTo(
      (5.3 + 4.797) / 2,
      1,
    );
    const half = done.drawn.cells[0]?.marks.find(({ mark }) => mark === 'half');
    expect(half).toMatchObject({ at: 5.3, why: 'the induction is too short' });
    expect(half?.was).toBeCloseTo(4.8, 1);
    expect(method.draws?.(done.outcome.picture)[0]?.notes.join()).toContain('the induction is too short');
  });
  it('counts in what is said of the order of the maxima, too', () => {
    const aluminate = (over: Record<string, unknown>) =>
      tested([{ cement: { sulfate: 3 } }], over).outcome.findings.find(({ id }) =>
        id.startsWith('heat.aluminate'),
      )?.message;
    expect(aluminate({})).toBeUndefined();
    const near = { channel: '1', mark: 'second', at: '9.40', why: 'the shoulder is here' };
    const main = { channel: '1', mark: 'main', at: '8.20', why: 'by eye' };
    expect(aluminate({ moved: [main, near] })).toContain('the second follows 1.2 h behind');
  });
  it('without a reason counts for nothing', () => {
    const { why: _, ...bare } = moved;
    const done = tested([{}, {}], { moved: [bare] });
    expect(Number(done.result('half of the maximum, from the water')?.value)).toBeCloseTo(4.797, 1);
  });
});

describe('a series of sulfate', () => {
  const dose = (sulfate: number, grams: string) => ({
    cement: { sulfate },
    row: grams ? { sulfate: grams } : {},
  });
  const series = { sulfate: '2.0', sulfateAs: 'gypsum', purity: '95' };
  // By hand: 10·(s − 0.02)/(0.44175 − s) g of gypsum of 95 %.
  const doses = tested(
    [dose(2, ''), dose(2, ''), dose(2.4, '0.0957'), dose(3, '0.2429'), dose(3.5, '0.3688')],
    series,
  );
  it('knows what each blend holds', () => {
    expect(doses.drawn.doses.map(({ sulfate }) => sulfate)).toEqual([2, 2.4, 3, 3.5]);
  });
  it('is in balance where heat and order both hold', () => {
    expect(doses.drawn.chosen).toBe('4');
    const balance = doses.outcome.findings.find(({ id }) => id === 'heat.balance');
    expect(balance?.message).toMatch(/^In balance from 3\.00 % of SO₃ on/u);
  });
  it('proves which maximum is the aluminate: it moves', () => {
    const moves = doses.outcome.findings.find(({ id }) => id === 'heat.moves');
    expect(moves?.message).toMatch(
      /From 3\.00 % to 3\.50 % of SO₃ the second moved from 12\.\d to 15\.\d h/u,
    );
  });
  it('of two contents is none', () => {
    expect(tested([dose(2, ''), dose(2.4, '0.0957')], series).drawn.doses).toEqual([]);
  });
});

describe('a calibration by the heater', () => {
  it('makes mW of volts', () => {
    // 2.000 V on 100.0 ohms are 40.00 mW; 5.556 mV: 7.199 W/V.
    const heater = [{ channel: '1', volts: '2.000', ohms: '100.0', steady: '5.568', without: '0.012' }];
    const done = tested([{}], { unit: 'mV', heater });
    expect(done.outcome.lines.find(({ symbol }) => symbol === 'e1')?.rounded).toBe('7.199');
    expect(Number(done.result('main maximum of power')?.value)).toBeCloseTo(7.199 * 3.479, 0);
    const since = (earlier: string) => tested([{}], { unit: 'mV', heater: [{ ...heater[0], earlier }] }).ids;
    expect(since('7.10')).not.toContain('heat.calibration');
    // 7.199 on 7.02 is 2.5 % off.
    expect(since('7.02')).toContain('heat.calibration');
  });
  it('by a pulse: what the heater gave, to the area under it', () => {
    const by = (over: object) =>
      tested([{}], {
        unit: 'mV',
        heater: [{ channel: '1', volts: '2.000', ohms: '100.0', ...over }],
      }).outcome.lines.find(({ symbol }) => symbol === 'e1')?.rounded;
    // 40.00 mW for 600 s over 3,333.6 mV·s are 7.199 W/V, by hand.
    expect(by({ pulse: '600', area: '3333.6' })).toBe('7.199');
    // Neither steady nor with its area nothing is known.
    expect(by({ pulse: '600' })).toBeUndefined();
  });
});

it('a blend is told to a gram of binder as well, and when parts of its maximum are reached', () => {
  const blend = { row: { cement: '7.5', other: '2.5', otherKind: 'fly-ash' }, grams: 6 };
  const done = tested([{}, {}, blend]);
  const last = done.drawn.blends.at(-1);
  // Its cement gives off as much as the other: three quarters of it, and nothing above the cement diluted.
  expect(done.drawn.blends.map(({ age }) => age)).toEqual([24, 48, 72]);
  expect(last?.binder).toBeCloseTo(0.75 * (last?.cement ?? 0), 1);
  expect((last?.binder ?? 0) - (last?.diluted ?? 0)).toBeCloseTo(0, 0);
  const of = (share: number) => done.drawn.sets.find((each) => each.cell === '1' && each.share === share);
  expect(of(0.5)?.max).toBeCloseTo(4.8, 1);
  expect(of(0.2)?.max).toBeLessThan(of(0.5)?.max ?? 0);
});

it('the stand-in’s own cells tell what stands in them', () => {
  const done = tested(
    STAND_IN_CELLS.map(({ mixed, admixture, paste, grams, ...cell }) => ({
      ...{ ...cell, grams },
      row: {
        ...(mixed.sulfate ? { sulfate: String(mixed.sulfate) } : {}),
        ...(admixture ? { admixture } : {}),
        paste: String(paste),
      },
    })),
    { sulfate: '2.2', sulfateAs: 'gypsum', purity: '94', hours: 40 },
  );
  expect(done.drawn.cells).toHaveLength(8);
  expect(done.drawn.doses.map(({ sulfate }) => sulfate)).toEqual([2.2, 2.5, 2.8, 3.1, 3.4]);
  expect(done.drawn.chosen).toBeDefined();
});

it('waits to be read out when its days are over, and is done when it was', () => {
  const waiting = (over: object) =>
    method.waits?.(
      usableInput(method, {
        ...{ system: 'SI', days: '7' },
        cells: [{ channel: '1', insertedAt: iso(2) }],
        ...over,
      }).input,
      {},
    );
  const wait = {
    id: 'read-out',
    what: 'Read out the calorimeter, a week on',
    lane: 'paste',
    opens: iso(170),
  };
  expect(waiting({})).toEqual([wait]);
  expect(waiting({ finishedAt: iso(171) })).toEqual([{ ...wait, done: iso(171) }]);
});
