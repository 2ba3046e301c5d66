import type { Exact } from '../../quantity';
import type { Contact } from './field-specs';

/** What a beam gives, however it is loaded: a criterion says by which method it was told. */
export const RUPTURE = 'modulus of rupture';

/** How a beam is loaded: what the formulas of its method hang on. */
export interface Arrangement {
  readonly kind: 'third' | 'centre';
  /** The lines on which it bears, from the left. */
  readonly contacts: readonly Contact[];
  /** Where the loads stand, of the span. */
  readonly loads: readonly number[];
  /** Factor of P L / (b d²), of any place of the break. */
  readonly formula: string;
  /** What a load is divided by to give the stress of the extreme fibre, in² or mm². */
  area(b: Exact, d: Exact, span: Exact): Exact;
}

/** Two equal loads at the third points. Source: beam theory, R = P L / (b d²). */
export const THIRD: Arrangement = {
  kind: 'third',
  contacts: ['gapSupportLeft', 'gapLoadLeft', 'gapLoadRight', 'gapSupportRight'],
  loads: [1 / 3, 2 / 3],
  formula: 'P * L / (b * d^2)',
  area: (b, d, span) => b.times(d.pow(2)).div(span),
};

/** One load in the middle. Source: beam theory, R = 3 P L / (2 b d²). */
export const CENTRE: Arrangement = {
  kind: 'centre',
  contacts: ['gapSupportLeft', 'gapLoad', 'gapSupportRight'],
  loads: [1 / 2],
  formula: '3 * P * L / (2 * b * d^2)',
  area: (b, d, span) => b.times(d.pow(2)).times(2).div(span.times(3)),
};
