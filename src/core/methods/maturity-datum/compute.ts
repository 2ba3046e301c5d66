import { groupBy } from '../../group-by';
import { type CementSpeed, cementSpeed, rateConstant } from '../../maturity';
import { exact } from '../../quantity';
import { GAS, KELVIN } from '../../temperature';
import { bySeverity, type Finding, finding, Sheet, standard } from '../../working';
import type { Outcome, Result } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { resultOf } from '../outcome';
import { limitsOf, type RunSetup } from '../setup';
import { degreeUnits, measured } from '../temperature/units';
import type { MaturityDatumInput } from './input';

const C1074 = standard('ASTM C1074');
export const DATUM = 'datum temperature';
export const Q = 'activation energy over the gas constant';

/** A temperature of the series, with the rate that its cubes gained strength at. */
interface Series {
  readonly celsius: number;
  readonly ages: number;
  readonly k: number | undefined;
}

function seriesOf(input: MaturityDatumInput): Series[] {
  const { toCelsius } = degreeUnits(input.system);
  const breaks = (input.cubes ?? []).flatMap((row) => {
    const [temperature, age, strength] = ['temperature', 'age', 'strength'].map((name) =>
      readMeasure(row, name),
    );
    return temperature && age && strength
      ? [
          {
            celsius: Number(toCelsius(temperature.value).toFixed(2)),
            days: age.value.div(24).toNumber(),
            strength: strength.value.toNumber(),
          },
        ]
      : [];
  });
  return [...groupBy(breaks, ({ celsius }) => celsius)]
    .map(([celsius, own]) => ({
      celsius,
      ages: new Set(own.map(({ days }) => days)).size,
      k: rateConstant(own),
    }))
    .toSorted((a, b) => a.celsius - b.celsius);
}

/**
 * Datum temperature and activation energy of a cement from mortar cubes.
 * @param input strengths over age at three temperatures or more
 * @returns datum in °F or °C, Q in K, activation energy in J/mol
 * Source: ASTM C1074, appendix (from memory).
 */
export function compute(input: MaturityDatumInput, setup: RunSetup): Outcome {
  const limits = limitsOf(setup);
  const { system } = input;
  const sheet = new Sheet(setup.rounding ?? 'half-even');
  const { unit, temperature } = degreeUnits(system);
  const series = seriesOf(input);
  const speeds = series.flatMap(({ celsius, k }) => (k !== undefined && k > 0 ? [{ celsius, k }] : []));
  for (const { celsius, k } of speeds)
    sheet.line({
      symbol: `k${celsius.toFixed(0).replace('-', 'm')}`,
      name: `Rate at ${celsius.toFixed(1)} °C, 1/day`,
      formula: 'x',
      uses: { x: measured(k) },
      unit: 'one',
      source: C1074,
    });
  const found = speeds.length === series.length ? cementSpeed(speeds) : undefined;
  const results: Result[] = [];
  if (found) {
    const datum = temperature(found.datum);
    const q = sheet.line({
      symbol: 'Q',
      name: 'Slope of ln k over 1/T, turned round, K',
      formula: '-m',
      uses: { m: measured(-found.q) },
      unit: 'one',
      source: C1074,
      round: { step: '10', rule: 'to 10 K' },
    });
    const energy = sheet.line({
      symbol: 'Ea',
      name: 'Activation energy, kJ/mol',
      formula: 'Q * R / 1000',
      uses: { Q: q, R: exact(GAS) },
      unit: 'one',
      source: C1074,
      round: { step: '0.1', rule: 'to 0.1 kJ/mol' },
    });
    sheet.line({
      symbol: 'T0',
      name: 'Temperature where the rate would be nought',
      formula: 'x',
      uses: { x: datum },
      unit,
      source: C1074,
      round: { step: '0.1', rule: 'to 0.1' },
    });
    results.push(
      resultOf({ quantity: DATUM, symbol: 'T0', value: datum, unit, step: '0.1', mode: sheet.mode }),
      resultOf({ quantity: Q, symbol: 'Q', value: q, unit: 'one', step: '10', mode: sheet.mode }),
      resultOf({
        quantity: 'activation energy, kJ/mol',
        symbol: 'Ea',
        value: energy,
        unit: 'one',
        step: '0.1',
        mode: sheet.mode,
      }),
    );
  }
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity([
      ...equipmentUse(input, { machine: 'departure' }, input.madeAt, setup, limits),
      ...findings(input, series, found, setup),
    ]),
    verdicts: [],
    picture: {
      kind: 'cement speed',
      values: {
        rates: speeds.map(({ celsius, k }) => `${celsius}/${k.toFixed(4)}`).join(' '),
        inverse: speeds
          .map(({ celsius, k }) => `${(1000 / (celsius + KELVIN)).toFixed(5)}/${Math.log(k).toFixed(4)}`)
          .join(' '),
        datum: found?.datum ?? null,
        slope: found?.slope ?? null,
        q: found?.q ?? null,
        system,
      },
    },
  };
}

function findings(
  input: MaturityDatumInput,
  series: readonly Series[],
  found: CementSpeed | undefined,
  setup: RunSetup,
): Finding[] {
  const limits = limitsOf(setup);
  if (series.length === 0) return [];
  const all: Finding[] = [];
  const few = series.filter(
    ({ ages }) => !limits.number('maturity.ages', input.system).lessThanOrEqualTo(ages),
  );
  for (const { celsius, ages } of few)
    all.push(
      limitFinding(
        limits,
        input.system,
        { id: 'maturity.ages', severity: 'invalid', fields: ['cubes'] },
        {
          message: `Cubes of ${ages} ${ages === 1 ? 'age' : 'ages'} at ${celsius.toFixed(0)} °C.`,
          action:
            'Five ages at each temperature, the first at about twice the final set, each later one at double the age.',
        },
      ),
    );
  if (limits.number('maturity.rise', input.system).greaterThan(series.length))
    all.push(
      limitFinding(
        limits,
        input.system,
        { id: 'maturity.rise', severity: 'invalid', fields: ['cubes'] },
        {
          message: `Cubes at ${series.length} ${series.length === 1 ? 'temperature' : 'temperatures'}.`,
          action: 'The lowest and the highest of the job, and one between them.',
        },
      ),
    );
  if (all.length === 0 && !found)
    all.push(
      finding({
        id: 'maturity.no-rate',
        severity: 'invalid',
        fields: ['cubes'],
        message:
          'The rates do not rise with the temperature: no datum and no activation energy comes of them.',
        action: 'Look whether baths and cubes were mixed up, and whether an early age is before the set.',
      }),
    );
  const least = limits.number('maturity.line', input.system).div(100);
  if (found && least.greaterThan(Math.min(found.datumFit, found.activationFit)))
    all.push(
      limitFinding(
        limits,
        input.system,
        { id: 'maturity.line', severity: 'departure', fields: ['cubes'] },
        {
          message: `The rates scatter: their lines explain ${(100 * found.datumFit).toFixed(0)} and ${(100 * found.activationFit).toFixed(0)} % of them.`,
          action: 'Break more cubes before the values are used.',
          remark: 'Rates scatter about their line.',
        },
      ),
    );
  return all;
}
