import { describe, expect, it } from 'vitest';
import { lineOf as line, paperTasks, passedBy, rightOf } from '../../../testing/paper-exercises';
import type { PaperTask } from '.';

const SEEDS = Array.from({ length: 60 }, (_, index) => 3 + index * 7919);
const tasksOf = (id: string): PaperTask[] => paperTasks(id, SEEDS);

describe.each(['depth-and-count', 'why-it-rose', 'read-face', 'choose-dolly'])('%s', (id) => {
  it('is passed by what is right, and not by the same answer everywhere', () => {
    for (const seed of SEEDS.slice(0, 12)) {
      expect(passedBy(id, seed, rightOf)).toBe(true);
    }
    const options = new Set(tasksOf(id).map(rightOf));
    expect(options.size).toBeGreaterThan(2);
  });
});

// ASTM F2170: 40 % of the thickness, 20 % where it dries from both sides; three for the first 1000 ft² (from memory).
it('the depth is of the slab that is there, the count of its area and walls', () => {
  for (const task of tasksOf('depth-and-count')) {
    const measured = Number.parseFloat(line(task, 'Thickness in a core'));
    const area = Number(line(task, 'Area').replace(/[^\d]/gu, '').slice(0, -1) || 0);
    if (task.ask.startsWith('Depth')) {
      const share = line(task, 'Slab').startsWith('suspended') ? 0.2 : 0.4;
      expect(Number(rightOf(task))).toBeCloseTo(share * measured, 6);
    } else expect(Number(rightOf(task))).toBeGreaterThanOrEqual(area > 0 ? 3 : 0);
  }
});

it('a second reading is told by what the same water would show at its temperature', () => {
  const tasks = tasksOf('why-it-rose');
  const by = (answer: string) => tasks.filter((task) => rightOf(task) === answer);
  for (const answer of ['wetter', 'drier', 'no change shown']) expect(by(answer).length).toBeGreaterThan(40);
  const shown = (task: PaperTask, name: string) => Number.parseInt(line(task, name), 10);
  // A rise alone is no sign: some rose with their temperature and no more.
  expect(
    by('no change shown').some((task) => shown(task, 'Three weeks later') > shown(task, 'First reading')),
  ).toBe(true);
});

it('a face says what its number is worth: half in the glue is the dividing line', () => {
  for (const task of tasksOf('read-face')) {
    const glue = [...line(task, 'Face').matchAll(/(−\/Y|Y\/Z|Y) (\d+)/gu)].reduce(
      (sum, [, , share]) => sum + Number(share),
      0,
    );
    const number = (name: string) => Number(line(task, name).replace(/[^\d]/gu, ''));
    const holds = number('Most') >= number('Asked for');
    expect(rightOf(task)).toBe(glue > 50 ? (holds ? 'least' : 'again') : holds ? 'good' : 'low');
  }
});

it('a dolly is the largest that breaks between a fifth and four fifths of the range', () => {
  for (const task of tasksOf('choose-dolly')) {
    const [reach, expected] = ['Tester', 'Expected'].map((name) => Number.parseFloat(line(task, name))) as [
      number,
      number,
    ];
    const sizes = [
      ['50 mm', 50],
      ['20 mm', 20],
      ['14 mm', 14.2],
      ['10 mm', 10],
    ] as const;
    const best = sizes.find(([, mm]) => {
      const share = expected / (reach * (20 / mm) ** 2);
      return share >= 0.2 && share <= 0.8;
    });
    expect(rightOf(task)).toBe(best?.[0] ?? 'none');
  }
});
