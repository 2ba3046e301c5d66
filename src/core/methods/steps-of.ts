import type { Method, Step } from './contract';
import type { RunSetup } from './setup';

/** The steps of a method that there are for what it is made on, in their order. */
export function stepsOf({ steps }: Pick<Method, 'steps'>, setup: RunSetup): readonly Step[] {
  return steps.filter(({ when }) => when?.(setup) ?? true);
}
