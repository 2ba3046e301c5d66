/** What every oven full of specimens is read alike. */

/** What stands on a fine balance: a piece, or a tin with pieces. */
export const GRAMS = {
  dimension: 'mass',
  unit: { US: 'g', SI: 'g' },
  step: { US: '0.1', SI: '0.1' },
  possible: { US: ['1', '60000'], SI: ['1', '60000'] },
} as const;

export const OVEN_USED = { label: 'Oven', equipmentKind: 'oven', carry: true, example: 'OVEN-1' } as const;

/** Its temperature, as it is set and as it was at its hottest. */
export const OVEN = {
  dimension: 'temperature',
  unit: { US: 'degF', SI: 'degC' },
  step: { US: '1', SI: '1' },
  possible: { US: ['50', '600'], SI: ['10', '315'] },
} as const;
export const TEMPERATURE = { ...OVEN, label: 'Oven', required: true } as const;
export const HOTTEST = {
  ...OVEN,
  label: 'Hottest while they were in',
  aside: true,
  help: 'By its recorder.',
  example: '',
} as const;

/** The weighings of all of them, one after the other. */
export const WEIGHINGS = {
  label: 'Weighings',
  row: 'weighing',
  required: true,
  help: 'From a day on, every two hours, until two in a row differ by no more than 0.2 %.',
} as const;

export const ODD = {
  label: 'Remarks',
  aside: true,
  help: 'Door open, power gone, a corner lost.',
  example: '',
} as const;

/** What its recorder kept, out of a file. */
export const OVEN_LOG = {
  label: 'Recorder of the oven',
  row: 'reading',
  channel: 'oven',
  help: 'Out of its file: what was hottest is taken from it.',
} as const;
