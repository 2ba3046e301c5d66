import { standard } from '../../working';
import type { Method } from '../contract';
import { exampleInput } from '../example';
import { fieldsOf } from '../fields';
import { limitRows } from '../limit-rows';
import { exampleSetup } from '../temperature-record/example';
import { COUNTED, compute, waits } from './compute';
import { MaturityEstimateInput } from './input';

const ID = 'maturity-estimate';
const BY = ['maturity-calibration'] as const;
/** Breaks of the example's calibration, index and strength. */
const PAIRS = {
  US: '600/1150 600/1210 1750/2440 1750/2370 4000/3360 4000/3470 7800/4100 7800/4210 15600/4760 15600/4660',
  SI: '600/7.9 600/8.3 1750/16.8 1750/16.3 4000/23.2 4000/23.9 7800/28.3 7800/29 15600/32.8 15600/32.1',
} as const;

/** Strength of a member by its maturity. Order of work: ASTM C1074 (from memory), in our own words. */
export const maturityEstimate: Method<MaturityEstimateInput> = {
  id: ID,
  title: 'Maturity: strength in the member',
  designations: [standard('ASTM C1074')],
  runOn: 'lot',
  again: 'freely',
  begin: 'Strength by maturity',
  facts: {
    calibration: { of: 'specification', take: 'picture.pairs', by: BY, is: 'pairs' },
    function: { of: 'specification', take: 'picture.function', by: BY, is: 'text' },
    curve: { of: 'specification', take: 'picture.curve', by: BY, is: 'text' },
    confirmed: { of: 'specification', take: 'picture.verified', by: [ID], which: 'several', is: 'texts' },
  },
  yields: [
    { quantity: COUNTED, symbol: 'Sd', named: true },
    { quantity: 'strength by the curve', symbol: 'S' },
    { quantity: 'expected in', symbol: 'h' },
  ],
  Input: MaturityEstimateInput,
  steps: [
    {
      id: 'ask',
      title: 'What waits for it',
      phase: 'before',
      instruction:
        'Ask the engineer what strength the operation needs, and where. A sensor at the coldest place and one where it carries most, in before the concrete.',
      fields: ['operation', 'required', 'where', 'mix', 'logger', 'sensors', 'placedAt'],
      caution:
        'Forms and props taken away too early kill. This page informs; a licensed engineer decides. Shoring and reshoring by their plan.',
    },
    {
      id: 'read',
      title: 'Read the record',
      phase: 'test',
      instruction: 'Keep the record so far, again at each visit. The least mature sensor counts.',
      fields: ['record', 'outlook', 'readAt'],
      caution:
        'Loggers on the mains beside wet concrete only behind a residual current device. Hot concrete burns.',
    },
    {
      id: 'confirm',
      title: 'Confirm it by a test',
      phase: 'after',
      instruction:
        'Before the operation: a supplementary test in the member or on early cylinders. Cylinders of the job with a sensor of their own confirm the curve.',
      fields: ['supplementary', 'supplementaryStrength', 'earlyIndex', 'verified', 'remarks'],
    },
  ],
  release: {
    title: 'Release by the engineer',
    readings: ['operation', 'where', 'required', 'readAt', 'supplementary', 'supplementaryStrength'],
    blanks: ['Released, or not, and on what condition', 'Name and licence', 'Signature', 'Day and hour'],
    words:
      'The laboratory reports an estimate. Forms, props and protection stay until a licensed engineer has signed.',
  },
  sequence: [['placedAt', 'readAt']],
  performedAt: 'readAt',
  plan: (system, setup) => {
    return limitRows(
      [
        'maturity.confidence',
        'maturity.allowance',
        'maturity.verified',
        'maturity.protection',
        'maturity.cold',
      ],
      system,
      setup,
    );
  },
  waits,
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(MaturityEstimateInput), system), system },
    setup: {
      ...exampleSetup(),
      facts: { calibration: PAIRS[system], function: 'nurse-saul 0', curve: 'hyperbolic' },
    },
  }),
};
