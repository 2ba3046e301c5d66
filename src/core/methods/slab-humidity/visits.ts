import { factTexts } from '../facts';
import type { RunSetup } from '../setup';

/** One visit to a hole, as a later one is told of it. */
export interface Visit {
  readonly at: number;
  readonly humidity: number;
  readonly celsius: number;
  readonly air: { readonly humidity: number; readonly celsius: number };
}

/** A visit as text: instant, humidity, °C, humidity and °C of the room. */
export function visitText(iso: string, humidity: number, celsius: number, air: Visit['air']): string {
  return [iso, humidity, celsius.toFixed(2), air.humidity, air.celsius.toFixed(2)].join(' ');
}

/** The earlier visits to the hole, the oldest first; what cannot be read is left out. */
export function visitsBefore(setup: RunSetup, readAt: string | undefined): Visit[] {
  const until = readAt ? Date.parse(readAt) : Number.POSITIVE_INFINITY;
  return factTexts(setup, 'earlier')
    .flatMap((text): Visit[] => {
      const [iso = '', ...rest] = text.split(' ');
      const [humidity, celsius, airHumidity, airCelsius] = rest.map(Number);
      const at = Date.parse(iso);
      const numbers = [at, humidity, celsius, airHumidity, airCelsius];
      if (!numbers.every((each) => Number.isFinite(each))) return [];
      const air = { humidity: airHumidity ?? 0, celsius: airCelsius ?? 0 };
      return [{ at, humidity: humidity ?? 0, celsius: celsius ?? 0, air }];
    })
    .filter(({ at }) => at < until)
    .toSorted((a, b) => a.at - b.at);
}
