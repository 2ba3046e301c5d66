import { type Method, type Outcome, type RunInput, type RunSetup, usableInput } from '@/core/methods';

/** Computes typed readings by a method, as the run sheet does; bad fields are left aside. */
export function computed<I extends RunInput>(
  method: Method<I>,
  typed: Readonly<Record<string, unknown>>,
  setup: RunSetup = {},
): Outcome {
  const { input, errors } = usableInput(method, { system: 'US', ...typed });
  if (Object.keys(errors).length > 0) throw new Error(JSON.stringify(errors));
  return method.compute(input, setup);
}

/** The printed text of a result; undefined when there is none. */
export function textOf(outcome: Outcome, quantity: string): string | undefined {
  return outcome.results.find((result) => result.quantity === quantity)?.text;
}

/** The unrounded value of a line of the sheet, as a number. */
export function lineOf(outcome: Outcome, symbol: string): number {
  return Number(outcome.lines.find((line) => line.symbol === symbol)?.value);
}

/** The findings' names. */
export function idsOf(outcome: Outcome): string[] {
  return outcome.findings.map(({ id }) => id);
}
