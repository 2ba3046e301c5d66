import { coneCount } from '../../moulds';
import type { System } from '../../quantity';
import { standard } from '../../working';
import type { Method, PlanItem } from '../contract';
import { exampleInput } from '../example';
import { asked, earlier, resultBefore, resultOn, specified } from '../facts';
import { fieldsOf } from '../fields';
import { SLUMP_CLASSES, SLUMP_KINDS } from '../kinds';
import { limitsOf, type RunSetup } from '../setup';
import { compute } from './compute';
import { SlumpInput } from './input';
import { slumpRange } from './range';
import { STEPS } from './steps';

export { slumpRepeatability } from './findings';
export { SlumpInput } from './input';
export { slumpRange } from './range';

function plan(system: System, setup: RunSetup): readonly PlanItem[] {
  const limits = limitsOf(setup);
  const range = slumpRange(system, setup, limits);
  return [
    ...(range ? [{ label: 'Specified', text: range.text }] : []),
    { label: 'Start within', text: `${limits.of('slump.start', system).high} s of the sample` },
    { label: 'Fill start to mould off', text: limits.of('slump.total', system).text },
    { label: 'Lift', text: limits.of('slump.lift', system).text },
  ];
}

/** Slump of fresh concrete. */
export const slump: Method<SlumpInput> = {
  id: 'slump',
  title: 'Slump',
  designations: [standard('ASTM C143/C143M')],
  runOn: 'sample',
  facts: {
    slump: specified('slump'),
    slumpKind: asked('slumpKind', { options: SLUMP_KINDS }),
    slumpClass: asked('slumpClass', { options: SLUMP_CLASSES }),
    aggregate: specified('aggregate'),
    earlierSlump: earlier('slump', ['slump'], { dimension: 'length' }),
    earlierShape: earlier('input.shape', ['slump'], 'text'),
    measuredTemperature: resultOn('concrete temperature', ['concrete-temperature'], {
      dimension: 'temperature',
    }),
    ratio: resultOn('water-cementitious ratio', ['delivery'], 'ratio'),
    previousRatio: resultBefore('water-cementitious ratio', ['delivery'], 'ratio'),
    previousSlump: resultBefore('slump', ['slump'], { dimension: 'length' }),
  },
  yields: [{ quantity: 'slump', symbol: 'S' }],
  Input: SlumpInput,
  steps: STEPS,
  needsCard: true,
  performedAt: 'readAt',
  counts: (_values, system, setup) => coneCount(system, limitsOf(setup)),
  plan,
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(SlumpInput), system), shearedBefore: false, wetSieved: false, system },
    setup: {
      zone: 'America/New_York',
      sample: { label: 'EXAMPLE', sampledAt: '2031-05-14T09:30:00-04:00' },
      facts: { slumpKind: 'target', slump: system === 'US' ? '3.5 in' : '90 mm' },
      equipment: [{ number: 'CONE-1', kind: 'slump mould', verifiedOn: '2031-01-20' }],
    },
  }),
};
