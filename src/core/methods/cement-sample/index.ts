import { isWithin, type LimitId, type Limits } from '../../limits';
import { exact, plainOf } from '../../quantity';
import { bySeverity, type Finding, Sheet, standard } from '../../working';
import { ALKALINE } from '../cement/fields';
import type { Method, Outcome, PlanItem } from '../contract';
import { exampleInput } from '../example';
import { factText } from '../facts';
import { fieldsOf, readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { limitRows } from '../limit-rows';
import { resultOf } from '../outcome';
import { limitsOf, type RunSetup } from '../setup';
import { CementSampleInput } from './input';

const LEFT = 'left on the 850 µm sieve';
const C183 = standard('ASTM C183');

/** What a whole set of tests takes: how often, of which row, and what for. */
const TAKES: readonly (readonly [times: number, row: LimitId, what: string])[] = [
  [3, 'cement-mass.paste', 'pastes until the consistency is found'],
  [1, 'cement-mass.paste', 'setting'],
  [1, 'cement-mass.cubes', 'six cubes'],
  [1, 'cement-mass.paste', 'autoclave'],
  [1, 'cement-mass.air', 'air of mortar'],
  [1, 'cement-mass.stiffening', 'early stiffening'],
  [1, 'cement-mass.fine', 'surface, density, loss, heat'],
];

/** What a whole set takes, g. */
function wholeSet(limits: Limits) {
  return TAKES.reduce((all, [times, row]) => all.plus(limits.number(row, 'US').times(times)), exact(0));
}

/**
 * A sample of cement as it came: how it was kept, and what is left on the sieve.
 * @param input masses in g
 * @returns the share left on the 850 µm sieve in percent
 * Source: ASTM C183 (from memory); what is much of it is our choice.
 */
function compute(input: CementSampleInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const sheet = new Sheet(setup.rounding ?? 'half-even');
  const [mass, retained, reserve, grabs] = (['mass', 'retained', 'reserve', 'grabs'] as const).map(
    (name) => readMeasure(input, name)?.value,
  );
  const share =
    mass?.greaterThan(0) && retained
      ? sheet.line({
          symbol: 'R',
          name: 'Left on the 850 µm sieve',
          formula: '100 * mr / m',
          uses: { mr: retained, m: mass },
          unit: 'percent',
          source: C183,
        })
      : undefined;
  const found: Finding[] = [];
  const say = (
    id: LimitId,
    fields: readonly string[],
    message: string,
    action: string,
    remark?: string,
  ): void => {
    found.push(
      limitFinding(
        limits,
        system,
        { id, severity: remark ? 'departure' : 'advice', fields },
        { message, action, ...(remark ? { remark } : {}) },
      ),
    );
  };
  if (share && !isWithin(share, limits.of('cement-sample.retained', system)))
    say(
      'cement-sample.retained',
      ['retained'],
      `${share.toFixed(1)} % is left on the sieve.`,
      'Ask how it was stored; loss on ignition will tell.',
      `${share.toFixed(1)} % left on the 850 µm sieve.`,
    );
  if (mass && retained?.greaterThan(mass))
    say('cement-sample.retained', ['retained', 'mass'], 'More is left than there was.', 'Weigh both again.');
  if (mass && !isWithin(mass, limits.of('cement-sample.mass', system)))
    say(
      'cement-sample.mass',
      ['mass'],
      `A whole set of tests takes about ${plainOf(wholeSet(limits), 'g')}.`,
      'Ask for more, or say which tests are made of it.',
    );
  if (reserve && !isWithin(reserve, limits.of('cement-sample.reserve', system)))
    say(
      'cement-sample.reserve',
      ['reserve'],
      'The reserve is small.',
      'Keep as much as a second set takes, where there is so much.',
    );
  if (
    grabs &&
    factText(setup, 'mode') === 'shipment' &&
    !isWithin(grabs, limits.of('cement-sample.points', system))
  )
    say(
      'cement-sample.points',
      ['grabs'],
      `Of a car it is made up of ${grabs} ${grabs.equals(1) ? 'place' : 'places'} only.`,
      'For information; for acceptance take it from three and more.',
      `Sample of ${grabs} ${grabs.equals(1) ? 'place' : 'places'} of a car.`,
    );
  return {
    results: share
      ? [
          resultOf({
            ...{ quantity: LEFT, symbol: 'R', value: share, unit: 'percent', mode: sheet.mode },
            step: limits.number('cement-sample.step', system),
          }),
        ]
      : [],
    lines: sheet.lines,
    findings: bySeverity(found),
    verdicts: [],
    picture: {
      kind: 'cement-sample',
      values: {
        mass: mass?.toNumber() ?? null,
        retained: retained?.toNumber() ?? null,
        reserve: reserve?.toNumber() ?? null,
        set: wholeSet(limits).toNumber(),
      },
    },
  };
}

/** What a whole set of tests takes of it, test by test. */
function plan(system: CementSampleInput['system'], setup: RunSetup): PlanItem[] {
  const limits = limitsOf(setup);
  return [
    {
      label: 'A whole set takes',
      text: plainOf(wholeSet(limits), 'g'),
      note: TAKES.map(
        ([times, row, what]) => `${what} ${plainOf(exact(times).times(limits.number(row, 'US')), 'g')}`,
      ).join(', '),
    },
    ...limitRows(['cement-sample.mass', 'cement-sample.points', 'cement-sample.reserve'], system, setup),
  ];
}

/** A sample of cement as it comes into the laboratory. Order of work: ASTM C183 (from memory), in our own words. */
export const cementSample: Method<CementSampleInput> = {
  id: 'cement-sample',
  title: 'Sample as it came',
  designations: [C183],
  runOn: 'sample',
  facts: { mode: { of: 'sample', take: 'mode', is: 'text' } },
  yields: [{ quantity: LEFT, symbol: 'R', named: true }],
  Input: CementSampleInput,
  steps: [
    {
      id: 'came',
      title: 'As it came',
      phase: 'before',
      instruction: 'Look at container and lumps before it is opened to the air. Weigh it.',
      fields: ['grabs', 'container', 'lumps', 'temperature', 'mass', 'receivedAt'],
      caution: `${ALKALINE} Hot cement and pressurised hoses at the silo: the plant’s own rules.`,
    },
    {
      id: 'sieve',
      title: 'Through the sieve, and a reserve',
      phase: 'test',
      instruction:
        'All of it through 850 µm, mixed; what stays on it weighed. A reserve sealed and labelled.',
      fields: ['retained', 'reserve', 'remarks'],
    },
  ],
  performedAt: 'receivedAt',
  plan,
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(CementSampleInput), system), system },
    setup: {
      zone: 'America/New_York',
      sample: { label: 'EXAMPLE', sampledAt: '2031-09-11T14:00:00-04:00' },
      facts: { mode: 'shipment' },
    },
  }),
};
