const R = 8.314462618;
const KELVIN = 273.15;

/**
 * Apparent activation energy from the same cement at two temperatures.
 * @param first, second °C and hours of the same point of both curves
 * @returns J/mol; undefined where both are at one temperature
 * Source: Arrhenius' law.
 */
export function apparentEnergy(
  first: { readonly celsius: number; readonly hours: number },
  second: { readonly celsius: number; readonly hours: number },
): number | undefined {
  const turned = 1 / (first.celsius + KELVIN) - 1 / (second.celsius + KELVIN);
  if (Math.abs(turned) < 1e-9) return undefined;
  return (R * Math.log(first.hours / second.hours)) / turned;
}

/** Compounds of a clinker and what is ground with it, mass fractions. */
export interface Composition {
  readonly c3s: number;
  readonly c2s: number;
  readonly c3a: number;
  readonly c4af: number;
  readonly sulfate: number;
  readonly magnesia?: number;
}

/**
 * Heat of a cement once all of it has reacted, J/g.
 * Source: usual coefficients of hydration models (from memory).
 */
function ultimateHeat(of: Composition): number {
  return (
    500 * of.c3s + 260 * of.c2s + 866 * of.c3a + 420 * of.c4af + 624 * of.sulfate + 850 * (of.magnesia ?? 0)
  );
}

/** What a regression over portland cements says of one: a curve to hold a measured one against, no result. */
export interface ModelCurve {
  /** h, 1 and 1 of Q(t) = Hu·αu·exp(−(τ/t)^β). */
  readonly tau: number;
  readonly beta: number;
  readonly ultimate: number;
  readonly heat: number;
  /** Apparent activation energy, J/mol. */
  readonly energy: number;
  /** J/g after so many hours at 23 °C. */
  at(hours: number): number;
}

/**
 * The curve that a published regression gives a portland cement.
 * @param fineness by air permeability, m²/kg @param water to cement by mass
 * Source: three-parameter model of hydration (from memory).
 */
export function modelCurve(of: Composition, fineness: number, water: number): ModelCurve {
  const { c3s, c3a, c4af, sulfate } = of;
  const tau = 66.78 * c3a ** -0.154 * c3s ** -0.401 * fineness ** -0.804 * sulfate ** -0.758;
  const beta = 181.4 * c3a ** 0.146 * c3s ** 0.227 * fineness ** -0.535 * sulfate ** 0.558;
  const ultimate = (1.031 * water) / (0.194 + water);
  const heat = ultimateHeat(of);
  return {
    tau,
    beta,
    ultimate,
    heat,
    energy: 22_100 * c3a ** 0.3 * c4af ** 0.25 * fineness ** 0.35,
    at: (hours) => (hours <= 0 ? 0 : heat * ultimate * Math.exp(-((tau / hours) ** beta))),
  };
}
