import { type Consolidation, type MouldSize, mouldText, specimenCount } from '../../moulds';
import type { System } from '../../quantity';
import { bySeverity, Sheet, standard } from '../../working';
import { MEASURED_SLUMP } from '../air-facts';
import type { Method, Outcome, Result, Step } from '../contract';
import { exampleInput } from '../example';
import { factText, specified } from '../facts';
import { fieldsOf } from '../fields';
import { resultOf } from '../outcome';
import { limitsOf, type RunSetup } from '../setup';
import { mouldingFindings } from './findings';
import { MouldingInput } from './input';
import { medianOf, weighedSpecimens } from './set-density';

const C31 = standard('ASTM C31/C31M');

/** Order of work: ASTM C31/C31M, cubes IS 516 and EN 12390-2 (from memory), in our own words. */
const STEPS: readonly Step[] = [
  {
    id: 'ready',
    title: 'Moulds and place',
    phase: 'before',
    instruction: 'Moulds looked at, labels written, box powered and in its range before the truck comes.',
    fields: ['mould', 'mouldState', 'mouldSizes', 'place'],
    caution:
      'Wet concrete burns skin and eyes; a 6 × 12 in cylinder weighs 30 lb [14 kg], a beam 60 lb [27 kg]: two people.',
  },
  {
    id: 'fill',
    title: 'Layers and strokes',
    phase: 'test',
    instruction:
      'All moulds of the set layer by layer, scoop moved round the rim. The counter knows layers, strokes and taps.',
    fields: ['startedAt', 'consolidation', 'rod', 'wetSieved', 'strokes', 'insertions', 'vibration', 'taps'],
    caution: 'Vibrator: residual-current protection, dry plug.',
  },
  {
    id: 'finish',
    title: 'Finish, mark, cover',
    phase: 'test',
    instruction:
      'Strike off with the least work. Weigh them if you can: a void shows before it is covered. Mark the side, cover.',
    fields: ['finishedAt', 'tops', 'masses', 'marked', 'coveredAt'],
  },
  {
    id: 'rest',
    title: 'To rest',
    phase: 'after',
    instruction: 'Into initial cure at once, upright, supported from below; count; then leave them alone.',
    fields: ['restingAt', 'planned', 'counted', 'location', 'remarks'],
  },
];

/**
 * The making of a set of specimens.
 * @param input counts, instants, masses in lb or kg
 * @returns the median density of weighed specimens by the mould's nominal volume; findings on the making
 * Source: ASTM C31/C31M (from memory).
 */
function compute(input: MouldingInput, setup: RunSetup): Outcome {
  const limits = limitsOf(setup);
  const { system } = input;
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const results: Result[] = [];
  const { weighed, bad } = input.mould
    ? weighedSpecimens(input.masses, input.mould)
    : { weighed: [], bad: [] };
  const median = medianOf(weighed.map(({ density }) => density));
  const unit = system === 'US' ? 'lb/ft3' : 'kg/m3';
  const step = limits.number('density.step', system);
  if (median) {
    sheet.line({
      symbol: 'Dm',
      name: 'Median density of the specimens',
      formula: 'd',
      uses: { d: median },
      unit,
      source: C31,
      round: { step, rule: `density to ${step}` },
    });
    results.push(
      resultOf({ quantity: 'median density of the set', symbol: 'Dm', value: median, unit, step, mode }),
    );
  }
  const plan =
    input.mould && input.consolidation ? specimenCount(input.mould, input.consolidation, limits) : undefined;
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity(mouldingFindings(input, weighed, median, bad, setup, limits)),
    verdicts: [],
    picture: {
      kind: 'mould',
      values: {
        mould: input.mould ?? null,
        name: input.mould ? mouldText(input.mould) : null,
        layers: plan?.layers ?? null,
        strokes: plan?.strokes ?? null,
        insertions: plan?.insertions ?? null,
        taps: plan && plan.taps[1] > 0 ? `${plan.taps[0]} to ${plan.taps[1]}` : null,
        rod: plan?.rod ?? null,
        marks: plan?.marks.join(', ') ?? null,
      },
    },
  };
}

/** Making cylinders, beams and cubes from a sample. */
export const moulding: Method<MouldingInput> = {
  id: 'moulding',
  title: 'Making specimens',
  designations: [C31],
  runOn: 'sample',
  facts: {
    aggregate: specified('aggregate'),
    measuredSlump: MEASURED_SLUMP,
  },
  yields: [{ quantity: 'median density of the set', symbol: 'Dm' }],
  Input: MouldingInput,
  steps: STEPS,
  needsCard: true,
  performedAt: 'finishedAt',
  counts: ({ mould, consolidation }, _system, setup) =>
    mould && consolidation
      ? {
          ...specimenCount(mould as MouldSize, consolidation as Consolidation, limitsOf(setup)),
          everyMould: true,
        }
      : null,
  plan: (system: System, setup: RunSetup) => {
    const limits = limitsOf(setup);
    return [
      { label: 'Start', text: `${limits.of('sampling.moulding-start', system).text} after the composite` },
      { label: 'Aggregate', text: factText(setup, 'aggregate') ?? 'not on file' },
    ];
  },
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(MouldingInput), system), wetSieved: false, system },
    setup: {
      zone: 'America/New_York',
      sample: { label: 'EXAMPLE', sampledAt: '2031-05-14T09:30:00-04:00' },
      facts: {
        aggregate: system === 'US' ? '0.75 in' : '19 mm',
        measuredSlump: system === 'US' ? '4 in' : '100 mm',
      },
    },
  }),
};
