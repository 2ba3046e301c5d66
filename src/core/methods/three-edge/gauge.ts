import type { LoadAt } from '../../pipe/rates';
import { type Exact, exact } from '../../quantity';
import { ourChoice, type Sheet } from '../../working';
import { readMeasure } from '../fields';
import { setupMeasure } from '../measure-text';
import { wholeRows } from '../rows-field';
import type { RunSetup } from '../setup';
import { readTrace } from '../trace';
import type { ThreeEdgeInput } from './input';
import { machineOf, type Rams, ramsOf, UNITS_OF } from './loads';

/** How what a gauge shows becomes the load on the pipe. */
export interface Gauge {
  readonly weighs: Exact;
  readonly rams?: Rams;
}

export function gaugeOf(input: ThreeEdgeInput, setup: RunSetup): Gauge {
  const machine = machineOf(input, setup);
  const rams = machine && ramsOf(machine, input.system);
  const weighs =
    readMeasure(input, 'weighs')?.value ??
    setupMeasure(machine?.machine?.beamWeight, 'force', UNITS_OF[input.system].force);
  return { weighs: weighs ?? exact(0), ...(rams ? { rams } : {}) };
}

/** The load on the pipe by a reading of force, or by one of pressure, with its line; undefined where neither was read. */
export function loadRead(
  input: ThreeEdgeInput,
  [force, pressure]: readonly [force: string, pressure: string],
  { weighs, rams }: Gauge,
  line?: { readonly sheet: Sheet; readonly symbol: string; readonly name: string },
): Exact | undefined {
  const shown = readMeasure(input, force)?.value;
  const say = (formula: string, uses: Record<string, Exact>): void => {
    line?.sheet.line({
      symbol: line.symbol,
      name: line.name,
      formula,
      uses,
      unit: UNITS_OF[input.system].force,
      source: ourChoice('what the gauge shows, and the weight of the beam once'),
    });
  };
  if (shown) {
    say('F + W', { F: shown, W: weighs });
    return shown.plus(weighs);
  }
  const p = readMeasure(input, pressure)?.value;
  if (!p || !rams) return undefined;
  const { count: n, area: A, works: e, factor } = rams;
  say(input.system === 'US' ? 'p * n * A * e + W' : 'p * n * A * e / 1000 + W', { p, n, A, e, W: weighs });
  return p.times(factor).plus(weighs);
}

/** Loads over time: of the record where one is kept, else of the rows; `streamed` says which. */
export interface PipeRecord {
  readonly streamed: boolean;
  readonly log: readonly LoadAt[];
}

/**
 * What was read over time, as loads on the pipe in the order of time.
 * @returns undefined where nothing can be read of it; `unreadable` where a record is none
 */
export function recordOf(input: ThreeEdgeInput, gauge: Gauge): PipeRecord | 'unreadable' | undefined {
  if (input.trace) {
    const trace = readTrace(input.trace);
    if (!trace) return 'unreadable';
    return {
      streamed: true,
      log: trace.seconds.map((seconds, place) => ({
        seconds: exact(seconds),
        load: exact(trace.values[place] ?? 0).plus(gauge.weighs),
      })),
    };
  }
  const log = wholeRows(input.log)
    .flatMap((row) => {
      const seconds = readMeasure(row, 'seconds')?.value;
      const shown = readMeasure(row, 'load')?.value;
      const p = readMeasure(row, 'pressure')?.value;
      const load = shown ?? (p && gauge.rams ? p.times(gauge.rams.factor) : undefined);
      return seconds && load ? [{ seconds, load: load.plus(gauge.weighs) }] : [];
    })
    .toSorted((a, b) => a.seconds.comparedTo(b.seconds));
  return log.length > 0 ? { streamed: false, log } : undefined;
}
