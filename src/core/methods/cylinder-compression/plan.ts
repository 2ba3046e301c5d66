import type { System } from '../../quantity';
import type { PlanItem } from '../contract';
import { specimenPlan } from '../press';
import type { RunSetup } from '../setup';
import { CylinderCompressionInput } from './input';
import { PRESS } from './press';

/**
 * What to know before the first load: expected load, the rate band in the machine's own units, the time it takes.
 * @returns nothing for a specimen of unknown size
 */
export function plan(system: System, setup: RunSetup): readonly PlanItem[] {
  return specimenPlan(
    PRESS.test(Object.assign(new CylinderCompressionInput(), { system }), setup),
    setup,
    system,
  );
}
