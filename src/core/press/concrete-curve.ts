/** The stress–strain curve of one concrete in compression; stress in MPa, strain as a plain ratio. */
export interface ConcreteCurve {
  /** Strength, MPa. */
  readonly strength: number;
  /** Initial modulus, MPa. */
  readonly modulus: number;
  readonly n: number;
  /** Strain at the peak. */
  readonly peakStrain: number;
}

/**
 * The usual rational curve for normal- and high-strength concrete.
 * @param strength MPa, above zero
 * Source: handbook relation (from memory): Ec = 3320 √fc + 6900 MPa, n = 0.8 + fc / 17, ε0 = fc / Ec · n / (n − 1).
 */
export function concreteCurve(strength: number): ConcreteCurve {
  const modulus = 3320 * Math.sqrt(strength) + 6900;
  const n = 0.8 + strength / 17;
  return { strength, modulus, n, peakStrain: (strength / modulus) * (n / (n - 1)) };
}

/** Stress at a strain on the way out, MPa: σ = fc · n·x / (n − 1 + x^(n·k)), x = ε / ε0. */
export function stressAt(curve: ConcreteCurve, strain: number): number {
  if (strain <= 0) return 0;
  const { strength, n, peakStrain } = curve;
  const x = strain / peakStrain;
  const k = x <= 1 ? 1 : Math.max(1, 0.67 + strength / 62);
  return (strength * n * x) / (n - 1 + x ** (n * k));
}

/** Strain on the rising curve where it carries a share of the strength. */
export function strainAt(curve: ConcreteCurve, share: number): number {
  let [low, high] = [0, curve.peakStrain];
  for (let turn = 0; turn < 60; turn += 1) {
    const middle = (low + high) / 2;
    if (stressAt(curve, middle) < share * curve.strength) low = middle;
    else high = middle;
  }
  return low;
}

/** Slope of the rising curve where it carries a share of the strength, MPa. */
export function tangentAt(curve: ConcreteCurve, share: number): number {
  const low = strainAt(curve, share);
  const step = curve.peakStrain * 1e-6;
  return (stressAt(curve, low + step) - stressAt(curve, low - step)) / (2 * step);
}
