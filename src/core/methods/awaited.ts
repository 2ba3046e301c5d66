import type { Wait } from '../waits/wait';
import type { Method } from './contract';
import type { Facts } from './facts';
import { fieldsOf, type RunInput } from './fields';

/** What a test cannot be completed without and does not know yet, in words; none where it waits for nothing. */
export function stillAwaited(method: Pick<Method, 'awaits'>, known: Facts): string[] {
  return Object.entries(method.awaits?.facts ?? {}).flatMap(([name, fact]) => {
    const { what, when } = typeof fact === 'string' ? { what: fact, when: () => true } : fact;
    return known[name] === undefined && when(known) ? [what] : [];
  });
}

/** A test that was read whole and now knows what it waited for: somebody completes it. */
export function readyWait(method: Method, input: RunInput, known: Facts = {}): Wait[] {
  if (!method.awaits || stillAwaited(method, known).length > 0) return [];
  const read = input as unknown as Readonly<Record<string, unknown>>;
  const whole = fieldsOf(method.Input).every(({ name, required }) => !required || read[name] !== undefined);
  const opens = read[method.performedAt];
  if (!whole || typeof opens !== 'string') return [];
  return [{ id: 'ready', what: 'Complete it: what it waited for is known', lane: method.awaits.lane, opens }];
}
