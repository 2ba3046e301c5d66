import type { Limits } from '../limits';
import { exact, meanOf, plainOf, type System, smallest, type UnitId } from '../quantity';

/** What the cores for one questioned strength test say together; arithmetic, never a word on safety. */
export interface CoreSet {
  readonly meets: boolean | null;
  readonly sentence: string;
}

/**
 * Three cores against the specified strength: their mean and the lowest.
 * @param strengths unrounded, in the unit of the system
 * @param specified f′c in the same unit
 * @returns `meets` null while there are fewer than three
 * Source: ACI 318 26.12.6 (from memory): mean at least 0.85 f′c, none below 0.75 f′c.
 */
export function coreSet(
  strengths: readonly string[],
  specified: string,
  system: System,
  limits: Limits,
): CoreSet {
  const unit: UnitId = system === 'US' ? 'psi' : 'MPa';
  const count = limits.number('core.count', system).toNumber();
  if (strengths.length < count)
    return { meets: null, sentence: `${strengths.length} of ${count} cores tested.` };
  const values = strengths.map((value) => exact(value));
  const mean = meanOf(values);
  const low = smallest(values);
  const wantedMean = exact(specified).times(limits.number('core.mean-share', system));
  const wantedEach = exact(specified).times(limits.number('core.single-share', system));
  const [meanMeets, eachMeets] = [
    mean.greaterThanOrEqualTo(wantedMean),
    low.greaterThanOrEqualTo(wantedEach),
  ];
  const show = (value: Parameters<typeof plainOf>[0]): string => plainOf(value.toSignificantDigits(5), unit);
  return {
    meets: meanMeets && eachMeets,
    sentence: `Mean ${show(mean)}, ${meanMeets ? 'not below' : 'below'} ${show(wantedMean)}; lowest ${show(low)}, ${eachMeets ? 'not below' : 'below'} ${show(wantedEach)}. ${
      meanMeets && eachMeets
        ? 'The arithmetic meets the rule.'
        : 'The arithmetic does not meet the rule: further cores where results are erratic, else the licensed professional evaluates.'
    }`,
  };
}
