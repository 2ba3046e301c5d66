import { type Verdict, verdictWith } from '../../acceptance/criterion';
import { cite, isWithin, type Limits } from '../../limits';
import { type Exact, exact, roundTo, unitLabel } from '../../quantity';
import { bySeverity, type Finding, finding, Sheet, standard } from '../../working';
import type { Outcome, Result } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { factFlag, factText } from '../facts';
import { readMeasure } from '../fields';
import { resultOf } from '../outcome';
import { limitsOf, type RunSetup } from '../setup';
import { heldWithin } from '../within';
import { vapourPressures, type Weather, wouldTake } from './formulas';
import type { EvaporationInput } from './input';

const ACI305 = standard('ACI 305R');

/**
 * Rate of evaporation at a placement, and what it would take to come down to the limit.
 * @param input temperatures in °F or °C, humidity in percent, wind in mph or km/h
 * @returns the rate to 0.01 (zero when water condenses), the older equation's as a second figure
 */
export function compute(input: EvaporationInput, setup: RunSetup): Outcome {
  const limits = limitsOf(setup);
  const { system } = input;
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const results: Result[] = [];
  const unit = system === 'US' ? 'lb/ft2/h' : 'kg/m2/h';
  const step = limits.number('evaporation.step', system);
  const weather = weatherOf(input, limits, sheet);
  const limit = protectLimit(setup, limits, system);
  let rate: Exact | undefined;
  if (weather) {
    const raw = sheet.line({
      symbol: 'E',
      name: 'Evaporation rate',
      formula:
        system === 'US'
          ? '(Tc^2.5 - r * Ta^2.5) * (1 + 0.4 * V) / 10^6'
          : '5 * ((Tc + 18)^2.5 - r * (Ta + 18)^2.5) * (V + 4) / 10^6',
      uses: { Tc: weather.concrete, r: weather.humidity, Ta: weather.air, V: weather.wind },
      unit,
      source: ACI305,
      round: { step, rule: `rate to ${step}` },
    });
    rate = raw.isNegative() ? exact(0) : raw;
    results.push(resultOf({ quantity: 'evaporation rate', symbol: 'E', value: rate, unit, step, mode }));
    const { atConcrete, inAir } = vapourPressures(weather, system);
    const pressure = system === 'US' ? 'psi' : 'Pa';
    const shown = system === 'US' ? exact('0.1450377') : exact(1000);
    for (const [symbol, name, temperature, share] of [
      ['e0', 'Vapour pressure at the concrete', weather.concrete, exact(1)],
      ['ea', 'Vapour pressure in the air', weather.air, weather.humidity],
    ] as const) {
      const celsius = system === 'US' ? '(T - 32) / 1.8' : 'T';
      sheet.line({
        symbol,
        name,
        formula: `r * 0.61 * exp(17.3 * (${celsius}) / (237.3 + ${celsius})) * c`,
        uses: { r: share, T: temperature, c: shown },
        unit: pressure,
        source: ACI305,
      });
    }
    const older = sheet.line({
      symbol: 'W',
      name: 'Evaporation rate by vapour pressures, second figure',
      formula:
        system === 'US'
          ? '0.44 * (e0 - ea) * (0.253 + 0.096 * V)'
          : '0.315 * (e0 - ea) * (0.253 + 0.060 * V)',
      uses: { e0: atConcrete, ea: inAir, V: weather.wind },
      unit,
      source: ACI305,
      round: { step, rule: `rate to ${step}` },
    });
    if (!older.isNegative())
      results.push(
        resultOf({
          quantity: 'evaporation rate by vapour pressures',
          symbol: 'W',
          value: older,
          unit,
          step,
          mode,
        }),
      );
    results.push(...remedies(rate, weather, limit, input));
  }
  const rounded = rate && roundTo(rate, step, mode);
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity([
      ...equipmentUse(input, { meter: 'departure' }, input.readAt, setup, limits),
      ...rateFindings(rounded, limit, input, limits),
      ...siteFindings(input, setup, limits),
    ]),
    verdicts: rateVerdicts(rounded, limit, unitLabel(unit)),
    picture: {
      kind: 'evaporation',
      values: {
        rate: rate?.toNumber() ?? null,
        caution: limits.number('evaporation.caution', system).toNumber(),
        protect: limit.high?.toNumber() ?? null,
        air: weather?.air.toNumber() ?? null,
        concrete: weather?.concrete.toNumber() ?? null,
        humidity: weather?.humidity.times(100).toNumber() ?? null,
        wind: weather?.wind.toNumber() ?? null,
        unit: unitLabel(unit),
        system,
      },
    },
  };
}

function protectLimit(setup: RunSetup, limits: Limits, system: 'US' | 'SI') {
  return limits.of(factFlag(setup, 'bleedsLittle') ? 'evaporation.low-bleed' : 'evaporation.protect', system);
}

function weatherOf(input: EvaporationInput, limits: Limits, sheet: Sheet): Weather | undefined {
  const air = readMeasure(input, 'airTemperature')?.value;
  const concrete = readMeasure(input, 'concreteTemperature')?.value;
  const percent = readMeasure(input, 'humidity')?.value;
  const read = readMeasure(input, 'wind')?.value;
  if (!air || !concrete || !percent || !read) return undefined;
  const humidity = sheet.line({
    symbol: 'r',
    name: 'Relative humidity as a share',
    formula: 'RH / 100',
    uses: { RH: percent },
    unit: 'one',
    source: ACI305,
  });
  const share = limits.number('evaporation.station-wind', input.system);
  const wind =
    input.windAt === 'station'
      ? sheet.line({
          symbol: 'V',
          name: 'Wind at the slab, estimated',
          formula: 'Vs * k',
          uses: { Vs: read, k: share },
          unit: input.system === 'US' ? 'mph' : 'km/h',
          source: { kind: 'common practice' },
        })
      : read;
  return { air, concrete, humidity, wind };
}

/** What wind, concrete or humidity alone would bring the rate down to the limit; only when it is over it. */
function remedies(rate: Exact, weather: Weather, limit: { high?: Exact }, input: EvaporationInput): Result[] {
  const { system } = input;
  if (!limit.high || rate.lessThan(limit.high)) return [];
  const takes = wouldTake(limit.high, weather, system);
  const rows = [
    ['wind that would do', 'V', takes.wind, system === 'US' ? 'mph' : 'km/h', '0.01'],
    ['concrete temperature that would do', 'Tc', takes.concrete, system === 'US' ? 'degF' : 'degC', '0.01'],
    ['relative humidity that would do', 'RH', takes.humidity?.times(100) ?? null, 'percent', '0.1'],
  ] as const;
  return rows.flatMap(([quantity, symbol, value, unit, step]) =>
    value ? [resultOf({ quantity, symbol, value, unit, step, mode: 'half-even' })] : [],
  );
}

const CREW =
  'Windbreak, fog, sheets, evaporation reducer, shade, cooler concrete, or placing at night: the placing crew decides.';

function rateFindings(
  rate: Exact | undefined,
  limit: ReturnType<Limits['of']>,
  input: EvaporationInput,
  limits: Limits,
): Finding[] {
  const caution = limits.of('evaporation.caution', input.system);
  if (!rate || rate.lessThan(caution.high ?? 0)) return [];
  const over = rate.greaterThanOrEqualTo(limit.high ?? 0);
  return [
    finding({
      id: over ? limit.id : caution.id,
      severity: 'advice',
      fields: ['wind'],
      limit: cite(over ? limit : caution),
      message: over
        ? 'Protection of the surface is called for.'
        : 'Caution: the surface may dry faster than it bleeds.',
      action: `Tell the placing crew now. ${CREW}`,
    }),
  ];
}

function siteFindings(input: EvaporationInput, setup: RunSetup, limits: Limits): Finding[] {
  const found: Finding[] = [];
  const humidity = readMeasure(input, 'humidity')?.value;
  const usual = limits.of('evaporation.humidity-usual', input.system);
  if (humidity && !isWithin(humidity, usual))
    found.push(
      finding({
        id: usual.id,
        severity: 'departure',
        needsReason: true,
        fields: ['humidity'],
        limit: cite(usual),
        message: `A relative humidity of ${humidity} % is that of a desert.${
          humidity.lessThanOrEqualTo(1) ? ` Was ${humidity.times(100)} % meant?` : ''
        }`,
        action: 'Type it in percent, 50 and not 0.50; read the meter again where it was no slip.',
        remark: `Relative humidity ${humidity} %, as read.`,
      }),
    );
  const averaged = readMeasure(input, 'averaged')?.value;
  const least = limits.of('evaporation.wind-averaged', input.system);
  if (
    input.windAt === 'station' ||
    input.concreteFrom === 'forecast' ||
    (averaged && !isWithin(averaged, least))
  ) {
    const what = [
      ...(input.windAt === 'station' ? ['wind from a station'] : []),
      ...(input.concreteFrom === 'forecast' ? ['concrete temperature expected'] : []),
      ...(averaged && !isWithin(averaged, least) ? ['wind averaged too briefly'] : []),
    ].join(', ');
    found.push(
      finding({
        id: 'evaporation.estimated',
        severity: 'departure',
        fields: [
          input.windAt === 'station'
            ? 'windAt'
            : input.concreteFrom === 'forecast'
              ? 'concreteFrom'
              : 'averaged',
        ],
        message: `Estimated: ${what}.`,
        action: 'Measure on site when you can.',
        remark: `Estimated: ${what}.`,
      }),
    );
  }
  const before = Date.parse(factText(setup, 'previousReadingAt') ?? '');
  const now = Date.parse(input.readAt ?? '');
  const interval = limits.of('evaporation.interval', input.system);
  const gap = Math.floor((now - before) / 60_000);
  if (!Number.isNaN(gap) && gap > 0 && !isWithin(exact(gap), interval)) {
    found.push(
      finding({
        id: interval.id,
        severity: 'departure',
        fields: ['readAt'],
        limit: cite(interval),
        message: `The reading before this one was ${gap} min earlier.`,
        action: 'Read again at least every half hour until curing is on.',
        remark: `Gap of ${gap} min between readings.`,
      }),
    );
  }
  return found;
}

function rateVerdicts(rounded: Exact | undefined, limit: ReturnType<Limits['of']>, unit: string): Verdict[] {
  const range = `under ${limit.high} ${unit}`;
  const criterion = `evaporation rate ${range}, ACI 305R`;
  // From the limit on, the end included, protection is called for.
  if (rounded?.equals(limit.high ?? -1)) {
    const sentence = `At the limit: ${rounded} ${unit}. ${CREW}`;
    return [verdictWith({ criterion, limit: range, state: 'does not meet', sentence, side: 'high' })];
  }
  return heldWithin({
    what: 'evaporation rate',
    value: rounded && { number: rounded, text: `${rounded} ${unit}` },
    high: limit.high,
    range,
    source: 'ACI 305R',
    outside: CREW,
  });
}
