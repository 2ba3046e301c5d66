import { Chance } from '../statistics';
import type { PlacedBeam } from './driven-frame';

/** What a beam does after its first crack: breaks through, lets go by degrees, takes up more; or it was cracked before. */
export type Behaviour = 'snaps' | 'softens' | 'hardens' | 'cracked';

/** Share of its end, and share of the force at its first crack. */
type Corner = readonly [along: number, share: number];

/** Deflection of a beam at its first crack, mm, about that of a 6 in beam; how fast a crack opens behind it, mm. */
const CRACKS_AT = 0.04;
const OPENS = 0.012;
const AFTER: Readonly<Record<Behaviour, readonly Corner[]>> = {
  snaps: [
    [0, 0.02],
    [1, 0.005],
  ],
  softens: [
    [0, 0.86],
    [0.12, 0.8],
    [0.45, 0.6],
    [1, 0.4],
  ],
  // What fibres across a crack carry, from nought on.
  cracked: [
    [0.2, 0.38],
    [0.4, 0.42],
    [1, 0.31],
  ],
  hardens: [
    [0, 0.66],
    [0.3, 1.15],
    [0.78, 1.5],
    [0.84, 0.75],
    [1, 0.65],
  ],
};
const SCATTER = 0.05;
/** What stands beside the beam in a frame that is driven by its crosshead, kN/mm, its play and its gap, mm. */
const SOFT = 62;
const TOE = 0.12;
const GAP = 6;
const NO_END = 3;

/** What can be practised on the simulated frame. */
export interface FrameCase {
  readonly id: string;
  readonly title: string;
  /** Times the force that is expected. */
  readonly force: number;
  readonly behaves?: Behaviour;
  /** The seat slips at this share of the force at the first crack. */
  readonly slips?: number;
  /** Its play, times the usual one. */
  readonly play?: number;
}

export const FRAME_CASES: readonly FrameCase[] = [
  { id: 'normal', title: 'A beam as expected', force: 1 },
  { id: 'weak', title: 'Cracks at two thirds of what is expected', force: 0.66 },
  { id: 'slip', title: 'Its seat slips on the way up', force: 1, slips: 0.45 },
  { id: 'loose', title: 'Much play before it takes any force', force: 1, play: 6 },
  { id: 'sudden', title: 'Breaks through at once, whatever is in it', force: 1, behaves: 'snaps' },
  { id: 'holds', title: 'Carries more after its crack than before', force: 1, behaves: 'hardens' },
];

/**
 * A beam as the simulated frame takes it: always the same one for the same seed.
 * @param force at its first crack, kN, as it is expected
 * @param own true where displacement is read on the beam itself, by a yoke or over its notch
 * @param end displacement it is taken to, mm; null: until it is broken through
 * Source: our own model; the shares are our choice.
 */
export function placedBeam(
  of: {
    readonly force: number;
    readonly behaves: Behaviour;
    readonly own: boolean;
    readonly end: number | null;
  },
  chosen: FrameCase,
  seed: number,
): PlacedBeam {
  const chance = Chance.settled(seed);
  const cracks = of.force * chosen.force * chance.normal(1, SCATTER);
  // A little is left behind its end: a record that goes as far as is asked has what is asked.
  const end = (of.end ?? NO_END) * 1.15;
  const behaves = chosen.behaves ?? of.behaves;
  const after = AFTER[behaves].map(
    ([along, share]) =>
      [
        CRACKS_AT + OPENS + along * (end - CRACKS_AT - OPENS),
        cracks * share * chance.normal(1, 0.02),
      ] as const,
  );
  return {
    law: behaves === 'cracked' ? [[0, 0], ...after] : [[0, 0], [CRACKS_AT, cracks], ...after],
    ...(of.own ? {} : { frame: SOFT }),
    toe: (of.own ? 0 : TOE) * (chosen.play ?? 1),
    gap: GAP,
    ...(chosen.slips ? { slip: { at: chosen.slips * cracks, by: of.own ? 0.002 : 0.02 } } : {}),
  };
}
