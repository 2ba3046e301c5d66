import { randomUUID } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsInt,
  IsNotEmpty,
  IsOptional,
  IsString,
  IsUUID,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import { and, desc, eq, gte, inArray, lte } from 'drizzle-orm';
import { formText } from '@/core/materials/forms';
import {
  CARRIED,
  fieldAt,
  fieldsOf,
  IsInstant,
  LOG_LENGTH,
  labelAt,
  type Method,
  type Outcome,
  type SampleKind,
  usableInput,
  validateInput,
} from '@/core/methods';
import { stillAwaited } from '@/core/methods/awaited';
import { findMethod, METHODS } from '@/core/methods/registry';
import {
  batches,
  lots,
  outcomes,
  readings,
  reasonAcceptances,
  runReasons,
  runs,
  samples,
  specimenEvents,
  specimens,
} from '@/db/schema';
import { refuseOffBench } from '../bench-work';
import { Conflict, Invalid, NotFound } from '../errors';
import { gatherFacts, runsRestingOn } from '../facts';
import { currentReadings, inputOf } from '../readings';
import { type RunPlace, runPlace } from '../run-place';
import { newestRevision, runSetup } from '../run-setup';
import { type Context, defineUseCase, refuseFields, SIGNERS, STAFF, type Transaction } from '../use-case';
import { projectSamples } from '../verdicts';
import { projectResting, projectRun, projectSample } from '../waits';

export class StartRunInput {
  @IsString() method: string;
  @IsOptional() @IsUUID() specimenId?: string;
  @IsOptional() @IsUUID() sampleId?: string;
  @IsOptional() @IsUUID() lotId?: string;
  @IsOptional() @IsUUID() batchId?: string;
  /** Another attempt although one is complete: a repeat for a named reason. */
  @IsOptional()
  @IsNotEmpty({ message: 'Say why it is repeated.' })
  @IsString()
  @MaxLength(500, { message: 'Reason: at most 500 characters.' })
  repeatReason?: string;
}

const SUBJECTS = {
  specimen: { column: runs.specimenId, table: specimens, owner: 'specimenId' },
  sample: { column: runs.sampleId, table: samples, owner: 'sampleId' },
  lot: { column: runs.lotId, table: lots, owner: 'lotId' },
  batch: { column: runs.batchId, table: batches, owner: 'batchId' },
} as const;

async function refuseOtherShapes(tx: Transaction, specimenId: string, method: Method): Promise<void> {
  const [specimen] = await tx
    .select({
      size: specimens.form,
      label: specimens.label,
      testedAt: specimens.testedAt,
      discardedAt: specimens.discardedAt,
    })
    .from(specimens)
    .where(eq(specimens.id, specimenId));
  const [own] = await tx
    .select({ id: runs.id })
    .from(runs)
    .where(and(eq(runs.specimenId, specimenId), eq(runs.method, method.id)));
  if (specimen?.discardedAt)
    throw new Conflict(
      `${specimen.label} was discarded: take that back with its reason, if it was a mistake.`,
    );
  if (method.pieces && !specimen?.testedAt)
    throw new Conflict(`${specimen?.label} is not broken yet: there are no pieces to look at.`);
  if (specimen?.testedAt && !own && !method.pieces)
    throw new Conflict(`${specimen.label} is broken already: it can be tested in no other way.`);
  if (specimen && !method.forms?.includes(specimen.size)) {
    throw new Conflict(`${method.title} is not made on a ${formText(specimen.size).toLowerCase()}.`);
  }
}

/** True for a form that no test spends: a hole in a floor. */
function isNeverSpent(form: string): boolean {
  return METHODS.every(
    ({ runOn, forms, spends }) => runOn !== 'specimen' || spends === false || !forms?.includes(form),
  );
}

/** A morning or an afternoon at the press: what was set up then still stands. */
const SAME_SETUP_MS = 6 * 3_600_000;

/** Takes over what is set up once (press, pads, spacers) from the companion that this person broke before. */
async function carryOver(context: Context, runId: string, method: Method, specimenId: string): Promise<void> {
  const { tx, actor, now } = context;
  const carried = fieldsOf(method.Input)
    .filter(({ carry }) => carry)
    .map(({ name }) => name);
  if (carried.length === 0) return;
  const [own] = await tx
    .select({ size: specimens.form, sampleId: specimens.sampleId })
    .from(specimens)
    .where(eq(specimens.id, specimenId));
  if (!own) return;
  const [before] = await tx
    .select({ id: runs.id })
    .from(runs)
    .innerJoin(specimens, eq(specimens.id, runs.specimenId))
    .where(
      and(
        eq(runs.method, method.id),
        eq(runs.completedBy, actor.id),
        gte(runs.completedAt, new Date(now.getTime() - SAME_SETUP_MS)),
        lte(runs.completedAt, now),
        eq(specimens.sampleId, own.sampleId),
        eq(specimens.form, own.size),
      ),
    )
    .orderBy(desc(runs.completedAt))
    .limit(1);
  if (!before) return;
  const taken = await currentReadings(tx, before.id);
  const rows = taken.filter(({ field, text }) => text !== null && carried.includes(field));
  if (rows.length === 0) return;
  await tx.insert(readings).values(
    rows.map(({ field, text }) => ({
      id: randomUUID(),
      runId,
      field,
      text,
      takenAt: now,
      savedAt: now,
      by: actor.id,
      reason: CARRIED,
    })),
  );
}

/** Opens a run, or gives back the one that is open. */
export const startRun = defineUseCase({
  name: 'start run',
  roles: STAFF,
  Input: StartRunInput,
  async act(context, input) {
    const { tx, actor, now } = context;
    const method = findMethod(input.method);
    const given = {
      specimen: input.specimenId,
      sample: input.sampleId,
      lot: input.lotId,
      batch: input.batchId,
    };
    const subject = method && given[method.runOn];
    if (!method || !subject || Object.values(given).filter(Boolean).length !== 1)
      throw new NotFound('This run');
    refuseOffBench(actor, method.id);
    const { column, table, owner } = SUBJECTS[method.runOn];
    const [there] = await tx.select({ id: table.id }).from(table).where(eq(table.id, subject)).for('update');
    if (!there) throw new NotFound(`This ${method.runOn}`);
    if (method.runOn === 'specimen') await refuseOtherShapes(tx, subject, method);
    const earlier = await tx
      .select()
      .from(runs)
      .where(and(eq(column, subject), eq(runs.method, method.id)))
      .orderBy(desc(runs.attempt));
    const [newest] = earlier;
    const again = input.repeatReason || method.again === 'freely';
    if (newest && (newest.state === 'open' || !again)) return { runId: newest.id };
    if (newest && method.runOn === 'specimen' && method.spends !== false) {
      throw new Conflict('A broken specimen cannot be tested again: correct its readings instead.');
    }
    // The newest of all, whoever set it: a project's own limit counts for a run at the bench as it does at the truck.
    const revision = await newestRevision(tx);
    const [run] = await tx
      .insert(runs)
      .values({
        method: method.id,
        [owner]: subject,
        attempt: (newest?.attempt ?? 0) + 1,
        repeatReason: newest ? (input.repeatReason ?? null) : null,
        limitsRevision: revision,
        startedAt: now,
        startedBy: actor.id,
      })
      .returning({ id: runs.id });
    if (run && method.runOn === 'specimen') await carryOver(context, run.id, method, subject);
    // A set of those that a test was begun on has one more.
    if (method.set?.begun && input.specimenId) {
      const of = await tx
        .select({ id: specimens.sampleId })
        .from(specimens)
        .where(eq(specimens.id, input.specimenId));
      await projectSamples(
        tx,
        of.map(({ id }) => id),
      );
    }
    return { runId: run?.id ?? '' };
  },
});

export class ReadingInput {
  @IsUUID() id: string;
  /** The name of a field, or the path of a cell: `pours/k3f9/at`. */
  @IsString() @MaxLength(120) field: string;
  /** As typed; absent or empty takes the reading back. */
  @IsOptional() @IsString() @MaxLength(LOG_LENGTH, { message: 'At most 200,000 characters.' }) text?: string;
  @IsInstant() takenAt: string;
  /** The device's own clock, when it was found wrong and `takenAt` was put right by the server's. */
  @IsOptional() @IsInstant() deviceAt?: string;
  /** The device's steady counter, ms since its page was opened. */
  @IsOptional() @IsInt() @Min(0) steadyMs?: number;
  /** The reading of this field that the person saw, by its sequence number; absent when there was none. */
  @IsOptional() @IsInt() basedOn?: number;
  @IsOptional() @IsString() @MaxLength(500) reason?: string;
  @IsOptional() @IsUUID() amendmentId?: string;
}

export class SaveReadingsInput {
  @IsUUID() runId: string;
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(200)
  @ValidateNested({ each: true })
  @Type(() => ReadingInput)
  readings: ReadingInput[];
}

export interface SavedReading {
  readonly id: string;
  readonly field: string;
  readonly seq: number;
}

const DAY_MS = 86_400_000;
/** How far before and after what it belongs to a reading's instant can lie, days. Our choice. */
const REACH = { before: 30, after: 400 } as const;

/** Refuses an instant that cannot belong to the run: a year typed wrongly must not stretch every line of time. */
function refuseFarInstant(method: Method, name: string, text: string, place: RunPlace, now: Date): void {
  const field = fieldAt(method.Input, name);
  if (field?.kind !== 'instant') return;
  const { sample, specimen, placement } = place;
  const began = specimen?.since ?? sample?.sampledAt ?? placement.startsAt;
  // Of an older specimen, a core among them, what is done now is done now.
  const from = began.getTime() - REACH.before * DAY_MS;
  const to = Math.max(began.getTime(), now.getTime()) + REACH.after * DAY_MS;
  const at = new Date(text).getTime();
  if (at >= from && at <= to) return;
  refuseFields({
    [name]: `${labelAt(method.Input, name)}: ${text.slice(0, 10)} is too far from ${specimen ? 'when the specimen was made' : sample ? 'the sample' : 'the placement'} (${began.toISOString().slice(0, 10)}). Check the date.`,
  });
}

/**
 * Saves readings as they are taken. A reading already saved is acknowledged again; when somebody else changed the
 * field meanwhile nothing is overwritten: the answer carries what stands there now.
 */
export const saveReadings = defineUseCase({
  name: 'save readings',
  roles: STAFF,
  Input: SaveReadingsInput,
  async act(context, input): Promise<{ saved: SavedReading[] }> {
    const { tx, actor } = context;
    const [run] = await tx.select().from(runs).where(eq(runs.id, input.runId)).for('update');
    if (!run) throw new NotFound('This run');
    refuseOffBench(actor, run.method);
    const method = findMethod(run.method);
    if (!method) throw new NotFound('This run');
    const place = await runPlace(tx, run.id);
    const there = await tx
      .select({
        id: readings.id,
        field: readings.field,
        seq: readings.seq,
        runId: readings.runId,
        text: readings.text,
      })
      .from(readings)
      .where(
        inArray(
          readings.id,
          input.readings.map(({ id }) => id),
        ),
      );
    const current = await currentReadings(tx, run.id);
    const written: { id: string; field: string; seq: number; runId: string; text: string | null }[] = [];
    const saved: SavedReading[] = [];
    for (const reading of input.readings) {
      const text = reading.text?.trim() ? reading.text.trim() : null;
      const before = [...there, ...written].find(({ id }) => id === reading.id);
      if (before) {
        // A retry is the same reading once more. The same id with another is a fault of the device: say so, since an
        // acknowledgement would let it forget what was never kept.
        if (before.runId !== run.id || before.field !== reading.field || before.text !== text) {
          throw new Conflict('This reading’s number is taken by another reading: enter it again.', {
            field: reading.field,
          });
        }
        saved.push({ id: before.id, field: before.field, seq: before.seq });
        continue;
      }
      if (!fieldAt(method.Input, reading.field))
        refuseFields({ [reading.field]: 'This method has no such reading.' });
      if (text !== null) {
        const checked = validateInput(
          method,
          inputOf(method, place.job.system, [{ field: reading.field, text }]),
        );
        if (!checked.ok) throw new Invalid(checked.errors);
        refuseFarInstant(method, reading.field, text, place, context.now);
      }
      const latest = current.find(({ field }) => field === reading.field);
      if (latest && latest.seq !== reading.basedOn && latest.text !== text) {
        throw new Conflict('Somebody else entered this reading meanwhile.', {
          field: reading.field,
          theirs: { seq: latest.seq, text: latest.text },
        });
      }
      if (run.state === 'complete' && !reading.reason?.trim()) {
        refuseFields({ reason: 'This run is complete: give the reason for the correction.' });
      }
      const [row] = await tx
        .insert(readings)
        .values({
          id: reading.id,
          runId: run.id,
          field: reading.field,
          text,
          takenAt: new Date(reading.takenAt),
          deviceAt: reading.deviceAt ? new Date(reading.deviceAt) : null,
          steadyMs: reading.steadyMs ?? null,
          by: actor.id,
          savedAt: context.now,
          reason: reading.reason ?? null,
          amendmentId: reading.amendmentId ?? null,
        })
        .returning({ id: readings.id, field: readings.field, seq: readings.seq });
      if (row) {
        saved.push(row);
        written.push({ ...row, runId: run.id, text });
      }
      if (place.sample && text !== null) await followSample(tx, place.sample.id, method, reading.field, text);
    }
    if (written.length > 0) {
      if (run.sampleId && written.some(({ field }) => isStamp(method, field)))
        await projectSample(tx, run.sampleId, context.now);
      else
        await projectRun(
          tx,
          place,
          context.now,
          written.map(({ field }) => field),
        );
      if (run.state === 'complete') await recordOutcome(context, place, method);
    }
    return { saved };
  },
});

/** True for a reading that stamps a moment of the sample clock. */
function isStamp(method: Method, path: string): boolean {
  const field = fieldAt(method.Input, path);
  return field?.kind === 'instant' && field.event !== undefined;
}

/** What a reading sets of the sample itself, its own time and what it was taken for, is kept with the sample too. */
async function followSample(
  tx: Transaction,
  sampleId: string,
  method: Method,
  path: string,
  text: string,
): Promise<void> {
  const sets = fieldAt(method.Input, path)?.sets;
  if (!sets) return;
  await tx
    .update(samples)
    .set(sets === 'kind' ? { kind: text as SampleKind } : { sampledAt: new Date(text) })
    .where(eq(samples.id, sampleId));
}

/** Computes a completed run anew, after something it rests on was corrected. */
export async function recomputeRun(context: Context, runId: string): Promise<void> {
  const place = await runPlace(context.tx, runId);
  const method = findMethod(place.run.method);
  if (method && place.run.state === 'complete') await recordOutcome(context, place, method);
}

/**
 * Computes a run from its readings in force and appends what came of it; what rests on it is computed anew.
 * @param seen runs that were computed in this chain: each is computed once
 */
async function recordOutcome(
  context: Context,
  place: RunPlace,
  method: Method,
  seen: Set<string> = new Set(),
): Promise<Outcome> {
  const { tx, actor, now } = context;
  const current = await currentReadings(tx, place.run.id);
  const typed = inputOf(method, place.job.system, current);
  const { system: _, ...setup } = await runSetup(tx, place, typed, now, { by: actor.id, current });
  const { input } = usableInput(method, typed);
  const outcome = method.compute(input, setup);
  await tx.insert(outcomes).values({
    runId: place.run.id,
    readingSeq: Math.max(0, ...current.map(({ seq }) => seq)),
    input: typed,
    setup,
    outcome,
    computedAt: now,
    by: actor.id,
  });
  if (place.specimen && (method.spends !== false || method.tests)) {
    const at = typed[method.performedAt];
    const testedAt = typeof at === 'string' ? new Date(at) : now;
    const before = place.specimen.testedAt;
    // What nothing spends is tested since its first test: a later visit changes nothing of it.
    if (before?.getTime() !== testedAt.getTime() && !(before && method.tests)) {
      await tx.update(specimens).set({ testedAt }).where(eq(specimens.id, place.specimen.id));
    }
  }
  await recomputeResting(context, place, seen.add(place.run.id));
  return outcome;
}

/** Computes those runs anew that took a fact from this one, where what they are told is another thing now. */
async function recomputeResting(context: Context, place: RunPlace, seen: Set<string>): Promise<void> {
  const { tx } = context;
  const waiting: string[] = [];
  for (const { id, resting, signed } of await runsRestingOn(tx, place)) {
    if (seen.has(id)) continue;
    if (signed || resting.length === 0) {
      // It stays as it was signed, or nothing of it is computed from this; what it waited for may be done all the same.
      waiting.push(id);
      continue;
    }
    const other = await runPlace(tx, id);
    const method = findMethod(other.run.method);
    const [last] = await tx
      .select({ input: outcomes.input, setup: outcomes.setup })
      .from(outcomes)
      .where(eq(outcomes.runId, id))
      .orderBy(desc(outcomes.seq))
      .limit(1);
    if (!method || !last) continue;
    const facts = await gatherFacts(tx, other, method, last.input);
    const changed = resting.some((name) => !isDeepStrictEqual(facts[name], last.setup.facts?.[name]));
    if (!changed) continue;
    await recordOutcome(context, other, method, seen);
    // What it waited for may be done by what it was just told.
    await projectRun(tx, other, context.now);
  }
  await projectResting(tx, place, waiting, context.now);
}

export class FindingReason {
  @IsString() @MaxLength(80) findingId: string;
  @IsString() @MaxLength(500, { message: 'Reason: at most 500 characters.' }) reason: string;
}

export class CompleteRunInput {
  @IsUUID() runId: string;
  @IsArray()
  @ArrayMaxSize(30)
  @ValidateNested({ each: true })
  @Type(() => FindingReason)
  reasons: FindingReason[];
  /** One reason for every finding that asks for one, for results brought in from a file. */
  @IsOptional() @IsString() @MaxLength(500) reasonForAll?: string;
}

/**
 * Completes a run: every required reading must be there, and every finding that forbids or questions the result
 * must carry a recorded reason. The reading itself is never refused.
 */
export const completeRun = defineUseCase({
  name: 'complete run',
  roles: STAFF,
  Input: CompleteRunInput,
  async act(context, input) {
    const { tx, actor, now } = context;
    const [run] = await tx.select().from(runs).where(eq(runs.id, input.runId)).for('update');
    const method = run && findMethod(run.method);
    if (!run || !method) throw new NotFound('This run');
    refuseOffBench(actor, method.id);
    if (run.state === 'complete') return { runId: run.id, outcome: null };
    const place = await runPlace(tx, run.id);
    const current = await currentReadings(tx, run.id);
    const checked = validateInput(method, inputOf(method, place.job.system, current), { whole: true });
    if (!checked.ok) throw new Invalid(checked.errors);
    if (method.awaits) {
      const known = await gatherFacts(tx, place, method, inputOf(method, place.job.system, current));
      const open = stillAwaited(method, known);
      if (open.length > 0)
        throw new Conflict(`Still to come: ${open.join(', ')}. What was read is kept; complete it then.`);
    }
    await tx
      .update(runs)
      .set({ state: 'complete', completedAt: now, completedBy: actor.id })
      .where(eq(runs.id, run.id));
    const outcome = await recordOutcome(context, place, method);
    await projectRun(tx, place, now);
    await recordReasons(context, run.id, outcome, input);
    if (run.specimenId) {
      await tx.insert(specimenEvents).values({
        specimenId: run.specimenId,
        // One that is left whole goes back to where it stood.
        ...(method.spends === false
          ? {
              kind: 'note' as const,
              note:
                method.pieces || isNeverSpent(place.specimen?.form ?? '')
                  ? `${method.title}: done.`
                  : `${method.title}: left whole, still to be broken.`,
            }
          : { kind: 'tested' as const }),
        at: now,
        personId: actor.id,
      });
    }
    return { runId: run.id, outcome };
  },
});

async function recordReasons(
  { tx, actor, now }: Context,
  runId: string,
  outcome: Outcome,
  { reasons, reasonForAll }: Pick<CompleteRunInput, 'reasons' | 'reasonForAll'>,
): Promise<void> {
  const asked = [...new Set(outcome.findings.filter((found) => found.needsReason).map(({ id }) => id))];
  const given = new Map(reasons.map(({ findingId, reason }) => [findingId, reason.trim()]));
  const reasonFor = (id: string): string => given.get(id) || (reasonForAll?.trim() ?? '');
  const missing = asked.filter((id) => reasonFor(id) === '');
  if (missing.length > 0) {
    refuseFields(Object.fromEntries(missing.map((id) => [`reason.${id}`, 'Give the reason for going on.'])));
  }
  if (asked.length === 0) return;
  await tx.insert(runReasons).values(
    asked.map((findingId) => ({
      runId,
      findingId,
      reason: reasonFor(findingId),
      by: actor.id,
      at: now,
    })),
  );
}

export class GiveReasonInput {
  @IsUUID() runId: string;
  @IsString() @MaxLength(80) findingId: string;
  @IsNotEmpty({ message: 'Give the reason.' }) @IsString() @MaxLength(500) reason: string;
}

/** A reason given later, for a finding that a correction or an import brought up. */
export const giveReason = defineUseCase({
  name: 'give reason',
  roles: STAFF,
  Input: GiveReasonInput,
  async act({ tx, actor, now }, input) {
    const [run] = await tx.select().from(runs).where(eq(runs.id, input.runId)).for('update');
    if (!run) throw new NotFound('This run');
    refuseOffBench(actor, run.method);
    const [newest] = await tx
      .select({ outcome: outcomes.outcome })
      .from(outcomes)
      .where(eq(outcomes.runId, run.id))
      .orderBy(desc(outcomes.seq))
      .limit(1);
    if (!newest?.outcome.findings.some(({ id, needsReason }) => id === input.findingId && needsReason))
      throw new Conflict('The result of this run has no such finding that asks for a reason.');
    await tx.insert(runReasons).values({ ...input, by: actor.id, at: now });
    return { runId: input.runId };
  },
});

export class AcceptReasonInput {
  @IsUUID() reasonId: string;
}

/** A reviewer accepts a recorded reason; only then can the result be reported. */
export const acceptReason = defineUseCase({
  name: 'accept reason',
  roles: SIGNERS,
  Input: AcceptReasonInput,
  async act({ tx, actor, now }, input) {
    const [reason] = await tx.select().from(runReasons).where(eq(runReasons.id, input.reasonId));
    if (!reason) throw new NotFound('This reason');
    if (reason.by === actor.id) throw new Conflict('Somebody else must accept a reason you gave yourself.');
    await tx
      .insert(reasonAcceptances)
      .values({ reasonId: reason.id, by: actor.id, at: now })
      .onConflictDoNothing();
    return { reasonId: reason.id };
  },
});
