import { isLimitId, type LimitId, PROFILES } from '../limits';
import type { Method } from './contract';
import { limitsOf } from './setup';
import { usableInput } from './validate';

/** The rows of the register that a method holds its example against, in both systems and every school that has its own. */
export function limitsRead(method: Method): LimitId[] {
  const read = new Set<LimitId>();
  for (const profile of PROFILES)
    for (const system of ['US', 'SI'] as const) {
      const { input, setup } = method.example(system);
      // Changes of its own, so that the register is one that nobody else asks.
      const own = { ...setup, profile, limitChanges: {} };
      method.plan(system, own);
      method.compute(usableInput(method, { ...input, system }).input, own);
      for (const id of limitsOf(own).read) {
        read.add(id);
        const ofSchool = `${profile}/${id}`;
        if (isLimitId(ofSchool)) read.add(ofSchool);
      }
    }
  return [...read].toSorted();
}
