import { lengthSpec } from '../specs';

/** A stress that a dolly is pulled to. */
export const PULL_OFF = {
  dimension: 'stress',
  unit: { US: 'psi', SI: 'MPa' },
  step: { US: '5', SI: '0.05' },
  possible: { US: ['1', '15000'], SI: ['0.01', '100'] },
} as const;
export const PULL_OFF_HELP = 'By the specification of the coating.';

/** The diameter of a dolly, as it was measured: what is called 14 mm is often 14.2. */
export const DOLLY = {
  ...lengthSpec(['0.001', '6'], ['0.1', '150']),
  possible: { US: ['0.2', '6'], SI: ['5', '150'] },
} as const;
