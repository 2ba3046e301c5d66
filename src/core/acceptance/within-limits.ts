import { type Exact, exact, type UnitId } from '../quantity';
import { shareBelowBeta } from '../statistics/beta';
import { numbered, type Sheet, type Source } from '../working';

/**
 * Share of a lot that lies at or above a lower limit, as its few tests let one say: the quality index, taken through a
 * beta distribution as the printed tables of percent within limits are (n = 4: 50 + 100 Q / 3).
 * @param values results of the lot, at least three, in one unit, in the order they are printed
 * @param lower what one result may not fall below, in their unit
 * @param to where the lines go; `unit` is that of the results
 * @returns percent, 0 to 100, unrounded
 * Source: AC 150/5370-10, Item C-110 (from memory).
 */
export function shareWithin(
  values: readonly Exact[],
  lower: Exact,
  { sheet, unit, source }: { readonly sheet: Sheet; readonly unit: UnitId; readonly source: Source },
): Exact {
  const uses = numbered('x', values);
  const list = Object.keys(uses).join(', ');
  const line = (symbol: string, name: string, formula: string, given: Readonly<Record<string, Exact>>) =>
    sheet.line({ symbol, name, formula, uses: given, unit, source, show: 6 });
  const share = (formula: string, given: Readonly<Record<string, Exact>>, name: string): Exact =>
    sheet.line({ symbol: 'PWL', name, formula, uses: given, unit: 'percent', source, show: 6 });
  const m = line('m', 'Mean', `mean(${list})`, uses);
  const s = line('s', 'Standard deviation', `std(${list})`, uses);
  // All alike: the whole lot stands where they do.
  if (s.isZero())
    return share(m.lessThan(lower) ? '0' : '100', {}, 'Share within limits: the results are all alike');
  const number = (symbol: string, name: string, formula: string, given: Readonly<Record<string, Exact>>) =>
    sheet.line({ symbol, name, formula, uses: given, unit: 'one', source, show: 6 });
  const Q = number('Q', 'Quality index', '(m - L) / s', { m, L: lower, s });
  const n = exact(values.length);
  const x = number(
    'x',
    'Where the limit lies in the distribution',
    'max(0, min(1, 0.5 - Q * sqrt(n) / (2 * (n - 1))))',
    {
      Q,
      n,
    },
  );
  const shape = values.length / 2 - 1;
  const B = exact(shareBelowBeta(x.toNumber(), shape, shape));
  return share(
    '100 * (1 - B)',
    { B },
    `Share within limits; B: beta distribution (${shape}, ${shape}) below x`,
  );
}
