/** What a slab is made of. */
export const AGGREGATE = [
  { value: 'normal', label: 'Normal weight' },
  { value: 'light', label: 'Lightweight' },
] as const;
export type Aggregate = (typeof AGGREGATE)[number]['value'];
export const AGGREGATES: readonly Aggregate[] = AGGREGATE.map(({ value }) => value);

/** What lies on it as it is now. */
export const TOP = [
  { value: 'bare', label: 'Bare concrete' },
  { value: 'film', label: 'Curing film or sealer' },
  { value: 'penetrant', label: 'Reactive penetrant' },
  { value: 'gypsum', label: 'Gypsum underlayment or screed' },
  { value: 'topping', label: 'Bonded topping thinner than 2 in [50 mm]' },
] as const;
export type Top = (typeof TOP)[number]['value'];
export const TOPS: readonly Top[] = TOP.map(({ value }) => value);

/**
 * Why a dish of calcium chloride says nothing here, as it goes on after `no dish`; undefined where it does.
 * Source: ASTM F1869 (from memory): neither lightweight concrete nor gypsum, not over a film, not meaningful over penetrants.
 */
export function noDishOver(aggregate: Aggregate | undefined, top: Top | undefined): string | undefined {
  if (aggregate === 'light')
    return 'on lightweight concrete: its stones hold water that a dish takes for the slab’s';
  if (top === 'gypsum') return 'on gypsum: it lets go water of its own';
  if (top === 'film')
    return 'over a curing film or a sealer until it was taken off, without water or solvent';
  if (top === 'penetrant')
    return 'over a penetrant that closes the pores: what comes through it means nothing';
  return undefined;
}
