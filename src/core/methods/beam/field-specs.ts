import { lengthSpec } from '../specs';

/** Lines on which a beam bears, from the left; the middle one only where one roller loads it. */
export const CONTACTS = {
  gapSupportLeft: 'Left support',
  gapLoadLeft: 'Left load',
  gapLoad: 'Load',
  gapLoadRight: 'Right load',
  gapSupportRight: 'Right support',
} as const;
export type Contact = keyof typeof CONTACTS;

const invalid = { severity: 'invalid', beforeLoad: true } as const;

const GAPS = {
  options: [
    { value: 'none', label: 'None' },
    { value: 'leather', label: 'Leather' },
    { value: 'capped', label: 'Capped' },
    { value: 'ground', label: 'Ground' },
    {
      value: 'open',
      label: '0.004 in [0.10 mm] goes in, nothing done',
      means: {
        id: 'beam.gap-open',
        ...invalid,
        limit: 'beam.gap-shim',
        message: 'It does not bear here.',
        action: 'Unload. Leather across the whole width, or cap or grind; wet it again and look once more.',
      },
    },
    {
      value: 'wide leather',
      label: '0.015 in [0.38 mm] goes in, leather',
      means: {
        id: 'beam.gap-wide',
        ...invalid,
        limit: 'beam.gap-cap',
        message: 'The gap is too wide for leather.',
        action: 'Unload, cap or grind this line, wet it again and look once more.',
      },
    },
    {
      value: 'wide open',
      label: '0.015 in [0.38 mm] goes in, nothing done',
      means: {
        id: 'beam.gap-wide',
        ...invalid,
        limit: 'beam.gap-cap',
        message: 'A wide gap was left as it is.',
        action: 'Unload, cap or grind this line, wet it again and look once more.',
      },
    },
  ],
  required: true,
  help: 'None: no leaf goes in over an inch [25 mm]. Leather only where the leaf of 0.015 in [0.38 mm] does not.',
} as const;

export type Gap = (typeof GAPS.options)[number]['value'];

/** How a line bears at three to six percent of the expected load; a leaf counts where it goes in over an inch. */
export function gapAt(contact: Contact) {
  return { label: `Gap, ${CONTACTS[contact].toLowerCase()}`, ...GAPS, example: 'none' } as const;
}

export const MADE = {
  label: 'Made',
  carry: true,
  required: true,
  options: [
    { value: 'moulded', label: 'Moulded' },
    { value: 'sawn', label: 'Sawn' },
  ],
  example: 'moulded',
} as const;

export const INTO_WATER = {
  label: 'Into lime water at',
  carry: true,
  aside: true,
  help: 'The last time before the test.',
  example: '2031-06-10T10:30:00-04:00',
} as const;

export const CONDITION = {
  label: 'Seen on its faces',
  required: true,
  options: [
    { value: 'sound', label: 'Sound' },
    {
      value: 'marks',
      label: 'Scratched, holes or marks on a loaded face',
      means: {
        id: 'beam.marks',
        severity: 'departure',
        beforeLoad: true,
        message: 'Marks belong on the end faces: a scratch is where the crack begins.',
        action: 'Say where they are; the next beams are labelled with crayon on their ends.',
        remark: 'Loaded faces not free of marks.',
      },
    },
    {
      value: 'honeycomb',
      label: 'Deep honeycomb, broken edge in the middle third',
      means: {
        id: 'beam.defect',
        severity: 'departure',
        needsReason: true,
        beforeLoad: true,
        message: 'A beam with such a defect says nothing of the concrete.',
        action: 'Do not test it for acceptance. Photograph it, tell who moulded it, ask the engineer.',
        remark: 'Honeycomb or a broken edge in the middle third before the test.',
      },
    },
    {
      value: 'cracked',
      label: 'Cracked before the test',
      means: {
        id: 'beam.cracked',
        severity: 'departure',
        needsReason: true,
        beforeLoad: true,
        message: 'It is cracked already: dropped, dried, or demoulded too soon.',
        action: 'Do not test it for acceptance. Photograph it and ask the engineer.',
        remark: 'Cracked before the test.',
      },
    },
  ],
  example: 'sound',
} as const;

export const WET = {
  label: 'Surface',
  required: true,
  options: [
    { value: 'moist', label: 'Wet all over' },
    {
      value: 'dry',
      label: 'Light, dry patches',
      means: {
        id: 'beam.surface-dry',
        severity: 'departure',
        needsReason: true,
        beforeLoad: true,
        message: 'Its skin has begun to dry: it is in tension before any load, and the beam reads low.',
        action: 'Wetting it again does not undo that. Put it back where its window allows, else say so.',
        remark: 'Surface dry when tested.',
      },
    },
    { value: 'field', label: 'As its field curing left it' },
  ],
  example: 'moist',
} as const;

export const SIDE = {
  label: 'Load goes on',
  required: true,
  help: 'A moulded beam is turned on its side; IS leaves the surface as cast on top.',
  options: [
    { value: 'side', label: 'A moulded side' },
    { value: 'top', label: 'The trowelled surface' },
    { value: 'sawn', label: 'Top or bottom as it lay in the slab' },
  ],
  example: 'side',
} as const;

export const ROLLERS = {
  label: 'Rollers and blocks turn freely, lines parallel',
  missed: {
    id: 'beam.rollers',
    severity: 'departure',
    needsReason: true,
    beforeLoad: true,
    message: 'A roller that does not turn holds the beam in tension.',
    action: 'Free and clean it, or use another fixture.',
    remark: 'Rollers of the fixture not free.',
  },
} as const;

export const SPAN = {
  label: 'Span, support to support',
  ...lengthSpec(['0.05', '60'], ['1', '1500']),
  possible: { US: ['5', '60'], SI: ['125', '1500'] },
  carry: true,
  required: true,
  help: 'Between the lines of the supports, never the length of the beam.',
  example: { US: '18.00', SI: '450' },
} as const;

const OVERHANG = {
  ...lengthSpec(['0.0625', '12'], ['2', '300']),
  required: true,
} as const;

export const OVERHANG_LEFT = {
  label: 'Overhang, left',
  ...OVERHANG,
  example: { US: '1 1/2', SI: '40' },
} as const;
export const OVERHANG_RIGHT = {
  label: 'Overhang, right',
  ...OVERHANG,
  example: { US: '1 1/2', SI: '40' },
} as const;

export const FIXTURE = {
  label: 'Height of the fixture',
  ...lengthSpec(['0.25', '20'], ['5', '500']),
  carry: true,
  aside: true,
  help: 'Bed and load head together, without the beam: the spacers follow from it.',
  example: { US: '5', SI: '130' },
} as const;

export const PRELOAD = {
  label: 'Load while the gaps are tried',
  dimension: 'force',
  unit: { US: 'lbf', SI: 'kN' },
  step: { US: '10', SI: '0.1' },
  possible: { US: ['0', '50000'], SI: ['0', '220'] },
  aside: true,
  help: 'Enough to close what closes by itself.',
  example: { US: '330', SI: '1.5' },
} as const;

export const GOING = {
  label: 'Loading',
  required: true,
  options: [
    { value: 'steady', label: 'Steady to the break' },
    {
      value: 'fast half',
      label: 'Faster up to half, then at the rate',
      means: {
        id: 'beam.fast-half',
        severity: 'departure',
        message: 'Some older editions let the first half go faster.',
        action: 'Use it only where the project’s edition says so.',
        remark: 'Loaded faster up to half of the breaking load.',
      },
    },
    {
      value: 'again',
      label: 'Stopped below half and begun again',
      means: {
        id: 'beam.again',
        severity: 'departure',
        message: 'It was unloaded once.',
        action: 'Say why it was stopped.',
        remark: 'Loading begun again, stopped below half.',
      },
    },
    {
      value: 'broken off',
      label: 'Stopped beyond half, or with a shock',
      means: {
        id: 'beam.broken-off',
        severity: 'invalid',
        message: 'A beam that was loaded beyond half and stopped, or struck, is no test.',
        action: 'Take another beam; look at the valve and the pump.',
      },
    },
  ],
  example: 'steady',
} as const;

const PLACE = {
  ...lengthSpec(['0.05', '30'], ['1', '750']),
  required: true,
} as const;

/** Where it broke, on the face in tension, to the nearest support. */
export const PLACES = {
  a1: {
    label: 'Break to the nearer support, one edge',
    ...PLACE,
    help: 'On the face in tension, from the line of the support and not from the end of the beam.',
    example: { US: '7.90', SI: '190' },
  },
  a2: { label: 'Break to the nearer support, middle', ...PLACE, example: { US: '7.90', SI: '190' } },
  a3: { label: 'Break to the nearer support, other edge', ...PLACE, example: { US: '7.90', SI: '190' } },
} as const;

const SIZE = {
  ...lengthSpec(['0.05', '20'], ['1', '500']),
  possible: { US: ['2', '20'], SI: ['50', '500'] },
  required: true,
} as const;
const size = (label: string, US: string, SI: string) => ({ label, ...SIZE, example: { US, SI } }) as const;

/** Sizes as it lies in the machine. */
export const SIZES = {
  width1: size('Width, top', '6.05', '151'),
  width2: size('Width, middle', '6.00', '150'),
  width3: size('Width, bottom', '6.05', '151'),
  depth1: size('Depth, one edge', '6.00', '150'),
  depth2: size('Depth, middle', '6.05', '151'),
  depth3: size('Depth, other edge', '6.00', '152'),
} as const;

export const CRACK = {
  label: 'How it broke',
  required: true,
  options: [
    { value: 'clean', label: 'One crack, up from the bottom' },
    {
      value: 'shear',
      label: 'Slanting towards a load',
      means: {
        id: 'beam.slanting',
        severity: 'departure',
        message: 'A slanting crack is shear, or a support that held.',
        action: 'Look at rollers and span before the next beam.',
        remark: 'Broke by a slanting crack.',
      },
    },
    {
      value: 'honeycomb',
      label: 'Through honeycomb over an inch [25 mm]',
      means: {
        id: 'beam.honeycomb',
        severity: 'departure',
        message: 'It broke where the concrete was not closed.',
        action: 'Photograph the face. It is left out only by a reviewer, on that evidence.',
        remark: 'Broke through honeycomb.',
      },
    },
    {
      value: 'inclusion',
      label: 'At a sensor, a wire or a foreign body',
      means: {
        id: 'beam.inclusion',
        severity: 'departure',
        message: 'The crack began at something that is no concrete.',
        action: 'Photograph it. It is left out only by a reviewer, on that evidence.',
        remark: 'Broke at an inclusion.',
      },
    },
  ],
  example: 'clean',
} as const;

export const STONES = {
  label: 'Stones broken through',
  dimension: 'percent',
  unit: { US: 'percent', SI: 'percent' },
  step: { US: '5', SI: '5' },
  possible: { US: ['0', '100'], SI: ['0', '100'] },
  aside: true,
  help: 'Of those in the face, by eye: pulled out they speak of a weak bond.',
  example: '70',
} as const;

export const FIBRE_RATE = {
  label: 'Rate in the extreme fibre',
  dimension: 'stressRate',
  unit: { US: 'psi/min', SI: 'MPa/min' },
  step: { US: '1', SI: '0.01' },
  possible: { US: ['0', '20000'], SI: ['0', '140'] },
  aside: true,
  example: { US: '151', SI: '1.05' },
} as const;
