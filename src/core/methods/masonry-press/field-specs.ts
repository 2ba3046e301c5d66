/** What block, brick and prisms are read alike in the press. */

/** A single plate between platen and specimen. */
export const PLATE = {
  label: 'Bearing plate, thickness',
  dimension: 'length',
  unit: { US: 'in', SI: 'mm' },
  step: { US: '0.01', SI: '0.5' },
  possible: { US: ['0', '8'], SI: ['0', '205'] },
  carry: true,
  help: 'One plate, never a stack; 0 where the platen covers the specimen.',
  example: { US: '2.5', SI: '65' },
} as const;

/** Half of the peak to the peak, by stopwatch. */
export const SECOND_HALF = {
  label: 'Time for the second half',
  aside: true,
  help: 'By stopwatch, from half of the peak to the peak, where no record is kept.',
  dimension: 'duration',
  unit: { US: 's', SI: 's' },
  step: { US: '1', SI: '1' },
  possible: { US: ['1', '3600'], SI: ['1', '3600'] },
  example: { US: '88', SI: '88' },
} as const;

/** A strength that is at least so much. */
export const UNBROKEN = { label: 'It did not break: the machine was at its end' } as const;
