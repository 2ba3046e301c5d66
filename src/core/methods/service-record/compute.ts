import { DateTime } from 'luxon';
import type { Limits } from '../../limits';
import { exact } from '../../quantity';
import { readAir, type ServiceBreak, type ServiceSays, serviceOf } from '../../slab/service-log';
import { durationText } from '../../windows/duration-text';
import { bySeverity, type Finding, finding, ourChoice, Sheet } from '../../working';
import { celsiusOf } from '../celsius';
import type { Outcome, Result } from '../contract';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { resultOf } from '../outcome';
import { packedRows } from '../picture-rows';
import { limitsOf, type RunSetup } from '../setup';
import type { ServiceRecordInput } from './input';

export const HELD = 'service conditions held';
const HOUR = 3_600_000;
/** Strips that a picture has at the most. */
const DRAWN = 300;

/**
 * Since when the air of a level was as the finished building will have it.
 * @param input the declared air, °F or °C and percent, and a record of it
 * @returns hours up to the last reading, 0 where it was not held then; each gap and each time outside is told
 * Source: our choice (`core/slab/service-log.ts`).
 */
export function compute(input: ServiceRecordInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const findings: Finding[] = [];
  const zone = setup.zone ?? 'utc';
  const [celsius, humidity] = [celsiusOf(input, 'temperature'), readMeasure(input, 'humidity')?.value];
  const { rows, bad } = readAir(input.record ?? '', zone, system === 'US');
  if (bad.length > 0)
    findings.push(
      finding({
        id: 'service.lines',
        severity: 'departure',
        fields: ['record'],
        message: `${bad.length === 1 ? 'Line' : 'Lines'} ${bad.slice(0, 6).join(', ')}${bad.length > 6 ? ' and more' : ''} could not be read.`,
        action: 'A time with its date, a temperature and a humidity on each line.',
        remark: `${bad.length} lines of the record of the air could not be read.`,
      }),
    );
  const most = (id: 'temperature' | 'humidity' | 'gap' | 'out'): number =>
    limits.of(`service.${id}`, 'SI').high?.toNumber() ?? 0;
  const says =
    celsius && humidity
      ? serviceOf(rows, {
          celsius: celsius.toNumber(),
          off:
            system === 'US'
              ? (limits.of('service.temperature', 'US').high?.toNumber() ?? 0) / 1.8
              : most('temperature'),
          humidity: humidity.toNumber(),
          humidityOff: most('humidity'),
          gap: most('gap') * HOUR,
          out: most('out') * HOUR,
        })
      : undefined;
  const results: Result[] = [];
  if (says) {
    for (const each of says.breaks) findings.push(breakFinding(each, zone, limits, system));
    const hours = says.since === undefined ? 0 : (says.until - says.since) / HOUR;
    const step = limits.number('service.step', system);
    const value = sheet.line({
      symbol: 't',
      name: 'Held without a break up to the last reading',
      formula: 't',
      uses: { t: exact(hours.toFixed(4)) },
      unit: 'h',
      source: ourChoice('differences of instants'),
      round: { step, rule: `to ${step} h` },
    });
    results.push(resultOf({ quantity: HELD, symbol: 't', value, unit: 'h', step, mode }));
  }
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity(findings),
    verdicts: [],
    picture: { kind: 'service-record', values: { ...drawn(rows, says), ...said(says, zone) } },
  };
}

function said(says: ServiceSays | undefined, zone: string) {
  const iso = (at: number | undefined): string | null =>
    at === undefined ? null : new Date(at).toISOString();
  const words = (at: number): string => DateTime.fromMillis(at, { zone }).toFormat('ccc d LLL HH:mm');
  return {
    since: iso(says?.since),
    until: iso(says?.until),
    words:
      says === undefined
        ? ''
        : says.since === undefined
          ? 'The air is not held at the end of the record.'
          : `Held since ${words(says.since)}, up to ${words(says.until)}.`,
  };
}

/** The record as it is drawn: shares of its length where it was outside or missing. */
function drawn(rows: readonly { readonly at: number }[], says: ServiceSays | undefined) {
  const [first, last] = [rows[0]?.at, rows.at(-1)?.at];
  const long = (last ?? 0) - (first ?? 0);
  const share = (at: number): string => (long > 0 ? (at - (first ?? 0)) / long : 0).toFixed(4);
  return {
    breaks: packedRows(
      (says?.breaks ?? [])
        .slice(0, DRAWN)
        .map(({ kind, from, to, anew }) => [kind, share(from), share(to), anew ? 'anew' : 'said']),
    ),
    from: says?.since === undefined ? null : Number(share(says.since)),
    rows: rows.length,
  };
}

function breakFinding(
  { kind, from, to, anew }: ServiceBreak,
  zone: string,
  limits: Limits,
  system: ServiceRecordInput['system'],
): Finding {
  const at = DateTime.fromMillis(from, { zone }).toFormat('ccc d LLL HH:mm');
  const long = durationText((to - from) / 60_000);
  const id = kind === 'gap' ? ('service.gap' as const) : ('service.out' as const);
  const message = kind === 'gap' ? `No reading for ${long} from ${at}.` : `Outside for ${long} from ${at}.`;
  return {
    ...limitFinding(
      limits,
      system,
      { id, severity: anew ? 'departure' : 'advice', fields: ['record'] },
      {
        message,
        action: anew
          ? 'The 48 h begin anew behind it: what is read before they are over is for the trend.'
          : 'So short it is only said.',
        ...(anew ? { remark: message } : {}),
      },
    ),
    id: `${id}.${from}`,
  };
}
