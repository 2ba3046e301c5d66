import { Chance } from '../../statistics';
import type { Exercise, PaperTask } from './types';

/** Whether an answer is right: the one that was chosen, or a number between two ends. */
function isRight({ right }: PaperTask, answer: string): boolean {
  if ('answer' in right) return answer === right.answer;
  const typed = Number(answer.trim().replaceAll(',', '').split(/\s/u)[0] || Number.NaN);
  return typed >= right.low && typed <= right.high;
}

/** An exercise on paper, judged by what each task says is right. */
export function onPaper(
  about: Pick<Exercise, 'id' | 'title' | 'about'>,
  item: string,
  count: number,
  task: (chance: Chance) => PaperTask,
): Exercise {
  return {
    ...about,
    enough: 0.8,
    tasks(seed) {
      const chance = Chance.settled(seed);
      return Array.from({ length: count }, () => task(chance));
    },
    judge(given, answer, place) {
      if (given.kind !== 'paper') return [];
      const passed = isRight(given, answer);
      const words = passed ? '' : answer.trim() === '' ? 'Left out. ' : `You said ${answer}. `;
      return [
        {
          id: `${about.id}-${place}`,
          item: `${item} ${place + 1}`,
          starred: true,
          passed,
          why: `${words}${given.why}`,
        },
      ];
    },
  };
}
