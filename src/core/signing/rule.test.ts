import { describe, expect, it } from 'vitest';
import { notYours, OWN_TESTS, ownTestsOf, ownTestsWords } from './rule';

describe('who made a test signs', () => {
  it.each([
    ['never', true, true, /another reviewer signs it/u],
    ['never', true, false, /another reviewer signs it/u],
    ['never', false, false, undefined],
    ['second', true, false, /another reviewer has to read it first/u],
    ['second', true, true, undefined],
    ['second', false, false, undefined],
    ['yes', true, false, undefined],
  ] as const)('%s, made it: %s, read by another: %s', (rule, made, read, words) => {
    const why = notYours({ rule, made, read });
    if (words) expect(why).toMatch(words);
    else expect(why).toBeUndefined();
  });
  it('not alone, where nothing or something unknown was kept', () => {
    expect([ownTestsOf(undefined), ownTestsOf('whatever'), ownTestsOf('yes')]).toEqual([
      'second',
      'second',
      'yes',
    ]);
    expect(ownTestsWords(undefined)).toBe('Only after another reviewer has read it');
    expect(ownTestsWords('never')).toBe('Not at all: another reviewer signs');
    expect(OWN_TESTS.map(({ value }) => ownTestsOf(value))).toEqual(['never', 'second', 'yes']);
  });
});
