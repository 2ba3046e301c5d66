// @vitest-environment jsdom
import { cleanup, render, screen, within } from '@testing-library/react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { type Beginnings, firstSteps } from '@/core/laboratory/first-steps';
import { FirstSteps } from './FirstSteps';

const refresh = vi.fn();
vi.mock('next/navigation', () => ({ useRouter: () => ({ refresh, push: vi.fn() }) }));
const sent: [string, unknown][] = [];
beforeEach(() => {
  sent.length = 0;
  vi.stubGlobal('fetch', async (url: string, init: { body: string }) => {
    sent.push([url, JSON.parse(init.body)]);
    return Response.json({});
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const HALF: Beginnings = {
  people: { reviewer: 1, technician: 1 },
  gear: { all: 0, unverified: 0 },
  limits: { all: 9, looked: 0 },
  ...{ jobs: 0, specifications: 0, tests: 0, backup: null },
};
const draw = (aside: readonly string[] = []) =>
  render(
    <FirstSteps steps={firstSteps(HALF).map((step) => ({ ...step, aside: aside.includes(step.id) }))} />,
  );
const row = (title: RegExp) => {
  const found = screen.getAllByRole('listitem').find((each) => title.test(each.textContent ?? ''));
  if (!found) throw new Error(`no step ${title}`);
  return within(found);
};

it('what is done is ticked and asks for nothing; the next one stands out with the way there', () => {
  draw();
  expect(row(/Enter the people/).getByRole('img', { name: 'done' })).toBeTruthy();
  expect(row(/Enter the people/).queryByRole('link')).toBeNull();
  expect(row(/Enter the people/).queryByRole('button')).toBeNull();
  expect(
    row(/instruments/)
      .getByRole('link', { name: 'Go there' })
      .getAttribute('href'),
  ).toBe('/gear');
  expect(row(/Make a backup/).queryByRole('link')).toBeNull();
});

it('one that is not wanted is laid aside, and taken up again', async () => {
  draw(['limits']);
  expect(row(/Confirm the limits/).getByText(/^laid aside/)).toBeTruthy();
  expect(row(/Confirm the limits/).queryByRole('link')).toBeNull();
  row(/Confirm the limits/)
    .getByRole('button', { name: 'Take it up again' })
    .click();
  await vi.waitFor(() => expect(refresh).toHaveBeenCalled());
  row(/instruments/)
    .getByRole('button', { name: 'Lay aside' })
    .click();
  await vi.waitFor(() => expect(sent).toHaveLength(2));
  expect(sent.map(([url, body]) => [url.replace(/^.*\//u, ''), body])).toEqual([
    ['lay-step-aside', { step: 'limits', aside: false }],
    ['lay-step-aside', { step: 'gear', aside: true }],
  ]);
});
