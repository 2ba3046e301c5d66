import { describe, expect, it } from 'vitest';
import { lineOf as line, paperTasks, passedBy, rightOf } from '../../../testing/paper-exercises';

const SEEDS = Array.from({ length: 20 }, (_, index) => 29 + index * 4099);

describe.each(['read-curve', 'sulfate-by-eye'])('%s', (id) => {
  it('is passed by what is right, and not by one answer everywhere', () => {
    for (const seed of SEEDS.slice(0, 3)) {
      expect(passedBy(id, seed, rightOf)).toBe(true);
      for (const answer of ['order', 'none', '2.40']) expect(passedBy(id, seed, () => answer)).toBe(false);
    }
  });
});

const curvesOf = (task: ReturnType<typeof paperTasks>[number]) => task.curves?.lines ?? [];
const highest = (points: readonly { x: number; y: number }[]) =>
  points.reduce((best, each) => (each.x > 3 && each.y > best.y ? each : best), { x: 0, y: 0 });

it('what is wrong with a curve can be seen in it', () => {
  const seen = new Set<string>();
  for (const task of paperTasks('read-curve', SEEDS)) {
    const [order, own] = curvesOf(task);
    if (!order || !own) throw new Error('two curves are expected');
    const [a, b] = [highest(order.points), highest(own.points)];
    const last = (own.points.at(-1)?.y ?? 0) - (order.points.at(-1)?.y ?? 0);
    const answer = rightOf(task);
    seen.add(answer);
    if (answer === 'late') expect(b.x - a.x).toBeGreaterThan(2);
    if (answer === 'cold') expect(b.y).toBeLessThan(0.8 * a.y);
    if (answer === 'thin') expect(Math.abs(b.x - a.x)).toBeLessThan(6);
    if (answer === 'high') expect(last).toBeGreaterThan(0.15);
    else expect(Math.abs(last)).toBeLessThan(0.15);
    if (answer === 'order') expect(Math.abs(b.y - a.y)).toBeLessThan(0.05);
  }
  expect(seen.size).toBe(6);
});

it('the dose that is right has nearly the best heat of its series, and none below it has both', () => {
  const chosen = new Set<string>();
  for (const task of paperTasks('sulfate-by-eye', SEEDS)) {
    const doses = task.options.map(([value]) => value).filter((value) => value !== 'none');
    const heats = doses.map((dose) => Number.parseFloat(line(task, `Heat of a day at ${dose} %`)));
    const right = rightOf(task);
    chosen.add(right === 'none' ? right : String(doses.indexOf(right)));
    if (right !== 'none') expect(heats[doses.indexOf(right)] ?? 0).toBeGreaterThan(0.97 * Math.max(...heats));
  }
  // Not always the same step of the series.
  expect(chosen.size).toBeGreaterThan(1);
});
