import { fitLine } from '../statistics';
import { GAS, KELVIN } from '../temperature';
import { fitCurve } from './curve';

/** How fast mortar cubes gained their strength at a temperature. */
export interface Speed {
  readonly celsius: number;
  /** Rate constant, 1/day. */
  readonly k: number;
}

/** What cubes cured at several temperatures say of a cement. */
export interface CementSpeed {
  /** °C: where the rate would be nought by a straight line. */
  readonly datum: number;
  /** 1/(day·°C) */
  readonly slope: number;
  /** K */
  readonly q: number;
  /** J/mol */
  readonly activation: number;
  /** Share of the spread that each line explains. */
  readonly datumFit: number;
  readonly activationFit: number;
}

/**
 * The rate constant of a hyperbolic curve of strength over age at one temperature.
 * @param breaks ages in days
 * @returns undefined for fewer than five ages
 */
export function rateConstant(
  breaks: readonly { readonly days: number; readonly strength: number }[],
): number | undefined {
  const curve = fitCurve(
    'hyperbolic',
    breaks.map(({ days, strength }) => ({ index: days, strength })),
  );
  return curve?.parameters[1];
}

/**
 * Datum temperature and activation energy from rates at three temperatures or more.
 * @returns undefined for fewer than three temperatures, or rates that do not rise with them
 * Source: ASTM C1074, appendix (from memory).
 */
export function cementSpeed(speeds: readonly Speed[]): CementSpeed | undefined {
  if (new Set(speeds.map(({ celsius }) => celsius)).size < 3 || speeds.some(({ k }) => !(k > 0)))
    return undefined;
  const straight = fitLine(speeds.map(({ celsius, k }) => ({ x: celsius, y: k })));
  const inverse = fitLine(speeds.map(({ celsius, k }) => ({ x: 1 / (celsius + KELVIN), y: Math.log(k) })));
  if (!straight || !inverse || straight.slope <= 0 || inverse.slope >= 0) return undefined;
  return {
    datum: -straight.intercept / straight.slope,
    slope: straight.slope,
    q: -inverse.slope,
    activation: -inverse.slope * GAS,
    datumFit: straight.r2,
    activationFit: inverse.r2,
  };
}
