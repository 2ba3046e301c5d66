import type { Limits } from '../limits';
import { type Exact, exact, meanOf, type RoundingMode, roundedText, type System } from '../quantity';
import { rangePercent } from '../statistics';

/** What mortar cubes or grout prisms of one age say together. */
export interface SmallSet {
  /** Reported mean of the unrounded strengths that count; null while there is none to report. */
  readonly text: string | null;
  /** Places in the list of the strengths that count. */
  readonly used: readonly number[];
  readonly sentence: string;
}

function range(values: readonly Exact[]): Exact {
  // The rule compares a range to a tenth of a percent.
  return (rangePercent(values) ?? exact(0)).toDecimalPlaces(1);
}

/**
 * The result of the mortar cubes of one batch and age.
 * @param strengths unrounded, of the cubes that are not manifestly faulty
 * @returns the mean; of three beyond their range the mean of the two nearest one another, when those agree
 * Source: ASTM C109/C109M (from memory): 8.7 % for three, 7.6 % for two; two cubes equally far from the mean are left to
 * a person, which is our choice.
 */
export function mortarSet(
  strengths: readonly string[],
  system: System,
  limits: Limits,
  mode: RoundingMode = 'half-even',
): SmallSet {
  const values = strengths.map((value) => exact(value));
  const all = values.map((_, index) => index);
  const [three, two] = [
    limits.number('mortar-cube.range-3', system),
    limits.number('mortar-cube.range-2', system),
  ];
  const step = limits.number('small.step', system);
  const mean = (places: readonly number[]): string =>
    roundedText(meanOf(places.flatMap((place) => values[place] ?? [])), step, mode);
  const ofPlaces = (places: readonly number[]): Exact =>
    range(places.flatMap((place) => values[place] ?? []));
  if (values.length < 2)
    return { text: null, used: [], sentence: 'Fewer than two good cubes: the test is made again.' };
  if (values.length === 2) {
    const spread = range(values);
    const good = spread.lessThanOrEqualTo(two);
    return {
      text: good ? mean(all) : null,
      used: good ? all : [],
      sentence: `Range ${spread.toFixed(1)} % of the mean of two; ${two} % is allowed.${good ? '' : ' The test is made again.'}`,
    };
  }
  const spread = range(values);
  if (values.length > 3 || spread.lessThanOrEqualTo(three))
    return {
      text: mean(all),
      used: all,
      sentence:
        values.length > 3
          ? `Range ${spread.toFixed(1)} % of the mean of ${values.length}: the rule is for two and for three cubes.`
          : `Range ${spread.toFixed(1)} % of the mean of three; ${three} % is allowed.`,
    };
  const middle = meanOf(values);
  const distance = values.map((value) => value.minus(middle).abs());
  const farthest = distance.reduce((most, each) => (each.greaterThan(most) ? each : most), exact(0));
  const tied = all.filter((place) => distance[place]?.equals(farthest));
  const pairs = tied
    .map((place) => all.filter((each) => each !== place))
    .filter((pair) => ofPlaces(pair).lessThanOrEqualTo(two));
  const beyond = `Range ${spread.toFixed(1)} % of the mean of three, more than ${three} %`;
  const [pair] = pairs;
  if (!pair)
    return {
      text: null,
      used: [],
      sentence: `${beyond}; no two agree within ${two} %. The test is made again.`,
    };
  if (pairs.length > 1)
    return {
      text: null,
      used: [],
      sentence: `${beyond}; two cubes lie equally far from the mean. A reviewer decides which one is left out.`,
    };
  return {
    text: mean(pair),
    used: pair,
    sentence: `${beyond}: the cube farthest from the mean is left out. The other two: ${ofPlaces(pair).toFixed(1)} %; ${two} % is allowed.`,
  };
}

/**
 * The result of the grout prisms of one age.
 * @param strengths unrounded
 * @param specified strength asked for, psi or MPa; undefined where none is on record
 * @returns the mean of all; a wide range is said, nothing is dropped
 * Source: ASTM C1019: three prisms (from memory); the range is our choice.
 */
export function groutSet(
  strengths: readonly string[],
  specified: Exact | undefined,
  system: System,
  limits: Limits,
  mode: RoundingMode = 'half-even',
): SmallSet | undefined {
  if (strengths.length < 2) return undefined;
  const values = strengths.map((value) => exact(value));
  const least = limits.number('grout-prism.count', system).toNumber();
  const most = limits.number('grout-prism.range', system);
  const spread = range(values);
  const mean = meanOf(values);
  const text = roundedText(mean, limits.number('small.step', system), mode);
  const words = [
    `Range ${spread.toFixed(1)} % of the mean${spread.greaterThan(most) ? `, more than ${most} %: look at caps and sides` : ''}.`,
    ...(values.length < least ? [`${values.length} of the ${least} prisms the method asks for.`] : []),
    ...(specified
      ? [
          // A mean is compared unrounded.
          `The mean is ${mean.lessThan(specified) ? 'below' : 'not below'} the strength asked for.`,
        ]
      : []),
  ];
  return { text, used: values.map((_, index) => index), sentence: words.join(' ') };
}
