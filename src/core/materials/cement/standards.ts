import { isLimitId, type LimitId } from '../../limits';

/** Whose tests a cement is judged by: water, needle, cubes and temperatures are of one school and never of two. */
export type CementSchool = 'astm' | 'en' | 'is';

interface Standard {
  readonly id: string;
  readonly name: string;
  readonly school: CementSchool;
  /** How one of its kinds is called, before its letters. */
  readonly kind: string;
  readonly types: readonly string[];
}

const STANDARDS: readonly Standard[] = [
  {
    ...{ id: 'c150', name: 'ASTM C150/C150M', school: 'astm', kind: 'C150 type' },
    types: ['I', 'IA', 'II', 'IIA', 'II-MH', 'II-MH-A', 'III', 'IIIA', 'IV', 'V'],
  },
  {
    ...{ id: 'c595', name: 'ASTM C595/C595M', school: 'astm', kind: 'C595 type' },
    types: ['IL', 'IP', 'IS', 'IT', 'MS', 'IS70', 'LH'],
  },
  {
    ...{ id: 'c1157', name: 'ASTM C1157/C1157M', school: 'astm', kind: 'C1157 type' },
    types: ['GU', 'HE', 'MS', 'HS', 'MH', 'LH'],
  },
  {
    ...{ id: 'en197', name: 'EN 197-1', school: 'en', kind: 'EN 197-1 class' },
    types: ['32.5L', '32.5N', '32.5R', '42.5L', '42.5N', '42.5R', '52.5L', '52.5N', '52.5R'],
  },
  {
    ...{ id: 'is269', name: 'IS 269', school: 'is', kind: 'IS 269 grade' },
    types: ['33', '43', '53'],
  },
];

/** A type as it is called: of air-entraining and moderate ones the letters in their place. */
function called(type: string): string {
  const words: Readonly<Record<string, string>> = {
    'II-MH': 'II(MH)',
    'II-MH-A': 'II(MH)A',
    IS70: 'IS(≥70) or IT(S≥70)',
    MS: 'MS or with MS',
  };
  return words[type] ?? type;
}

/** Every cement that can be asked for, by the beginning of its rows in the register. */
export const CEMENT_TYPES = STANDARDS.flatMap(({ id, kind, types }) =>
  types.map((type) => ({ value: `${id}.${type}`, label: `${kind} ${called(type)}` })),
);
export const CEMENT_TYPE_IDS = CEMENT_TYPES.map(({ value }) => value);

/** The standard of a type of cement; undefined for none that is known. */
export function standardOf(type: string | undefined): Standard | undefined {
  const [id] = (type ?? '').split('.');
  return STANDARDS.find((each) => each.id === id && CEMENT_TYPE_IDS.includes(type ?? ''));
}

/** The letters of a type behind its standard: `II-MH`, `42.5N`. */
export function lettersOf(type: string): string {
  return type.slice(type.indexOf('.') + 1);
}

const AGES: Readonly<Record<number, string>> = { 24: '1d', 48: '2d', 72: '3d', 168: '7d', 672: '28d' };
const row = (id: string): LimitId | undefined => (isLimitId(id) ? id : undefined);

/**
 * The row of the least strength that a type has to reach at an age.
 * @param hours of age @param ordered rows that count only where the order says so count too @param cool its heat was ordered
 */
export function strengthRow(
  type: string,
  hours: number,
  ordered: boolean,
  cool = false,
): LimitId | undefined {
  const age = AGES[hours];
  if (!age) return undefined;
  // A cement that was ordered for its heat may be weaker.
  const less = cool
    ? (row(`${type}.${age}-heat`) ?? (ordered ? row(`${type}.${age}-heat-ordered`) : undefined))
    : undefined;
  if (less) return less;
  return row(`${type}.${age}`) ?? (ordered ? row(`${type}.${age}-ordered`) : undefined);
}

/** The row of the most that a class may reach at 28 d. */
export function mostRow(type: string): LimitId | undefined {
  const standard = standardOf(type)?.id;
  return standard === 'en197' || standard === 'is269'
    ? row(`${standard}.${lettersOf(type).replace(/[LNR]$/u, '')}.most`)
    : undefined;
}

/** What else a cement is held against, by what it is. */
export type CementProperty =
  | 'set'
  | 'set-final'
  | 'gillmore-initial'
  | 'gillmore-final'
  | 'autoclave'
  | 'contraction'
  | 'air'
  | 'fineness'
  | 'false-set'
  | 'expansion'
  | 'loss'
  | 'heat-3d'
  | 'heat-7d';

/** True for the types that have air in them by themselves. */
export function isAirEntraining(type: string): boolean {
  return standardOf(type)?.id === 'c150' && /A$/u.test(lettersOf(type));
}

/** What can be ordered besides what a standard always asks for: the field that says so, its word, and which properties count then. */
export const ORDERED = [
  {
    field: 'orderedGillmore',
    word: 'Gillmore set',
    properties: ['gillmore-initial', 'gillmore-final'],
  },
  { field: 'orderedStiffening', word: 'early stiffening', properties: ['false-set'] },
  { field: 'orderedHeat', word: 'heat of hydration', properties: ['heat-3d', 'heat-7d'] },
] as const satisfies readonly {
  readonly field: string;
  readonly word: string;
  readonly properties: readonly CementProperty[];
}[];
export type OrderedField = (typeof ORDERED)[number]['field'];

/** The properties that count because they were ordered. @param said whether a field says so */
export function orderedBy(said: (field: OrderedField) => boolean): CementProperty[] {
  return ORDERED.flatMap(({ field, properties }) => (said(field) ? [...properties] : []));
}

/** Properties that count only where the order says so: heat of any type but IV, whose heat is why it is made. */
function isOptional(type: string, property: CementProperty): boolean {
  if (property.startsWith('heat')) return type === 'c150.II-MH' || type === 'c150.II-MH-A';
  return ORDERED.some(({ properties }) => properties.some((each) => each === property));
}

/**
 * The row that a property of a type is held against; undefined where its standard has none, or it was not ordered.
 * @param ordered the optional properties that the order names
 */
export function propertyRow(
  type: string,
  property: CementProperty,
  ordered: readonly CementProperty[] = [],
): LimitId | undefined {
  const standard = standardOf(type)?.id;
  if (!standard || (isOptional(type, property) && !ordered.includes(property))) return undefined;
  if (property.startsWith('heat')) return row(`${type}.${property}`);
  const letters = lettersOf(type);
  const own: Partial<Record<string, string>> = {
    'c150 air': isAirEntraining(type) ? 'c150.air-entraining' : 'c150.air',
    'c150 fineness': /^(?:II-MH|IV)/u.test(letters)
      ? 'c150.fineness-moderate'
      : letters.startsWith('III')
        ? 'none'
        : 'c150.fineness',
    'c150 loss': letters === 'IV' ? 'c150.loss-four' : 'c150.loss',
    'en197 set': `en197.${letters.replace(/[LNR]$/u, '')}.set`,
    'is269 loss': letters === '53' ? 'is269.loss-53' : 'is269.loss',
  };
  return row(own[`${standard} ${property}`] ?? `${standard}.${property}`);
}

/** How the water of its mortar is found. */
export type WaterRule = 'fixed' | 'fixed-air' | 'flow' | 'en' | 'is';

/**
 * How the water of the mortar of a cement is found: fixed for portland cement, by the flow for every other.
 * @param said what the order says otherwise, of portland-limestone cement
 * Source: ASTM C109/C109M, EN 196-1, IS 4031-6 (from memory); of portland-limestone it hangs on the edition.
 */
export function waterRule(type: string, said?: string): WaterRule {
  const standard = standardOf(type);
  if (standard?.school === 'en' || standard?.school === 'is') return standard.school;
  if (said === 'fixed' || said === 'flow') return said;
  if (standard?.id !== 'c150') return 'flow';
  return isAirEntraining(type) ? 'fixed-air' : 'fixed';
}
