import {
  type ClockDefinition,
  type ClockId,
  type ClockReading,
  clockLimitText,
  clockOf,
  clocksFor,
  clockText,
  isEventId,
  readClock,
  type Stamps,
} from '../clocks';
import { cite, type Limits } from '../limits';
import { type Finding, finding } from '../working';
import { fieldsOf, type RunInput, readMeasure } from './fields';
import type { RunSetup } from './setup';

type InputClass = new () => object;

/** The stamps that an input holds itself: its instant fields that name an event. */
export function ownStamps(input: object): Stamps {
  const pairs = fieldsOf(input.constructor as InputClass).flatMap((field) => {
    if (field.kind !== 'instant' || !field.event) return [];
    const at = Date.parse(String((input as Record<string, unknown>)[field.name] ?? ''));
    return Number.isNaN(at) ? [] : [[field.event, at] as const];
  });
  return Object.fromEntries(pairs);
}

/** The stamps of the whole sample as a run sees them: those of the other runs, the sample's own, and its input's. */
export function sampleStamps(input: object, setup: RunSetup): Stamps {
  const others = Object.entries(setup.sample?.events ?? {})
    .map(([event, text]) => [event, Date.parse(text)] as const)
    .filter(([event, at]) => isEventId(event) && !Number.isNaN(at));
  const sampledAt = Date.parse(setup.sample?.sampledAt ?? '');
  return {
    ...(Number.isNaN(sampledAt) ? {} : { 'final-portion': sampledAt }),
    ...Object.fromEntries(others),
    ...ownStamps(input),
  };
}

/**
 * What the clocks of a run found: each that ended too late or too early, by its stamps, or by a duration that was
 * typed from a stopwatch when there are no stamps.
 * @param ids the clocks this method answers for
 * @param typed the duration field that stands in for a clock, by clock
 */
export function clockFindings(
  input: RunInput,
  setup: RunSetup,
  limits: Limits,
  ids: readonly ClockId[],
  typed: Readonly<Partial<Record<ClockId, string>>> = {},
): Finding[] {
  const stamps = sampleStamps(input, setup);
  const counted = new Set<string>(clocksFor(limits.profile).map(({ id }) => id));
  return ids
    .filter((id) => counted.has(id))
    .flatMap((id) => {
      const clock: ClockDefinition = clockOf(id);
      if (clock.for && !setup.sample?.specimens?.includes(clock.for)) return [];
      const reading = readClock(clock, stamps, 0, limits, input.system);
      const stopwatch = typed[id];
      const byHand = stopwatch === undefined ? undefined : readMeasure(input, stopwatch)?.value.toNumber();
      const elapsed = reading.endedAt === null ? byHand : (reading.elapsed ?? byHand);
      if (elapsed === undefined) return [];
      const early = reading.least !== null && elapsed < reading.least;
      const late = reading.most !== null && elapsed > reading.most;
      if (!early && !late) return [];
      const field =
        reading.elapsed === null || reading.endedAt === null ? stopwatch : stampField(input, clock);
      return [missed(clock, early, elapsed, field, reading, limits)];
    });
}

/** The field that stamps the end of a clock, or its start when another run stamps the end. */
function stampField(input: object, clock: ClockDefinition): string | undefined {
  const fields = fieldsOf(input.constructor as InputClass);
  return [clock.to, ...clock.from]
    .map((event) => fields.find((field) => field.kind === 'instant' && field.event === event)?.name)
    .find((name) => name !== undefined);
}

function missed(
  clock: ClockDefinition,
  early: boolean,
  elapsed: number,
  field: string | undefined,
  reading: ClockReading,
  limits: Limits,
): Finding {
  const words = `${clock.title}: ${clockText(elapsed, clock.place)}`;
  const invalid = clock.means === 'resample' || clock.means === 'redo';
  return finding({
    id: clock.limit,
    severity: invalid ? 'invalid' : 'departure',
    fields: field ? [field] : [],
    limit: { ...cite(limits.of(clock.limit, 'US')), text: clockLimitText(reading) },
    message: `${words}, ${early ? 'too short' : 'too long'}.`,
    action: (early ? clock.early : clock.late) || clock.late,
    ...(invalid ? {} : { remark: `${words}; ${clockLimitText(reading)} is allowed.` }),
  });
}
