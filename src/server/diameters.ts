import { and, asc, desc, eq, inArray } from 'drizzle-orm';
import type { Limits } from '@/core/limits';
import type { LotDiameterFacts } from '@/core/methods';
import { LENGTH_UNIT, lotDiameter } from '@/core/methods/press';
import { measureIn, parseMeasure, type RoundingMode, roundTo, type System } from '@/core/quantity';
import type { Queryable } from '@/db/client';
import { batches, batchMembers, readings, runs, specimens } from '@/db/schema';

/** The kind of a batch whose cylinders come out of one lot of moulds. */
export const DIAMETER = 'diameter';

interface About {
  readonly system: System;
  readonly rounding: RoundingMode;
  readonly limits: Limits;
}

/** A lot as it stands: its cylinders, those drawn, and what the measured ones say. */
export interface Lot {
  readonly id: string;
  readonly lot: string;
  readonly madeAt: Date;
  readonly members: readonly {
    readonly id: string;
    readonly label: string;
    readonly drawn: boolean;
    readonly mean: string | null;
  }[];
  readonly facts: Omit<LotDiameterFacts, 'state'>;
  readonly state: 'wait' | 'take' | 'measure all';
}

/** Lots with what their drawn cylinders measured: two diameters of their own, read in any of their runs. */
export async function lotsOf(db: Queryable, batchIds: readonly string[], about: About): Promise<Lot[]> {
  if (batchIds.length === 0) return [];
  const { system, rounding, limits } = about;
  const rows = await db
    .select({ lot: batches, member: batchMembers, label: specimens.label })
    .from(batchMembers)
    .innerJoin(batches, eq(batches.id, batchMembers.batchId))
    .innerJoin(specimens, eq(specimens.id, batchMembers.specimenId))
    .where(inArray(batchMembers.batchId, [...batchIds]))
    .orderBy(desc(batches.madeAt), asc(batchMembers.place));
  const drawn = rows.filter(({ member }) => member.drawn).map(({ member }) => member.specimenId);
  const read = await db
    .selectDistinctOn([runs.specimenId, readings.field], {
      specimenId: runs.specimenId,
      field: readings.field,
      text: readings.text,
    })
    .from(readings)
    .innerJoin(runs, eq(runs.id, readings.runId))
    .where(inArray(runs.specimenId, drawn))
    .orderBy(runs.specimenId, readings.field, desc(readings.seq));
  const meanOf = (specimenId: string) => {
    const of = (field: string): string | undefined =>
      read.find((each) => each.specimenId === specimenId && each.field === field)?.text ?? undefined;
    if (of('diameterBy') === 'lot') return undefined;
    const [diameter1, diameter2] = [of('diameter1'), of('diameter2')];
    const [one, two] = [diameter1, diameter2].map((text) => {
      const read = parseMeasure(text ?? '', 'length', LENGTH_UNIT[system]);
      return read.ok ? measureIn(read.measure, LENGTH_UNIT[system]).value : undefined;
    });
    return one && two
      ? roundTo(one.plus(two).div(2), limits.number('cylinder.diameter-step', system), rounding)
      : undefined;
  };
  return [...new Set(rows.map(({ lot }) => lot.id))].flatMap((id): Lot[] => {
    const own = rows.filter(({ lot }) => lot.id === id);
    const [first] = own;
    if (!first) return [];
    const members = own.map(({ member, label }) => ({
      id: member.specimenId,
      label,
      drawn: member.drawn,
      mean: member.drawn ? meanOf(member.specimenId) : undefined,
    }));
    const means = members.flatMap(({ mean }) => mean ?? []);
    const wanted = members.filter((member) => member.drawn).length;
    const found = lotDiameter(means, system, limits, rounding);
    const unit = LENGTH_UNIT[system];
    return [
      {
        id,
        lot: first.lot.title,
        madeAt: first.lot.madeAt,
        members: members.map(({ mean, ...rest }) => ({
          ...rest,
          mean: mean ? `${mean.toFixed(2)} ${unit}` : null,
        })),
        facts: {
          lot: first.lot.title,
          measured: means.length,
          drawn: wanted,
          count: members.length,
          ...(found
            ? { mean: `${found.taken.toFixed(2)} ${unit}`, range: `${found.range.toFixed(2)} ${unit}` }
            : {}),
        },
        // A range that is too large is known as soon as two show it.
        state: found && !found.good ? 'measure all' : means.length < wanted ? 'wait' : 'take',
      },
    ];
  });
}

/** What the newest lot of a specimen says of its diameter; nothing when it is in none. */
export async function lotDiameterFacts(
  db: Queryable,
  specimenId: string,
  about: About,
): Promise<{ lotDiameter?: LotDiameterFacts }> {
  const [member] = await db
    .select({ batchId: batchMembers.batchId, drawn: batchMembers.drawn })
    .from(batchMembers)
    .innerJoin(batches, eq(batches.id, batchMembers.batchId))
    .where(and(eq(batchMembers.specimenId, specimenId), eq(batches.kind, DIAMETER)))
    .orderBy(desc(batches.madeAt))
    .limit(1);
  const [lot] = member ? await lotsOf(db, [member.batchId], about) : [];
  if (!member || !lot) return {};
  return { lotDiameter: { ...lot.facts, state: member.drawn ? 'measure' : lot.state } };
}
