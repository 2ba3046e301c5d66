import { cite, isWithin } from '../../limits';
import { nominalOf } from '../../moulds';
import { type Exact, largest } from '../../quantity';
import { bySeverity, type Finding, finding, Sheet, standard } from '../../working';
import type { EndsTold } from '../batch-facts';
import type { BatchAbout, Method, Outcome, Result } from '../contract';
import { exampleInput } from '../example';
import { fieldsOf, readMeasure } from '../fields';
import { resultOf } from '../outcome';
import { LENGTH_UNIT } from '../press';
import { limitsOf, type RunSetup } from '../setup';
import { labelsOf } from '../tested';
import { EndGrindingInput } from './input';

const C39 = standard('ASTM C39/C39M');

/** Its ground ends, with the new length where it was measured. */
function tells(input: EndGrindingInput, { label, batch, remarks }: BatchAbout): { ends?: EndsTold } {
  if (!input.finishedAt) return {};
  const row = input.found?.find(({ specimen }) => specimen === label);
  const length = row && readMeasure(row, 'length');
  return {
    ends: {
      kind: 'ground',
      batch,
      finishedAt: input.finishedAt,
      ...(length ? { length: `${length.value.toFixed()} ${length.unit}` } : {}),
      remarks: [...remarks],
    },
  };
}

/**
 * A batch of ground ends: new lengths, squareness and planeness.
 * @returns the largest gap at the square
 * Source: ASTM C39/C39M for plane and square ends (from memory).
 */
function compute(input: EndGrindingInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const unit = LENGTH_UNIT[system];
  const sheet = new Sheet(setup.rounding ?? 'half-even');
  const rows = (input.found ?? []).map((row) => ({
    label: row.specimen ?? '',
    gap: readMeasure(row, 'gap')?.value,
    plane: row.plane,
  }));
  const findings: Finding[] = [];
  const results: Result[] = [];
  const gaps = rows.flatMap(({ gap }) => gap ?? []);
  if (gaps.length > 0) {
    const worst = largest(gaps);
    results.push(
      resultOf({
        quantity: 'largest gap at the square',
        symbol: 'g',
        value: sheet.line({
          symbol: 'g',
          name: 'Largest gap at the square',
          formula: 'g1',
          uses: { g1: worst },
          unit,
          source: C39,
        }),
        unit,
        step: system === 'US' ? '0.01' : '0.1',
        mode: setup.rounding ?? 'half-even',
      }),
    );
  }
  const diameters = diametersOf(setup, system);
  const square = limits.of('cylinder.out-of-square', system);
  for (const { label, gap, plane } of rows) {
    const add = (id: string, message: string, action: string, limit?: Finding['limit']): void => {
      findings.push(
        finding({ id, severity: 'invalid', fields: ['found'], message, action, ...(limit ? { limit } : {}) }),
      );
    };
    if (plane === 'no')
      add(
        'cylinder.planeness',
        `${label} is not plane.`,
        'Grind again, in light passes.',
        cite(limits.of('cylinder.planeness', system)),
      );
    const smallest = diameters[0];
    if (gap && smallest && !isWithin(gap.div(smallest), square))
      add(
        'cylinder.out-of-square',
        `${label} is out of square: gap ${gap} ${unit}.`,
        'Grind square; the machine’s table may have moved.',
        cite(square),
      );
  }
  const missing = labelsOf(setup).filter(
    (label) => rows.length > 0 && !rows.some((row) => row.label === label),
  );
  if (missing.length > 0)
    findings.push(
      finding({
        id: 'ground.missing',
        severity: 'advice',
        fields: ['found'],
        message: `Nothing written of ${missing.join(', ')}.`,
        action: 'Measure every specimen of the batch after grinding.',
      }),
    );
  if (input.edges === 'chipped' && !input.remarks?.trim())
    findings.push(
      finding({
        id: 'ground.chips',
        severity: 'departure',
        needsReason: false,
        fields: ['edges', 'remarks'],
        message: 'Which specimens are chipped is not said.',
        action: 'Write their labels, or grind them again.',
        remark: 'Chipped edges after grinding.',
      }),
    );
  if (input.finishedAt && input.wet !== true)
    findings.push(
      finding({
        id: 'ground.dry',
        severity: 'departure',
        needsReason: false,
        fields: ['wet'],
        message: 'Not recorded that the specimens were kept wet.',
        action: 'A dry specimen cracks under the wheel and reads otherwise: keep them wet, and tick it.',
        remark: 'Moisture during grinding not recorded.',
      }),
    );
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity(findings),
    verdicts: [],
    picture: {
      kind: 'grinding',
      values: {
        specimens: labelsOf(setup).join(','),
        done: rows.map(({ label }) => label).join(','),
      },
    },
  };
}

/** The diameters in a batch, smallest first, in or mm. */
function diametersOf(setup: RunSetup, system: 'US' | 'SI'): Exact[] {
  return (setup.batch?.specimens ?? [])
    .flatMap(({ form }) => nominalOf(form, 'cylinder', system)?.across ?? [])
    .toSorted((a, b) => a.comparedTo(b));
}

/** Ends ground plane and square, for a batch of specimens. */
export const endGrinding: Method<EndGrindingInput> = {
  id: 'end-grinding',
  title: 'End grinding',
  designations: [C39],
  runOn: 'batch',
  batch: { ends: true, letters: 'GB', begin: 'Grind them together', done: 'ground', tells },
  yields: [{ quantity: 'largest gap at the square', symbol: 'g' }],
  Input: EndGrindingInput,
  steps: [
    {
      id: 'machine',
      title: 'Machine and specimens',
      phase: 'before',
      instruction:
        'Coolant on, clamp set, a dummy ground and checked. Specimens wet; saw first only what is far off.',
      fields: ['safe', 'dummy', 'wet'],
      caution:
        'Dry grinding gives crystalline silica: wet cutting, extraction, respirator by local rule. Guards on, no loose sleeves; electricity and water: residual-current device. Noise, slippery floor.',
    },
    {
      id: 'grind',
      title: 'Grind',
      phase: 'test',
      instruction: 'End one, then end two from the first, in light passes. The label must stay readable.',
      fields: ['startedAt', 'finishedAt'],
    },
    {
      id: 'measure',
      title: 'Measure',
      phase: 'after',
      instruction:
        'Three diameters at each end with the feeler, the gap at the square, the new length at three places.',
      fields: ['found', 'edges', 'remarks'],
    },
  ],
  performedAt: 'finishedAt',
  sequence: [['startedAt', 'finishedAt']],
  plan: (_, setup) =>
    setup.batch
      ? [
          {
            label: 'Specimens',
            text: String(setup.batch.specimens.length),
            note: labelsOf(setup).join(', '),
          },
          { label: 'Plane within', text: limitsOf(setup).of('cylinder.planeness', 'US').text },
        ]
      : [],
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(EndGrindingInput), system), system },
    setup: {
      zone: 'America/New_York',
      batch: {
        label: 'GB-1',
        seed: 4,
        specimens: ['EXAMPLE-A', 'EXAMPLE-C'].map((label) => ({
          label,
          form: system === 'US' ? '4x8' : '100x200',
        })),
      },
    },
  }),
};
