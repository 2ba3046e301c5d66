import { isWithin, type Limits } from '../limits';
import { exact, meanOf, type RoundingMode, roundedText, type System } from '../quantity';
import { rangePercent } from '../statistics';

/** What the cylinders of one sample and age that were split say together. */
export interface SplitSet {
  readonly text: string | null;
  readonly note: string | undefined;
}

/**
 * The mean of split cylinders, and how far two of them lie apart.
 * @param strengths unrounded splitting tensile strengths
 * @returns no text for fewer than two; the rule is for two, of more the range is only said
 * Source: ASTM C496: two of one sample by one operator within 14 % of their mean (from memory).
 */
export function splitSet(
  strengths: readonly string[],
  system: System,
  limits: Limits,
  mode: RoundingMode = 'half-even',
): SplitSet {
  if (strengths.length < 2) return { text: null, note: undefined };
  const values = strengths.map((value) => exact(value));
  const range = rangePercent(values) ?? exact(0);
  const limit = limits.of('splitting.range', system);
  const words = `Range ${range.toFixed(2)} % of the mean of ${values.length}`;
  return {
    text: roundedText(meanOf(values), limits.number('splitting.step', system), mode),
    note:
      values.length > 2
        ? `${words}: the rule is for two cylinders.`
        : `${words}; ${limit.high} % is allowed.${isWithin(range, limit) ? '' : ' Investigate: strips, marked lines, rate, labels.'}`,
  };
}
