import { isWithin, type Limits } from '../limits';
import { measureIn, parseMeasure, plainOf, type System } from '../quantity';
import { fieldsOf, type RunInput } from './fields';

/**
 * What a reading says of the day it was taken on: one that is held against a row only whether it was inside, since it is never
 * twice the same; any other as it was typed.
 * @param type the class of readings that it is of @param text as typed, in the system of its run or with its unit
 */
export function readingOfDay(
  type: new () => RunInput,
  name: string,
  text: string,
  system: System,
  limits: Limits,
): string {
  const field = fieldsOf(type).find((each) => each.name === name);
  if (field?.kind !== 'measure' || !field.held) return text;
  const unit = field.unit[system];
  const read = parseMeasure(text, field.dimension, unit);
  if (!read.ok) return text;
  const { value } = measureIn(read.measure, unit);
  return isWithin(value, limits.of(field.held.limit, system))
    ? 'within its limits'
    : `at ${plainOf(value, unit)}`;
}
