/** The product specifications of manufactured masonry units, by the id that a specification is stored with. */
export const PRODUCTS = {
  c90: 'C90, loadbearing',
  c129: 'C129, non-loadbearing',
  c55: 'C55, building brick',
  c1634: 'C1634, facing brick',
  'c73-sw': 'C73, calcium silicate SW',
  'c73-mw': 'C73, calcium silicate MW',
  c936: 'C936, solid paver',
  c1319: 'C1319, grid paver',
  c1372: 'C1372, retaining wall',
  d6684: 'D6684, articulating block',
} as const;

export type Product = keyof typeof PRODUCTS;

/** The product that a stored text names; undefined where it names none. */
export function productOf(text: string | undefined): Product | undefined {
  return text !== undefined && Object.hasOwn(PRODUCTS, text) ? (text as Product) : undefined;
}

/** Density classes by mean oven-dry density. Source: ASTM C90 Table 2 (from memory). */
export const CLASSES = {
  light: 'lightweight',
  medium: 'medium weight',
  normal: 'normal weight',
} as const;

export type DensityClass = keyof typeof CLASSES;

/** The aggregates that fire resistance is told by. Source: TMS 216.1 (from memory). */
export const AGGREGATES = {
  gravel: 'Siliceous or calcareous gravel',
  limestone: 'Limestone, cinders, air-cooled slag',
  expanded: 'Expanded clay, shale or slate',
  pumice: 'Expanded slag or pumice',
} as const;

export type FireAggregate = keyof typeof AGGREGATES;
