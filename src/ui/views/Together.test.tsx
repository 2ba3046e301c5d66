// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { perform } from '../api';
import { NoticeProvider } from '../parts/Notice';
import { Together, type Way } from './Together';

const push = vi.fn();
vi.mock('next/navigation', () => ({ useRouter: () => ({ push, refresh: vi.fn() }) }));
vi.mock('../api', () => ({ perform: vi.fn() }));
afterEach(() => {
  cleanup();
  vi.clearAllMocks();
});

const WAY: Way = {
  id: 'soak',
  title: 'In the tank',
  begin: 'Soak them',
  batches: [],
  choices: [
    { id: 'a', label: 'QY-1-U1', usual: false },
    { id: 'b', label: 'QY-1-U4', usual: true },
    { id: 'c', label: 'QY-1-U5', usual: true },
  ],
};
const draw = (over: Partial<Way> = {}) =>
  render(
    <NoticeProvider>
      <Together ways={[{ ...WAY, ...over }]} />
    </NoticeProvider>,
  );

describe('what is done together', () => {
  it('begins with those it is usually for, or with others that are ticked', async () => {
    vi.mocked(perform).mockResolvedValue({ ok: true, data: { runId: 'r1' } });
    draw();
    fireEvent.click(screen.getByRole('button', { name: 'Soak them' }));
    const box = (label: string) => screen.getByRole('checkbox', { name: label }) as HTMLInputElement;
    expect(['QY-1-U1', 'QY-1-U4', 'QY-1-U5'].map((label) => box(label).checked)).toEqual([false, true, true]);
    fireEvent.click(box('QY-1-U5'));
    fireEvent.click(screen.getAllByRole('button', { name: 'Soak them' }).at(-1) as HTMLElement);
    await waitFor(() => expect(push).toHaveBeenCalledWith('/runs/r1'));
    expect(vi.mocked(perform).mock.calls[0]?.[1]).toMatchObject({ kind: 'soak', specimenIds: ['b'] });
  });
  it('cannot begin with none', () => {
    draw({ choices: [{ id: 'a', label: 'QY-1-U1', usual: false }] });
    fireEvent.click(screen.getByRole('button', { name: 'Soak them' }));
    expect((screen.getAllByRole('button', { name: 'Soak them' }).at(-1) as HTMLButtonElement).disabled).toBe(
      true,
    );
  });
  it('says what went wrong and stays', async () => {
    vi.mocked(perform).mockResolvedValue({
      ok: false,
      errors: {},
      message: 'QY-1-U4 is broken already.',
      status: 409,
      details: {},
    });
    draw();
    fireEvent.click(screen.getByRole('button', { name: 'Soak them' }));
    fireEvent.click(screen.getAllByRole('button', { name: 'Soak them' }).at(-1) as HTMLElement);
    expect(await screen.findByText('QY-1-U4 is broken already.')).toBeDefined();
    expect(push).not.toHaveBeenCalled();
  });
  it('leads to what is under way or done, and begins nothing for who only reads', () => {
    draw({ choices: [], batches: [{ runId: 'r7', label: 'SK-0003', state: 'open', members: 3 }] });
    expect(screen.getByRole('link', { name: 'SK-0003' }).getAttribute('href')).toBe('/runs/r7');
    expect(screen.getByText(/, 3, under way/u)).toBeDefined();
    expect(screen.queryByRole('button')).toBeNull();
  });
});
