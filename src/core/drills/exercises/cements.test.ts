import { describe, expect, it } from 'vitest';
import { lineOf as line, paperTasks, passedBy, rightOf } from '../../../testing/paper-exercises';

const SEEDS = Array.from({ length: 40 }, (_, index) => 13 + index * 6151);

describe.each(['initial-set', 'flow-water'])('%s', (id) => {
  it('is passed by what is right, and not by one answer everywhere', () => {
    for (const seed of SEEDS.slice(0, 12)) {
      expect(passedBy(id, seed, rightOf)).toBe(true);
      expect(passedBy(id, seed, () => '120')).toBe(false);
    }
  });
});

// ASTM C191 (from memory): in proportion between the last fall deeper than 25 mm and the first that is not.
it('the set lies between the falls that count, and the one that does not would have moved it', () => {
  let moved = 0;
  for (const task of paperTasks('initial-set', SEEDS)) {
    const falls = line(task, 'Falls')
      .split(', ')
      .map((text) => {
        const [minutes = '', depth = ''] = text.replace(' ✕', '').split(': ');
        return { minutes: Number(minutes), depth: Number(depth), bad: text.endsWith('✕') };
      });
    const crossing = (some: typeof falls): number => {
      const to = some.findIndex(({ depth }) => depth <= 25);
      const [from, end] = [some[to - 1], some[to]];
      if (!from || !end) throw new Error('no crossing');
      return from.minutes + ((from.depth - 25) / (from.depth - end.depth)) * (end.minutes - from.minutes);
    };
    const own = crossing(falls.filter(({ bad }) => !bad));
    expect(Number(rightOf(task))).toBeCloseTo(own, 6);
    if (Math.abs(crossing(falls) - own) > 1) moved += 1;
  }
  expect(moved).toBeGreaterThan(40);
});

it('the water lies in proportion between the two batches', () => {
  for (const task of paperTasks('flow-water', SEEDS)) {
    const read = (name: string) =>
      line(task, name)
        .match(/[\d.]+/gu)
        ?.map(Number) ?? [];
    const [[w1 = 0, f1 = 0], [w2 = 0, f2 = 0]] = [read('First'), read('Second')];
    expect(Number(rightOf(task))).toBeCloseTo(w1 + ((110 - f1) * (w2 - w1)) / (f2 - f1), 6);
    expect(f1).toBeLessThan(110);
    expect(f2).toBeGreaterThan(110);
  }
});
