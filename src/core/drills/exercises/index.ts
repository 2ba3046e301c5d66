import type { DrillScore } from '../types';
import { beamRecordExercise } from './beam-record';
import { ramRateExercise, whereBrokeExercise } from './beams';
import { flowWaterExercise, initialSetExercise } from './cements';
import { chooseSpacersExercise } from './choose-spacers';
import { holdBandExercise, stopRightExercise } from './drive-press';
import { findFaultExercise } from './find-fault';
import { chooseDollyExercise, depthAndCountExercise, readFaceExercise, whyItRoseExercise } from './floors';
import { readCurveExercise, sulfateByEyeExercise } from './heats';
import { blockRateExercise, couponExercise, falseMassExercise, netAreaExercise } from './masonry';
import { nameFractureExercise } from './name-fracture';
import { isItTheCrackExercise, keepRateExercise, setStripsExercise } from './pipes';
import { readDialExercise } from './read-dial';
import { coreRateExercise, endFitExercise } from './rocks';
import { removeOrNotExercise, whichLiesExercise } from './temperatures';
import type { Exercise } from './types';

export { DrivenPress, type Move, TICKS } from './drive-press';
export * from './types';

/** Every exercise at the press, in the order of the work. */
export const EXERCISES: readonly Exercise[] = [
  chooseSpacersExercise,
  holdBandExercise,
  stopRightExercise,
  readDialExercise,
  nameFractureExercise,
  findFaultExercise,
  blockRateExercise,
  netAreaExercise,
  falseMassExercise,
  couponExercise,
  whereBrokeExercise,
  ramRateExercise,
  beamRecordExercise,
  whichLiesExercise,
  removeOrNotExercise,
  depthAndCountExercise,
  whyItRoseExercise,
  chooseDollyExercise,
  readFaceExercise,
  endFitExercise,
  coreRateExercise,
  setStripsExercise,
  keepRateExercise,
  isItTheCrackExercise,
  initialSetExercise,
  flowWaterExercise,
  readCurveExercise,
  sulfateByEyeExercise,
];

/** An exercise by its id; undefined when there is none. */
export function findExercise(id: string): Exercise | undefined {
  return EXERCISES.find((exercise) => exercise.id === id);
}

/**
 * Judges an exercise from what was answered.
 * @param answers one for each task, in order; what is missing was left out
 * @returns every item; passed when enough of those that must not be missed are right
 */
export function scoreExercise(exercise: Exercise, seed: number, answers: readonly string[]): DrillScore {
  const items = exercise
    .tasks(seed)
    .flatMap((task, place) => exercise.judge(task, answers[place] ?? '', place));
  const starred = items.filter((item) => item.starred);
  const starredPassed = starred.filter(({ passed }) => passed).length;
  return {
    items,
    starred: starred.length,
    starredPassed,
    passed: starred.length > 0 && starredPassed >= exercise.enough * starred.length,
    fault: 'none',
  };
}
