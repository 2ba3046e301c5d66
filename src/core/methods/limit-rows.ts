import type { LimitId } from '../limits';
import type { System } from '../quantity';
import type { PlanItem } from './contract';
import { limitsOf, type RunSetup } from './setup';

/** Rows of the register as the plan of a test shows them: what each limits, and how it is written. */
export function limitRows(ids: readonly LimitId[], system: System, setup: RunSetup): PlanItem[] {
  const limits = limitsOf(setup);
  return ids.map((id) => {
    const { title, text } = limits.of(id, system);
    return { label: title, text };
  });
}
