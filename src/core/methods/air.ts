import type { Verdict } from '../acceptance/criterion';
import { cite, isWithin, type LimitId, type Limits } from '../limits';
import { type Exact, exact, plainOf, type System } from '../quantity';
import { type Finding, finding, type Sheet, standard } from '../working';
import { countsIn } from './counts';
import { factFlag, factMeasure, factOption } from './facts';
import { readMeasure } from './fields';
import { EXPOSURES } from './kinds';
import type { RunSetup } from './setup';
import { heldWithin } from './within';

const C231 = standard('ASTM C231/C231M');
const SIZES = ['3/8', '1/2', '3/4', '1', '1-1/2', '2', '3'] as const;
const LARGEST: Readonly<Record<System, readonly string[]>> = {
  US: ['0.375', '0.5', '0.75', '1', '1.5', '2', '3'],
  SI: ['9.5', '12.5', '19', '25', '37.5', '50', '75'],
};

/** The row of the exposure table for an aggregate: the first that is at least as large; undefined above the table. */
function exposureRow(exposure: 'F1' | 'F2' | 'F3', aggregate: Exact, system: System): LimitId | undefined {
  const index = LARGEST[system].findIndex((size) => aggregate.lessThanOrEqualTo(size));
  const size = SIZES[index];
  return size && `air.${exposure === 'F1' ? 'F1' : 'F2'}.${size}`;
}

export interface AirRange {
  readonly low: Exact;
  readonly high: Exact;
  readonly text: string;
  readonly source: string;
}

/**
 * The air the project asks for: its own target, else the exposure class's for the aggregate, with the tolerance.
 * @returns ends in percent; undefined when nothing is specified
 * Source: ACI 318 Table 19.3.3.1, tolerance ASTM C94/C94M (from memory).
 */
export function airRange(system: System, setup: RunSetup, limits: Limits): AirRange | undefined {
  const tolerance = limits.number('air.tolerance', system);
  const own = factMeasure(setup, 'air', 'percent', 'percent');
  if (own) {
    const low = own.minus(tolerance);
    const high = own.plus(tolerance);
    return {
      low,
      high,
      text: `${low} to ${high} % (target ${own} ± ${tolerance})`,
      source: 'project, ASTM C94/C94M tolerance',
    };
  }
  const exposure = factOption(setup, 'exposure', EXPOSURES);
  const aggregate = factMeasure(setup, 'aggregate', 'length', system === 'US' ? 'in' : 'mm');
  const row = exposure && aggregate && exposureRow(exposure, aggregate, system);
  if (!row) return undefined;
  const target = limits.number(row, system);
  const strength = factMeasure(setup, 'specifiedStrength', 'stress', system === 'US' ? 'psi' : 'MPa');
  const strong = strength?.greaterThan(limits.number('air.high-strength', system)) ?? false;
  // The reduction is the project's to make, not the technician's: one target or the other, never both ranges at once.
  const reduced = strong && factFlag(setup, 'airReduced');
  const asked = reduced ? target.minus(limits.number('air.high-strength-less', system)) : target;
  const low = asked.minus(tolerance);
  const high = asked.plus(tolerance);
  return {
    low,
    high,
    text: `${low} to ${high} % (${exposure}: ${reduced ? `${asked}, reduced from ${target} as the project permits` : asked} ± ${tolerance})`,
    source: 'ACI 318 Table 19.3.3.1, ASTM C94/C94M tolerance',
  };
}

/** The air content against what is asked for. */
export function airVerdicts(
  rounded: Exact | undefined,
  system: System,
  setup: RunSetup,
  limits: Limits,
): Verdict[] {
  const range = airRange(system, setup, limits);
  if (!range) return [];
  return heldWithin({
    what: 'air content',
    value: rounded && { number: rounded, text: `${rounded} %` },
    low: range.low,
    high: range.high,
    range: range.text,
    source: range.source,
    outside:
      'Tell the purchaser’s representative now; the same check and adjustment steps hold as for slump.',
  });
}

/** Volumes of a wet-sieved batch, in one unit. */
export interface SievedVolumes {
  /** Everything, absolute and air-free. */
  readonly whole: Exact;
  /** Aggregate that stayed on the sieve. */
  readonly retained: Exact;
}

/**
 * Air of the full mixture from the air of its wet-sieved part.
 * @param air of the sieved part, percent
 * @returns percent; null when the retained aggregate is not less than the whole
 * Source: ASTM C231/C231M (from memory): At = 100 As Vc / (100 Vt − As Va), Vc = Vt − Va.
 */
export function fullMixtureAir(air: Exact, { whole, retained }: SievedVolumes, sheet: Sheet): Exact | null {
  if (whole.lessThanOrEqualTo(0) || retained.greaterThanOrEqualTo(whole)) return null;
  const passing = sheet.line({
    symbol: 'Vc',
    name: 'Volume passing the sieve',
    formula: 'Vt - Va',
    uses: { Vt: whole, Va: retained },
    unit: 'one',
    source: C231,
  });
  return sheet.line({
    symbol: 'At',
    name: 'Air of the full mixture',
    formula: '100 * As * Vc / (100 * Vt - As * Va)',
    uses: { As: air, Vc: passing, Vt: whole, Va: retained },
    unit: 'percent',
    source: C231,
  });
}

/**
 * Air of the full mixture, from the volumes that were entered for its wet-sieved part.
 * @param sieved air of the sieved part, percent
 * @returns air in percent and the volume that passed the sieve; null when the volumes are impossible, undefined while
 *   they are missing: both are told as a finding
 */
export function sievedAir(
  sieved: Exact,
  input: Readonly<{ system: System; wholeVolume?: string; retainedVolume?: string }>,
  sheet: Sheet,
  findings: Finding[],
): { air: Exact; passing: Exact } | null | undefined {
  const whole = readMeasure(input, 'wholeVolume')?.value;
  const retained = readMeasure(input, 'retainedVolume')?.value;
  const known = whole && retained;
  const air = known ? fullMixtureAir(sieved, { whole, retained }, sheet) : null;
  if (known && air) return { air, passing: whole.minus(retained) };
  findings.push(
    finding({
      id: 'air.sieved-volumes',
      severity: known ? 'invalid' : 'advice',
      fields: ['wholeVolume', 'retainedVolume'],
      message: known
        ? 'The aggregate on the sieve cannot be as much as the whole mixture.'
        : 'The air of a wet-sieved part is not that of the mixture.',
      action: 'Enter the absolute volumes of the mixture and of the aggregate on the sieve, in one unit.',
    }),
  );
  return known ? null : undefined;
}

/**
 * Air of the mortar, from the air of the sieved part and the mortar's volume.
 * Source: ASTM C231/C231M (from memory): Am = 100 As Vc / (100 Vm + As (Vc − Vm)).
 */
export function mortarAir(air: Exact, passing: Exact, mortar: Exact, sheet: Sheet): Exact | null {
  const below = mortar.times(100).plus(air.times(passing.minus(mortar)));
  if (below.lessThanOrEqualTo(0)) return null;
  return sheet.line({
    symbol: 'Am',
    name: 'Air of the mortar',
    formula: '100 * As * Vc / (100 * Vm + As * (Vc - Vm))',
    uses: { As: air, Vc: passing, Vm: mortar },
    unit: 'percent',
    source: C231,
  });
}

/** Strokes and taps counted layer by layer, against the number of layers the method asks for. */
export function layerFindings(
  input: { strokes?: string; taps?: string; system: System },
  layers: number,
  limits: Limits,
): Finding[] {
  const strokes = limits.of('air.strokes', input.system);
  const taps = limits.of('air.taps', input.system);
  const rodded = countsIn(input.strokes);
  const tapped = countsIn(input.taps);
  const found: Finding[] = [];
  if (rodded.length > 0 && (rodded.length !== layers || rodded.some((each) => !isWithin(each, strokes)))) {
    found.push(
      finding({
        id: 'air.strokes',
        severity: 'invalid',
        fields: ['strokes'],
        limit: { ...cite(strokes), text: `${layers} layers of ${strokes.high} strokes` },
        message: `Counted ${rodded.join(', ')}: the method asks for ${layers} layers of ${strokes.high} strokes.`,
        action: 'Fill the bowl again from an unused portion while the clock allows.',
      }),
    );
  }
  if (tapped.some((each) => !isWithin(each, taps))) {
    found.push(
      finding({
        id: 'air.taps',
        severity: 'departure',
        fields: ['taps'],
        limit: cite(taps),
        message: `Taps counted: ${tapped.join(', ')}.`,
        action: 'Tap every layer until the holes close, ten to fifteen times; too many drive air out.',
        remark: `Taps a layer ${tapped.join(', ')}; ${taps.text}.`,
      }),
    );
  }
  return found;
}

/** How the bowl must be consolidated for a slump: `rod`, `vibrate`, or `either`. */
export function consolidationFor(slump: Exact, system: System, limits: Limits): 'rod' | 'vibrate' | 'either' {
  if (slump.greaterThan(limits.number('air-pressure.rod-above', system))) return 'rod';
  if (slump.lessThan(limits.number('air-pressure.vibrate-below', system))) return 'vibrate';
  return 'either';
}

/** How a bowl or measure is to be consolidated, as it is said in the plan. */
export const CONSOLIDATION_WORDS = { rod: 'rod only', vibrate: 'vibrate', either: 'rod or vibrate' } as const;

/** Finds a bowl or measure that was consolidated the wrong way for the slump of its sample. */
export function consolidationFindings(
  input: { consolidation?: 'rod' | 'vibrate' | 'none'; system: System },
  setup: RunSetup,
  limits: Limits,
): Finding[] {
  const unit = input.system === 'US' ? 'in' : 'mm';
  const slump = factMeasure(setup, 'measuredSlump', 'length', unit);
  if (!slump || !input.consolidation || input.consolidation === 'none') return [];
  const asked = consolidationFor(slump, input.system, limits);
  if (asked === 'either' || asked === input.consolidation) return [];
  const limit = limits.of(
    asked === 'rod' ? 'air-pressure.rod-above' : 'air-pressure.vibrate-below',
    input.system,
  );
  return [
    finding({
      id: limit.id,
      severity: 'invalid',
      fields: ['consolidation'],
      limit: cite(limit),
      message: `At a slump of ${plainOf(slump, unit)} the concrete is ${asked === 'rod' ? 'rodded, not vibrated' : 'vibrated, not rodded'}.`,
      action: 'Fill again from an unused portion, consolidated the right way, while the clock allows.',
    }),
  ];
}

/**
 * Two determinations of the air of one sample that lie too far apart.
 * @param difference in percent of air, not below zero
 * @param words the field it is shown at, what is said, and where to look before one of the two is repeated
 */
export function disagreement(
  difference: Exact,
  system: System,
  limits: Limits,
  words: { readonly field: string; readonly message: string; readonly look: string },
): Finding[] {
  const agree = limits.of('air.meters-agree', system);
  if (isWithin(difference, agree)) return [];
  const repeat = limits.of('air.meters-repeat', system);
  const wide = !isWithin(difference, repeat);
  const limit = wide ? repeat : agree;
  return [
    finding({
      id: limit.id,
      severity: 'advice',
      fields: [words.field],
      limit: cite(limit),
      message: words.message,
      action: wide ? 'Repeat one of the two.' : words.look,
    }),
  ];
}

/** Compares this air content with another made on the same sample, and with the load before. */
export function compareFindings(
  air: Exact | undefined,
  field: string,
  system: System,
  setup: RunSetup,
  limits: Limits,
): Finding[] {
  if (!air) return [];
  const found: Finding[] = [];
  const other =
    factMeasure(setup, 'otherAir', 'percent', 'percent') ??
    factMeasure(setup, 'gravimetricAir', 'percent', 'percent');
  if (other) {
    const difference = air.minus(other).abs();
    found.push(
      ...disagreement(difference, system, limits, {
        field,
        message: `It differs by ${difference.toFixed(2)} % from the other determination, ${other} %.`,
        look: 'Look at tare, moisture, relative densities and the aggregate factor.',
      }),
    );
  }
  const before = factMeasure(setup, 'previousAir', 'percent', 'percent');
  const jump = limits.of('air.jump', system);
  if (
    before &&
    air
      .minus(before)
      .abs()
      .greaterThan(jump.high ?? exact(1))
  ) {
    found.push(
      finding({
        id: 'air.jump',
        severity: 'advice',
        fields: [field],
        limit: cite(jump),
        message: `The load before this one had ${before} %.`,
        action: 'Repeat on a new portion before anybody acts on it.',
      }),
    );
  }
  return found;
}
