import type { Registration } from '../material/registration';
import { InstantField, MeasureField, RunInput } from '../methods/fields';
import { isMould, type MouldKind, mouldOf, sizesOf } from '../moulds';
import type { System } from '../quantity';
import { ageWindow } from '../windows';

/** The forms of some kinds in a system, kind by kind. */
export function formsIn(system: System, ...kinds: readonly MouldKind[]): string[] {
  return kinds.flatMap((kind) => sizesOf(kind)).filter((size) => mouldOf(size).system === system);
}

/** An age that is asked for, in whole days. */
export const AGE_IN_DAYS = {
  label: 'Age',
  required: true,
  dimension: 'ratio',
  unit: { US: 'one', SI: 'one' },
  step: { US: '1', SI: '1' },
  possible: { US: ['1', '365'], SI: ['1', '365'] },
  whole: true,
} as const;

/** What is told of prisms and cubes that were brought along. */
export class Brought extends RunInput {
  @InstantField({
    label: 'Made at',
    required: true,
    help: 'Of mortar cubes the moment the water met the cement.',
    example: '2031-06-05T10:00:00-04:00',
  })
  madeAt?: string;

  @MeasureField({ ...AGE_IN_DAYS, help: 'Whole days.', example: '28' })
  ageDays?: string;
}

/** The same, of what has a strength of its own to reach. */
export class BroughtWithStrength extends Brought {
  @MeasureField({
    label: 'Strength asked for',
    help: 'When the project says one.',
    dimension: 'stress',
    unit: { US: 'psi', SI: 'MPa' },
    step: { US: '10', SI: '0.1' },
    possible: { US: ['100', '20000'], SI: ['0.5', '140'] },
    example: { US: '2,150 psi', SI: '15 MPa' },
  })
  specifiedStrength?: string;
}

/** Small specimens that come with a time they were made at and an age: their window. */
export const registerBrought: Registration['register'] = (
  { madeAt, ageDays, specifiedStrength = null },
  { form, limits, sample },
) => {
  const since = Date.parse(String(madeAt));
  const ageHours = Number(ageDays) * 24;
  if (!isMould(form)) return { ok: false, errors: { form: 'Form: choose one.' } };
  const { opensAt, closesAt } = ageWindow(since, ageHours, limits, form);
  // What its sample was made for decides what it is held against.
  const { purpose } = sample;
  const about = { cure: 'standard', specifiedStrength, ...(typeof purpose === 'string' ? { purpose } : {}) };
  return { ok: true, value: { since, at: since, about, ageHours, opensAt, closesAt } };
};
