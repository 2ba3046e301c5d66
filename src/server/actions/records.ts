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
import { FILE_NAME, fieldAt } from '@/core/methods';
import { findMethod } from '@/core/methods/registry';
import { MOST_BEFORE } from '@/core/signals';
import {
  analyseRecord,
  guessRecord,
  type RecordMapping,
  readRecord,
  STAMPS,
  type Stamp,
} from '@/core/temperature';
import { runs, temperatureRecords } from '@/db/schema';
import { Conflict, NotFound } from '../errors';
import { RowsMappingInput } from '../file-mapping';
import { PACKED_MOST, pack, unpackedFile } from '../packed';
import { type ReadOut, readLogger } from '../press/read-logger';
import { currentReadings } from '../readings';
import { runPlace } from '../run-place';
import { type Context, defineUseCase, refuseFields, STAFF } from '../use-case';
import { recomputeRun, saveReadings } from './runs';

class RecordMappingInput extends RowsMappingInput implements RecordMapping {
  @IsOptional() @IsInt() @Min(0) @Max(MOST_BEFORE) clock?: number;
  @IsIn(STAMPS, { message: 'Times: choose how they are written.' }) stamp: Stamp;
  @IsIn(['degC', 'degF'], { message: 'Scale: choose °C or °F.' }) unit: 'degC' | 'degF';
  @IsArray()
  @ArrayMinSize(1, { message: 'Choose at least one column of temperatures.' })
  @ArrayMaxSize(16)
  @IsInt({ each: true })
  @Min(0, { each: true })
  @Max(MOST_BEFORE, { each: true })
  columns: number[];
  @IsArray()
  @ArrayMaxSize(16)
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

/** Keeps a record whole, analysed here from the file itself, and makes its name the reading. */
async function keep(
  context: Context,
  input: OfRun,
  file: { readonly name: string; readonly text: Buffer; readonly mapping: RecordMapping },
) {
  const { tx, actor, now } = context;
  const [before] = await tx.select().from(temperatureRecords).where(eq(temperatureRecords.id, input.id));
  if (before) return { record: before.record };
  const [run] = await tx.select().from(runs).where(eq(runs.id, input.runId)).for('update');
  const method = run && findMethod(run.method);
  if (!run || !method || fieldAt(method.Input, input.field)?.kind !== 'record')
    throw new NotFound('This record');
  if (run.state === 'complete' && !input.reason?.trim())
    refuseFields({ reason: 'This run is complete: give the reason for the other record.' });
  const { job } = await runPlace(tx, run.id);
  const raw = readRecord(file.text.toString('utf8'), file.mapping, job.zone);
  const record = analyseRecord(raw, file.mapping.names);
  if (record.channels.length === 0)
    refuseFields({ data: 'No row of time and temperature could be read: look at columns and times.' });
  await tx.insert(temperatureRecords).values({
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
    return keep(context, input, { name: input.name, text, mapping: input.mapping });
  },
});

export class ReadLoggerInput extends OfRun {
  /** The logger, by its number. */
  @IsString() @MaxLength(60) logger: string;
}

/** What was read out for a use case, until it is kept. */
const readOuts = new Map<string, ReadOut>();

/** Reads out a logger that has a line, and keeps what it had in its memory. */
export const readOutLogger = defineUseCase({
  name: 'read out logger',
  roles: STAFF,
  Input: ReadLoggerInput,
  async ready(_, input) {
    const found = await readLogger(input.logger);
    if (!found) throw new Conflict(`${input.logger} does not answer, or has nothing in its memory.`);
    readOuts.set(input.id, found);
  },
  async act(context, input) {
    const found = readOuts.get(input.id);
    readOuts.delete(input.id);
    const guessed = found && guessRecord(found.csv);
    if (!found || !guessed) throw new Conflict(`What ${input.logger} sent is no record of temperatures.`);
    return keep(context, input, {
      name: `${input.logger} read out.csv`,
      text: Buffer.from(found.csv),
      mapping: guessed.mapping,
    });
  },
});
