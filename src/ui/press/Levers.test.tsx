// @vitest-environment jsdom
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Levers as Controls, ReadingLine } from '@/core/press';
import { perform } from '../api';
import { Levers } from './Levers';

vi.mock('../api', () => ({ perform: vi.fn() }));
const notice = vi.fn();
vi.mock('../parts/Notice', () => ({ useNotice: () => notice }));

const LINE: ReadingLine = {
  ...{ seq: 1, t: 0, load: 0, unit: 'kN', peak: 0, pos: 0, at: 0 },
  ...{ pump: false, approach: false, fine: 0, door: false },
};
/** What is under way to the press, answered by hand, as on a server with much else to do. */
let under: { order: { levers?: Controls; place?: string }; answer: (ok: boolean) => Promise<void> }[];
const sent: (typeof under)[number]['order'][] = [];
const placed = vi.fn();
const show = (last: Partial<ReadingLine> = {}) => (
  <Levers runId="r1" last={{ ...LINE, ...last }} placed={placed} />
);
const key = (name: string) => act(async () => void fireEvent.keyDown(document.body, { key: name }));
const pass = (ms: number) => act(async () => void (await vi.advanceTimersByTimeAsync(ms)));
const isOn = (lever: string): boolean =>
  screen.getByRole('group', { name: lever }).querySelector('[value=on]')?.getAttribute('aria-pressed') ===
  'true';

beforeEach(() => {
  vi.useFakeTimers();
  under = [];
  sent.length = 0;
  notice.mockReset();
  vi.mocked(perform).mockImplementation(
    (_, data) =>
      new Promise((resolve) => {
        const { runId: _run, ...order } = data as { runId: string; levers?: Controls };
        sent.push(order);
        under.push({
          order,
          answer: (ok) =>
            act(async () => {
              under.shift();
              resolve((ok ? { ok, data: {} } : { ok, message: 'The press does not answer.' }) as never);
            }),
        });
      }),
  );
});
afterEach(() => {
  cleanup();
  vi.useRealTimers();
});

describe('the levers of a stand-in press', () => {
  it('sends one order at a time, and the newest place of all levers last', async () => {
    render(show());
    await key('d');
    await pass(200);
    expect(sent).toEqual([{ levers: { pump: false, approach: false, fine: 0, door: true } }]);
    // The first is still under way: what is moved meanwhile waits, in one order.
    await key('p');
    await key('ArrowUp');
    await pass(2000);
    expect(under).toHaveLength(1);
    await under[0]?.answer(true);
    await pass(200);
    expect(sent).toHaveLength(2);
    expect(sent[1]).toEqual({ levers: { pump: true, approach: false, fine: 0.01, door: true } });
    await under[0]?.answer(true);
    await pass(2000);
    expect(sent).toHaveLength(2);
  });
  it('shows where the press itself stands again when an order did not arrive', async () => {
    const { rerender } = render(show());
    await key('d');
    await key('p');
    expect([isOn('Door (D)'), isOn('Pump (P)')]).toEqual([true, true]);
    await pass(200);
    await under[0]?.answer(false);
    expect(notice).toHaveBeenCalledWith('The press does not answer.', 'error');
    rerender(show({ seq: 2 }));
    expect([isOn('Door (D)'), isOn('Pump (P)')]).toEqual([false, false]);
  });
  it('stops the pump when the door opens, and leaves the other levers as they are', async () => {
    render(show({ door: true, pump: true, fine: 0.4, load: 12 }));
    expect(isOn('Pump (P)')).toBe(true);
    await key('d');
    await pass(200);
    expect(sent).toEqual([{ levers: { pump: false, approach: false, fine: 0.4, door: false } }]);
  });
  it('puts a specimen in after what was moved before, and does not believe lines from before it', async () => {
    const { rerender } = render(show({ door: true, pump: true, fine: 0.4 }));
    await key('p');
    await pass(200);
    fireEvent.click(screen.getByRole('button', { name: 'Put the specimen in' }));
    await pass(10);
    expect(sent).toHaveLength(1);
    await under[0]?.answer(true);
    expect(sent.at(-1)).toMatchObject({ place: 'normal', times: 1 });
    await under[0]?.answer(true);
    expect(placed).toHaveBeenCalledWith('normal');
    rerender(show({ seq: 5, door: true, pump: true, fine: 0.4 }));
    expect([isOn('Door (D)'), isOn('Pump (P)')]).toEqual([false, false]);
  });
});
