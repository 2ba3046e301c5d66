import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsObject,
  IsString,
  IsUUID,
  Max,
  MaxLength,
  Min,
} from 'class-validator';
import { eq } from 'drizzle-orm';
import {
  DECISIONS,
  type DecisionId,
  type DrillScore,
  FAULTS,
  type FaultId,
  findDrill,
  findExercise,
  playDrill,
  scoreDrill,
  scoreExercise,
} from '@/core/drills';
import { IsInstant } from '@/core/methods';
import type { System } from '@/core/quantity';
import { practiceAttempts } from '@/db/schema';
import { NotFound } from '../errors';
import { defineUseCase, refuseFields, STAFF, type Transaction } from '../use-case';

export class RecordPracticeInput {
  /** Made by the device: the same attempt sent twice is one. */
  @IsUUID() id: string;
  @IsIn(['US', 'SI']) system: System;
  @IsString() drill: string;
  @IsInt() @Min(1) @Max(2_147_483_647) seed: number;
  @IsBoolean() timed: boolean;
  @IsInstant() startedAt: string;
  @IsObject() choices: Record<string, number>;
  @IsObject() values: Record<string, string>;
  @IsIn(Object.keys(DECISIONS), { message: 'What is done with it: choose one.' }) decision: DecisionId;
  @IsIn(Object.keys(FAULTS), { message: 'What was wrong: choose one.' }) noticed: FaultId;
}

const LONGEST_VALUE = 2000;

/** A drill carried to its end, judged here from the answers: what is kept is not what a browser says it scored. */
export const recordPractice = defineUseCase({
  name: 'record practice',
  roles: STAFF,
  Input: RecordPracticeInput,
  async act({ tx, actor, now }, input) {
    const before = await scored(tx, input.id);
    if (before) return { score: before };
    const drill = findDrill(input.drill);
    if (!drill) throw new NotFound('This drill');
    const values = Object.values(input.values);
    if (values.some((value) => typeof value !== 'string' || value.length > LONGEST_VALUE)) {
      refuseFields({ values: 'Readings are text.' });
    }
    const script = playDrill(drill, input.seed, input.system, Date.parse(input.startedAt));
    const { choices, decision, noticed } = input;
    const score = scoreDrill(drill, script, input.system, {
      choices,
      values: input.values,
      decision,
      noticed,
    });
    await keep(tx, actor.id, now, { ...input, drill: drill.id }, score);
    return { score };
  },
});

export class RecordExerciseInput {
  /** Made by the device: the same attempt sent twice is one. */
  @IsUUID() id: string;
  @IsString() exercise: string;
  @IsInt() @Min(1) @Max(2_147_483_647) seed: number;
  @IsInstant() startedAt: string;
  /** What was typed or chosen at each task; at the press the levers as they were moved. */
  @IsArray()
  @ArrayMaxSize(30)
  @IsString({ each: true })
  @MaxLength(400_000, { each: true, message: 'An answer: at most 400,000 characters.' })
  answers: string[];
}

/** An exercise carried to its end, judged here from the answers: the press is driven again as it was driven. */
export const recordExercise = defineUseCase({
  name: 'record exercise',
  roles: STAFF,
  Input: RecordExerciseInput,
  async act({ tx, actor, now }, input) {
    const before = await scored(tx, input.id);
    if (before) return { score: before };
    const exercise = findExercise(input.exercise);
    if (!exercise) throw new NotFound('This exercise');
    const score = scoreExercise(exercise, input.seed, input.answers);
    await keep(tx, actor.id, now, { ...input, drill: exercise.id, timed: false }, score);
    return { score };
  },
});

/** How an attempt was judged that was kept already; undefined for a new one. */
async function scored(tx: Transaction, id: string): Promise<DrillScore | undefined> {
  const [before] = await tx
    .select({ score: practiceAttempts.score })
    .from(practiceAttempts)
    .where(eq(practiceAttempts.id, id));
  return before?.score;
}

async function keep(
  tx: Transaction,
  personId: string,
  finishedAt: Date,
  attempt: { id: string; drill: string; seed: number; timed: boolean; startedAt: string },
  score: DrillScore,
): Promise<void> {
  const { id, drill, seed, timed, startedAt } = attempt;
  await tx.insert(practiceAttempts).values({
    id,
    personId,
    drill,
    seed,
    timed,
    startedAt: new Date(startedAt),
    finishedAt,
    passed: score.passed,
    score,
  });
}
