import { randomInt, randomUUID } from 'node:crypto';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNotEmpty,
  IsOptional,
  IsString,
  IsUUID,
  Max,
  MaxLength,
  Min,
} from 'class-validator';
import { and, desc, eq, inArray, isNull, lt, sql } from 'drizzle-orm';
import { CONDITIONS, HAND_OVERS } from '@/core/identity/custody';
import { IsInstant, setupMeasure } from '@/core/methods';
import { METHODS } from '@/core/methods/registry';
import { eventFieldsOf } from '@/core/methods/stamps';
import { type Exact, exact } from '@/core/quantity';
import { drawPositions, randomNumbers, samplesForDay } from '@/core/sampling-plan';
import {
  handovers,
  jobs,
  loads,
  lots,
  people,
  plantBatches,
  readings,
  runs,
  samples,
  samplingPlans,
  specimenEvents,
  specimens,
} from '@/db/schema';
import { Conflict, NotFound } from '../errors';
import { measureText } from '../measure-text';
import { currentReadings } from '../readings';
import { limitsNow } from '../run-setup';
import { defineUseCase, refuseFields, STAFF, type Transaction } from '../use-case';
import { projectSample } from '../waits';
import { instantField } from './samples';

/** A placement, locked for what is added to it in order, with its job. */
export async function lockPlacement(tx: Transaction, lotId: string) {
  const [found] = await tx
    .select({ placement: lots, job: jobs })
    .from(lots)
    .innerJoin(jobs, eq(jobs.id, lots.jobId))
    .where(eq(lots.id, lotId))
    .for('update', { of: lots });
  if (!found) throw new NotFound('This placement');
  return found;
}

export class PlanSamplingInput {
  @IsUUID() lotId: string;
  @IsNotEmpty({ message: 'Planned volume is needed.' }) @IsString() volume: string;
  @IsOptional() @IsString() area?: string;
  /** Samples to draw, when the project asks for more than the rule. */
  @IsOptional()
  @IsInt({ message: 'Samples: a whole number.' })
  @Min(1, { message: 'At least 1.' })
  @Max(60, { message: 'At most 60.' })
  count?: number;
  /** The seed, to draw a plan again as it was drawn elsewhere. */
  @IsOptional() @IsInt({ message: 'Seed: a whole number.' }) @Min(1) @Max(2_147_483_647) seed?: number;
  /** In the IS school: shifts of the day. */
  @IsOptional()
  @IsInt({ message: 'Shifts: a whole number.' })
  @Min(1, { message: 'At least 1.' })
  @Max(3, { message: 'At most 3.' })
  shifts?: number;
  /** In the EN school: production control certified, yes or no. */
  @IsOptional() @IsIn(['yes', 'no'], { message: 'Certified: yes or no.' }) certified?: 'yes' | 'no';
  /** Random numbers out of a table, one a sample, instead of drawing them here. */
  @IsOptional()
  @IsString()
  @MaxLength(20_000, { message: 'Random numbers: at most 20,000 characters.' })
  numbers?: string;
}

/**
 * How many samples the day asks for, and at which places of its volume, drawn at random and locked before the first
 * truck. A change of the volume makes a new plan; the old one stays on record.
 */
export const planSampling = defineUseCase({
  name: 'plan sampling',
  roles: STAFF,
  Input: PlanSamplingInput,
  async act({ tx, actor, now }, input) {
    const { placement, job } = await lockPlacement(tx, input.lotId);
    const us = job.system === 'US';
    const volume = measureText('volume', input.volume, 'volume', us ? 'yd3' : 'm3', [0.1, 100_000]);
    const area = input.area
      ? measureText('area', input.area, 'area', us ? 'ft2' : 'm2', [0, 1_000_000])
      : null;
    const limits = await limitsNow(tx, job);
    const cubic = setupMeasure(volume, 'volume', us ? 'yd3' : 'm3');
    if (!cubic) return refuseFields({ volume: 'Planned volume: as 60 yd³.' });
    const plan = samplesForDay(
      {
        volume: cubic,
        area: setupMeasure(area ?? undefined, 'area', us ? 'ft2' : 'm2'),
        system: job.system,
        shifts: input.shifts,
        history: {
          ...(await mixSoFar(tx, placement, us ? 'yd3' : 'm3')),
          certified: input.certified === 'yes',
        },
      },
      limits,
    );
    if (input.count !== undefined && input.count < plan.count) {
      refuseFields({ count: `The rule asks for ${plan.count}: ${plan.sentence}.` });
    }
    const count = input.count ?? plan.count;
    const seed = input.seed ?? randomInt(1, 2_147_483_647);
    const given = input.numbers?.trim() ? tableNumbers(input.numbers, count) : [];
    const [made] = await tx
      .insert(samplingPlans)
      .values({
        lotId: placement.id,
        seed,
        volume,
        area,
        count,
        why: [
          ...(count > plan.count ? [`${count} samples as the project asks`] : []),
          plan.sentence,
          ...(given.length > 0 ? ['random numbers from a table'] : []),
        ].join('; '),
        draws: drawPositions(count, cubic, seed, given),
        by: actor.id,
        at: now,
      })
      .returning({ id: samplingPlans.id });
    return { planId: made?.id ?? '', count };
  },
});

/** What was delivered of a placement's mixture before it, and how many acceptance samples it has. */
async function mixSoFar(
  tx: Transaction,
  placement: typeof lots.$inferSelect,
  unit: 'yd3' | 'm3',
): Promise<{ before: Exact; results: number }> {
  const earlier = and(
    eq(lots.specificationId, placement.specificationId),
    lt(lots.startsAt, placement.startsAt),
  );
  const volumes = await tx
    .select({ volume: loads.volume })
    .from(loads)
    .innerJoin(lots, eq(lots.id, loads.lotId))
    .where(and(earlier, isNull(loads.struckOut)));
  const [{ count } = { count: 0 }] = await tx
    .select({ count: sql<number>`count(*)::int` })
    .from(samples)
    .innerJoin(lots, eq(lots.id, samples.lotId))
    .where(and(earlier, eq(samples.kind, 'acceptance')));
  return {
    before: volumes.reduce((sum, each) => sum.plus(setupMeasure(each.volume, 'volume', unit) ?? 0), exact(0)),
    results: count,
  };
}

/** As many numbers of a table as there are samples; refused at the field when there are fewer. */
function tableNumbers(text: string, count: number): string[] {
  const read = randomNumbers(text);
  if ('problem' in read) return refuseFields({ numbers: read.problem });
  if (read.numbers.length < count) {
    refuseFields({
      numbers: `${count} samples are to be drawn: ${read.numbers.length} numbers are too few.`,
    });
  }
  return read.numbers.slice(0, count);
}

export class AddLoadInput {
  /** Made by the device: the same ticket sent twice is one load. */
  @IsUUID() clientId: string;
  @IsUUID() lotId: string;
  @IsNotEmpty({ message: 'Ticket number is needed.' })
  @IsString()
  @MaxLength(40, { message: 'Ticket: at most 40 characters.' })
  ticket: string;
  @IsOptional() @IsString() @MaxLength(40, { message: 'Truck: at most 40 characters.' }) truck?: string;
  /** Absent: as the plant’s file says it. */
  @IsOptional() @IsString() volume?: string;
  @IsInstant('On site at') arrivedAt: string;
}

function arrivalField(text: string, now: Date, placement: { readonly startsAt: Date }): Date {
  return instantField('arrivedAt', 'On site at', text, now, {
    what: 'the placement',
    at: placement.startsAt,
  });
}

function loadVolume(text: string, us: boolean): string {
  return measureText('volume', text, 'volume', us ? 'yd3' : 'm3', us ? [0.25, 20] : [0.2, 16]);
}

/** A truck that came, in its order. */
export const addLoad = defineUseCase({
  name: 'add load',
  roles: STAFF,
  Input: AddLoadInput,
  async act({ tx, actor, now }, input) {
    const [before] = await tx.select({ id: loads.id }).from(loads).where(eq(loads.clientId, input.clientId));
    if (before) return { loadId: before.id };
    const { placement, job } = await lockPlacement(tx, input.lotId);
    const us = job.system === 'US';
    const there = await tx
      .select({ ticket: loads.ticket, number: loads.number })
      .from(loads)
      .where(eq(loads.lotId, placement.id))
      .orderBy(desc(loads.number));
    if (there.some(({ ticket }) => ticket === input.ticket.trim())) {
      refuseFields({ ticket: `Ticket ${input.ticket.trim()} is entered already.` });
    }
    const [known] = await tx
      .select({ batch: plantBatches.batch })
      .from(plantBatches)
      .where(and(eq(plantBatches.lotId, placement.id), eq(plantBatches.ticket, input.ticket.trim())));
    const volume = input.volume?.trim() || known?.batch.volume;
    if (!volume) return refuseFields({ volume: 'Volume on the ticket is needed.' });
    const [made] = await tx
      .insert(loads)
      .values({
        clientId: input.clientId,
        lotId: placement.id,
        number: (there[0]?.number ?? 0) + 1,
        ticket: input.ticket.trim(),
        truck: input.truck?.trim() || (known?.batch.truck ?? ''),
        volume: loadVolume(volume, us),
        arrivedAt: arrivalField(input.arrivedAt, now, placement),
        by: actor.id,
      })
      .returning({ id: loads.id });
    return { loadId: made?.id ?? '' };
  },
});

export class CorrectLoadInput {
  @IsUUID() loadId: string;
  @IsOptional() @IsString() @MaxLength(40, { message: 'Truck: at most 40 characters.' }) truck?: string;
  @IsOptional() @IsString() volume?: string;
  @IsOptional() @IsInstant('On site at') arrivedAt?: string;
  /** The truck never came, or was entered twice: it does not count from now on. */
  @IsOptional() @IsBoolean() strikeOut?: boolean;
  @IsNotEmpty({ message: 'Say why it is corrected.' })
  @IsString()
  @MaxLength(500, { message: 'Reason: at most 500 characters.' })
  reason: string;
}

/**
 * A load entered wrongly is put right with its reason, or struck out. What its samples were told of it then stands in
 * their own readings and is corrected there.
 */
export const correctLoad = defineUseCase({
  name: 'correct load',
  roles: STAFF,
  Input: CorrectLoadInput,
  async act({ tx, now }, input) {
    const [load] = await tx.select().from(loads).where(eq(loads.id, input.loadId)).for('update');
    if (!load) throw new NotFound('This load');
    if (load.struckOut) throw new Conflict('This load is struck out already.');
    const { placement, job } = await lockPlacement(tx, load.lotId);
    const reason = input.reason.trim();
    if (reason === '') refuseFields({ reason: 'Say why it is corrected.' });
    if (input.strikeOut) {
      const [sampled] = await tx
        .select({ number: samples.number })
        .from(samples)
        .where(eq(samples.loadId, load.id));
      if (sampled)
        throw new Conflict(
          `Sample ${sampled.number} was taken of this load: it came, so it cannot be struck out.`,
        );
      await tx.update(loads).set({ struckOut: reason }).where(eq(loads.id, load.id));
      return { loadId: load.id };
    }
    const changes = {
      ...(input.truck === undefined ? {} : { truck: input.truck.trim() }),
      ...(input.volume === undefined ? {} : { volume: loadVolume(input.volume, job.system === 'US') }),
      ...(input.arrivedAt === undefined ? {} : { arrivedAt: arrivalField(input.arrivedAt, now, placement) }),
    };
    if (Object.keys(changes).length === 0)
      refuseFields({ reason: 'Nothing was changed: correct the truck, the volume or the time.' });
    await tx
      .update(loads)
      .set({ ...changes, correction: reason })
      .where(eq(loads.id, load.id));
    return { loadId: load.id };
  },
});

export class HandOverInput {
  /** Made by the device: the same hand-over sent twice is one. */
  @IsUUID() id: string;
  @IsIn(HAND_OVERS, { message: 'Collected on site, or received at the laboratory.' })
  kind: (typeof HAND_OVERS)[number];
  @IsArray()
  @ArrayMinSize(1, { message: 'Scan or tick the specimens.' })
  @ArrayMaxSize(200, { message: 'At most 200 at once.' })
  @IsUUID('all', { each: true })
  specimenIds: string[];
  /** Who gives them: the person named; who takes them is the one signed in. */
  @IsNotEmpty({ message: 'Who hands them over?' }) @IsString() fromPersonId: string;
  @IsInstant('When') at: string;
  @IsOptional() @IsString() @MaxLength(80, { message: 'Place: at most 80 characters.' }) place?: string;
  @IsIn(CONDITIONS, { message: 'Condition: choose one.' }) condition: (typeof CONDITIONS)[number];
  /** Counted by hand; must be what was scanned. */
  @IsInt({ message: 'Counted: a whole number.' }) count: number;
  @IsOptional() @IsString() @MaxLength(500, { message: 'Note: at most 500 characters.' }) note?: string;
}

/**
 * Specimens change hands: both names, the count, the condition. What was counted must be what was scanned; what is
 * missing is reported lost, never guessed.
 */
export const handOver = defineUseCase({
  name: 'hand over specimens',
  roles: STAFF,
  Input: HandOverInput,
  async act({ tx, actor, now }, input) {
    const [before] = await tx.select({ id: handovers.id }).from(handovers).where(eq(handovers.id, input.id));
    if (before) return { handoverId: before.id };
    const ids = [...new Set(input.specimenIds)];
    const there = await tx
      .select({ id: specimens.id, sampleId: specimens.sampleId })
      .from(specimens)
      .where(inArray(specimens.id, ids));
    if (there.length !== ids.length) throw new NotFound('One of these specimens');
    if (input.count !== ids.length) {
      refuseFields({
        count: `${input.count} counted, ${ids.length} scanned: count again; what is missing is recorded as lost.`,
      });
    }
    if (input.condition !== 'in order' && !input.note?.trim()) {
      refuseFields({ note: 'Say which specimens, and what is wrong.' });
    }
    const [giver] = await tx
      .select({ id: people.id, role: people.role })
      .from(people)
      .where(eq(people.id, input.fromPersonId));
    if (!giver || giver.role === 'client') refuseFields({ fromPersonId: 'Who hands them over?' });
    const at = instantField('at', 'When', input.at, now);
    await tx.insert(handovers).values({
      id: input.id,
      kind: input.kind,
      at,
      fromPersonId: giver?.id ?? '',
      toPersonId: actor.id,
      place: input.place?.trim() ?? '',
      condition: input.condition,
      count: input.count,
      note: input.note?.trim() ?? '',
    });
    await tx.insert(specimenEvents).values(
      ids.map((specimenId) => ({
        specimenId,
        kind: input.kind,
        at,
        personId: actor.id,
        note: input.condition === 'in order' ? '' : `${input.condition}: ${input.note?.trim() ?? ''}`,
        place: input.place?.trim() ?? '',
        handoverId: input.id,
      })),
    );
    for (const sampleId of new Set(there.map((specimen) => specimen.sampleId))) {
      await stampHandOver(tx, sampleId, input.kind, at, actor.id, now);
    }
    return { handoverId: input.id };
  },
});

/** The field of a test of the sample that a hand-over stamps: its kind is a moment of the sample clock. */
function stampedBy(kind: 'collected' | 'received') {
  for (const method of METHODS) {
    const field = eventFieldsOf(method.Input).get(kind);
    if (field) return { method: method.id, field };
  }
  return undefined;
}

/** The hand-over is the clocks' stamp too, unless it was stamped by hand before: nobody enters it twice. */
async function stampHandOver(
  tx: Transaction,
  sampleId: string,
  kind: 'collected' | 'received',
  at: Date,
  by: string,
  now: Date,
): Promise<void> {
  const stamped = stampedBy(kind);
  if (!stamped) return;
  const { method, field } = stamped;
  const [run] = await tx
    .select({ id: runs.id, state: runs.state })
    .from(runs)
    .where(and(eq(runs.sampleId, sampleId), eq(runs.method, method)))
    .orderBy(desc(runs.attempt))
    .limit(1);
  if (run?.state !== 'open') return;
  const current = await currentReadings(tx, run.id);
  if (current.some((reading) => reading.field === field && reading.text !== null)) return;
  await tx.insert(readings).values({
    id: randomUUID(),
    runId: run.id,
    field,
    text: at.toISOString(),
    takenAt: now,
    by,
    savedAt: now,
  });
  await projectSample(tx, sampleId, now);
}
