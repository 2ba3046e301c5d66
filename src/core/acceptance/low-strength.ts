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

/** The order of work after a low flexural test. Source: common practice, no source. */
export const LOW_FLEXURE_STEPS: readonly FollowUpStep[] = [
  {
    id: 'beam-recheck',
    title: 'Check the arithmetic and the readings',
    detail:
      'Load, not the stress the machine shows; span; width and depth as tested; place of the break and its formula.',
    who: 'laboratory',
  },
  {
    id: 'beam-water',
    title: 'Was it wet to the end?',
    detail:
      'Hours in lime water, minutes out of it, which beam was broken last. A dry skin costs 10 to 30 %.',
    who: 'laboratory',
  },
  {
    id: 'beam-fixture',
    title: 'Fixture, rate and gaps',
    detail: 'Rollers free, all breaks on one side, rate in the extreme fibre, leather under a wide gap.',
    who: 'laboratory',
  },
  {
    id: 'beam-pieces',
    title: 'Keep and photograph the faces',
    detail: 'Voids, honeycomb, stones broken or pulled out, segregation, a sensor in the crack.',
    who: 'laboratory',
  },
  {
    id: 'beam-handling',
    title: 'Making, first day, transport',
    detail:
      'How it was consolidated, curing box on the first day, a beam that was dropped or demoulded early.',
    who: 'laboratory',
  },
  {
    id: 'beam-companions',
    title: 'Look at its cylinders and neighbours',
    detail:
      'Cylinders of the sample, beams before and after. They explain; they never stand in for the beams.',
    who: 'reviewer',
  },
  {
    id: 'beam-engineer',
    title: 'The engineer decides',
    detail: 'With the working; without interpretation.',
    who: 'engineer',
  },
];
