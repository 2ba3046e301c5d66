import { verdictWith } from '../../acceptance/criterion';
import { isWithin, type LimitId, type Limits } from '../../limits';
import { type Exact, exact, plainOf } from '../../quantity';
import { bySeverity, type Finding, finding, numbered, Sheet, standard } from '../../working';
import type { Method, Outcome } from '../contract';
import { exampleInput } from '../example';
import { factMeasure, specified } from '../facts';
import { fieldsOf, readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { limitRows } from '../limit-rows';
import { resultOf } from '../outcome';
import { packedRows } from '../picture-rows';
import { FORCE_FACTOR, STRESS_UNIT } from '../press/units';
import { wholeRows } from '../rows-field';
import { limitsOf, type RunSetup } from '../setup';
import { PipeCylindersInput } from './input';

export const MEAN = 'mean strength of the cylinders';
const LEAST = 'lowest cylinder';
const BELOW = 'cylinders below the specified strength';
const C76 = standard('ASTM C76/C76M');

/**
 * What the cylinders of a group of pipe come to: their mean, the lowest, and the share below what is specified.
 * @param input diameters in in or mm, loads in lbf or kN, a row for each
 * @param setup facts: the specified strength
 * @returns mean and lowest in psi or MPa, the share in percent; provisional while there are too few
 * Source: ASTM C76/C76M (from memory).
 */
function compute(input: PipeCylindersInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const sheet = new Sheet(setup.rounding ?? 'half-even');
  const unit = STRESS_UNIT[system];
  const asked = factMeasure(setup, 'specifiedStrength', 'stress', unit);
  const broken = wholeRows(input.cylinders).flatMap((row, place) => {
    const [one, load] = [readMeasure(row, 'diameter1')?.value, readMeasure(row, 'load')?.value];
    const two = readMeasure(row, 'diameter2')?.value ?? one;
    if (!one?.greaterThan(0) || !two || !load) return [];
    const value = sheet.line({
      symbol: `f${place + 1}`,
      name: `Strength of ${row.mark}`,
      formula: 'F * P / (pi * ((D1 + D2) / 2)^2 / 4)',
      uses: { F: exact(FORCE_FACTOR[system]), P: load, D1: one, D2: two },
      unit,
      source: standard('ASTM C39/C39M'),
    });
    return [{ mark: row.mark ?? '', value }];
  });
  const picture: Outcome['picture'] = {
    kind: 'pipe-cylinders',
    values: {
      unit,
      asked: asked?.toNumber() ?? null,
      least: asked ? asked.times(limits.number('pipe-cylinders.least', system)).div(100).toNumber() : null,
      all: packedRows(broken.map(({ mark, value }) => [mark, Number(value.toSignificantDigits(5))])),
    },
  };
  const values = broken.map(({ value }) => value);
  if (values.length === 0) return { results: [], lines: sheet.lines, findings: [], verdicts: [], picture };
  const uses = numbered('f', values);
  const names = Object.keys(uses).join(', ');
  const mean = sheet.line({ symbol: 'fm', name: 'Mean', formula: `mean(${names})`, uses, unit, source: C76 });
  const least = sheet.line({
    symbol: 'fl',
    name: 'Lowest',
    formula: `min(${names})`,
    uses,
    unit,
    source: C76,
  });
  const below =
    asked &&
    sheet.line({
      symbol: 'pb',
      name: 'Share below what is specified',
      formula: '100 * k / n',
      uses: { k: exact(values.filter((value) => value.lessThan(asked)).length), n: exact(values.length) },
      unit: 'percent',
      source: C76,
      show: 3,
    });
  const few = !isWithin(exact(values.length), limits.of('pipe-cylinders.fewest', system));
  const open = few ? { provisional: 'there are fewer than the group wants' } : {};
  const strength = (quantity: string, symbol: string, value: Exact) =>
    resultOf({
      ...{ quantity, symbol, value, unit, mode: sheet.mode },
      step: limits.number('pipe-cylinders.step', system),
      ...open,
    });
  return {
    results: [
      strength(MEAN, 'fm', mean),
      strength(LEAST, 'fl', least),
      ...(below
        ? [
            resultOf({
              ...{ quantity: BELOW, symbol: 'pb', value: below, unit: 'percent', mode: sheet.mode },
              step: limits.number('pipe-cylinders.share-step', system),
              ...open,
            }),
          ]
        : []),
    ],
    lines: sheet.lines,
    findings: bySeverity(findingsOf(input, broken, asked, few, limits)),
    verdicts: asked && below ? verdictsOf({ asked, mean, least, below, few, unit }, limits, system) : [],
    picture,
  };
}

function findingsOf(
  { system, cylinders }: PipeCylindersInput,
  broken: readonly { readonly mark: string; readonly value: Exact }[],
  asked: Exact | undefined,
  few: boolean,
  limits: Limits,
): Finding[] {
  const found: Finding[] = [];
  const marks = wholeRows(cylinders).map(({ mark }) => mark);
  if (new Set(marks).size < marks.length)
    found.push(
      finding({
        id: 'pipe-cylinders.twice',
        severity: 'invalid',
        fields: ['cylinders'],
        message: 'Two cylinders have one mark.',
        action: 'Each stands once: take the other row back, or give it its own mark.',
      }),
    );
  if (few)
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'pipe-cylinders.fewest', severity: 'advice', fields: ['cylinders'] },
        {
          message: `${broken.length} ${broken.length === 1 ? 'cylinder decides' : 'cylinders decide'} nothing yet.`,
          action: 'Five and more of one group.',
        },
      ),
    );
  if (!asked)
    found.push(
      finding({
        id: 'pipe-cylinders.asked',
        severity: 'advice',
        fields: ['cylinders'],
        message: 'What its concrete has to bear is not in the specification.',
        action: 'Put the strength of its class into it: 4,000, 5,000 or 6,000 psi.',
      }),
    );
  const slips = asked
    ? broken.filter(
        ({ value }) => !isWithin(value.div(asked).times(100), limits.of('pipe-cylinders.slip', system)),
      )
    : [];
  if (slips.length > 0)
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'pipe-cylinders.slip', severity: 'advice', fields: ['cylinders'] },
        {
          message: `${slips.map(({ mark }) => mark).join(', ')}: more than three times what is specified.`,
          action: 'Look at load and diameter.',
        },
      ),
    );
  return found;
}

interface Group {
  readonly asked: Exact;
  readonly mean: Exact;
  readonly least: Exact;
  readonly below: Exact;
  readonly few: boolean;
  readonly unit: (typeof STRESS_UNIT)[PipeCylindersInput['system']];
}

/** The three rules of a group; where one does not hold its pipes are cored. */
function verdictsOf(
  { asked, mean, least, below, few, unit }: Group,
  limits: Limits,
  system: PipeCylindersInput['system'],
) {
  const of = (id: LimitId) => limits.of(id, system);
  const part = least.div(asked).times(100);
  const text = (value: Exact): string => plainOf(value.toSignificantDigits(4), unit);
  const rows = [
    ['Mean of the cylinders', mean.greaterThanOrEqualTo(asked), `mean ${text(mean)} against ${text(asked)}`],
    [
      'Cylinders below',
      isWithin(below, of('pipe-cylinders.below')),
      `${below.toFixed(0)} % below what is specified, no more than 10 % allowed`,
    ],
    [
      'Lowest cylinder',
      isWithin(part, of('pipe-cylinders.least')),
      `the lowest has ${part.toFixed(1)} % of what is specified, 80 % asked for`,
    ],
  ] as const;
  return rows.map(([criterion, holds, said]) =>
    verdictWith({
      criterion,
      limit: text(asked),
      state: few ? 'not yet determinable' : holds ? 'meets' : 'does not meet',
      sentence: few
        ? `So far: ${said}.`
        : `${holds ? 'Meets' : 'Does not meet'}: ${said}.${holds ? '' : ' Core the pipes of the group.'}`,
    }),
  );
}

/** Cylinders made with the pipe of a group. Rules: ASTM C76 (from memory), in our own words. */
export const pipeCylinders: Method<PipeCylindersInput> = {
  id: 'pipe-cylinders',
  title: 'Cylinders of a group',
  designations: [C76, standard('ASTM C39/C39M')],
  runOn: 'lot',
  again: 'freely',
  begin: 'Cylinders of a group',
  facts: { specifiedStrength: specified('specifiedStrength') },
  yields: [
    { quantity: MEAN, symbol: 'fm', named: true },
    { quantity: LEAST, symbol: 'fl', named: true },
    { quantity: BELOW, symbol: 'pb', named: true },
  ],
  Input: PipeCylindersInput,
  steps: [
    {
      id: 'broken',
      title: 'Cylinders as they broke',
      phase: 'test',
      instruction:
        'Made with the pipe and cured as it was. One row for each; all of the group, none left out for being low.',
      fields: ['group', 'cylinders', 'brokenAt', 'remarks'],
      caution: 'Enclosure shut, face away; sweep damp: crushed concrete carries silica dust.',
    },
  ],
  performedAt: 'brokenAt',
  plan: (system, setup) =>
    limitRows(['pipe-cylinders.fewest', 'pipe-cylinders.below', 'pipe-cylinders.least'], system, setup),
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(PipeCylindersInput), system), system },
    setup: {
      zone: 'America/New_York',
      facts: { specifiedStrength: system === 'US' ? '5,000 psi' : '35 MPa' },
    },
  }),
};
