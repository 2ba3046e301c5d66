import { verdictWith } from '../../acceptance/criterion';
import { isWithin } from '../../limits';
import { type Exact, plainOf } from '../../quantity';
import { capital } from '../../words';
import { bySeverity, type Finding, finding, plain, Sheet, standard } from '../../working';
import { bendFindings, bendPicture, energyAt, fibreFactor, forceAt, meanSizes, peakOf } from '../bend/base';
import { BEND_UNITS, bendUnits } from '../bend/units';
import type { Outcome, Result } from '../contract';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { resultOf } from '../outcome';
import { STRESS_UNIT } from '../press';
import { limitsOf, type RunSetup } from '../setup';
import { deflectionsOf, drivenBy, PARTS } from './driven';
import type { FibreBeamInput } from './input';

const C1609 = standard('ASTM C1609/C1609M');
const ACI = standard('ACI 318', 'fibre concrete in shear');

export const FIRST = 'first-peak strength';

/**
 * Strengths, residual strengths and toughness of a fibre beam.
 * @param input sizes in in or mm; the record comes with the setup, its net deflection in mm
 * @returns f = P L / (b d²) at first peak, peak, L/600 and L/150; T, the area up to L/150; R = 150 T / (f1 b d²)
 * Source: ASTM C1609/C1609M 10 (from memory).
 */
export function compute(input: FibreBeamInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const bend = setup.loadLog?.bend;
  const to = bendUnits(system);
  const units = BEND_UNITS[system];
  const results: Result[] = [];
  const { b, d } = meanSizes(sheet, input, { source: C1609, limits, system });
  const L = readMeasure(input, 'span')?.value;
  const step = limits.number('bend.step', system);
  const found: Finding[] = [];
  const places = deflectionsOf(input);
  const at150 = places.at(-1);
  const strengths: Partial<Record<'f1' | 'fp' | 'f600' | 'f300' | 'f150', Exact>> = {};
  if (b && d && L) {
    const strength = (
      symbol: keyof typeof strengths,
      name: string,
      quantity: string,
      P: Exact | undefined,
    ): void => {
      if (!P || P.isZero()) return;
      const value = sheet.line({
        symbol,
        name,
        formula: `${fibreFactor(system)}P * L / (b * d^2)`,
        uses: { P, L, b, d },
        unit: STRESS_UNIT[system],
        source: C1609,
        round: { step, rule: `to ${limits.of('bend.step', system).text}` },
      });
      strengths[symbol] = value;
      results.push(resultOf({ quantity, symbol, value, unit: STRESS_UNIT[system], step, mode }));
    };
    strength(
      'f1',
      'First-peak strength',
      FIRST,
      bend?.firstPeak ? to.force(bend.firstPeak.force) : peakOf(input, bend),
    );
    strength('fp', 'Peak strength', 'peak strength', bend && to.force(bend.peak.force));
    PARTS.forEach((part, index) => {
      const at = `residual strength at L/${part}`;
      strength(`f${part}`, capital(at), at, forceAt(bend, places[index] ?? 0, system));
    });
    const T = energyAt(bend, at150 ?? 0, system);
    if (T && strengths.f1) {
      const own = limits.number('fibre.toughness-step', system);
      results.push(
        resultOf({
          quantity: 'toughness to L/150',
          symbol: 'T',
          value: T,
          unit: units.energy,
          step: own,
          mode,
        }),
      );
      const ratioStep = limits.number('fibre.ratio-step', system);
      const R = sheet.line({
        symbol: 'R',
        name: 'Equivalent flexural strength ratio',
        // T in N·mm is a thousand times that in J.
        formula: system === 'US' ? '100 * 150 * T / (f1 * b * d^2)' : '100 * 150 * 1000 * T / (f1 * b * d^2)',
        uses: { T, f1: strengths.f1, b, d },
        unit: 'percent',
        source: C1609,
        round: { step: ratioStep, rule: `to ${ratioStep} %` },
      });
      results.push(
        resultOf({
          quantity: 'equivalent flexural strength ratio',
          symbol: 'R',
          value: R,
          unit: 'percent',
          step: ratioStep,
          mode,
        }),
      );
    }
    if (bend?.firstPeak)
      results.push(
        resultOf({
          quantity: 'deflection at the first peak',
          symbol: 'd1',
          value: to.length(bend.firstPeak.at),
          unit: units.length,
          step: limits.number('bend.place-step', system),
          mode,
        }),
      );
    found.push(...spanFindings(L, d, limits, system), ...placeFindings(input, L, limits));
    if (bend && at150 && bend.end < at150)
      found.push(
        finding({
          id: 'fibre.short',
          severity: 'departure',
          fields: [],
          message: `The record ends at ${plainOf(to.length(bend.end).toSignificantDigits(3), units.length)}, before L/150.`,
          action:
            'Residual strength, toughness and ratio there are not determined. Go on to L/150 with the next one.',
          remark: 'Record ends before L/150: residual strength and toughness there not determined.',
        }),
      );
  }
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity([
      ...bendFindings(input, setup, { limits, bend, driven: drivenBy(input, limits, setup) }),
      ...found,
    ]),
    verdicts: shearVerdicts(input, strengths, setup),
    picture: bendPicture(
      input,
      bend,
      places.map((at, index) => [at, `L/${PARTS[index]}`] as const),
    ),
  };
}

/** What ACI 318 asks of fibre concrete in shear: residual strengths of the first peak, measured and at least usual. */
function shearVerdicts(
  input: FibreBeamInput,
  { f1, f300, f150 }: Partial<Record<'f1' | 'f300' | 'f150', Exact>>,
  setup: RunSetup,
): Outcome['verdicts'] {
  const { system } = input;
  const fc = readMeasure(input, 'concreteStrength')?.value;
  if (!fc || !f1) return [];
  const limits = limitsOf(setup);
  const least = fc.sqrt().times(limits.number('fibre.relation', system));
  const first = f1.greaterThan(least) ? f1 : least;
  const unit = STRESS_UNIT[system];
  return (
    [
      ['L/300', f300, 'fibre.share-300'],
      ['L/150', f150, 'fibre.share-150'],
    ] as const
  ).map(([where, value, row]) => {
    const limit = limits.number(row, system).div(100).times(first);
    const about = { criterion: `fibre-shear-${where === 'L/300' ? '300' : '150'}`, limit: plain(limit, 15) };
    if (!value)
      return verdictWith({
        ...about,
        state: 'not yet determinable',
        sentence: `Not yet determinable: the record does not reach ${where}.`,
      });
    const met = value.greaterThanOrEqualTo(limit);
    const sides = `${plainOf(value.toSignificantDigits(4), unit)} at ${where} against ${plainOf(limit.toSignificantDigits(4), unit)}, ${ACI.designation}`;
    return verdictWith({
      ...about,
      state: met ? 'meets' : 'does not meet',
      statistic: plain(value, 15),
      margin: plain(value.minus(limit), 15),
      sentence: `${met ? 'Meets' : 'Does not meet'}: ${sides}. One beam of its set.`,
    });
  });
}

function spanFindings(
  L: Exact,
  d: Exact,
  limits: ReturnType<typeof limitsOf>,
  system: FibreBeamInput['system'],
): Finding[] {
  const ratio = L.div(d);
  if (isWithin(ratio, limits.of('fibre.span', system))) return [];
  return [
    limitFinding(
      limits,
      system,
      { id: 'fibre.span', severity: 'departure', fields: ['span'], needsReason: true },
      {
        message: `The span is ${ratio.toFixed(3)} times the depth.`,
        action: 'Set the supports to this beam.',
        remark: `Span ${ratio.toFixed(3)} times the depth.`,
      },
    ),
  ];
}

function placeFindings(input: FibreBeamInput, L: Exact, limits: ReturnType<typeof limitsOf>): Finding[] {
  const a = readMeasure(input, 'place')?.value;
  if (!a) return [];
  const share = limits.number('fibre.outside', input.system).div(100);
  if (a.greaterThanOrEqualTo(L.div(3).minus(L.times(share)))) return [];
  return [
    limitFinding(
      limits,
      input.system,
      { id: 'fibre.outside', severity: 'invalid', fields: ['place'] },
      { message: 'It broke too far outside the middle third.', action: 'Discard it and say so.' },
    ),
  ];
}
