import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { retestsOf, type TestedPipe } from '../../pipe/retests';
import { owedInYear, yearStanding } from '../../pipe/year';
import { exact } from '../../quantity';
import { findMethod } from '../registry';
import { usableInput } from '../validate';

const method = findMethod('pipe-year') as NonNullable<ReturnType<typeof findMethod>>;
const counted = (
  made: string,
  facts: Readonly<Record<string, unknown>>,
  more: object = {},
  asOf?: string,
) => {
  const { input } = usableInput(method, {
    system: 'US',
    counts: [{ made, at: '2031-06-30T16:00:00-04:00' }],
    ...more,
  });
  const setup = {
    zone: 'America/New_York',
    facts: { year: '2031', ...facts } as never,
    ...(asOf ? { asOf } : {}),
  };
  return { ...method.compute(input, setup), waits: method.waits?.(input, setup) ?? [] };
};
const numbers = ({ results }: { results: readonly { symbol: string; reported: string }[] }) =>
  Object.fromEntries(results.map(({ symbol, reported }) => [symbol, Number(reported)]));

// Common practice, no source: a test of each size and class a calendar year; the strictest rule counts, parts rounded up.
describe('what a year owes', () => {
  it.each([
    [{}, 84, 1],
    [{ share: exact(2) }, 84, 2],
    [{ each: exact(50) }, 84, 2],
    [{ each: exact(50) }, 100, 2],
    [{ each: exact(50) }, 101, 3],
    [{ share: exact(2), each: exact(50) }, 0, 1],
  ])('%j, %i pipes: %i', (rules, made, owed) => {
    expect(owedInYear({ tests: exact(1), ...rules }, exact(made)).toNumber()).toBe(owed);
  });
  it('never falls as more is made', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 5000 }), fc.integer({ min: 0, max: 500 }), (made, more) => {
        const of = (count: number) =>
          owedInYear({ tests: exact(1), share: exact(2), each: exact(60) }, exact(count)).toNumber();
        expect(of(made + more)).toBeGreaterThanOrEqual(of(made));
      }),
    );
  });
  it('counts tests to the crack and the end, of that year, that have an answer and are none of a retest', () => {
    const test = (day: string, standing: 'meets' | 'fails' | 'again' | 'open', more: object = {}) => ({
      ...{ day, mark: day, standing, whole: true },
      ...more,
    });
    const tests = [
      test('2031-02-01', 'meets'),
      test('2031-03-01', 'fails'),
      test('2031-03-02', 'again'),
      test('2031-03-03', 'open'),
      test('2031-03-04', 'meets', { whole: false }),
      test('2031-03-05', 'meets', { retestOf: '2031-03-01' }),
      test('2030-12-31', 'meets'),
    ];
    const { counted: own, left } = yearStanding(tests, 2031, exact(4), 2);
    expect(own.map(({ day }) => day)).toEqual(['2031-02-01', '2031-03-01']);
    expect(left).toBe(2);
  });
});

// ASTM C76 (from memory): two others for each that failed, accepted only if all of them pass.
describe('after a pipe failed', () => {
  const pipe = (mark: string, standing: TestedPipe['standing'], retestOf?: string): TestedPipe => ({
    ...{ mark, standing },
    ...(retestOf ? { retestOf } : {}),
  });
  it.each([
    [[pipe('a', 'meets'), pipe('b', 'meets'), pipe('c', 'fails')], 2, null],
    [[pipe('c', 'fails'), pipe('d', 'meets', 'c')], 1, null],
    [[pipe('c', 'fails'), pipe('d', 'meets', 'c'), pipe('e', 'meets', 'c')], 0, null],
    [[pipe('c', 'fails'), pipe('d', 'fails', 'c')], 0, 'd'],
    [[pipe('c', 'fails'), pipe('d', 'fails')], 4, null],
    // One that was loaded too fast proves nothing.
    [[pipe('c', 'fails'), pipe('d', 'again', 'c'), pipe('e', 'meets', 'c')], 1, null],
    [[pipe('a', 'meets')], 0, null],
  ])('%#', (tested, owed, lost) => {
    expect(retestsOf(tested, 2)).toMatchObject({ owed, lost });
  });
});

describe('the year of one size and class', () => {
  it('says what is owed, made and left, and waits for it from October to the end of the year', () => {
    const done = counted('84', {
      yearShare: '2 percent',
      yearFrom: 'customer',
      tests: ['2031-05-20/M-11/meets//proof'],
    });
    expect(numbers(done)).toEqual({ nl: 1, no: 2, nm: 1 });
    expect(done.results[0]?.provisional).toBe('the year goes on');
    expect(done.verdicts[0]).toMatchObject({ state: 'not yet determinable' });
    expect(done.waits).toEqual([
      expect.objectContaining({
        what: 'Test 1 more of the year',
        opens: '2031-10-01T00:00:00.000-04:00',
        closes: '2032-01-01T00:00:00.000-05:00',
      }),
    ]);
  });
  it('waits for nothing once it has what it owes', () => {
    const tests = ['2031-05-20/M-11/meets//proof'];
    expect(counted('84', { tests }).waits).toEqual([]);
    expect(counted('84', { tests }).verdicts[0]?.state).toBe('meets');
  });
  it('calls for two others at once where one failed', () => {
    const done = counted('84', { tests: ['2031-05-20/M-11/fails//proof'] });
    expect(done.waits).toEqual([
      expect.objectContaining({ what: 'Test 2 in place of M-11', opens: '2031-05-20T00:00:00.000-04:00' }),
    ]);
    const lost = counted('84', {
      tests: ['2031-05-20/M-11/fails//proof', '2031-05-22/M-14/fails/M-11/proof'],
    });
    expect(lost.findings.map(({ id }) => id)).toContain('pipe-year.lost');
    expect(lost.verdicts[0]?.state).toBe('does not meet');
  });
  it('owes what it owed when it is over', () => {
    const over = counted('84', {}, {}, '2032-01-01T06:00:00Z');
    expect(over.verdicts[0]).toMatchObject({ state: 'does not meet' });
    expect(over.results[0]?.provisional).toBeUndefined();
    // In the zone of the plant it is still the old year.
    expect(counted('84', {}, {}, '2032-01-01T04:00:00Z').verdicts[0]?.state).toBe('not yet determinable');
  });
  it('a count that falls is told, and what went to the crack only does not count', () => {
    const counts = [
      { id: 'a', made: '90', at: '2031-03-31T16:00:00-04:00' },
      { id: 'b', made: '84', at: '2031-06-30T16:00:00-04:00' },
    ];
    const done = counted('', { tests: ['2031-05-20/M-11/meets//crack'] }, { counts });
    expect(done.findings.map(({ id }) => id)).toEqual(['pipe-year.counts', 'pipe-year.partly']);
    expect(numbers(done)).toMatchObject({ nl: 1, nm: 0 });
  });
});
