import { isWithin } from '../../limits';
import type { LotAbout, LotSays, SampleOfLot } from '../../material/contract';
import type { Result } from '../../methods/contract';
import { resultOf } from '../../methods/outcome';
import { type Exact, exact, meanOf } from '../../quantity';
import { type LineRequest, Sheet, standard } from '../../working';

const INDEX = 'point load strength index';
const STRENGTH = 'uniaxial strength';

/** Every result of a quantity that the samples of a lot gave, in the unit of the job. */
function valuesOf(samples: readonly SampleOfLot[], quantity: string): Exact[] {
  return samples.flatMap(({ results }) =>
    results.filter((each) => each.quantity === quantity).map(({ value }) => exact(value)),
  );
}

/** The mean of what is there; undefined for nothing. */
const meanAll = (values: readonly Exact[]): Exact | undefined =>
  values.length > 0 ? meanOf(values) : undefined;

/** A line for one mean over another; undefined where either is not there. */
function quotient(
  sheet: Sheet,
  over: Exact | undefined,
  under: Exact | undefined,
  {
    names: [a, b],
    ...about
  }: Pick<LineRequest, 'symbol' | 'name' | 'source' | 'round'> & {
    readonly names: readonly [string, string];
  },
): Exact | undefined {
  return over && under?.greaterThan(0)
    ? sheet.line({ ...about, formula: `${a} / ${b}`, uses: { [a]: over, [b]: under }, unit: 'one' })
    : undefined;
}

/**
 * What the groups of a lot say together: the anisotropy index, mean index across the planes over that along one plane; and the
 * strength of its cores over the index of its pieces, which is what a factor K stands for.
 * @returns null while there are no two groups of either
 * Source: ASTM D5731, ISRM 1985 (from memory): Ia(50), about 1 where the rock has no direction; strength is 15 to 50 times the
 *   index.
 */
export function across(
  samples: readonly SampleOfLot[],
  { mode, limits, system }: Pick<LotAbout, 'mode' | 'limits' | 'system'>,
): LotSays | null {
  const sheet = new Sheet(mode);
  const of = (direction: string): Exact | undefined =>
    meanAll(
      valuesOf(
        samples.filter(({ about }) => about.direction === direction),
        INDEX,
      ),
    );
  const anisotropy = quotient(sheet, of('perpendicular'), of('parallel'), {
    symbol: 'Ia50',
    name: 'Anisotropy index, mean across the planes over mean along one plane',
    names: ['Ip', 'Il'],
    source: standard('ASTM D5731'),
    round: { step: '0.01', rule: 'two decimals' },
  });
  const factor = quotient(sheet, meanAll(valuesOf(samples, STRENGTH)), meanAll(valuesOf(samples, INDEX)), {
    symbol: 'K',
    name: 'Mean strength of the cores over the mean index of the pieces',
    names: ['S', 'Is'],
    source: standard('ISRM suggested method, point load strength, 1985'),
    round: { step: '0.1', rule: 'one decimal' },
  });
  if (!anisotropy && !factor) return null;
  const usual = limits.of('ucs.index', system);
  const result = (quantity: string, symbol: string, value: Exact | undefined, step: string): Result[] =>
    value ? [resultOf({ quantity, symbol, value, unit: 'one', step, mode })] : [];
  return {
    results: [
      ...result('anisotropy index', 'Ia50', anisotropy, '0.01'),
      ...result('strength over index', 'K', factor, '0.1'),
    ],
    lines: sheet.lines,
    remarks: [
      ...(anisotropy?.lessThan(1)
        ? ['Weaker across the planes than along one: are the directions of the groups the wrong way round?']
        : []),
      ...(factor && !isWithin(factor, usual)
        ? [
            `The cores bear ${factor.toFixed(1)} times the index of the pieces, where ${usual.text} is usual: look at both again.`,
          ]
        : []),
    ],
  };
}
