// @vitest-environment jsdom
import { act, cleanup, renderHook, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { type CurrentReading, useReadings } from './use-readings';

interface Sent {
  readonly id: string;
  readonly field: string;
  readonly text: string;
  readonly basedOn?: number;
  readonly reason?: string;
  readonly amendmentId?: string;
}

/** A server that acknowledges, refuses, or is not there; it counts as the real one does. */
class Server {
  readonly stored: Sent[] = [];
  up = true;
  status = 200;
  private seq = 100;
  /** Answers of its own, by field. */
  readonly answers = new Map<string, { status: number; body: unknown }>();

  readonly fetch = vi.fn(async (path: string, init: { body: string }) => {
    if (path !== '/api/do/save-readings') return answer(200, { now: Date.now() });
    if (!this.up) throw new TypeError('fetch failed');
    if (this.status !== 200) return answer(this.status, {});
    const [reading] = JSON.parse(init.body).readings as Sent[];
    if (!reading) throw new Error('a save without a reading');
    const own = this.answers.get(reading.field);
    if (own) return answer(own.status, own.body);
    this.stored.push(reading);
    this.seq += 1;
    return answer(200, { saved: [{ field: reading.field, seq: this.seq }] });
  });
}

function answer(status: number, body: unknown): Response {
  return new Response(JSON.stringify(body), { status });
}

let server: Server;
beforeEach(() => {
  localStorage.clear();
  sessionStorage.clear();
  server = new Server();
  vi.stubGlobal('fetch', server.fetch);
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const NONE: readonly CurrentReading[] = [];
const opened = (
  initial: readonly CurrentReading[] = NONE,
  correction?: { reason?: string; amendmentId?: string },
) => renderHook(({ news }) => useReadings('run-1', news, correction), { initialProps: { news: initial } });
const kept = (): Sent[] => JSON.parse(localStorage.getItem('readings/run-1') ?? '[]');
const texts = (all: readonly Sent[]): string[] => all.map(({ field, text }) => `${field} ${text}`);

it('sends each reading as it is taken, in order, and says when all are acknowledged', async () => {
  const { result } = opened();
  act(() => {
    result.current.save('load', ' 61,870 ');
    result.current.save('length', '8.02');
  });
  expect(result.current.values).toEqual({ load: ' 61,870 ', length: '8.02' });
  expect(await act(() => result.current.whenSaved())).toBe(true);
  expect(texts(server.stored)).toEqual(['load 61,870', 'length 8.02']);
  expect(result.current.state).toBe('saved');
  expect(kept()).toEqual([]);
});

it('keeps what cannot be sent on the device, and sends it once, with the same name, when the network is back', async () => {
  server.up = false;
  const { result } = opened();
  act(() => result.current.save('load', '61,870'));
  await waitFor(() => expect(result.current.state).toBe('waiting'));
  act(() => result.current.save('length', '8.02'));
  await waitFor(() => expect(texts(kept())).toEqual(['load 61,870', 'length 8.02']));
  const names = kept().map(({ id }) => id);
  server.up = true;
  act(() => void window.dispatchEvent(new Event('online')));
  expect(await act(() => result.current.whenSaved())).toBe(true);
  expect(server.stored.map(({ id }) => id)).toEqual(names);
  expect(kept()).toEqual([]);
});

it.each([500, 503])('a server that answers %s has taken nothing: the reading stays', async (status) => {
  server.status = status;
  const { result } = opened();
  act(() => result.current.save('load', '61,870'));
  await waitFor(() => expect(result.current.state).toBe('waiting'));
  expect(texts(kept())).toEqual(['load 61,870']);
});

it('a page that is opened again brings back what was not sent, shows it and sends it', async () => {
  server.up = false;
  const first = opened();
  act(() => first.result.current.save('load', '61,870'));
  await waitFor(() => expect(kept()).toHaveLength(1));
  first.unmount();
  server.up = true;
  const { result } = opened([{ field: 'load', text: '59,000', seq: 7 }]);
  await waitFor(() => expect(result.current.values.load).toBe('61,870'));
  expect(await act(() => result.current.whenSaved())).toBe(true);
  expect(server.stored).toMatchObject([{ field: 'load', text: '61,870', basedOn: 7 }]);
});

it('a page that was kept is older than what was sent since: what was acknowledged is shown until a page brings it', async () => {
  const first = opened();
  act(() => first.result.current.save('load', '61,870'));
  expect(await act(() => first.result.current.whenSaved())).toBe(true);
  first.unmount();
  // The network is gone: the page comes back as it was kept, before the reading.
  server.up = false;
  const { result, rerender } = opened([{ field: 'length', text: '8.02', seq: 3 }]);
  await waitFor(() => expect(result.current.values).toEqual({ length: '8.02', load: '61,870' }));
  // It is no reading to be sent once more, and another's later one goes before it.
  act(() => result.current.save('load', '61,870'));
  expect(kept()).toEqual([]);
  rerender({ news: [{ field: 'load', text: '61,900', seq: 500 }] });
  await waitFor(() => expect(result.current.values.load).toBe('61,900'));
  expect(sessionStorage.getItem('sent/run-1')).toBeNull();
});

it('what is typed and not taken yet is there again too, and is not sent', async () => {
  const first = opened();
  act(() => first.result.current.type('load', '61,8'));
  first.unmount();
  const { result } = opened();
  await waitFor(() => expect(result.current.values.load).toBe('61,8'));
  expect(server.stored).toEqual([]);
  act(() => result.current.save('load', '61,870'));
  await act(() => result.current.whenSaved());
  expect(localStorage.getItem('typed/run-1')).toBeNull();
});

it('a store that holds nonsense is thrown away, not the page', async () => {
  localStorage.setItem('readings/run-1', '{half');
  localStorage.setItem('typed/run-1', 'no json');
  const { result } = opened([{ field: 'load', text: '59,000', seq: 7 }]);
  await waitFor(() => expect(localStorage.getItem('readings/run-1')).toBeNull());
  expect(result.current.values.load).toBe('59,000');
});

it('saves nothing that is there already, blanks aside', async () => {
  const { result } = opened([{ field: 'load', text: '61,870', seq: 7 }]);
  act(() => result.current.save('load', '61,870 '));
  act(() => result.current.save('length', ''));
  await act(() => result.current.whenSaved());
  expect(server.stored).toEqual([]);
  act(() => result.current.save('load', '61,880'));
  act(() => result.current.save('load', '61,880'));
  await act(() => result.current.whenSaved());
  expect(texts(server.stored)).toEqual(['load 61,880']);
});

it('each save says what it was based on, the one before it included', async () => {
  const { result } = opened([{ field: 'load', text: '59,000', seq: 7 }]);
  act(() => result.current.save('load', '61,870'));
  await act(() => result.current.whenSaved());
  act(() => result.current.save('load', '61,880'));
  await act(() => result.current.whenSaved());
  expect(server.stored.map(({ basedOn }) => basedOn)).toEqual([7, 101]);
});

it('a refused reading is told at its field, stays typed, and the next one goes on', async () => {
  server.answers.set('load', { status: 422, body: { message: 'No.', errors: { load: 'Load: too large.' } } });
  const { result } = opened();
  act(() => {
    result.current.save('load', '9,999,999');
    result.current.save('length', '8.02');
  });
  expect(await act(() => result.current.whenSaved())).toBe(true);
  expect(result.current.refused).toEqual({ load: 'Load: too large.' });
  expect(result.current.values.load).toBe('9,999,999');
  expect(texts(server.stored)).toEqual(['length 8.02']);
  act(() => result.current.type('load', '99,999'));
  expect(result.current.refused).toEqual({});
});

describe('a reading that somebody else changed meanwhile', () => {
  const met = async () => {
    server.answers.set('load', {
      status: 409,
      body: { message: 'Changed.', theirs: { seq: 55, text: '60,100' } },
    });
    const { result } = opened([{ field: 'load', text: '59,000', seq: 7 }]);
    act(() => result.current.save('load', '61,870'));
    await waitFor(() => expect(result.current.conflicts.load).toEqual({ seq: 55, text: '60,100' }));
    server.answers.clear();
    return result;
  };
  it('is put before the person with both; mine is saved on top of theirs', async () => {
    const result = await met();
    expect(result.current.values.load).toBe('61,870');
    act(() => result.current.settle('load', true));
    await act(() => result.current.whenSaved());
    expect(server.stored).toMatchObject([{ text: '61,870', basedOn: 55 }]);
    expect(result.current.conflicts).toEqual({});
  });
  it('or theirs stays', async () => {
    const result = await met();
    act(() => result.current.settle('load', false));
    await act(() => result.current.whenSaved());
    expect(result.current.values.load).toBe('60,100');
    expect(server.stored).toEqual([]);
  });
  it('comes in by itself where nothing is being typed', () => {
    const { result, rerender } = opened([
      { field: 'load', text: '59,000', seq: 7 },
      { field: 'length', text: '8.00', seq: 8 },
    ]);
    act(() => result.current.type('length', '8.0'));
    rerender({
      news: [
        { field: 'load', text: '60,100', seq: 55 },
        { field: 'length', text: '8.05', seq: 56 },
      ],
    });
    expect(result.current.values).toEqual({ load: '60,100', length: '8.0' });
  });
});

it('a correction carries its reason and its amendment', async () => {
  const { result } = opened([{ field: 'load', text: '59,000', seq: 7 }], {
    reason: 'read upside down',
    amendmentId: 'a-1',
  });
  act(() => result.current.save('load', '61,870'));
  await act(() => result.current.whenSaved());
  expect(server.stored).toMatchObject([{ reason: 'read upside down', amendmentId: 'a-1' }]);
});

it('says that it is not all saved when the network does not come back', async () => {
  vi.useFakeTimers({ toFake: ['setTimeout'] });
  try {
    server.up = false;
    const { result } = opened();
    act(() => result.current.save('load', '61,870'));
    const waiting = result.current.whenSaved();
    for (let waited = 0; waited < 130; waited += 1) await act(() => vi.advanceTimersByTimeAsync(50));
    expect(await waiting).toBe(false);
    expect(texts(kept())).toEqual(['load 61,870']);
  } finally {
    vi.useRealTimers();
  }
});
