import { convert, type Exact } from '../quantity';
import { type RunInput, readMeasure } from './fields';

/** A temperature that was read, °C. */
export function celsiusOf(input: RunInput, name: string): Exact | undefined {
  const value = readMeasure(input, name)?.value;
  return value && (input.system === 'US' ? convert(value, 'degF', 'degC') : value);
}
