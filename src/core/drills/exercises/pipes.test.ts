import { describe, expect, it } from 'vitest';
import { lineOf as line, paperTasks, passedBy, rightOf } from '../../../testing/paper-exercises';
import type { PaperTask } from '.';

const SEEDS = Array.from({ length: 40 }, (_, index) => 5 + index * 7919);
const tasksOf = (id: string): PaperTask[] => paperTasks(id, SEEDS);
const numbers = (text: string): number[] =>
  [...text.replaceAll(',', '').matchAll(/\d+(?:\.\d+)?/gu)].map(([each]) => Number(each));

describe.each(['set-strips', 'pipe-rate', 'pipe-crack'])('%s', (id) => {
  it('is passed by what is right, and not by the same answer everywhere', () => {
    for (const seed of SEEDS.slice(0, 12)) {
      expect(passedBy(id, seed, rightOf)).toBe(true);
    }
    expect(new Set(tasksOf(id).map(rightOf)).size).toBeGreaterThan(2);
  });
});

// ASTM C497 (from memory): an inch for each foot of inside diameter, never under an inch; rubber of 45 to 60.
it('strips go by the inside diameter, never by the outside', () => {
  for (const task of tasksOf('set-strips')) {
    const [inside = 0] = numbers(line(task, 'Pipe'));
    const [apart = 0] = numbers(line(task, 'Strips'));
    const [hardness = 0] = numbers(line(task, 'Rubber'));
    const most = Math.max(1, inside / 12);
    expect(rightOf(task)).toBe(
      apart > most + (most === 1 ? 0.0625 : 0)
        ? 'too wide'
        : apart < 1 - (most === 1 ? 0.0625 : 0)
          ? 'too near'
          : hardness < 45
            ? 'too soft'
            : hardness > 60
              ? 'too hard'
              : 'none',
    );
  }
});

// ASTM C497 (from memory): 7,500 lbf/ft/min to 75 %, then a third of the design load a minute.
it('a record is too fast where its steepest part is, and the second rate is a third of the load', () => {
  const tasks = tasksOf('pipe-rate');
  const asked = tasks.filter(({ ask }) => ask.startsWith('Rate'));
  expect(asked.length).toBeGreaterThan(30);
  for (const task of tasks) {
    const [inches = 0, length = 0] = numbers(line(task, 'Pipe'));
    const [strength = 0] = numbers(line(task, 'D-load'));
    const design = (strength * inches * length) / 12;
    const [first, second] = [7500 * length, Math.min(design / 3, 7500 * length)];
    if (asked.includes(task)) {
      const { right } = task;
      expect('high' in right ? right.high : 0).toBeCloseTo(second + 0.5, 6);
      continue;
    }
    const read = line(task, 'Record')
      .split(';')
      .map((each) => numbers(each));
    const rates = read
      .slice(1)
      .map(([s = 0, p = 0], place) => (60 * (p - (read[place]?.[1] ?? 0))) / (s - (read[place]?.[0] ?? 0)));
    const fast = rates.map((rate, place) => rate > (place < 2 ? first : second) * 1.02);
    expect(rightOf(task)).toBe(fast[0] || fast[1] ? 'first' : fast[2] || fast[3] ? 'second' : 'kept');
  }
});

it('a crack is told by its probes: a foot with no gap, no foot, or a foot with gaps', () => {
  const found = new Map<string, number>();
  for (const task of tasksOf('pipe-crack')) {
    const [entered, not] = ['It entered', 'It did not'].map((name) => numbers(line(task, name)));
    const [hole = 0] = not ?? [];
    const run = (entered ?? []).filter((at) => at < hole);
    const long = (run.at(-1) ?? 0) - (run[0] ?? 0);
    const gaps = run.slice(1).some((at, place) => at - (run[place] ?? 0) > 3);
    const answer = long < 12 ? 'it is not' : gaps ? 'probe on' : 'it is the crack';
    expect(rightOf(task)).toBe(answer);
    found.set(answer, (found.get(answer) ?? 0) + 1);
  }
  for (const answer of ['it is not', 'probe on', 'it is the crack'])
    expect(found.get(answer)).toBeGreaterThan(30);
});
