import { Exact as Decimal, type Exact, exact, type System } from '../../quantity';

/** The weather a rate is computed from: °F and mph, or °C and km/h; humidity as a share. */
export interface Weather {
  readonly concrete: Exact;
  readonly air: Exact;
  readonly humidity: Exact;
  readonly wind: Exact;
}

const POWER = '2.5';
/** In SI the temperatures of the equation stand 18 °C above zero. */
const OFFSET = 18;

function driving({ concrete, air, humidity }: Omit<Weather, 'wind'>, system: System): Exact {
  const shift = system === 'US' ? 0 : OFFSET;
  return concrete
    .plus(shift)
    .pow(POWER)
    .minus(humidity.times(air.plus(shift).pow(POWER)));
}

/**
 * Rate of evaporation from a wet surface.
 * @returns lb/ft²/h or kg/m²/h, unrounded; below zero when water condenses
 * Source: P. J. Uno's equation, fitted to the chart of ACI 305R (from memory):
 *   E = (Tc^2.5 − r Ta^2.5)(1 + 0.4 V) 10⁻⁶; SI E = 5((Tc + 18)^2.5 − r (Ta + 18)^2.5)(V + 4) 10⁻⁶.
 */
export function evaporationRate(weather: Weather, system: System): Exact {
  const { wind } = weather;
  const factor = system === 'US' ? wind.times('0.4').plus(1) : wind.plus(4).times(5);
  return driving(weather, system).times(factor).div(1_000_000);
}

/** Vapour pressure over water at a temperature in °C; kPa. Source: Tetens' formula as in ACI 305R (from memory). */
function vapourPressure(celsius: Exact): Exact {
  return Decimal.exp(celsius.times('17.3').div(celsius.plus('237.3'))).times('0.61');
}

const celsius = (temperature: Exact, system: System): Exact =>
  system === 'US' ? temperature.minus(32).div('1.8') : temperature;

/** Vapour pressures at the concrete and in the air, in psi or kPa. */
export function vapourPressures(weather: Weather, system: System): { atConcrete: Exact; inAir: Exact } {
  const unit = system === 'US' ? exact('0.1450377') : exact(1);
  // Ten digits are carried on, so that their difference is the one that is printed, however small it is.
  const carried = (pressure: Exact): Exact => pressure.times(unit).toSignificantDigits(10);
  return {
    atConcrete: carried(vapourPressure(celsius(weather.concrete, system))),
    inAir: carried(vapourPressure(celsius(weather.air, system)).times(weather.humidity)),
  };
}

/** What one of wind, concrete temperature or humidity would have to be for a rate; null where no value does it. */
export interface WouldTake {
  readonly wind: Exact | null;
  readonly concrete: Exact | null;
  /** As a share. */
  readonly humidity: Exact | null;
}

/** Solves the equation for one variable at a time, the others as they are. */
export function wouldTake(rate: Exact, weather: Weather, system: System): WouldTake {
  const shift = system === 'US' ? 0 : OFFSET;
  const drive = driving(weather, system);
  const factor = system === 'US' ? weather.wind.times('0.4').plus(1) : weather.wind.plus(4).times(5);
  const wanted = rate.times(1_000_000);
  const perDrive = drive.greaterThan(0) ? wanted.div(drive) : null;
  const wind = perDrive && (system === 'US' ? perDrive.minus(1).div('0.4') : perDrive.div(5).minus(4));
  const airPart = weather.air.plus(shift).pow(POWER);
  const base = wanted.div(factor).plus(weather.humidity.times(airPart));
  const humidity = airPart.isZero()
    ? null
    : weather.concrete.plus(shift).pow(POWER).minus(wanted.div(factor)).div(airPart);
  return {
    wind: wind && !wind.isNegative() ? wind : null,
    concrete: base.greaterThan(0) ? base.pow('0.4').minus(shift) : null,
    humidity: humidity && !humidity.isNegative() && humidity.lessThanOrEqualTo(1) ? humidity : null,
  };
}
