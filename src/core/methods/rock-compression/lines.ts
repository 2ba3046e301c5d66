import type { Limits } from '../../limits';
import { type Exact, exact, type System } from '../../quantity';
import { ourChoice, type Sheet, standard } from '../../working';
import { meanLine } from '../mean-line';
import { LENGTH_UNIT, STRESS_UNIT } from '../press/units';
import { type Profile, pairsOf } from './ends';
import type { RockCompressionInput } from './input';

const D4543 = standard('ASTM D4543');

/** Ends of a core against what is asked of them. */
export interface EndValues {
  /** Farthest point off its line, the height across an end over the diameter, the angle between the ends: the worst of each. */
  readonly flat: Exact | undefined;
  readonly square: Exact | undefined;
  readonly parallel: Exact | undefined;
}

/**
 * How flat, square and parallel the ends are, with a line of working for each diameter.
 * @param diameter mean, in or mm
 * Source: ASTM D4543 (from memory). Both dials outward: ends are parallel where their slopes are opposite.
 */
export function endLines(
  profiles: readonly Profile[],
  diameter: Exact | undefined,
  { sense, system }: Pick<RockCompressionInput, 'sense' | 'system'>,
  sheet: Sheet,
): EndValues {
  const unit = LENGTH_UNIT[system];
  const flat: Exact[] = [];
  const square: Exact[] = [];
  const parallel: Exact[] = [];
  for (const { scan, line, worst, highest, lowest } of profiles) {
    const slope = sheet.line({
      symbol: `m${scan}`,
      name: `Slope of end ${scan.charAt(0)} along ${scan.charAt(1)}, by least squares`,
      formula: 'Sxy / Sxx',
      uses: { Sxy: exact(line.sums.xy), Sxx: exact(line.sums.xx) },
      unit: 'one',
      source: ourChoice('least squares; D4543 draws the line by eye'),
      show: 4,
    });
    flat.push(
      sheet.line({
        symbol: `e${scan}`,
        name: `Farthest point off the line, end ${scan.charAt(0)} along ${scan.charAt(1)}`,
        formula: 'abs(y - my - m * (x - mx))',
        uses: {
          y: exact(worst.y),
          my: exact(line.mean.y),
          m: slope,
          x: exact(worst.x),
          mx: exact(line.mean.x),
        },
        unit,
        source: D4543,
        show: 3,
      }),
    );
    if (diameter?.greaterThan(0))
      square.push(
        sheet.line({
          symbol: `s${scan}`,
          name: `Height across end ${scan.charAt(0)} along ${scan.charAt(1)}, of the diameter`,
          formula: '(yh - yl) / D',
          uses: { yh: highest, yl: lowest, D: diameter },
          unit: 'one',
          source: D4543,
          show: 3,
        }),
      );
  }
  for (const { across, one, two } of pairsOf(profiles))
    parallel.push(
      sheet.line({
        symbol: `w${across}`,
        name: `Angle between the ends along ${across}`,
        formula: `abs(atan(m1) ${sense === 'turned' ? '-' : '+'} atan(m2)) * 180 / pi`,
        uses: { m1: exact(one.line.slope), m2: exact(two.line.slope) },
        unit: 'deg',
        source: D4543,
        show: 3,
      }),
    );
  // Away from the noise of the last bits: a limit that is met exactly is met.
  const most = (values: readonly Exact[]): Exact | undefined =>
    values.length > 0
      ? values.reduce((a, b) => (b.greaterThan(a) ? b : a)).toSignificantDigits(10)
      : undefined;
  return { flat: most(flat), square: most(square), parallel: most(parallel) };
}

/** Mean diameter, mean length and the two of them, with their lines. */
export function sizeLines(
  read: { readonly diameters: readonly Exact[]; readonly lengths: readonly Exact[] },
  system: System,
  sheet: Sheet,
): { diameter: Exact | undefined; length: Exact | undefined; ratio: Exact | undefined } {
  const mean = (symbol: string, name: string, values: readonly Exact[]): Exact | undefined =>
    values.length > 0
      ? meanLine(sheet, values, { symbol, name, unit: LENGTH_UNIT[system], source: D4543, show: 5 })
      : undefined;
  const diameter = mean('D', 'Mean diameter', read.diameters);
  const length = mean('L', 'Mean length', read.lengths);
  const ratio =
    diameter?.greaterThan(0) && length
      ? sheet.line({
          symbol: 'R',
          name: 'Length over diameter',
          formula: 'L / D',
          uses: { L: length, D: diameter },
          unit: 'one',
          source: D4543,
          show: 3,
        })
      : undefined;
  return { diameter, length, ratio };
}

/** What is printed beside a strength, where somebody asks for it. */
export function besideLine(
  beside: NonNullable<RockCompressionInput['beside']>,
  about: { readonly strength: Exact; readonly diameter: Exact; readonly length: Exact },
  { limits, system, sheet }: { limits: Limits; system: System; sheet: Sheet },
): Exact {
  const { strength: S, diameter: D, length: L } = about;
  const number = (id: Parameters<Limits['number']>[0]): Exact => limits.number(id, system);
  if (beside === 'size')
    return sheet.line({
      symbol: 'S50',
      name: 'Taken to a diameter of 50 mm',
      formula: 'S * (D / D0)^n',
      uses: { S, D, D0: number('ucs.size'), n: number('ucs.size-power') },
      unit: STRESS_UNIT[system],
      source: limits.of('ucs.size-power', system).source,
      show: 4,
    });
  const [a, b] =
    beside === 'two' ? (['ucs.two-a', 'ucs.two-b'] as const) : (['ucs.one-a', 'ucs.one-b'] as const);
  return sheet.line({
    symbol: beside === 'two' ? 'S2' : 'S1',
    name: beside === 'two' ? 'Taken to twice as long as wide' : 'Taken to as long as wide',
    formula: 'S / (a + b * D / L)',
    uses: { S, a: number(a), b: number(b), D, L },
    unit: STRESS_UNIT[system],
    source: limits.of(a, system).source,
    show: 4,
  });
}
