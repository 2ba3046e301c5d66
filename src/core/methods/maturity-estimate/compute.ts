import { projected, strengthAt } from '../../maturity';
import { exact, plainOf } from '../../quantity';
import { worthOf } from '../../temperature';
import type { Wait } from '../../waits/wait';
import { bySeverity, ourChoice, Sheet, standard } from '../../working';
import type { Outcome, Result } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { factText } from '../facts';
import { readMeasure } from '../fields';
import { bandText } from '../maturity/band';
import { functionWords, indexUnit } from '../maturity/function';
import { STRESS } from '../maturity/strengths';
import { resultOf } from '../outcome';
import type { RunSetup } from '../setup';
import { measured } from '../temperature/units';
import { confirmedBy } from './confirmed';
import { findings } from './findings';
import type { MaturityEstimateInput } from './input';
import { HOUR_MS, type Known, knownOf } from './known';

const C1074 = standard('ASTM C1074');
/** °C and days of standard curing up to the specified age. */
const STANDARD_CURE = 23;
const STANDARD_DAYS = 28;
const DAY_H = 24;
export const COUNTED = 'strength to be counted on';

/**
 * The strength of a member by its maturity, and when it comes to what an operation asks.
 * @param input operation and strength that is asked, record of the member, supplementary test
 * @param setup.facts the calibration of its mix
 * @returns what may be counted on, psi or MPa; it is an estimate and never a test of acceptance
 * Source: ASTM C1074 (from memory); lower edge, allowance and forecast are our choice.
 */
export function compute(input: MaturityEstimateInput, setup: RunSetup): Outcome {
  const known = knownOf(input, setup);
  const { limits, calibration, now, asked, counted } = known;
  const { system } = input;
  const unit = STRESS[system];
  const sheet = new Sheet(setup.rounding ?? 'half-even');
  const results: Result[] = [];
  const own = ourChoice('lower edge of the curve, less what a batch may differ');
  if (calibration && now) {
    const { how, curve } = calibration;
    const step = limits.number('maturity.strength-step', system);
    const indexStep = limits.number('maturity.index-step', system);
    const put = (
      quantity: string,
      symbol: string,
      value: number,
      of: Result['unit'],
      by: typeof step | string,
      words: string,
      source = C1074,
    ): void => {
      const line = sheet.line({
        symbol,
        name: words,
        formula: 'x',
        uses: { x: measured(value) },
        unit: of,
        source,
        round: { step: by, rule: `to ${plainOf(exact(by), of)}` },
      });
      results.push(resultOf({ quantity, symbol, value: line, unit: of, step: by, mode: sheet.mode }));
    };
    if (counted !== undefined) {
      put(COUNTED, 'Sd', counted, unit, step, 'Strength that may be counted on', own);
      put(
        'strength by the curve',
        'S',
        Math.max(0, strengthAt(curve, now.best)),
        unit,
        step,
        'Strength by the curve, best estimate',
      );
    }
    const later = carriedOn(input, known.calibration);
    if (later !== undefined)
      put(
        'strength at 28 days by early cylinders',
        'S28',
        later,
        unit,
        step,
        'Early strength, and the slope of the mix times the tenfolds of its index up to 28 days at 23 °C',
        standard('ASTM C918/C918M'),
      );
    const word = indexUnit(how);
    put(
      `maturity index, ${word}`,
      'M',
      now.decision,
      'one',
      indexStep,
      `Maturity index of ${now.sensor.name}, ${word}`,
    );
    if (asked !== undefined) {
      put(
        `index that is asked, ${word}`,
        'Mr',
        asked,
        'one',
        indexStep,
        `Index from which the strength that is asked may be counted on, ${word}`,
        own,
      );
      if (known.forecast && typeof known.forecast.expected === 'number')
        put(
          'expected in',
          'h',
          known.forecast.expected,
          'h',
          '1',
          'Hours until then, by the air that is expected',
          own,
        );
    }
  }
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity([
      ...equipmentUse(input, { logger: 'departure' }, input.readAt, setup, limits),
      ...findings(known),
    ]),
    verdicts: [],
    picture: pictureOf(known),
  };
}

/** The strength of early, standard-cured cylinders carried on to 28 days; undefined where it is not known. */
function carriedOn(input: MaturityEstimateInput, calibration: Known['calibration']): number | undefined {
  const [strength, index] = ['supplementaryStrength', 'earlyIndex'].map((name) =>
    readMeasure(input, name)?.value.toNumber(),
  );
  if (input.supplementary !== 'C918' || !strength || !index || !calibration?.slope) return undefined;
  const perHour = worthOf(calibration.how, STANDARD_CURE);
  // A day at the least: before it the slope of a mix is another one.
  if (index < perHour * DAY_H) return undefined;
  return projected({ strength, index }, calibration.slope, perHour * DAY_H * STANDARD_DAYS);
}

/** What is asked, with the hour that it is expected at: to be read again then. */
export function waits(input: MaturityEstimateInput, setup: RunSetup): Wait[] {
  const { now, forecast, counted } = knownOf(input, setup);
  const required = readMeasure(input, 'required')?.value.toNumber();
  if (!now || now.zero === null || !forecast || (counted !== undefined && required && counted >= required))
    return [];
  const at = (hours: number): string => new Date((now.zero ?? 0) + (now.at + hours) * HOUR_MS).toISOString();
  const { soonest, expected, latest } = forecast;
  if (soonest === null) return [];
  return [
    {
      id: 'reached',
      what: `Read the maturity again${input.where ? `: ${input.where.slice(0, 60)}` : ''}`,
      lane: 'field',
      opens: at(soonest),
      ...(expected === null ? {} : { best: at(expected) }),
      ...(latest === null ? {} : { closes: at(latest) }),
      provisional: 'a forecast by the air that is expected',
    },
  ];
}

function pictureOf(known: Known): Outcome['picture'] {
  const { input, limits, calibration, now, asked, counted, forecast } = known;
  const { system } = input;
  return {
    kind: 'maturity curve',
    values: {
      unit: STRESS[system],
      index: indexUnit(calibration?.how),
      how: calibration ? functionWords(calibration.how, system) : '',
      curve: calibration?.curve.id ?? '',
      ...(calibration ? bandText(calibration.curve, limits, system) : {}),
      pairs: factText(known.setup, 'calibration') ?? '',
      now: now && counted !== undefined ? `${now.decision.toFixed(1)}/${counted.toFixed(2)}` : null,
      asked: asked === undefined ? null : asked,
      required: readMeasure(input, 'required')?.value.toNumber() ?? null,
      verified: (input.verified ?? [])
        .flatMap((row) => {
          const [index, strength] = [readMeasure(row, 'index'), readMeasure(row, 'strength')];
          return index && strength ? [`${index.value.toNumber()}/${strength.value.toNumber()}`] : [];
        })
        .join(' '),
      confirmed: calibration
        ? confirmedBy(known, calibration.curve)
            .map(({ percent, own }, place) => `${own ? 'own' : 'before'}=${place + 1}/${percent.toFixed(2)}`)
            .join(',')
        : '',
      offMost: limits.number('maturity.verified', system).toNumber(),
      sensor: now?.sensor.name ?? null,
      soonest: forecast?.soonest ?? null,
      expected: forecast?.expected ?? null,
      latest: forecast?.latest ?? null,
    },
  };
}
