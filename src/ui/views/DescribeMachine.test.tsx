// @vitest-environment jsdom
import { act, cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { type Asked, standInServer } from '@/testing/sheet';
import { DescribeMachine, isMachine } from './DescribeMachine';

vi.mock('next/navigation', () => ({ useRouter: () => ({ refresh: () => undefined }) }));
let asked: readonly Asked[] = [];
beforeEach(() => {
  asked = standInServer();
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const described = async (kind: string, machine: Parameters<typeof DescribeMachine>[0]['machine']) => {
  render(<DescribeMachine number="M-1" kind={kind} equipmentId="e-1" machine={machine} />);
  await act(async () => fireEvent.click(screen.getByRole('button', { name: 'Machine' })));
  await screen.findByRole('dialog');
};

it('a pipe press is told by its rams and gauge', async () => {
  await described('pipe press', { rams: '2', ramArea: '30 in2' });
  expect(screen.getByText('M-1: rams and gauge')).toBeDefined();
  expect(screen.getByLabelText(/^Rams/u)).toHaveProperty('value', '2');
  expect(screen.queryByLabelText(/^Spacers/u)).toBeNull();
  fireEvent.change(screen.getByLabelText(/^Share that reaches the pipe/u), { target: { value: '0.97' } });
  fireEvent.click(screen.getByRole('button', { name: 'Save' }));
  await waitFor(() => expect(asked.at(-1)?.useCase).toBe('describe-machine'));
  expect(asked.at(-1)?.data).toMatchObject({
    equipmentId: 'e-1',
    machine: { rams: '2', ramArea: '30 in2', ramFactor: '0.97' },
  });
});

it('a compression machine by its room and spacers, which go as a list', async () => {
  await described('compression machine', { spacers: ['4 in', '2 in'] });
  expect(screen.getByText('M-1: indicator, room and spacers')).toBeDefined();
  fireEvent.change(screen.getByLabelText(/^Spacers \(/u), { target: { value: '4 in + 2 in + 1 in' } });
  fireEvent.click(screen.getByRole('button', { name: 'Save' }));
  await waitFor(() =>
    expect(asked.at(-1)?.data).toMatchObject({ machine: { spacers: ['4 in', '2 in', '1 in'] } }),
  );
});

it('of what is no machine nothing is described', () => {
  expect(['compression machine', 'pipe press', 'balance'].map(isMachine)).toEqual([true, true, false]);
});
