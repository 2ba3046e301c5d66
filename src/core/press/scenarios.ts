import { Chance } from '../statistics';
import type { Mishaps } from './simulated-press';

/** What can be practised on the simulated press: each case says beforehand what will happen, or nothing. */
export interface PressCase {
  readonly id: string;
  readonly title: string;
  /** Times the strength that is expected. */
  readonly strength: number;
  /** What its preparation or placing was like, whatever the run sheet says. */
  readonly preparation?: Partial<Preparation>;
  /** Share of the strength at which the ram comes to the end of its stroke: the spacers are too low. */
  readonly strokeEnds?: number;
  /** @param capacity load the specimen would take, kN */
  mishaps(capacity: number): Mishaps;
}

const none = (): Mishaps => ({});
const made = (
  id: string,
  title: string,
  mishaps: (capacity: number) => Mishaps = none,
  strength = 1,
  more: Pick<PressCase, 'preparation' | 'strokeEnds'> = {},
): PressCase => ({ id, title, strength, mishaps, ...more });

export const PRESS_CASES: readonly PressCase[] = [
  made('normal', 'A specimen as expected'),
  made('weak', 'Much weaker than expected, breaks slowly', none, 0.55),
  made('strong', 'Much stronger than expected, breaks at once', none, 1.7),
  made('corner', 'A corner breaks before the top, and the load recovers', () => ({
    corner: { at: 0.82, left: 0.93 },
  })),
  made('spike', 'One reading jumps', () => ({ spike: { at: 0.7, by: 0.25 } })),
  made('freeze', 'The feed stands still for three seconds', () => ({ freeze: { at: 0.65, seconds: 3 } })),
  made('stamps', 'Time stamps come twice', () => ({ repeatedStamps: 0.6 })),
  made('clip', 'The indicator ends below the peak', (capacity) => ({ clip: Math.round(capacity * 0.85) })),
  made('unit', 'Somebody switches the indicator to the other unit', () => ({ unitSwitch: 0.6 })),
  made('zero', 'The indicator does not stand at zero', (capacity) => ({ zero: capacity * 0.01 })),
  made('gain', 'The machine reads high by 1.5 %', () => ({ gain: 0.015 })),
  made('left', 'The peak was not reset', (capacity) => ({ peakLeft: Math.round(capacity * 1.2) })),
  made('door', 'The door comes open under load', () => ({ door: 0.5 })),
  made('slow-feed', 'The indicator sends one reading a second', () => ({ sends: 1 })),
  made('drift', 'The indicator creeps', (capacity) => ({ drift: capacity * 0.005 })),
  made('area', 'The indicator is still set to a larger specimen', () => ({ areaSet: 2.25 })),
  made('centre', 'It stands off the middle of the block', none, 1, { preparation: { offset: 0.04 } }),
  made('seat', 'The spherical seat is stuck', none, 1, { preparation: { angle: 1.5 } }),
  made('pads', 'The pads are worn', none, 1, { preparation: { wornPads: true } }),
  made('plane', 'An end is not plane', none, 1, { preparation: { highSpot: 0.1 } }),
  made('thick', 'A cap is twice as thick as it should be', none, 1, { preparation: { thickCap: 3.2 } }),
  made('stroke', 'The spacers are too low: the ram comes to its end', none, 1, { strokeEnds: 0.7 }),
];

/** What the preparation of a specimen was like; it changes what the simulated one carries, never a real result. */
export interface Preparation {
  readonly dry: boolean;
  /** Angle of the ends, degrees out of square. */
  readonly angle: number;
  readonly wornPads: boolean;
  /** Off the middle of the block, of the width. */
  readonly offset?: number;
  /** How far an end is out of plane beyond what is permitted, mm. */
  readonly highSpot?: number;
  /** How much thicker than 1/8 in a cap is, mm; it costs strength where the concrete is stronger than it. */
  readonly thickCap?: number;
}

/** 7,000 psi and 1/16 in: above the one every such bit of cap costs a hundredth. */
const CAP_COUNTS_FROM = 48.3;
const CAP_STEP = 1.59;

const VARIATION = { large: 0.029, small: 0.032 };

/**
 * Strength of one simulated specimen: what is expected, its fellows' scatter, and what its preparation does to it.
 * @param seed of the specimen, so that it always has the same strength
 * Source: scatter of cylinders of one sample, ASTM C39/C39M (from memory); the effects are our choice, for practice.
 */
export function trueStrength(
  expected: number,
  seed: number,
  large: boolean,
  { dry, angle, wornPads, offset = 0, highSpot = 0, thickCap = 0 }: Preparation,
): number {
  const scatter = Chance.settled(seed).normal(1, large ? VARIATION.large : VARIATION.small);
  const effects =
    (dry ? 1.08 : 1) *
    (1 - 0.015 * Math.max(0, (angle - 0.5) / 0.5)) *
    (wornPads ? 0.97 : 1) *
    (1 - 2 * offset) *
    (1 - 0.3 * highSpot) *
    (expected > CAP_COUNTS_FROM ? 1 - (0.01 * thickCap) / CAP_STEP : 1);
  return expected * scatter * effects;
}

const WEIGHTS: readonly (readonly [type: string, sound: number, skewed: number])[] = [
  ['1', 45, 10],
  ['2', 20, 8],
  ['3', 15, 7],
  ['4', 8, 25],
  ['5', 8, 35],
  ['6', 4, 15],
];

/** The fracture that a simulated specimen shows. Source: our choice of weights. */
export function simulatedFracture(seed: number, { angle, wornPads, offset = 0 }: Preparation): string {
  const skewed = angle > 0.5 || offset > 0.01;
  const weights = WEIGHTS.map(([type, sound, other]) => {
    const weight = skewed ? other : sound;
    return [type, wornPads && (type === '3' || type === '5') ? 2 * weight : weight] as const;
  });
  const sum = weights.reduce((total, [, weight]) => total + weight, 0);
  let left = Chance.settled(seed + 1).between(0, sum);
  for (const [type, weight] of weights) {
    left -= weight;
    if (left < 0) return type;
  }
  return '1';
}

/** A seed out of a label: the same label, the same specimen. */
export function seedOf(label: string): number {
  let seed = 7;
  for (const letter of label) seed = (seed * 31 + (letter.codePointAt(0) ?? 0)) % 2_147_483_647;
  return seed;
}
