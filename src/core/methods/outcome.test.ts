import { expect, it } from 'vitest';
import { exact } from '../quantity';
import { resultOf } from './outcome';

const request = {
  quantity: 'compressive strength',
  symbol: 'f',
  value: exact('4963.2'),
  unit: 'psi',
  step: '10',
  mode: 'half-even',
} as const;

it('a result that is only a bound is printed as one, and computed with as it is', () => {
  expect(resultOf({ ...request, bound: 'at least' })).toMatchObject({
    text: '≥ 4,960',
    reported: '4960',
    value: '4963.2',
    bound: 'at least',
  });
  expect(resultOf({ ...request, bound: 'at most' }).text).toBe('≤ 4,960');
  expect(resultOf(request)).not.toHaveProperty('bound');
});

it('says of which specimen it is, and why it can still change', () => {
  expect(resultOf({ ...request, about: 'A-1', provisional: 'the area is estimated' })).toMatchObject({
    about: 'A-1',
    provisional: 'the area is estimated',
    text: '4,960',
  });
});
