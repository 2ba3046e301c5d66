import { describe, expect, it } from 'vitest';
import { seedOf, simulatedBreak } from '.';

const MANY = Array.from({ length: 400 }, (_, index) => seedOf(`S-${index}`));
const middles = (loading: 'third' | 'centre'): number[] =>
  MANY.map((seed) => simulatedBreak(seed, loading).edges[1]);
const shareOf = (values: readonly number[], holds: (value: number) => boolean): number =>
  values.filter(holds).length / values.length;
const nearer = (place: number): number => Math.min(place, 1 - place);

// Our choice of how often: there is no source for where beams break.
describe('where a simulated beam breaks', () => {
  it('is the same place each time, by its label', () => {
    for (const seed of MANY.slice(0, 20))
      expect(simulatedBreak(seed, 'third')).toEqual(simulatedBreak(seed, 'third'));
    expect(new Set(middles('third')).size).toBe(MANY.length);
  });
  it('is mostly between the two loads, some a little outside and a few too far out', () => {
    const places = middles('third').map(nearer);
    expect(shareOf(places, (at) => at >= 1 / 3)).toBeGreaterThan(0.7);
    expect(shareOf(places, (at) => at < 1 / 3 && at >= 1 / 3 - 0.05)).toBeGreaterThan(0.07);
    const far = shareOf(places, (at) => at < 1 / 3 - 0.05);
    expect(far).toBeGreaterThan(0.01);
    expect(far).toBeLessThan(0.12);
  });
  it('is near the middle where the load is', () => {
    const places = middles('centre');
    expect(shareOf(places, (at) => Math.abs(at - 0.5) < 0.1)).toBe(1);
    expect(shareOf(places, (at) => at > 0.5)).toBeGreaterThan(0.4);
    expect(shareOf(places, (at) => at > 0.5)).toBeLessThan(0.6);
  });
  it('lies on either side, always on the beam, and runs across it without a leap', () => {
    for (const loading of ['third', 'centre'] as const)
      for (const seed of MANY) {
        const [upper, middle, lower] = simulatedBreak(seed, loading).edges;
        for (const edge of [upper, middle, lower]) {
          expect(edge).toBeGreaterThan(0.1);
          expect(edge).toBeLessThan(0.9);
        }
        expect(Math.abs(upper - lower)).toBeLessThan(0.12);
        expect(Math.abs(middle - (upper + lower) / 2)).toBeLessThan(0.03);
      }
    expect(shareOf(middles('third'), (at) => at < 0.5)).toBeGreaterThan(0.35);
    expect(shareOf(middles('third'), (at) => at > 0.5)).toBeGreaterThan(0.35);
  });
});
