/** One thing to do when a strength test is below what a single test may be. */
export interface FollowUpStep {
  readonly id: string;
  readonly title: string;
  readonly detail: string;
  readonly who: 'laboratory' | 'reviewer' | 'engineer';
}

/**
 * The order of work after a low test.
 * Source: ACI 318 26.12.6 for the engineer's part (from memory); the laboratory's part is common practice, no source.
 */
export const LOW_STRENGTH_STEPS: readonly FollowUpStep[] = [
  {
    id: 'recheck',
    title: 'Check the arithmetic and the readings',
    detail: 'Recompute; load digits, diameters, area, age; machine verification and zero.',
    who: 'laboratory',
  },
  {
    id: 'identity',
    title: 'Check identity',
    detail: 'Label against mould mark and sample record; density against its companions.',
    who: 'laboratory',
  },
  {
    id: 'pieces',
    title: 'Keep and photograph the pieces',
    detail:
      'Fracture, ends, caps or pads. Nothing is thrown away until the reviewer releases it, seven days at least.',
    who: 'laboratory',
  },
  {
    id: 'tell',
    title: 'Tell the engineer the same day',
    detail: 'With the working; without interpretation.',
    who: 'reviewer',
  },
  {
    id: 'records',
    title: 'Gather the records',
    detail: 'Ticket, water added, time to discharge, slump, temperature, initial curing, pick-up, transport.',
    who: 'laboratory',
  },
  {
    id: 'companions',
    title: 'Look at the neighbours',
    detail:
      'The 7-day result of the same sample, samples before and after, other laboratories’ split samples.',
    who: 'reviewer',
  },
  {
    id: 'hold',
    title: 'Held cylinders',
    detail: 'Broken only on the engineer’s instruction, reported apart with their age, never averaged in.',
    who: 'engineer',
  },
  {
    id: 'engineer',
    title: 'The engineer decides',
    detail: 'Whether load capacity is in doubt, and whether cores are taken: three for each low test.',
    who: 'engineer',
  },
];
