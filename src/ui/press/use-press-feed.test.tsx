// @vitest-environment jsdom
import { act, cleanup, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { ReadingLine, WatchRequest } from '@/core/press';
import { followBreak } from './follow';
import { usePressFeed } from './use-press-feed';

/** The stream of a machine, as a page is told of it. */
class Stream {
  static all: Stream[] = [];
  onmessage: ((event: { data: string }) => void) | null = null;
  onerror: (() => void) | null = null;
  closed = false;
  constructor(readonly url: string) {
    Stream.all.push(this);
  }
  close(): void {
    this.closed = true;
  }
}
const stream = (): Stream => Stream.all.at(-1) as Stream;

const LINE: ReadingLine = {
  seq: 1,
  t: 0,
  load: 0,
  unit: 'kN',
  peak: 0,
  pos: 0,
  at: 0,
  pump: true,
  approach: false,
  fine: 0.2,
  door: true,
};
let peak = 0;
/** Readings from a number on, fifty a second. */
function readings(from: number, loads: readonly number[], over: Partial<ReadingLine> = {}): ReadingLine[] {
  return loads.map((load, index) => {
    peak = Math.max(peak, load);
    const seq = from + index;
    return { ...LINE, seq, t: seq / 50, load, peak, at: Date.now(), ...over };
  });
}
async function told(message: object): Promise<void> {
  await act(async () => {
    stream().onmessage?.({ data: JSON.stringify(message) });
    await vi.advanceTimersByTimeAsync(400);
  });
}
const came = (lines: readonly ReadingLine[], more: object = {}) =>
  told({ boot: 'b1', simulated: true, lines, ...more });

beforeEach(() => {
  Stream.all = [];
  peak = 0;
  vi.useFakeTimers({ now: Date.UTC(2031, 5, 11, 14) });
  vi.stubGlobal('EventSource', Stream);
});
afterEach(() => {
  cleanup();
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const follow = (
  unit: 'lbf' | 'kN' = 'kN',
  request: WatchRequest | null = null,
  each?: (line: ReadingLine) => void,
) =>
  renderHook(
    (props: { machine: string | undefined; from: number | null; request: WatchRequest | null }) =>
      usePressFeed(props.machine, props.from, unit, props.request && followBreak(props.request, unit), each),
    { initialProps: { machine: 'PR 1', from: null as number | null, request } as never },
  );

describe('a machine followed by a page', () => {
  it('asks for what comes, or for all from a number on, and lets go of what it leaves', () => {
    const { rerender, unmount } = follow();
    expect(stream().url).toBe('/api/press/PR%201');
    rerender({ machine: 'PR 1', from: 700, request: null } as never);
    expect(Stream.all.map(({ url, closed }) => [url, closed])).toEqual([
      ['/api/press/PR%201', true],
      ['/api/press/PR%201?from=700', false],
    ]);
    unmount();
    expect(stream().closed).toBe(true);
  });

  it('is nothing where no machine is chosen', () => {
    const { result } = renderHook(() => usePressFeed(undefined, null, 'kN', null));
    expect(Stream.all).toEqual([]);
    expect(result.current.state.up).toBeNull();
  });

  it('shows the newest reading, the peak in the unit of the run, and where the line began', async () => {
    const { result } = follow('lbf');
    await came(readings(10, [1, 2, 3]));
    const { state } = result.current;
    expect([state.up, state.simulated, state.boot, state.firstSeq, state.last?.seq]).toEqual([
      true,
      true,
      'b1',
      10,
      12,
    ]);
    // 1 kN is 224.809 lbf (NIST SP 811, from memory).
    expect(state.register).toBeCloseTo(3 * 224.809, 2);
    expect(state.curve.length).toBeGreaterThan(1);
  });

  it('takes no reading twice, and counts those that never came', async () => {
    const each = vi.fn();
    const { result } = follow('kN', null, each);
    await came(readings(1, [1, 2, 3]));
    await came(readings(2, [2, 3, 4]));
    expect(each.mock.calls.map(([{ seq }]) => seq)).toEqual([1, 2, 3, 4]);
    expect(result.current.state.lost).toBe(0);
    await came(readings(8, [5]));
    expect(result.current.state.lost).toBe(3);
  });

  it('says that the line is down, that it is up again, and that what stands there is old', async () => {
    const { result } = follow();
    await came(readings(1, [1]));
    await act(async () => {
      stream().onerror?.();
      await vi.advanceTimersByTimeAsync(100);
    });
    expect(result.current.state.up).toBe(false);
    await told({ up: true, simulated: true });
    expect(result.current.state.up).toBe(true);
    await act(() => vi.advanceTimersByTimeAsync(3000));
    expect(result.current.state.stale).toBe(true);
    await came(readings(2, [2]));
    expect(result.current.state.stale).toBe(false);
  });

  it('tells when the peak was read by the machine’s clock, and how long a reading took to here', async () => {
    const { result } = follow();
    const at = Date.now();
    await came(readings(1, [5, 9, 7], { at }));
    expect(result.current.state.peakAt).toBe(at);
    expect(result.current.state.delay).toBe(0);
    await came(readings(4, [6], { at: Date.now() - 250 }));
    expect(result.current.state.delay).toBe(250);
    expect(result.current.state.peakAt).toBe(at);
  });

  it('forgets what came when another specimen is in', async () => {
    const { result } = follow();
    await came(readings(1, [5, 9]));
    act(() => result.current.restart());
    peak = 0;
    await came(readings(3, [1]));
    expect([result.current.state.firstSeq, result.current.state.register]).toEqual([3, 1]);
  });

  it('keeps the thinned curve in order, whatever comes', async () => {
    const { result } = follow();
    for (let turn = 0; turn < 6; turn += 1)
      await came(
        readings(
          1 + turn * 500,
          Array.from({ length: 500 }, (_, index) => turn * 10 + index / 50),
        ),
      );
    const xs = result.current.state.curve.map(({ x }) => x);
    expect(xs.length).toBeLessThanOrEqual(801);
    expect(xs).toEqual(xs.toSorted((a, b) => a - b));
    expect(Math.max(...result.current.state.curve.map(({ y }) => y))).toBeGreaterThan(55);
  });
});
