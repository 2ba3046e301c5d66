import { type Exact, exact } from '../../quantity';
import { celsiusOf } from '../celsius';
import type { RunSetup } from '../setup';
import { temperatureKept } from '../temperature/kept';
import type { GluingInput } from './input';

const HOUR = 3_600_000;

interface Logged {
  /** °C; undefined where it has nothing since the last dolly was set. */
  readonly coldest: number | undefined;
  /** Instant that it ends at, ms; undefined where the log does not say when it was. */
  readonly until: number | undefined;
}

/** What the log that was kept with a batch of glue says of the time since its last dolly was set; undefined where none is. */
export function loggedBy({ record, setAt }: GluingInput, setup: RunSetup): Logged | undefined {
  const kept = record ? temperatureKept(setup, 'record') : undefined;
  if (!kept) return undefined;
  const begun = kept.start ? Date.parse(kept.start) : undefined;
  // Where it does not say when it was, all of it counts.
  const from = begun !== undefined && setAt ? (Date.parse(setAt) - begun) / HOUR : Number.NEGATIVE_INFINITY;
  const since = kept.channels.flatMap(({ hours, celsius, lowest }) => [
    ...hours.flatMap((at, place) => (at >= from ? [celsius[place] ?? Number.POSITIVE_INFINITY] : [])),
    ...(lowest.at >= from ? [lowest.celsius] : []),
  ]);
  const ends = Math.max(...kept.channels.map(({ hours }) => hours.at(-1) ?? 0), 0);
  return {
    coldest: since.length > 0 ? Math.min(...since) : undefined,
    until: begun === undefined ? undefined : begun + ends * HOUR,
  };
}

/** The coldest of the surface while the glue cures, °C: by its log, else as it was typed, else when the dollies were set. */
export function coldestOf(input: GluingInput, setup: RunSetup): Exact | undefined {
  const logged = loggedBy(input, setup)?.coldest;
  return logged === undefined
    ? (celsiusOf(input, 'coldest') ?? celsiusOf(input, 'surfaceTemperature'))
    : exact(logged.toFixed(4));
}
