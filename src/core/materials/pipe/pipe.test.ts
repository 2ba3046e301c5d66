import { describe, expect, it } from 'vitest';
import { Limits } from '../../limits';
import type { SampleOfLot } from '../../material/contract';
import { storedOf } from '../../material/stored';
import { pipe } from '.';
import { Asked } from './fields';

const ROUND = { design: 'c76-III', span: '36', joint: 'tongue', overall: '8.29', jointDepth: '3.5' };
const stored = (typed: Record<string, unknown>, system: 'US' | 'SI' = 'US') => {
  const found = storedOf(Asked, typed, system);
  if (!found.ok) throw new Error(JSON.stringify(found.errors));
  return found.value;
};
const problems = (typed: Record<string, unknown>, system: 'US' | 'SI' = 'US') =>
  pipe.problems?.(stored(typed, system)) ?? {};

describe('a size and class of pipe', () => {
  it('is told with its loads', () => {
    expect(problems(ROUND)).toEqual({});
    const said = Object.fromEntries(pipe.summary(stored(ROUND)));
    // 8.29 ft less 3.5 in; 1,350 and 2,000 times 3 ft times that, by hand.
    expect(said['Test length']).toBe('7.998 ft, overall length less the tongue');
    expect(said['Design load']).toBe('32,393 lbf');
    expect(said['Ultimate load']).toBe('47,990 lbf');
    expect(said['Tests a year']).toBe('1 a year');
  });
  it.each([
    [{ ...ROUND, jointDepth: '' }, 'US', 'jointDepth'],
    [{ ...ROUND, joint: 'special', testLength: '8' }, 'US', 'testLengthFrom'],
    [{ ...ROUND, joint: 'special' }, 'US', 'testLength'],
    [{ ...ROUND, design: 'own' }, 'US', 'crackLoad'],
    [{ ...ROUND, design: 'c655' }, 'US', 'crackLoad'],
    [{ ...ROUND, design: 'c14-1', span: '17' }, 'US', 'footLoad'],
    [{ ...ROUND, design: 'c507-HE-III', span: '60' }, 'US', 'rise'],
    // The trap: an ellipse that stands has its smaller number from side to side.
    [{ ...ROUND, design: 'c507-VE-III', span: '60', rise: '38' }, 'US', 'span'],
    [{ ...ROUND, design: 'c507-HE-III', span: '38', rise: '60' }, 'US', 'rise'],
    [{ ...ROUND, yearShare: '2' }, 'US', 'yearFrom'],
    // A class that has no row in SI is not converted.
    [
      { ...ROUND, design: 'c507-HE-III', span: '1500', rise: '960', overall: '2.5', jointDepth: '90' },
      'SI',
      'crackLoad',
    ],
  ] as const)('%j in %s wants %s', (typed, system, field) => {
    expect(Object.keys(problems(typed, system))).toEqual([field]);
  });
  it('in SI has the classes of the metric table', () => {
    const said = Object.fromEntries(
      pipe.summary(stored({ ...ROUND, span: '900', joint: 'plain', overall: '2.44', jointDepth: '' }, 'SI')),
    );
    expect(said['Design load']).toBe('142.7 kN');
  });
});

it.each([
  ['2031', []],
  ['31', ['year']],
  ['2231', ['year']],
  ['next year', ['year']],
])('a year %s: %j', (year, wrong) => {
  expect(Object.keys(pipe.lotProblems?.({ year }) ?? {})).toEqual(wrong);
});

describe('a pipe that is drawn', () => {
  const before = [{ mark: 'M-1' }];
  it.each([
    [{ mark: 'M-1', drawn: 'year' }, ['mark']],
    [{ mark: 'M-2', drawn: 'year' }, []],
    [{ mark: 'M-2', drawn: 'retest' }, ['retestOf']],
    [{ mark: 'M-2', drawn: 'retest', retestOf: 'M-9' }, ['retestOf']],
    [{ mark: 'M-2', drawn: 'retest', retestOf: 'M-1' }, []],
  ])('%j: %j', (about, wrong) => {
    expect(Object.keys(pipe.sampleProblems?.(about, before) ?? {})).toEqual(wrong);
  });
});

// ASTM C76 (from memory): two others for each that failed.
it('the pipes of a year stand together', () => {
  const sample = (
    mark: string,
    state: SampleOfLot['verdicts'][number]['state'],
    retestOf?: string,
  ): SampleOfLot => ({
    ...{
      label: mark,
      about: { mark, ...(retestOf ? { retestOf } : {}) },
      results: [],
      found: {},
      tested: ['three-edge'],
    },
    verdicts: [{ title: 'D-load at the crack', state, method: 'three-edge' }],
  });
  const says = (...samples: readonly SampleOfLot[]) =>
    pipe.across?.(samples, {
      ...{ mode: 'half-even', system: 'US', limits: new Limits(), asked: {}, tests: [] },
    })?.verdict?.state;
  expect(says()).toBeUndefined();
  expect(says(sample('a', 'meets'))).toBe('meets');
  expect(says(sample('a', 'meets'), sample('b', 'does not meet'))).toBe('does not meet');
  expect(says(sample('b', 'does not meet'), sample('c', 'meets', 'b'), sample('d', 'meets', 'b'))).toBe(
    'meets',
  );
  expect(says(sample('b', 'does not meet'), sample('c', 'does not meet', 'b'))).toBe('does not meet');
  expect(says(sample('a', 'not yet determinable'))).toBe('not yet determinable');
});

// ASTM C76 (from memory): cores are another way, and decide where no pipe was loaded.
it('the cores of a group say what comes next', () => {
  const cored = (
    mark: string,
    ...states: readonly SampleOfLot['verdicts'][number]['state'][]
  ): SampleOfLot => ({
    ...{ label: mark, about: { mark }, results: [], found: {}, tested: ['pipe-core'] },
    verdicts: states.map((state) => ({ title: 'Core of the wall', state, method: 'pipe-core' })),
  });
  const says = (...samples: readonly SampleOfLot[]) =>
    pipe.across?.(samples, {
      ...{ mode: 'half-even', system: 'US', limits: new Limits(), asked: {}, tests: [] },
    });
  expect(says(cored('a', 'meets'))?.verdict?.state).toBe('meets');
  expect(says(cored('a', 'does not meet'))?.verdict?.sentence).toContain('core a again');
  expect(says(cored('a', 'does not meet', 'does not meet'))?.verdict?.sentence).toContain(
    'draw 2 more pipes',
  );
  const loaded = {
    ...cored('b', 'does not meet'),
    verdicts: [{ title: 'x', state: 'meets', method: 'three-edge' } as const],
  };
  expect(says(loaded, cored('a', 'does not meet'))).toMatchObject({
    verdict: { state: 'meets' },
    remarks: ['Cores: core a again, the same pipe.'],
  });
});

// ASTM C655 (from memory): where the order says so, a year is judged by mean and scatter together.
describe('a year that is judged together', () => {
  const ordered = { design: 'c655', crackLoad: '1350 lbf/ft/ft', judged: 'together' };
  const says = (loads: readonly (number | null)[], asked: Record<string, string> = ordered) =>
    pipe.across?.(
      loads.map((load, place) => ({
        ...{ label: `P${place}`, about: { mark: `M-${place}` }, results: [], tested: [] },
        found: Object.fromEntries(load === null ? [] : [['known D-load at the crack', String(load)]]),
        verdicts: [{ title: 'D-load at the crack', state: 'does not meet', method: 'three-edge' } as const],
      })),
      { ...{ mode: 'half-even', system: 'US', limits: new Limits(), tests: [] }, asked },
    );
  it.each([
    [[1480, 1390, 1420, 1510, 1450], 'does not meet'],
    [[1490, 1400, 1430, 1520, 1460], 'meets'],
    // One that was stopped is a bound: it does not count.
    [[1490, 1400, 1430, 1520, null], 'not yet determinable'],
  ] as const)('%j: %s', (loads, state) => {
    expect(says(loads)?.verdict?.state).toBe(state);
  });
  it('shows its working', () => {
    expect(says([1490, 1400, 1430, 1520, 1460])?.lines.map(({ symbol }) => symbol)).toEqual([
      'Dx',
      'sd',
      'sl',
      'Da',
    ]);
  });
  it('pipe by pipe, as usual, goes by each', () => {
    expect(says([1490, 1400, 1430, 1520, 1460], { ...ordered, judged: 'each' })?.verdict?.sentence).toContain(
      'failed',
    );
  });
  it('is only of C655', () => {
    expect(Object.keys(problems({ ...ROUND, judged: 'together' }))).toEqual(['judged']);
    expect(problems({ ...ROUND, design: 'c655', crackLoad: '1350', judged: 'together' })).toEqual({});
  });
});
