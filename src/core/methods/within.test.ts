import { describe, expect, it } from 'vitest';
import { exact } from '../quantity';
import { heldWithin } from './within';

// common practice, no source: the ends of a range belong to it.
const asked = {
  what: 'slump',
  range: '3 to 5 in',
  source: 'project',
  outside: 'Tell the representative.',
};
const of = (number: string, ends: { low?: string; high?: string }) =>
  heldWithin({
    ...asked,
    value: { number: exact(number), text: `${number} in` },
    low: ends.low === undefined ? undefined : exact(ends.low),
    high: ends.high === undefined ? undefined : exact(ends.high),
  })[0];

describe('a result against its range', () => {
  it.each([
    ['2.75', 'does not meet', 'low', '-0.25'],
    ['3', 'meets', undefined, '0'],
    ['5', 'meets', undefined, '0'],
    ['5.25', 'does not meet', 'high', '-0.25'],
  ])('says of %s in: %s, side %s', (number, verdict, side, margin) => {
    const found = of(number, { low: '3', high: '5' });
    expect(found?.state).toBe(verdict);
    expect(found?.side).toBe(side);
    // Less the nearer end: negative beyond it.
    expect(found?.margin).toBe(margin);
  });
  it('takes an end that is not asked for as open', () => {
    expect(of('0.5', { high: '5' })?.state).toBe('meets');
    expect(of('9', { low: '3' })?.state).toBe('meets');
    expect(of('9', { high: '5' })?.side).toBe('high');
    expect(of('1', { low: '3' })?.side).toBe('low');
  });
  it('says what is done only when it is outside, and nothing before there is a result', () => {
    expect(of('6', { high: '5' })?.sentence).toContain('Tell the representative.');
    expect(of('4', { high: '5' })?.sentence).not.toContain('Tell the representative.');
    const [open] = heldWithin({ ...asked, value: undefined });
    expect(open?.state).toBe('not yet determinable');
    expect(open?.side).toBeUndefined();
  });
});
