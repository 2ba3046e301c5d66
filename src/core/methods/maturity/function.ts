import type { Limits } from '../../limits';
import type { System } from '../../quantity';
import type { MaturityFunction } from '../../temperature';
import { ChoiceField, MeasureField, type RunInput, readMeasure } from '../fields';
import { countSpec, TEMPERATURE } from '../specs';
import { degreeUnits } from '../temperature/units';

/** What of an input says how temperature over time becomes one number. */
export interface FunctionInput extends RunInput {
  readonly how?: MaturityFunction['kind'];
  readonly datum?: string;
  readonly q?: string;
  readonly reference?: string;
}

const HOW = {
  label: 'Maturity by',
  help: 'Curve and index are of one function: never mix them.',
  options: [
    { value: 'nurse-saul', label: 'Temperature times time (Nurse-Saul)' },
    { value: 'equivalent-age', label: 'Equivalent age (Arrhenius)' },
    { value: 'adjusted-age', label: 'Temperature-adjusted age (EN 1992)' },
  ],
  required: true,
  example: 'nurse-saul',
} as const satisfies Parameters<typeof ChoiceField>[0];

const Q_SPEC = countSpec('10', '20000');

/** The readings of a function, declared alike wherever they are asked for. */
export function HowField(): PropertyDecorator {
  return ChoiceField(HOW);
}
export function DatumField(): PropertyDecorator {
  return MeasureField({
    label: 'Datum temperature',
    help: 'Of this cement by its mortar cubes; empty: 0 °C [32 °F].',
    ...TEMPERATURE,
    possible: { US: ['-4', '60'], SI: ['-20', '15'] },
    example: '',
  });
}
export function QField(): PropertyDecorator {
  return MeasureField({
    label: 'Q, activation energy over the gas constant, in K',
    help: 'Empty: 5,000 K.',
    ...Q_SPEC,
    possible: { US: ['1000', '12000'], SI: ['1000', '12000'] },
    example: '',
  });
}
export function ReferenceField(): PropertyDecorator {
  return MeasureField({
    label: 'Reference temperature of the equivalent age',
    help: 'Empty: 23 °C [73.4 °F]; 20 °C where the project follows it.',
    ...TEMPERATURE,
    possible: { US: ['50', '95'], SI: ['10', '35'] },
    example: '',
  });
}

/**
 * The maturity function of an input, by what was found for its cement, or the usual values.
 * @returns undefined while it is not chosen
 */
export function functionOf(input: FunctionInput, limits: Limits): MaturityFunction | undefined {
  const { system } = input;
  const { toCelsius } = degreeUnits(system);
  const celsius = (name: string, usual: 'maturity.datum' | 'maturity.reference'): number =>
    toCelsius(readMeasure(input, name)?.value ?? limits.number(usual, system));
  if (input.how === 'nurse-saul') return { kind: 'nurse-saul', datum: celsius('datum', 'maturity.datum') };
  if (input.how === 'equivalent-age')
    return {
      kind: 'equivalent-age',
      q: (readMeasure(input, 'q')?.value ?? limits.number('maturity.q', system)).toNumber(),
      reference: celsius('reference', 'maturity.reference'),
    };
  return input.how === 'adjusted-age' ? { kind: 'adjusted-age' } : undefined;
}

/** A function as a text that goes from a calibration to its estimates, and what it is in words. */
export function functionText(how: MaturityFunction): string {
  if (how.kind === 'nurse-saul') return `nurse-saul ${how.datum}`;
  return how.kind === 'equivalent-age' ? `equivalent-age ${how.q} ${how.reference}` : how.kind;
}

/** The function that such a text stands for; undefined where it is none. */
export function readFunction(text: string | undefined): MaturityFunction | undefined {
  const [kind, ...numbers] = (text ?? '').split(' ');
  const [a, b] = numbers.map(Number);
  const known = (value: number | undefined): value is number => value !== undefined && Number.isFinite(value);
  if (kind === 'nurse-saul' && known(a)) return { kind, datum: a };
  if (kind === 'equivalent-age' && known(a) && known(b)) return { kind, q: a, reference: b };
  return kind === 'adjusted-age' ? { kind } : undefined;
}

/** A function in words. */
export function functionWords(how: MaturityFunction, system: System): string {
  const { temperature } = degreeUnits(system);
  const shown = (celsius: number): string =>
    `${temperature(celsius).toDecimalPlaces(1)} ${system === 'US' ? '°F' : '°C'}`;
  if (how.kind === 'nurse-saul') return `temperature over ${shown(how.datum)} times time`;
  if (how.kind === 'equivalent-age')
    return `equivalent age at ${shown(how.reference)}, Q ${how.q.toFixed(0)} K`;
  return 'temperature-adjusted age';
}

/** What an index of a function is counted in. */
export const indexUnit = (how: MaturityFunction | undefined): string =>
  how?.kind === 'nurse-saul' || how === undefined ? '°C·h' : 'h';
