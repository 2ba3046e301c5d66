import type { Criterion, LimitAbout, SourcedLimit } from '../../acceptance/criterion';
import { isLimitId, type LimitId, type Limits } from '../../limits';
import type { Exact, System, UnitId } from '../../quantity';
import { capital } from '../../words';
import { standard } from '../../working';
import { ofSchool, strengthCount } from '../schools';
import { baseOf, type DensityClass, productOf } from './products';

const C90 = standard('ASTM C90');

/** The class of a mean oven-dry density that is rounded to a tenth. Source: ASTM C90 Table 2 (from memory). */
export function densityClass(
  density: Exact,
  { limits, system }: Pick<LimitAbout, 'limits' | 'system'>,
): DensityClass {
  if (density.lessThan(limits.number('unit.class-medium', system))) return 'light';
  return density.lessThan(limits.number('unit.class-normal', system)) ? 'medium' : 'normal';
}

/** The name of a row that a product may have: `mean`, `each`, an absorption; undefined where it has none. */
export function productRow(product: string | undefined, ending: string): LimitId | undefined {
  const named = productOf(product);
  if (!named) return undefined;
  return [named, baseOf(named)].map((each) => `unit.${each}.${ending}`).find(isLimitId);
}

/** What such a row asks for. */
export function productLimit(
  product: string | undefined,
  ending: string,
  limits: Limits,
  system: System,
): Exact | undefined {
  const id = productRow(product, ending);
  return id && limits.number(id, system);
}

/** The same with the document that says it. */
function row({ said, limits, system }: LimitAbout, ending: string): SourcedLimit | undefined {
  const id = productRow(said('product'), ending);
  return id ? { value: limits.number(id, system), source: limits.of(id, system).source } : undefined;
}

/** What the project asks for itself. */
function own({ asked }: LimitAbout, name: string, unit?: UnitId): SourcedLimit | undefined {
  const value = asked(name, unit);
  return value && { value, source: standard('project specification') };
}

/** The absorption that a product allows: by its density class, or one for all of it. */
function absorptionLimit(about: LimitAbout, each: '' | '-each'): SourcedLimit | undefined {
  const name = each ? 'mostAbsorptionEach' : 'mostAbsorption';
  const project = own(about, name, about.system === 'US' ? 'lb/ft3' : 'kg/m3');
  if (project) return project;
  const density = about.found('class density');
  return (
    row(about, `any${each}`) ?? (density ? row(about, `${densityClass(density, about)}${each}`) : undefined)
  );
}

/** Loadbearing hollow units, whose shells and webs have rows of their own: by the table of today, or the one up to 2010. */
export function webTable(named: string | undefined): 'today' | 'older' | undefined {
  const product = productOf(named);
  if (!product || baseOf(product) !== 'c90') return undefined;
  return product === 'c90-2010' ? 'older' : 'today';
}

/** The nominal widths that rows are listed for, with the row from which the next one counts. */
const WIDTHS = [
  ['4', 'unit.width-6'],
  ['6', 'unit.width-8'],
  ['8', 'unit.width-10'],
  ['10', 'unit.width-12'],
] as const;

/** The row of a part by the specified width; the table of today has fewer of them. Source: ASTM C90 Table 1 (from memory). */
function byWidth(part: 'shell' | 'web' | 'equivalent', about: LimitAbout): Exact | undefined {
  const { limits, system } = about;
  const table = webTable(about.said('product'));
  const width = about.asked('width', system === 'US' ? 'in' : 'mm');
  if (!table || !width) return undefined;
  const nominal = WIDTHS.find(([, next]) => width.lessThan(limits.number(next, system)))?.[0] ?? '12';
  const ids = table === 'older' ? [`unit.${part}-${nominal}-2010`] : [];
  const id = [...ids, `unit.${part}-${nominal}`, `unit.${part}-8`, `unit.${part}`].find(isLimitId);
  return id && limits.number(id, system);
}

const STRENGTH = {
  source: C90,
  quantity: 'net compressive strength',
  by: ['unit-compression'],
  population: 'set',
  holds: 'at least',
  compare: 'rounded',
} as const;
/** How many units of a product are broken. */
const brokenCount = (said: (name: string) => string | undefined): LimitId =>
  strengthCount('unit', said('product'));
/** A strength that is not the one the set is about. */
const OF_SCHOOL = {
  ...STRENGTH,
  unit: { US: 'psi', SI: 'MPa' },
  step: 'unit.strength-step',
  count: brokenCount,
} as const;
const ABSORPTION = {
  source: C90,
  quantity: 'absorption',
  by: ['unit-absorption'],
  population: 'set',
  holds: 'at most',
  compare: 'rounded',
} as const;
const BY_MASS = {
  ...ABSORPTION,
  quantity: 'absorption by mass',
  unit: { US: 'percent', SI: 'percent' },
  step: 'unit.percent-step',
} as const;
const SIZE = {
  ...ABSORPTION,
  unit: { US: 'in', SI: 'mm' },
  step: 'unit.thin-step',
  holds: 'at least',
} as const;

/** What a set of manufactured units is held against; a row that its product does not have is not asked for. */
export const CRITERIA: readonly Criterion[] = [
  {
    ...STRENGTH,
    id: 'unit-strength-mean',
    title: 'Mean net strength',
    asks: 'Mean net strength of the units at least',
    statistic: 'mean',
    limit: (about) => own(about, 'leastMean') ?? row(about, 'mean') ?? ofSchool('csa')(about),
    count: brokenCount,
  },
  {
    ...STRENGTH,
    id: 'unit-strength-each',
    title: 'Net strength of each',
    asks: 'No unit below',
    statistic: 'least',
    limit: (about) => own(about, 'leastEach') ?? row(about, 'each'),
    count: brokenCount,
  },
  ...(
    [
      ['is', 'gross', 'gross compressive strength', 'gross strength'],
      ['en', 'normalised', 'normalised strength', 'normalised strength'],
    ] as const
  ).flatMap(([school, name, quantity, words]): Criterion[] => [
    {
      ...OF_SCHOOL,
      id: `unit-${name}-mean`,
      title: `Mean ${words}`,
      asks: `Mean ${words} of the units at least`,
      quantity,
      statistic: 'mean',
      limit: ofSchool(school),
    },
    {
      ...OF_SCHOOL,
      id: `unit-${name}-each`,
      title: `${capital(words)} of each`,
      asks: `No unit's ${words} below`,
      quantity,
      statistic: 'least',
      limit: ofSchool(school, 'each'),
    },
  ]),
  {
    ...ABSORPTION,
    id: 'unit-absorption-mean',
    title: 'Mean absorption',
    asks: 'Mean absorption of the units at most',
    statistic: 'mean',
    limit: (about) => absorptionLimit(about, ''),
    count: 'unit.role-count',
  },
  {
    ...ABSORPTION,
    id: 'unit-absorption-each',
    title: 'Absorption of each',
    asks: 'No unit absorbs more than',
    statistic: 'greatest',
    limit: (about) => absorptionLimit(about, '-each'),
    count: 'unit.role-count',
  },
  {
    ...BY_MASS,
    id: 'unit-mass-mean',
    title: 'Mean absorption by mass',
    asks: 'Mean absorption by mass at most',
    statistic: 'mean',
    limit: (about) => row(about, 'mass'),
    count: 'unit.role-count',
  },
  {
    ...BY_MASS,
    id: 'unit-mass-each',
    title: 'Absorption by mass of each',
    asks: 'No unit absorbs more, by mass, than',
    statistic: 'greatest',
    limit: (about) => row(about, 'mass-each'),
    count: 'unit.role-count',
  },
  {
    ...SIZE,
    id: 'unit-size',
    title: 'Overall dimensions',
    asks: 'No dimension off the specified one by more than',
    quantity: 'greatest variation',
    statistic: 'greatest',
    holds: 'at most',
    // A tenth of an inch would hide 0.13 in against 1/8 in: sizes are held as they were measured.
    compare: 'unrounded',
    limit: { row: 'unit.size' },
  },
  {
    ...SIZE,
    id: 'unit-size-plan',
    title: 'Length and width',
    asks: 'Neither length nor width off the specified one by more than',
    quantity: 'greatest variation in plan',
    statistic: 'greatest',
    holds: 'at most',
    compare: 'unrounded',
    limit: (about) =>
      about.said('product') === 'c936' ? about.limits.number('unit.size-plan', about.system) : undefined,
  },
  {
    ...SIZE,
    id: 'unit-shell',
    title: 'Face shells',
    asks: 'Mean face shell at least',
    quantity: 'face shell',
    statistic: 'mean',
    limit: (about) => byWidth('shell', about),
  },
  {
    ...SIZE,
    id: 'unit-web',
    title: 'Webs',
    asks: 'Mean of the least webs at least',
    quantity: 'least web',
    statistic: 'mean',
    limit: (about) => byWidth('web', about),
  },
  {
    ...SIZE,
    id: 'unit-web-area',
    title: 'Normalised web area',
    asks: 'Mean normalised web area at least',
    quantity: 'normalised web area',
    unit: { US: 'in2/ft2', SI: 'mm2/m2' },
    step: 'unit.web-area-step',
    statistic: 'mean',
    limit: (about) =>
      webTable(about.said('product')) === 'today'
        ? about.limits.number('unit.web-area', about.system)
        : undefined,
  },
  {
    ...SIZE,
    id: 'unit-web-equivalent',
    title: 'Equivalent web thickness',
    asks: 'Mean equivalent web thickness at least',
    quantity: 'equivalent web thickness',
    unit: { US: 'in/ft', SI: 'mm/m' },
    statistic: 'mean',
    limit: (about) =>
      webTable(about.said('product')) === 'older' ? byWidth('equivalent', about) : undefined,
  },
];
