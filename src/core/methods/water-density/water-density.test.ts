import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { usableInput } from '..';
import type { Method } from '../contract';
import { findMethod } from '../registry';

function weighed(system: 'US' | 'SI', values: Record<string, unknown>, facts: Record<string, string> = {}) {
  const method = findMethod('water-density') as Method;
  const { input } = usableInput(method, {
    system,
    moisture: 'saturated',
    inside: 'nothing',
    clear: true,
    weighedAt: '2031-06-11T08:20:00-04:00',
    ...values,
  });
  const outcome = method.compute(input, { facts });
  return {
    density: outcome.results[0],
    found: outcome.findings.map(({ id }) => id),
    findings: outcome.findings,
    line: (symbol: string) => Number(outcome.lines.find((line) => line.symbol === symbol)?.value),
  };
}

// EN 12390-7 (from memory): V = (ma - mw) / 998, D = ma / V, to 10 kg/m³; worked by hand.
describe('a specimen weighed in air and in water', () => {
  it('comes to its density, rounded once', () => {
    const { density } = weighed('SI', { massAir: '5.412', massWater: '3.138' });
    expect(Number(density?.value)).toBeCloseTo(2375.2, 1);
    expect(density?.reported).toBe('2380');
  });
  it('with a hanger that was not tared, the same', () => {
    const plain = weighed('SI', { massAir: '5.412', massWater: '3.138' });
    const hung = weighed('SI', { massAir: '5.412', massWater: '3.558', hanger: '0.420' });
    expect(hung.line('s')).toBeCloseTo(3.138, 10);
    expect(hung.density?.value).toBe(plain.density?.value);
  });
  it('in pounds and in kilograms alike, but for the water that each takes', () => {
    const pounds = weighed('US', { massAir: '63.42', massWater: '36.35' });
    const kilograms = weighed('SI', { massAir: '28.767', massWater: '16.488' });
    // 62.3 lb/ft³ is 997.96 kg/m³.
    expect(Number(pounds.density?.value) * 16.018463).toBeCloseTo(Number(kilograms.density?.value), -1);
  });
  it('without its bars is the concrete alone', () => {
    const bars = { inside: 'something', insideMass: '0.8', insideDensity: '7850' };
    const whole = weighed('SI', { massAir: '28.8', massWater: '16.8', inside: 'something' });
    const alone = weighed('SI', { massAir: '28.8', massWater: '16.8', ...bars });
    // (28.8 - 0.8) / (12 / 998 - 0.8 / 7850) = 28 / 0.011922138
    expect(Number(alone.density?.value)).toBeCloseTo(2348.57, 1);
    expect(alone.found).not.toContain('weighed.whole');
    expect(whole.found).toContain('weighed.whole');
    expect(Number(whole.density?.value)).toBeGreaterThan(Number(alone.density?.value));
    // More than the whole cannot be in it.
    expect(weighed('SI', { massAir: '28.8', massWater: '16.8', ...bars, insideMass: '40' }).found).toContain(
      'weighed.whole',
    );
  });
  it('with more in it than concrete around it is asked about', () => {
    const heavy = { inside: 'something', insideMass: '3.4', insideDensity: '7850' };
    expect(weighed('SI', { massAir: '28.8', massWater: '16.8', ...heavy }).found).toContain('weighed.inside');
    expect(
      weighed('SI', { massAir: '28.8', massWater: '16.8', ...heavy, insideMass: '2.8' }).found,
    ).not.toContain('weighed.inside');
  });
  it('beside the fresh density of its batch says who was at fault', () => {
    const beside = (freshDensity: string) =>
      weighed('SI', { massAir: '5.412', massWater: '3.138' }, { freshDensity });
    expect(beside('2370 kg/m3').found).toEqual([]);
    expect(beside('2440 kg/m3').findings[0]).toMatchObject({
      id: 'weighed.fresh',
      message: 'It is 2.7 % lighter than its fresh concrete was.',
    });
    expect(beside('2440 kg/m3').findings[0]?.action).toContain('about 13 % of strength');
    expect(beside('2320 kg/m3').findings[0]?.message).toContain('heavier');
    expect(beside('2600 kg/m3').found).toEqual(['weighed.far']);
  });
  it('that weighs as much in water, or floats on its hanger, is none', () => {
    for (const values of [
      { massAir: '3.138', massWater: '5.412' },
      { massAir: '5.412', massWater: '5.412' },
      { massAir: '5.412', massWater: '0.3', hanger: '0.42' },
    ]) {
      const { density, findings } = weighed('SI', values);
      expect(density).toBeUndefined();
      expect(findings[0]).toMatchObject({ id: 'weighed.order', severity: 'invalid' });
    }
  });
  it('in warm water, with bubbles: both are said', () => {
    const { found } = weighed('SI', { massAir: '5.412', massWater: '3.138', water: '27', clear: false });
    expect(found).toEqual(expect.arrayContaining(['weighed.temperature', 'weighed.clear']));
  });
  it('grows with what it weighs in water', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2600, max: 3400 }), fc.integer({ min: 1, max: 300 }), (grams, more) => {
        const of = (each: number) =>
          Number(weighed('SI', { massAir: '5.400', massWater: (each / 1000).toFixed(3) }).density?.value);
        expect(of(grams + more)).toBeGreaterThan(of(grams));
      }),
      { numRuns: 40 },
    );
  });
});
