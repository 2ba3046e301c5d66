import type { LotAbout, LotSays, SampleOfLot } from '../../material/contract';
import { resultOf } from '../../methods/outcome';
import { type Exact, exact, meanOf } from '../../quantity';
import { Sheet, standard } from '../../working';

const INDEX = 'point load strength index';

/**
 * The anisotropy index of a lot: mean index across the planes over that along one plane, each of its groups.
 * @returns null while there is no group of each
 * Source: ASTM D5731, ISRM 1985 (from memory): Ia(50), about 1 where the rock has no direction.
 */
export function across(samples: readonly SampleOfLot[], { mode }: Pick<LotAbout, 'mode'>): LotSays | null {
  const means = (direction: string): Exact[] =>
    samples
      .filter(({ about }) => about.direction === direction)
      .flatMap(({ results }) =>
        results.filter(({ quantity }) => quantity === INDEX).map(({ value }) => exact(value)),
      );
  const [strong, weak] = [means('perpendicular'), means('parallel')];
  if (strong.length === 0 || weak.length === 0) return null;
  const [up, along] = [meanOf(strong), meanOf(weak)];
  if (!along.greaterThan(0)) return null;
  const sheet = new Sheet(mode);
  const step = '0.01';
  const ratio = sheet.line({
    symbol: 'Ia50',
    name: 'Anisotropy index, mean across the planes over mean along one plane',
    formula: 'Ip / Il',
    uses: { Ip: up, Il: along },
    unit: 'one',
    source: standard('ASTM D5731'),
    round: { step, rule: 'two decimals' },
  });
  return {
    results: [
      resultOf({ quantity: 'anisotropy index', symbol: 'Ia50', value: ratio, unit: 'one', step, mode }),
    ],
    lines: sheet.lines,
    remarks: ratio.lessThan(1)
      ? ['Weaker across the planes than along one: are the directions of the groups the wrong way round?']
      : [],
  };
}
