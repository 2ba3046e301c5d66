import 'reflect-metadata';
import { plainToInstance } from 'class-transformer';
import { type ValidationError, validateSync } from 'class-validator';
import type { Method } from './contract';
import { COMPLETE, fieldsOf, PARTIAL, type RunInput } from './fields';
import { setupMeasure } from './measure-text';
import { didYouMean } from './nearest';
import { plainDataProblem } from './plain-data';
import { RunSetup } from './setup';

/** What is wrong, by field; a nested field is written `specimen.castAt`. */
export type FieldErrors = Readonly<Record<string, string>>;

const KINDS: ReadonlySet<string> = new Set([
  'isInt',
  'isNumber',
  'isString',
  'isBoolean',
  'isArray',
  'isObject',
  'isUuid',
]);

function collect(errors: readonly ValidationError[], prefix = ''): Record<string, string> {
  const found: Record<string, string> = {};
  for (const error of errors) {
    const field = `${prefix}${error.property}`;
    const rules = Object.entries(error.constraints ?? {});
    // What kind of thing it is comes before how large it is: "672" in quotes is not less than 1.
    const [, message] = rules.find(([rule]) => KINDS.has(rule)) ?? rules[0] ?? [];
    if (message) found[field] = message;
    Object.assign(found, collect(error.children ?? [], `${field}.`));
  }
  return found;
}

/**
 * Validates any class-validator class from plain data.
 * @param options.group the validation group, for classes that have groups
 * @param options.strict refuses fields that the class does not have
 * @returns the instance, or what is wrong by field; never throws for what a person can type
 */
export function validated<T extends object>(
  type: new () => T,
  data: unknown,
  options: { group?: string; strict?: boolean } = {},
): { ok: true; value: T } | { ok: false; errors: FieldErrors } {
  if (typeof data !== 'object' || data === null || Array.isArray(data)) {
    return { ok: false, errors: { '': 'An object of fields is expected.' } };
  }
  const unfit = plainDataProblem(data);
  if (unfit) return { ok: false, errors: { '': unfit } };
  const value = plainToInstance(type, data);
  const errors = validateSync(value, {
    ...(options.group ? { groups: [options.group] } : {}),
    // A field that belongs to nothing is a typing mistake somewhere: say so instead of dropping it.
    whitelist: options.strict ?? false,
    forbidNonWhitelisted: options.strict ?? false,
  });
  const found = collect(errors);
  return Object.keys(found).length === 0 ? { ok: true, value } : { ok: false, errors: found };
}

/** Validates a run's input; `whole` asks for every required reading. Fields the method does not have are refused. */
export function validateInput<I extends RunInput>(
  method: Method<I>,
  data: unknown,
  options: { whole?: boolean } = {},
): { ok: true; value: I } | { ok: false; errors: FieldErrors } {
  const unfit = plainDataProblem(data);
  if (unfit) return { ok: false, errors: { '': unfit } };
  const known = new Set(['system', ...fieldsOf(method.Input).map((field) => field.name)]);
  const strangers = Object.keys((data ?? {}) as object).filter((name) => !known.has(name));
  const result = validated(method.Input, data, { group: options.whole ? COMPLETE : PARTIAL });
  if (strangers.length === 0) return result;
  const errors = Object.fromEntries(
    strangers.map((name) => [
      name,
      `${name.slice(0, 60)}: this method has no such reading.${didYouMean(name, [...known])}`,
    ]),
  );
  return { ok: false, errors: result.ok ? errors : { ...result.errors, ...errors } };
}

/** Validates a setup given from outside. */
export function validateSetup(
  data: unknown,
): { ok: true; value: RunSetup } | { ok: false; errors: FieldErrors } {
  const checked = validated(RunSetup, data ?? {}, { strict: true });
  if (!checked.ok) return checked;
  for (const [index, { verifiedFrom, verifiedTo }] of (checked.value.equipment ?? []).entries()) {
    const [from, to] = [setupMeasure(verifiedFrom, 'force', 'kN'), setupMeasure(verifiedTo, 'force', 'kN')];
    if (from && to && from.greaterThan(to)) {
      const field = `equipment.${index}.verifiedFrom`;
      return { ok: false, errors: { [field]: 'The verified range begins above its end.' } };
    }
  }
  return checked;
}

/**
 * Splits what was typed so far into an input that can be computed and the errors at the fields that cannot be used.
 * For the live sheet: one bad field never hides what the others already say.
 */
export function usableInput<I extends RunInput>(
  method: Method<I>,
  data: Record<string, unknown>,
): { input: I; errors: FieldErrors } {
  const unfit = plainDataProblem(data);
  if (unfit) {
    const system = data.system === 'SI' ? 'SI' : 'US';
    return { input: plainToInstance(method.Input, { system }), errors: { '': unfit } };
  }
  const checked = validateInput(method, data);
  if (checked.ok) return { input: checked.value, errors: {} };
  const bad = new Set(Object.keys(checked.errors));
  const rest = Object.fromEntries(Object.entries(data).filter(([name]) => !bad.has(name)));
  return { input: plainToInstance(method.Input, rest), errors: checked.errors };
}
