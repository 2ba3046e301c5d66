/** The product specifications of manufactured masonry units, by the id that a specification is stored with. */
export const PRODUCTS = {
  c90: 'C90, loadbearing',
  'c90-2013': 'C90 of 2011 to 2013, loadbearing',
  'c90-2010': 'C90 up to 2010, loadbearing',
  c129: 'C129, non-loadbearing',
  c55: 'C55, building brick',
  c1634: 'C1634, facing brick',
  'c73-sw': 'C73, calcium silicate SW',
  'c73-mw': 'C73, calcium silicate MW',
  c936: 'C936, solid paver',
  c1319: 'C1319, grid paver',
  c1372: 'C1372, retaining wall',
  d6684: 'D6684, articulating block',
  'en771-3': 'EN 771-3, aggregate concrete',
  is2185: 'IS 2185-1, concrete block',
  a165: 'CSA A165.1, concrete block',
} as const;

export type Product = keyof typeof PRODUCTS;

/** The years of the editions that a product's rows are from. Source: ASTM C90 (from memory). */
const YEARS: Readonly<Partial<Record<Product, readonly [from: number, to: number]>>> = {
  c90: [2014, 9999],
  'c90-2013': [2011, 2013],
  'c90-2010': [0, 2010],
};

/** The product whose rows an older edition shares where it has none of its own. */
export function baseOf(product: Product): Product {
  return YEARS[product] ? 'c90' : product;
}

/**
 * The product of the same specification whose rows belong to an edition.
 * @param edition as a project names it, with a year somewhere in it
 * @returns the product itself where the edition names no year, or is of its years
 */
export function productOfEdition(product: Product, edition: string): Product {
  const year = Number(/\b(?:19|20)\d\d\b/u.exec(edition)?.[0] ?? Number.NaN);
  if (!YEARS[product] || Number.isNaN(year)) return product;
  const found = (Object.keys(YEARS) as Product[]).find((each) => {
    const [from, to] = YEARS[each] ?? [0, 0];
    return year >= from && year <= to;
  });
  return found ?? product;
}

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
