// @vitest-environment jsdom
import { act, cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { ReadingLine } from '@/core/press';
import { perform } from '../api';
import { FramePanel } from './FramePanel';

vi.mock('../api', () => ({ perform: vi.fn() }));
const notice = vi.fn();
vi.mock('../parts/Notice', () => ({ useNotice: () => notice }));

const LINE: ReadingLine = {
  ...{ seq: 1, t: 0, load: 0, unit: 'kN', peak: 0, pos: 0, at: 0, pump: false, approach: false, fine: 0 },
  door: true,
};
const sent = () =>
  vi.mocked(perform).mock.calls.map(([, data]) => data as { drive?: object; place?: string });
const last = () => sent().at(-1)?.drive;
const placed = vi.fn();
const show = (line: Partial<ReadingLine> = {}, end: readonly [number, string] | null = [3, 'L/150']) =>
  render(
    <FramePanel
      runId="r1"
      last={{ ...LINE, ...line }}
      speeds={[
        [0.0675, '0.0675 up to L/900'],
        [0.175, '0.175 beyond L/900'],
      ]}
      end={end}
      unit="mm/min"
      said={(mmPerMin) => `${mmPerMin} mm/min`}
      placed={placed}
    />,
  );
const press = (name: string) => act(async () => void fireEvent.click(screen.getByRole('button', { name })));
const pick = async (label: string, option: string) => {
  fireEvent.mouseDown(screen.getByRole('combobox', { name: label }));
  await act(async () => void fireEvent.click(within(screen.getByRole('listbox')).getByText(option)));
};

beforeEach(() => {
  vi.mocked(perform).mockReset();
  vi.mocked(perform).mockResolvedValue({ ok: true, data: {} } as never);
  notice.mockReset();
  placed.mockReset();
});
afterEach(cleanup);

describe('the orders of a stand-in frame', () => {
  it('with its guard open it cannot be driven, and its key does nothing', async () => {
    show({ door: false });
    for (const name of ['Down, just clear', 'Drive (D)', 'Back (B)'])
      expect((screen.getByRole('button', { name }) as HTMLButtonElement).disabled).toBe(true);
    await act(async () => void fireEvent.keyDown(window, { key: 'd' }));
    expect(sent()).toEqual([]);
    await press('Shut the guard (G)');
    expect(last()).toMatchObject({ way: 'hold', guard: true });
    expect(screen.getByText('With its guard open nothing moves.')).toBeTruthy();
  });
  it('drives at the speed of its part, by button and by key', async () => {
    show();
    await press('Drive (D)');
    expect(last()).toEqual({ way: 'load', speed: 0.0675, fast: false, guard: true });
    await pick('Speed, mm/min', '0.175 beyond L/900');
    await act(async () => void fireEvent.keyDown(window, { key: 'd' }));
    expect(last()).toMatchObject({ way: 'load', speed: 0.175 });
    await act(async () => void fireEvent.keyDown(window, { key: 's' }));
    expect(last()).toMatchObject({ way: 'hold' });
    await press('Down, just clear');
    expect(last()).toMatchObject({ way: 'load', fast: true });
  });
  it('another speed is sent at once while it is driven, and not while it stands', async () => {
    show({ pump: true, speed: 0.0675 });
    expect(screen.getByText('It is driven at 0.0675 mm/min.')).toBeTruthy();
    await pick('Speed, mm/min', '0.175 beyond L/900');
    expect(last()).toMatchObject({ way: 'load', speed: 0.175 });
    cleanup();
    vi.mocked(perform).mockClear();
    show();
    await pick('Speed, mm/min', '0.175 beyond L/900');
    expect(sent()).toEqual([]);
  });
  it('stops by itself only where it is set to', async () => {
    show();
    await pick('Stops on a fall of', '30 %');
    await pick('Stops at', 'L/150');
    await press('Drive (D)');
    const order = last() as { dropAt?: number; endAt?: number };
    expect(order.dropAt).toBe(0.3);
    expect(order.endAt).toBeCloseTo(3.06, 9);
    cleanup();
    show({}, null);
    expect(screen.queryByRole('combobox', { name: 'Stops at' })).toBeNull();
  });
  it('another beam in is another record; where the line is down it says so', async () => {
    show();
    await pick('Stand-in: what is put in', 'Its seat slips on the way up');
    await press('Put the beam in');
    expect(sent().at(-1)).toMatchObject({ runId: 'r1', place: 'slip', times: 1 });
    expect(placed).toHaveBeenCalledOnce();
    vi.mocked(perform).mockResolvedValue({ ok: false, message: 'The line is down.', errors: {} } as never);
    await press('Put the beam in');
    expect(placed).toHaveBeenCalledOnce();
    expect(notice).toHaveBeenLastCalledWith('The line is down.', 'error');
  });
});
