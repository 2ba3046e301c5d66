import { describe, expect, it } from 'vitest';
import { exact } from '../quantity';
import { acceptable, FEWEST_PAIRS, followsOf } from '.';

const DAY = 86_400_000;
const at = (day: number): number => Date.UTC(2031, 5, 1) + day * DAY;
/** A source every third day. */
const source = Array.from({ length: 20 }, (_, place) => ({
  at: at(place * 3),
  value: 5000 + 40 * (place % 5),
}));
const made = (of: (cement: number, place: number) => number, late = 1) =>
  source.map(({ at: when, value }, place) => ({ at: when + late * DAY, value: of(value, place) }));

describe('what is made with a source', () => {
  it('follows it where it rises with it', () => {
    const found = followsOf(
      source,
      made((cement) => 0.9 * cement + 100),
    );
    expect(found?.pairs).toHaveLength(20);
    expect(found?.slope).toBeCloseTo(0.9, 9);
    expect(found?.correlation).toBeCloseTo(1, 9);
    expect(found?.does).toBe(true);
  });
  it('does not where it goes its own way', () => {
    const found = followsOf(
      source,
      made((_, place) => 4000 + ((place * 7919) % 200)),
    );
    expect(found?.does).toBe(false);
    // tanh(1.96/√17), by hand: what chance passes once in twenty.
    expect(found?.chance).toBeCloseTo(0.4424, 3);
  });
  it('stands beside the newest result before it, and none that is too old', () => {
    const old = followsOf(
      source.slice(0, 1),
      made((cement) => cement),
    );
    expect(old).toBeUndefined();
    const shifted = followsOf(
      source,
      made((cement) => cement, 2.9),
    );
    expect(shifted?.correlation).toBeCloseTo(1, 9);
    expect(
      followsOf(
        source,
        made((cement) => cement, -1),
      )?.correlation ?? 0,
    ).toBeLessThan(0.9);
  });
  it('is told of ten pairs at the fewest, and of nothing that never changes', () => {
    expect(followsOf(source, made((cement) => cement).slice(0, FEWEST_PAIRS - 1))).toBeUndefined();
    const still = followsOf(
      source,
      made(() => 4000),
    );
    expect([still?.correlation, still?.does]).toEqual([undefined, false]);
  });
});

// EN 197-1 (from memory): 20 to 21 results 2.40, 30 to 34 results 2.22, 60 to 69 results 2.02.
describe('what a source stays above', () => {
  const of = (count: number) => acceptable(count, exact('52.4'), exact('1.5'));
  it.each([
    [20, '2.40', '48.8'],
    [21, '2.40', '48.8'],
    [30, '2.22', '49.07'],
    [34, '2.22', '49.07'],
    [69, '2.02', '49.37'],
    [120, '1.93', '49.505'],
  ])('%d results: %s', (count, constant, value) => {
    expect(of(count)?.constant).toBe(constant);
    expect(of(count)?.value.toFixed()).toBe(value);
  });
  it('is told of twenty at the fewest', () => {
    expect(of(19)).toBeUndefined();
  });
});
