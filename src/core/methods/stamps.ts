import {
  type ClockDefinition,
  type ClockId,
  type ClockReading,
  clockLimitText,
  clockOf,
  clocksFor,
  clockText,
  type EventId,
  isEventId,
  readClock,
  type Stamps,
} from '../clocks';
import { cite, type Limits } from '../limits';
import type { Wait } from '../waits/wait';
import { type Finding, finding } from '../working';
import { fieldsOf, type RunInput, readMeasure } from './fields';
import type { RunSetup } from './setup';

type InputClass = new () => object;

/** The stamps that an input holds itself: its instant fields that name an event. */
export function ownStamps(input: object): Stamps {
  const stamps: { [K in EventId]?: number } = {};
  for (const [event, name] of eventFieldsOf(input.constructor as InputClass)) {
    const typed = (input as Record<string, unknown>)[name];
    const at = typeof typed === 'string' ? Date.parse(typed) : Number.NaN;
    if (!Number.isNaN(at)) stamps[event] = at;
  }
  return stamps;
}

const eventFields = new WeakMap<InputClass, ReadonlyMap<EventId, string>>();

/** The fields of an input class that stamp an event, by the event. */
export function eventFieldsOf(type: InputClass): ReadonlyMap<EventId, string> {
  const before = eventFields.get(type);
  if (before) return before;
  const made = new Map(
    fieldsOf(type).flatMap((field) =>
      field.kind === 'instant' && field.event ? [[field.event, field.name] as const] : [],
    ),
  );
  eventFields.set(type, made);
  return made;
}

/** What a run's stamps came to, kept while nothing that they were read from has changed. */
interface Gathered {
  readonly sample: RunSetup['sample'];
  readonly typed: readonly unknown[];
  readonly stamps: Stamps;
}
const gathered = new WeakMap<object, Gathered>();

/** The stamps of the whole sample as a run sees them: those of the other runs, the sample's own, and its input's. */
export function sampleStamps(input: object, setup: RunSetup): Stamps {
  const names = eventFieldsOf(input.constructor as InputClass);
  const before = gathered.get(input);
  if (before && before.sample === setup.sample && isUnchanged(input, names, before.typed))
    return before.stamps;
  const typed = [...names.values()].map((name) => (input as Record<string, unknown>)[name]);
  const stamps = { ...givenStamps(setup), ...ownStamps(input) };
  gathered.set(input, { sample: setup.sample, typed, stamps });
  return stamps;
}

function isUnchanged(input: object, names: ReadonlyMap<EventId, string>, typed: readonly unknown[]): boolean {
  let index = 0;
  for (const name of names.values()) {
    if ((input as Record<string, unknown>)[name] !== typed[index]) return false;
    index += 1;
  }
  return true;
}

/** What the setup holds is plain data that nobody alters: read once. */
const given = new WeakMap<object, Stamps>();

function givenStamps({ sample }: RunSetup): Stamps {
  if (!sample) return {};
  const before = given.get(sample);
  if (before) return before;
  const others = Object.entries(sample.events ?? {})
    .map(([event, text]) => [event, Date.parse(text)] as const)
    .filter(([event, at]) => isEventId(event) && !Number.isNaN(at));
  const sampledAt = Date.parse(sample.sampledAt ?? '');
  const made: Stamps = {
    ...(Number.isNaN(sampledAt) ? {} : { 'final-portion': sampledAt }),
    ...Object.fromEntries(others),
  };
  given.set(sample, made);
  return made;
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
  const counted = clocksFor(limits.profile);
  const found: Finding[] = [];
  for (const id of ids) {
    const clock = clockOf(id);
    if (!counted.includes(clock)) continue;
    if (clock.for && !setup.sample?.specimens?.includes(clock.for)) continue;
    const reading = readClock(clock, stamps, 0, limits, input.system);
    const stopwatch = typed[id];
    const byHand = stopwatch === undefined ? undefined : readMeasure(input, stopwatch)?.value.toNumber();
    const elapsed = reading.endedAt === null ? byHand : (reading.elapsed ?? byHand);
    if (elapsed === undefined) continue;
    const early = reading.least !== null && elapsed < reading.least;
    const late = reading.most !== null && elapsed > reading.most;
    if (!early && !late) continue;
    const field = reading.elapsed === null || reading.endedAt === null ? stopwatch : stampField(input, clock);
    found.push(missed(clock, early, elapsed, field, reading, limits));
  }
  return found;
}

/**
 * What is waited for by the clocks of a run: each that has begun, from the end of its least time to the end of its most.
 * @param ids the clocks this method answers for
 */
export function clockWaits(
  input: RunInput,
  setup: RunSetup,
  limits: Limits,
  ids: readonly ClockId[],
): readonly Wait[] {
  const stamps = sampleStamps(input, setup);
  const counted = clocksFor(limits.profile);
  return ids.flatMap((id): Wait[] => {
    const clock = clockOf(id);
    if (!counted.includes(clock) || (clock.for && !setup.sample?.specimens?.includes(clock.for))) return [];
    const { startedAt, endedAt, most, least } = readClock(clock, stamps, 0, limits, input.system);
    if (startedAt === null) return [];
    const after = (seconds: number): string => new Date(startedAt + seconds * 1000).toISOString();
    // What only asks for a least time is over when that is up, whoever looks.
    const done =
      endedAt === null
        ? most === null
          ? after(least ?? 0)
          : undefined
        : after((endedAt - startedAt) / 1000);
    return [
      {
        id,
        what: clock.title,
        lane: 'field',
        opens: after(least ?? 0),
        ...(most === null ? {} : { closes: after(most) }),
        ...(done ? { done } : {}),
      },
    ];
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
