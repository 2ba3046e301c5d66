import fc from 'fast-check';
import { evaluate } from 'mathjs';
import { describe, expect, it } from 'vitest';
import { Limits } from '../limits';
import { individualLimit } from '../materials/concrete/criteria';
import { STRENGTH } from '../materials/concrete/series';
import { exact } from '../quantity';
import { spreadOf } from '../statistics';
import { evaluateSeries, type SeriesPoint, type SetMember, strengthTest, withinClass, withinTrend } from '.';

const limits = new Limits();
const asks = (specified: string) => ({ rule: STRENGTH, specified, system: 'US', limits }) as const;

function series(values: readonly (number | null)[]): SeriesPoint[] {
  return values.map((value, index) => ({
    id: `t${index + 1}`,
    label: `T${index + 1}`,
    sampledAt: index,
    value: value === null ? null : String(value),
    state: value === null ? 'pending' : 'tested',
    engineer: [],
  }));
}

describe('ACI 318 series (criteria from memory; averages worked by hand)', () => {
  const values = [4200, 3700, 4050, 4250, 3550, 4400, 3490, 4310, 4230];

  it('judges every three in a row and every single test', () => {
    const verdicts = evaluateSeries(series(values), asks('4000'));
    expect(verdicts.windows.map(({ statistic }) => Number(statistic).toFixed(2))).toEqual([
      '3983.33',
      '4000.00',
      '3950.00',
      '4066.67',
      '3813.33',
      '4066.67',
      '4010.00',
    ]);
    expect(verdicts.windows.map(({ state }) => state === 'meets')).toEqual([
      false,
      true,
      false,
      true,
      false,
      true,
      true,
    ]);
    expect(verdicts.individuals.flatMap(({ state, members }) => (state === 'meets' ? [] : members))).toEqual([
      't7',
    ]);
    expect(verdicts.summary).toBe('does not meet');
  });

  it('says what the next test must reach, and by which rule', () => {
    expect(evaluateSeries(series(values.slice(0, 4)), asks('4000')).needed).toMatchObject({
      value: '3700',
      by: 'running-average',
    });
    expect(evaluateSeries(series([5000, 5000]), asks('4000')).needed).toMatchObject({
      value: '3500',
      by: 'individual',
    });
  });

  it('uses the share rule above the dividing strength', () => {
    expect(individualLimit(exact(5000), 'US', limits).toFixed()).toBe('4500');
    expect(individualLimit(exact(5001), 'US', limits).toFixed()).toBe('4500.9');
    expect(individualLimit(exact(35), 'SI', limits).toFixed()).toBe('31.5');
    expect(individualLimit(exact(40), 'SI', limits).toFixed()).toBe('36');
    const verdicts = evaluateSeries(series([6500, 5650, 5850, 6300, 5390, 6900]), asks('6000'));
    expect(verdicts.windows.map(({ state }) => state)).toEqual([
      'meets',
      'does not meet',
      'does not meet',
      'meets',
    ]);
    expect(verdicts.individuals[4]).toMatchObject({ state: 'does not meet', margin: '-10' });
  });

  it('decides a mean on the unrounded value, and says when rounding would turn it', () => {
    const [window] = evaluateSeries(series([3990, 4000, 4000]), asks('4000')).windows;
    expect(window).toMatchObject({ state: 'does not meet', knifeEdge: true });
    expect(window?.sentence).toContain('rounding');
  });

  it('does not skip over a test that is still to be broken', () => {
    const verdicts = evaluateSeries(series([4100, null, 4300, 4200]), asks('4000'));
    expect(verdicts.windows.map(({ state }) => state)).toEqual([
      'not yet determinable',
      'not yet determinable',
    ]);
    expect(verdicts.individuals.filter(({ state }) => state === 'meets').length).toBe(3);
    expect(verdicts.summary).toBe('not yet determinable');
    expect(verdicts.soFar).toEqual({ state: 'meets', waiting: 1 });
  });

  it('orders by sampling, whatever order the results come in', () => {
    const shuffled = series(values).toReversed();
    expect(evaluateSeries(shuffled, asks('4000'))).toEqual(evaluateSeries(series(values), asks('4000')));
  });

  it('leaves out a test without a valid result, and lists it', () => {
    const points = series([4100, 4200, 4300, 4400]).map((point, index) =>
      index === 1 ? { ...point, value: null, state: 'no valid result' as const } : point,
    );
    const verdicts = evaluateSeries(points, asks('4000'));
    expect(verdicts.windows.map(({ statistic }) => Number(statistic).toFixed(2))).toEqual(['4266.67']);
    expect(verdicts.excluded).toEqual([{ id: 't2', label: 'T2' }]);
  });

  it('puts a test whose age is in doubt before the engineer, but never turns a failure into a question', () => {
    const doubtful = series([4100, 4200, 3400]).map((point) => ({ ...point, engineer: ['broken late'] }));
    const verdicts = evaluateSeries(doubtful, asks('4000'));
    expect(verdicts.individuals.map(({ state }) => state)).toEqual([
      'needs decision',
      'needs decision',
      'does not meet',
    ]);
  });

  it('a test that reaches what is needed next meets, one step lower does not', () => {
    const strength = fc.integer({ min: 360, max: 520 }).map((tens) => tens * 10);
    fc.assert(
      fc.property(strength, strength, (one, two) => {
        const needed = Number(evaluateSeries(series([one, two]), asks('4000')).needed?.value);
        const last = (value: number) => {
          const { windows, individuals } = evaluateSeries(series([one, two, value]), asks('4000'));
          return windows.at(-1)?.state === 'meets' && individuals.at(-1)?.state === 'meets';
        };
        expect(last(needed)).toBe(true);
        expect(last(needed - 10)).toBe(false);
      }),
    );
  });
});

function member(label: string, load: number, change: Partial<SetMember> = {}): SetMember {
  const strength = load / (4 * Math.PI);
  return {
    label,
    size: '4x8',
    strength: String(strength),
    reported: String(Math.round(strength / 10) * 10),
    valid: true,
    outOfWindow: false,
    ...change,
  };
}

describe('strength test of a set', () => {
  it('averages the unrounded strengths and rounds once (ASTM C39, from memory)', () => {
    const test = strengthTest([member('A', 51_000), member('B', 52_600), member('C', 54_100)], 'US', limits);
    expect(test.text).toBe('4,180');
    expect(test.findings.map(({ id }) => id)).toEqual(['set.printed-mean']);
    for (const line of test.lines)
      expect(Number(evaluate(line.substituted))).toBeCloseTo(Number(line.value), 6);
  });

  const of = (values: readonly number[], size: '4x8' | '6x12') =>
    values.map(
      (value, index): SetMember => ({
        label: String(index),
        size,
        strength: String(value),
        reported: String(value),
        valid: true,
        outOfWindow: false,
      }),
    );

  // Ranges of ASTM C39's precision section (from memory); percentages compared unrounded.
  it.each([
    [[4310, 4590], '6x12', false],
    [[4210, 4650], '6x12', true],
    [[4120, 4580, 4390], '4x8', false],
    [[3880, 4580, 4390], '4x8', true],
    [[4100, 4300, 4540], '4x8', false],
    [[4100, 4300, 4560], '4x8', true],
  ] as const)('%o of %s: out of range %s', (values, size, out) => {
    expect(strengthTest(of(values, size), 'US', limits).findings.some(({ id }) => id === 'set.range')).toBe(
      out,
    );
  });

  it('two 4 × 8 are a reduced set, two 6 × 12 are a full one', () => {
    expect(strengthTest(of([4000, 4100], '4x8'), 'US', limits).engineer[0]).toContain('reduced set');
    expect(strengthTest(of([4000, 4100], '6x12'), 'US', limits).engineer).toEqual([]);
    expect(strengthTest(of([4000], '4x8'), 'US', limits, { designated: false }).findings).toEqual([]);
  });

  it('keeps an invalid cylinder out and says so; a low one stays in', () => {
    const test = strengthTest(
      [...of([4000, 4100, 3100], '4x8'), member('X', 1, { valid: false })],
      'US',
      limits,
    );
    expect(test.used.length).toBe(3);
    expect(test.leftOut.map(({ label }) => label)).toEqual(['X']);
  });

  it('waits while a cylinder is not broken', () => {
    expect(
      strengthTest(
        [...of([4000, 4100], '4x8'), member('C', 0, { strength: null, reported: null })],
        'US',
        limits,
      ).state,
    ).toBe('pending');
    expect(strengthTest([member('A', 0, { strength: null, valid: false })], 'US', limits).state).toBe(
      'no valid result',
    );
  });

  it('tells both means of a set with one left out on evidence, and that it is reduced', () => {
    const members = of([4000, 4100, 3100], '4x8').map((each, index) =>
      index === 2 ? { ...each, leftOut: 'testing: stuck seat (W. C.)' } : each,
    );
    const test = strengthTest(members, 'US', limits);
    expect([test.text, test.used]).toEqual(['4,050', ['0', '1']]);
    expect(test.leftOut).toEqual([{ label: '2', why: 'testing: stuck seat (W. C.)' }]);
    const out = test.findings.find(({ id }) => id === 'set.left-out');
    // By hand: (4000 + 4100 + 3100) / 3 = 3733.3.
    expect(out?.remark).toContain('Mean with it 3,730 psi');
    expect(test.engineer[0]).toContain('reduced set: 2 of the 3');
  });
  it('has no result when everything is left out', () => {
    const all = of([4000, 4100, 3100], '4x8').map((each) => ({ ...each, leftOut: 'moulding: honeycomb' }));
    expect(strengthTest(all, 'US', limits).state).toBe('no valid result');
  });

  // Worked by hand: 145, 145.5 and 133 lb/ft³: the last is 12.25 lighter than the mean of the others.
  it('asks about a density off its companions, and about the right one', () => {
    const densities = ['145', '145.5', '133'];
    const members = of([4000, 4100, 3900], '4x8').map((each, index) => ({
      ...each,
      density: densities[index] ?? '',
    }));
    const found = strengthTest(members, 'US', limits).findings.find(({ id }) => id === 'set.density');
    expect(found?.message).toBe('2 is 12 lb/ft³ lighter than its companions.');
    const near = members.map((each) => ({ ...each, density: '145' }));
    expect(strengthTest(near, 'US', limits).findings.some(({ id }) => id === 'set.density')).toBe(false);
  });
});

describe('within-test variation', () => {
  // ACI 214R table (from memory), field conditions.
  it.each([
    ['2.9', 'excellent'],
    ['3.0', 'very good'],
    ['4.0', 'very good'],
    ['4.1', 'good'],
    ['6.0', 'fair'],
    ['6.1', 'poor'],
  ])('%s %% is %s', (coefficient, word) => expect(withinClass(exact(coefficient), limits)).toBe(word));
  it('is told from ten sets on, over the last ten', () => {
    const set = (spread: number) => [4000, 4000 + spread, 4000 + spread].map((value) => exact(value));
    const sets = [
      ...Array.from({ length: 10 }, () => set(169.3)),
      ...Array.from({ length: 10 }, () => set(0)),
    ].map(spreadOf);
    expect(withinTrend(sets.slice(0, 9), 3, limits)).toEqual([]);
    const trend = withinTrend(sets, 3, limits);
    expect(trend).toHaveLength(11);
    // s = 169.3 / 1.693 = 100 of a mean of 4112.9: 2.43 %.
    expect(trend[0]?.toNumber()).toBeCloseTo(2.4314, 3);
    expect(trend.at(-1)?.toNumber()).toBe(0);
  });
});
