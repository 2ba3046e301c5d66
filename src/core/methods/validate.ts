import 'reflect-metadata';
import { plainToInstance } from 'class-transformer';
import type { Method } from './contract';
import { factProblems } from './facts';
import { COMPLETE, fieldsOf, PARTIAL, type RunInput } from './fields';
import { setupMeasure } from './measure-text';
import { didYouMean } from './nearest';
import { plainDataProblem } from './plain-data';
import { columnsOfRows, isRows, placeOf, rowName } from './rows-field';
import { RunSetup } from './setup';
import { type FieldErrors, validated } from './validated';

/** Validates a run's input; `whole` asks for every required reading. Fields the method does not have are refused. */
export function validateInput<I extends RunInput>(
  method: Method<I>,
  data: unknown,
  options: { whole?: boolean } = {},
): { ok: true; value: I } | { ok: false; errors: FieldErrors } {
  const unfit = plainDataProblem(data);
  if (unfit) return { ok: false, errors: { '': unfit } };
  const result = validated(method.Input, data, { group: options.whole ? COMPLETE : PARTIAL });
  const errors = strangersIn(method, data);
  if (Object.keys(errors).length === 0) return result;
  return { ok: false, errors: result.ok ? errors : { ...result.errors, ...errors } };
}

/** What was given that the method, or a row of it, has no reading for. */
function strangersIn<I extends RunInput>(method: Method<I>, data: unknown): FieldErrors {
  const fields = fieldsOf(method.Input);
  const errors: Record<string, string> = {};
  const look = (given: unknown, known: readonly string[], prefix: string): void => {
    for (const name of Object.keys((given ?? {}) as object))
      if (!known.includes(name))
        errors[`${prefix}${name}`] =
          `${name.slice(0, 60)}: this method has no such reading.${didYouMean(name, known)}`;
  };
  look(data, ['system', ...fields.map(({ name }) => name)], '');
  for (const field of fields.filter(isRows)) {
    const rows = (data as Record<string, unknown> | null)?.[field.name];
    if (!Array.isArray(rows)) continue;
    const known = ['id', ...columnsOfRows(field).map(({ name }) => name)];
    for (const [index, row] of rows.entries())
      if (typeof row === 'object' && row !== null && !Array.isArray(row))
        look(row, known, `${field.name}/${rowName(row, index)}/`);
  }
  return errors;
}

/** Validates a setup given from outside. @param method what is asked to be known */
export function validateSetup(
  method: Pick<Method, 'facts' | 'batch'>,
  data: unknown,
): { ok: true; value: RunSetup } | { ok: false; errors: FieldErrors } {
  const checked = validated(RunSetup, data ?? {}, { strict: true });
  if (!checked.ok) return checked;
  const wrong = Object.entries(factProblems(method.facts ?? {}, checked.value.facts));
  if (wrong.length > 0)
    return {
      ok: false,
      errors: Object.fromEntries(
        wrong.map(([name, problem]) => [name ? `facts.${name}` : 'facts', `${name || 'facts'}: ${problem}`]),
      ),
    };
  for (const [index, { facts }] of (checked.value.batch?.specimens ?? []).entries()) {
    const [strange] = Object.entries(factProblems(method.batch?.facts ?? {}, facts));
    if (strange)
      return {
        ok: false,
        errors: { [`batch.specimens.${index}.facts.${strange[0]}`]: `${strange[0]}: ${strange[1]}` },
      };
  }
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
  return { input: plainToInstance(method.Input, without(data, checked.errors)), errors: checked.errors };
}

/** What was typed without what cannot be used: a bad cell goes by itself, the rest of its row stays. */
function without(data: Record<string, unknown>, errors: FieldErrors): Record<string, unknown> {
  const bad = new Set(
    Object.keys(errors).map((path) => (placeOf(path) ? path : (path.split('.')[0] ?? path))),
  );
  const kept = Object.entries(data).flatMap(([name, value]): [string, unknown][] => {
    if (bad.has(name)) return [];
    if (!Array.isArray(value)) return [[name, value]];
    const rows = value.map((row: unknown, index) => {
      if (typeof row !== 'object' || row === null) return row;
      const id = rowName(row, index);
      return {
        ...Object.fromEntries(Object.entries(row).filter(([column]) => !bad.has(`${name}/${id}/${column}`))),
        id,
      };
    });
    return [[name, rows]];
  });
  return Object.fromEntries(kept);
}
