import { and, asc, desc, eq, gte, inArray, isNull, lt } from 'drizzle-orm';
import { hardeningHours, padFor } from '@/core/ends';
import { findForm } from '@/core/materials/forms';
import {
  DIAMETER_LOT,
  DIAMETERS_READ,
  lotState,
  ownDiameter,
} from '@/core/methods/cylinder-compression/lot-diameter';
import { expectedStrength, LENGTH_UNIT, STRESS_UNIT } from '@/core/methods/press';
import { findMethod, methodsFor } from '@/core/methods/registry';
import { plainOf } from '@/core/quantity';
import type { Queryable } from '@/db/client';
import {
  batches,
  batchMembers,
  jobs,
  lots,
  readings,
  runs,
  samples,
  specifications,
  specimens,
} from '@/db/schema';
import { batchLabel, batchSpecimens, membersTold, specimenNoun } from '../batches';
import { factsStored } from '../facts-stored';
import { limitsNow } from '../run-setup';
import { staffOnly } from '../scope';
import type { Actor } from '../use-case';

const AHEAD_MS = 4 * 86_400_000;
/** Specimens listed at once, by when their windows close: more cannot be made ready in these days. */
const SHOWN_SPECIMENS = 90;
const PAST_MS = 2 * 86_400_000;
const HOUR = 3_600_000;
const SHOWN = 30;
const LOTS_SHOWN = 8;

/** The specimens whose windows come up: what their ends want, and until when. */
export async function endsToMake(db: Queryable, actor: Actor, now: Date) {
  staffOnly(actor);
  const rows = await db
    .select({ specimen: specimens, mix: specifications, job: jobs, batch: batchMembers.batchId })
    .from(specimens)
    .innerJoin(samples, eq(samples.id, specimens.sampleId))
    .innerJoin(lots, eq(lots.id, samples.lotId))
    .innerJoin(specifications, eq(specifications.id, lots.specificationId))
    .innerJoin(jobs, eq(jobs.id, samples.jobId))
    .leftJoin(batchMembers, eq(batchMembers.specimenId, specimens.id))
    .where(
      and(
        isNull(specimens.testedAt),
        isNull(specimens.discardedAt),
        lt(specimens.opensAt, new Date(now.getTime() + AHEAD_MS)),
        gte(specimens.closesAt, new Date(now.getTime() - PAST_MS)),
      ),
    )
    .orderBy(asc(specimens.closesAt), asc(specimens.label))
    .limit(SHOWN_SPECIMENS);
  const limits = await limitsNow(db);
  return rows.flatMap(({ specimen, mix, job, batch }) => {
    const { opensAt, closesAt, form: size } = specimen;
    if (!opensAt || !closesAt || closesAt.getTime() < now.getTime() - PAST_MS) return [];
    const form = findForm(size);
    if (!form?.ends) return [];
    const facts = factsStored(methodsFor(specimen)[0]?.facts ?? {}, {
      asked: mix.asked,
      specimen: specimen.about,
    });
    const expected = expectedStrength({ specimen: specimenNoun(specimen), facts }, job.system, limits);
    const onPads = form.ends.includes('pads');
    const pads = expected && onPads ? padFor(expected, job.system, limits) : null;
    const { hours } = hardeningHours('sulfur', expected, job.system, limits, true);
    return [
      {
        id: specimen.id,
        label: specimen.label,
        jobId: job.id,
        size: form.text,
        expected: expected ? plainOf(expected.toSignificantDigits(3), STRESS_UNIT[job.system]) : 'not known',
        pads: !onPads ? 'not for these' : pads ? `${pads} durometer` : 'not permitted',
        hardens: hours.toNumber(),
        opensAt: opensAt.getTime(),
        closesAt: closesAt.getTime(),
        /** The last cap that is hard before the window closes. */
        capBy: closesAt.getTime() - hours.toNumber() * HOUR,
        batched: batch !== null,
      },
    ];
  });
}

/** The newest lots of moulds whose diameters are measured on some. */
export async function diameterLotList(db: Queryable, actor: Actor) {
  staffOnly(actor);
  const newest = await db
    .select({
      id: batches.id,
      system: jobs.system,
      rounding: jobs.rounding,
      jobId: jobs.id,
      profile: jobs.profile,
    })
    .from(batches)
    .innerJoin(
      batchMembers,
      and(eq(batchMembers.batchId, batches.id), eq(batchMembers.place, 0), eq(batches.kind, DIAMETER_LOT)),
    )
    .innerJoin(specimens, eq(specimens.id, batchMembers.specimenId))
    .innerJoin(samples, eq(samples.id, specimens.sampleId))
    .innerJoin(jobs, eq(jobs.id, samples.jobId))
    .orderBy(desc(batches.madeAt))
    .limit(LOTS_SHOWN);
  const all = [];
  for (const { id, system, rounding, jobId, profile } of newest) {
    const limits = await limitsNow(db, { id: jobId, profile });
    const about = { system, mode: rounding, limits };
    for (const { ids, told } of await membersTold(db, [id], DIAMETERS_READ))
      all.push({
        ...lotState(told, about),
        id,
        members: told.members.map((member, place) => {
          const mean = member.drawn ? ownDiameter(member, about) : undefined;
          return {
            id: ids[place] ?? '',
            label: member.label,
            drawn: member.drawn,
            mean: mean ? `${mean.toFixed(2)} ${LENGTH_UNIT[system]}` : null,
          };
        }),
      });
  }
  return all;
}

/** The newest batches with how they stand. */
export async function endBatchList(db: Queryable, actor: Actor) {
  staffOnly(actor);
  const rows = await db
    .select({ batch: batches, run: runs })
    .from(batches)
    .innerJoin(runs, eq(runs.batchId, batches.id))
    .orderBy(desc(batches.madeAt))
    .limit(SHOWN);
  const members = await batchSpecimens(
    db,
    rows.map(({ batch }) => batch.id),
  );
  const ended = await db
    .selectDistinctOn([readings.runId, readings.field], {
      runId: readings.runId,
      field: readings.field,
      text: readings.text,
    })
    .from(readings)
    .where(
      inArray(
        readings.runId,
        rows.map(({ run }) => run.id),
      ),
    )
    .orderBy(readings.runId, readings.field, desc(readings.seq));
  return rows.map(({ batch, run }) => {
    const field = findMethod(run.method)?.performedAt;
    return {
      id: batch.id,
      label: batchLabel(batch),
      done: findMethod(batch.kind)?.batch?.done ?? '',
      runId: run.id,
      state: run.state,
      finishedAt: ended.find((each) => each.runId === run.id && each.field === field)?.text ?? null,
      specimens: members
        .filter(({ batchId }) => batchId === batch.id)
        .map(({ specimen }) => ({ label: specimen.label, broken: specimen.testedAt !== null })),
    };
  });
}
