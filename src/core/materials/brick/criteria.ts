import type { Criterion, LimitAbout, SourcedLimit } from '../../acceptance/criterion';
import { isLimitId, type LimitId } from '../../limits';
import { standard } from '../../working';
import { ofSchool, schoolOf, strengthCount } from '../schools';
import { alternatesOf, gradeRow, WAIVES } from './alternates';
import { isLowClass } from './is-class';
import { brickOf, gradeNamed, isPaving, type Product } from './products';

const C216 = standard('ASTM C216');
const DOCUMENT = {
  c216: standard('ASTM C216'),
  c62: standard('ASTM C62'),
  c652: standard('ASTM C652'),
  c902: standard('ASTM C902'),
  c1272: standard('ASTM C1272'),
  'en771-1': standard('EN 771-1'),
  is1077: standard('IS 1077'),
} as const satisfies Record<Product, unknown>;

/** What the grade that is asked for demands, as the specification says it; undefined where it does not, or an alternate holds. */
function byGrade(ending: string): (about: LimitAbout) => SourcedLimit | undefined {
  return (about) => {
    const { said, limits, system } = about;
    const product = brickOf(said('product'));
    const id = gradeRow(gradeNamed(said('grade')), ending);
    if (!id || !product || alternatesOf(about).some((each) => WAIVES[each].includes(ending)))
      return undefined;
    return { value: limits.number(id, system), source: DOCUMENT[product] };
  };
}

/** What a brick of IS 1077 may take up cold, by its class. */
function coldOfClass({ asked, said, limits, system }: LimitAbout): SourcedLimit | undefined {
  const declared = asked('declared', 'MPa');
  if (said('product') !== 'is1077' || !declared) return undefined;
  const row = isLowClass(declared, limits, system) ? 'brick.is1077.cold' : 'brick.is1077.cold-above';
  return { value: limits.number(row, system), source: DOCUMENT.is1077 };
}

/** The class of a dimension: the ends of the classes in their order. */
const CLASSES = ['3', '4', '6', '8', '12', '16'] as const;

/** The row that a dimension is held against by the type of the brick. */
function sizeRow(side: string, kind: '' | 'warp-'): (about: LimitAbout) => SourcedLimit | undefined {
  return ({ asked, said, limits, system }) => {
    const type = said('type');
    const size = asked(side, system === 'US' ? 'in' : 'mm');
    if (!size || (type !== 'fbx' && type !== 'fbs')) return undefined;
    const classes = kind === '' ? CLASSES : CLASSES.slice(3);
    const of = (each: string): LimitId | undefined => {
      const id = `brick.to-${each}`;
      return isLimitId(id) ? id : undefined;
    };
    const found =
      classes.find((each) => {
        const end = of(each);
        return end && size.lessThanOrEqualTo(limits.number(end, system));
      }) ?? classes.at(-1);
    const id = `brick.${kind}${type}-${found}`;
    return isLimitId(id) ? { value: limits.number(id, system), source: C216 } : undefined;
  };
}

const STRENGTH = {
  source: C216,
  quantity: 'compressive strength',
  by: ['brick-compression'],
  population: 'set',
  holds: 'at least',
  compare: 'rounded',
  count: (said) => strengthCount('brick', said('product')),
} as const satisfies Partial<Criterion>;
/** A strength that is not the one the set is about. */
const NORMALISED = {
  ...STRENGTH,
  quantity: 'normalised strength',
  unit: { US: 'psi', SI: 'MPa' },
  step: 'unit.strength-step',
} as const satisfies Partial<Criterion>;
const ABSORPTION = {
  source: C216,
  by: ['brick-absorption'],
  population: 'set',
  holds: 'at most',
  compare: 'rounded',
  count: 'brick.role-count',
} as const;
const PERCENT = { US: 'percent', SI: 'percent' } as const;
const BOIL = {
  ...ABSORPTION,
  awaited: true,
  quantity: 'boiling absorption',
  unit: PERCENT,
  step: 'brick.percent-step',
} as const;
const COLD = { ...ABSORPTION, quantity: 'cold absorption' } as const;
const SATURATION = {
  ...ABSORPTION,
  awaited: true,
  quantity: 'saturation coefficient',
  unit: { US: 'one', SI: 'one' },
  step: 'brick.saturation-step',
} as const;
const SIZE = {
  source: C216,
  by: ['brick-size'],
  population: 'set',
  statistic: 'greatest',
  holds: 'at most',
  compare: 'unrounded',
  unit: { US: 'in', SI: 'mm' },
  step: 'brick.size-step',
} as const;

/** What a sample of clay brick is held against; a row that its grade does not have is not asked for. */
export const CRITERIA: readonly Criterion[] = [
  {
    ...STRENGTH,
    id: 'brick-strength-mean',
    title: 'Mean strength',
    asks: 'Mean strength of the halves at least',
    statistic: 'mean',
    limit: (about) => byGrade('mean')(about) ?? ofSchool('is')(about),
  },
  {
    ...STRENGTH,
    id: 'brick-strength-each',
    title: 'Strength of each',
    asks: 'No half below',
    statistic: 'least',
    limit: (about) => byGrade('each')(about) ?? ofSchool('is', 'each')(about),
  },
  {
    ...NORMALISED,
    id: 'brick-normalised-mean',
    title: 'Mean normalised strength',
    asks: 'Mean normalised strength of the bricks at least',
    statistic: 'mean',
    limit: ofSchool('en'),
  },
  {
    ...NORMALISED,
    id: 'brick-normalised-each',
    title: 'Normalised strength of each',
    asks: "No brick's normalised strength below",
    statistic: 'least',
    limit: ofSchool('en', 'each'),
  },
  {
    ...BOIL,
    id: 'brick-boil-mean',
    title: 'Mean absorption by boiling',
    asks: 'Mean absorption by five hours of boiling at most',
    statistic: 'mean',
    limit: byGrade('boil'),
  },
  {
    ...BOIL,
    id: 'brick-boil-each',
    title: 'Absorption by boiling of each',
    asks: 'No half takes up more by boiling than',
    statistic: 'greatest',
    limit: byGrade('boil-each'),
  },
  {
    ...COLD,
    id: 'brick-cold-mean',
    title: 'Mean cold absorption',
    asks: 'Mean cold absorption at most',
    statistic: 'mean',
    limit: (about) => byGrade('cold')(about) ?? coldOfClass(about),
  },
  {
    ...COLD,
    id: 'brick-cold-each',
    title: 'Cold absorption of each',
    asks: 'No half takes up more cold than',
    statistic: 'greatest',
    limit: byGrade('cold-each'),
  },
  {
    ...SATURATION,
    id: 'brick-saturation-mean',
    title: 'Mean saturation coefficient',
    asks: 'Mean saturation coefficient at most',
    statistic: 'mean',
    limit: byGrade('sat'),
  },
  {
    ...SATURATION,
    id: 'brick-saturation-each',
    title: 'Saturation coefficient of each',
    asks: 'No saturation coefficient above',
    statistic: 'greatest',
    limit: byGrade('sat-each'),
  },
  ...(['width', 'height', 'length'] as const).map((side) => ({
    ...SIZE,
    id: `brick-${side}`,
    title: side === 'width' ? 'Thickness' : side === 'height' ? 'Height' : 'Length',
    asks: `No ${side === 'width' ? 'thickness' : side} off the specified one by more than`,
    quantity: `${side} variation`,
    limit: sizeRow(side, ''),
  })),
  {
    ...SIZE,
    id: 'brick-warpage',
    title: 'Warpage',
    asks: 'No face warped by more than',
    quantity: 'warpage',
    limit: sizeRow('length', 'warp-'),
  },
  {
    ...SIZE,
    id: 'brick-voids',
    title: 'Voids',
    asks: 'Voids of each at most',
    quantity: 'voids',
    unit: PERCENT,
    step: 'brick.percent-step',
    compare: 'rounded',
    limit: ({ said, limits, system }) =>
      said('product') === 'c652' || isPaving(said('product')) || schoolOf(said('product'))
        ? undefined
        : limits.number('brick.solid', system),
  },
];
