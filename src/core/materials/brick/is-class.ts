import { isWithin, type Limits } from '../../limits';
import { type Exact, measureIn, parseMeasure, type System } from '../../quantity';

/** The classes of IS 1077, in N/mm². Source: IS 1077 (from memory). */
const IS_CLASSES = ['3.5', '5', '7.5', '10', '12.5', '15', '17.5', '20', '25', '30', '35'] as const;

/** True for the classes that may take up more water, and turn whiter, than those above them. @param declared MPa */
export function isLowClass(declared: Exact, limits: Limits, system: System): boolean {
  return isWithin(declared.toDecimalPlaces(1), limits.of('brick.is1077.class', system));
}

/** A strength that is no class of IS 1077. */
export function classProblem({
  product,
  declared,
}: Readonly<Record<string, unknown>>): Readonly<Record<string, string>> {
  const parsed = parseMeasure(String(declared ?? ''), 'stress', 'MPa');
  if (product !== 'is1077' || !parsed.ok) return {};
  const named = measureIn(parsed.measure, 'MPa').value.toDecimalPlaces(1);
  return IS_CLASSES.some((each) => named.equals(each))
    ? {}
    : { declared: `Its classes are ${IS_CLASSES.join(', ')} MPa: type one of them, with its unit.` };
}
