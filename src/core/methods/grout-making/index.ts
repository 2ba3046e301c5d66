import type { Exact } from '../../quantity';
import { bySeverity, type Finding, finding, Sheet, standard } from '../../working';
import type { Method, Outcome } from '../contract';
import { exampleInput } from '../example';
import { asked, factText } from '../facts';
import { fieldsOf, readMeasure } from '../fields';
import { limitRows } from '../limit-rows';
import { resultOf } from '../outcome';
import { LENGTH_UNIT } from '../press/units';
import { limitsOf, type RunSetup } from '../setup';
import { GroutMakingInput } from './input';

/**
 * The plug that makes the space between four units twice as high as it is wide.
 * @param input side and height of the units, in or mm
 * Source: ASTM C1019 (from memory): the prism is twice as high as wide.
 */
function compute(input: GroutMakingInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const unit = LENGTH_UNIT[system];
  const of = (name: string): Exact | undefined => readMeasure(input, name)?.value;
  const [s, H] = [of('side'), of('unitHeight')];
  const findings: Finding[] = [];
  const plug =
    s && H
      ? sheet.line({
          symbol: 'p',
          name: 'Thickness of the plug',
          formula: 'H - k * s',
          uses: { H, k: limits.number('grout.high', system), s },
          unit,
          source: standard('ASTM C1019'),
        })
      : undefined;
  if (plug?.isNegative())
    findings.push(
      finding({
        id: 'grout.low',
        severity: 'invalid',
        fields: ['side', 'unitHeight'],
        message: 'The units are lower than twice the side.',
        action: 'Set two units upon one another, or make the space narrower.',
      }),
    );
  if (!readMeasure(input, 'slump') && input.filled === 'two')
    findings.push(
      finding({
        id: 'grout.slump-missing',
        severity: 'departure',
        needsReason: false,
        fields: ['slump'],
        message: 'The slump was not taken.',
        action: 'Take it of the same sample: grout stiffens in minutes.',
        remark: 'Slump of the grout not taken.',
      }),
    );
  if (
    input.filled === 'self' &&
    factText(setup, 'groutKind') !== undefined &&
    factText(setup, 'groutKind') !== 'self'
  )
    findings.push(
      finding({
        id: 'grout.not-self',
        severity: 'departure',
        needsReason: true,
        fields: ['filled'],
        message: 'This grout is not self-consolidating.',
        action: 'Two layers, 15 strokes each.',
        remark: 'Grout prisms filled in one layer without rodding.',
      }),
    );
  return {
    results:
      plug && !plug.isNegative()
        ? [
            resultOf({
              quantity: 'plug',
              symbol: 'p',
              value: plug,
              unit,
              step: system === 'US' ? '0.01' : '1',
              mode,
            }),
          ]
        : [],
    lines: sheet.lines,
    findings: bySeverity(findings),
    verdicts: [],
    picture: {
      kind: 'pinwheel',
      values: {
        side: s?.toNumber() ?? null,
        height: H?.toNumber() ?? null,
        plug: plug?.toNumber() ?? null,
        unit,
        filled: Boolean(input.coveredAt),
      },
    },
  };
}

/** Grout prisms as they are made between units of the wall. */
export const groutMaking: Method<GroutMakingInput> = {
  id: 'grout-making',
  title: 'Grout sampled, prisms made',
  designations: [standard('ASTM C1019')],
  runOn: 'sample',
  facts: { groutKind: asked('groutKind', 'text') },
  yields: [{ quantity: 'plug', symbol: 'p' }],
  Input: GroutMakingInput,
  steps: [
    {
      id: 'mould',
      title: 'Four units, a plug, a liner',
      phase: 'before',
      instruction:
        'Units of the wall, as moist as they are laid, level and square around the space; a plug below, a liner all round.',
      fields: ['side', 'unitHeight', 'lined'],
    },
    {
      id: 'fill',
      title: 'Sample and fill',
      phase: 'test',
      instruction:
        'Out of the middle of the pour. Slump first, then two layers with 15 strokes each; strike off, cover, keep wet.',
      fields: ['sampledAt', 'slump', 'temperature', 'filled', 'coveredAt'],
      caution: 'Grout burns skin: gloves, goggles, wash at once. Units are heavy: lift with the knees.',
    },
    {
      id: 'strip',
      title: 'A day later',
      phase: 'after',
      instruction:
        'Not touched until then. Units off one by one, prisms packed damp, carried without a jolt.',
      fields: ['coldest', 'hottest', 'strippedAt', 'remarks'],
      clock: {
        title: 'In the moulds',
        from: 'coveredAt',
        to: 'strippedAt',
        limit: 'grout.stand',
        means: {
          severity: 'departure',
          early: 'Stripped green they crack where nobody sees it.',
          late: 'The units go on drawing water out of them.',
        },
        waits: { what: 'Strip the grout prisms', lane: 'field' },
      },
    },
  ],
  performedAt: 'strippedAt',
  sequence: [['sampledAt', 'coveredAt', 'strippedAt']],
  plan: (system, setup) =>
    limitRows(['grout.slump', 'grout.stand', 'grout.air', 'grout.side'], system, setup),
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(GroutMakingInput), system), system },
    setup: { zone: 'America/New_York', sample: { label: 'EXAMPLE' }, facts: { groutKind: 'coarse' } },
  }),
};
