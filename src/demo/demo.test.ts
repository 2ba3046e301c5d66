import { describe, expect, it } from 'vitest';
import { exact, parseMeasure } from '@/core/quantity';
import { Chance } from '@/core/statistics';
import { MIXES } from './scenario';
import { planSamples } from './story';

const NOW = Date.parse('2031-02-09T23:40:00-05:00');

describe.each(MIXES.map((mix) => ({ mix, code: mix.code })))('the story of $code', ({ mix }) => {
  const samples = planSamples(mix, NOW, new Chance(7));

  it('is the same for the same seed, and another for another', () => {
    expect(planSamples(mix, NOW, new Chance(7))).toEqual(samples);
    expect(planSamples(mix, NOW, new Chance(8))).not.toEqual(samples);
  });

  it('is told in order, over some weeks, never ahead of its time', () => {
    const times = samples.map(({ sampledAt }) => sampledAt);
    expect(times).toEqual(times.toSorted((a, b) => a - b));
    expect(NOW - (times[0] ?? 0)).toBeGreaterThan(40 * 86_400_000);
    for (const sample of samples) {
      for (const cylinder of [...sample.mature, ...(sample.early ? [sample.early] : [])]) {
        expect(cylinder.testedAt).toBeGreaterThan(sample.sampledAt);
        expect(cylinder.testedAt).toBeLessThanOrEqual(NOW);
      }
    }
  });

  it('has plausible readings: diameters near nominal, concrete of ordinary density', () => {
    for (const { readings } of samples.flatMap(({ mature }) => mature)) {
      const value = (name: string): number => {
        const parsed = parseMeasure(readings[name] ?? '', 'length', 'in');
        return parsed.ok ? parsed.measure.value.toNumber() : Number.NaN;
      };
      expect(Math.abs(value('diameter1') - 4)).toBeLessThan(0.06);
      const volume = (Math.PI * value('diameter1') * value('diameter2') * value('length')) / 4;
      const density = (Number(readings.mass) * 1728) / volume;
      expect(density).toBeGreaterThan(138);
      expect(density).toBeLessThan(153);
      expect(exact(readings.maximumLoad ?? 0).greaterThan(30_000)).toBe(true);
    }
  });
});
