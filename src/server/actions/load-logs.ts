import { createHash } from 'node:crypto';
import { Type } from 'class-transformer';
import {
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
import { FILE_NAME, limitsOf, usableInput } from '@/core/methods';
import { FORCE_UNIT, logBand } from '@/core/methods/press';
import { findMethod } from '@/core/methods/registry';
import { convert, exact, type UnitId } from '@/core/quantity';
import {
  analyseLog,
  bendOfLog,
  type CurvePoint,
  chosenPart,
  type LogAnalysis,
  type LogMapping,
  MOST_BEFORE,
  readLoadLog,
  testsIn,
  thinned,
} from '@/core/signals';
import { equipment, loadLogs, runs } from '@/db/schema';
import { NotFound } from '../errors';
import { RowsMappingInput } from '../file-mapping';
import { PACKED_MOST, unpackedFile } from '../packed';
import { currentReadings, inputOf } from '../readings';
import { runPlace } from '../run-place';
import { runSetup } from '../run-setup';
import { BENCH, defineUseCase, refuseFields } from '../use-case';
import { recomputeRun } from './runs';

/** Points of the curve that pages and reports draw. */
export const CURVE_POINTS = 300;
const BEFORE_S = 2;
const AFTER_S = 8;

/** The part of a log that is drawn: from a little before contact to a little after the break. */
function untilBroken(
  seconds: Float64Array,
  load: Float64Array,
  { startAt, brokenAt }: LogAnalysis,
): [Float64Array, Float64Array] {
  const end = brokenAt === null ? Number.POSITIVE_INFINITY : brokenAt + AFTER_S;
  const from = Math.max(
    0,
    seconds.findIndex((t) => t >= startAt - BEFORE_S),
  );
  const after = seconds.findIndex((t) => t > end);
  const to = after === -1 ? seconds.length : after;
  return [seconds.subarray(from, to), load.subarray(from, to)];
}

/** What is drawn of a log: force over displacement where it was bent, else load over time until a little after the break. */
export function keptCurve(
  seconds: Float64Array,
  load: Float64Array,
  analysis: LogAnalysis,
  unit: UnitId,
): readonly CurvePoint[] {
  const newtons = convert(exact(1), unit, 'N').toNumber();
  return analysis.bend
    ? analysis.bend.curve.map(([at, force]) => [at, force / newtons] as const)
    : thinned(...untilBroken(seconds, load, analysis), CURVE_POINTS);
}

class MappingInput extends RowsMappingInput implements LogMapping {
  @IsIn(['s', 'ms', 'clock'], { message: 'Unit of time: choose one.' }) timeUnit: LogMapping['timeUnit'];
  @IsInt() @Min(0) @Max(MOST_BEFORE) load: number;
  @IsIn(['lbf', 'kip', 'kN', 'N', 'kgf'], { message: 'Unit of load: choose one.' }) loadUnit: UnitId;
  @IsOptional() @IsInt() @Min(0) @Max(MOST_BEFORE) stress?: number;
  @IsOptional()
  @IsIn(['psi', 'ksi', 'MPa'], { message: 'Unit of stress: choose one.' })
  stressUnit?: UnitId;
  @IsOptional() @IsInt() @Min(0) @Max(MOST_BEFORE) position?: number;
  @IsOptional() @IsIn(['in', 'mm'], { message: 'Unit of travel: choose one.' }) positionUnit?: UnitId;
}

export class KeepLoadLogInput {
  /** Made by the device: the same log sent twice is one. */
  @IsUUID() id: string;
  @IsUUID() runId: string;
  @IsString() @MaxLength(FILE_NAME) name: string;
  /** Base64 of the file, packed with gzip. */
  @IsString() @MaxLength(PACKED_MOST, { message: 'The file is too large: cut it to the test.' }) data: string;
  @IsDefined({ message: 'What it is like is needed.' })
  @ValidateNested()
  @Type(() => MappingInput)
  mapping: MappingInput;
  /** Which of several tests in the file is this run's, from zero. */
  @IsOptional() @IsInt() @Min(0) @Max(500) part?: number;
}

/**
 * Keeps a load log whole with its run, analysed here from the file itself, and remembers how the machine writes its
 * files. A later log of the same run counts instead; the one before stays.
 */
export const keepLoadLog = defineUseCase({
  name: 'keep load log',
  roles: BENCH,
  Input: KeepLoadLogInput,
  async act(context, input) {
    const { tx, actor, now } = context;
    const [before] = await tx.select().from(loadLogs).where(eq(loadLogs.id, input.id));
    if (before) return { analysis: before.analysis };
    const [run] = await tx.select().from(runs).where(eq(runs.id, input.runId)).for('update');
    const method = run && findMethod(run.method);
    if (!run || !method?.press) throw new NotFound('This run');
    const file = await unpackedFile(input.data);
    const place = await runPlace(tx, run.id);
    const { system } = place.job;
    const current = await currentReadings(tx, run.id);
    const typed = inputOf(method, system, current);
    const setup = await runSetup(tx, place, typed, now, { by: actor.id, current });
    const test = method.press.test(usableInput(method, typed).input, setup);
    if (!test?.measured) return refuseFields({ data: 'Measure the specimen first: the rate is a stress.' });
    const log = readLoadLog(file.toString('utf8'), input.mapping, FORCE_UNIT[system]);
    if (log.seconds.length < 2) {
      refuseFields({ data: 'No two rows of time and load could be read: look at columns and units.' });
    }
    const parts = testsIn(log.seconds, log.load);
    const own = chosenPart(log, parts, input.part);
    if (!own) return refuseFields({ part: `There are ${parts.length} tests in this file.` });
    const usable = usableInput(method, typed).input;
    const asked = method.bends?.(usable, setup);
    const bend = asked && bendOfLog(own, FORCE_UNIT[system], asked);
    if (asked && !bend)
      return refuseFields({ data: 'It has no column of travel or deflection: say which column that is.' });
    const analysis: LogAnalysis = {
      ...analyseLog({ ...own, ...logBand(test, system, limitsOf(setup)) }),
      ...(bend ? { bend } : {}),
    };
    await tx.insert(loadLogs).values({
      id: input.id,
      runId: run.id,
      name: input.name,
      sha256: createHash('sha256').update(file).digest('hex'),
      bytes: Buffer.from(input.data, 'base64'),
      mapping: { ...input.mapping, ...(input.part === undefined ? {} : { part: input.part }) },
      analysis,
      curve: keptCurve(own.seconds, own.load, analysis, FORCE_UNIT[system]),
      by: actor.id,
      at: now,
    });
    if (typeof typed.machine === 'string') {
      await tx
        .update(equipment)
        .set({ logMapping: { ...input.mapping } })
        .where(eq(equipment.number, typed.machine));
    }
    await recomputeRun(context, run.id);
    return { analysis };
  },
});
