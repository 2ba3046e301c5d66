import { lengthSpec } from '../specs';

/** A wall, a gap between strips, the depth of a joint. */
export const SMALL = lengthSpec(['0.0625', '40'], ['1', '1000']);

/** A pipe from end to end. */
export const LONG = {
  dimension: 'length',
  unit: { US: 'ft', SI: 'm' },
  step: { US: '0.01', SI: '0.001' },
  possible: { US: ['1', '30'], SI: ['0.3', '9'] },
} as const;
