/** Oxides of a cement as its sheet gives them, percent by mass. */
export interface Oxides {
  readonly cao: number;
  readonly sio2: number;
  readonly al2o3: number;
  readonly fe2o3: number;
  readonly so3: number;
}

export interface Compounds {
  readonly c3s: number;
  readonly c2s: number;
  readonly c3a: number;
  readonly c4af: number;
}

/** Share of alumina to iron below which a clinker has no tricalcium aluminate. */
const LEAN = 0.64;

/**
 * Potential compounds of a portland cement from its oxides, percent; none is less than nought.
 * Source: Bogue's equations as ASTM C150 has them (from memory); of a cement without limestone or slag.
 */
export function potentialCompounds({ cao, sio2, al2o3, fe2o3, so3 }: Oxides): Compounds {
  const least = (value: number): number => Math.max(0, value);
  if (fe2o3 > 0 && al2o3 / fe2o3 < LEAN) {
    const c3s = least(4.071 * cao - 7.6 * sio2 - 4.479 * al2o3 - 2.859 * fe2o3 - 2.852 * so3);
    return { c3s, c2s: least(2.867 * sio2 - 0.7544 * c3s), c3a: 0, c4af: least(2.1 * al2o3 + 1.702 * fe2o3) };
  }
  const c3s = least(4.071 * cao - 7.6 * sio2 - 6.718 * al2o3 - 1.43 * fe2o3 - 2.852 * so3);
  return {
    c3s,
    c2s: least(2.867 * sio2 - 0.7544 * c3s),
    c3a: least(2.65 * al2o3 - 1.692 * fe2o3),
    c4af: least(3.043 * fe2o3),
  };
}

/** Alkalies as sodium oxide, percent. Source: molar masses, 61.98 to 94.20. */
export function equivalentAlkalies(na2o: number, k2o: number): number {
  return na2o + 0.658 * k2o;
}
