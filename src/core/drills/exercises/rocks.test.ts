import { describe, expect, it } from 'vitest';
import { lineOf as line, paperTasks, passedBy, rightOf } from '../../../testing/paper-exercises';
import type { PaperTask } from '.';

const SEEDS = Array.from({ length: 40 }, (_, index) => 11 + index * 7919);
const tasksOf = (id: string): PaperTask[] => paperTasks(id, SEEDS);
const numberOf = (text: string): number => Number(text.replace(/[^\d.]/gu, ''));

describe.each(['end-fit', 'core-rate'])('%s', (id) => {
  it('is passed by what is right, and not by the same answer everywhere', () => {
    for (const seed of SEEDS.slice(0, 12)) {
      expect(passedBy(id, seed, rightOf)).toBe(true);
      expect(passedBy(id, seed, () => 'fit')).toBe(false);
    }
  });
});

// ASTM D4543 (from memory): 0.001 in off the line, 0.0043 of the diameter. The line by its two ends and the middle, by hand.
it('an end is told by the highest less the lowest, and by the point that is off the line', () => {
  const found = new Set<string>();
  for (const task of tasksOf('end-fit')) {
    const heights = line(task, 'Dial')
      .split(/\s+/u)
      .map((text) => Number(text) / 10_000);
    const share = (Math.max(...heights) - Math.min(...heights)) / numberOf(line(task, 'Diameter'));
    const count = heights.length;
    const [mx, my] = [(count - 1) / 2, heights.reduce((a, b) => a + b, 0) / count];
    const slope =
      heights.reduce((sum, y, x) => sum + (x - mx) * (y - my), 0) /
      heights.reduce((sum, _, x) => sum + (x - mx) ** 2, 0);
    const off = Math.max(...heights.map((y, x) => Math.abs(y - my - slope * (x - mx))));
    expect(rightOf(task)).toBe(off > 0.001 ? 'flat' : share > 0.0043 ? 'square' : 'fit');
    found.add(rightOf(task));
  }
  expect([...found].toSorted()).toEqual(['fit', 'flat', 'square']);
});

// ASTM D7012 (from memory): 72.5 to 145 psi/s, failure within 120 to 900 s.
it('a rate fails the core in time, and where none does the crosshead is asked for', () => {
  const tasks = tasksOf('core-rate');
  const slow = tasks.filter(({ ask }) => ask.startsWith('Speed'));
  expect(slow.length).toBeGreaterThan(20);
  expect(tasks.length - slow.length).toBeGreaterThan(20);
  for (const task of tasks) {
    const expected = numberOf(line(task, 'Strength'));
    const right = Number(rightOf(task));
    if (slow.includes(task)) {
      expect(expected / 72.5).toBeLessThan(120);
      expect(right).toBeCloseTo((0.005 * numberOf(line(task, 'Length'))) / 5, 4);
    } else {
      expect(right).toBeGreaterThanOrEqual(72.5);
      expect(right).toBeLessThanOrEqual(145);
      expect(expected / right).toBeGreaterThanOrEqual(120);
      expect(expected / right).toBeLessThanOrEqual(900);
    }
  }
});
