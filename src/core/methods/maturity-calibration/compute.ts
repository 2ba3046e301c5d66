import { groupBy } from '../../group-by';
import {
  bestCurve,
  type CalibrationPoint,
  CURVES,
  fitCurve,
  PARAMETERS,
  type StrengthCurve,
  strengthAt,
} from '../../maturity';
import { type Exact, exact, plainOf } from '../../quantity';
import {
  indexAt,
  indexCurve,
  type MaturityFunction,
  type TemperatureRecord,
  worthBefore,
} from '../../temperature';
import { bySeverity, type Finding, finding, ourChoice, Sheet, standard } from '../../working';
import type { Outcome, Result } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { bandText } from '../maturity/band';
import { functionOf, functionText, functionWords, indexUnit } from '../maturity/function';
import { STRESS } from '../maturity/strengths';
import { resultOf } from '../outcome';
import { limitsOf, type RunSetup } from '../setup';
import { temperatureKept } from '../temperature/kept';
import { measured } from '../temperature/units';
import type { MaturityCalibrationInput } from './input';

const C1074 = standard('ASTM C1074');
export const SCATTER = 'scatter of the breaks about the curve';
const HOUR_MS = 3_600_000;

/** A cylinder that counts, or is left out, with its index. */
interface Broken extends CalibrationPoint {
  readonly label: string;
  readonly leftOut: boolean;
}

/** The index of each instrumented cylinder at an instant; the first hours before the record are made up for where they are few. */
function indicesAt(
  record: TemperatureRecord,
  how: MaturityFunction,
  castAt: number,
  at: number,
  made: number,
): number[] {
  const start = Date.parse(record.start ?? '');
  if (Number.isNaN(start)) return [];
  const cast = (castAt - start) / HOUR_MS;
  return record.channels.flatMap((channel) => {
    const first = channel.hours[0] ?? 0;
    const curve = indexCurve(channel, how, Math.max(cast, first));
    const found = indexAt(curve, Math.min((at - start) / HOUR_MS, channel.hours.at(-1) ?? 0));
    if (!found) return [];
    return [found.best + worthBefore(how, channel, first - cast, made)];
  });
}

/** Cylinders with strength and index, and by how much the instrumented ones differ at the most, percent. */
function brokenOf(
  input: MaturityCalibrationInput,
  setup: RunSetup,
  how: MaturityFunction,
  made: number,
): { readonly broken: readonly Broken[]; readonly apart: number; readonly without: readonly string[] } {
  const record = input.record ? temperatureKept(setup, 'record') : undefined;
  const cast = Date.parse(input.castAt ?? '');
  let apart = 0;
  const without: string[] = [];
  const broken = (input.breaks ?? []).flatMap((row, place): Broken[] => {
    const strength = readMeasure(row, 'strength');
    if (!strength) return [];
    const label = row.specimen ?? `row ${place + 1}`;
    const read = readMeasure(row, 'index')?.value.toNumber();
    const all = record && row.at ? indicesAt(record, how, cast, Date.parse(row.at), made) : [];
    const mean = all.length > 0 ? all.reduce((a, b) => a + b, 0) / all.length : undefined;
    if (mean && all.length > 1) apart = Math.max(apart, (100 * (Math.max(...all) - Math.min(...all))) / mean);
    const index = read ?? (mean === undefined ? undefined : Math.round(mean));
    if (!index) {
      without.push(label);
      return [];
    }
    return [{ label, index, strength: strength.value.toNumber(), leftOut: row.leftOut === true }];
  });
  return { broken, apart, without };
}

/** Those broken at about one index, as one age. */
function agesOf(broken: readonly Broken[]): ReadonlyMap<number, readonly Broken[]> {
  const sorted = broken.toSorted((a, b) => a.index - b.index);
  let first = 0;
  const named = sorted.map((each) => {
    if (each.index > first * 1.05) first = each.index;
    return { each, age: first };
  });
  // They are broken within minutes of one another: the mean of their indices is that of the age.
  return new Map(
    [...groupBy(named, ({ age }) => age).values()].map((rows) => {
      const own = rows.map(({ each }) => each);
      return [Math.round(own.reduce((sum, { index }) => sum + index, 0) / own.length), own];
    }),
  );
}

/**
 * The strength curve of a mix over its maturity.
 * @param input breaks of a calibration; the record of its instrumented cylinders, or indices as they were read
 * @returns the scatter of the breaks about the curve; the curve itself stands in the working and the picture
 * Source: ASTM C1074 (from memory); fits and credibility are our choice.
 */
export function compute(input: MaturityCalibrationInput, setup: RunSetup): Outcome {
  const limits = limitsOf(setup);
  const { system } = input;
  const unit = STRESS[system];
  const sheet = new Sheet(setup.rounding ?? 'half-even');
  const how = functionOf(input, limits);
  const made = limits.number('maturity.start', system).toNumber();
  const { broken, apart, without } = how
    ? brokenOf(input, setup, how, made)
    : { broken: [], apart: 0, without: [] };
  const ages = agesOf(broken);
  const counted = [...ages].flatMap(([age, rows]) =>
    rows.filter(({ leftOut }) => !leftOut).map(({ strength }) => ({ index: age, strength })),
  );
  const fits = CURVES.flatMap((id) => fitCurve(id, counted) ?? []);
  const curve = input.curve ? fits.find(({ id }) => id === input.curve) : bestCurve(fits);
  const results: Result[] = [];
  if (how && curve) {
    PARAMETERS[curve.id].forEach((name, place) => {
      sheet.line({
        symbol: name,
        name: `${name}, ${curve.id} curve over ${indexUnit(how)}, ± ${(curve.errors[place] ?? 0).toPrecision(3)}`,
        formula: 'x',
        uses: { x: measured(curve.parameters[place] ?? 0) },
        unit: name === 'Su' || name === 'a' || name === 'b' ? unit : 'one',
        source: C1074,
      });
    });
    for (const [age, rows] of ages)
      sheet.line({
        symbol: `S${Math.round(age)}`,
        name: `Curve at ${Math.round(age)} ${indexUnit(how)}, ${rows.length} broken`,
        ...curveLine(curve, age),
        unit,
        source: C1074,
      });
    const step = limits.number('maturity.strength-step', system);
    const scatter = sheet.line({
      symbol: 's',
      name: 'Standard deviation of the breaks about the curve',
      formula: 'x',
      uses: { x: measured(curve.scatter) },
      unit,
      source: ourChoice('least squares on single breaks'),
      round: { step, rule: `to ${plainOf(step, unit)}` },
    });
    results.push(resultOf({ quantity: SCATTER, symbol: 's', value: scatter, unit, step, mode: sheet.mode }));
  }
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity([
      ...equipmentUse(input, { machine: 'departure' }, input.madeAt, setup, limits),
      ...findings(input, setup, { ages, counted, curve, apart, without, made }),
    ]),
    verdicts: [],
    picture: {
      kind: 'maturity curve',
      values: {
        unit: unit === 'psi' ? 'psi' : 'MPa',
        index: indexUnit(how),
        how: how ? functionWords(how, system) : '',
        function: how ? functionText(how) : '',
        pairs: counted.map(({ index, strength }) => `${index}/${strength}`).join(' '),
        leftOut: broken
          .filter(({ leftOut }) => leftOut)
          .map(({ index, strength }) => `${index}/${strength}`)
          .join(' '),
        curve: curve?.id ?? '',
        scatters: fits.map(({ id, scatter }) => `${id} ${scatter.toPrecision(3)}`).join(', '),
        ...(curve ? bandText(curve, limits, system) : {}),
      },
    },
  };
}

/** A curve at an index as a formula with its numbers. */
function curveLine(
  curve: StrengthCurve,
  index: number,
): {
  readonly formula: string;
  readonly uses: Readonly<Record<string, Exact>>;
} {
  const names = PARAMETERS[curve.id];
  const uses = {
    M: exact(index),
    ...Object.fromEntries(names.map((name, place) => [name, measured(curve.parameters[place] ?? 0)])),
  };
  if (curve.id === 'hyperbolic') return { formula: 'Su * K * (M - M0) / (1 + K * (M - M0))', uses };
  // Powers and logarithms are worked out before: a line has the four rules and roots.
  return { formula: 'x', uses: { x: measured(strengthAt(curve, index)) } };
}

function findings(
  input: MaturityCalibrationInput,
  setup: RunSetup,
  known: {
    readonly ages: ReadonlyMap<number, readonly Broken[]>;
    readonly counted: readonly CalibrationPoint[];
    readonly curve: StrengthCurve | undefined;
    readonly apart: number;
    readonly without: readonly string[];
    readonly made: number;
  },
): Finding[] {
  const limits = limitsOf(setup);
  const { system } = input;
  const { ages, counted, curve, apart, without } = known;
  const found: Finding[] = [];
  const record = temperatureKept(setup, 'record');
  if (without.length > 0)
    found.push(
      finding({
        id: 'maturity.no-index',
        severity: 'advice',
        fields: ['breaks', 'record'],
        message: `${without.slice(0, 6).join(', ')}: no index is known when ${without.length === 1 ? 'it was' : 'they were'} broken.`,
        action:
          'Keep the record of the instrumented cylinders, with date and time, or type what the meter showed.',
      }),
    );
  if (ages.size === 0) return found;
  if (limits.number('maturity.ages', system).greaterThan(ages.size))
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'maturity.ages', severity: 'invalid', fields: ['breaks'] },
        {
          message: `Broken at ${ages.size} ${ages.size === 1 ? 'age' : 'ages'} so far.`,
          action: 'Two cylinders at each of 1, 3, 7, 14 and 28 days; half a day too where the mix is fast.',
        },
      ),
    );
  const most = limits.of('maturity.pair', system);
  for (const [age, rows] of ages) {
    const strengths = rows.filter(({ leftOut }) => !leftOut).map(({ strength }) => strength);
    const mean = strengths.reduce((a, b) => a + b, 0) / strengths.length;
    const range = (100 * (Math.max(...strengths) - Math.min(...strengths))) / mean;
    if (strengths.length === 2 && most.high && measured(range).greaterThan(most.high))
      found.push(
        limitFinding(
          limits,
          system,
          { id: 'maturity.pair', severity: 'departure', fields: ['breaks'] },
          {
            message: `The two at ${Math.round(age)} differ by ${range.toFixed(1)} % of their mean.`,
            action:
              'Break a third one of that age; leave out one that is seen to be defective, with what was seen.',
            remark: `Two cylinders at index ${Math.round(age)} differ by ${range.toFixed(1)} %.`,
          },
        ),
      );
  }
  for (const row of input.breaks ?? [])
    if (row.leftOut && !row.why?.trim())
      found.push(
        finding({
          id: 'maturity.left-out',
          severity: 'departure',
          needsReason: true,
          fields: ['breaks'],
          message: `${row.specimen ?? 'A cylinder'} is left out without a word.`,
          action: 'Say what was seen on it. A low break alone is no defect.',
          remark: `${row.specimen ?? 'A cylinder'} left out of the curve without a defect seen.`,
        }),
      );
  const cylinders = (input.breaks ?? []).length;
  if (limits.number('maturity.cylinders', system).greaterThan(cylinders + 2))
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'maturity.cylinders', severity: 'advice', fields: ['breaks'] },
        {
          message: `${cylinders} cylinders broken, two with sensors.`,
          action: 'Fifteen are made, so that a third can be broken where two differ.',
        },
      ),
    );
  const sensors = limits.of('maturity.sensors', system);
  if (sensors.high && measured(apart).greaterThan(sensors.high))
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'maturity.sensors', severity: 'departure', fields: ['record'] },
        {
          message: `The instrumented cylinders differ by ${apart.toFixed(1)} % of their index.`,
          action: 'Look at both sensors, and where the cylinders stood.',
          remark: `Instrumented cylinders differ by ${apart.toFixed(1)} %.`,
        },
      ),
    );
  if (record?.start && input.castAt) {
    const late = (Date.parse(record.start) - Date.parse(input.castAt)) / HOUR_MS;
    const delay = limits.of('maturity.delay', system);
    if (delay.high && measured(late * 60).greaterThan(delay.high))
      found.push(
        limitFinding(
          limits,
          system,
          { id: 'maturity.delay', severity: 'departure', fields: ['castAt', 'record'] },
          {
            message: `The record begins ${(late * 60).toFixed(0)} min after moulding${late > known.made ? '; what came before counts nothing' : ''}.`,
            action: 'Connect the sensors as soon as the cylinders stand.',
            remark: `Temperatures recorded from ${(late * 60).toFixed(0)} min after moulding on.`,
          },
        ),
      );
  }
  if (counted.length > 0 && ages.size >= 5 && !curve)
    found.push(
      finding({
        id: 'maturity.no-curve',
        severity: 'invalid',
        fields: ['breaks', 'curve'],
        message: 'No curve of that kind goes through these breaks.',
        action: 'Look at the breaks one by one; choose another curve.',
      }),
    );
  return found;
}
