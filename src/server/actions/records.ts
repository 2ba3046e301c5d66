import { createHash, randomUUID } from 'node:crypto';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsDefined,
  IsIn,
  IsInt,
  IsOptional,
  IsString,
  IsUUID,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import { eq } from 'drizzle-orm';
import { POWER_UNIT_IDS } from '@/core/calorimetry';
import { FILE_NAME, fieldAt } from '@/core/methods';
import { findMethod } from '@/core/methods/registry';
import type { KeptMapping } from '@/core/records/kept-record';
import { type LoggedRow, RECORD_KINDS, type RecordKind } from '@/core/records/kinds';
import { MOST_BEFORE, MOST_COLUMNS, STAMPS, type Stamp } from '@/core/signals';
import { keptRecords, runs } from '@/db/schema';
import { Conflict, NotFound } from '../errors';
import { RowsMappingInput } from '../file-mapping';
import { PACKED_MOST, pack, unpackedFile } from '../packed';
import { readLogger } from '../press/read-logger';
import { currentReadings } from '../readings';
import { runPlace } from '../run-place';
import { type Context, defineUseCase, refuseFields, STAFF } from '../use-case';
import { recomputeRun, saveReadings } from './runs';

const UNITS = ['degC', 'degF', ...POWER_UNIT_IDS] as const;

class RecordMappingInput extends RowsMappingInput {
  @IsOptional() @IsInt() @Min(0) @Max(MOST_BEFORE) clock?: number;
  @IsIn(STAMPS, { message: 'Times: choose how they are written.' }) stamp: Stamp;
  @IsIn(UNITS, { message: 'Unit: choose what it is written in.' }) unit: (typeof UNITS)[number];
  @IsArray()
  @ArrayMinSize(1, { message: 'Choose at least one column of values.' })
  @ArrayMaxSize(MOST_COLUMNS)
  @IsInt({ each: true })
  @Min(0, { each: true })
  @Max(MOST_BEFORE, { each: true })
  columns: number[];
  @IsArray()
  @ArrayMaxSize(MOST_COLUMNS)
  @IsString({ each: true })
  @MaxLength(FILE_NAME, { each: true })
  names: string[];
}

class OfRun {
  /** Made by the device: the same record sent twice is one. */
  @IsUUID() id: string;
  @IsUUID() runId: string;
  /** The reading that it is kept for. */
  @IsString() @MaxLength(60) field: string;
  /** Why another one is kept for a test that is complete. */
  @IsOptional() @IsString() @MaxLength(500) reason?: string;
}

export class KeepRecordInput extends OfRun {
  @IsString() @MaxLength(FILE_NAME) name: string;
  /** Base64 of the file, packed with gzip. */
  @IsString()
  @MaxLength(PACKED_MOST, { message: 'The file is too large: cut it to the days that count.' })
  data: string;
  @IsDefined({ message: 'What it is like is needed.' })
  @ValidateNested()
  @Type(() => RecordMappingInput)
  mapping: RecordMappingInput;
}

/** What a reading of a method is a record of; undefined where it is none. */
function kindAt(method: string, field: string): RecordKind | undefined {
  const found = findMethod(method);
  const spec = found && fieldAt(found.Input, field);
  return spec?.kind === 'record' ? RECORD_KINDS[spec.records] : undefined;
}

/** Keeps a record whole, analysed here from the file itself, and makes its name the reading. */
async function keep(
  context: Context,
  input: OfRun,
  file: { readonly name: string; readonly text: Buffer; readonly mapping: KeptMapping },
) {
  const { tx, actor, now } = context;
  const [before] = await tx.select().from(keptRecords).where(eq(keptRecords.id, input.id));
  if (before) return { record: before.record };
  const [run] = await tx.select().from(runs).where(eq(runs.id, input.runId)).for('update');
  const kind = run && kindAt(run.method, input.field);
  if (!run || !kind) throw new NotFound('This record');
  if (!kind.units.some(([unit]) => unit === file.mapping.unit))
    refuseFields({ data: `This reading is a record of ${kind.values}: choose its unit.` });
  if (run.state === 'complete' && !input.reason?.trim())
    refuseFields({ reason: 'This run is complete: give the reason for the other record.' });
  const { job } = await runPlace(tx, run.id);
  const { record } = kind.read(file.text.toString('utf8'), file.mapping, job.zone);
  if (record.channels.length === 0)
    refuseFields({ data: `No row of time and ${kind.values} could be read: look at columns and times.` });
  await tx.insert(keptRecords).values({
    id: input.id,
    runId: run.id,
    field: input.field,
    name: file.name,
    sha256: createHash('sha256').update(file.text).digest('hex'),
    bytes: await pack(file.text),
    mapping: file.mapping,
    record,
    by: actor.id,
    at: now,
  });
  const latest = (await currentReadings(tx, run.id)).find(({ field }) => field === input.field);
  if (latest?.text === file.name) {
    // The same name once more is no change of the reading, but another record all the same.
    if (run.state === 'complete') await recomputeRun(context, run.id);
    return { record };
  }
  await saveReadings.act(context, {
    runId: run.id,
    readings: [
      {
        id: randomUUID(),
        field: input.field,
        text: file.name,
        takenAt: now.toISOString(),
        ...(latest ? { basedOn: latest.seq } : {}),
        ...(input.reason ? { reason: input.reason } : {}),
      },
    ],
  });
  return { record };
}

/** Keeps the file of a logger with its run. A later one for the same reading counts instead; the one before stays. */
export const keepRecord = defineUseCase({
  name: 'keep record',
  roles: STAFF,
  Input: KeepRecordInput,
  async act(context, input) {
    const text = await unpackedFile(input.data);
    return keep(context, input, { name: input.name, text, mapping: input.mapping as KeptMapping });
  },
});

export class ReadLoggerInput extends OfRun {
  /** The recorder, by its number. */
  @IsString() @MaxLength(60) logger: string;
}

/** What was read out for a use case, until it is kept. */
const readOuts = new Map<string, readonly LoggedRow[]>();

/** Reads out a recorder that has a line, and keeps what it had in its memory. */
export const readOutLogger = defineUseCase({
  name: 'read out logger',
  roles: STAFF,
  Input: ReadLoggerInput,
  async ready(_, input) {
    const found = await readLogger(input.logger);
    if (found.length === 0)
      throw new Conflict(`${input.logger} does not answer, or has nothing in its memory.`);
    readOuts.set(input.id, found);
  },
  async act(context, input) {
    const found = readOuts.get(input.id) ?? [];
    readOuts.delete(input.id);
    const [run] = await context.tx.select().from(runs).where(eq(runs.id, input.runId));
    const kind = run && kindAt(run.method, input.field);
    if (!kind) throw new NotFound('This record');
    const csv = kind.fileOf(found);
    const guessed = csv === undefined ? null : kind.guess(csv);
    if (csv === undefined || !guessed)
      throw new Conflict(`What ${input.logger} sent is no record of ${kind.values}.`);
    return keep(context, input, {
      name: `${input.logger} read out.csv`,
      text: Buffer.from(csv),
      mapping: guessed.mapping,
    });
  },
});
