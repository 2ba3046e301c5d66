import { isWithin, type LimitId, type Limits } from '../../limits';
import { exact } from '../../quantity';
import type { Finding } from '../../working';
import { limitFinding } from '../limit-finding';
import { heatTo, ownCells, timesOf } from './ages';
import type { CementHeatInput } from './input';
import { type Cell, heatFrom } from './read-cells';

/**
 * Whether the cells of the cement as it came lie as near to one another as two of one mix do.
 * @returns why what they say together is provisional, where they do not, or where there is one only
 */
export function replicates(
  cells: readonly Cell[],
  input: CementHeatInput,
  limits: Limits,
): { readonly findings: Finding[]; readonly provisional: string | undefined } {
  const { system } = input;
  const own = ownCells(cells);
  if (own.length < 2)
    return {
      findings: [],
      provisional: own.length === 1 ? 'it is of one cell: two are wanted' : undefined,
    };
  const spread = (values: readonly (number | undefined)[]): { off: number; mean: number } | undefined => {
    const known = values.filter((value) => value !== undefined);
    if (known.length < 2) return undefined;
    const [low, high] = [Math.min(...known), Math.max(...known)];
    return { off: high - low, mean: known.reduce((sum, value) => sum + value, 0) / known.length };
  };
  const from = heatFrom(input, limits);
  const heats = [168, 72].map((age) => spread(own.map(({ curve }) => heatTo(curve, from, age))));
  const heat = heats.find((each) => each !== undefined);
  const [peak, half] = [
    spread(own.map((cell) => timesOf(cell).peak)),
    spread(own.map((cell) => timesOf(cell).half)),
  ];
  const held: readonly [LimitId, number | undefined, (off: number) => string][] = [
    ['heat.alike', heat?.off, (off) => `${off.toFixed(1)} J/g of heat`],
    [
      'heat.alike-peak',
      peak && (100 * peak.off) / peak.mean,
      (off) => `${off.toFixed(1)} % of the main maximum`,
    ],
    ['heat.alike-half', half?.off, (off) => `${off.toFixed(2)} h of its half`],
  ];
  const beyond = held.flatMap(([id, off, words]) =>
    off !== undefined && !isWithin(exact(off.toFixed(4)), limits.of(id, system))
      ? [{ id, words: words(off) }]
      : [],
  );
  return {
    findings: beyond.map(({ id, words }) =>
      limitFinding(
        limits,
        system,
        { id, severity: 'departure', fields: ['cells'] },
        {
          message: `Cells of one cement lie ${words} apart.`,
          action: 'A third cell before it is reported; look at masses, mixing and baseline of both.',
          remark: `Cells of one cement ${words} apart.`,
        },
      ),
    ),
    provisional:
      beyond.length === 0 || own.length > 2
        ? undefined
        : `its two cells lie ${beyond.map(({ words }) => words).join(', ')} apart: a third is run first`,
  };
}
