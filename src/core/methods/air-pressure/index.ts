import { bowlCount, type Consolidation } from '../../moulds';
import { standard } from '../../working';
import { airRange, CONSOLIDATION_WORDS, consolidationFor } from '../air';
import { AIR_FACTS } from '../air-facts';
import type { Method, Step } from '../contract';
import { exampleInput } from '../example';
import { factMeasure, factText } from '../facts';
import { fieldsOf } from '../fields';
import { limitsOf } from '../setup';
import { compute } from './compute';
import { AirPressureInput } from './input';

/** Order of work: ASTM C231/C231M (from memory), in our own words. */
const STEPS: readonly Step[] = [
  {
    id: 'fill',
    title: 'Fill the bowl',
    phase: 'before',
    instruction:
      'Three layers of 25 strokes, 10 to 15 taps after each; or two layers vibrated. Slightly over, strike off flush, weigh now if density is wanted, wipe the rim.',
    fields: [
      'meter',
      'type',
      'porous',
      'fillStartedAt',
      'consolidation',
      'strokes',
      'taps',
      'wetSieved',
      'struckAt',
    ],
    caution: 'Wet concrete burns skin and eyes: gloves, sleeves, eye protection.',
  },
  {
    id: 'close',
    title: 'Lid and water',
    phase: 'before',
    instruction:
      'Clamp crosswise, both petcocks open, main valve shut. Water in at one petcock until it runs clear from the other; rock gently.',
    fields: ['lidAt', 'watered', 'mainValve'],
  },
  {
    id: 'read',
    title: 'Pump and read',
    phase: 'test',
    instruction:
      'Pump slightly past the line, wait, trim to the line. Close both petcocks, open the main valve, strike the bowl, tap the gauge, read. Type A: two columns.',
    fields: [
      'pumpedAt',
      'trimmedAt',
      'initialLine',
      'onLine',
      'petcocks',
      'apparent',
      'h1',
      'h2',
      'h1Again',
      'h2Again',
      'readAt',
    ],
    caution:
      'Stored pressure: keep the face away from the petcocks, never beyond the gauge, never unclamp under pressure.',
  },
  {
    id: 'release',
    title: 'Release, then correct',
    phase: 'after',
    instruction: 'Main valve shut first, then the petcocks, then the lid. Subtract the aggregate correction.',
    fields: [
      'factor',
      'factorReading',
      'factorRemoved',
      'bowlVolume',
      'batchVolume',
      'fineBatch',
      'coarseBatch',
      'wholeVolume',
      'retainedVolume',
      'mortarVolume',
      'remarks',
    ],
  },
];

/** Air content of fresh concrete by the pressure method; for dense aggregate. */
export const airPressure: Method<AirPressureInput> = {
  id: 'air-pressure',
  title: 'Air, pressure',
  designations: [standard('ASTM C231/C231M')],
  runOn: 'sample',
  facts: AIR_FACTS,
  yields: [
    { quantity: 'air content', symbol: 'A' },
    { quantity: 'aggregate correction', symbol: 'G' },
    { quantity: 'air of the mortar', symbol: 'Am' },
  ],
  Input: AirPressureInput,
  steps: STEPS,
  needsCard: true,
  performedAt: 'readAt',
  counts: ({ consolidation }, system, setup) =>
    consolidation ? bowlCount(3, consolidation as Consolidation, system, limitsOf(setup)) : null,
  plan: (system, setup) => {
    const limits = limitsOf(setup);
    const range = airRange(system, setup, limits);
    const slump = factMeasure(setup, 'measuredSlump', 'length', system === 'US' ? 'in' : 'mm');
    return [
      ...(range ? [{ label: 'Specified', text: range.text }] : []),
      ...(slump
        ? [{ label: 'Consolidate', text: CONSOLIDATION_WORDS[consolidationFor(slump, system, limits)] }]
        : []),
      { label: 'Aggregate correction', text: factText(setup, 'aggregateFactor') ?? 'none on file' },
    ];
  },
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(AirPressureInput), system), porous: false, wetSieved: false, system },
    setup: {
      zone: 'America/New_York',
      sample: { label: 'EXAMPLE', sampledAt: '2031-05-14T09:30:00-04:00' },
      facts: {
        air: '6 %',
        aggregate: system === 'US' ? '0.75 in' : '19 mm',
        measuredSlump: system === 'US' ? '4 in' : '100 mm',
      },
      equipment: [{ number: 'PRESSURE-1', kind: 'pressure meter', verifiedOn: '2031-04-20' }],
    },
  }),
};
