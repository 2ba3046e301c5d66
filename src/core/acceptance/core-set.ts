import type { Limits } from '../limits';
import {
  type Exact,
  exact,
  plainOf,
  type RoundingMode,
  type System,
  smallest,
  type UnitId,
} from '../quantity';
import { Sheet, type WorkingLine } from '../working';
import { meanLine } from './set-lines';

/** What the cores for one questioned strength test say together; arithmetic, never a word on safety. */
export interface CoreSet {
  readonly meets: boolean | null;
  readonly sentence: string;
  readonly lines: readonly WorkingLine[];
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
  mode: RoundingMode = 'half-even',
): CoreSet {
  const unit: UnitId = system === 'US' ? 'psi' : 'MPa';
  const count = limits.number('core.count', system).toNumber();
  if (strengths.length < count)
    return { meets: null, sentence: `${strengths.length} of ${count} cores tested.`, lines: [] };
  const values = strengths.map((value) => exact(value));
  const fc = exact(specified);
  const sheet = new Sheet(mode);
  const [meanShare, eachShare] = [
    limits.of('core.mean-share', system),
    limits.of('core.single-share', system),
  ];
  const mean = meanLine(sheet, values, {
    name: 'Mean of the cores',
    unit,
    step: limits.number('cylinder.strength-step', system),
    source: meanShare.source,
  });
  const asked = (symbol: string, name: string, limit: typeof meanShare): Exact => {
    const share = limit.low ?? exact(0);
    return sheet.line({
      symbol,
      name,
      formula: 'k * fc',
      uses: { k: share, fc },
      value: share.times(fc),
      unit,
      source: limit.source,
    });
  };
  const wantedMean = asked('x_least', 'The mean at least', meanShare);
  const wantedEach = asked('f_least', 'Each core at least', eachShare);
  const low = smallest(values);
  const [meanMeets, eachMeets] = [
    mean.greaterThanOrEqualTo(wantedMean),
    low.greaterThanOrEqualTo(wantedEach),
  ];
  const show = (value: Exact): string => plainOf(value.toSignificantDigits(5), unit);
  return {
    meets: meanMeets && eachMeets,
    sentence: `Mean ${show(mean)}, ${meanMeets ? 'not below' : 'below'} ${show(wantedMean)}; lowest ${show(low)}, ${eachMeets ? 'not below' : 'below'} ${show(wantedEach)}. ${
      meanMeets && eachMeets
        ? 'The arithmetic meets the rule.'
        : 'The arithmetic does not meet the rule: further cores where results are erratic, else the licensed professional evaluates.'
    }`,
    lines: sheet.lines,
  };
}
