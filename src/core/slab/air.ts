/**
 * Pressure of saturated water vapour over water, hPa.
 * @param celsius -40 to 60
 * Source: WMO-No. 8, annex on formulas (from memory): es = 6.112 exp(17.62 T / (243.12 + T)).
 */
export function saturation(celsius: number): number {
  return 6.112 * Math.exp((17.62 * celsius) / (243.12 + celsius));
}

/** Pressure of the water vapour in air, hPa. @param humidity percent */
export function vapour(celsius: number, humidity: number): number {
  return (humidity / 100) * saturation(celsius);
}

/**
 * Temperature at which the water in air begins to condense, °C; undefined for air without water.
 * @param humidity percent
 * Source: WMO-No. 8 (from memory), the formula of `saturation` turned round.
 */
export function dewPoint(celsius: number, humidity: number): number | undefined {
  if (!(humidity > 0)) return undefined;
  const log = Math.log(vapour(celsius, humidity) / 6.112);
  return (243.12 * log) / (17.62 - log);
}

/** Humidity, percent, of air where it touches what is at another temperature; 100 or more is condensation. */
export function humidityAt(surface: number, celsius: number, humidity: number): number {
  return (100 * vapour(celsius, humidity)) / saturation(surface);
}
