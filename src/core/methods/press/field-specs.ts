/** A diameter of a cylinder, read with a calliper. */
export const DIAMETER = {
  dimension: 'length',
  unit: { US: 'in', SI: 'mm' },
  step: { US: '0.01', SI: '0.25' },
  possible: { US: ['1', '20'], SI: ['25', '500'] },
} as const;

/** A length of a cylinder or a core. */
export const LENGTH = {
  dimension: 'length',
  unit: { US: 'in', SI: 'mm' },
  step: { US: '0.1', SI: '2' },
  possible: { US: ['1', '40'], SI: ['25', '1000'] },
} as const;

/** The first of two diameters at mid-height. */
export const FIRST_DIAMETER = {
  label: 'Diameter 1',
  ...DIAMETER,
  help: 'At mid-height.',
  required: true,
  example: { US: '4.01', SI: '101.50' },
} as const;

/** The second of two diameters at mid-height. */
export const SECOND_DIAMETER = {
  label: 'Diameter 2',
  ...DIAMETER,
  help: 'At mid-height, at right angles to the first.',
  required: true,
  example: { US: '4.00', SI: '101.75' },
} as const;

export const MACHINE = {
  label: 'Testing machine',
  carry: true,
  equipmentKind: 'compression machine',
  required: true,
  example: 'PRESS-1',
} as const;

export const CALLIPER = {
  label: 'Calliper',
  carry: true,
  equipmentKind: 'calliper',
  example: 'CALLIPER-1',
} as const;

export const OUT_OF_MOIST = {
  label: 'Out of moist storage at',
  aside: true,
  help: 'The moment it left the moist room or tank.',
  example: '2031-06-11T08:40:00-04:00',
} as const;

export const SURFACE = {
  label: 'Surface',
  required: true,
  options: [
    { value: 'moist', label: 'Moist' },
    { value: 'dry', label: 'Surface dry' },
    { value: 'field', label: 'As its field curing left it' },
  ],
  example: 'moist',
} as const;

export const DEFECTS = {
  label: 'Defects seen before loading',
  aside: true,
  help: 'Honeycomb, cracks, chipped edges.',
  example: 'none',
} as const;

export const SPACERS = {
  label: 'Spacers',
  carry: true,
  help: 'Heights with a plus between them, as 4 + 2; or none.',
  example: { US: '4 + 2', SI: '100 + 50' },
} as const;

export const FLUSH = {
  label: 'Stack flush',
  carry: true,
  help: 'No feeler goes in anywhere between spacers, block and head.',
  options: [
    { value: 'yes', label: 'Flush' },
    { value: 'no', label: 'A feeler goes in' },
  ],
  example: 'yes',
} as const;

/** The room between specimen and upper block before the load. */
export const GAP = {
  label: 'Gap to the upper block',
  aside: true,
  rare: true,
  help: 'Measured with the specimen in place, ram down.',
  dimension: 'length',
  unit: { US: 'in', SI: 'mm' },
  step: { US: '0.01', SI: '0.5' },
  possible: { US: ['0', '20'], SI: ['0', '500'] },
  example: { US: '0.62', SI: '16' },
} as const;

/** How far the axis of the specimen stands off the middle of the block. */
export const OFFSET = {
  label: 'Off the middle of the block',
  aside: true,
  rare: true,
  help: 'By the rings, when it is not plainly in the middle.',
  dimension: 'length',
  unit: { US: 'in', SI: 'mm' },
  step: { US: '0.05', SI: '1' },
  possible: { US: ['0', '4'], SI: ['0', '100'] },
  example: { US: '0', SI: '0' },
} as const;

export const ZEROED = {
  label: 'Indicator at zero, peak reset',
  help: 'Before contact, ram floating free.',
} as const;

export const GUARDED = { label: 'Guard shut, eye protection on', help: 'Everyone near the press.' } as const;

/** The rate in the second half of loading, psi/s or MPa/s. */
export const LOADING_RATE = {
  label: 'Loading rate',
  aside: true,
  help: 'In the second half of loading, if it was read.',
  dimension: 'stressRate',
  unit: { US: 'psi/s', SI: 'MPa/s' },
  step: { US: '1', SI: '0.01' },
  possible: { US: ['0', '2000'], SI: ['0', '14'] },
  example: { US: '36', SI: '0.25' },
} as const;

export const MAXIMUM_LOAD = {
  label: 'Maximum load',
  help: 'Read the peak before anything is reset.',
  dimension: 'force',
  unit: { US: 'lbf', SI: 'kN' },
  step: { US: '10', SI: '0.1' },
  possible: { US: ['0', '2000000'], SI: ['0', '9000'] },
  required: true,
  example: { US: '61,870', SI: '279.6' },
} as const;

export const BROKEN_AT = {
  label: 'Broken at',
  help: 'The moment of failure.',
  required: true,
  example: '2031-06-11T09:05:00-04:00',
} as const;

export const ZERO_AFTER = {
  label: 'Zero after the test',
  aside: true,
  options: [
    { value: 'same', label: 'Back at zero' },
    { value: 'off', label: 'Not back at zero' },
  ],
  example: 'same',
} as const;

export const OPERATOR = {
  label: 'Levers worked by',
  aside: true,
  help: 'When somebody else than the responsible tester drove the press.',
  example: '',
} as const;

export const REMARKS = {
  label: 'Remarks',
  aside: true,
  help: 'Voids, segregation, dry inside, stones pulled out.',
  example: '',
} as const;
