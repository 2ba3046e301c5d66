import { type StrengthCurve, strengthAt } from '../../maturity';
import { plainOf } from '../../quantity';
import { type Finding, finding } from '../../working';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { indexUnit } from '../maturity/function';
import { STRESS } from '../maturity/strengths';
import { degreeUnits, measured } from '../temperature/units';
import { type Confirmed, confirmedBy } from './confirmed';
import type { Forecast, Known } from './known';

/** What has to be said of an estimate: what holds it, what is not yet, what is reached. */
export function findings(known: Known): Finding[] {
  const { input, limits, calibration, now, asked, counted, forecast, late } = known;
  const { system } = input;
  const unit = STRESS[system];
  const required = readMeasure(input, 'required');
  if (!calibration)
    return [
      finding({
        id: 'maturity.no-calibration',
        severity: 'invalid',
        fields: ['mix'],
        message: 'This mix has no strength curve: nothing can be said by its maturity.',
        action: 'Calibrate it first; until then go by cylinders cured beside the member.',
      }),
    ];
  if (!now)
    return input.record
      ? [
          finding({
            id: 'maturity.no-record',
            severity: 'invalid',
            fields: ['record', 'placedAt'],
            message: 'The record has nothing of the concrete after it was placed.',
            action: 'Look at file, sensors, and time of placing.',
          }),
        ]
      : [];
  const found: Finding[] = [];
  const { curve, how } = calibration;
  const word = indexUnit(how);
  const [low, high] = curve.range;
  const hold: string[] = [];
  if (now.decision > high || now.decision < low) {
    found.push(
      finding({
        id: 'maturity.outside',
        severity: now.decision > high ? 'invalid' : 'departure',
        fields: ['record'],
        message: `Its index is ${now.decision.toFixed(0)} ${word}; the curve reaches from ${low.toFixed(0)} to ${high.toFixed(0)}.`,
        action:
          now.decision > high
            ? 'Go by tests: a curve says nothing beyond its breaks.'
            : 'Wait: it is too young for the curve.',
        remark: 'Index outside of the calibration.',
      }),
    );
    hold.push('its index lies outside of the calibration');
  }
  if (required && asked === undefined)
    found.push(
      finding({
        id: 'maturity.too-much',
        severity: 'departure',
        fields: ['required'],
        message: `${plainOf(required.value, unit)} is more than the curve of this mix can be counted on for.`,
        action: 'Go by tests of the concrete itself.',
        remark: 'Strength that is asked lies beyond the calibration.',
      }),
    );
  const { drawn, lost } = now.index;
  if (drawn + lost > 0) {
    const words =
      lost > 0 ? `nothing is known of ${lost.toFixed(1)} h` : `${drawn.toFixed(1)} h have no reading`;
    found.push(
      finding({
        id: 'maturity.gap',
        severity: 'departure',
        fields: ['record'],
        message: `In the record ${words}: they count by their colder end, or nothing.`,
        action: 'Look for the rows in the logger; a sensor in the air helps over a long gap.',
        remark: `Record with gaps: ${words}.`,
      }),
    );
    if (lost > 0) hold.push('there is a gap that nothing is known of');
  }
  if (late > 0) {
    const made = limits.of('maturity.start', system);
    if (made.high && measured(late).greaterThan(made.high))
      found.push(
        limitFinding(
          limits,
          system,
          { id: 'maturity.start', severity: 'departure', fields: ['placedAt', 'record'] },
          {
            message: `The record begins ${late.toFixed(1)} h after placing; what came before counts nothing.`,
            action: 'Start the logger before the concrete comes.',
            remark: `Temperatures recorded from ${late.toFixed(1)} h after placing on.`,
          },
        ),
      );
  }
  const { temperature, unit: degree } = degreeUnits(system);
  for (const [id, celsius] of [
    ['maturity.warm', Math.max(...now.sensor.series.celsius)],
    ['maturity.cold', Math.min(...now.sensor.series.celsius.slice(-Math.max(1, now.index.hours.length)))],
  ] as const) {
    const limit = limits.of(id, system);
    const shown = temperature(celsius);
    if ((limit.high && shown.greaterThan(limit.high)) || (limit.low && shown.lessThan(limit.low)))
      found.push(
        limitFinding(
          limits,
          system,
          { id, severity: 'departure', fields: ['record'] },
          {
            message: `The concrete was at ${plainOf(shown.toDecimalPlaces(1), degree)}.`,
            action:
              id === 'maturity.warm'
                ? 'Warm curing leads early and lags later: the curve promises too much.'
                : 'Below it hardly gains: look at covers and heaters.',
            remark: `Concrete at ${plainOf(shown.toDecimalPlaces(1), degree)}.`,
          },
        ),
      );
  }
  found.push(...verificationFindings(known, curve, hold));
  if (!input.supplementary || input.supplementary === 'none') hold.push('no supplementary test was made');
  const tested = readMeasure(input, 'supplementaryStrength');
  if (tested && required && tested.value.lessThan(required.value)) {
    hold.push(`the supplementary test came to ${plainOf(tested.value, unit)} only`);
  }
  const byCurve = strengthAt(curve, now.best);
  const apart = limits.of('maturity.apart', system);
  if (tested && byCurve > 0) {
    const off = (100 * (tested.value.toNumber() - byCurve)) / byCurve;
    if (apart.high && measured(Math.abs(off)).greaterThan(apart.high))
      found.push(
        limitFinding(
          limits,
          system,
          { id: 'maturity.apart', severity: 'departure', fields: ['supplementaryStrength'] },
          {
            message: `The supplementary test is ${Math.abs(off).toFixed(0)} % ${off > 0 ? 'over' : 'under'} the curve.`,
            action: 'Read it again: a digit, a unit, another member, or a curve that is not of this mix.',
            remark: `Supplementary test ${Math.abs(off).toFixed(0)} % ${off > 0 ? 'over' : 'under'} the curve of the mix.`,
          },
        ),
      );
  }
  if (input.operation === 'protection') {
    const least = limits.of('maturity.protection', system);
    if (required && least.low && required.value.lessThan(least.low))
      found.push(
        limitFinding(
          limits,
          system,
          { id: 'maturity.protection', severity: 'departure', fields: ['required'] },
          {
            message: `${plainOf(required.value, unit)} is asked for; frost damages weaker concrete for good.`,
            action: 'Ask the engineer again before protection is taken away.',
            remark: 'Less is asked than concrete needs to stand a first freezing.',
          },
        ),
      );
  }
  if (input.mix !== 'other' && required && counted !== undefined) {
    const best = Math.max(0, strengthAt(curve, now.best));
    if (required.value.lessThanOrEqualTo(counted))
      found.push(
        hold.length > 0
          ? finding({
              id: 'maturity.hold',
              severity: 'departure',
              needsReason: true,
              fields: ['supplementary'],
              message: `Hold: by its maturity it has come to what is asked, but ${hold.join('; ')}.`,
              action: 'Make the supplementary test, then ask the engineer for the release.',
              remark: `For information only: ${hold.join('; ')}.`,
            })
          : finding({
              id: 'maturity.reached',
              severity: 'advice',
              fields: ['required'],
              message:
                'Criterion reached by maturity and by the supplementary test. The engineer’s release is needed.',
              action:
                'Give the engineer this page and the test: it is no result of acceptance, and nobody takes anything away on it alone.',
            }),
      );
    else
      found.push(
        finding({
          id: 'maturity.not-yet',
          severity: 'advice',
          fields: ['required'],
          message: `Not yet.${required.value.lessThanOrEqualTo(best) ? ' The best line is there already; what may be counted on is not: do not let it tempt you.' : ''}${forecastWords(forecast)}`,
          action: 'Read it again then. A forecast is never a release.',
        }),
      );
  }
  return found;
}

function forecastWords(forecast: Forecast | undefined): string {
  if (!forecast) return '';
  const { soonest, expected, latest } = forecast;
  if (expected === null) return ' With the air that is expected it does not come to it within sixty days.';
  const hours = (value: number): string =>
    value < 72 ? `${value.toFixed(0)} h` : `${(value / 24).toFixed(1)} d`;
  return ` Expected in ${hours(expected)}${soonest === null ? '' : `, at the soonest in ${hours(soonest)}`}${latest === null ? '; in colder air not for long' : `, at the latest in ${hours(latest)}`}.`;
}

/** Cylinders of the job off the curve: of this estimate, and of those before it that the mix has. */
function verificationFindings(known: Known, curve: StrengthCurve, hold: string[]): Finding[] {
  const { limits } = known;
  const { system } = known.input;
  const limit = limits.of('maturity.verified', system);
  const isOut = ({ percent }: Confirmed): boolean =>
    limit.high !== undefined && measured(Math.abs(percent)).greaterThan(limit.high);
  const all = confirmedBy(known, curve);
  const outside = all.filter((each) => each.own && isOut(each));
  const before = all.filter((each) => !each.own && isOut(each)).length;
  if (outside.length === 0) return [];
  const words = outside
    .map(({ label, percent }) => `${label} ${percent > 0 ? '+' : '−'}${Math.abs(percent).toFixed(1)} %`)
    .join(', ');
  const twice = outside.length + before > 1;
  if (outside.some(({ percent }) => percent < 0) || twice)
    hold.push('cylinders of the job do not confirm the curve');
  return [
    limitFinding(
      limits,
      system,
      {
        id: 'maturity.verified',
        severity: 'departure',
        fields: ['verified'],
        needsReason: twice,
      },
      {
        message: `Off the curve: ${words}${before > 0 ? `; ${before} of this mix before` : ''}.`,
        action: twice
          ? 'Twice outside: calibrate the mix anew before it is used again.'
          : 'Look at batch ticket, air and water; break another one.',
        remark: `Cylinders of the job off the curve: ${words}.`,
      },
    ),
  ];
}
