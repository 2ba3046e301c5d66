import type { Limits } from '../../limits';
import { type Exact, exact, interpolate, type System } from '../../quantity';
import type { Sheet } from '../../working';
import { standard } from '../../working';

/**
 * Correction for the alcohol in a volumetric meter.
 * @param pints of 70 % isopropyl alcohol, US pints
 * @returns percent to subtract: none below 2.5 pints, then by straight lines in the table; the last row beyond it
 * Source: ASTM C173/C173M table (from memory). Straight lines between its rows are our choice.
 */
export function alcoholCorrection(pints: Exact, limits: Limits, system: System): Exact {
  if (pints.lessThan(limits.number('air-volumetric.no-correction', system))) return exact(0);
  return interpolate(pints, correctionTable(limits, system));
}

function correctionTable(limits: Limits, system: System): (readonly [Exact, Exact])[] {
  return [
    [exact(2), limits.number('air-volumetric.correction-2', system)],
    [exact(3), limits.number('air-volumetric.correction-3', system)],
    [exact(4), limits.number('air-volumetric.correction-4', system)],
    [exact(5), limits.number('air-volumetric.correction-5', system)],
  ];
}

/** The correction as a line of the sheet, with the two rows it stands between. */
export function correctionLine(pints: Exact, limits: Limits, system: System, sheet: Sheet): Exact {
  const value = alcoholCorrection(pints, limits, system);
  const source = standard('ASTM C173/C173M', 'table of alcohol corrections');
  const table = correctionTable(limits, system);
  const above = table.findIndex(([at]) => at.greaterThanOrEqualTo(pints));
  const [low, high] = [table[above - 1], table[above]];
  if (value.isZero() || !low || !high || pints.equals(high[0])) {
    return sheet.line({
      symbol: 'C',
      name: 'Alcohol correction, from the table',
      formula: 'c',
      uses: { c: value },
      unit: 'percent',
      source,
    });
  }
  return sheet.line({
    symbol: 'C',
    name: 'Alcohol correction, between two rows of the table',
    formula: 'c0 + (c1 - c0) * (p - p0) / (p1 - p0)',
    uses: { c0: low[1], c1: high[1], p: pints, p0: low[0], p1: high[0] },
    unit: 'percent',
    source,
  });
}
