import { largest, meanOf, plainOf, type System, smallest } from '../../quantity';
import { type Finding, finding } from '../../working';
import type { PlanItem } from '../contract';
import { factTexts } from '../facts';
import { readMeasure } from '../fields';
import { setupMeasure } from '../measure-text';
import { STRESS_UNIT } from '../press';
import type { RunSetup } from '../setup';
import type { StaticModulusInput } from './input';

/** Strengths of the companions broken so far, psi or MPa. */
const strengthsOf = (setup: RunSetup, system: System) =>
  factTexts(setup, 'companions').flatMap((text) => setupMeasure(text, 'stress', STRESS_UNIT[system]) ?? []);

/** What the companions of the same age broke at, to know before loading; undefined while none is broken. */
export function companionsOf(setup: RunSetup, system: System): PlanItem | undefined {
  const all = strengthsOf(setup, system);
  if (all.length === 0) return undefined;
  return {
    label: 'Companions broke at',
    text: plainOf(meanOf(all).toSignificantDigits(4), STRESS_UNIT[system]),
    note: all.length === 1 ? 'one cylinder' : `mean of ${all.length}`,
  };
}

/** A companion strength that none of the companions on record can have given: a slip of the pen, or the wrong sample. */
export function companionFindings(input: StaticModulusInput, setup: RunSetup): Finding[] {
  const typed = readMeasure(input, 'companion');
  const all = strengthsOf(setup, input.system);
  if (!typed || all.length === 0) return [];
  const [low, high] = [smallest(all), largest(all)];
  if (typed.value.greaterThanOrEqualTo(low) && typed.value.lessThanOrEqualTo(high)) return [];
  const unit = STRESS_UNIT[input.system];
  const words = low.equals(high) ? plainOf(low, unit) : `${plainOf(low, unit)} to ${plainOf(high, unit)}`;
  return [
    finding({
      id: 'modulus.companion-other',
      severity: 'advice',
      fields: ['companion'],
      message: `The companions of this age broke at ${words}; ${plainOf(typed.value, unit)} is typed.`,
      action: 'Take the mean of the companions, or say in the remarks whose strength it is.',
    }),
  ];
}
