import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { computed, idsOf, lineOf } from '../../../testing/outcome';
import { readRows } from '../../interchange/rows-csv';
import { Limits } from '../../limits';
import { exact, type System } from '../../quantity';
import type { Outcome } from '../contract';
import { fieldOf } from '../fields';
import { findMethod } from '../registry';
import type { LoadLogFacts } from '../setup';
import { rockCompression as own } from '.';
import { pairsOf, profilesOf } from './ends';
import { crossheadSpeed, ratesAllowed, ratesInTime } from './rate';
import { EndRow, type Scan } from './rows';

const limits = new Limits();
// As everybody has it, with what its answers mean by themselves.
const rockCompression = findMethod(own.id) ?? own;

/** The method's example with some readings changed. */
function tested(over: Record<string, unknown>, system: System = 'SI', facts: object = {}): Outcome {
  const { input, setup } = rockCompression.example(system);
  return computed(rockCompression, { ...input, ...over }, { ...setup, facts: { ...setup.facts, ...facts } });
}

/** Rows of the dial along one diameter, 3 mm apart, as they are typed; heights in µm. */
const scan = (along: Scan, micrometres: string) =>
  micrometres.split(' ').map((text, place) => ({
    ...{ id: `${along.toLowerCase()}${place}`, along, x: String(3 * place) },
    y: String(Number(text) / 1000),
  }));
/** The same as the method reads them. */
const rows = (...typed: readonly ReturnType<typeof scan>[]): EndRow[] =>
  typed.flat().map((row) => Object.assign(new EndRow(), row, { system: 'SI' }));

const SIZES = {
  ...{ top1: '54.02', top2: '54.10', middle1: '54.06', middle2: '54.08', bottom1: '54.04', bottom2: '54.12' },
  ...{ length1: '118.4', length2: '118.5', length3: '118.6' },
};
const strength = (outcome: Outcome) => outcome.results.find(({ symbol }) => symbol === 'S');

// ASTM D7012 method C, D4543 (from memory); the numbers by hand: S = P / (π D² / 4).
describe('the strength of a core of rock', () => {
  it.each([
    // 212.6 kN over 2,296.16 mm².
    ['SI', { ...SIZES, maximumLoad: '212.6' }, '92.6', 'uniaxial strength'],
    // 168.4 kN over 1,995.04 mm², 1.5 times as long as wide: another shape, by a name of its own.
    [
      'SI',
      {
        ...Object.fromEntries(
          Object.keys(SIZES).map((name) => [name, name.startsWith('length') ? '75.6' : '50.4']),
        ),
        maximumLoad: '168.4',
      },
      '84.4',
      'uniaxial strength, other shape',
    ],
    // 28,750 lbf over 2.7612 in², to three figures.
    [
      'US',
      {
        ...Object.fromEntries(
          Object.keys(SIZES).map((name) => [name, name.startsWith('length') ? '4.1' : '1.875']),
        ),
        maximumLoad: '28,750',
        endReadings: [],
        grain: '0.1',
      },
      '10400',
      'uniaxial strength',
    ],
  ] as const)('in %s of %j is %s', (system, over, reported, quantity) => {
    expect(strength(tested(over, system))).toMatchObject({ reported, quantity });
  });

  it('along an old joint is not that of the rock, and stands in no mean', () => {
    const outcome = tested({ failure: 'joint' });
    expect(strength(outcome)?.quantity).toBe('strength along a joint');
    expect(idsOf(outcome)).toContain('ucs.joint');
    expect(rockCompression.set?.quantity).toBe('uniaxial strength');
  });

  // 84.41 MPa at L/D 1.5: over 0.88 + 0.24 / 1.5 it is 81.2, over 0.778 + 0.222 / 1.5 it is 91.2 (older relations, from memory).
  it.each([
    ['two', '81.2'],
    ['one', '91.2'],
  ])('taken to another length is printed beside, never instead: %s', (beside, text) => {
    const outcome = tested({
      ...Object.fromEntries(
        Object.keys(SIZES).map((name) => [name, name.startsWith('length') ? '75.6' : '50.4']),
      ),
      maximumLoad: '168.4',
      beside,
    });
    expect(outcome.results.map(({ reported }) => reported).slice(0, 2)).toEqual(['84.4', text]);
  });

  it('takes what stood on it when it was set to zero, and says so', () => {
    const outcome = tested({ ...SIZES, maximumLoad: '210.6', heldAtZero: '2' });
    expect(strength(outcome)?.reported).toBe('92.6');
    expect(idsOf(outcome)).toContain('ucs.held');
  });

  it('has the time by the record of the press before that of the stopwatch', () => {
    const { input, setup } = rockCompression.example('SI');
    const loadLog: LoadLogFacts = { verdict: 'valid', troubles: [], dips: [], spikes: [], toPeak: 95 };
    const outcome = computed(
      rockCompression,
      { ...input, time: '150' },
      { ...setup, loadLog: { ...loadLog } },
    );
    expect(outcome.findings.find(({ id }) => id === 'ucs.time')?.message).toBe('It failed after 95 s.');
  });
});

describe('the ends of a core', () => {
  const ENDS = [
    ...scan('1A', '0 5 11 18 22 27 35 40 44 52 58 62 69 73 80 86 90'),
    ...scan('2A', '60 57 54 49 46 44 39 36 32 28 26 21 17 14 11 7 4'),
  ];
  const round = Object.fromEntries(
    Object.keys(SIZES).map((name) => [name, name.startsWith('length') ? '104' : '48.00']),
  );

  // Both ends tilted one way: 0.001901 up and 0.001185 down are 0.041° apart, each flat within 1.4 µm. By hand.
  it('are flat, square and parallel by the dial', () => {
    const outcome = tested({ ...round, endReadings: ENDS });
    expect(lineOf(outcome, 'm1A')).toBeCloseTo(0.001901, 6);
    expect(lineOf(outcome, 'm2A')).toBeCloseTo(-0.001185, 6);
    expect(lineOf(outcome, 'e1A')).toBeCloseTo(0.0014, 4);
    expect(lineOf(outcome, 's1A')).toBeCloseTo(0.001875, 6);
    expect(lineOf(outcome, 's2A')).toBeCloseTo(0.001167, 6);
    expect(lineOf(outcome, 'wA')).toBeCloseTo(0.041, 3);
    expect(idsOf(outcome).filter((id) => /flat|square|parallel/u.test(id))).toEqual([]);
    // The worst of each stands in the table of a report.
    expect(
      ['e', 'q', 'w'].map((each) => outcome.results.find(({ symbol }) => symbol === each)?.text),
    ).toEqual(['0.001', '0.0019', '0.04']);
  });

  it('read with the dial kept one way are told by the difference of their slopes', () => {
    expect(lineOf(tested({ ...round, endReadings: ENDS, sense: 'turned' }), 'wA')).toBeCloseTo(0.1768, 3);
  });

  it.each([
    // 215 µm over 48 mm are 0.00448, more than 0.0043.
    ['0 10 19 30 41 50 70 85 110 120 132 145 158 170 185 198 215', ['ucs.square']],
    // A dome of 46 µm: its crown lies 26 µm off the line, more than 25.
    ['0 4 8 13 19 26 34 41 46 41 34 26 19 13 8 4 0', ['ucs.flat']],
  ])('of %s are refused: %j', (micrometres, ids) => {
    const outcome = tested({ ...round, endReadings: scan('1A', micrometres) });
    expect(idsOf(outcome).filter((id) => /flat|square|parallel/u.test(id))).toEqual(ids);
    expect(strength(outcome)?.quantity).toBe('uniaxial strength, other shape');
    expect(outcome.results.some(({ text }) => text.endsWith(' ✕'))).toBe(true);
  });

  it('are said to be unread where they were not, along each diameter', () => {
    expect(idsOf(tested({ endReadings: [] }))).toContain('ucs.ends-unread');
    const some = tested({ endReadings: ENDS }).findings.find(({ id }) => id === 'ucs.ends-unread');
    expect(some?.remark).toBe('Ends checked along 2 of 4 diameters.');
  });

  it('are the same however they are tilted on the plate: flatness does not know the slope', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: -60, max: 60 }), { minLength: 4, maxLength: 20 }),
        fc.integer({ min: -40, max: 40 }),
        fc.integer({ min: -500, max: 500 }),
        (heights, tilt, lift) => {
          const at = (along: Scan, of: (height: number, place: number) => number) =>
            scan(along, heights.map(of).join(' '));
          const [plain, tilted] = profilesOf(
            rows(
              at('1A', (height) => height),
              at('2A', (height, place) => height + tilt * place + lift),
            ),
            3,
          );
          expect(tilted?.off.toNumber()).toBeCloseTo(plain?.off.toNumber() ?? Number.NaN, 9);
        },
      ),
    );
  });

  it('that are mirror images of one another are parallel, whatever their tilt', () => {
    fc.assert(
      fc.property(fc.integer({ min: -200, max: 200 }), fc.integer({ min: 3, max: 15 }), (tilt, count) => {
        const heights = Array.from({ length: count }, (_, place) => tilt * place);
        const [pair] = pairsOf(
          profilesOf(
            rows(scan('1B', heights.join(' ')), scan('2B', heights.map((each) => -each).join(' '))),
            3,
          ),
        );
        expect((pair?.one.line.slope ?? 1) + (pair?.two.line.slope ?? 1)).toBeCloseTo(0, 12);
      }),
    );
  });
});

// ASTM D7012 (from memory): 0.5 to 1.0 MPa/s and failure in 2 to 15 min; both hold only in between.
describe('the rate of a core', () => {
  it.each([
    ['92.6', false, '0.103', '0.772'],
    ['18', true, '0.020', '0.150'],
    ['60', false, '0.067', '0.500'],
  ])('expected at %s MPa: conflict %s, in time at %s to %s MPa/s', (expected, conflict, low, high) => {
    expect(ratesAllowed(exact(expected), limits, 'SI') === undefined).toBe(conflict);
    const inTime = ratesInTime(exact(expected), limits, 'SI');
    expect([inTime?.low.toFixed(3), inTime?.high.toFixed(3)]).toEqual([low, high]);
  });

  it('of weak rock is a speed of the crosshead', () => {
    // 0.5 % of 118.5 mm in 300 s.
    expect(crossheadSpeed(exact('118.5'), limits, 'SI').toNumber()).toBeCloseTo(0.1185, 6);
    const outcome = tested({ ...SIZES }, 'SI', { expectedStrength: '18 MPa' });
    expect(outcome.findings.find(({ id }) => id === 'ucs.conflict')?.message).toContain('within 36 s');
    expect(
      idsOf(tested({ ...SIZES, control: 'strain' }, 'SI', { expectedStrength: '18 MPa' })),
    ).not.toContain('ucs.conflict');
  });

  it('that was chosen too fast for the time says what to set', () => {
    const outcome = tested({ ...SIZES, chosenRate: '1.0', loadingRate: '1.0' }, 'SI', {
      expectedStrength: '92.6 MPa',
    });
    const said = outcome.findings.find(({ id }) => id === 'ucs.conflict');
    expect(said?.message).toBe('At this rate it would fail after 93 s.');
    expect(said?.action).toContain('0.772');
  });

  it('off the one that was chosen by more than a tenth is remarked', () => {
    expect(idsOf(tested({ chosenRate: '0.70', loadingRate: '0.77' }))).not.toContain('ucs.steady');
    expect(idsOf(tested({ chosenRate: '0.70', loadingRate: '0.78' }))).toContain('ucs.steady');
  });

  it.each([
    ['119', true],
    ['120', false],
    ['900', false],
    ['901', true],
  ])('that took %s s is remarked: %s', (time, said) => {
    expect(idsOf(tested({ time })).includes('ucs.time')).toBe(said);
  });
});

describe('a core that is not what the method asks for', () => {
  it.each([
    [{ ...SIZES, length1: '108.14', length2: '108.14', length3: '108.14' }, 'ucs.length-ratio', false],
    [{ ...SIZES, length1: '108.0', length2: '108.0', length3: '108.0' }, 'ucs.length-ratio', true],
    [{ grain: '5.4' }, 'ucs.grain', false],
    [{ grain: '5.5' }, 'ucs.grain', true],
    [{ side: '0.50' }, 'ucs.side', false],
    [{ side: '0.51' }, 'ucs.side', true],
    [{ offset: '1.5' }, 'ucs.offset', true],
    [{ top1: '53.4' }, 'ucs.diameters', true],
    [{ ends: 'compound' }, 'ucs.capped', true],
    [{ cracked: 'open' }, 'ucs.cracked', true],
    [{ failure: 'handling' }, 'ucs.handled', true],
    [{ failure: 'spall' }, 'ucs.spall', true],
    [{ cracked: 'closed' }, 'ucs.closed-joint', true],
    [
      Object.fromEntries(
        Object.keys(SIZES)
          .slice(0, 6)
          .map((name) => [name, '54.00']),
      ),
      'ucs.all-alike',
      true,
    ],
  ])('%j says %s: %s', (over, id, said) => {
    expect(idsOf(tested(over)).includes(id)).toBe(said);
  });
});

describe('a group of cores', () => {
  const piece = (value: string, place: number) => ({
    label: `G${place + 1}`,
    value,
    used: true,
    quantities: {},
  });
  const derived = (...values: string[]) => {
    const mean = values.reduce((sum, each) => sum.plus(each), exact(0)).div(values.length);
    return rockCompression.set?.derives?.(mean, {
      ...{ pieces: values.map(piece), rejected: 0, facts: {}, asked: {}, system: 'SI', unit: 'MPa' },
      ...{ limits, mode: 'half-even' },
    } as never);
  };

  it('says how far they lie apart', () => {
    // 90, 100 and 110: s is 10, a tenth of the mean.
    expect(derived('90', '100', '110')).toMatchObject({
      said: [['Deviation', '10 % of the mean']],
      remarks: [],
    });
  });
  it('of two rocks is said, and one far below the others too', () => {
    const { remarks } = derived('100', '102', '98', '55') ?? { remarks: [] };
    expect(remarks).toEqual([expect.stringContaining('G4 lies far below')]);
    expect(derived('30', '100', '30', '100')?.remarks[0]).toContain('of one rock');
  });
  it('of one core derives nothing', () => {
    expect(derived('90')).toMatchObject({ said: [], lines: [] });
  });
});

it('the dial comes from a file in µm', () => {
  const field = fieldOf(own.Input, 'endReadings');
  if (field?.kind !== 'rows') throw new Error('no rows');
  const { rows } = readRows('scan,x_mm,y_um\n1A,0,0\n1A,13,18', field, { system: 'SI', zone: 'utc', now: 0 });
  expect(rows.map(({ cells, errors }) => [cells.y, errors])).toEqual([
    ['0 um', {}],
    ['18 um', {}],
  ]);
});
