import { verdictWith } from '../../acceptance/criterion';
import { exact } from '../../quantity';
import { bySeverity, type Finding, Sheet, standard } from '../../working';
import type { Method, Outcome } from '../contract';
import { exampleInput } from '../example';
import { asked, factText } from '../facts';
import { fieldsOf } from '../fields';
import { limitFinding } from '../limit-finding';
import { limitRows } from '../limit-rows';
import { resultOf } from '../outcome';
import { wholeRows } from '../rows-field';
import { limitsOf, type RunSetup } from '../setup';
import { asksExtent, extentVerdicts } from './extent';
import { EfflorescenceInput } from './input';

const C67 = standard('ASTM C67/C67M');

/**
 * Pairs of which one stood in water for a week, compared dry.
 * @returns how many pairs effloresced, held against what is asked where it is
 * Source: ASTM C67/C67M 11 (from memory).
 */
function compute(input: EfflorescenceInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const sheet = new Sheet(setup.rounding ?? 'half-even');
  const pairs = wholeRows(input.pairs);
  const seen = pairs.filter((pair) => pair.seen === 'yes');
  const findings: Finding[] = [];
  const few = limits.number('brick.white-pairs', system);
  if (input.comparedAt && few.greaterThan(pairs.length))
    findings.push(
      limitFinding(
        limits,
        system,
        { id: 'brick.white-pairs', severity: 'departure', needsReason: true, fields: ['pairs'] },
        {
          message: `${pairs.length} pairs are compared.`,
          action: 'Five pairs make the test.',
          remark: `Only ${pairs.length} pairs compared for efflorescence.`,
        },
      ),
    );
  const none = factText(setup, 'efflorescence') === 'none';
  if (pairs.length > 0)
    sheet.line({
      symbol: 'n',
      name: 'Pairs that effloresced',
      formula: 'n',
      uses: { n: exact(seen.length) },
      unit: 'one',
      source: C67,
    });
  const said =
    seen.length === 0
      ? `Not effloresced, ${pairs.length} pairs.`
      : `Effloresced: ${seen.map(({ wet }) => wet).join(', ')} against ${seen.map(({ dry }) => dry).join(', ')}.`;
  return {
    results:
      pairs.length > 0
        ? [
            resultOf({
              quantity: 'effloresced pairs',
              symbol: 'n',
              value: exact(seen.length),
              unit: 'one',
              step: '1',
              mode: 'half-even',
            }),
          ]
        : [],
    lines: sheet.lines,
    findings: bySeverity(findings),
    verdicts: [
      ...(none && pairs.length > 0
        ? [
            verdictWith({
              criterion: 'Efflorescence',
              limit: 'not effloresced',
              state: seen.length === 0 ? ('meets' as const) : ('does not meet' as const),
              sentence: said,
            }),
          ]
        : []),
      ...(input.extent ? extentVerdicts(input.extent, setup, limits, system) : []),
    ],
    picture: {
      kind: 'pairs',
      values: {
        pairs: JSON.stringify(pairs.map(({ wet, dry, seen: is }) => [wet, dry, is])),
        inAt: input.inAt ?? null,
        outAt: input.outAt ?? null,
        zone: setup.zone ?? 'utc',
        days: limits.number('brick.white-time', system).toNumber(),
      },
    },
  };
}

/** Brick that may turn white: one of each pair stands in water for a week. */
export const brickEfflorescence: Method<EfflorescenceInput> = {
  id: 'brick-efflorescence',
  title: 'Efflorescence of brick',
  designations: [C67],
  runOn: 'sample',
  facts: {
    efflorescence: asked('efflorescence', 'text'),
    product: asked('product', 'text'),
    declared: asked('declared', { dimension: 'stress' }),
  },
  yields: [{ quantity: 'effloresced pairs', symbol: 'n' }],
  Input: EfflorescenceInput,
  steps: [
    {
      id: 'in',
      title: 'Into the water',
      phase: 'before',
      instruction:
        'Ten whole bricks in five pairs that look alike, brushed. One of each on end in distilled water, the other dry in the same room.',
      fields: ['water', 'inAt'],
    },
    {
      id: 'out',
      title: 'After a week',
      phase: 'test',
      instruction: 'Topped up all the while. Then both of each pair into the oven for a day.',
      fields: ['outAt', 'ovenAt'],
      clock: {
        title: 'In the water',
        from: 'inAt',
        to: 'outAt',
        limit: 'brick.white-time',
        means: { severity: 'invalid', early: 'Back into the water until the week is full.' },
        waits: { what: 'Take the pairs out and dry them', lane: 'tank' },
      },
    },
    {
      id: 'compare',
      title: 'Compare',
      phase: 'test',
      instruction: 'Side by side, from ten feet, in good light. A photograph of each pair.',
      fields: ['light', 'pairs', 'comparedAt', 'remarks'],
      clock: {
        title: 'In the oven',
        from: 'ovenAt',
        to: 'comparedAt',
        limit: 'brick.white-dry',
        means: { severity: 'departure', needsReason: true, early: 'Dry them for a day first.' },
        waits: { what: 'Compare the pairs', lane: 'tank' },
      },
    },
    {
      id: 'extent',
      title: 'How much of the face',
      phase: 'after',
      instruction: 'Of the brick that is worst, as the class of IS has it.',
      fields: ['extent'],
      when: asksExtent,
    },
  ],
  performedAt: 'comparedAt',
  sequence: [['inAt', 'outAt', 'ovenAt', 'comparedAt']],
  plan: (system, setup) =>
    limitRows(['brick.white-time', 'brick.white-dry', 'brick.white-pairs'], system, setup),
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(EfflorescenceInput), system), system },
    setup: { zone: 'America/New_York', sample: { label: 'EXAMPLE' }, facts: { efflorescence: 'none' } },
  }),
};
