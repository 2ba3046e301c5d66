import { randomUUID } from 'node:crypto';
import { IsArray, IsBoolean, IsInt, IsString, MaxLength } from 'class-validator';
import { eq, inArray } from 'drizzle-orm';
import { type ImportPreview, type KnownSpecimen, previewImport } from '@/core/interchange';
import { formText } from '@/core/materials/forms';
import { type Method, readingsOf } from '@/core/methods';
import { findMethod } from '@/core/methods/registry';
import type { Queryable } from '@/db/client';
import { jobs, samples, specimens } from '@/db/schema';
import { Conflict, NotFound } from '../errors';
import { staffOnly } from '../scope';
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
): Promise<ImportPreview> {
  staffOnly(actor);
  const method = findMethod(methodId);
  if (method?.runOn !== 'specimen') throw new NotFound('This method');
  const labels = new Map<string, KnownSpecimen>();
  // One pass to learn the labels, one to judge the rows: the file is small, the database is asked once.
  previewImport(csv, methodId, (label) => {
    labels.set(label, { label, system: 'US', refused: null });
    return undefined;
  });
  const known = await knownSpecimens(
    db,
    method,
    [...labels.keys()].filter((label) => label !== ''),
  );
  return previewImport(csv, methodId, (label) => known.get(label));
}

async function knownSpecimens(
  db: Queryable,
  method: Method,
  labels: readonly string[],
): Promise<Map<string, KnownSpecimen>> {
  if (labels.length === 0) return new Map();
  const rows = await db
    .select({
      label: specimens.label,
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
  return new Map(
    rows.map((row) => {
      const refused = row.testedAt
        ? `"${row.label}" is tested already; correct its readings instead.`
        : row.discardedAt
          ? `"${row.label}" was discarded.`
          : method.forms?.includes(row.size)
            ? null
            : `"${row.label}" is ${formText(row.size)}: ${method.title.toLowerCase()} is not made on it.`;
      return [row.label, { label: row.label, system: row.system, refused }];
    }),
  );
}

export class ImportResultsInput {
  @IsString() method: string;
  @IsString() @MaxLength(LARGEST, { message: 'The file is too large: split it.' }) csv: string;
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
    const preview = await previewResults(tx, actor, input.method, input.csv);
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
      const readings = readingsOf(row.input).map((reading) => ({
        ...reading,
        id: randomUUID(),
        takenAt: now.toISOString(),
      }));
      const { saved } = await saveReadings.act(context, { runId, readings });
      if (saved.length !== readings.length)
        throw new Conflict(`${row.label}: somebody is working on it. Nothing was imported.`);
      await completeRun.act(context, { runId, reasons: [], reasonForAll: input.reason });
    }
    return { imported: chosen.length };
  },
});
