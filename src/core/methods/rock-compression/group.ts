import type { DeriveAbout, Derived } from '../../acceptance/set-rule';
import { isWithin } from '../../limits';
import { type Exact, exact } from '../../quantity';
import { median } from '../../statistics/median';
import { standardDeviation } from '../../statistics/summary';
import { ourChoice, Sheet } from '../../working';

/** How far the cores of a group lie apart, and which of them lies far below its neighbours. */
export function derives(mean: Exact, { pieces, limits, system, mode }: DeriveAbout): Derived {
  const values = pieces.map(({ value }) => exact(value));
  const sheet = new Sheet(mode);
  const deviation = standardDeviation(values);
  if (!deviation || !mean.greaterThan(0)) return { values: {}, said: [], lines: [], remarks: [] };
  const scatter = sheet.line({
    symbol: 'V',
    name: 'Deviation of the group, of its mean',
    formula: '100 * s / Sm',
    uses: { s: deviation, Sm: mean },
    unit: 'percent',
    source: ourChoice('as any sample, n − 1'),
    show: 3,
  });
  const middle = median(values.map(Number));
  const low = pieces.filter(
    ({ value }) => !isWithin(exact(value).div(middle).times(100), limits.of('ucs.low', system)),
  );
  return {
    values: {},
    said: [['Deviation', `${scatter.toFixed(0)} % of the mean`]],
    lines: sheet.lines,
    remarks: [
      ...(isWithin(scatter, limits.of('ucs.scatter', system))
        ? []
        : [
            `The cores deviate by ${scatter.toFixed(0)} % of their mean: are they of one rock, in one direction of its fabric?`,
          ]),
      ...low.map(
        ({ label }) =>
          `${label} lies far below the others: look at its ends, its seat and how it failed before it is averaged.`,
      ),
    ],
  };
}
