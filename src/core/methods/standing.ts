import { DateTime } from 'luxon';
import { type Verdict, verdictWith } from '../acceptance/criterion';
import { isCertified, lapsedCard } from '../certification';
import { EVENTS, outOfOrder, type Sequence, sequencesWith, TOLD } from '../clocks';
import { cite } from '../limits';
import { bySeverity, type Finding, finding, isReportable } from '../working';
import { answerFindings } from './answers';
import type { Method, Outcome } from './contract';
import { dayOf } from './equipment-checks';
import { fieldOf, type RunInput } from './fields';
import { limitsOf, type RunSetup } from './setup';
import { eventFieldsOf, sampleStamps } from './stamps';
import { stepClockFindings } from './step-clock';
import { unfinishedRows } from './unfinished-rows';

/** A test for acceptance that a person without a valid certificate for it made. */
function certificationFindings(method: Method, input: object, setup: RunSetup): Finding[] {
  const { technician } = setup;
  const performed = (input as Record<string, unknown>)[method.performedAt];
  const day = dayOf(typeof performed === 'string' ? performed : undefined, setup);
  if (!method.needsCard || !technician || day === undefined) return [];
  const cards = technician.cards ?? [];
  if (isCertified(cards, method.id, day)) return [];
  const lapsed = lapsedCard(cards, method.id, day);
  const why = lapsed
    ? `the certificate lapsed on ${lapsed.expiresOn}`
    : 'no certificate for this test is on file';
  return [
    finding({
      id: 'people.certified',
      severity: 'departure',
      fields: [],
      limit: cite(limitsOf(setup).of('people.certified', 'US')),
      message: `${technician.name} is not certified for ${method.title.toLowerCase()} on this day: ${why}.`,
      action:
        'Let a certified technician make or witness it. The result is reported with the remark; whether it counts for acceptance is the engineer’s decision.',
      remark: `Not certified: ${technician.name}, ${why}.`,
    }),
  ];
}

/** Stamps whose time was typed, not pressed: each stands with the time it was entered. */
function lateStampFindings(method: Method, input: object, setup: RunSetup): Finding[] {
  const entered = setup.enteredAt ?? NOTHING;
  const limit = limitsOf(setup).of('stamps.typed', 'US');
  const most = (limit.high?.toNumber() ?? 0) * 1000;
  const typed: { name: string; words: string }[] = [];
  for (const [event, name] of eventFieldsOf(method.Input)) {
    const entry = TOLD.has(event) ? undefined : entered[name];
    if (entry === undefined) continue;
    const claimed = Date.parse(String((input as Record<string, unknown>)[name] ?? ''));
    const made = Date.parse(entry);
    if (Number.isNaN(claimed) || Number.isNaN(made) || Math.abs(made - claimed) <= most) continue;
    const label = fieldOf(method.Input, name)?.label ?? name;
    const [at, later] = [claimed, made].map((each) => clockAt(each, setup, 'HH:mm:ss'));
    typed.push({ name, words: `${label} ${at}, entered ${later}` });
  }
  if (typed.length === 0) return [];
  const words = typed.map((each) => each.words).join('; ');
  return [
    finding({
      id: 'stamps.typed',
      severity: 'departure',
      needsReason: false,
      fields: typed.map(({ name }) => name),
      limit: cite(limit),
      message: `Times typed, not pressed when it happened: ${words}.`,
      action: 'Press at the event. The times stand as they were given, with the mark.',
      remark: `Times typed afterwards: ${words}.`,
    }),
  ];
}

const NOTHING: Readonly<Record<string, string>> = {};

/** An instant as a clock in the job's zone shows it. */
function clockAt(at: number, setup: RunSetup, format: string): string {
  return DateTime.fromMillis(at, { zone: setup.zone ?? 'utc' }).toFormat(format);
}

/** Times that stand in an order in which they cannot have happened: one of the two was typed or pressed wrongly. */
function orderFindings(
  method: Method,
  input: object,
  setup: RunSetup,
  sequences: readonly Sequence[],
): Finding[] {
  const read = input as Record<string, unknown>;
  const clock = (at: number): string => clockAt(at, setup, 'd LLL HH:mm:ss');
  const ownEvents = eventFieldsOf(method.Input);
  const stamps = sequences.length > 0 ? sampleStamps(input, setup) : {};
  const ofEvents = outOfOrder(stamps, sequences)
    // Two times of another run are that run's to say.
    .filter(({ before, after }) => ownEvents.has(before) || ownEvents.has(after))
    .map(({ before, after }) => ({
      fields: [ownEvents.get(before), ownEvents.get(after)].filter((name) => name !== undefined),
      words: `${EVENTS[after]} (${clock(stamps[after] ?? 0)}) lies before ${lowerFirst(EVENTS[before])} (${clock(stamps[before] ?? 0)})`,
    }));
  const timeOf = (name: string): { name: string; label: string; at: number } | undefined => {
    const typed = name === MADE ? setup.specimen?.since : read[name];
    const at = typeof typed === 'string' ? Date.parse(typed) : Number.NaN;
    if (Number.isNaN(at)) return undefined;
    return { name, at, label: name === MADE ? 'made' : (fieldOf(method.Input, name)?.label ?? name) };
  };
  const ofFields = (method.sequence ?? []).flatMap((row) => {
    const there = row.flatMap((name) => timeOf(name) ?? []);
    return there.flatMap((later, index) => {
      const earlier = there[index - 1];
      if (!earlier || Math.floor(later.at / 1000) >= Math.floor(earlier.at / 1000)) return [];
      return [
        {
          fields: [earlier.name, later.name].filter((name) => name !== MADE),
          words: `${later.label} (${clock(later.at)}) lies before ${lowerFirst(earlier.label)} (${clock(earlier.at)})`,
        },
      ];
    });
  });
  const all = [...ofEvents, ...ofFields];
  return all.map(({ fields: concerned, words }, index) =>
    finding({
      id: `times.order${index > 0 ? `-${index + 1}` : ''}`,
      severity: 'departure',
      needsReason: true,
      fields: [...new Set(concerned)],
      message: `${words}.`,
      action:
        'It cannot have happened in this order: one of the two times is wrong. Correct it, with the day.',
      remark: `Times in an impossible order: ${words}.`,
    }),
  );
}

/** The making of the specimen, among the times of a test. */
const MADE = 'since';

function lowerFirst(words: string): string {
  return `${words.charAt(0).toLowerCase()}${words.slice(1)}`;
}

/** What is said instead of a mark of acceptance, the arithmetic still with it. */
function withheld(verdict: Verdict): Verdict {
  const { side: _, ...rest } = verdict;
  return {
    ...rest,
    state: 'not yet determinable',
    sentence: `Mark of acceptance withheld, made without a valid certificate. ${verdict.sentence}`,
  };
}

/** Validity is about the test, tolerance about the concrete: a test that is not valid says nothing of the concrete. */
function undetermined({ criterion, limit }: Verdict): Verdict {
  return verdictWith({
    criterion,
    limit,
    state: 'not yet determinable',
    sentence: `No valid test to hold against ${criterion}.`,
  });
}

/**
 * A method with what holds for every test alike: who made it and how its stamps came about. It is added in this one
 * place, so that no method can forget it.
 * Source: ACI 318 26.12, ASTM C94/C94M and C1077 for certified technicians (from memory).
 */
export function withStanding(method: Method): Method {
  const sequences = sequencesWith(eventFieldsOf(method.Input).keys());
  return {
    ...method,
    compute(input: RunInput, setup: RunSetup): Outcome {
      const outcome = method.compute(input, setup);
      const uncertified = certificationFindings(method, input, setup);
      const added = [
        ...uncertified,
        ...lateStampFindings(method, input, setup),
        ...orderFindings(method, input, setup, sequences),
        ...stepClockFindings(method, input, setup, limitsOf(setup)),
        ...answerFindings(method.Input, input, limitsOf(setup)),
        ...unfinishedRows(method.Input, input),
      ];
      const findings = bySeverity([...outcome.findings, ...added]);
      const acceptance = (setup.sample?.kind ?? 'acceptance') === 'acceptance';
      const verdicts = !isReportable(findings)
        ? outcome.verdicts.map(undetermined)
        : uncertified.length > 0 && acceptance
          ? outcome.verdicts.map(withheld)
          : outcome.verdicts;
      return { ...outcome, findings, verdicts };
    },
  };
}
