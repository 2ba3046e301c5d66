/** How a strength grows with age by the handbook, as a share of that at 28 days. */
export const GROWTHS = {
  'aci-moist-I': { title: 'Cement type I, moist cured', a: 4, beta: 0.85 },
  'aci-moist-III': { title: 'Cement type III, moist cured', a: 2.3, beta: 0.92 },
  'aci-steam-I': { title: 'Cement type I, steam cured', a: 1, beta: 0.95 },
  'aci-steam-III': { title: 'Cement type III, steam cured', a: 0.7, beta: 0.98 },
  'en-R': { title: 'Cement of rapid strength, class R', s: 0.2 },
  'en-N': { title: 'Cement of normal strength, class N', s: 0.25 },
  'en-S': { title: 'Cement of slow strength, class S', s: 0.38 },
} as const;
export type GrowthId = keyof typeof GROWTHS;

/**
 * Share of the strength at 28 days that a concrete has at an age.
 * @param days of curing; for those of EN at 20 °C, else the temperature-adjusted age. Above nought
 * Source: ACI 209R (from memory), which gives 1.007 at 28 days for moist type I; EN 1992-1-1 (from memory).
 */
export function growthShare(id: GrowthId, days: number): number {
  const growth = GROWTHS[id];
  return 's' in growth
    ? Math.exp(growth.s * (1 - Math.sqrt(28 / days)))
    : days / (growth.a + growth.beta * days);
}
