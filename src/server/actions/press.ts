import { createHash } from 'node:crypto';
import { Type } from 'class-transformer';
import {
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  IsString,
  IsUUID,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import { and, desc, eq, isNull } from 'drizzle-orm';
import { BALANCE_UNITS } from '@/core/balance';
import { limitsOf, usableInput } from '@/core/methods';
import { FORCE_UNIT, logBand } from '@/core/methods/press';
import {
  type Drive,
  FRAME_CASES,
  type Levers,
  loadIn,
  PRESS_CASES,
  type PressCommand,
  recordCsv,
  recordOf,
} from '@/core/press';
import { measureIn, parseMeasure } from '@/core/quantity';
import { analyseLog, bendOfLog, type LogAnalysis, type LogMapping } from '@/core/signals';
import { loadLogs, pressFeeds } from '@/db/schema';
import { Conflict, NotFound } from '../errors';
import { pack } from '../packed';
import { pressFeed } from '../press/feed';
import { lastRecorded, recordedLines } from '../press/recorder';
import {
  beamFor,
  pieceFor,
  placedFor,
  pressRun,
  runBalance,
  runFrame,
  runMachine,
  runNeedle,
} from '../press/run';
import { BENCH, defineUseCase, refuseFields } from '../use-case';
import { keptCurve } from './load-logs';
import { recomputeRun } from './runs';

const CATCH_UP_MS = 8000;
const LOOK_MS = 100;

export class OpenPressFeedInput {
  /** Made by the device: opened twice it is one. */
  @IsUUID() id: string;
  @IsUUID() runId: string;
  @IsString() boot: string;
  @IsInt() @Min(0) fromSeq: number;
  /** Another specimen stands in the press: what was followed before is let go. */
  @IsOptional() @IsBoolean() anew?: boolean;
}

/** From now on what the run's machine sends belongs to this run. Another run that was followed there is let go. */
export const openPressFeed = defineUseCase({
  name: 'open press feed',
  roles: BENCH,
  Input: OpenPressFeedInput,
  async act(context, input) {
    const { tx, actor, now } = context;
    const { machine, run } = await runMachine(tx, input.runId);
    if (run.state === 'complete') throw new Conflict('This run is complete.');
    const open = await tx
      .select()
      .from(pressFeeds)
      .where(and(eq(pressFeeds.machine, machine), isNull(pressFeeds.closedAt)))
      .for('no key update');
    const own = open.find(({ runId, boot }) => runId === run.id && boot === input.boot);
    if (own && !input.anew) return { feedId: own.id, fromSeq: own.fromSeq };
    for (const other of open) {
      await tx
        .update(pressFeeds)
        .set({ closedAt: now, toSeq: input.fromSeq - 1 })
        .where(eq(pressFeeds.id, other.id));
    }
    await tx.insert(pressFeeds).values({
      id: input.id,
      runId: run.id,
      machine,
      boot: input.boot,
      fromSeq: input.fromSeq,
      openedAt: now,
      by: actor.id,
    });
    return { feedId: input.id, fromSeq: input.fromSeq };
  },
});

export class ClosePressFeedInput {
  @IsUUID() feedId: string;
  /** The last reading that belongs to the test. */
  @IsInt() @Min(0) toSeq: number;
}

/**
 * The test is over: what was recorded of it becomes the run's load log, analysed here, with the indicator's own peak.
 * What somebody read off stands; the caller takes the figures into readings that are still empty.
 */
export const closePressFeed = defineUseCase({
  name: 'close press feed',
  roles: BENCH,
  Input: ClosePressFeedInput,
  async ready({ db }, input) {
    const [feed] = await db.select().from(pressFeeds).where(eq(pressFeeds.id, input.feedId));
    if (!feed || feed.closedAt) return;
    const until = Date.now() + CATCH_UP_MS;
    while (((await lastRecorded(db, feed.id)) ?? -1) < input.toSeq) {
      if (Date.now() > until)
        throw new Conflict(
          'The recorder has not caught up with the machine. Nothing is lost: the machine remembers ten minutes. Try again.',
        );
      await new Promise((resolve) => setTimeout(resolve, LOOK_MS));
    }
  },
  async act(context, input) {
    const { tx, actor, now } = context;
    // Not the whole row's lock: the recorder goes on adding readings under it while we wait for them.
    const [feed] = await tx
      .select()
      .from(pressFeeds)
      .where(eq(pressFeeds.id, input.feedId))
      .for('no key update');
    if (!feed) throw new NotFound('This record');
    if (feed.closedAt) {
      const [kept] = await tx
        .select()
        .from(loadLogs)
        .where(eq(loadLogs.runId, feed.runId))
        .orderBy(desc(loadLogs.at))
        .limit(1);
      if (kept) return { analysis: kept.analysis, peak: kept.analysis.peak };
      throw new Conflict('This record was let go when another specimen was followed on the machine.');
    }
    const { method, place, setup, typed } = await pressRun(context, feed.runId);
    const { system } = place.job;
    const unit = FORCE_UNIT[system];
    const record = recordOf(await recordedLines(tx, feed.id, input.toSeq), feed.fromSeq);
    if (record.readings.length < 2) refuseFields({ toSeq: 'Nothing was recorded of this test.' });
    const test = method.press?.test(usableInput(method, typed).input, setup);
    if (!test?.measured) return refuseFields({ toSeq: 'Measure the specimen first: the rate is a stress.' });
    const last = record.readings.at(-1);
    const peak = last ? loadIn(last.peak, last.unit, unit) : 0;
    const seconds = Float64Array.from(record.readings, ({ t }) => t);
    const load = Float64Array.from(record.readings, (each) => loadIn(each.load, each.unit, unit));
    // What is bent is read over the travel of the platen, which the line brings with every load.
    const asked = method.bends?.(usableInput(method, typed).input, setup);
    const position = Float64Array.from(record.readings, ({ pos }) => pos);
    const bend = asked && bendOfLog({ load, position, seconds }, unit, asked);
    const analysis: LogAnalysis = {
      ...analyseLog({
        seconds,
        load,
        register: peak,
        ...logBand(test, system, limitsOf(setup)),
      }),
      ...(bend ? { bend } : {}),
    };
    const csv = recordCsv(record, unit);
    const mapping: LogMapping = {
      delimiter: ',',
      decimalComma: false,
      header: 1,
      time: 0,
      timeUnit: 's',
      load: 1,
      loadUnit: unit,
      position: 2,
      positionUnit: 'mm',
    };
    await tx.insert(loadLogs).values({
      id: feed.id,
      runId: feed.runId,
      name: `${feed.machine} live.csv`,
      sha256: createHash('sha256').update(csv).digest('hex'),
      bytes: await pack(csv),
      mapping,
      analysis,
      curve: keptCurve(seconds, load, analysis, unit),
      by: actor.id,
      at: now,
    });
    await tx.update(pressFeeds).set({ closedAt: now, toSeq: input.toSeq }).where(eq(pressFeeds.id, feed.id));
    await recomputeRun(context, feed.runId);
    return { analysis, peak };
  },
});

class LeversInput implements Levers {
  @IsBoolean() pump: boolean;
  @IsBoolean() approach: boolean;
  @IsNumber() @Min(0) @Max(1) fine: number;
  @IsBoolean() door: boolean;
}

class DriveInput implements Drive {
  @IsIn(['load', 'hold', 'back']) way: Drive['way'];
  @IsNumber() @Min(0.001) @Max(100) speed: number;
  @IsBoolean() fast: boolean;
  @IsBoolean() guard: boolean;
  @IsOptional() @IsNumber() @Min(0.05) @Max(0.95) dropAt?: number;
  @IsOptional() @IsNumber() @Min(0.01) @Max(100) endAt?: number;
}

export class DrivePressInput {
  @IsUUID() runId: string;
  /** Of a frame that is driven by its displacement. */
  @IsOptional() @ValidateNested() @Type(() => DriveInput) drive?: DriveInput;
  @IsOptional() @ValidateNested() @Type(() => LeversInput) levers?: LeversInput;
  /** Puts the run's specimen in, as this case of practice. */
  @IsOptional()
  @IsIn(
    [...PRESS_CASES, ...FRAME_CASES].map(({ id }) => id),
    { message: 'Choose one of the cases.' },
  )
  place?: string;
  @IsOptional() @IsBoolean() resetPeak?: boolean;
  @IsOptional() @IsIn([1, 10, 60]) times?: 1 | 10 | 60;
}

/** Works the levers of a stand-in press, drives a stand-in frame, or puts a specimen in. A real machine is worked by hand. */
export const drivePress = defineUseCase({
  name: 'drive press',
  roles: BENCH,
  Input: DrivePressInput,
  async ready({ db }, input) {
    const { machine } = await runMachine(db, input.runId);
    await pressFeed(machine)?.ready();
  },
  async act(context, input) {
    const { machine } = await runMachine(context.tx, input.runId);
    const feed = pressFeed(machine);
    if (!feed?.about?.simulated)
      throw new Conflict('There is no stand-in press at the other end of the line.');
    const placed = async (caseId: string): Promise<PressCommand> => {
      const run = await pressRun(context, input.runId);
      return feed.about?.driven ? { bend: beamFor(run, caseId) } : { place: placedFor(run, caseId) };
    };
    const sent =
      (input.times === undefined || feed.send({ times: input.times })) &&
      (input.place === undefined || feed.send(await placed(input.place))) &&
      (!input.resetPeak || feed.send({ resetPeak: true })) &&
      (input.drive === undefined || feed.send({ drive: { ...input.drive } })) &&
      (input.levers === undefined || feed.send({ levers: { ...input.levers } }));
    if (!sent) throw new Conflict('The line to the machine is down: it is being made again.');
    return {};
  },
});

export class PumpFrameInput {
  @IsUUID() runId: string;
  @IsIn(['place', 'stroke', 'release', 'flow'], { message: 'Choose what is done.' })
  what: 'place' | 'stroke' | 'release' | 'flow';
  /** Of a stroke of a tester: how long it takes, s, and how much of a whole one it is. */
  @IsOptional() @IsNumber() @Min(0.3) @Max(60) seconds?: number;
  @IsOptional() @IsNumber() @Min(0.01) @Max(1) part?: number;
  /** Of a pump that is set to a rate: kN a minute; nothing holds. */
  @IsOptional() @IsNumber() @Min(0) @Max(5000) rate?: number;
  @IsOptional() @IsIn([1, 10]) times?: 1 | 10;
}

/** Works the pump of a stand-in frame, or puts the run's piece in. A real frame is pumped by hand. */
export const pumpFrame = defineUseCase({
  name: 'pump frame',
  roles: BENCH,
  Input: PumpFrameInput,
  async ready({ db }, input) {
    await pressFeed(await runFrame(db, input.runId))?.ready();
  },
  async act({ tx, now }, input) {
    const { seconds, part = 1, rate = 0, times } = input;
    const feed = pressFeed(await runFrame(tx, input.runId));
    if (!feed?.about?.simulated)
      throw new Conflict('There is no stand-in frame at the other end of the line.');
    const commands: Readonly<Record<PumpFrameInput['what'], PressCommand>> = {
      place: { piece: await pieceFor(tx, input.runId, now) },
      stroke: { stroke: seconds === undefined ? true : { seconds, part } },
      release: { release: true },
      flow: { flow: rate },
    };
    if (times !== undefined) feed.send({ times });
    if (!feed.send(commands[input.what]))
      throw new Conflict('The line to the frame is down: it is being made again.');
    return {};
  },
});

export class LoadBalanceInput {
  @IsUUID() runId: string;
  @IsIn(['put', 'off', 'tare'], { message: 'Choose what is done.' })
  what: 'put' | 'off' | 'tare';
  /** What is laid on, as it is typed; without a unit in that of the balance. */
  @IsOptional() @IsString() @MaxLength(40) mass?: string;
}

/** Lays something on a stand-in balance, takes it off, or tares it. A real one is loaded by hand. */
export const loadBalance = defineUseCase({
  name: 'load balance',
  roles: BENCH,
  Input: LoadBalanceInput,
  async ready({ db }, input) {
    await pressFeed(await runBalance(db, input.runId))?.ready();
  },
  async act({ tx }, { runId, what, mass = '' }) {
    const feed = pressFeed(await runBalance(tx, runId));
    const unit = BALANCE_UNITS.find((each) => each === feed?.about?.unit);
    if (!feed?.about?.simulated || !unit)
      throw new Conflict('There is no stand-in balance at the other end of the line.');
    const parsed = parseMeasure(mass, 'mass', unit);
    if (what === 'put' && !parsed.ok) refuseFields({ mass: parsed.message });
    const load = what === 'put' && parsed.ok ? measureIn(parsed.measure, unit).value.toNumber() : 0;
    if (load < 0) refuseFields({ mass: 'Nothing weighs less than nothing.' });
    if (!feed.send(what === 'tare' ? { tare: true } : { put: load }))
      throw new Conflict('The line to the balance is down: it is being made again.');
    return {};
  },
});

export class WorkNeedleInput {
  @IsUUID() runId: string;
  @IsIn(['drop', 'ring'], { message: 'Choose what is done.' }) what: 'drop' | 'ring';
  /** Of a ring that is put under it: minutes since its water met its cement. */
  @IsOptional() @IsNumber() @Min(0) @Max(2880) minutes?: number;
}

/** Lets a stand-in needle fall, or puts another ring under it, whose set nobody is told. A real one is released by hand. */
export const workNeedle = defineUseCase({
  name: 'work needle',
  roles: BENCH,
  Input: WorkNeedleInput,
  async ready({ db }, input) {
    await pressFeed(await runNeedle(db, input.runId))?.ready();
  },
  async act({ tx }, { runId, what, minutes = 0 }) {
    const feed = pressFeed(await runNeedle(tx, runId));
    if (!feed?.about?.simulated || feed.about.unit !== 'mm')
      throw new Conflict('There is no stand-in needle at the other end of the line.');
    if (!feed.send(what === 'drop' ? { drop: true } : { ring: { minutes } }))
      throw new Conflict('The line to the needle is down: it is being made again.');
    return {};
  },
});
