import { fieldsOf } from '../methods';
import { findMethod } from '../methods/registry';
import type { System } from '../quantity';
import { Chance } from '../statistics';
import type { ChoiceStep, Drill, DrillScript, FaultId } from './types';

const PRACTICE_GEAR = 'PRACTICE';

/**
 * A drill as it is played from a seed: the same seed, system and start always make the same drill.
 * @param seed whole number; decides the readings, the order of the answers, and which fault is in it, if any
 * @param startedAt instant, ms since the epoch
 */
export function playDrill(drill: Drill, seed: number, system: System, startedAt: number): DrillScript {
  const chance = Chance.settled(seed);
  const next = (): number => chance.between(0, 1);
  // One drill in so many has nothing wrong with it: who looks for a fault must also be able to find none.
  const faults: readonly FaultId[] = ['none', ...drill.faults];
  const fault = faults[Math.floor(next() * faults.length)] ?? 'none';
  const script = drill.script({
    system,
    startedAt,
    fault,
    between: (low, high) => low + (high - low) * next(),
  });
  const shuffled = <T>(all: readonly T[]): T[] =>
    all
      .map((each) => ({ each, key: next() }))
      .toSorted((a, b) => a.key - b.key)
      .map(({ each }) => each);
  // The gear of a drill is always in date: what is to be found lies elsewhere.
  const gear = fieldsOf(findMethod(drill.method)?.Input ?? Object).filter(({ kind }) => kind === 'equipment');
  const verifiedOn = new Date(startedAt).toISOString().slice(0, 10);
  return {
    ...script,
    given: { ...Object.fromEntries(gear.map(({ name }) => [name, PRACTICE_GEAR])), ...script.given },
    setup: {
      ...script.setup,
      equipment: gear.flatMap((field) =>
        field.kind === 'equipment'
          ? [{ number: PRACTICE_GEAR, kind: field.equipmentKind, verifiedOn, inService: true }]
          : [],
      ),
    },
    steps: script.steps.map((step) =>
      step.kind === 'choice' ? ({ ...step, options: shuffled(step.options) } satisfies ChoiceStep) : step,
    ),
  };
}
