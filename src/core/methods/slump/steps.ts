import type { Step } from '../contract';

/** The steps of a slump test, in our own words. Order of work: ASTM C143/C143M (from memory). */
export const STEPS: readonly Step[] = [
  {
    id: 'ready',
    title: 'Mould ready',
    phase: 'before',
    instruction:
      'Dampen mould and base: flat, level, non-absorbent. Stand on both foot pieces and stay on them.',
    fields: ['mould'],
    caution: 'Wet concrete burns skin and eyes: gloves, sleeves, eye protection; wash it off at once.',
  },
  {
    id: 'fill',
    title: 'Fill and rod',
    phase: 'before',
    instruction:
      'Three layers of equal volume, 2 5/8 in [70 mm] and 6 1/8 in [160 mm] deep, 25 strokes each. First layer: rod slightly slanted, half the strokes near the edge. Never a piece of rebar. (Older four-layer school: four equal heights.)',
    fields: ['fillStartedAt', 'startDelay', 'wetSieved', 'strokes', 'layers'],
  },
  {
    id: 'lift',
    title: 'Strike off and lift',
    phase: 'test',
    instruction: 'Strike off with a rolling rod, clear the foot, raise straight up without twisting.',
    fields: ['struckAt', 'liftStartedAt', 'liftEndedAt', 'liftTime', 'totalTime'],
    caution: 'Kneel to lift; keep fingers from under the rim.',
  },
  {
    id: 'read',
    title: 'Shape and slump',
    phase: 'test',
    instruction:
      'At once: look at the shape, then measure down to the displaced centre (EN and IS: to the highest point).',
    fields: ['shape', 'shearedBefore', 'slump', 'readAt', 'remarks'],
  },
];
