import { findExercise, type PaperTask, scoreExercise } from '@/core/drills/exercises';

/** The tasks of an exercise on paper, of several seeds. */
export function paperTasks(id: string, seeds: readonly number[]): PaperTask[] {
  return seeds
    .flatMap((seed) => findExercise(id)?.tasks(seed) ?? [])
    .flatMap((task) => (task.kind === 'paper' ? [task] : []));
}

/** An answer that is right. */
export function rightOf({ right }: PaperTask): string {
  return 'answer' in right ? right.answer : String((right.low + right.high) / 2);
}

/** What stands on the paper under a heading that begins so. */
export function lineOf(task: PaperTask, name: string): string {
  return task.lines.find(([label]) => label.startsWith(name))?.[1] ?? '';
}

/** Whether an exercise is passed where every task is answered so. */
export function passedBy(id: string, seed: number, answer: (task: PaperTask) => string): boolean {
  const exercise = findExercise(id);
  if (!exercise) throw new Error(id);
  return scoreExercise(exercise, seed, paperTasks(id, [seed]).map(answer)).passed;
}
