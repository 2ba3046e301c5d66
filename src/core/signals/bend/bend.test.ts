import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { analyseBend, type BendRequest } from '.';

const noise = (index: number): number => 12 * Math.sin(2.3 * index) + 8 * Math.sin(5.1 * index);
/** A record sampled six hundred times a millimetre, from a law of the force over the displacement. */
function sampled(
  law: (d: number, index: number) => number,
  to: number,
  quiet = false,
): Pick<BendRequest, 'displacement' | 'force'> {
  const count = Math.round(to * 600) + 1;
  const displacement = Float64Array.from({ length: count }, (_, index) => index / 600);
  return {
    displacement,
    force: displacement.map((d, index) => law(d, index) + (quiet ? 0 : noise(index))),
  };
}
type Corner = readonly [at: number, force: number];
const between = (corners: readonly Corner[], x: number): number => {
  const next = corners.findIndex(([at]) => at >= x);
  if (next === -1) return corners.at(-1)?.[1] ?? 0;
  if (next === 0) return corners[0]?.[1] ?? 0;
  const [[a, fa], [b, fb]] = [corners[next - 1] as Corner, corners[next] as Corner];
  return fa + ((x - a) / (b - a)) * (fb - fa);
};
const K = 12_000;
/** A plain beam on a soft seat: toe to 0.15 mm, then straight, snapped at 0.55 mm. */
const plain = (d: number): number =>
  d < 0.05 ? 0 : d < 0.15 ? (K * (d - 0.05) ** 2) / 0.2 : d < 0.55 ? 0.05 * K + K * (d - 0.15) : 300;
/** Corners over a toe that ends at 0.10 mm. */
const withToe =
  (corners: readonly Corner[]) =>
  (d: number): number => {
    const x = d - 0.1;
    const k = (corners[1]?.[1] ?? 0) / (corners[1]?.[0] ?? 1);
    return x <= -0.05 ? 0 : x < 0.05 ? (k * (x + 0.05) ** 2) / 0.2 : between(corners, x);
  };
const asked = { toe: true, at: [] } as const;
const near = (value: number | null | undefined, wanted: number, by: number): void =>
  expect(Math.abs((value ?? Number.NaN) - wanted)).toBeLessThanOrEqual(by);

// Records made by formula; what they come to worked out from the formula by hand. Common practice, no source.
describe('a record of bending', () => {
  it('of a plain beam: stiffness without its toe, peak, energy, and that it snapped', () => {
    const found = analyseBend({ ...sampled(plain, 0.6), ...asked });
    near(found.peak.force, 5387, 10);
    near(found.stiffness?.k, K, 0.01 * K);
    near(found.origin, 0.1, 0.003);
    near(found.peak.at, 0.448, 0.004);
    near(found.energy.peak / 1000, 1.207, 0.01);
    expect(found.brittle).toBe(true);
    expect(found.firstCrack?.by).toBe('drop');
    expect(found.troubles).toEqual([]);
  });
  it('with a slip of the seat and a jump: neither is a crack, and neither bends the stiffness', () => {
    const found = analyseBend({
      ...sampled((d, index) => plain(d) - (d >= 0.3 ? 250 : 0) + (index === 200 ? 900 : 0), 0.6),
      ...asked,
    });
    expect(found.spikes.map(({ index }) => index)).toEqual([200]);
    expect(found.drops.filter(({ kind }) => kind === 'seating')).toHaveLength(1);
    near(found.drops[0]?.at, 0.298 - 0.121, 0.004);
    near(found.stiffness?.k, K, 0.01 * K);
    near(found.origin, 0.121, 0.003);
    near(found.peak.force, 5137, 25);
    // Through the slip the line would have 10,187 N/mm.
    expect(found.stiffness?.k).toBeGreaterThan(11_500);
  });
  it('of a beam with bars: the first crack where it dropped, the peak far behind', () => {
    const corners: Corner[] = [
      [0, 0],
      [0.3, 5400],
      [0.32, 4100],
      [2, 8600],
      [6, 9200],
      [6.5, 4000],
      [6.6, 3900],
    ];
    const found = analyseBend({ ...sampled(withToe(corners), 6.7), toe: true, at: [2] });
    near(found.firstCrack?.force, 5383, 0.02 * 5383);
    near(found.firstCrack?.at, 0.3, 0.01);
    expect(found.firstCrack?.by).toBe('drop');
    near(found.peak.force, 9215, 0.02 * 9215);
    near(found.stiffness?.k, 18_000, 0.02 * 18_000);
    near((found.energy.crack ?? 0) / 1000, 0.81, 0.02);
    near((found.points[0]?.energy ?? 0) / 1000, 11.57, 0.2);
    near(found.energy.peak / 1000, 47.2, 1);
    near(found.at85, 6.13, 0.05);
    near((found.at85 ?? 0) / (found.firstCrack?.at ?? 1), 20.4, 0.5);
    near((found.energy.at85 ?? 0) / (found.energy.crack ?? 1), 59.6, 1.5);
    expect(found.brittle).toBe(false);
  });
  it('of a fibre beam that gives way by degrees: the first crack where it leaves its line', () => {
    const corners: Corner[] = [
      [0, 0],
      [0.25, 10_000],
      [0.4, 13_000],
      [0.55, 13_500],
      [0.7, 13_000],
      [3.2, 6000],
    ];
    const found = analyseBend({ ...sampled(withToe(corners), 3.3), ...asked });
    expect(found.firstCrack?.by).toBe('deviation');
    near(found.firstCrack?.force, 10_700, 300);
    near(found.firstCrack?.at, 0.285, 0.02);
    near(found.peak.force, 13_509, 20);
    expect(found.drops.filter(({ kind, at }) => kind === 'crack' && at < found.peak.at - 1e-9)).toEqual([]);
    near(found.firstPeak?.force, 13_509, 20);
  });
  it('has the points and the toughness of a fibre beam between its samples (ASTM C1609/C1609M, from memory)', () => {
    const corners: Corner[] = [
      [0, 0],
      [0.045, 33_750],
      [0.075, 22_000],
      [0.75, 20_250],
      [3, 13_500],
      [3.2, 13_000],
    ];
    const found = analyseBend({
      ...sampled((d) => between(corners, d), 3.2, true),
      toe: false,
      at: [0.75, 3],
    });
    near(found.firstPeak?.force, 33_750, 1);
    near(found.points[0]?.force, 20_250, 0.5);
    near(found.points[1]?.force, 13_500, 0.5);
    near((found.points[1]?.energy ?? 0) / 1000, 53.823, 0.01);
  });
  it('has its first peak where it first stops to rise, and the highest one apart', () => {
    const corners: Corner[] = [
      [0, 0],
      [0.045, 32_000],
      [0.075, 29_000],
      [0.75, 36_000],
      [1.5, 33_000],
      [3.1, 21_000],
    ];
    const found = analyseBend({ ...sampled((d) => between(corners, d), 3.1, true), toe: false, at: [] });
    near(found.firstPeak?.force, 32_000, 1);
    near(found.peak.force, 36_000, 1);
  });
  it('says nothing beyond its end', () => {
    const corners: Corner[] = [
      [0, 0],
      [0.05, 30_000],
      [0.1, 24_000],
      [1.9, 15_000],
    ];
    const found = analyseBend({
      ...sampled((d) => between(corners, d), 1.9, true),
      toe: false,
      at: [0.75, 3],
    });
    near(found.points[0]?.force, 24_000 - (0.65 / 1.8) * 9000, 1);
    expect(found.points[1]).toEqual({ at: 3, force: null, energy: null });
    expect(found.at85).not.toBeNull();
  });
  it('has the highest force up to an opening', () => {
    const corners: Corner[] = [
      [0, 0],
      [0.03, 13_200],
      [0.045, 13_000],
      [0.5, 11_400],
      [4, 8000],
    ];
    const found = analyseBend({
      ...sampled((d) => between(corners, d), 4, true),
      toe: false,
      at: [0.5],
      upTo: 0.05,
    });
    near(found.upTo?.force, 13_200, 1);
  });
});

describe('a record that is no good', () => {
  it('is said to be so, and never throws', () => {
    expect(
      analyseBend({ displacement: new Float64Array(0), force: new Float64Array(0), ...asked }).troubles,
    ).toEqual(['empty']);
    expect(
      analyseBend({ displacement: new Float64Array(9), force: new Float64Array(9), ...asked }).troubles,
    ).toEqual(['empty']);
    const rising = sampled((d) => K * d, 0.4, true);
    expect(analyseBend({ ...rising, ...asked }).troubles).toContain('no peak');
    const late = sampled((d) => 3000 + K * d, 0.4, true);
    expect(analyseBend({ ...late, ...asked }).troubles).toEqual(
      expect.arrayContaining(['starts late', 'not at zero']),
    );
    const few = {
      displacement: Float64Array.of(0, 0.1, 0.2, 0.3, 0.4),
      force: Float64Array.of(0, 100, 200, 300, 20),
    };
    expect(analyseBend({ ...few, ...asked })).toMatchObject({ stiffness: null, peak: { force: 300 } });
  });
  it('turned round is the same record', () => {
    const own = sampled(plain, 0.6);
    const turned = { ...own, force: own.force.map((value) => -value) };
    expect(analyseBend({ ...turned, ...asked })).toEqual(analyseBend({ ...own, ...asked }));
  });
  it('answers any numbers at all', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.double({ min: -1, max: 5, noNaN: true }),
            fc.double({ min: -1e5, max: 1e5, noNaN: true }),
          ),
          { maxLength: 120 },
        ),
        (rows) => {
          const found = analyseBend({
            displacement: Float64Array.from(rows, ([d]) => d),
            force: Float64Array.from(rows, ([, f]) => f),
            toe: true,
            at: [1],
            upTo: 0.05,
          });
          expect(JSON.stringify(found)).not.toMatch(/NaN/u);
        },
      ),
    );
  });
  it('gives k, peak and energy in proportion to its force', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.2, max: 40, noNaN: true }), (times) => {
        const own = sampled(plain, 0.6);
        const one = analyseBend({ ...own, ...asked });
        const other = analyseBend({ ...own, force: own.force.map((value) => value * times), ...asked });
        expect(other.peak.force / one.peak.force).toBeCloseTo(times, 6);
        expect((other.stiffness?.k ?? 0) / (one.stiffness?.k ?? 1)).toBeCloseTo(times, 6);
        expect(other.energy.peak / one.energy.peak).toBeCloseTo(times, 6);
        expect(other.origin).toBeCloseTo(one.origin, 8);
      }),
      { numRuns: 30 },
    );
  });
});
