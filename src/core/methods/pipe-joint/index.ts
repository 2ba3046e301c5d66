import { standard } from '../../working';
import type { Method } from '../contract';
import { exampleInput } from '../example';
import { fieldsOf } from '../fields';
import { PRODUCT_FACTS } from '../pipe/said';
import { compute, HELD, plan, waits } from './compute';
import { PipeJointInput } from './input';

const PRESSED =
  'Trapped air and bulkheads under pressure kill: rods rated for the thrust by a competent person, all air out, nobody in line with a bulkhead until the pressure is off.';

/** A pipe or a joint under water pressure. Order of work: ASTM C497, C443 (from memory), in our own words. */
export const pipeJoint: Method<PipeJointInput> = {
  id: 'pipe-joint',
  title: 'Water pressure',
  designations: [standard('ASTM C497/C497M'), standard('ASTM C443/C443M')],
  runOn: 'specimen',
  forms: ['pipe'],
  spends: false,
  facts: PRODUCT_FACTS,
  yields: [{ quantity: HELD, symbol: 't', named: true }],
  Input: PipeJointInput,
  steps: [
    {
      id: 'set',
      title: 'Join, close, tie',
      phase: 'before',
      instruction:
        'Two pipes joined as the drawing says, or one closed at both ends. Bulkheads tied. The plan says the thrust before anything is filled.',
      fields: ['kind', 'mate', 'asked', 'load', 'gauge', 'tied'],
      caution: PRESSED,
    },
    {
      id: 'fill',
      title: 'Fill, hold, look',
      phase: 'test',
      instruction:
        'Fill it and let all air out. Bring it to the pressure, read the gauge then and every minute or two. Ten minutes without a break; look for water from the side.',
      fields: ['vented', 'readings', 'leaks'],
      caution: PRESSED,
    },
    {
      id: 'end',
      title: 'Let it down',
      phase: 'after',
      instruction:
        'Pressure off before a rod is touched. Where it was damp it may be dried and tried again: say so.',
      fields: ['endedAt', 'remarks'],
    },
  ],
  performedAt: 'endedAt',
  set: {
    word: 'Water pressure',
    quantity: HELD,
    begun: true,
    by: [],
    combine: 'each alone',
    step: 'joint.step',
  },
  columns: [
    { heading: 'Tested', of: ['kind'] },
    { heading: 'With', of: ['mate'] },
    { heading: 'Ended', of: ['endedAt'] },
  ],
  plan,
  waits,
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(PipeJointInput), system), system },
    setup: {
      zone: 'America/New_York',
      specimen: { label: 'EXAMPLE-P1', form: 'pipe', since: '2031-09-02T07:00:00-04:00' },
      equipment: [{ number: 'GAUGE-1', kind: 'pressure gauge', verifiedOn: '2031-02-03' }],
      facts:
        system === 'US'
          ? { design: 'c76-III', span: '36 in', joint: 'tongue', overall: '8.25 ft', jointDepth: '3.5 in' }
          : { design: 'c76-III', span: '900 mm', joint: 'tongue', overall: '2.515 m', jointDepth: '90 mm' },
    },
  }),
};
