import { describe, expect, it } from 'vitest';
import { initialOf } from './setting';
import { isNeedleLine, SimulatedNeedle } from './simulated-needle';

const settled = (needle: SimulatedNeedle) => {
  needle.drop();
  return needle.run(31).at(-1);
};

describe('a needle over a ring nobody knows', () => {
  it('says nothing before it falls, sinks at once, and is read after 30 s', () => {
    const needle = new SimulatedNeedle(5, 40);
    expect(needle.run(60)).toEqual([]);
    needle.drop();
    const rows = needle.run(31);
    expect(rows[0]).toMatchObject({ depth: 0, fall: 1, settled: false });
    expect(rows.filter((row) => row.settled)).toHaveLength(1);
    expect((rows.at(-1)?.t ?? 0) - (rows[0]?.t ?? 0)).toBe(30);
    expect(rows.at(-1)?.depth).toBeGreaterThan(38);
    expect(needle.run(60)).toEqual([]);
  });
  it.each([3, 17, 91])('read every quarter of an hour tells its truth: seed %d', (seed) => {
    const needle = new SimulatedNeedle(seed, 30);
    const falls = Array.from({ length: 14 }, (_, place) => {
      const minutes = 30 + place * 15;
      const depth = settled(needle)?.depth ?? 0;
      needle.run(15 * 60 - 31);
      return { minutes, depth };
    });
    const found = initialOf(falls, 25, 3);
    expect(found.kind).toBe('between');
    if (found.kind === 'between') expect(Math.abs(found.minutes - needle.truth.initial)).toBeLessThan(4);
    expect(needle.truth.final / needle.truth.initial).toBeGreaterThan(1.69);
  });
  it('of another ring begins anew, and the same seed sets the same', () => {
    const [a, b] = [new SimulatedNeedle(8, 200), new SimulatedNeedle(8, 200)];
    expect(settled(a)?.depth).toBe(settled(b)?.depth);
    a.ring(35);
    expect(settled(a)).toMatchObject({ fall: 1 });
    expect(settled(a)?.depth).toBeGreaterThan(35);
  });
  it('has lines of its own', () => {
    const line = { seq: 1, t: 2, depth: 3.5, fall: 1, settled: true, at: 9 };
    expect(isNeedleLine(line)).toBe(true);
    for (const name of Object.keys(line)) expect(isNeedleLine({ ...line, [name]: 'x' })).toBe(false);
  });
});
