// @vitest-environment jsdom
import { act, cleanup, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import type { MethodId } from '@/core/methods/registry';
import { findMethod } from '@/core/methods/registry';
import { usableInput } from '@/core/methods/validate';
import { standInServer } from '@/testing/sheet';
import { useMethodFolder } from '../holding';
import type { BenchProps } from '../kit';
import { InMethodFolder } from '../registry';

vi.mock('../../charts/Line', () => ({
  Line: (props: { 'aria-label': string }) => <div role="img" aria-label={props['aria-label']} />,
}));
beforeEach(() => void standInServer());
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const at = (minutes: number): string => new Date(Date.UTC(2031, 8, 19, 14, minutes)).toISOString();

function OwnBench(props: BenchProps) {
  const { Bench } = useMethodFolder();
  return <Bench {...props} />;
}

/** The bench of a method, drawn by what it computes. */
async function drawn(id: MethodId, read: Readonly<Record<string, unknown>>, facts = {}) {
  const method = findMethod(id);
  if (!method) throw new Error(id);
  const { picture } = method.compute(usableInput(method, { system: 'US', ...read }).input, { facts });
  await act(async () => {
    render(
      <InMethodFolder id={id}>
        <OwnBench picture={picture} />
      </InMethodFolder>,
    );
  });
  await vi.waitFor(() => expect(document.querySelector('p, svg')).not.toBeNull());
}
const readings = (...read: readonly (readonly [number, string])[]) =>
  read.map(([minutes, pressure], place) => ({ id: `r${place}`, pressure, at: at(minutes) }));

it('a joint tells how long it stood without a break, and where water runs', async () => {
  await drawn('pipe-joint', {
    ...{ kind: 'straight', readings: readings([0, '13'], [12, '13']), endedAt: at(12) },
    leaks: [
      { where: 'crown', what: 'beads' },
      { where: 'invert', what: 'runs' },
    ],
  });
  expect(screen.getByRole('status').textContent).toBe('12 min without a break: long enough.');
  expect(screen.getByText('✕ It runs: invert')).toBeDefined();
  expect(screen.getByRole('img', { name: /2 readings, 13 psi asked for/u })).toBeDefined();
});

it('a joint whose pressure fell says that its clock begins anew', async () => {
  await drawn('pipe-joint', { kind: 'straight', readings: readings([0, '13'], [4, '12']) });
  expect(screen.getByRole('status').textContent).toMatch(/^Below what is asked for/u);
  cleanup();
  await drawn('pipe-joint', { kind: 'straight', readings: readings([0, '12'], [4, '13']), endedAt: at(7) });
  expect(screen.getByRole('status').textContent).toBe('3 of 10 min without a break.');
  cleanup();
  await drawn('pipe-joint', {});
  expect(screen.getByText(/^Its pressure over time stands here/u)).toBeDefined();
});

it('a pipe that stands filled shows each look', async () => {
  await drawn('pipe-permeability', {
    filledAt: at(0),
    looks: [
      { id: 'a', seen: 'damp', at: at(16) },
      { id: 'b', seen: 'drops', at: at(40) },
    ],
  });
  expect(
    screen.getByRole('img', { name: 'Pipe standing on its spigot, filled, outside drops' }),
  ).toBeDefined();
  cleanup();
  await drawn('pipe-permeability', {});
  expect(screen.getByText('Look at it 15 min after it is filled.')).toBeDefined();
});

it.each([
  ['3.0', '✕ Shorter than wide: there is no factor for it.'],
  ['4.5', '✓ Its strength is taken to a cylinder twice as long as wide.'],
  ['7.0', '✓ Long enough to need no factor.'],
])('a core of %s in says what its shape is worth', async (length, says) => {
  await drawn('pipe-core', { diameter1: '3.75', diameter2: '3.75', length });
  expect(screen.getByText(says)).toBeDefined();
});

it('cylinders of a group stand beside one another', async () => {
  const row = (mark: string, load: string) => ({ id: mark.toLowerCase(), mark, diameter1: '4', load });
  await drawn(
    'pipe-cylinders',
    { cylinders: [row('A', '70000'), row('B', '50000')] },
    { specifiedStrength: '5000 psi' },
  );
  expect(screen.getByRole('img', { name: '2 cylinders, 1 below what is specified' })).toBeDefined();
});

it('a piece of the wall shows its next weighing, then its boil', async () => {
  await drawn('pipe-absorption', { thickness: '2.5', inAt: at(0) }, { absorptionBy: 'a' });
  expect(screen.getByRole('table')).toBeDefined();
  expect(screen.queryByRole('img', { name: 'Heating, boiling and cooling' })).toBeNull();
  cleanup();
  await drawn(
    'pipe-absorption',
    { thickness: '2.5', inAt: at(0), heatAt: at(9), outAt: at(12) },
    { absorptionBy: 'a' },
  );
  expect(screen.getByRole('img', { name: 'Heating, boiling and cooling' })).toBeDefined();
  expect(screen.getByText('Out of the water: a minute on the rack, wipe it, weigh it')).toBeDefined();
});

it('steps of a manhole stand in their wall with both loads', async () => {
  const row = (mark: string, seen: string) => ({ id: mark, mark, down: '800', bent: '0', out: '400', seen });
  await drawn('manhole-step', { steps: [row('A', 'sound'), row('B', 'loose')] });
  expect(screen.getByRole('img', { name: '2 steps: A holds; B gave way' })).toBeDefined();
  expect(screen.getAllByText('400 of 400 lbf')).toHaveLength(2);
});
