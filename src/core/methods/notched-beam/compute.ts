import { verdictWith } from '../../acceptance/criterion';
import { isWithin } from '../../limits';
import { type Exact, plainOf } from '../../quantity';
import { bySeverity, type Finding, plain, Sheet, standard } from '../../working';
import { WIDTHS } from '../beam/sizes';
import { bendFindings, bendPicture, fibreFactor, forceAt, meanReadLine } from '../bend/base';
import { bendUnits } from '../bend/units';
import type { Outcome, Result } from '../contract';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { resultOf } from '../outcome';
import { STRESS_UNIT } from '../press';
import { limitsOf, type RunSetup } from '../setup';
import { drivenBy, OPENINGS, placesOf } from './driven';
import type { NotchedBeamInput } from './input';

const EN = standard('EN 14651');

export const LOP = 'limit of proportionality';

/**
 * Limit of proportionality and residual strengths of a notched beam loaded in the middle.
 * @param input sizes in in or mm; the record comes with the setup
 * @returns f = 3 F l / (2 b h²), h the height above the notch
 * Source: EN 14651 9 (from memory).
 */
export function compute(input: NotchedBeamInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const bend = setup.loadLog?.bend;
  const to = bendUnits(system);
  const results: Result[] = [];
  const findings: Finding[] = [];
  const b = meanReadLine(sheet, input, WIDTHS, {
    symbol: 'b',
    name: 'Width, mean',
    source: EN,
    limits,
    system,
  });
  const h = meanReadLine(sheet, input, ['above1', 'above2'], {
    symbol: 'h',
    name: 'Height above the notch, mean',
    source: EN,
    limits,
    system,
  });
  const l = readMeasure(input, 'span')?.value;
  const { at } = placesOf(input);
  const strengths: (Exact | undefined)[] = [];
  if (b && h && l) {
    const step = limits.number('notch.step', system);
    const strength = (symbol: string, name: string, quantity: string, F: Exact | undefined): void => {
      const value =
        F &&
        !F.isZero() &&
        sheet.line({
          symbol,
          name,
          formula: `${fibreFactor(system)}3 * F * l / (2 * b * h^2)`,
          uses: { F, l, b, h },
          unit: STRESS_UNIT[system],
          source: EN,
          round: { step, rule: `to ${limits.of('notch.step', system).text}` },
        });
      strengths.push(value || undefined);
      if (value) results.push(resultOf({ quantity, symbol, value, unit: STRESS_UNIT[system], step, mode }));
    };
    strength('fL', 'Limit of proportionality', LOP, bend?.upTo ? to.force(bend.upTo.force) : undefined);
    OPENINGS.forEach((opening, index) => {
      strength(
        `fR${index + 1}`,
        `Residual strength at ${opening} mm`,
        `residual strength at ${opening} mm`,
        forceAt(bend, at[index] ?? 0, system),
      );
    });
    const held = (
      id: 'notch.depth' | 'notch.span' | 'notch.width',
      value: Exact | undefined,
      field: string,
      what: string,
    ): void => {
      if (!value || isWithin(value, limits.of(id, system))) return;
      findings.push(
        limitFinding(
          limits,
          system,
          { id, severity: 'departure', fields: [field], needsReason: true },
          {
            message: `${what} ${plainOf(value.toSignificantDigits(4), limits.of(id, system).unit)}.`,
            action: 'Say so with the beam; saw the next one to it, wet, after turning it a quarter.',
            remark: `${what} ${plainOf(value.toSignificantDigits(4), limits.of(id, system).unit)}.`,
          },
        ),
      );
    };
    held('notch.depth', h, 'above1', 'Height above the notch');
    held('notch.span', l, 'span', 'Span');
    held('notch.width', readMeasure(input, 'notchWide')?.value, 'notchWide', 'Notch of');
  }
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity([
      ...bendFindings(input, setup, { limits, bend, driven: drivenBy(input, limits) }),
      ...findings,
    ]),
    verdicts: fibreVerdicts(strengths, setup, system),
    picture: bendPicture(
      input,
      bend,
      OPENINGS.map((opening, index) => [at[index] ?? 0, `${opening} mm`] as const),
    ),
  };
}

/** Steel fibres in their reference concrete, and structural use: of one beam, which is no characteristic value. */
function fibreVerdicts(
  [fL, fR1, , fR3, fR4]: readonly (Exact | undefined)[],
  setup: RunSetup,
  system: NotchedBeamInput['system'],
): Outcome['verdicts'] {
  const limits = limitsOf(setup);
  const unit = STRESS_UNIT[system];
  const rows = [
    ['notch-first', fR1, limits.of('notch.first', system), unit],
    ['notch-last', fR4, limits.of('notch.last', system), unit],
    ['notch-first-share', fR1 && fL && fR1.div(fL), limits.of('notch.first-share', system), 'one'],
    ['notch-third-share', fR3 && fR1 && fR3.div(fR1), limits.of('notch.third-share', system), 'one'],
  ] as const;
  return rows.flatMap(([criterion, value, limit, as]) => {
    if (!value || !limit.low) return [];
    const met = value.greaterThanOrEqualTo(limit.low);
    return [
      verdictWith({
        criterion,
        limit: plain(limit.low, 15),
        state: met ? 'meets' : 'does not meet',
        statistic: plain(value, 15),
        margin: plain(value.minus(limit.low), 15),
        sentence: `${met ? 'Meets' : 'Does not meet'}: ${plainOf(value.toSignificantDigits(3), as)} against ${plainOf(limit.low, as)}, ${limit.title.toLowerCase()}. One beam is no characteristic value.`,
      }),
    ];
  });
}
