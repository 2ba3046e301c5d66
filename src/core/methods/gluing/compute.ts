import { DateTime } from 'luxon';
import { isWithin, type Limits } from '../../limits';
import { convert, type Exact, exact } from '../../quantity';
import { dewPoint } from '../../slab/air';
import type { Wait } from '../../waits/wait';
import { bySeverity, commonPractice, type Finding, finding, Sheet } from '../../working';
import { rowsFor, strangerFindings } from '../batch-rows';
import { celsiusOf } from '../celsius';
import type { Outcome, Result } from '../contract';
import type { Facts } from '../facts';
import { readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { resultOf } from '../outcome';
import { cureHours } from '../pull/glue';
import { limitsOf, type RunSetup } from '../setup';
import { labelsOf } from '../tested';
import { coldestOf, loggedBy } from './coldest';
import type { GluingInput } from './input';

export const CURE = 'time to cure';
const HOUR = 3_600_000;

/**
 * A batch of glue: how long it cures at the temperature of the surface, and whether it was set within its life.
 * @param input what its sheet says; temperatures in °F or °C; each dolly with its moment
 * @returns the time to cure, none below the temperature from which the glue cures
 * Source: common practice, no source: twice the time for every 10 °C [18 °F] colder.
 */
export function compute(input: GluingInput, setup: RunSetup): Outcome {
  const { system, mixedAt } = input;
  const limits = limitsOf(setup);
  const sheet = new Sheet(setup.rounding ?? 'half-even');
  const findings: Finding[] = strangerFindings(input.dollies, 'dollies', setup);
  const results: Result[] = [];
  const cures = conditionsOf(input, setup, limits);
  if (cures?.below)
    findings.push(
      finding({
        id: 'glue.cold',
        severity: 'invalid',
        fields: ['surfaceTemperature', 'coldest'],
        message: 'Below the temperature of its sheet this glue does not cure: its clock stands still.',
        action: 'Warm the surface and keep it warm, or take a glue for the cold.',
      }),
    );
  else if (cures) {
    const step = limits.number('glue.cure-step', system);
    const value = sheet.line({
      symbol: 't',
      name: 'Time to cure at the coldest of the surface',
      formula: 't0 * 2^((T0 - T) / k)',
      uses: { t0: cures.hours, T0: cures.at, T: cures.celsius, k: cures.doubling },
      unit: 'h',
      source: commonPractice,
      round: { step, rule: `to ${step} h` },
    });
    results.push(resultOf({ quantity: CURE, symbol: 't', value, unit: 'h', step, mode: sheet.mode }));
    const colder = cures.at.minus(cures.celsius);
    if (
      readMeasure(input, 'coldest') === undefined &&
      !input.record &&
      colder.greaterThan(limits.of('glue.worth-log', 'SI').high ?? 0)
    )
      findings.push(
        limitFinding(
          limits,
          system,
          { id: 'glue.worth-log', severity: 'advice', fields: ['coldest'] },
          {
            message: `The surface was ${colder.toFixed(0)} °C colder than the sheet says it for when they were set.`,
            action: 'A logger beside them, and its file here: the night is colder still.',
          },
        ),
      );
  }
  const life = readMeasure(input, 'life')?.value;
  for (const label of labelsOf(setup)) {
    const row = rowsFor(input.dollies, label).at(-1);
    if (row?.set === 'slid')
      findings.push(
        finding({
          id: `glue.slid.${label}`,
          severity: 'departure',
          fields: ['dollies'],
          message: `${label} slid.`,
          action: 'Take it off, clean it, and set it again on another place.',
          remark: `${label} slid when it was set: not to be pulled.`,
        }),
      );
    if (row?.at && mixedAt && life) {
      const minutes = exact(Date.parse(row.at) - Date.parse(mixedAt)).div(60_000);
      if (minutes.greaterThan(life))
        findings.push(
          finding({
            id: `glue.life.${label}`,
            severity: 'departure',
            fields: ['dollies'],
            message: `${label} was set ${minutes.toFixed(0)} min after the glue was mixed; it lives ${life} min.`,
            action: 'Throw the rest away and mix anew.',
            remark: `${label} set ${minutes.toFixed(0)} min after mixing, life ${life} min.`,
          }),
        );
    }
  }
  findings.push(...dewFindings(input, setup), ...logFindings(input, setup));
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity(findings),
    verdicts: [],
    picture: {
      kind: 'gluing',
      values: {
        hours: cures && !cures.below ? cures.need : null,
        cured: curedWords(input, setup),
        set: (input.dollies ?? []).filter(({ set }) => set === 'straight').length,
        of: labelsOf(setup).length,
        life: life ? life.toNumber() : null,
      },
    },
  };
}

interface Cures {
  readonly hours: Exact;
  readonly at: Exact;
  readonly celsius: Exact;
  /** Degrees that it takes twice as long for. */
  readonly doubling: Exact;
  readonly below: boolean;
  readonly need: number;
}

/** What the glue cures at, °C; the coldest that is known counts. */
function conditionsOf(input: GluingInput, setup: RunSetup, limits: Limits): Cures | undefined {
  const [hours, at] = [readMeasure(input, 'cure')?.value, celsiusOf(input, 'cureAt')];
  const celsius = coldestOf(input, setup);
  const least = celsiusOf(input, 'least');
  if (!hours || !at || !celsius) return undefined;
  const doubling = limits.number('glue.doubling', 'SI');
  const need = cureHours(
    hours.toNumber(),
    at.toNumber(),
    celsius.toNumber(),
    least?.toNumber() ?? Number.NEGATIVE_INFINITY,
    doubling.toNumber(),
  );
  return { hours, at, celsius, doubling, below: !Number.isFinite(need), need };
}

/** When a dolly can be pulled: the time to cure after it was set, the last one where its own moment is not known. */
function curedAt(input: GluingInput, setup: RunSetup, label?: string): string | undefined {
  const limits = limitsOf(setup);
  const cures = conditionsOf(input, setup, limits);
  const from = (label && rowsFor(input.dollies, label).at(-1)?.at) || input.setAt;
  if (!cures || cures.below || !from || Number.isNaN(Date.parse(from))) return undefined;
  const step = limits.number('glue.cure-step', input.system);
  // Never before it is hard: up to the next tenth of an hour.
  const hours = exact(cures.need.toFixed(9)).div(step).ceil().times(step).toNumber();
  return new Date(Date.parse(from) + hours * HOUR).toISOString();
}

function curedWords(input: GluingInput, setup: RunSetup): string | null {
  const at = input.setAt ? curedAt(input, setup) : undefined;
  return at ? DateTime.fromISO(at, { zone: setup.zone ?? 'utc' }).toFormat('cccc d LLLL HH:mm') : null;
}

/** What it says of one dolly to its own pull. */
export function tells(input: GluingInput, label: string, setup: RunSetup | undefined): Facts {
  const at = setup && input.setAt ? curedAt(input, setup, label) : undefined;
  const row = rowsFor(input.dollies, label).at(-1);
  return {
    ...(at ? { curedAt: at } : {}),
    ...(input.product ? { glue: input.product } : {}),
    ...(row?.set ? { set: row.set } : {}),
    ...(input.control ? { control: controlText(input) } : {}),
  };
}

function controlText(input: GluingInput): string {
  const read = readMeasure(input, 'control');
  return read ? `${read.value.toFixed()} ${read.unit}` : '';
}

/** Each dolly waits to be pulled from when its glue is hard until it was. */
export function waits(input: GluingInput, setup: RunSetup): Wait[] {
  if (!input.setAt) return [];
  return labelsOf(setup).flatMap((label): Wait[] => {
    if (rowsFor(input.dollies, label).at(-1)?.set === 'slid') return [];
    const opens = curedAt(input, setup, label);
    return opens
      ? [{ id: 'pull', what: 'Pull the dolly', lane: 'slab', about: label, opens, stays: true }]
      : [];
  });
}

/** A log that says nothing of the cure, or not of all of it. */
function logFindings(input: GluingInput, setup: RunSetup): Finding[] {
  const logged = loggedBy(input, setup);
  if (!logged) return [];
  const about = { id: 'glue.log', severity: 'advice', fields: ['record'] } as const;
  if (logged.coldest === undefined)
    return [
      finding({
        ...about,
        message: 'The log ends before the last dolly was set: it says nothing of the cure.',
        action: 'Read the logger out again when the glue is hard.',
      }),
    ];
  const hard = curedAt(input, setup);
  const short = hard && logged.until !== undefined ? (Date.parse(hard) - logged.until) / HOUR : 0;
  return short > 0
    ? [
        finding({
          ...about,
          message: `The log ends ${short.toFixed(1)} h before the glue is hard: how cold it was then is not known.`,
          action: 'Read the logger out again before the first pull.',
        }),
      ]
    : [];
}

/** A surface at the dew point is wet before anybody sees it. */
function dewFindings(input: GluingInput, setup: RunSetup): Finding[] {
  const { system } = input;
  const limits = limitsOf(setup);
  const [surface, air] = ['surfaceTemperature', 'airTemperature'].map((name) => celsiusOf(input, name));
  const humidity = readMeasure(input, 'airHumidity')?.value;
  const dew = air && humidity ? dewPoint(air.toNumber(), humidity.toNumber()) : undefined;
  if (!surface || dew === undefined) return [];
  const above = surface.minus(exact(dew.toFixed(6)));
  const own = system === 'US' ? convert(above, 'deltaC', 'deltaF') : above;
  if (isWithin(own, limits.of('pull.dew', system))) return [];
  const said = `${own.abs().toFixed(1)} ${system === 'US' ? '°F' : '°C'} ${own.isNegative() ? 'below' : 'above'} the dew point`;
  return [
    limitFinding(
      limits,
      system,
      { id: 'pull.dew', severity: 'departure', fields: ['surfaceTemperature', 'airHumidity'] },
      {
        message: `The surface is ${said}.`,
        action: 'Wait until it is warmer or the air drier: glue does not wet a damp face.',
        remark: `Glued with the surface ${said}.`,
      },
    ),
  ];
}
