/** What can happen to a specimen, in the order of its life. */
export const SPECIMEN_EVENTS = [
  'moulded',
  'drilled',
  'sawn',
  'marked',
  'initial cure',
  'collected',
  'received',
  'final cure',
  'on hold',
  'hold decided',
  'released',
  'tested',
  'left out',
  'taken back in',
  'quarantined',
  'lost',
  'discarded',
  'discard taken back',
  'note',
] as const;

/** What a person records of a specimen by hand, the usual first; the rest comes with what makes it happen. */
export const RECORDED_EVENTS = [
  'final cure',
  'initial cure',
  'on hold',
  'released',
  'quarantined',
  'lost',
  'discarded',
  'note',
] as const satisfies readonly (typeof SPECIMEN_EVENTS)[number][];

/** How specimens change hands: taken on site, taken in at the laboratory. */
export const HAND_OVERS = [
  'collected',
  'received',
] as const satisfies readonly (typeof SPECIMEN_EVENTS)[number][];

/** How specimens were when they changed hands. */
export const CONDITIONS = [
  'in order',
  'chipped',
  'cracked',
  'dry',
  'frozen',
  'tilted',
  'label damaged',
] as const;
