import { convert, type Exact, exact, roundedText, type System } from '../../quantity';

/** Strength classes of EN 206, cylinder over cube, MPa. Source: EN 206 (from memory). */
export const CLASS_PAIRS: readonly (readonly [cylinder: number, cube: number])[] = [
  [8, 10],
  [12, 15],
  [16, 20],
  [20, 25],
  [25, 30],
  [30, 37],
  [35, 45],
  [40, 50],
  [45, 55],
  [50, 60],
  [55, 67],
  [60, 75],
  [70, 85],
  [80, 95],
  [90, 105],
  [100, 115],
];

/**
 * Cylinder strength that goes with a cube strength, by a handbook formula: guidance, never for acceptance.
 * @param cube psi or MPa, above zero
 * @returns psi or MPa
 * Source: handbook formula (from memory): fcyl = (0.76 + 0.2 log10(fcu / 2840 psi)) · fcu; 19.6 MPa in SI.
 */
export function cylinderFromCube(cube: Exact, system: System): Exact {
  const against = system === 'US' ? '2840' : '19.6';
  return exact('0.76')
    .plus(exact('0.2').times(cube.div(against).log(10)))
    .times(cube);
}

/** The guidance in words: formula, and the classes that bracket it; undefined below the lowest class. */
export function cylinderGuidance(strength: Exact, system: System): string | undefined {
  const cube = convert(strength, system === 'US' ? 'psi' : 'MPa', 'MPa');
  const above = CLASS_PAIRS.findIndex(([, of]) => cube.lessThan(of));
  const [low, high] = [CLASS_PAIRS[(above < 0 ? CLASS_PAIRS.length : above) - 1], CLASS_PAIRS[above]];
  if (!low) return undefined;
  const value = cylinderFromCube(strength, system);
  const text = system === 'US' ? `${roundedText(value, '10')} psi` : `${roundedText(value, '0.1')} MPa`;
  const name = ([cylinder, of]: readonly [number, number]): string => `C${cylinder}/${of}`;
  const classes = high ? `between ${name(low)} and ${name(high)}` : `above ${name(low)}`;
  return `As a cylinder about ${text}; the cube lies ${classes}. Guidance, never for acceptance.`;
}
