import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BINDERS, CONDUCTIVITY, coolEnough, HEAT_CAPACITY, heatShare, type Member, memberHeat } from '.';

const CAP: Member = {
  thickness: 1.5,
  cement: 350,
  binder: 'ordinary',
  placed: 20,
  air: 15,
  swing: 0,
  cover: 'plywood',
  coverOff: null,
  onGround: false,
};
const at = (hours: readonly number[], values: readonly number[], hour: number): number =>
  values[hours.indexOf(hour)] ?? Number.NaN;

describe('how warm a member gets', () => {
  // ΔT = C H / (ρ c): 350 · 330 / (2400 · 1.0) = 48 °C. Common practice, no source.
  it('with nothing given off comes to its whole heat, alike everywhere', () => {
    const closed = memberHeat(CAP, 40, 0);
    expect(closed.adiabatic - CAP.placed).toBeCloseTo(48.125, 3);
    expect(closed.core.at(-1)).toBeCloseTo(closed.surface.at(-1) ?? 0, 6);
    expect(closed.core.at(-1) ?? 0).toBeLessThan(closed.adiabatic);
    expect(closed.core.at(-1) ?? 0).toBeGreaterThan(CAP.placed + 0.94 * 48.125);
  });
  // Slab between two faces held at nought: T/T0 = 4/π Σ (-1)^n / (2n + 1) exp(-(2n + 1)² π² a t / 4 l²). Heat conduction, closed form.
  it('without cement cools as the closed form does', () => {
    const cold = memberHeat({ ...CAP, cement: 0, placed: 40, air: 0, thickness: 0.6 }, 1, 1e9);
    const a = CONDUCTIVITY / HEAT_CAPACITY;
    for (const hour of [4, 8, 12, 20]) {
      let sum = 0;
      for (let n = 0; n < 40; n += 1)
        sum +=
          ((-1) ** n / (2 * n + 1)) *
          Math.exp((-((2 * n + 1) ** 2) * Math.PI ** 2 * a * hour * 3600) / (4 * 0.3 ** 2));
      expect(at(cold.hours, cold.core, hour) / 40).toBeCloseTo((4 / Math.PI) * sum, 2);
    }
  });
  it('thicker, richer, warmer: warmer inside', () => {
    const most = (more: Partial<Member>) => memberHeat({ ...CAP, ...more }, 6).highest.celsius;
    const base = most({});
    expect(most({ thickness: 2.5 })).toBeGreaterThan(base);
    expect(most({ cement: 450 })).toBeGreaterThan(base);
    expect(most({ placed: 28 })).toBeGreaterThan(base + 7);
    expect(most({ binder: 'slag' })).toBeLessThan(base - 8);
    expect(most({ thickness: 0.3 })).toBeLessThan(base - 12);
  });
  it('a cover keeps its face with its core, and taken off early it lets them part', () => {
    const apart = (more: Partial<Member>) => memberHeat({ ...CAP, ...more }, 7).greatest;
    expect(apart({ cover: 'thick' }).celsius).toBeLessThan(apart({ cover: 'plywood' }).celsius);
    expect(apart({ cover: 'bare' }).celsius).toBeGreaterThan(19.4);
    const off = apart({ cover: 'thick', coverOff: 60 });
    expect(off.celsius).toBeGreaterThan(apart({ cover: 'thick' }).celsius + 5);
    expect(off.at).toBeGreaterThan(60);
  });
  it('one face on the ground is half of a member twice as thick', () => {
    const half = memberHeat({ ...CAP, thickness: 0.75, onGround: true }, 3);
    const whole = memberHeat(CAP, 3);
    expect(half.core).toEqual(whole.core);
  });
  it('says when the cover may come off', () => {
    const warm = memberHeat({ ...CAP, cover: 'blanket' }, 40);
    const hour = coolEnough(warm, 19.4);
    expect(hour ?? 0).toBeGreaterThan(warm.highest.at);
    expect(at(warm.hours, warm.core, hour ?? 0) - 15).toBeLessThanOrEqual(19.4);
    expect(at(warm.hours, warm.core, (hour ?? 0) - 0.5) - 15).toBeGreaterThan(19.4);
    expect(coolEnough(memberHeat({ ...CAP, cover: 'thick' }, 2), 5)).toBeNull();
  });
  it('never leaves what the air and its whole heat allow', () => {
    fc.assert(
      fc.property(
        fc.record({
          thickness: fc.double({ min: 0.15, max: 3, noNaN: true }),
          cement: fc.double({ min: 100, max: 600, noNaN: true }),
          placed: fc.double({ min: 5, max: 35, noNaN: true }),
          air: fc.double({ min: -10, max: 40, noNaN: true }),
          swing: fc.double({ min: 0, max: 10, noNaN: true }),
        }),
        (more) => {
          const { core, surface, adiabatic } = memberHeat({ ...CAP, ...more }, 2);
          const low = Math.min(more.placed, more.air - more.swing) - 1e-6;
          const high = Math.max(adiabatic, more.air + more.swing + adiabatic - more.placed) + 1e-6;
          for (const value of [...core, ...surface]) {
            expect(value).toBeGreaterThanOrEqual(low);
            expect(value).toBeLessThanOrEqual(high);
          }
        },
      ),
      { numRuns: 25 },
    );
  });
  it('gives off its heat from nothing to all', () => {
    expect(heatShare(0)).toBe(0);
    expect(heatShare(14)).toBeCloseTo(Math.exp(-1), 12);
    expect(heatShare(1e6)).toBeCloseTo(1, 3);
    expect(Object.values(BINDERS).every((kJ) => kJ > 150 && kJ < 450)).toBe(true);
  });
});
