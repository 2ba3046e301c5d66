/** Sulfate as SO₃ in what is ground with a clinker, mass fraction of the pure material. Source: molar masses. */
export const SULFATE_SOURCES = { gypsum: 0.465, hemihydrate: 0.552, anhydrite: 0.588 } as const;

/**
 * Grams of a source of sulfate that bring a cement to another content of the blend.
 * @param cement g @param from, to SO₃ of the cement and of the blend, mass fractions @param holds SO₃ of the source, a fraction
 * @returns undefined where the source holds no more than what is wanted
 */
export function sulfateToAdd(cement: number, from: number, to: number, holds: number): number | undefined {
  return holds > to ? (cement * (to - from)) / (holds - to) : undefined;
}

/** Doses with a heat from which a series is judged. Our choice. */
export const FEWEST = 3;

/** One dose of a series: SO₃ of the blend, percent, and what its curve says. */
export interface Dose {
  readonly label: string;
  readonly sulfate: number;
  /** Heat from one hour to a day, J/g; undefined while it is not known. */
  readonly heat: number | undefined;
  /** Hours from the main maximum to the aluminate's; undefined where no second one is told apart. */
  readonly apart: number | undefined;
  /** One curve alone does not say which of the two came first. */
  readonly unclear: boolean;
}

export interface SulfateRules {
  /** Least share of the best heat. */
  readonly share: number;
  /** Least hours from the main maximum to the aluminate's. */
  readonly apart: number;
}

export interface JudgedDose extends Dose {
  /** Share of the best heat of the series. */
  readonly share: number | undefined;
  readonly heatHolds: boolean;
  readonly apartHolds: boolean;
}

/**
 * The least sulfate at which a cement is in balance: its heat of a day is nearly the best of the series, and the aluminate comes
 * well behind the main maximum.
 * @param doses in any order
 * @returns doses by their sulfate; `chosen` undefined where none does both, or fewer than three have a heat
 * Source: our choice, on ASTM C563's thought that the best sulfate is found by a series (from memory).
 */
export function judgeDoses(
  doses: readonly Dose[],
  rules: SulfateRules,
): { readonly doses: readonly JudgedDose[]; readonly chosen: JudgedDose | undefined } {
  const best = Math.max(...doses.map(({ heat }) => heat ?? Number.NEGATIVE_INFINITY));
  const judged = doses
    .toSorted((a, b) => a.sulfate - b.sulfate)
    .map((dose): JudgedDose => {
      const share = dose.heat === undefined ? undefined : dose.heat / best;
      return {
        ...dose,
        share,
        heatHolds: share !== undefined && share >= rules.share,
        apartHolds: !dose.unclear && dose.apart !== undefined && dose.apart >= rules.apart,
      };
    });
  const known = judged.filter(({ heat }) => heat !== undefined);
  return {
    doses: judged,
    chosen: known.length < FEWEST ? undefined : judged.find((dose) => dose.heatHolds && dose.apartHolds),
  };
}
