import 'reflect-metadata';
import { plainToInstance } from 'class-transformer';
import { type ValidationError, validateSync } from 'class-validator';
import { RowInput } from './fields';
import { plainDataProblem } from './plain-data';

/** What is wrong, by field; a nested field is written `specimen.since`, a cell of a row `weighings/k3f9/mass`. */
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
    // That nothing is there comes before what kind of thing it is, and that before how large it is: "672" in quotes is
    // not less than 1.
    const [, message] =
      rules.find(([rule]) => rule === 'isNotEmpty') ??
      rules.find(([rule]) => KINDS.has(rule)) ??
      rules[0] ??
      [];
    if (message) found[field] = message;
    for (const child of error.children ?? []) {
      const row = Array.isArray(error.value) ? (error.value as unknown[])[Number(child.property)] : undefined;
      // A row goes by the name it keeps, not by its place.
      if (row instanceof RowInput) Object.assign(found, collect(child.children ?? [], `${field}/${row.id}/`));
      else Object.assign(found, collect([child], `${field}.`));
    }
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
