import { registerDecorator } from 'class-validator';
import {
  type Dimension,
  type Exact,
  exact,
  measureIn,
  parseMeasure,
  type UnitId,
  unitLabel,
} from '../quantity';
import { SPECIFIED, type SpecifiedName } from './specified';

const NO_DEFAULT = '' as UnitId;

/** A setup value in a given unit (or in the unit it was written in); undefined when it is not one. */
export function setupMeasure(
  text: string | undefined,
  dimension: Dimension,
  unit?: UnitId,
): Exact | undefined {
  if (text === undefined) return undefined;
  const parsed = parseMeasure(text, dimension, NO_DEFAULT);
  if (!parsed.ok || parsed.measure.unit === NO_DEFAULT) return undefined;
  return unit ? measureIn(parsed.measure, unit).value : exact(parsed.measure.value);
}

/** True where what is asked of a concrete can be asked for at all, in either system: their round ends differ a little. */
export function isPossible(text: string, among: SpecifiedName): boolean {
  const { dimension, US, SI } = SPECIFIED[among];
  return [US, SI].some(([unit, low, high]) => {
    const value = setupMeasure(text, dimension, unit);
    return value?.greaterThanOrEqualTo(low) && value.lessThanOrEqualTo(high);
  });
}

/** What can be asked for, in words: `0.5 and 12 in or 10 and 300 mm`. */
export function rangeWords(among: SpecifiedName): string {
  const { US, SI } = SPECIFIED[among];
  return [US, SI].map(([unit, low, high]) => `${low} and ${high} ${unitLabel(unit)}`).join(' or ');
}

/** A measured value in the setup, as text with its unit: `4,500 psi`. */
export function MeasureText(dimension: Dimension, options: { each?: boolean } = {}): PropertyDecorator {
  return (target, key) => {
    registerDecorator({
      name: 'isMeasureText',
      target: target.constructor,
      propertyName: String(key),
      options,
      validator: {
        validate: (value: unknown) =>
          typeof value === 'string' && setupMeasure(value, dimension) !== undefined,
        defaultMessage: () => `${String(key)}: a ${dimension} with its unit is expected.`,
      },
    });
  };
}
