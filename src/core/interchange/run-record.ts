import { IsIn, IsInt, IsObject, IsOptional, IsString } from 'class-validator';
import type { Verdict } from '../acceptance/criterion';
import {
  type FieldErrors,
  type Result,
  type RunSetup,
  validated,
  validateInput,
  validateSetup,
} from '../methods';
import { didYouMean } from '../methods/nearest';
import { findMethod } from '../methods/registry';
import { bySeverity, type Finding, type WorkingLine } from '../working';

export const RECORD_FORMAT = 'bricole-run';
export const RECORD_VERSION = 2;

/** A run as it leaves the application: what was read, what it was computed with, what came of it. */
export interface RunRecord {
  readonly format: typeof RECORD_FORMAT;
  readonly version: number;
  readonly method: string;
  /** The readings as typed, by field name, with the system of units. */
  readonly input: Readonly<Record<string, unknown>>;
  readonly setup: RunSetup;
  readonly results: readonly Result[];
  readonly lines: readonly WorkingLine[];
  readonly findings: readonly Finding[];
  readonly verdicts: readonly Verdict[];
  /** Where it belongs, for the reader; not used in computing. */
  readonly about?: Readonly<Record<string, string | number | null>>;
}

/** What a record consists of; what came of it is computed anew and not read. */
const PARTS: readonly string[] = [
  'format',
  'version',
  'method',
  'input',
  'setup',
  'results',
  'lines',
  'findings',
  'verdicts',
  'about',
];

class RecordShape {
  @IsOptional()
  @IsIn([RECORD_FORMAT], { message: `format: "${RECORD_FORMAT}" is expected.` })
  format?: string;
  @IsOptional() @IsInt() version?: number;
  @IsOptional() @IsString() method?: string;
  @IsObject({ message: 'input: an object of readings is expected.' }) input: Record<string, unknown>;
  @IsOptional() @IsObject({ message: 'setup: an object is expected.' }) setup?: Record<string, unknown>;
}

export type ComputeAnswer =
  | { readonly ok: true; readonly record: RunRecord }
  | { readonly ok: false; readonly errors: FieldErrors };

/**
 * Computes a run given from outside: a record exported before, or `{ input, setup }` written by hand.
 * @param methodId the method, or undefined to take the record's own
 * @param data parsed JSON
 * @returns the complete record, or what is wrong by field; never throws for what the data holds
 */
export function computeRecord(methodId: string | undefined, data: unknown): ComputeAnswer {
  const stranger =
    typeof data === 'object' && data !== null
      ? Object.keys(data).find((name) => !PARTS.includes(name))
      : undefined;
  if (stranger !== undefined)
    return {
      ok: false,
      errors: { [stranger.slice(0, 60)]: `a record has no such part.${didYouMean(stranger, PARTS)}` },
    };
  const shape = validated(RecordShape, data);
  if (!shape.ok) return shape;
  const { version, input, setup, method: own } = shape.value;
  if (version !== undefined && version > RECORD_VERSION) {
    return { ok: false, errors: { version: `version ${version} is newer than this program reads.` } };
  }
  if (methodId && own && own !== methodId) {
    return { ok: false, errors: { method: `the record is of ${own}, not of ${methodId}.` } };
  }
  if (version !== undefined && version < RECORD_VERSION) {
    return {
      ok: false,
      errors: { version: `version ${version} is not read any more; version ${RECORD_VERSION} is expected.` },
    };
  }
  const method = findMethod(methodId ?? own ?? '');
  if (!method) return { ok: false, errors: { method: `there is no method "${methodId ?? own ?? ''}".` } };
  const goodInput = validateInput(method, input, { whole: true });
  const goodSetup = validateSetup(method, setup);
  if (!goodInput.ok || !goodSetup.ok) {
    const prefixed = (errors: FieldErrors, part: string): [string, string][] =>
      Object.entries(errors).map(([field, message]) => [`${part}.${field}`, message]);
    return {
      ok: false,
      errors: Object.fromEntries([
        ...(goodInput.ok ? [] : prefixed(goodInput.errors, 'input')),
        ...(goodSetup.ok ? [] : prefixed(goodSetup.errors, 'setup')),
      ]),
    };
  }
  const outcome = method.compute(goodInput.value, goodSetup.value);
  return {
    ok: true,
    record: {
      format: RECORD_FORMAT,
      version: RECORD_VERSION,
      method: method.id,
      input,
      setup: (setup ?? {}) as RunSetup,
      results: outcome.results,
      lines: outcome.lines,
      findings: bySeverity(outcome.findings),
      verdicts: outcome.verdicts,
    },
  };
}
