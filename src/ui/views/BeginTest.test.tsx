// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import { type Asked, standInServer } from '@/testing/sheet';
import { BeginTest } from './BeginTest';

const gone: string[] = [];
vi.mock('next/navigation', () => ({ useRouter: () => ({ push: (to: string) => void gone.push(to) }) }));
const said: string[] = [];
vi.mock('../parts/Notice', () => ({ useNotice: () => (words: string) => void said.push(words) }));
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});
const TESTS = [
  { id: 'cement-setting', words: 'A ring for setting' },
  { id: 'cement-loss', words: 'Loss on ignition' },
];
const begun = (asked: readonly Asked[]) => asked.find(({ useCase }) => useCase === 'start-run')?.data;

it('offers the tests of a sample, and goes to the one that is begun', async () => {
  const asked = standInServer({ 'start-run': () => new Response(JSON.stringify({ runId: 'r-7' })) });
  render(<BeginTest sampleId="s-1" tests={TESTS} />);
  expect(screen.queryByRole('menu')).toBeNull();
  fireEvent.click(screen.getByRole('button', { name: 'Begin a test' }));
  fireEvent.click(screen.getByRole('menuitem', { name: 'Loss on ignition' }));
  await waitFor(() => expect(gone).toEqual(['/runs/r-7']));
  expect(begun(asked)).toEqual({ method: 'cement-loss', sampleId: 's-1' });
});

it('says why a test cannot be begun, and stays', async () => {
  standInServer({
    'start-run': () => new Response(JSON.stringify({ message: 'Not yours.' }), { status: 403 }),
  });
  gone.length = 0;
  render(<BeginTest sampleId="s-1" tests={TESTS} />);
  fireEvent.click(screen.getByRole('button', { name: 'Begin a test' }));
  fireEvent.click(screen.getByRole('menuitem', { name: 'A ring for setting' }));
  await waitFor(() => expect(said).toHaveLength(1));
  expect(gone).toEqual([]);
});
