import type { MeasureSpec } from '../fields';
import { countSpec } from '../specs';

/** A strength, psi or MPa. */
export const STRENGTH: Pick<MeasureSpec, 'dimension' | 'unit' | 'step' | 'possible'> = {
  dimension: 'stress',
  unit: { US: 'psi', SI: 'MPa' },
  step: { US: '10', SI: '0.1' },
  possible: { US: ['10', '30000'], SI: ['0.1', '200'] },
};

export const STRESS = { US: 'psi', SI: 'MPa' } as const;

/** A maturity index, °C·h or hours. */
export const INDEX = {
  ...countSpec('1', '200000'),
  possible: { US: ['1', '200000'], SI: ['1', '200000'] },
} satisfies Partial<MeasureSpec>;
