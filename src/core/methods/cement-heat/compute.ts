import type { Limits } from '../../limits';
import { type Exact, exact } from '../../quantity';
import { bySeverity, ourChoice, Sheet, standard } from '../../working';
import { cementVerdicts } from '../cement/said';
import type { Outcome, Result } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { resultOf } from '../outcome';
import { limitsOf, type RunSetup } from '../setup';
import { HALF, HEATS, heatTo, ownCells, PEAK, timesOf } from './ages';
import { blendLines, blendsOf } from './blends';
import { heatFindings } from './findings';
import type { CementHeatInput } from './input';
import { heatPicture } from './picture';
import { type Cell, heatFrom, readCells, wattsOf } from './read-cells';
import { replicates } from './replicates';
import { judgedDoses } from './series';

const C1702 = standard('ASTM C1702');
const FOUND = ourChoice('found in the record, version 1 of the search');

/**
 * Heat of a cement from the power that it gives off, cell by cell: baseline taken off, to a gram of cement, added up.
 * @param input masses in g, baselines in the unit of the record @param setup the record that is kept with the run
 * @returns heat at ages, main maximum and half of it, of the cells of the cement as it came
 * Source: ASTM C1702 and C1679, EN 196-11 (from memory); how a curve is searched is our choice.
 */
export function compute(input: CementHeatInput, setup: RunSetup): Outcome {
  const limits = limitsOf(setup);
  const { system } = input;
  const sheet = new Sheet(setup.rounding ?? 'half-even');
  const cells = readCells(input, setup, limits);
  cellLines(input, cells, sheet);
  const alike = replicates(cells, input, limits);
  const results = resultsOf(input, cells, limits, sheet, alike.provisional);
  const blends = blendsOf(cells, heatFrom(input, limits));
  blendLines(blends, sheet);
  const doses = judgedDoses(cells, limits, system);
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity([
      ...equipmentUse(
        input,
        { calorimeter: 'departure', balance: 'departure' },
        input.finishedAt,
        setup,
        limits,
      ),
      ...heatFindings(input, setup, cells, limits),
      ...alike.findings,
      ...(doses?.findings ?? []),
    ]),
    verdicts: input.ofJob
      ? []
      : (['heat-3d', 'heat-7d'] as const).flatMap((property, place) =>
          cementVerdicts(
            ...([setup, limits, system, property, HEATS[place + 2]?.[1] ?? ''] as const),
            results.find(({ quantity }) => quantity === HEATS[place + 2]?.[1]),
          ),
        ),
    picture: heatPicture(input, cells, limits, { doses, blends }),
  };
}

/** What is in each vial, how it matches its reference, and its calibration: a number behind each symbol for each cell. */
function cellLines(input: CementHeatInput, cells: readonly Cell[], sheet: Sheet): void {
  for (const [place, { name, recipe, capacity, weighed, sulfate }] of cells.entries()) {
    const of = (symbol: string): string => `${symbol}${place + 1}`;
    if (!recipe) continue;
    const { cement, water, solids, paste } = recipe;
    sheet.line({
      symbol: of('m'),
      name: `Cement in the vial, cell ${name}`,
      formula: 'mp * mc / (mc + mw + ms)',
      uses: { mp: paste, mc: cement, mw: water, ms: solids },
      unit: 'g',
      source: C1702,
      show: 4,
    });
    if (capacity !== undefined && weighed !== undefined)
      sheet.line({
        symbol: of('d'),
        name: `Reference off its heat capacity, cell ${name}`,
        formula: '100 * (Cr - C) / C',
        uses: { Cr: exact(weighed.toFixed(4)), C: exact(capacity.toFixed(4)) },
        unit: 'percent',
        source: ourChoice('specific heats of handbooks'),
        show: 3,
      });
    const heater = (input.heater ?? []).length > 0 ? wattsOf(input, name) : undefined;
    if (heater !== undefined)
      sheet.line({
        symbol: of('e'),
        name: `Watts to a volt, cell ${name}`,
        formula: 'e',
        uses: { e: exact(heater.toPrecision(6)) },
        unit: 'one',
        source: ourChoice('V² to R, by the rise of the voltage'),
        show: 4,
      });
    if (sulfate !== undefined)
      sheet.line({
        symbol: of('s'),
        name: `Sulfate as SO3, cell ${name}`,
        formula: 's',
        uses: { s: exact(sulfate.toFixed(5)) },
        unit: 'percent',
        source: ourChoice('by masses'),
        show: 3,
      });
  }
}

function resultsOf(
  input: CementHeatInput,
  cells: readonly Cell[],
  limits: Limits,
  sheet: Sheet,
  provisional: string | undefined,
): Result[] {
  const own = ownCells(cells);
  const from = heatFrom(input, limits);
  const meanOf = (
    about: { quantity: string; symbol: string; name: string; unit: Result['unit']; step: Exact },
    values: readonly (number | undefined)[],
    digits: number,
  ): Result[] => {
    // Of two cells the mean, and of none of them where one does not reach that far.
    const known = values.filter((value) => value !== undefined);
    if (known.length === 0 || known.length < values.length) return [];
    const uses = Object.fromEntries(
      known.map((value, place) => [`${about.symbol}_${place + 1}`, exact(value.toFixed(digits))]),
    );
    const value = sheet.line({
      symbol: about.symbol,
      name: about.name,
      formula: `(${Object.keys(uses).join(' + ')}) / ${known.length}`,
      uses,
      unit: about.unit,
      source: FOUND,
    });
    return [
      resultOf({
        ...{ quantity: about.quantity, symbol: about.symbol, value, unit: about.unit, step: about.step },
        ...(about.unit === 'J/g' ? { other: { unit: 'cal/g' as const, step: exact('0.1') } } : {}),
        mode: sheet.mode,
        ...(provisional ? { provisional } : {}),
      }),
    ];
  };
  const step = (id: 'heat.step' | 'heat.step-power' | 'heat.step-time') => limits.number(id, input.system);
  const times = own.map(timesOf);
  return [
    ...HEATS.flatMap(([age, quantity, symbol]) =>
      meanOf(
        {
          ...{ quantity, symbol, unit: 'J/g', step: step('heat.step') },
          name: `${quantity.replace(/^h/u, 'H')}, from ${(from * 60).toFixed(0)} min on`,
        },
        own.map(({ curve }) => heatTo(curve, from, age)),
        3,
      ),
    ),
    ...meanOf(
      { quantity: PEAK, symbol: 'p', name: 'Main maximum', unit: 'mW/g', step: step('heat.step-power') },
      times.map(({ peak }) => peak),
      4,
    ),
    ...meanOf(
      { quantity: HALF, symbol: 't50', name: 'Half of the maximum', unit: 'h', step: step('heat.step-time') },
      times.map(({ half }) => half),
      4,
    ),
  ];
}
