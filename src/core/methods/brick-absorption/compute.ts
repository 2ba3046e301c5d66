import { isWithin } from '../../limits';
import type { Exact } from '../../quantity';
import { bySeverity, type Finding, finding, Sheet, standard } from '../../working';
import type { Outcome, Result } from '../contract';
import { factMeasure } from '../facts';
import { limitFinding } from '../limit-finding';
import { resultOf } from '../outcome';
import { limitsOf, type RunSetup } from '../setup';
import type { BrickAbsorptionInput } from './input';

const C67 = standard('ASTM C67/C67M');

/**
 * What a half brick takes up cold and by boiling, and the share of the one in the other.
 * @param setup its masses as facts, g
 * @returns percent of the dry mass, and the saturation coefficient; the coefficient of a sample is the mean of these
 * Source: ASTM C67/C67M 8 (from memory).
 */
export function compute(input: BrickAbsorptionInput, setup: RunSetup): Outcome {
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const of = (name: string): Exact | undefined => factMeasure(setup, name, 'mass', 'g');
  const [Wd, W24, W5] = [of('dryMass'), of('cold'), of('boiled')];
  const sheet = new Sheet(mode);
  const results: Result[] = [];
  const percent = limits.number('brick.percent-step', 'US');
  const hundredth = limits.number('brick.saturation-step', 'US');
  const shown = { step: limits.number('brick.mass-step', 'US'), rule: 'as weighed' };
  for (const [symbol, name, value] of [
    ['Wd', 'Dry mass', Wd],
    ['W24', 'After 24 h in cold water', W24],
    ['W5', 'After 5 h of boiling', W5],
  ] as const)
    if (value)
      sheet.line({ symbol, name, formula: 'm', uses: { m: value }, unit: 'g', source: C67, round: shown });
  const give = (
    quantity: string,
    symbol: string,
    name: string,
    formula: string,
    uses: Record<string, Exact>,
  ): Exact => {
    const saturation = symbol === 'SC';
    const unit = saturation ? 'one' : 'percent';
    const step = saturation ? hundredth : percent;
    const rule = limits.of(saturation ? 'brick.saturation-step' : 'brick.percent-step', 'US').text;
    const round = { step, rule: `to ${rule}` };
    const value = sheet.line({ symbol, name, formula, uses, unit, source: C67, round });
    results.push(resultOf({ quantity, symbol, value, unit, step, mode }));
    return value;
  };
  const wrong = orderFinding(Wd, W24, W5);
  const findings: Finding[] = wrong ? [wrong] : [];
  if (Wd && W24 && !wrong)
    give('cold absorption', 'Ac', 'Absorption in cold water', '100 * (W24 - Wd) / Wd', { W24, Wd });
  if (Wd && W5 && !wrong)
    give('boiling absorption', 'Ab', 'Absorption by boiling', '100 * (W5 - Wd) / Wd', { W5, Wd });
  if (Wd && W24 && W5 && !wrong) {
    const coefficient = give(
      'saturation coefficient',
      'SC',
      'Saturation coefficient',
      '(W24 - Wd) / (W5 - Wd)',
      { W24, Wd, W5 },
    );
    if (!isWithin(coefficient, limits.of('brick.sat-usual', 'US')))
      findings.push(
        limitFinding(
          limits,
          input.system,
          { id: 'brick.sat-usual', severity: 'advice', fields: ['whole'] },
          {
            message: `A saturation coefficient of ${coefficient.toFixed(2)} is unusual.`,
            action: 'Are all three masses of this half? Look at the marks.',
          },
        ),
      );
  }
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity(findings),
    verdicts: [],
    picture: {
      kind: 'masses',
      values: {
        dry: Wd?.toNumber() ?? null,
        cold: W24?.toNumber() ?? null,
        boiled: W5?.toNumber() ?? null,
      },
    },
  };
}

/** Masses in an order that cannot be. */
function orderFinding(
  dry: Exact | undefined,
  cold: Exact | undefined,
  boiled: Exact | undefined,
): Finding | undefined {
  const words =
    dry && cold?.lessThanOrEqualTo(dry)
      ? 'It is no heavier after a day in water than dry.'
      : dry && boiled?.lessThanOrEqualTo(dry)
        ? 'It is no heavier after boiling than dry.'
        : cold && boiled?.lessThan(cold)
          ? 'It is lighter after boiling than after cold water.'
          : undefined;
  return words === undefined
    ? undefined
    : finding({
        id: 'brick.mass-order',
        severity: 'invalid',
        fields: ['whole'],
        message: words,
        action: 'Two halves were swapped, or a chip was lost: look at the marks and at the half.',
      });
}
