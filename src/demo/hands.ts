import type { Readings } from './fresh';
import type { Act } from './laboratory';
import type { PersonKey } from './scenario';

/** Who does what, and takes readings, in the scenario. */
export interface Hands {
  readonly act: Act;
  /** Takes readings into a run, and completes it when asked. */
  read(who: PersonKey, runId: string, values: Readings, at: number, complete: boolean): Promise<void>;
}
