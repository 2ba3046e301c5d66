import fc from 'fast-check';
import { expect, it } from 'vitest';
import { holeProblem, nextPlace, placesOf, type RingRule } from './ring';

const NOW: RingRule = { space: 5, wall: 10, radius: 30 };

// Hexagonal packing on a circle of 20 mm, counted by hand: rings of 1, 6, 6, 6, 12, 6, 6, 12, 6.
it('holds as many places as can be packed', () => {
  expect(placesOf(NOW)).toHaveLength(61);
  expect(placesOf({ space: 6.35, wall: 9.525, radius: 30 }).length).toBeGreaterThanOrEqual(37);
  expect(placesOf(NOW)[0]).toEqual({ x: 0, y: 0 });
});

it.each([
  [{ x: 0, y: 20 }, [], undefined],
  [{ x: 0, y: 20.1 }, [], 'too near the ring'],
  [{ x: 5, y: 0 }, [{ x: 0, y: 0 }], undefined],
  [{ x: 4.9, y: 0 }, [{ x: 0, y: 0 }], 'too near a hole'],
] as const)('a hole at %j beside %j: %s', (hole, before, problem) => {
  expect(holeProblem(hole, before, NOW)).toBe(problem);
});

it('is filled place by place, none too near another or the ring, until it is full', () => {
  fc.assert(
    fc.property(fc.constantFrom(5, 6.35, 8), fc.constantFrom(8, 9.5, 10), (space, wall) => {
      const rule = { space, wall, radius: 30 };
      const made: { x: number; y: number }[] = [];
      for (let next = nextPlace(made, rule); next; next = nextPlace(made, rule)) {
        expect(holeProblem(next, made, { ...rule, space: space - 0.02, wall: wall - 0.02 })).toBeUndefined();
        made.push(next);
      }
      expect(made).toHaveLength(placesOf(rule).length);
    }),
  );
});

it('goes round a hole that was made anywhere', () => {
  const odd = { x: 1.3, y: -0.4 };
  const next = nextPlace([odd], NOW);
  expect(next && holeProblem(next, [odd], NOW)).toBeUndefined();
});
