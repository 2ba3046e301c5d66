import type { Limits } from '../../limits';
import { type Exact, exact, roundTo } from '../../quantity';
import { dewPoint } from '../../slab/air';
import { type Change, changeOf } from '../../slab/change';
import { forecast } from '../../slab/forecast';
import { notProvenBy } from '../../slab/service-log';
import { bySeverity, type Finding, ourChoice, Sheet, standard } from '../../working';
import { celsiusOf } from '../celsius';
import type { Outcome, Result } from '../contract';
import { factMeasure, factOption, factText } from '../facts';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { resultOf } from '../outcome';
import { limitsOf, type RunSetup } from '../setup';
import { FLOOR_IDS, silentLimit } from '../slab/floors';
import { CONDITION_IDS, lessUncertainty } from '../slab/reading';
import { notProven } from '../slab/service';
import { instrumentFindings, readingFindings } from './findings';
import type { SlabHumidityInput } from './input';
import { type Visit, visitsBefore, visitText } from './visits';

const F2170 = standard('ASTM F2170');
const EXPLAINED = ourChoice('expected by the temperature alone');
export const HUMIDITY = 'relative humidity';
export const HOLES = ['right', 'shallow', 'deep'] as const;
const DAY = 86_400_000;

/**
 * The humidity in a slab at one visit, what became of it since the last, and when it may be dry.
 * @param input humidities in percent, temperatures in °F or °C
 * @param setup facts: how the hole is, when it was sealed, what was read in it before, what the floor allows
 * @returns humidity to one percent: at least so much in a hole that is too shallow, at most in one too deep, provisional
 *   where service conditions are not proven; vapour pressure and dew point as lines
 * Source: ASTM F2170 (from memory); the explanation is our choice (`core/slab/change.ts`).
 */
export function compute(input: SlabHumidityInput, setup: RunSetup): Outcome {
  const { system, readAt } = input;
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const humidity = readMeasure(input, 'humidity')?.value;
  const [slab, air] = ['slabTemperature', 'airTemperature'].map((name) => celsiusOf(input, name));
  const airHumidity = readMeasure(input, 'airHumidity')?.value;
  const results: Result[] = [];
  const findings: Finding[] = [
    ...instrumentFindings(input, setup, limits),
    ...readingFindings(input, setup, limits),
  ];
  const before = visitsBefore(setup, readAt);
  const open = notProven(input, limits, 'Humidity', recordSays(input, setup, limits, before.length > 0));
  if (open) findings.push(open.finding);
  const lies = factOption(setup, 'hole', HOLES);
  const most =
    factMeasure(setup, 'humidityMost', 'percent', 'percent') ??
    silentLimit(factOption(setup, 'floor', FLOOR_IDS), limits, system)?.value;
  const allowed = most && lessUncertainty(most, factMeasure(setup, 'uncertainty', 'percent', 'percent'));
  let said = '';
  let visit: Visit | undefined;
  // Without the temperature of the concrete there is no reading.
  if (humidity && slab) {
    const step = limits.number('slab.humidity-step', system);
    const reported = sheet.line({
      symbol: 'RH',
      name: 'Relative humidity in the slab',
      formula: 'h',
      uses: { h: humidity },
      unit: 'percent',
      source: F2170,
      round: { step, rule: `to ${step} %` },
    });
    results.push(
      resultOf({
        quantity: HUMIDITY,
        symbol: 'RH',
        value: reported,
        unit: 'percent',
        step,
        mode,
        ...(lies === 'shallow'
          ? { bound: 'at least' as const }
          : lies === 'deep'
            ? { bound: 'at most' as const }
            : {}),
        ...(open ? { provisional: open.why } : {}),
      }),
    );
    pressureLine(sheet, 'e', 'Vapour pressure in the slab', humidity, slab);
    if (air && airHumidity) pressureLine(sheet, 'ea', 'Vapour pressure in the room', airHumidity, air);
    if (readAt && air && airHumidity)
      visit = {
        at: Date.parse(readAt),
        humidity: roundTo(humidity, step, mode).toNumber(),
        celsius: slab.toNumber(),
        air: { humidity: airHumidity.toNumber(), celsius: air.toNumber() },
      };
    const last = before.at(-1);
    if (visit && last) {
      const change = changeOf(last, visit, limits.number('slab.band', system).toNumber());
      expectedLines(sheet, last, visit);
      said = changeWords(last, visit, change, system);
      if (change.says === 'wetter') findings.push(wetter(change, last, visit, limits, system));
    }
  }
  const readings = [...before, ...(visit ? [visit] : [])];
  const dry = allowed && visit && !open ? dryWords(readings, allowed, setup, limits, system) : '';
  const dew = air && airHumidity ? dewPoint(air.toNumber(), airHumidity.toNumber()) : undefined;
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity(findings),
    verdicts: [],
    picture: {
      kind: 'slab-humidity',
      values: {
        visit: visit && readAt ? visitText(readAt, visit.humidity, visit.celsius, visit.air) : null,
        readings: readings
          .map(
            ({ at, humidity: percent }) => `${((at - (readings[0]?.at ?? at)) / DAY).toFixed(2)}/${percent}`,
          )
          .join(' '),
        allowed: allowed ? allowed.toNumber() : null,
        change: said,
        dry,
        dew: dew === undefined ? null : temperatureText(dew, system),
      },
    },
  };
}

/** What the newest record of the air before this reading says against it; undefined where there is none, or nothing. */
function recordSays(
  { readAt, system }: SlabHumidityInput,
  setup: RunSetup,
  limits: Limits,
  later: boolean,
): string | undefined {
  const [since, until, sealed] = ['airSince', 'airUntil', 'sealedAt'].map((name) => {
    const text = factText(setup, name);
    return text ? Date.parse(text) : undefined;
  });
  if (!readAt || until === undefined) return undefined;
  return notProvenBy(
    { since, until },
    {
      at: Date.parse(readAt),
      // Counted back from the reading, the wait of the hole lies within them.
      sealedAt: factOption(setup, 'conditions', CONDITION_IDS) === 'read' ? Date.parse(readAt) : sealed,
      later,
    },
    {
      hours: limits.number('slab.service', system).toNumber(),
      ends: limits.of('service.ends', system).high?.toNumber() ?? 0,
    },
  );
}

/** Pa: a hundredth of the humidity times a hundred, of hPa. Source: WMO-No. 8 (from memory). */
function pressureLine(sheet: Sheet, symbol: string, name: string, h: Exact, T: Exact): void {
  sheet.line({
    symbol,
    name,
    formula: 'h * 6.112 * exp(17.62 * T / (243.12 + T))',
    uses: { h, T },
    unit: 'Pa',
    source: standard('WMO-No. 8'),
    show: 4,
  });
}

function expectedLines(sheet: Sheet, first: Visit, second: Visit): void {
  const percent = (symbol: string, name: string, formula: string, uses: Readonly<Record<string, Exact>>) =>
    sheet.line({ symbol, name, formula, uses, unit: 'percent', source: EXPLAINED, show: 4 });
  const h = exact(first.humidity).div(100);
  const k = percent('k', 'Humidity for 1 °C, its water unchanged', '1.35 * h * (1 - h) / (1.25 - h)', { h });
  const expected = percent('RH2', 'Expected of the last reading at this temperature', 'a + k * (T2 - T1)', {
    a: exact(first.humidity),
    k,
    T1: exact(first.celsius),
    T2: exact(second.celsius),
  });
  percent('r', 'What the temperature does not explain', 'b - c', { b: exact(second.humidity), c: expected });
}

function temperatureText(celsius: number, system: SlabHumidityInput['system']): string {
  return system === 'US' ? `${(celsius * 1.8 + 32).toFixed(0)} °F` : `${celsius.toFixed(1)} °C`;
}

/** What became of it since the last visit, with the number each sentence rests on. */
function changeWords(
  last: Visit,
  now: Visit,
  { expected, rest, says, pressure }: Change,
  system: SlabHumidityInput['system'],
): string {
  const warmer = now.celsius - last.celsius;
  const difference =
    system === 'US' ? `${(Math.abs(warmer) * 1.8).toFixed(0)} °F` : `${Math.abs(warmer).toFixed(1)} °C`;
  const head = {
    'no change shown': 'Explained by temperature and instrument: no change of its water is shown.',
    wetter: 'Wetter than the temperature explains: look for a source.',
    drier: 'Drier than the temperature explains.',
  }[says];
  const dews = [last, now].map(({ air }) => dewPoint(air.celsius, air.humidity));
  const rise = (dews[1] ?? 0) - (dews[0] ?? 0);
  return [
    head,
    `${last.humidity} % then, ${now.humidity} % now, ${difference} ${warmer < 0 ? 'cooler' : 'warmer'}: ${expected.toFixed(1)} % was to be expected, ${Math.abs(rest).toFixed(1)} % ${rest < 0 ? 'less' : 'more'} was read.`,
    `Vapour pressure ${pressure < 0 ? 'down' : 'up'} ${Math.abs(pressure).toFixed(0)} %.`,
    dews.every((each) => each !== undefined)
      ? `Dew point of the room ${rise < 0 ? 'down' : 'up'} to ${temperatureText(dews[1] ?? 0, system)}.`
      : '',
    'What is accepted goes by the reading at service conditions all the same.',
  ]
    .filter(Boolean)
    .join(' ');
}

function wetter(
  change: Change,
  last: Visit,
  now: Visit,
  limits: Limits,
  system: SlabHumidityInput['system'],
): Finding {
  const room =
    (dewPoint(now.air.celsius, now.air.humidity) ?? 0) - (dewPoint(last.air.celsius, last.air.humidity) ?? 0);
  return limitFinding(
    limits,
    system,
    { id: 'slab.band', severity: 'advice', fields: ['humidity'] },
    {
      message: `It is ${change.rest.toFixed(1)} % above what the temperature explains.`,
      action: `${room > 1 ? 'The air got wetter too: was the heating or the air off? ' : ''}Rain, a leak, wet sawing or a wet pour near by? Was the floor covered? Cap and liner tight? Another probe?`,
    },
  );
}

function dryWords(
  readings: readonly Visit[],
  allowed: Exact,
  setup: RunSetup,
  limits: Limits,
  system: SlabHumidityInput['system'],
): string {
  const first = readings[0];
  if (!first) return '';
  const number = (id: 'count' | 'span' | 'scatter'): number =>
    limits.number(`slab.forecast-${id}`, system).toNumber();
  const apart = limits.of('slab.forecast-apart', system).high?.toNumber() ?? 0;
  const since = factText(setup, 'dryingFrom');
  const found = forecast(
    readings.map(({ at, humidity, celsius }) => ({ day: (at - first.at) / DAY, humidity, celsius })),
    allowed.toNumber(),
    since ? Math.max(0, (first.at - Date.parse(since)) / DAY) : 0,
    {
      readings: number('count'),
      span: number('span'),
      apart: system === 'US' ? apart / 1.8 : apart,
      scatter: number('scatter'),
    },
  );
  if (!found.dated) return `No date for it: ${found.why}.`;
  const day = (days: number): string => new Date(first.at + days * DAY).toISOString().slice(0, 10);
  return `It may come down to ${allowed} % from ${day(found.earliest)}, about ${day(found.central)}, ${found.latest === null ? 'the latest cannot be told' : `at the latest about ${day(found.latest)}`}. A floor is released by a reading, never by this.`;
}
