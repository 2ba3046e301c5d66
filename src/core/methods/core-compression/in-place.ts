import type { LimitId, Limits } from '../../limits';
import { type Exact, exact, interpolate, type RoundingMode, type System } from '../../quantity';
import { type Sheet, standard } from '../../working';
import type { Result } from '../contract';
import { resultOf } from '../outcome';
import { STRESS_UNIT } from '../press';

/** How moist the core was brought to its test. */
export type Conditioning = 'standard' | 'soaked' | 'dried';

const ACI214 = standard('ACI 214.4R');
const LENGTH: Readonly<Record<Conditioning, LimitId>> = {
  standard: 'core.in-place-length',
  soaked: 'core.in-place-length-soaked',
  dried: 'core.in-place-length-dried',
};
const MOISTURE: Readonly<Record<Conditioning, LimitId>> = {
  standard: 'core.in-place-moisture',
  soaked: 'core.in-place-moisture-soaked',
  dried: 'core.in-place-moisture-dried',
};
/** Diameters that the diameter factor is given for, in or mm. */
const DIAMETERS = { US: ['2', '4', '6'], SI: ['50', '100', '150'] } as const;
const DIAMETER_ROWS = ['core.in-place-dia-2', 'core.in-place-dia-4', 'core.in-place-dia-6'] as const;

/**
 * The strength in place that a core stands for: for information, never for a rule on cores.
 * @param core strength as measured, psi or MPa; length over diameter; mean diameter, in or mm
 * @returns undefined for a core shorter than its diameter or outside the diameters that the factor is given for
 * Source: ACI 214.4R (from memory): f = F_l/d · F_dia · F_mc · F_d · f_core, F_l/d = 1 − (a − α f)(2 − l/d)²; between
 * its diameters by a straight line, which is our choice.
 */
export function inPlaceEstimate(
  sheet: Sheet,
  core: { readonly strength: Exact; readonly ratio: Exact; readonly diameter: Exact },
  about: {
    readonly conditioning: Conditioning;
    readonly system: System;
    readonly limits: Limits;
    readonly mode: RoundingMode;
    readonly step: Exact;
  },
): Result | undefined {
  const { conditioning, system, limits, mode, step } = about;
  const { strength, diameter } = core;
  const number = (id: LimitId): Exact => limits.number(id, system);
  const sizes = DIAMETERS[system].map((size) => exact(size));
  const [least, , most] = sizes;
  if (core.ratio.lessThan(1) || !least || !most || diameter.lessThan(least) || diameter.greaterThan(most))
    return undefined;
  const ratio = core.ratio.greaterThan(2) ? exact(2) : core.ratio;
  const unit = STRESS_UNIT[system];
  const slope = number('core.in-place-slope').div(system === 'US' ? 1000 : 1);
  const length = sheet.line({
    symbol: 'Fl',
    name: 'In place: length factor',
    formula: '1 - (a - alpha * f) * (2 - R)^2',
    uses: { a: number(LENGTH[conditioning]), alpha: slope, f: strength, R: ratio },
    unit: 'one',
    source: ACI214,
  });
  const across = interpolate(
    diameter,
    sizes.map((size, index) => [size, number(DIAMETER_ROWS[index] ?? 'core.in-place-dia-4')] as const),
  );
  const uses = {
    Fl: length,
    Fdia: across,
    Fmc: number(MOISTURE[conditioning]),
    Fd: number('core.in-place-damage'),
    f: strength,
  };
  const value = sheet.line({
    symbol: 'fp',
    name: 'In-place strength, estimate for information',
    formula: 'Fl * Fdia * Fmc * Fd * f',
    uses,
    unit,
    source: ACI214,
    round: { step, rule: `estimate to ${step} ${unit}` },
  });
  return resultOf({
    quantity: 'in-place strength, estimate for information',
    symbol: 'fp',
    value,
    unit,
    step: step.toFixed(),
    mode,
  });
}
