// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import { Limits } from '@/core/limits';
import { chartRules, chartsOf } from '@/core/uniformity';
import { standInServer } from '@/testing/sheet';
import { type SourceShown, Sources } from './Sources';

const drawn: { label: string; names: string[]; first: unknown }[] = [];
vi.mock('../charts/Line', () => ({
  Line: (props: { 'aria-label': string; data: { datasets: { label: string; data: unknown[] }[] } }) => {
    drawn.push({
      label: props['aria-label'],
      names: props.data.datasets.map(({ label }) => label),
      first: props.data.datasets[0]?.data.at(-1),
    });
    return <p role="img" aria-label={props['aria-label']} />;
  },
}));
vi.mock('next/navigation', () => ({
  useRouter: () => ({ push: () => undefined, refresh: () => undefined }),
}));
vi.mock('../parts/Notice', () => ({ useNotice: () => () => undefined }));
afterEach(() => {
  cleanup();
  drawn.length = 0;
  vi.unstubAllGlobals();
});

const rules = chartRules(new Limits());
const VALUES = [
  ...[5020, 5110, 4930, 5060, 4980, 5150, 5040, 4890, 5070, 5010],
  ...[4960, 5090, 5130, 4920, 5000, 5200, 5180, 5240, 5160, 5290],
];
const shown = (name: string, values: readonly number[]): SourceShown => ({
  name,
  charts: chartsOf(values, rules) ?? null,
  points: values.map((value, at) => ({
    ...{ sampleId: `${name}-${at}`, label: `${name}-${at + 1}`, day: '3 May', value, left: false },
    changed: at === 8 ? ['lot of sand S-12, before it S-11'] : [],
    decisions: at === 18 ? ['Rosa Quill: looked at the cubes'] : [],
  })),
  facts: [['Mean', '5,072 psi']],
  remarks: ['Too few pairs.'],
  expected: [{ sampleId: 'e', label: 'W-99', words: 'about 5,600 psi', look: true }],
});
const SOURCES = [shown('W', VALUES), shown('X', VALUES.slice(0, 9))];
const page = (canDecide = true) =>
  render(<Sources sources={SOURCES} unit="psi" places={0} rules={rules} canDecide={canDecide} />);
async function choose(list: string, item: string | RegExp) {
  fireEvent.mouseDown(screen.getByRole('combobox', { name: list }));
  fireEvent.click(within(await screen.findByRole('listbox')).getByText(item));
}

it('draws the weighted mean with its limits, names what is beyond it, and says what was otherwise that day', () => {
  page();
  expect(screen.getByRole('img').getAttribute('aria-label')).toContain('beyond its limits: W-19, W-20');
  expect(drawn.at(-1)?.names).toEqual(['Weighted mean', 'Limits', 'Lower limit', 'Single result']);
  const row = (label: string) => screen.getByRole('link', { name: label }).closest('tr')?.textContent;
  expect(row('W-20')).toContain('averages of five, weighted mean, sums');
  expect(row('W-9')).toContain('lot of sand S-12, before it S-11');
  expect(row('W-19')).toContain('looked at the cubes');
  expect(screen.getByText(/Beyond the chart: look into it now/u)).toBeTruthy();
});

it('draws each of the other charts', async () => {
  page();
  await choose('Chart', 'Single results');
  expect(screen.getByRole('img').getAttribute('aria-label')).toContain('none beyond its limits');
  await choose('Chart', 'Sums');
  expect(drawn.at(-1)?.names).toContain('Sum below');
  await choose('Chart', 'Averages of five');
  expect(drawn.at(-1)?.first).toBe(5214);
});

it('shows by a step which chart would see it first, and changes no result', async () => {
  page();
  fireEvent.click(screen.getByRole('checkbox', { name: 'Learn: add a step' }));
  const words = () => screen.getByRole('status').textContent;
  expect(words()).toMatch(
    /1\.5 deviations from W-16 on is seen at result 1 by single results; at result 2 by weighted mean/u,
  );
  await choose('Step, deviations', '3');
  expect(words()).toMatch(/at result 1 by single results/u);
  expect(screen.getByRole('link', { name: 'W-16' }).closest('tr')?.textContent).toContain('5,200');
  fireEvent.click(screen.getByRole('checkbox', { name: 'Learn: add a step' }));
  expect(screen.queryByRole('status')).toBeNull();
});

it('says how many results a baseline still wants, and offers no step', async () => {
  page();
  await choose('Source', 'X');
  expect(screen.getByText(/^9 of the 15 results/u)).toBeTruthy();
  expect(screen.queryByRole('img')).toBeNull();
  expect(screen.queryByRole('checkbox')).toBeNull();
});

it('records a decision with its reason, by those who may', async () => {
  const asked = standInServer({ 'record-follow-up': () => new Response('{}') });
  page();
  fireEvent.click(screen.getByRole('button', { name: 'Decide on W-20' }));
  const dialog = within(await screen.findByRole('dialog', {}, { timeout: 20_000 }));
  fireEvent.change(dialog.getByRole('textbox', { name: /What was done/u }), {
    target: { value: 'New mill.' },
  });
  fireEvent.click(dialog.getByRole('button', { name: 'Record' }));
  await waitFor(() => expect(asked.length).toBe(1));
  expect(asked[0]?.data).toEqual({ sampleId: 'W-19', stepId: 'source-looked', note: 'New mill.' });
  cleanup();
  page(false);
  expect(screen.queryByRole('button', { name: /^Decide/u })).toBeNull();
});
