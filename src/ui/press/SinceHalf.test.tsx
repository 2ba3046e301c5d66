// @vitest-environment jsdom
import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, expect, it } from 'vitest';
import { Limits } from '@/core/limits';
import { SinceHalf } from './SinceHalf';

afterEach(cleanup);

it.each([
  [null, 'not loaded yet'],
  [29, '29 s, far too fast'],
  [59, '59 s, too fast'],
  [60, '60 s, in time'],
  [120, '120 s, in time'],
  [121, '121 s, too slow'],
])('%s s of a second half are told by word', (since, words) => {
  render(<SinceHalf since={since} halves={new Limits().of('unit.second-half', 'US')} broken={false} />);
  expect(screen.getByTestId('since-half').textContent).toBe(`If it broke now, its second half: ${words}`);
  cleanup();
  render(<SinceHalf since={since} halves={new Limits().of('unit.second-half', 'US')} broken />);
  expect(screen.getByTestId('since-half').textContent).toContain('The second half took');
});
