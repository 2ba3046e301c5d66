import type { MeasureSpec } from './fields';

type Spec = Pick<MeasureSpec, 'dimension' | 'unit' | 'step' | 'possible' | 'whole'>;

/** A duration from a stopwatch, typed as 2:05 or in seconds. */
export const SECONDS: Spec = {
  dimension: 'duration',
  unit: { US: 's', SI: 's' },
  step: { US: '1', SI: '1' },
  possible: { US: ['0', '14400'], SI: ['0', '14400'] },
};

/** A temperature of concrete or of a curing box. */
export const TEMPERATURE: Spec = {
  dimension: 'temperature',
  unit: { US: 'degF', SI: 'degC' },
  step: { US: '1', SI: '0.5' },
  possible: { US: ['0', '212'], SI: ['-18', '100'] },
};

/** A temperature of the air. */
export const AIR_TEMPERATURE: Spec = { ...TEMPERATURE, possible: { US: ['-60', '140'], SI: ['-50', '60'] } };

/** A share in percent. */
export function percentSpec(step: string, most: string): Spec {
  return {
    dimension: 'percent',
    unit: { US: 'percent', SI: 'percent' },
    step: { US: step, SI: step },
    possible: { US: ['0', most], SI: ['0', most] },
  };
}

/** A plain count or ratio. */
export function countSpec(step: string, most: string): Spec {
  return {
    dimension: 'ratio',
    unit: { US: 'one', SI: 'one' },
    step: { US: step, SI: step },
    possible: { US: ['0', most], SI: ['0', most] },
    ...(step === '1' ? { whole: true } : {}),
  };
}

/** A mass in lb or kg. */
export function massSpec(us: readonly [string, string], si: readonly [string, string]): Spec {
  return {
    dimension: 'mass',
    unit: { US: 'lb', SI: 'kg' },
    step: { US: us[0], SI: si[0] },
    possible: { US: ['0', us[1]], SI: ['0', si[1]] },
  };
}

/** A length in in or mm. */
export function lengthSpec(us: readonly [string, string], si: readonly [string, string]): Spec {
  return {
    dimension: 'length',
    unit: { US: 'in', SI: 'mm' },
    step: { US: us[0], SI: si[0] },
    possible: { US: ['0', us[1]], SI: ['0', si[1]] },
  };
}

/** A volume of a load or batch, in yd³ or m³. */
export const LOAD_VOLUME: Spec = {
  dimension: 'volume',
  unit: { US: 'yd3', SI: 'm3' },
  step: { US: '0.01', SI: '0.1' },
  possible: { US: ['0', '30'], SI: ['0', '25'] },
};

/** A small volume of a measure or a sample, in ft³ or L. */
export const SMALL_VOLUME: Spec = {
  dimension: 'volume',
  unit: { US: 'ft3', SI: 'L' },
  step: { US: '0.001', SI: '0.01' },
  possible: { US: ['0', '10'], SI: ['0', '300'] },
};

/** How a bowl or measure was consolidated. */
export const CONSOLIDATION = {
  label: 'Consolidated by',
  options: [
    { value: 'rod', label: 'Rod, three layers' },
    { value: 'vibrate', label: 'Vibrator, two layers' },
    { value: 'none', label: 'Not at all, self-consolidating' },
  ],
  example: 'rod',
} as const;

/** Strokes of the rod, counted in each of three layers. */
export const STROKES = {
  label: 'Strokes counted',
  help: 'One number a layer, as 25 25 25.',
  example: '25 25 25',
} as const;

/** Taps after each of three layers. */
export const TAPS = {
  label: 'Taps counted',
  help: 'One number a layer, as 12 12 12.',
  example: '12 12 12',
} as const;
