import { ourChoice } from '../../working';
import type { Method } from '../contract';
import { exampleInput } from '../example';
import { asked } from '../facts';
import { fieldsOf } from '../fields';
import { limitRows } from '../limit-rows';
import { compute, LEFT, MADE, OWED, waits } from './compute';
import { PipeYearInput } from './input';

/** The calendar year of one size and class of pipe: what it owes in tests, what was made of them. */
export const pipeYear: Method<PipeYearInput> = {
  id: 'pipe-year',
  title: 'Tests of the year',
  designations: [
    ourChoice('one test of a size and class a calendar year, or a stricter rule of customer or certificate'),
  ],
  runOn: 'lot',
  begin: 'Count the year',
  facts: {
    year: { of: 'lot', take: 'year', is: 'number' },
    yearTests: asked('yearTests', 'number'),
    yearShare: asked('yearShare', { dimension: 'percent' }),
    yearEach: asked('yearEach', 'number'),
    yearFrom: asked('yearFrom', 'text'),
    tests: { of: 'samples', take: 'picture.judged', by: ['three-edge'], is: 'texts' },
  },
  yields: [
    { quantity: LEFT, symbol: 'nl', named: true },
    { quantity: OWED, symbol: 'no', named: true },
    { quantity: MADE, symbol: 'nm', named: true },
  ],
  Input: PipeYearInput,
  steps: [
    {
      id: 'count',
      title: 'Count what was made',
      phase: 'test',
      instruction:
        'Each quarter, or when the plant tells it: how many pipes of this size and class were made since the year began. What it owes follows; it is called for from October on.',
      fields: ['counts'],
    },
    {
      id: 'close',
      title: 'Close the year',
      phase: 'after',
      instruction: 'After its last test. What is owed then stays owed: the plant tells its customer.',
      fields: ['closedAt', 'remarks'],
    },
  ],
  performedAt: 'closedAt',
  notClaimed: ['It counts tests; whether the pipes may be shipped is for the plant and the owner.'],
  plan: (system, setup) => limitRows(['teb.year', 'teb.year-call', 'teb.retests'], system, setup),
  waits,
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(PipeYearInput), system), system },
    setup: {
      zone: 'America/New_York',
      facts: {
        ...{ year: '2031', yearShare: '2 percent', yearEach: '50', yearFrom: 'customer, 2031' },
        tests: ['2031-05-20/M-11/meets//proof'],
      },
    },
  }),
};
