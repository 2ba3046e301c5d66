/** Humidity over saturated salts at 20, 25 and 30 °C, percent. Source: fixed points of 1977 (from memory), ± 0.5. */
const FIXED = {
  nacl: [75.5, 75.3, 75.1],
  kcl: [85.1, 84.3, 83.6],
  mgcl2: [33.1, 32.8, 32.4],
  k2so4: [97.6, 97.3, 97.0],
} as const;

/**
 * Humidity over a saturated salt, percent, straight between the fixed points and beyond them.
 * @param celsius of the whole jar
 */
export function humidityOver(salt: keyof typeof FIXED, celsius: number): number {
  const [cool, middle, warm] = FIXED[salt];
  const [from, at, to] = celsius < 25 ? [20, cool, middle] : [25, middle, warm];
  return at + ((to - at) * (celsius - from)) / 5;
}
