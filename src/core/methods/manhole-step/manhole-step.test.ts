import { describe, expect, it } from 'vitest';
import { findMethod } from '../registry';
import { usableInput } from '../validate';

const method = findMethod('manhole-step') as NonNullable<ReturnType<typeof findMethod>>;
const tested = (rows: readonly Record<string, string>[], system: 'US' | 'SI' = 'US') =>
  method.compute(
    usableInput(method, {
      system,
      steps: rows.map((row, place) => ({ id: `s${place}`, mark: `M${place}`, seen: 'sound', ...row })),
    }).input,
    {},
  );
const HOLDS = { down: '800', bent: '0.25', out: '400' };

// 800 lbf downward, 400 lbf outward: ASTM C478/C478M (from memory).
describe('steps of a manhole', () => {
  it.each([
    [[HOLDS], 'meets'],
    [[HOLDS, { ...HOLDS, seen: 'loose' }], 'does not meet'],
    [[HOLDS, { ...HOLDS, seen: 'cracked' }], 'does not meet'],
    [[{ ...HOLDS, bent: '0.5' }], 'meets'],
    [[{ ...HOLDS, bent: '0.5625' }], 'does not meet'],
    [[{ ...HOLDS, down: '799' }], 'not yet determinable'],
    [[{ ...HOLDS, out: '390' }], 'not yet determinable'],
    [[{ down: '800', bent: '0' }], 'not yet determinable'],
    [[{ down: '800', out: '400' }], 'not yet determinable'],
    // One that let go below what is asked has failed, not been loaded too little.
    [[{ down: '620', seen: 'loose' }], 'does not meet'],
  ] as const)('%j: %s', (rows, state) => {
    expect(tested(rows).verdicts.map((each) => each.state)).toEqual([state]);
  });
  it('tells the least of each load, provisional while one is open', () => {
    const done = tested([HOLDS, { ...HOLDS, down: '820', out: '410' }]);
    expect(done.results.map(({ text, provisional }) => [text, provisional])).toEqual([
      ['800', undefined],
      ['400', undefined],
    ]);
    expect(tested([HOLDS, { ...HOLDS, down: '500' }]).results[0]?.provisional).toBeDefined();
  });
  it('in SI holds the hard metric loads', () => {
    const row = { down: '3.56', bent: '13', out: '1.78' };
    expect(tested([row], 'SI').verdicts[0]?.state).toBe('meets');
    expect(tested([{ ...row, down: '3.55' }], 'SI').verdicts[0]?.state).toBe('not yet determinable');
  });
  it('says what is twice there and what may be a slip', () => {
    const ids = (rows: readonly Record<string, string>[]) => tested(rows).findings.map(({ id }) => id);
    expect(ids([HOLDS, { ...HOLDS, mark: 'M0' }])).toContain('step.twice');
    expect(ids([{ ...HOLDS, out: '1300' }])).toContain('step.slip');
    expect(ids([HOLDS])).toEqual([]);
  });
  it('with nothing typed says nothing', () => {
    expect(tested([])).toMatchObject({ results: [], verdicts: [] });
  });
});
