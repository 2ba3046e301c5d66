/** The specifications of clay brick, by the id that one is stored with. */
export const PRODUCTS = {
  c216: 'C216, facing brick',
  c62: 'C62, building brick',
  c652: 'C652, hollow brick',
  c902: 'C902, paving brick',
  c1272: 'C1272, heavy vehicular paving brick',
  'en771-1': 'EN 771-1, clay unit',
  is1077: 'IS 1077, burnt clay brick',
} as const;

export type Product = keyof typeof PRODUCTS;

export const GRADES = { sw: 'SW', mw: 'MW', nw: 'NW', sx: 'SX', mx: 'MX', nx: 'NX', f: 'F', r: 'R' } as const;
export type Grade = keyof typeof GRADES;

/** The grades that each specification has, the strictest first. Source: ASTM C216, C62, C652, C902, C1272 (from memory). */
export const GRADES_OF: Readonly<Record<Product, readonly Grade[]>> = {
  c216: ['sw', 'mw'],
  c62: ['sw', 'mw', 'nw'],
  c652: ['sw', 'mw'],
  c902: ['sx', 'mx', 'nx'],
  c1272: ['f', 'r'],
  'en771-1': [],
  is1077: [],
};

/** The product that a stored text names; undefined where it names none. */
export function brickOf(text: unknown): Product | undefined {
  return typeof text === 'string' && Object.hasOwn(PRODUCTS, text) ? (text as Product) : undefined;
}

/** The grade that a stored text names; undefined where it names none. */
export function gradeNamed(text: unknown): Grade | undefined {
  return typeof text === 'string' && Object.hasOwn(GRADES, text) ? (text as Grade) : undefined;
}

/** Paving, which has no alternates for weather and no limit of voids. */
export function isPaving(product: unknown): boolean {
  return product === 'c902' || product === 'c1272';
}
