import { rateFactor } from '../cement/setting';

/** The cement of a simulated calorimeter: what it is ground and mixed of, and at what temperature it reacts. */
export interface ModelCement {
  readonly celsius: number;
  /** Sulfate of the cement as SO₃, percent. */
  readonly sulfate: number;
  /** Fineness by air permeability, m²/kg. */
  readonly fineness: number;
  /** Mass fraction of a supplementary material in the binder. */
  readonly other: number;
  /** Hours that a retarder holds it back. */
  readonly lag: number;
  /** Heat of the aluminate once the sulfate is used up, J/g. */
  readonly aluminate: number;
  /** Heat of the supplementary material, J/g. */
  readonly otherHeat: number;
}

export const MODEL_CEMENT: ModelCement = {
  celsius: 23,
  sulfate: 3,
  fineness: 380,
  other: 0,
  lag: 0,
  aluminate: 10,
  otherHeat: 0,
};

/** Apparent activation energy that the model and the rule of thumb beside it use, J/mol. Source: our choice. */
export const MODEL_ENERGY = 40_000;

const stretched = (u: number, heat: number, tau: number, beta: number): number =>
  u <= 0 ? 0 : (heat / 3.6) * (beta / u) * (tau / u) ** beta * Math.exp(-((tau / u) ** beta));

const bell = (u: number, heat: number, mode: number, sigma: number): number =>
  u <= 0
    ? 0
    : (heat / 3.6 / (u * sigma * Math.sqrt(2 * Math.PI))) *
      Math.exp(-((Math.log(u) - Math.log(mode) - sigma ** 2) ** 2) / (2 * sigma ** 2));

/**
 * Power of a hydrating cement. A teaching model: silicate and slow reaction as stretched exponentials, the aluminate as a bell
 * that comes the later the more sulfate there is, and that takes from the silicate when it comes before it.
 * @param cement what reacts @param hours since water met cement
 * @returns mW to a gram of binder
 * Source: our choice; figures set so that an ordinary cement has its maximum near 8 h (common practice, no source).
 */
export function modelPower(cement: ModelCement, hours: number): number {
  const { sulfate, fineness, other, lag, aluminate, otherHeat, celsius } = cement;
  const faster = rateFactor(celsius, MODEL_ENERGY);
  const x = faster * hours;
  const y = faster * Math.max(0, hours - lag);
  const tau = 11 * (fineness / 380) ** -0.8;
  const peak = tau * (1.6 / 2.6) ** (1 / 1.6);
  const aluminateAt = Math.max(1.5, 13 + 6 * (sulfate - 3));
  const spoilt = 1 / (1 + Math.exp((aluminateAt - peak) / 0.7));
  const filler = 1 + 0.15 * other;
  const left = 1 - other;
  return (
    faster *
    (stretched(y, 190 * left * filler * (1 - 0.25 * spoilt), (tau * (1 + 0.35 * spoilt)) / filler, 1.6) +
      bell(y, aluminate * left, aluminateAt, 0.12) +
      stretched(y, 140 * left, 60, 0.9) +
      ((10 * left) / 3.6 / 0.12) * Math.exp(-x / 0.12) +
      0.7 * left * Math.exp(-x / 4) +
      other * stretched(y, otherHeat, 100, 1))
  );
}
