import { DateTime } from 'luxon';
import { cite, type Limits } from '../../limits';
import { exact } from '../../quantity';
import type { Wait } from '../../waits/wait';
import { bySeverity, type Finding, finding, Sheet } from '../../working';
import { strangerFindings } from '../batch-rows';
import type { Outcome, Result } from '../contract';
import { weighingsOf } from '../drying/rows';
import { type DryingState, dryingRule, dryingState } from '../drying/state';
import { resultOf } from '../outcome';
import { limitsOf, type RunSetup } from '../setup';
import { labelsOf } from '../tested';
import { excursions } from './air';
import type { UnitConditioningInput } from './input';

const HOUR = 3_600_000;

/** When the clock of the room began for good: when they were set out, or when the room came back; ms since the epoch. */
function roomFrom(input: UnitConditioningInput, limits: Limits): number | null {
  const placed = Date.parse(input.placedAt ?? '');
  if (Number.isNaN(placed)) return null;
  const after = excursions(input.air ?? [], limits, input.system).filter(
    ({ to }) => to === null || to > placed,
  );
  if (after.some(({ to }) => to === null)) return null;
  return Math.max(placed, ...after.map(({ to }) => to ?? placed));
}

/** How far one unit is at the fan; undefined in room air, or before the fan was on. */
function fanState(input: UnitConditioningInput, label: string, limits: Limits): DryingState | undefined {
  const startedAt = Date.parse(input.placedAt ?? '');
  if (input.way !== 'fan' || Number.isNaN(startedAt)) return undefined;
  const weighings = weighingsOf(input.weighings, label);
  return dryingState(
    weighings,
    dryingRule(limits, startedAt, { first: 'condition.fan', every: 'drying.every', loss: 'drying.loss' }),
  );
}

/** When a unit may be capped, ms since the epoch; null while that is not known. */
export function overAt(input: UnitConditioningInput, label: string, limits: Limits): number | null {
  if (input.way === 'fan') return fanState(input, label, limits)?.dryAt ?? null;
  const from = roomFrom(input, limits);
  return from === null ? null : from + limits.number('condition.room', 'US').toNumber() * HOUR;
}

/**
 * Units conditioned before they are capped: two days of room air, or the fan until they lose no more.
 * @param input masses in lb or kg, air in °F or °C
 * @returns hours of the conditioning; findings on what broke it
 * Source: ASTM C140/C140M 7.3 (from memory).
 */
export function compute(input: UnitConditioningInput, setup: RunSetup): Outcome {
  const limits = limitsOf(setup);
  const { system } = input;
  const zone = setup.zone ?? 'utc';
  const clock = (at: number): string => DateTime.fromMillis(at, { zone }).toFormat('ccc d LLL HH:mm');
  const results: Result[] = [];
  const sheet = new Sheet(setup.rounding ?? 'half-even');
  const findings: Finding[] = [...strangerFindings(input.weighings, 'weighings', setup)];
  const labels = labelsOf(setup);
  const over = labels.map((label) => ({ label, at: overAt(input, label, limits) }));
  const taken = Date.parse(input.takenAt ?? '');
  const from = input.way === 'room' ? roomFrom(input, limits) : Date.parse(input.placedAt ?? '');
  if (!Number.isNaN(taken) && from !== null && !Number.isNaN(from) && taken > from)
    results.push(
      resultOf({
        quantity: 'conditioning time',
        symbol: 't',
        value: sheet.line({
          symbol: 't',
          name: 'Conditioned for',
          formula: 'm / 60',
          uses: { m: exact(taken - from).div(60_000) },
          unit: 'h',
          source: limits.of('condition.room', system).source,
        }),
        unit: 'h',
        step: '0.1',
        mode: setup.rounding ?? 'half-even',
      }),
    );
  if (input.way !== 'fan')
    for (const away of excursions(input.air ?? [], limits, system)) {
      const words =
        away.to === null
          ? `The room has been out of its range since ${clock(away.from)}: ${away.words}.`
          : `The room was out of its range from ${clock(away.from)} to ${clock(away.to)}: ${away.words}.`;
      findings.push(
        finding({
          id: 'condition.away',
          severity: 'departure',
          needsReason: false,
          fields: ['air'],
          limit: cite(limits.of('condition.away', system)),
          message: words,
          action: 'The clock begins anew when the room is back: two days without a break.',
          remark: `${words} Conditioning counted from its return.`,
        }),
      );
    }
  const early = over.filter(({ at }) => at === null || taken < at);
  const way = limits.of(input.way === 'fan' ? 'drying.loss' : 'condition.room', system);
  if (!Number.isNaN(taken) && input.way && early.length > 0)
    findings.push(
      finding({
        id: 'condition.short',
        severity: 'invalid',
        fields: ['takenAt'],
        limit: cite(way),
        message: `Not conditioned to the end: ${early.map(({ label }) => label).join(', ')}.`,
        action:
          input.way === 'fan'
            ? 'Back to the fan, and weighed again when it counts.'
            : `They stay${early[0]?.at ? ` until ${clock(early[0].at)}` : ''}; nothing is capped before.`,
      }),
    );
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity(findings),
    verdicts: [],
    picture: {
      kind: 'conditioning',
      values: {
        zone,
        way: input.way ?? null,
        labels: labels.join(','),
        placedAt: input.placedAt ?? null,
        over: over.map(({ label, at }) => `${label}=${at ?? ''}`).join(','),
        next: labels.map((label) => `${label}=${fanState(input, label, limits)?.nextAt ?? ''}`).join(','),
        takenAt: input.takenAt ?? null,
      },
    },
  };
}

/** In room air they all wait for the same minute; at the fan each for its next weighing. */
export function waits(input: UnitConditioningInput, setup: RunSetup): Wait[] {
  const limits = limitsOf(setup);
  const iso = (at: number): string => new Date(at).toISOString();
  const taken = input.takenAt ? { done: input.takenAt } : {};
  return labelsOf(setup).flatMap((about): Wait[] => {
    if (input.way === 'fan') {
      const next = input.takenAt ? null : fanState(input, about, limits)?.nextAt;
      return next ? [{ id: 'fan', what: 'Weigh at the fan', lane: 'ends', about, opens: iso(next) }] : [];
    }
    const at = overAt(input, about, limits);
    return at === null || input.way !== 'room'
      ? []
      : [{ id: 'room', what: 'Conditioned: cap them', lane: 'ends', about, opens: iso(at), ...taken }];
  });
}

/** From when on one unit may be capped, once it was taken; and since when it is conditioned. */
export function tells(
  input: UnitConditioningInput,
  label: string,
  setup: RunSetup | undefined,
): { conditionedAt?: string; conditionedFrom?: string } {
  const from = input.placedAt ? { conditionedFrom: input.placedAt } : {};
  const at = overAt(input, label, limitsOf(setup ?? {}));
  const taken = Date.parse(input.takenAt ?? '');
  if (at === null || Number.isNaN(taken) || input.moisture !== 'none') return from;
  return { ...from, conditionedAt: new Date(at).toISOString() };
}
