import type { LimitId, Limits } from '../../limits';
import type { Exact, RoundingMode, System } from '../../quantity';
import type { Sheet, Source } from '../../working';
import type { Result } from '../contract';
import { resultOf } from '../outcome';
import { STRESS_UNIT } from './units';

interface About {
  /** lbf or kN. */
  readonly load: Exact;
  /** in² or mm², already on the sheet as A. */
  readonly area: Exact;
  readonly system: System;
  readonly limits: Limits;
  /** What the strength is reported to. */
  readonly step: LimitId;
  readonly mode: RoundingMode;
  readonly source: Source;
  /** Symbols of load and strength as the method's own standard writes them. */
  readonly symbols: { readonly load: 'P' | 'F'; readonly strength: 'f' | 'fc' };
}

/**
 * The compressive strength of a specimen as one line of the sheet and as a result.
 * @returns psi or MPa, unrounded in the result's value, rounded once in its text
 * Source: arithmetic, load over area; the step is the method's.
 */
export function compressiveStrength(sheet: Sheet, about: About): Result {
  const { load, area, system, limits, mode, source, symbols } = about;
  const step = limits.number(about.step, system);
  const unit = STRESS_UNIT[system];
  const other = system === 'US' ? 'SI' : 'US';
  const value = sheet.line({
    symbol: symbols.strength,
    name: 'Compressive strength',
    formula: system === 'US' ? `${symbols.load} / A` : `1000 * ${symbols.load} / A`,
    uses: { [symbols.load]: load, A: area },
    unit,
    source,
    round: { step, rule: `strength to ${step} ${unit}` },
  });
  return resultOf({
    quantity: 'compressive strength',
    symbol: symbols.strength,
    value,
    unit,
    step,
    mode,
    other: { unit: STRESS_UNIT[other], step: limits.number(about.step, other) },
  });
}
