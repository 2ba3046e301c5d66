import type { Step } from '../contract';
import { OUT_OF_MOIST_CLOCK } from '../press';

/** The ordered steps of a cylinder in compression, in our own words. Order of work: ASTM C39/C39M (from memory). */
export const STEPS: readonly Step[] = [
  {
    id: 'identify',
    title: 'Identify',
    phase: 'before',
    instruction: 'Read the label aloud or scan it. Check that its window is open.',
    fields: ['machine', 'calliper'],
    clock: { title: 'Age window', from: 'age' },
  },
  {
    id: 'fetch',
    title: 'Fetch and keep wet',
    phase: 'before',
    instruction:
      'Take it from moist storage, wrap it wet. Field-cured specimens stay as their curing left them.',
    fields: ['outOfMoistAt', 'surface'],
    caution: 'Lift with both hands and the knees; steel toes. Lime water is alkaline: gloves.',
    clock: OUT_OF_MOIST_CLOCK,
  },
  {
    id: 'look',
    title: 'Look it over',
    phase: 'before',
    instruction: 'Honeycomb, cracks, chipped edges, bulges. Decide now, not after the number is known.',
    fields: ['defects'],
  },
  {
    id: 'square',
    title: 'Square',
    phase: 'before',
    instruction: 'Stand it against a square on both ends and read the largest gap over the diameter.',
    fields: ['outOfSquareGap'],
  },
  {
    id: 'diameters',
    title: 'Two diameters',
    phase: 'before',
    instruction: 'At mid-height, at right angles. The two may not differ by more than the limit.',
    fields: ['diameter1', 'diameter2', 'diameterBy'],
  },
  {
    id: 'length',
    title: 'Length and mass',
    phase: 'before',
    instruction: 'Length when it is not about twice the diameter; both when density is asked.',
    fields: ['length', 'mass', 'massInWater'],
  },
  {
    id: 'ends',
    title: 'Ends',
    phase: 'before',
    instruction:
      'Planeness by straightedge and feeler, caps by tapping. Look both pads over before every test: splits, hard spots, rubber pressed out of the retainer.',
    fields: ['ends', 'pads', 'padsLooked', 'endsPlane', 'depression'],
  },
  {
    id: 'spacers',
    title: 'Spacers',
    phase: 'before',
    instruction:
      'Fit the stack the picture shows, largest lowest, pins in. It must be flush everywhere before a specimen goes in.',
    fields: ['spacers', 'flush', 'gap'],
    caution: 'Pump off while hands are inside. Lift steel spacers with both hands; mind toes and fingers.',
  },
  {
    id: 'zero',
    title: 'Place, zero, guard',
    phase: 'before',
    instruction:
      'Wipe the bearing faces, centre the specimen, set zero with the ram floating, tilt the seat parallel.',
    fields: ['zeroed', 'guarded', 'offset'],
    caution:
      'Keep hands out of the opening whenever the pump can move the platen. Guard shut and eye protection on before load: high-strength specimens burst. Follow the machine’s instructions and local rules first.',
  },
  {
    id: 'load',
    title: 'Load to failure',
    phase: 'test',
    instruction:
      'Without shock; in the second half hold the rate and near the top leave the valve alone. Go on until the load falls steadily and the break is plain.',
    fields: ['aligned', 'maximumLoad', 'testedAt', 'loadingRate', 'zeroAfter', 'operator'],
    caution: 'A standing broken specimen still holds energy: release the load before reaching in.',
  },
  {
    id: 'fracture',
    title: 'Fracture',
    phase: 'after',
    instruction:
      'Brush loose pieces off, look at both ends and the side, name the type before anything moves.',
    fields: ['fracture', 'fractureWords', 'remarks'],
    caution: 'Sweep damp: crushed concrete carries silica dust.',
  },
];
