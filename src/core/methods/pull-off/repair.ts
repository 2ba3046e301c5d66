import type { Wait } from '../../waits/wait';
import type { PullOffInput } from './input';

/** A place that was pulled is owed its repair until somebody says what it was made good with. */
export function waits({ pulledAt, repaired }: PullOffInput): readonly Wait[] {
  return pulledAt && !repaired
    ? [{ id: 'repair', what: 'Make good where it was pulled', lane: 'slab', opens: pulledAt, stays: true }]
    : [];
}
