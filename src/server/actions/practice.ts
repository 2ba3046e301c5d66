import { IsBoolean, IsIn, IsInt, IsISO8601, IsObject, IsString, IsUUID, Max, Min } from 'class-validator';
import { eq } from 'drizzle-orm';
import {
  DECISIONS,
  type DecisionId,
  FAULTS,
  type FaultId,
  findDrill,
  playDrill,
  scoreDrill,
} from '@/core/drills';
import type { System } from '@/core/quantity';
import { practiceAttempts } from '@/db/schema';
import { NotFound } from '../errors';
import { defineUseCase, refuseFields, STAFF } from '../use-case';

export class RecordPracticeInput {
  /** Made by the device: the same attempt sent twice is one. */
  @IsUUID() id: string;
  @IsIn(['US', 'SI']) system: System;
  @IsString() drill: string;
  @IsInt() @Min(1) @Max(2_147_483_647) seed: number;
  @IsBoolean() timed: boolean;
  @IsISO8601({ strict: true }) startedAt: string;
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
    const [before] = await tx
      .select({ score: practiceAttempts.score })
      .from(practiceAttempts)
      .where(eq(practiceAttempts.id, input.id));
    if (before) return { score: before.score };
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
    await tx.insert(practiceAttempts).values({
      id: input.id,
      personId: actor.id,
      drill: drill.id,
      seed: input.seed,
      timed: input.timed,
      startedAt: new Date(input.startedAt),
      finishedAt: now,
      passed: score.passed,
      score,
    });
    return { score };
  },
});
