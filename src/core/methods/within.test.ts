import { describe, expect, it } from 'vitest';
import { exact } from '../quantity';
import { conformityTo } from './within';

// common practice, no source: the ends of a range belong to it.
const asked = {
  what: 'slump',
  range: '3 to 5 in',
  source: 'project',
  outside: 'Tell the representative.',
};
const of = (number: string, ends: { low?: string; high?: string }) =>
  conformityTo({
    ...asked,
    value: { number: exact(number), text: `${number} in` },
    low: ends.low === undefined ? undefined : exact(ends.low),
    high: ends.high === undefined ? undefined : exact(ends.high),
  })[0];

describe('a result against its range', () => {
  it.each([
    ['2.75', 'does not meet', 'low'],
    ['3', 'meets', undefined],
    ['5', 'meets', undefined],
    ['5.25', 'does not meet', 'high'],
  ])('says of %s in: %s, side %s', (number, verdict, side) => {
    const found = of(number, { low: '3', high: '5' });
    expect(found?.verdict).toBe(verdict);
    expect(found?.side).toBe(side);
  });
  it('takes an end that is not asked for as open', () => {
    expect(of('0.5', { high: '5' })?.verdict).toBe('meets');
    expect(of('9', { low: '3' })?.verdict).toBe('meets');
    expect(of('9', { high: '5' })?.side).toBe('high');
    expect(of('1', { low: '3' })?.side).toBe('low');
  });
  it('says what is done only when it is outside, and nothing before there is a result', () => {
    expect(of('6', { high: '5' })?.sentence).toContain('Tell the representative.');
    expect(of('4', { high: '5' })?.sentence).not.toContain('Tell the representative.');
    const [open] = conformityTo({ ...asked, value: undefined });
    expect(open?.verdict).toBe('not yet determinable');
    expect(open?.side).toBeUndefined();
  });
});
