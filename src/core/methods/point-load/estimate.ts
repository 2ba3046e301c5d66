import type { DeriveAbout, Derived } from '../../acceptance/set-rule';
import { convert, type Exact, exact, plainOf, roundTo, withThousands } from '../../quantity';
import { studentT } from '../../statistics/student';
import { type Sheet, type Source, standard } from '../../working';
import { factText } from '../facts';
import { classOf, gradeOf, ratingOf } from './grades';

const SITE = standard('ASTM D5731', 'site correlation');
const CONFIDENCE = 0.975;

interface Way {
  readonly factor: Exact;
  readonly label: string;
  readonly source: Source;
  /** A factor of the site's own, with what its interval needs. */
  readonly site?: { readonly scatter: Exact; readonly pairs: number; readonly squares: Exact } | undefined;
  /** A power law instead of a plain factor. */
  readonly exponent?: Exact;
  readonly remarks?: readonly string[];
}

/**
 * Strength in uniaxial compression estimated from the mean index, with its interval and grade. Never a strength: a test of
 * cores is.
 * Source: ASTM D5731 and ISRM 1985 (from memory): K · Is(50), K 20 to 24 on average, 15 to 50 on different rocks; the
 *   interval of a site's own factor is that of a regression through the origin.
 */
export function estimateFrom(mean: Exact, about: DeriveAbout, sheet: Sheet): Omit<Derived, 'lines'> {
  const { limits, system, unit } = about;
  const way = wayOf(mean, about);
  const powered = way.exponent;
  // The power law is written for MPa.
  const index = powered ? (unit === 'MPa' ? mean : convert(mean, unit, 'MPa')) : mean;
  const raw = powered ? way.factor.times(index.pow(powered)) : way.factor.times(mean);
  sheet.line({
    symbol: 'UCSe',
    name: `Estimated strength, ${way.label}`,
    formula: powered ? 'K * Is50^n' : 'K * Is50',
    uses: powered ? { K: way.factor, Is50: index, n: powered } : { K: way.factor, Is50: mean },
    unit: powered ? 'MPa' : unit,
    source: way.source,
    round: { step: stepOf(raw, about), rule: 'estimate' },
  });
  const strength = powered && unit !== 'MPa' ? convert(raw, 'MPa', unit) : raw;
  const [low, high] = intervalOf(mean, strength, way, about);
  const show = (value: Exact): string => plainOf(roundTo(value, stepOf(value, about), about.mode), unit);
  const short = (value: Exact): string =>
    withThousands(roundTo(value, stepOf(value, about), about.mode).toFixed());
  const ambiguous = strength.lessThan(limits.of('point.estimate-ambiguous', system).low ?? 0);
  const grade = gradeOf(strength, limits, system);
  const [from, to] = [gradeOf(low, limits, system), gradeOf(high, limits, system)];
  const straddles =
    from && to && from.sign !== to.sign ? `; ${from.sign} to ${to.sign} over its interval` : '';
  const points = ratingOf(mean, limits, system);
  const named = classOf(mean, limits, system);
  return {
    values: { 'estimated strength': strength.toSignificantDigits(15).toFixed() },
    said: [
      [
        'Estimated strength',
        `${show(strength)} (${short(low)} to ${short(high)}), ${way.label}; estimated, not tested`,
      ],
      ...(ambiguous || !grade
        ? []
        : [['Grade by the estimate', `${grade.sign}, ${grade.words}${straddles}`] as const]),
      ...(named ? [['Class by the index alone, AS 1726', named] as const] : []),
      ...(points ? [['Rating points, 1989', points] as const] : []),
    ],
    remarks: [
      ...(way.remarks ?? []),
      ...(ambiguous
        ? [
            `Estimated below ${plainOf(limits.of('point.estimate-ambiguous', system).low ?? exact(0), unit)}: the index says little of a rock so weak, no grade is named. Compress cores.`,
          ]
        : []),
    ],
  };
}

/** To 1 MPa, below 10 to a tenth of it; in psi to a hundred. */
function stepOf(value: Exact, { limits, system }: DeriveAbout): Exact {
  const step = limits.number('point.estimate-step', system);
  return value.lessThan(step.times(10)) ? step.div(10) : step;
}

/** The site's own factor where one is approved, else the project's, else the general one. */
function wayOf(mean: Exact, about: DeriveAbout): Way {
  const { asked, facts, limits, system } = about;
  const law = factText({ facts }, 'law') ?? 'own';
  if (law === 'gb')
    return {
      factor: limits.number('point.power-factor', system),
      exponent: limits.number('point.power-exponent', system),
      label: 'power law of GB/T 50218',
      source: limits.of('point.power-factor', system).source,
    };
  if (law === 'is')
    return {
      factor: limits.number('point.factor-is', system),
      label: 'K 22 by IS 8764',
      source: limits.of('point.factor-is', system).source,
    };
  const open = law === 'own';
  const site = open && siteWay(mean, about);
  if (site) return site;
  const own = open && asked('factor');
  if (own)
    return {
      factor: own,
      label: `K ${own} ${factText({ facts }, 'factorFrom') ?? 'as the project names it'}`,
      source: { kind: 'our choice', note: 'as the project names it' },
    };
  const general = limits.number('point.factor', system);
  return {
    factor: general,
    label: `general K ${general}`,
    source: limits.of('point.factor', system).source,
  };
}

function siteWay(mean: Exact, { facts, unit, system }: DeriveAbout): Way | undefined {
  const read = (name: string): Exact | undefined => {
    const text = factText({ facts }, name);
    return text === undefined ? undefined : exact(text);
  };
  const [factor, scatter, squares, pairs] = ['siteFactor', 'siteScatter', 'siteSquares', 'sitePairs'].map(
    read,
  );
  if (!factor || !scatter || !squares || !pairs) return undefined;
  const [low, high] = [read('siteLeast'), read('siteMost')];
  const outside = low && high && (mean.lessThan(low) || mean.greaterThan(high));
  const differs = (['moisture', 'weathering'] as const).filter((what) => {
    const of = factText({ facts }, `site-${what}`);
    const own = factText({ facts }, what);
    return of !== undefined && own !== undefined && of !== own;
  });
  return {
    factor,
    label: `the site’s own K ${factor.toDecimalPlaces(1)} from ${pairs} pairs`,
    source: SITE,
    site: { scatter, squares, pairs: pairs.toNumber() },
    remarks: [
      ...(outside
        ? [
            `The mean lies outside the indices that the site’s K was found from, ${plainOf(low.toDecimalPlaces(system === 'US' ? 0 : 2), unit)} to ${plainOf(high.toDecimalPlaces(system === 'US' ? 0 : 2), unit)}.`,
          ]
        : []),
      ...differs.map(
        (what) => `The site’s K was found on rock of another ${what}: it does not apply as it stands.`,
      ),
    ],
  };
}

function intervalOf(mean: Exact, strength: Exact, { site }: Way, about: DeriveAbout): [Exact, Exact] {
  if (!site) {
    const { low = exact(0), high = exact(0) } = about.limits.of('point.span', about.system);
    return [low.times(mean), high.times(mean)];
  }
  const half = site.scatter
    .times(studentT(CONFIDENCE, site.pairs - 1))
    .times(exact(1).plus(mean.pow(2).div(site.squares)).sqrt());
  const low = strength.minus(half);
  return [low.isNegative() ? exact(0) : low, strength.plus(half)];
}
