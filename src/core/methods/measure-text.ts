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

/** A measured value in the setup, as text with its unit: `4,500 psi`. */
export function MeasureText(
  dimension: Dimension,
  options: { each?: boolean; among?: SpecifiedName } = {},
): PropertyDecorator {
  const { among, ...rest } = options;
  const spec = among && SPECIFIED[among];
  const ends = spec && ([spec.US, spec.SI] as const).map(([unit, low, high]) => ({ unit, low, high }));
  // Possible in either system: the other one's round ends lie a little further out.
  const canBe = (text: string): boolean =>
    !ends ||
    ends.some(({ unit, low, high }) => {
      const value = setupMeasure(text, dimension, unit);
      return Boolean(value?.greaterThanOrEqualTo(low) && value.lessThanOrEqualTo(high));
    });
  return (target, key) => {
    registerDecorator({
      name: 'isMeasureText',
      target: target.constructor,
      propertyName: String(key),
      options: rest,
      validator: {
        validate: (value: unknown) =>
          typeof value === 'string' && setupMeasure(value, dimension) !== undefined && canBe(value),
        defaultMessage: () =>
          `${String(key)}: a ${dimension} with its unit is expected${
            ends
              ? `, between ${ends.map(({ unit, low, high }) => `${low} and ${high} ${unitLabel(unit)}`).join(' or ')}`
              : ''
          }.`,
      },
    });
  };
}
