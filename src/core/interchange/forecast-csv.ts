import type { Limits } from '../limits';
import { evaporationRate } from '../methods/evaporation';
import { convert, type Exact, exact, roundTo, type System } from '../quantity';
import { instantOf, plainNumber, readTable } from './table';

/** One hour of a forecast with what would evaporate then. */
export interface ForecastPoint {
  /** ms since the epoch. */
  readonly at: number;
  /** lb/ft²/h or kg/m²/h, rounded as it is reported; never below zero. */
  readonly rate: string;
  readonly state: 'low' | 'caution' | 'protect';
}

export interface Forecast {
  readonly points: readonly ForecastPoint[];
  readonly problems: readonly string[];
}

/**
 * The evaporation rate over a forecast: `time, air, humidity, wind`, temperature and wind in the system's units unless
 * the column says otherwise (`air_c`, `air_f`, `wind_kmh`, `wind_mph`, `wind_ms`).
 * @param concrete expected temperature of the concrete, °F or °C
 * @param options.station wind from a station 33 ft [10 m] up: two thirds of it count at the slab
 * Source: the equation of `evaporationRate`; the share of station wind is common practice, in the register.
 */
export function readForecast(
  text: string,
  concrete: Exact,
  system: System,
  zone: string,
  limits: Limits,
  options: { readonly station?: boolean; readonly bleedsLittle?: boolean } = {},
): Forecast {
  const table = readTable(text, ['time', 'humidity']);
  if (table.problem) return { points: [], problems: [table.problem] };
  const us = system === 'US';
  const air = unitColumn(table.columns, 'air', { '': us ? 'degF' : 'degC', _c: 'degC', _f: 'degF' });
  const wind = unitColumn(table.columns, 'wind', {
    '': us ? 'mph' : 'km/h',
    _kmh: 'km/h',
    _mph: 'mph',
    _ms: 'm/s',
  });
  if (!air || !wind) {
    return {
      points: [],
      problems: [`Missing column: ${air ? 'wind' : 'air'}. Found: ${table.columns.join(', ')}.`],
    };
  }
  const problems: string[] = [];
  const points: ForecastPoint[] = [];
  const share = options.station ? limits.number('evaporation.station-wind', system) : exact(1);
  for (const { line, cells } of table.rows) {
    const at = instantOf(cells.time ?? '', zone);
    const values = [cells[air.name], cells.humidity, cells[wind.name]].map((cell) => plainNumber(cell ?? ''));
    const [temperature, humidity, speed] = values;
    if (at === null || temperature == null || humidity == null || speed == null) {
      problems.push(`Line ${line}: time, air, humidity and wind are needed.`);
      continue;
    }
    if (exact(humidity).lessThan(0) || exact(humidity).greaterThan(100)) {
      problems.push(`Line ${line}: humidity ${humidity} % cannot be.`);
      continue;
    }
    if (exact(speed).isNegative()) {
      problems.push(`Line ${line}: wind ${speed} cannot be.`);
      continue;
    }
    const rate = evaporationRate(
      {
        concrete,
        air: convert(exact(temperature), air.unit, us ? 'degF' : 'degC'),
        humidity: exact(humidity).div(100),
        wind: convert(exact(speed), wind.unit, us ? 'mph' : 'km/h').times(share),
      },
      system,
    );
    const step = limits.number('evaporation.step', system);
    const reported = roundTo(rate.isNegative() ? exact(0) : rate, step);
    points.push({
      at: Date.parse(at),
      rate: reported.toFixed(),
      state: stateOf(reported, system, limits, options),
    });
  }
  return { points: points.toSorted((a, b) => a.at - b.at), problems };
}

function stateOf(
  rate: Exact,
  system: System,
  limits: Limits,
  options: { readonly bleedsLittle?: boolean },
): ForecastPoint['state'] {
  const protect = limits.of(options.bleedsLittle ? 'evaporation.low-bleed' : 'evaporation.protect', system);
  if (rate.greaterThanOrEqualTo(protect.high ?? 0)) return 'protect';
  const caution = limits.of('evaporation.caution', system);
  return rate.greaterThanOrEqualTo(caution.high ?? 0) ? 'caution' : 'low';
}

function unitColumn<U extends string>(
  columns: readonly string[],
  base: string,
  endings: Readonly<Record<string, U>>,
): { readonly name: string; readonly unit: U } | undefined {
  for (const [ending, unit] of Object.entries(endings)) {
    if (columns.includes(`${base}${ending}`)) return { name: `${base}${ending}`, unit };
  }
  return undefined;
}
