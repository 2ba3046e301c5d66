import { bowlCount, type Consolidation } from '../../moulds';
import { standard } from '../../working';
import { CONSOLIDATION_WORDS, consolidationFor } from '../air';
import { MEASURED_AIR, MEASURED_SLUMP } from '../air-facts';
import type { Method, Step } from '../contract';
import { exampleInput } from '../example';
import { earlier, factMeasure, factText, specified } from '../facts';
import { fieldsOf } from '../fields';
import { limitsOf } from '../setup';
import { compute } from './compute';
import { DensityYieldInput } from './input';

export { yieldForClaim } from './compute';

/** Order of work: ASTM C138/C138M (from memory), in our own words. */
const STEPS: readonly Step[] = [
  {
    id: 'tare',
    title: 'Empty measure',
    phase: 'before',
    instruction: 'Clean, damp, on a level balance in date. Its volume from the last standardisation.',
    fields: [
      'measure',
      'balance',
      'measureVolume',
      'nominalVolume',
      'waterMass',
      'waterTemperature',
      'emptyMass',
    ],
  },
  {
    id: 'fill',
    title: 'Fill and strike off',
    phase: 'test',
    instruction:
      'Three layers of 25 strokes (50 in a measure of 1 ft³ [28 L]), 10 to 15 taps after each; or two layers vibrated. Plate over two thirds, saw back, over all, finish.',
    fields: ['consolidation', 'strokes', 'taps', 'plate'],
    caution: 'A full measure weighs 40 to 60 lb [20 to 30 kg]: bend the knees.',
  },
  {
    id: 'weigh',
    title: 'Weigh',
    phase: 'test',
    instruction: 'Wipe the outside, weigh.',
    fields: ['fullMass', 'weighedAt'],
  },
  {
    id: 'ticket',
    title: 'The batch, from the ticket',
    phase: 'after',
    instruction: 'For yield and air: what was batched, with the water added on site.',
    fields: ['ticketVolume', 'cementitious', 'batchMass', 'siteWater', 'materials', 'loads', 'remarks'],
  },
];

/** Density (unit weight), yield and gravimetric air of fresh concrete. */
export const densityYield: Method<DensityYieldInput> = {
  id: 'density-yield',
  title: 'Density and yield',
  designations: [standard('ASTM C138/C138M')],
  runOn: 'sample',
  facts: {
    density: specified('density'),
    aggregate: specified('aggregate'),
    measuredSlump: MEASURED_SLUMP,
    measuredAir: MEASURED_AIR,
    earlierDensity: earlier('density', ['density-yield'], { dimension: 'density' }),
  },
  yields: [
    { quantity: 'density', symbol: 'D' },
    { quantity: 'yield', symbol: 'Y' },
    { quantity: 'relative yield', symbol: 'Ry' },
    { quantity: 'cementitious content', symbol: 'C' },
    { quantity: 'gravimetric air', symbol: 'A' },
  ],
  Input: DensityYieldInput,
  steps: STEPS,
  needsCard: true,
  performedAt: 'weighedAt',
  counts: ({ consolidation }, system, setup) =>
    consolidation ? bowlCount(3, consolidation as Consolidation, system, limitsOf(setup)) : null,
  plan: (system, setup) => {
    const limits = limitsOf(setup);
    const wanted = factText(setup, 'density');
    const slump = factMeasure(setup, 'measuredSlump', 'length', system === 'US' ? 'in' : 'mm');
    return [
      ...(wanted ? [{ label: 'Specified', text: wanted }] : []),
      ...(slump
        ? [{ label: 'Consolidate', text: CONSOLIDATION_WORDS[consolidationFor(slump, system, limits)] }]
        : []),
      { label: 'Loads for a claim on yield', text: limits.of('density.loads', system).text },
    ];
  },
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(DensityYieldInput), system), system },
    setup: {
      zone: 'America/New_York',
      sample: { label: 'EXAMPLE', sampledAt: '2031-05-14T09:30:00-04:00' },
      facts: { measuredSlump: system === 'US' ? '4 in' : '100 mm' },
      equipment: [
        { number: 'MEASURE-1', kind: 'density measure', verifiedOn: '2031-01-20' },
        { number: 'BALANCE-1', kind: 'balance', verifiedOn: '2031-01-20' },
      ],
    },
  }),
};
