import { randomUUID } from 'node:crypto';
import { IsArray, IsBoolean, IsInt, IsObject, IsOptional, IsString, MaxLength } from 'class-validator';
import { and, asc, eq, inArray } from 'drizzle-orm';
import { groupBy } from '@/core/group-by';
import { type ImportPreview, type KnownSpecimen, previewImport } from '@/core/interchange';
import { type Headings, headingsIn } from '@/core/interchange/headings';
import { formText } from '@/core/materials/forms';
import { type Method, readingsOf } from '@/core/methods';
import { findMethod } from '@/core/methods/registry';
import type { Queryable } from '@/db/client';
import { jobs, readings, runs, samples, specimens } from '@/db/schema';
import { Conflict, NotFound } from '../errors';
import { currentReadings, currentReadingsOf } from '../readings';
import { anyOf, staffOnly } from '../scope';
import { type Actor, BENCH, defineUseCase } from '../use-case';
import { completeRun, saveReadings, startRun } from './runs';

/** Longest file taken, in characters. */
const LARGEST = 2_000_000;

/** What a file of results would bring in, row by row, with what is wrong in each; changes nothing. */
export async function previewResults(
  db: Queryable,
  actor: Actor,
  methodId: string,
  csv: string,
  headings: Headings = {},
): Promise<ImportPreview> {
  staffOnly(actor);
  const method = findMethod(methodId);
  if (method?.runOn !== 'specimen') throw new NotFound('This method');
  const labels = new Map<string, KnownSpecimen>();
  // One pass to learn the labels, one to judge the rows: the file is small, the database is asked once.
  previewImport(
    csv,
    methodId,
    (label) => {
      labels.set(label, { label, system: 'US', refused: null });
      return undefined;
    },
    headings,
  );
  const asked = [...labels.keys()].filter((label) => label !== '');
  const byLabel = await knownSpecimens(db, method, asked);
  const serials = await bySerial(
    db,
    asked.filter((label) => !byLabel.has(label)),
  );
  const others = await knownSpecimens(db, method, [...serials.values()]);
  const known = new Map([
    ...byLabel,
    ...[...serials].flatMap(([serial, label]) => {
      const found = others.get(label);
      return found ? [[serial, found] as const] : [];
    }),
  ]);
  return previewImport(csv, methodId, (label) => known.get(label), headings);
}

/** The specimens that something with these serial numbers stays in, by the number: what was entered last counts. */
async function bySerial(db: Queryable, serials: readonly string[]): Promise<ReadonlyMap<string, string>> {
  if (serials.length === 0) return new Map();
  const rows = await db
    .select({ serial: readings.text, label: specimens.label })
    .from(readings)
    .innerJoin(runs, eq(runs.id, readings.runId))
    .innerJoin(specimens, eq(specimens.id, runs.specimenId))
    .where(and(eq(readings.field, 'serial'), inArray(readings.text, [...serials])))
    .orderBy(asc(readings.seq));
  return new Map(rows.map(({ serial, label }) => [serial ?? '', label]));
}

/** When specimens were read before by a method, ms, by the specimen. */
async function readBefore(
  db: Queryable,
  method: Method,
  specimenIds: readonly string[],
): Promise<ReadonlyMap<string, number[]>> {
  const made = await db
    .select({ id: runs.id, specimenId: runs.specimenId })
    .from(runs)
    .where(and(eq(runs.method, method.id), anyOf(runs.specimenId, specimenIds)));
  const current = await currentReadingsOf(
    db,
    made.map(({ id }) => id),
  );
  const read = made.flatMap(({ id, specimenId }) => {
    const text = current.get(id)?.find(({ field }) => field === method.performedAt)?.text;
    return text && specimenId ? [{ specimenId, at: Date.parse(text) }] : [];
  });
  return new Map(
    [...groupBy(read, ({ specimenId }) => specimenId)].map(([id, own]) => [id, own.map(({ at }) => at)]),
  );
}

async function knownSpecimens(
  db: Queryable,
  method: Method,
  labels: readonly string[],
): Promise<Map<string, KnownSpecimen>> {
  if (labels.length === 0) return new Map();
  const rows = await db
    .select({
      id: specimens.id,
      label: specimens.label,
      zone: jobs.zone,
      testedAt: specimens.testedAt,
      discardedAt: specimens.discardedAt,
      system: jobs.system,
      size: specimens.form,
    })
    .from(specimens)
    .innerJoin(samples, eq(samples.id, specimens.sampleId))
    .innerJoin(jobs, eq(jobs.id, samples.jobId))
    .where(inArray(specimens.label, [...labels]));
  if (rows.length === 0) return new Map();
  const again = method.again === 'freely';
  const before = again
    ? await readBefore(
        db,
        method,
        rows.map(({ id }) => id),
      )
    : new Map<string, number[]>();
  return new Map(
    rows.map((row) => {
      const refused =
        row.testedAt && !again
          ? `"${row.label}" is tested already; correct its readings instead.`
          : row.discardedAt
            ? `"${row.label}" was discarded.`
            : method.forms?.includes(row.size)
              ? null
              : `"${row.label}" is ${formText(row.size)}: ${method.title.toLowerCase()} is not made on it.`;
      const readAt = before.get(row.id) ?? [];
      return [row.label, { label: row.label, system: row.system, refused, zone: row.zone, readAt }];
    }),
  );
}

export class ImportResultsInput {
  @IsString() method: string;
  @IsString() @MaxLength(LARGEST, { message: 'The file is too large: split it.' }) csv: string;
  /** What the file's own headings stand for. */
  @IsOptional() @IsObject() headings?: object;
  /** The lines chosen in the preview. */
  @IsArray() @IsInt({ each: true }) lines: number[];
  /** The reason recorded for every finding that asks for one; a reviewer still has to accept it. */
  @IsString() @MaxLength(500) reason: string;
  @IsBoolean() confirmed: boolean;
}

/** Imports the chosen rows of a file, all or none. */
export const importResults = defineUseCase({
  name: 'import results',
  roles: BENCH,
  Input: ImportResultsInput,
  async act(context, input) {
    const { tx, actor, now } = context;
    if (!input.confirmed) throw new Conflict('Look at the preview first, then import.');
    const preview = await previewResults(tx, actor, input.method, input.csv, headingsIn(input.headings));
    const method = findMethod(input.method);
    const chosen = preview.rows.filter((row) => input.lines.includes(row.line));
    const bad = chosen.filter((row) => row.errors.length > 0);
    if (
      preview.problems.length > 0 ||
      bad.length > 0 ||
      chosen.length !== new Set(input.lines).size ||
      !method
    ) {
      throw new Conflict(
        'The file is not as it was in the preview: some chosen rows cannot be imported. Nothing was.',
      );
    }
    const ids = await tx
      .select({ id: specimens.id, label: specimens.label })
      .from(specimens)
      .where(
        inArray(
          specimens.label,
          chosen.map(({ label }) => label),
        ),
      );
    for (const row of chosen) {
      const specimenId = ids.find(({ label }) => label === row.label)?.id ?? '';
      const { runId } = await startRun.act(context, { method: input.method, specimenId });
      // What was taken over from the reading before stands already.
      const there = new Map((await currentReadings(tx, runId)).map(({ field, seq }) => [field, seq]));
      const own = readingsOf(row.input).map((reading) => {
        const basedOn = there.get(reading.field);
        return {
          ...reading,
          id: randomUUID(),
          takenAt: now.toISOString(),
          ...(basedOn === undefined ? {} : { basedOn }),
        };
      });
      const { saved } = await saveReadings.act(context, { runId, readings: own });
      if (saved.length !== own.length)
        throw new Conflict(`${row.label}: somebody is working on it. Nothing was imported.`);
      await completeRun.act(context, { runId, reasons: [], reasonForAll: input.reason });
    }
    return { imported: chosen.length };
  },
});
