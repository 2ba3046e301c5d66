import type { CylinderCompressionInput } from './input';

export type FractureType = NonNullable<CylinderCompressionInput['fracture']>;

/** Where an answer leads: to the next question, to a type, or back to something that is done first. */
export type FractureStep =
  | { readonly ask: string }
  | { readonly type: FractureType }
  | { readonly first: string };

export interface FractureQuestion {
  readonly id: string;
  readonly question: string;
  readonly answers: readonly { readonly label: string; readonly leads: FractureStep }[];
}

/**
 * The questions that name a fracture, one at a time, in the order they are asked.
 * Source: the types are those of ASTM C39/C39M (from memory); the order of the questions is our choice.
 */
export const FRACTURE_PATH: readonly FractureQuestion[] = [
  {
    id: 'fallen',
    question: 'Has the load fallen below 95 % of the peak and stayed there?',
    answers: [
      { label: 'Yes', leads: { ask: 'seen' } },
      { label: 'No', leads: { first: 'It is not broken yet: keep loading until the load falls steadily.' } },
    ],
  },
  {
    id: 'seen',
    question: 'Can both ends and the side be seen?',
    answers: [
      { label: 'Yes', leads: { ask: 'side' } },
      {
        label: 'No',
        leads: {
          first: 'Brush the loose pieces off, not the cones, and look again. Pump off, load at zero first.',
        },
      },
    ],
  },
  {
    id: 'side',
    question: 'Is the break only at a corner or the side of one end, the rest standing?',
    answers: [
      { label: 'Yes', leads: { ask: 'pointed' } },
      { label: 'No', leads: { ask: 'cones' } },
    ],
  },
  {
    id: 'pointed',
    question: 'Is that end left pointed?',
    answers: [
      { label: 'No', leads: { type: '5' } },
      { label: 'Yes', leads: { type: '6' } },
    ],
  },
  {
    id: 'cones',
    question: 'How many ends carry a well-formed cone?',
    answers: [
      { label: 'Both, cracks through the ends under 1 in [25 mm]', leads: { type: '1' } },
      { label: 'One, vertical cracks run out through the other', leads: { type: '2' } },
      { label: 'None', leads: { ask: 'columns' } },
    ],
  },
  {
    id: 'columns',
    question: 'Do vertical cracks run through both ends, columns standing?',
    answers: [
      { label: 'Yes', leads: { type: '3' } },
      { label: 'No', leads: { ask: 'diagonal' } },
    ],
  },
  {
    id: 'diagonal',
    question: 'One diagonal crack, none through the ends? Tap it with a hammer.',
    answers: [
      { label: 'It parts along the diagonal', leads: { type: '4' } },
      { label: 'A cone comes free at each end', leads: { type: '1' } },
      { label: 'Neither', leads: { type: 'other' } },
    ],
  },
];

/** What is done about a low result, in this order, before the pieces are thrown away; common practice, no source. */
export const LOW_BREAK_ADVICE: readonly string[] = [
  'The arithmetic: digits, unit, area of the right size, a whole numbered mark missed on the dial.',
  'The machine: range, zero, seat, faces, spacers flush, its verification.',
  'The ends: planeness, squareness, caps or pads, how old the caps were.',
  'The curing: temperatures of the first days, moist until the test.',
  'The sample: slump, air, water added, time of discharge, how it was moulded; density of the pieces.',
];
