import type { ClockId } from '../../clocks';
import { cite, isWithin, type Limit, type Limits } from '../../limits';
import { type Exact, exact, plainOf, type UnitId, unitLabel } from '../../quantity';
import type { Wait } from '../../waits/wait';
import { capital } from '../../words';
import { bySeverity, commonPractice, type Finding, finding, Sheet, standard } from '../../working';
import type { Outcome, Result } from '../contract';
import { factMeasure } from '../facts';
import { readMeasure } from '../fields';
import { resultOf } from '../outcome';
import { limitsOf, type RunSetup } from '../setup';
import { clockFindings, clockWaits, sampleStamps } from '../stamps';
import type { InitialCuringInput } from './input';
import { type LogSummary, readLog, summariseLog, type TemperatureLog } from './log';
import { estimatedSet } from './set-time';

const C31 = standard('ASTM C31/C31M');
/** Clocks of what comes after the box was moved. */
const LATER = [
  'transport',
  'bare',
  'demould-en',
  'demould-is',
  'beams-stored',
  'beam-soak',
  'field-beam-soak',
  'arrival',
] as const satisfies readonly ClockId[];
const NOT_STANDARD = 'Every specimen carries the remark and is still tested; strengths are not corrected.';

/** The temperature range of initial curing for the strength that is specified. */
export function initialRange(setup: RunSetup, limits: Limits, system: 'US' | 'SI'): Limit {
  const strength = factMeasure(setup, 'specifiedStrength', 'stress', system === 'US' ? 'psi' : 'MPa');
  const high = strength && isWithin(strength, limits.of('curing.dividing-strength', system));
  return limits.of(high ? 'curing.initial-temperature-high' : 'curing.initial-temperature', system);
}

/** Temperatures that a recorder beside concrete can have met, °F and °C; outside them it was read wrongly. Our choice. */
const RECORDED = { US: ['-60', '212'], SI: ['-50', '100'] } as const;

/**
 * Initial curing, the way to the laboratory, and the change into final cure.
 * @param input extremes or a record in °F or °C, instants
 * @param setup limits in force, specified strength, the stamps of the sample
 * @returns lowest and highest, hours out of the range when there is a record, earliest departure in hours after batching
 * Source: ASTM C31/C31M (from memory). Straight lines between readings are our choice.
 */
export function compute(input: InitialCuringInput, setup: RunSetup): Outcome {
  const limits = limitsOf(setup);
  const { system } = input;
  const mode = setup.rounding ?? 'half-even';
  const unit: UnitId = system === 'US' ? 'degF' : 'degC';
  const sheet = new Sheet(mode);
  const range = initialRange(setup, limits, system);
  const [coldest, hottest] = RECORDED[system];
  const possible = [exact(coldest), exact(hottest)] as const;
  const log = readLog(input.log, unit, { ...(input.dateOrder ? { order: input.dateOrder } : {}), possible });
  const interval = limits.number('curing.logger-interval', system).div(60);
  const longest = interval.times(limits.number('curing.gap', system));
  const gap = log.coarse ? undefined : longest.lessThan(1) ? exact(1) : longest;
  const summary = summariseLog(log.points, { low: range.low ?? exact(0), high: range.high ?? exact(0) }, gap);
  const minimum = lesser(readMeasure(input, 'minimum')?.value, summary?.minimum);
  const maximum = greater(readMeasure(input, 'maximum')?.value, summary?.maximum);
  const results: Result[] = [];
  const add = (
    quantity: string,
    symbol: string,
    value: Exact | null | undefined,
    of: UnitId,
    step: string,
  ): void => {
    if (!value) return;
    sheet.line({
      symbol,
      name: capital(quantity),
      formula: 'x',
      uses: { x: value },
      unit: of,
      source: C31,
      round: { step, rule: `to ${step} ${unitLabel(of)}` },
    });
    results.push(resultOf({ quantity, symbol, value, unit: of, step, mode }));
  };
  add('highest temperature', 'Tmax', maximum, unit, '0.1');
  add('lowest temperature', 'Tmin', minimum, unit, '0.1');
  if (summary && log.points.length > 1) {
    add('mean temperature', 'Tm', summary.mean, unit, '0.01');
    add('time below the range', 'tb', summary.below, 'h', '0.001');
    add('time above the range', 'ta', summary.above, 'h', '0.001');
    if (summary.unknown.greaterThan(0)) add('time not known', 'tu', summary.unknown, 'h', '0.001');
  }
  const set = setEstimate(input, limits, sheet);
  if (set) {
    const departure = set.plus(limits.number('curing.after-set', system));
    results.push(
      resultOf({
        quantity: 'final set after batching, estimated',
        symbol: 'ts',
        value: set,
        unit: 'h',
        step: '0.1',
        mode,
      }),
    );
    results.push(
      resultOf({
        quantity: 'earliest departure after batching',
        symbol: 'td',
        value: departure,
        unit: 'h',
        step: '0.1',
        mode,
      }),
    );
  }
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity([
      ...clockFindings(input, setup, limits, ['initial-cure', 'after-set', 'on-site', ...LATER]),
      ...rangeFindings(input, { minimum, maximum, range, summary, log }, unit),
      ...nearFindings(input, { minimum, maximum, range }, limits, unit),
      ...departureFindings(input, set, setup, limits),
      ...stateFindings(input),
      ...finalFindings(input, limits, unit),
    ]),
    verdicts: [],
    picture: {
      kind: 'curing',
      values: {
        low: range.low?.toNumber() ?? null,
        high: range.high?.toNumber() ?? null,
        minimum: minimum?.toNumber() ?? null,
        maximum: maximum?.toNumber() ?? null,
        // The curve, thinned to what a picture can show: hours and temperatures in turn.
        curve: thinned(log.points),
        unit: unitLabel(unit),
      },
    },
  };
}

const HOUR = 3_600_000;

/**
 * The box on site: from when its specimens may be moved, by the measured set or an estimate of it, until the longest
 * initial curing is over; then what follows on the way and in the laboratory.
 */
export function waits(input: InitialCuringInput, setup: RunSetup): Wait[] {
  const limits = limitsOf(setup);
  const { moulded, batched, collected, ...stamps } = sampleStamps(input, setup);
  if (moulded === undefined) return [];
  const parts = setParts(input, limits);
  const set =
    stamps['final-set'] ??
    (parts && batched !== undefined
      ? batched + parts.without.plus(parts.retarder).toNumber() * HOUR
      : undefined);
  const after = limits.number('curing.after-set', input.system).toNumber() * HOUR;
  const most = limits.number('curing.initial', input.system).toNumber() * HOUR;
  const instant = (at: number): string => new Date(at).toISOString();
  const why =
    set === undefined
      ? 'when they may be moved is not known: enter the set, or the mean temperature until then'
      : stamps['final-set'] === undefined
        ? 'by an estimated set'
        : undefined;
  // A school that keeps them on site longer has a clock of its own for it.
  const longer = clockWaits(input, setup, limits, ['on-site']).map(({ opens }) => Date.parse(opens));
  return [
    {
      id: 'collect',
      what: 'Collect the specimens',
      lane: 'field',
      opens: instant(Math.max(set === undefined ? moulded : set + after, ...longer)),
      closes: instant(moulded + most),
      ...(collected === undefined ? {} : { done: instant(collected) }),
      ...(why && collected === undefined ? { provisional: why } : {}),
    },
    ...clockWaits(input, setup, limits, LATER),
  ];
}

function lesser(a: Exact | undefined, b: Exact | undefined): Exact | undefined {
  return a && b ? (a.lessThan(b) ? a : b) : (a ?? b);
}
function greater(a: Exact | undefined, b: Exact | undefined): Exact | undefined {
  return a && b ? (a.greaterThan(b) ? a : b) : (a ?? b);
}

const SHOWN = 400;

function thinned(points: TemperatureLog['points']): string | null {
  const [first] = points;
  if (!first) return null;
  const every = Math.max(1, Math.ceil(points.length / SHOWN));
  return points
    .filter((_, index) => index % every === 0 || index === points.length - 1)
    .map(({ seconds, value }) => `${seconds.minus(first.seconds).div(3600).toFixed(3)} ${value.toFixed(2)}`)
    .join(';');
}

/** What the final set is estimated from while it is not measured, hours; undefined where the temperature is not known. */
function setParts(
  input: InitialCuringInput,
  limits: Limits,
): { without: Exact; retarder: Exact } | undefined {
  const mean = readMeasure(input, 'meanTemperature')?.value;
  if (!mean || input.setAt) return undefined;
  return {
    without: estimatedSet(mean, exact(0), input.system, limits),
    retarder: readMeasure(input, 'retarder')?.value ?? exact(0),
  };
}

function setEstimate(input: InitialCuringInput, limits: Limits, sheet: Sheet): Exact | undefined {
  const parts = setParts(input, limits);
  if (!parts) return undefined;
  return sheet.line({
    symbol: 'ts',
    name: 'Final set after batching, estimated',
    formula: 't0 + r',
    uses: { t0: parts.without, r: parts.retarder },
    unit: 'h',
    source: commonPractice,
    round: { step: '0.1', rule: 'hours to 0.1' },
  });
}

interface Held {
  readonly minimum: Exact | undefined;
  readonly maximum: Exact | undefined;
  readonly range: Limit;
  readonly summary: LogSummary | undefined;
  readonly log: TemperatureLog;
}

function rangeFindings(input: InitialCuringInput, held: Held, unit: UnitId): Finding[] {
  const { minimum, maximum, range, summary, log } = held;
  const found: Finding[] = [];
  if (log.ambiguous) {
    found.push(
      finding({
        id: 'curing.date-order',
        severity: 'departure',
        needsReason: true,
        fields: ['dateOrder', 'log'],
        message: 'The dates of the record can be read two ways: nothing of it is read.',
        action: 'Choose whether the day or the month stands first.',
        remark: 'Temperature record not read: the order of its dates is not known.',
      }),
    );
  }
  const [typedLow, typedHigh] = [readMeasure(input, 'minimum'), readMeasure(input, 'maximum')];
  if (typedLow && typedHigh?.value.lessThan(typedLow.value)) {
    found.push(
      finding({
        id: 'curing.extremes',
        severity: 'departure',
        needsReason: true,
        fields: ['minimum', 'maximum'],
        message: `The lowest (${plainOf(typedLow.value, unit)}) is above the highest (${plainOf(typedHigh.value, unit)}).`,
        action: 'One of the two is wrong, or they are exchanged: read the thermometer again.',
        remark: 'Lowest and highest temperature not consistent.',
      }),
    );
  }
  if (log.bad.length > 0) {
    found.push(
      finding({
        id: 'curing.rows',
        severity: 'advice',
        fields: ['log'],
        message: `${log.bad.length} rows not read, such as: ${log.bad[0]}.`,
        action: 'Time and temperature on each line; the unit after it when it is the other scale.',
      }),
    );
  }
  if (input.method === 'structure') return found;
  const low = minimum && range.low && minimum.lessThan(range.low);
  const high = maximum && range.high && maximum.greaterThan(range.high);
  if (low || high) {
    const hours = summary
      ? ` Below for ${summary.below.toFixed(1)} h, above for ${summary.above.toFixed(1)} h${log.coarse ? ', by a coarse record' : ''}.`
      : '';
    const said = `Initial curing ${minimum ? plainOf(minimum, unit) : '?'} to ${maximum ? plainOf(maximum, unit) : '?'}`;
    found.push(
      finding({
        id: range.id,
        severity: 'departure',
        fields: [low ? 'minimum' : 'maximum'],
        limit: cite(range),
        message: `${said}: not standard initial curing.${hours}`,
        action: `Put the box right now. ${NOT_STANDARD}`,
        remark: `${said}; ${range.text} is standard.${hours}`,
      }),
    );
  }
  if (summary?.unknown.greaterThan(0)) {
    found.push(
      finding({
        id: 'curing.gap',
        severity: 'departure',
        fields: ['log'],
        message: `The record has gaps of ${summary.unknown.toFixed(1)} h in all.`,
        action: 'Look for the missing rows in the recorder.',
        remark: `Temperature not known for ${summary.unknown.toFixed(1)} h.`,
      }),
    );
  }
  return found;
}

/** A box that is about to leave its range, and one that follows the weather. */
function nearFindings(
  input: InitialCuringInput,
  { minimum, maximum, range }: Pick<Held, 'minimum' | 'maximum' | 'range'>,
  limits: Limits,
  unit: UnitId,
): Finding[] {
  if (input.method === 'structure') return [];
  const found: Finding[] = [];
  const near = limits.number('curing.near', input.system);
  const low = minimum && range.low && !minimum.lessThan(range.low) && minimum.minus(range.low).lessThan(near);
  const high =
    maximum && range.high && !maximum.greaterThan(range.high) && range.high.minus(maximum).lessThan(near);
  if (low || high) {
    found.push(
      finding({
        id: 'curing.near',
        severity: 'advice',
        fields: [low ? 'minimum' : 'maximum'],
        limit: cite(range),
        message: `The box is at ${plainOf((low ? minimum : maximum) ?? exact(0), unit)}, near the end of its range.`,
        action: 'Adjust it now, while the whole record is still inside.',
      }),
    );
  }
  const [coldest, warmest] = [
    readMeasure(input, 'outdoorMinimum')?.value,
    readMeasure(input, 'outdoorMaximum')?.value,
  ];
  const follows = limits.number('curing.unplugged', input.system);
  const like = (a: Exact | undefined, b: Exact | undefined): boolean =>
    a !== undefined && b !== undefined && a.minus(b).abs().lessThanOrEqualTo(follows);
  if (like(minimum, coldest) && like(maximum, warmest)) {
    found.push(
      finding({
        id: 'curing.unplugged',
        severity: 'advice',
        fields: ['outdoorMinimum', 'outdoorMaximum'],
        limit: cite(limits.of('curing.unplugged', input.system)),
        message: 'The box went up and down with the weather: it looks unplugged.',
        action: 'Look at plug, breaker and thermostat, and who else uses the socket.',
      }),
    );
  }
  return found;
}

/** Left before eight hours after an estimated set: the measured one has a clock of its own. */
function departureFindings(
  input: InitialCuringInput,
  set: Exact | undefined,
  setup: RunSetup,
  limits: Limits,
): Finding[] {
  const stamps = sampleStamps(input, setup);
  const [batched, left] = [stamps.batched, stamps['left-site']];
  if (!set || batched === undefined || left === undefined) return [];
  const limit = limits.of('curing.after-set', input.system);
  const earliest =
    batched +
    set
      .plus(limit.low ?? 8)
      .times(3_600_000)
      .toNumber();
  if (left >= earliest) return [];
  return [
    finding({
      id: limit.id,
      severity: 'departure',
      needsReason: true,
      fields: ['leftAt'],
      limit: cite(limit),
      message: `They left ${plainOf(
        exact(earliest - left)
          .div(60_000)
          .toDecimalPlaces(0),
        'min',
      )} before the earliest time by the estimated set.`,
      action: 'Leave them until the time is up; moved earlier, every specimen carries the remark.',
      remark: 'Moved less than eight hours after final set (estimated).',
    }),
  ];
}

function stateFindings(input: InitialCuringInput): Finding[] {
  const found: Finding[] = [];
  if (input.condition && input.condition !== 'ok') {
    const words = {
      chipped: 'chipped or cracked',
      dry: 'dry',
      frozen: 'frozen',
      tilted: 'tilted',
      label: 'with a damaged label',
    };
    found.push(
      finding({
        id: 'curing.condition',
        severity: 'departure',
        fields: ['condition'],
        message: `Found ${words[input.condition]}.`,
        action: 'Photograph it and note which specimens, before they are tested.',
        remark: `Specimens found ${words[input.condition]} at collection.`,
      }),
    );
  }
  if (input.protectedOnTheWay === false) {
    found.push(
      finding({
        id: 'curing.unprotected',
        severity: 'departure',
        fields: ['protectedOnTheWay'],
        message: 'Not protected on the way.',
        action: 'Upright, cushioned, tied; lids or wet burlap; insulated in frost or heat.',
        remark: 'Specimens not protected in transport.',
      }),
    );
  }
  return found;
}

function finalFindings(input: InitialCuringInput, limits: Limits, unit: UnitId): Finding[] {
  const rows = [
    ['finalTemperature', limits.of('curing.final-temperature', input.system), 'The tank or room'],
    ...(limits.profile === 'is'
      ? [['siteWater', limits.of('is/curing.site-water', input.system), 'The water on site'] as const]
      : []),
  ] as const;
  return rows.flatMap(([field, limit, what]) => {
    const value = readMeasure(input, field)?.value;
    // Logged temperatures are compared unrounded.
    if (!value || isWithin(value, limit)) return [];
    return [
      finding({
        id: limit.id,
        severity: 'departure',
        fields: [field],
        limit: cite(limit),
        message: `${what} is at ${plainOf(value, unit)}.`,
        action: 'Put it right and look at everything that stands in it.',
        remark: `${what} at ${plainOf(value, unit)}; ${limit.text}.`,
      }),
    ];
  });
}
