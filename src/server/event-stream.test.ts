import { describe, expect, it } from 'vitest';
import { eventStream } from './event-stream';

/** A stream whose right can be taken away, with what it said and what became of it. */
function opened() {
  const state = { mayGoOn: true, left: 0, deaf: 0, tell: (_: string): void => undefined };
  const gone = new AbortController();
  const response = eventStream(
    new Request('http://bench.test/', { signal: gone.signal }),
    (send) => {
      send('{"first":1}', 7);
      return () => {
        state.left += 1;
      };
    },
    {
      personId: 'a',
      mayGoOn: async () => state.mayGoOn,
      access: {
        subscribeAccess: (listener) => {
          state.tell = listener;
          return () => {
            state.deaf += 1;
          };
        },
      },
    },
  );
  return { state, response, gone };
}

describe('a stream', () => {
  it('begins at once and says where it is', async () => {
    const { response, gone } = opened();
    const reader = response.body?.getReader();
    const text = async () => new TextDecoder().decode((await reader?.read())?.value);
    expect(await text()).toContain('retry: 1000');
    expect(await text()).toBe('id: 7\ndata: {"first":1}\n\n');
    gone.abort();
  });
  it('ends as soon as the right to it ends, and lets go of everything', async () => {
    const { state, response } = opened();
    state.mayGoOn = false;
    // Somebody else's access is nothing to it.
    state.tell('b');
    await new Promise((resolve) => setTimeout(resolve, 10));
    expect(state.left).toBe(0);
    state.tell('a');
    expect(await response.text()).toContain('first');
    expect([state.left, state.deaf]).toEqual([1, 1]);
  });
  it('goes on when the change took nothing away', async () => {
    const { state, gone } = opened();
    state.tell('a');
    await new Promise((resolve) => setTimeout(resolve, 10));
    expect(state.left).toBe(0);
    gone.abort();
    expect(state.left).toBe(1);
  });
});
