import { type Dimension, measureIn, parseMeasure, type UnitId, unitLabel } from '@/core/quantity';
import { refuseFields } from './use-case';

/**
 * Normalises typed text to a number with its unit, or refuses it at its field.
 * @param unit meant when none is typed
 * @param range what can be, in that unit, ends included
 */
export function measureText(
  field: string,
  text: string,
  dimension: Dimension,
  unit: UnitId,
  range: readonly [number, number],
): string {
  const parsed = parseMeasure(text, dimension, unit);
  if (!parsed.ok) return refuseFields({ [field]: parsed.message });
  const { value, unit: own } = parsed.measure;
  const judged = measureIn(parsed.measure, unit).value;
  if (judged.lessThan(range[0]) || judged.greaterThan(range[1])) {
    return refuseFields({
      [field]: `${text} cannot be: between ${range[0]} and ${range[1]} ${unitLabel(unit)}.`,
    });
  }
  return `${value.toFixed()} ${own}`;
}
