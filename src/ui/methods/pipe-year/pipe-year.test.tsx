// @vitest-environment jsdom
import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, expect, it } from 'vitest';
import { complete } from '@/core/methods/complete';
import { pipeYear } from '@/core/methods/pipe-year';
import { usableInput } from '@/core/methods/validate';
import { PipeYearBench } from './Bench';

afterEach(cleanup);

const drawn = (
  tests: readonly string[],
  counts: readonly object[] = [{ made: '84', at: '2031-06-30T16:00:00Z' }],
) => {
  const method = complete(pipeYear);
  const { input } = usableInput(method, { system: 'US', counts });
  const { picture } = method.compute(input as never, {
    zone: 'America/New_York',
    facts: { year: '2031', yearEach: '50', tests },
  });
  return render(<PipeYearBench picture={picture} />);
};

it('asks how many were made before it says what is owed', () => {
  drawn([], []);
  expect(screen.getByText(/^Type how many pipes were made/u)).toBeDefined();
});

it('shows each test on the line of the months, and says what is owed', () => {
  drawn(['2031-05-20/M-11/meets//proof', '2031-07-02/M-14/again//proof', '2031-08-02/M-19/meets//crack']);
  expect(screen.getByRole('status').textContent).toBe('1 of 2 made, 1 still owed by 31 December');
  const said = screen.getAllByRole('listitem').map(({ textContent }) => textContent);
  expect(said).toEqual([
    '2031-05-20 M-11 ✓ bears what is asked',
    '2031-07-02 M-14 ↻ loaded too fast, proves nothing',
    '2031-08-02 M-19 ✓ bears what is asked; not to its end, does not count',
  ]);
  expect(screen.getByText('84 made')).toBeDefined();
});

it('a pipe that failed calls for others, and one of another year is listed only', () => {
  const { container } = drawn([
    '2031-05-20/M-11/fails//proof',
    '2030-12-20/M-2/meets//proof',
    '2031-06-01/M-12/meets/M-11/proof',
  ]);
  expect(screen.getByRole('status').textContent).toContain('1 more for one that failed');
  expect(screen.getByText(/in place of M-11/u)).toBeDefined();
  expect(container.querySelectorAll('svg g text[font-size="20"]')).toHaveLength(2);
});
