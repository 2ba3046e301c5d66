import type { Limits } from '../limits';
import { type Exact, exact, type System } from '../quantity';

/** Cubic centimetres of a cubic inch, and of a cubic millimetre. */
const CM3: Readonly<Record<System, string>> = { US: '16.387064', SI: '0.001' };

/**
 * Gypsum and water for some caps.
 * @param about length and width of the face, in or mm; how many caps; water to gypsum by mass
 * @returns grams of both: gypsum = V / (1/ρ + w), water = w times gypsum
 * Source: arithmetic of volumes; thickness by ASTM C1552 (from memory), spread and waste our choice.
 */
export function gypsumFor(
  { width, length, caps, ratio }: { width: Exact; length: Exact; caps: number; ratio: Exact },
  system: System,
  limits: Limits,
): { gypsum: Exact; water: Exact } {
  const beyond = limits.number('caps.spread', system).times(2);
  const volume = width
    .plus(beyond)
    .times(length.plus(beyond))
    .times(limits.of('caps.unit-thick', system).high ?? 0)
    .times(caps);
  return gypsumOfVolume(volume.times(CM3[system]), ratio, limits);
}

/** The same of a volume of paste. @param volume cm³, before waste */
export function gypsumOfVolume(volume: Exact, ratio: Exact, limits: Limits): { gypsum: Exact; water: Exact } {
  const paste = volume.times(limits.number('caps.waste', 'US'));
  const gypsum = paste.div(exact(1).div(limits.number('caps.gypsum-density', 'US')).plus(ratio));
  return { gypsum, water: gypsum.times(ratio) };
}

/** How much water a mass of gypsum takes, in words. @param gypsum g */
export function waterRatio(gypsum: Exact, system: System, limits: Limits): string {
  const { low, high } = limits.of('caps.gypsum-ratio', system);
  const grams = (ratio: Exact | undefined): string => gypsum.times(ratio ?? 0).toFixed(0);
  return `${gypsum.toFixed(0)} g takes ${grams(low)} to ${grams(high)} g`;
}

/**
 * Mass of molten sulfur compound for one cap of a brick in its mould.
 * @param face width and length of the brick’s face, in or mm
 * @returns lb or kg
 * Source: arithmetic; depth, room of the mould and density are rows of the register.
 */
export function sulfurPerCap(face: { width: Exact; length: Exact }, system: System, limits: Limits): Exact {
  const room = limits.number('caps.mould-room', system);
  const volume = face.width
    .plus(room)
    .times(face.length.plus(room))
    .times(limits.number('caps.pour-depth', system));
  return volume.times(limits.number('caps.sulfur-density', system)).div(system === 'US' ? 1728 : 1e9);
}
