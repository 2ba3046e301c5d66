import { isWithin } from '../../limits';
import { BRICK, WHOLE } from '../../materials/brick/forms';
import { type Exact, plainOf } from '../../quantity';
import { bySeverity, type Finding, finding, Sheet, standard } from '../../working';
import type { Method, Outcome } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { exampleInput } from '../example';
import { fieldsOf, readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { limitRows } from '../limit-rows';
import { resultOf } from '../outcome';
import { FORCE_UNIT, LENGTH_UNIT, STRESS_UNIT } from '../press/units';
import { limitsOf, type RunSetup } from '../setup';
import { BrickFlexureInput } from './input';

const C67 = standard('ASTM C67/C67M');
const QUANTITY = 'modulus of rupture';

/**
 * Modulus of rupture of a brick, loaded in the middle of its span.
 * @param input sizes in in or mm, load in lbf or kN
 * Source: ASTM C67/C67M 6 (from memory): S = 3 W (l/2 - x) / (b d²).
 */
function compute(input: BrickFlexureInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const of = (name: string): Exact | undefined => readMeasure(input, name)?.value;
  const [W, l, b, d, x] = [of('load'), of('span'), of('width'), of('depth'), of('off')];
  const findings: Finding[] = [
    ...equipmentUse(input, { machine: 'invalid', calliper: 'departure' }, input.testedAt, setup, limits),
  ];
  const step = limits.number('brick.flexure-step', system);
  const beyond = l && x?.greaterThanOrEqualTo(l.div(2));
  let rupture: Exact | undefined;
  if (beyond)
    findings.push(
      finding({
        id: 'brick.flexure-outside',
        severity: 'invalid',
        fields: ['off'],
        message: 'It broke at or beyond a support.',
        action: 'Measure again from the middle of the span; if it is so, take another brick.',
      }),
    );
  else if (W && l && b && d && x)
    rupture = sheet.line({
      symbol: 'S',
      name: 'Modulus of rupture',
      formula: `${system === 'US' ? '' : '1000 * '}3 * W * (l / 2 - x) / (b * d^2)`,
      uses: { W, l, x, b, d },
      unit: STRESS_UNIT[system],
      source: C67,
      round: { step, rule: `to ${limits.of('brick.flexure-step', system).text}` },
    });
  if (l && x && !beyond && !isWithin(x.div(l.div(2)).times(100), limits.of('brick.off-middle', system)))
    findings.push(
      limitFinding(
        limits,
        system,
        { id: 'brick.off-middle', severity: 'advice', fields: ['off'] },
        {
          message: `It broke ${plainOf(x, LENGTH_UNIT[system])} from the middle.`,
          action: 'Look for a crack that was there before.',
        },
      ),
    );
  if (rupture && !isWithin(rupture, limits.of('brick.flexure-usual', system)))
    findings.push(
      limitFinding(
        limits,
        system,
        { id: 'brick.flexure-usual', severity: 'advice', fields: ['load'] },
        {
          message: `It comes to ${plainOf(rupture.toSignificantDigits(3), STRESS_UNIT[system])}.`,
          action: 'Read load and sizes again.',
        },
      ),
    );
  const length = of('length');
  const less = length && l ? length.minus(l) : undefined;
  if (less && !isWithin(less, limits.of('brick.flexure-span', system)))
    findings.push(
      limitFinding(
        limits,
        system,
        { id: 'brick.flexure-span', severity: 'advice', fields: ['span'] },
        {
          message: `The span is ${plainOf(less.toDecimalPlaces(2), LENGTH_UNIT[system])} less than the brick is long.`,
          action: 'Set the supports about an inch [25 mm] less than the length apart.',
        },
      ),
    );
  const time = of('time');
  const rate = W && time && !time.isZero() ? W.div(time).times(60) : undefined;
  if (rate && !isWithin(rate, limits.of('brick.flexure-rate', system)))
    findings.push(
      limitFinding(
        limits,
        system,
        { id: 'brick.flexure-rate', severity: 'departure', fields: ['time'] },
        {
          message: `It was loaded by ${plainOf(rate.toSignificantDigits(3), FORCE_UNIT[system])} a minute.`,
          action: 'Slower with the next: a fast load reads high.',
          remark: `Loaded by ${plainOf(rate.toSignificantDigits(3), FORCE_UNIT[system])} a minute.`,
        },
      ),
    );
  return {
    results: rupture
      ? [resultOf({ quantity: QUANTITY, symbol: 'S', value: rupture, unit: STRESS_UNIT[system], step, mode })]
      : [],
    lines: sheet.lines,
    findings: bySeverity(findings),
    verdicts: [],
    picture: {
      kind: 'bent',
      values: {
        span: l?.toNumber() ?? null,
        off: x?.toNumber() ?? null,
        length: length?.toNumber() ?? null,
        broken: Boolean(rupture),
      },
    },
  };
}

/** A brick bent to failure. */
export const brickFlexure: Method<BrickFlexureInput> = {
  id: 'brick-flexure',
  title: 'Bending of brick',
  designations: [C67],
  runOn: 'specimen',
  forms: [BRICK],
  role: WHOLE,
  columns: [
    { heading: 'Load', of: ['load'] },
    { heading: 'From the middle', of: ['off'] },
  ],
  yields: [{ quantity: QUANTITY, symbol: 'S' }],
  Input: BrickFlexureInput,
  steps: [
    {
      id: 'set',
      title: 'Supports and plate',
      phase: 'before',
      instruction:
        'Whole and dry, flatwise, a frog upwards. Supports that turn, about an inch less than its length apart; a steel plate 1/4 in thick and 1 1/2 in wide under the load.',
      fields: ['machine', 'calliper', 'supports', 'length', 'span', 'width', 'depth'],
    },
    {
      id: 'load',
      title: 'Bend it',
      phase: 'test',
      instruction:
        'In the middle, at no more than 2,000 lbf [8.9 kN] a minute. Measure where it broke on the face in tension.',
      fields: ['load', 'off', 'time', 'testedAt', 'remarks'],
      caution: 'Halves fall: hands and feet away, cage shut, eyes shielded.',
    },
  ],
  performedAt: 'testedAt',
  set: {
    word: 'Bending of the bricks',
    quantity: QUANTITY,
    begun: true,
    by: [],
    combine: 'mean',
    step: 'brick.flexure-step',
    wanted: 'brick.role-count',
  },
  plan: (system, setup) => {
    return limitRows(['brick.flexure-rate'], system, setup);
  },
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(BrickFlexureInput), system), system },
    setup: {
      zone: 'America/New_York',
      specimen: { label: 'EXAMPLE-B6', form: BRICK },
      equipment: [
        {
          number: 'PRESS-1',
          kind: 'compression machine',
          verifiedOn: '2031-01-20',
          verifiedFrom: system === 'US' ? '500 lbf' : '2.2 kN',
          verifiedTo: system === 'US' ? '100,000 lbf' : '450 kN',
        },
        { number: 'CALLIPER-1', kind: 'calliper', verifiedOn: '2031-01-20' },
      ],
    },
  }),
};
