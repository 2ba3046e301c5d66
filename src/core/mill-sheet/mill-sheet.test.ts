import { describe, expect, it } from 'vitest';
import { type Apart, besideSheet, equivalentAlkalies, patternOf, potentialCompounds } from '.';

const DIVIDES = [0.5, 1, 1.5] as const;
const beside = (own: number, sheet: number, apart: Apart, source = 0) =>
  besideSheet(own, sheet, apart, source, DIVIDES);

// d2s of two laboratories: ASTM C109, C204, C191 (from memory).
describe('an own value beside that of a sheet', () => {
  it('of strength at 7 d agrees', () => {
    const found = beside(4950, 5210, { value: 18.1, ofMean: true });
    expect(found.percent).toBeCloseTo(-5.12, 2);
    expect(found.ratio).toBeCloseTo(0.28, 2);
    expect(found.standing).toBe('agrees');
  });
  it('of surface is to be looked into', () => {
    const found = beside(385, 412, { value: 6, ofMean: true });
    expect(found.percent).toBeCloseTo(-6.78, 2);
    expect(found.ratio).toBeCloseTo(1.13, 2);
    expect(found.standing).toBe('investigate');
  });
  it('of initial set lies within what the method allows', () => {
    const found = beside(118, 150, { value: 45, ofMean: false });
    expect([found.off, found.standing]).toEqual([-32, 'within method']);
    expect(found.ratio).toBeCloseTo(0.71, 2);
  });
  it('is disputed beyond one and a half of it, and agrees at exactly half', () => {
    expect(beside(118, 186, { value: 45, ofMean: false }).standing).toBe('disputed');
    expect(beside(100, 122.5, { value: 45, ofMean: false }).standing).toBe('agrees');
    expect(beside(100, 145, { value: 45, ofMean: false }).standing).toBe('within method');
  });
  it('of a mean over a period may lie further apart', () => {
    const grab = beside(385, 412, { value: 6, ofMean: true });
    const mean = beside(385, 412, { value: 6, ofMean: true }, 8);
    // By hand: the root of 23.91² and 22.4².
    expect(mean.may).toBeCloseTo(Math.hypot(23.91, 22.4), 1);
    expect(mean.ratio).toBeLessThan(grab.ratio);
    expect(mean.standing).toBe('within method');
  });
});

describe('the compounds of a clinker', () => {
  // Worked out by hand from the equations: CaO 63.9, SiO2 20.5, Al2O3 5.4, Fe2O3 2.6, SO3 3.0.
  it('follow from its oxides', () => {
    const found = potentialCompounds({ cao: 63.9, sio2: 20.5, al2o3: 5.4, fe2o3: 2.6, so3: 3 });
    expect(found.c3s).toBeCloseTo(260.1369 - 155.8 - 36.2772 - 3.718 - 8.556, 6);
    expect(found.c2s).toBeCloseTo(58.7735 - 0.7544 * found.c3s, 6);
    expect(found.c3a).toBeCloseTo(14.31 - 4.3992, 6);
    expect(found.c4af).toBeCloseTo(7.9118, 6);
  });
  it('has no aluminate where iron outweighs alumina', () => {
    const found = potentialCompounds({ cao: 63, sio2: 22, al2o3: 2.5, fe2o3: 4.5, so3: 2 });
    expect(found.c3a).toBe(0);
    expect(found.c4af).toBeCloseTo(2.1 * 2.5 + 1.702 * 4.5, 6);
  });
  it('alkalies count as sodium', () => {
    expect(equivalentAlkalies(0.2, 0.6)).toBeCloseTo(0.5948, 6);
  });
});

describe('what several values say together', () => {
  const signs = { surface: 0, early: 0, late: 0, set: 0, loss: 0 };
  it.each([
    [{ surface: -1, late: -1, set: 1 }, /coarser/u],
    [{ surface: 1, early: 1, set: -1 }, /finer/u],
    [{ loss: 1, set: 1, early: -1 }, /moisture/u],
    [{ early: -1 }, /Early strength/u],
    [{ late: -1 }, undefined],
    [{ surface: -1 }, undefined],
  ])('%j', (over, words) => {
    const said = patternOf({ ...signs, ...over });
    if (words) expect(said).toMatch(words);
    else expect(said).toBeUndefined();
  });
});
