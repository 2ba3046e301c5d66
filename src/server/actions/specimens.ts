import { IsIn, IsNotEmpty, IsOptional, IsString, IsUUID, MaxLength } from 'class-validator';
import { and, desc, eq, inArray } from 'drizzle-orm';
import { FAULTS } from '@/core/acceptance/evidence';
import { RECORDED_EVENTS } from '@/core/identity/custody';
import { IsInstant } from '@/core/methods';
import { isHeld } from '@/core/moulds';
import { specimenEvents, specimens } from '@/db/schema';
import { windowsOf } from '../age';
import { Conflict, NotFound } from '../errors';
import { placeIn } from '../standing';
import { BENCH, defineUseCase, refuseFields, STAFF, type Transaction } from '../use-case';
import { instantField, sampleAndJob } from './samples';

export class RecordEventInput {
  @IsUUID() specimenId: string;
  @IsIn(RECORDED_EVENTS, { message: 'What happened: choose one.' }) kind: (typeof RECORDED_EVENTS)[number];
  @IsInstant('When') at: string;
  @IsOptional() @IsString() @MaxLength(500, { message: 'Note: at most 500 characters.' }) note?: string;
  @IsOptional() @IsString() @MaxLength(80, { message: 'Place: at most 80 characters.' }) place?: string;
  /** The tank or room it goes into, and where in it: `B3`. */
  @IsOptional() @IsUUID() storageId?: string;
  @IsOptional() @IsString() @MaxLength(10, { message: 'Position: as B3.' }) position?: string;
}

/** Something that happened to a specimen. A specimen is discarded only with a reason, a held one only once released. */
export const recordEvent = defineUseCase({
  name: 'record specimen event',
  roles: STAFF,
  Input: RecordEventInput,
  async act({ tx, actor, now }, input) {
    const specimen = await lockSpecimen(tx, input.specimenId);
    const note = input.note?.trim() ?? '';
    if (input.kind === 'discarded' && specimen.testedAt) {
      throw new Conflict(
        `${specimen.label} is broken and its result stands: only a reviewer leaves it out of its set, on evidence.`,
      );
    }
    if ((input.kind === 'discarded' || input.kind === 'lost') && specimen.discardedAt)
      throw new Conflict(`${specimen.label} is recorded as discarded or lost already.`);
    if (input.kind === 'discarded' && note === '') {
      refuseFields({ note: 'Say what is wrong with it; a low number is no reason.' });
    }
    if (input.kind === 'discarded' && isHeld(specimen)) {
      if (!(await hasEvent(tx, specimen.id, ['released']))) {
        refuseFields({
          kind: 'It is held: record first who released it, in writing. Time alone releases nothing.',
        });
      }
    }
    if (input.storageId && input.kind !== 'final cure') {
      refuseFields({ storageId: 'Only specimens in final cure stand in a tank or room.' });
    }
    const where = input.storageId
      ? await placeIn(tx, input.storageId, input.position, specimen.id)
      : { place: input.place?.trim() ?? '' };
    if (input.kind === 'released' && note === '') refuseFields({ note: 'Say who released it.' });
    if (input.kind === 'note' && note === '') refuseFields({ note: 'Write the note.' });
    await tx.insert(specimenEvents).values({
      specimenId: specimen.id,
      kind: input.kind,
      at: instantField('at', 'When', input.at, now),
      personId: actor.id,
      note,
      ...where,
    });
    // Lost or thrown away: nothing waits for it any more. What is broken has its result all the same.
    if ((input.kind === 'discarded' || input.kind === 'lost') && !specimen.testedAt)
      await tx.update(specimens).set({ discardedAt: now }).where(eq(specimens.id, specimen.id));
    return { specimenId: specimen.id };
  },
});

export class TakeBackDiscardInput {
  @IsUUID() specimenId: string;
  @IsNotEmpty({ message: 'Say why it was no discard.' })
  @IsString()
  @MaxLength(500, { message: 'Reason: at most 500 characters.' })
  reason: string;
}

/** A specimen that was recorded as discarded by mistake is there again and waits as before; both stay on record. */
export const takeBackDiscard = defineUseCase({
  name: 'take discard back',
  roles: BENCH,
  Input: TakeBackDiscardInput,
  async act({ tx, actor, now }, input) {
    const specimen = await lockSpecimen(tx, input.specimenId);
    if (!specimen.discardedAt) throw new Conflict('It is not discarded.');
    await tx.insert(specimenEvents).values({
      specimenId: specimen.id,
      kind: 'discard taken back',
      at: now,
      personId: actor.id,
      note: input.reason.trim(),
    });
    await tx.update(specimens).set({ discardedAt: null }).where(eq(specimens.id, specimen.id));
    return { specimenId: specimen.id };
  },
});

/** Whether any of these things ever happened to a specimen. */
async function hasEvent(
  tx: Transaction,
  specimenId: string,
  kinds: readonly (typeof specimenEvents.$inferSelect)['kind'][],
): Promise<boolean> {
  const [found] = await tx
    .select({ id: specimenEvents.id })
    .from(specimenEvents)
    .where(and(eq(specimenEvents.specimenId, specimenId), inArray(specimenEvents.kind, [...kinds])))
    .limit(1);
  return found !== undefined;
}

export class DecideHoldInput {
  @IsUUID() specimenId: string;
  @IsIn(['replace', 'information'], { message: 'What for: choose one.' }) decision: 'replace' | 'information';
  /** The defective specimen it stands in for. */
  @IsOptional() @IsUUID() replaces?: string;
  @IsNotEmpty({ message: 'Give the reason: what is wrong with the other, or what is to be learned.' })
  @IsString()
  @MaxLength(500, { message: 'Reason: at most 500 characters.' })
  reason: string;
}

/** Age at which a held specimen is tested for information when the design age gave a low result. Common practice. */
const INFORMATION_HOURS = 56 * 24;

/**
 * What a held specimen is for, decided before it is tested: it stands in for a defective one while that one's window
 * is open, or it informs at 56 days. Never to pick the best.
 */
export const decideHold = defineUseCase({
  name: 'decide on held specimen',
  roles: ['reviewer', 'manager'],
  Input: DecideHoldInput,
  async act({ tx, actor, now }, input) {
    const held = await lockSpecimen(tx, input.specimenId);
    if (!isHeld(held) || held.testedAt)
      throw new Conflict('Only a held specimen that is not tested can be decided on.');
    if (held.discardedAt) throw new Conflict('It is not there any more.');
    const ageHours =
      input.decision === 'information' ? INFORMATION_HOURS : await replacedAge(tx, held, input.replaces, now);
    const { job } = await sampleAndJob(tx, held.sampleId);
    const windowOf = await windowsOf(tx, job, held.sampleId, held.since);
    await tx
      .update(specimens)
      .set({ ageHours, ...windowOf(ageHours, held.form) })
      .where(eq(specimens.id, held.id));
    await tx.insert(specimenEvents).values({
      specimenId: held.id,
      kind: 'hold decided',
      at: now,
      personId: actor.id,
      note: `${input.decision === 'replace' ? 'Stands in for a defective one' : 'Tested for information'}: ${input.reason.trim()}`,
    });
    return { specimenId: held.id, ageHours };
  },
});

/** The age of the specimen that is replaced: of the same sample, put aside for a recorded defect, its window open. */
async function replacedAge(
  tx: Transaction,
  held: typeof specimens.$inferSelect,
  replaces: string | undefined,
  now: Date,
): Promise<number> {
  const [other] = replaces ? await tx.select().from(specimens).where(eq(specimens.id, replaces)) : [];
  if (other?.sampleId !== held.sampleId || other.ageHours === null) {
    return refuseFields({ replaces: 'Choose the specimen of the same sample that it stands in for.' });
  }
  const aside = other.discardedAt !== null || (await hasEvent(tx, other.id, ['quarantined']));
  if (other.testedAt || !aside) {
    refuseFields({
      replaces: `${other.label} must be put aside for a recorded defect before it is tested; a low number is no defect.`,
    });
  }
  if (other.closesAt && now > other.closesAt) {
    refuseFields({ replaces: `The window of ${other.label} is closed: the held one can only inform.` });
  }
  return other.ageHours;
}

export class LeaveOutInput {
  @IsUUID() specimenId: string;
  @IsIn(FAULTS, { message: 'Where the fault lay: choose one.' }) fault: (typeof FAULTS)[number];
  @IsNotEmpty({ message: 'Say what was found, and where it can be seen.' })
  @IsString()
  @MaxLength(500, { message: 'Evidence: at most 500 characters.' })
  evidence: string;
  @IsIn(['yes'], { message: 'Left out only on what was found apart from the strength.' }) apart: 'yes';
}

/**
 * A broken specimen left out of the mean of its set, on evidence of improper sampling, moulding, handling or testing that
 * was found without looking at its strength. Its result stays on record, and the mean with it is told.
 */
export const leaveOut = defineUseCase({
  name: 'leave out specimen',
  roles: ['reviewer', 'manager'],
  Input: LeaveOutInput,
  async act({ tx, actor, now }, input) {
    const specimen = await broken(tx, input.specimenId);
    if (await isLeftOut(tx, specimen.id)) throw new Conflict('It is left out already.');
    await tx.insert(specimenEvents).values({
      specimenId: specimen.id,
      kind: 'left out',
      at: now,
      personId: actor.id,
      note: `${input.fault}: ${input.evidence.trim()}`,
    });
    return { specimenId: specimen.id };
  },
});

export class TakeBackInput {
  @IsUUID() specimenId: string;
  @IsNotEmpty({ message: 'Say why it counts again.' })
  @IsString()
  @MaxLength(500, { message: 'Reason: at most 500 characters.' })
  reason: string;
}

/** A specimen that was left out counts again: the evidence did not hold. */
export const takeBackIn = defineUseCase({
  name: 'take specimen back in',
  roles: ['reviewer', 'manager'],
  Input: TakeBackInput,
  async act({ tx, actor, now }, input) {
    const specimen = await broken(tx, input.specimenId);
    if (!(await isLeftOut(tx, specimen.id))) throw new Conflict('It counts already.');
    await tx.insert(specimenEvents).values({
      specimenId: specimen.id,
      kind: 'taken back in',
      at: now,
      personId: actor.id,
      note: input.reason.trim(),
    });
    return { specimenId: specimen.id };
  },
});

/** A specimen, held until the end of the transaction. @throws NotFound */
async function lockSpecimen(tx: Transaction, specimenId: string) {
  const [specimen] = await tx.select().from(specimens).where(eq(specimens.id, specimenId)).for('update');
  if (!specimen) throw new NotFound('This specimen');
  return specimen;
}

async function broken(tx: Transaction, specimenId: string) {
  const specimen = await lockSpecimen(tx, specimenId);
  if (!specimen.testedAt)
    throw new Conflict(
      'It is not broken yet: one that is faulty now is put aside, with what is wrong with it.',
    );
  return specimen;
}

async function isLeftOut(tx: Transaction, specimenId: string): Promise<boolean> {
  const [last] = await tx
    .select({ kind: specimenEvents.kind })
    .from(specimenEvents)
    .where(
      and(
        eq(specimenEvents.specimenId, specimenId),
        inArray(specimenEvents.kind, ['left out', 'taken back in']),
      ),
    )
    .orderBy(desc(specimenEvents.at), desc(specimenEvents.savedAt))
    .limit(1);
  return last?.kind === 'left out';
}
