import { describe, expect, it } from 'vitest';
import { Limits } from '../limits';
import { exact } from '../quantity';
import { Chance } from '../statistics';
import { chartRules, chartsOf, firstSignals, withStep } from './charts';
import { scatterOf } from './scatter';

const limits = new Limits();
const rules = chartRules(limits);
// Check values from memory, of the tables and charts of ASTM C917 and of a worked series; no published source at hand.
const SERIES = [
  ...[5020, 5110, 4930, 5060, 4980, 5150, 5040, 4890, 5070, 5010],
  ...[4960, 5090, 5130, 4920, 5000, 5200, 5180, 5240, 5160, 5290],
];
const SECOND = [4940, 5190, 5010, 5000, 4870, 5090, 5130, 4950, 5060, 5110];
const pairs = SECOND.map((second, at) => [exact(SERIES[at] ?? 0), exact(second)] as const);

describe('the scatter of a source', () => {
  it('is told less that of the laboratory', () => {
    const found = scatterOf(SERIES.map(exact), pairs, limits);
    expect(found?.mean.toNumber()).toBe(5071.5);
    expect(found?.deviation.toFixed(2)).toBe('110.75');
    expect(found?.share.toFixed(3)).toBe('2.184');
    expect(found?.testing?.deviation.toFixed(2)).toBe('54.91');
    expect(found?.testing?.byRange.toFixed(2)).toBe('64.72');
    expect(found?.testing?.share.toFixed(3)).toBe('1.083');
    expect(found?.corrected?.deviation.toFixed(2)).toBe('96.18');
    expect(found?.corrected?.share.toFixed(3)).toBe('1.897');
    expect(found?.remarks).toEqual([]);
  });

  it('is not corrected by too few pairs, nor by none', () => {
    for (const few of [pairs.slice(0, 2), []]) {
      const found = scatterOf(SERIES.map(exact), few, limits);
      expect(found?.corrected).toBeUndefined();
      expect(found?.remarks).toEqual([expect.stringContaining('too few')]);
    }
    expect(scatterOf([exact(5000)], pairs, limits)).toBeUndefined();
  });

  it('comes to nothing, with a word, where the laboratory scatters more than all of it', () => {
    const quiet = [5000, 5048, 4952, 5048, 4952, 5010, 4990].map(exact);
    const found = scatterOf(quiet, pairs, limits);
    expect(found?.corrected?.deviation.toNumber()).toBe(0);
    expect(found?.remarks).toEqual([expect.stringContaining('laboratory’s own')]);
  });

  it('is corrected for 4.0 % at most, and for nothing beyond 5.5 %', () => {
    const apart = (by: number) => pairs.map(([first]) => [first, first.plus(by)] as const);
    const wide = [4200, 5800, 4300, 5700, 5000, 5500, 4500].map(exact);
    // Se = d / √2: 4.5 % of 5000 is 225, so d 318; 6 % is 300, d 424.
    const held = scatterOf(wide, apart(318), limits);
    expect(held?.corrected?.deviation.toNumber()).toBeCloseTo(
      Math.sqrt((held?.deviation.toNumber() ?? 0) ** 2 - (0.04 * (held?.mean.toNumber() ?? 0)) ** 2),
      6,
    );
    expect(held?.remarks).toEqual([expect.stringContaining('no more than 4.0 %')]);
    const bad = scatterOf(wide, apart(424), limits);
    expect(bad?.corrected).toBeUndefined();
    expect(bad?.remarks).toEqual([expect.stringContaining('Look at the testing first')]);
  });
});

describe('the charts of a source', () => {
  const charts = chartsOf(SERIES, rules);
  it('hold it to the baseline that its first fifteen make', () => {
    expect(charts?.centre).toBe(5024);
    expect(charts?.meanRange).toBeCloseTo(118.57, 2);
    expect(charts?.deviation).toBeCloseTo(105.12, 2);
    expect(charts?.single.low).toBeCloseTo(4708.6, 1);
    expect(charts?.single.high).toBeCloseTo(5339.4, 1);
    expect(charts?.five.low).toBeCloseTo(4882.97, 1);
    expect(charts?.five.high).toBeCloseTo(5165.03, 1);
  });

  it('see a small step by the weighted mean first, by the sums and the averages of five after it, by single ones never', () => {
    const at = (place: number) => charts?.points[place - 1];
    expect([5, 10, 15, 16, 17, 18, 19, 20].map((place) => at(place)?.five)).toEqual([
      ...[5020, 5032, 5020, 5068, 5086, 5108, 5156, 5214],
    ]);
    const weighted = [16, 17, 18, 19, 20].map((place) => at(place)?.weighted.value.toFixed(2));
    expect(weighted).toEqual(['5053.38', '5078.71', '5110.97', '5120.77', '5154.62']);
    expect(at(20)?.weighted.high).toBeCloseTo(5118.6, 1);
    const sums = [16, 17, 18, 19, 20].map((place) => at(place)?.sums.up.toFixed(3));
    expect(sums).toEqual(['1.174', '2.158', '3.713', '4.507', '6.538']);
    expect(charts && [...firstSignals(charts)].map(([id, place]) => [id, place + 1])).toEqual([
      ['weighted', 19],
      ['five', 20],
      ['sum', 20],
    ]);
    // With the limit of three deviations it is seen one result later.
    const slower = chartsOf(SERIES, { ...rules, weighted: 3 });
    expect(slower && firstSignals(slower).get('weighted')).toBe(19);
    expect(slower?.points[19]?.weighted.high).toBeCloseTo(5129.1, 1);
  });

  it('do not draw limits before there is a baseline, nor of results that are all the same', () => {
    expect(chartsOf(SERIES.slice(0, 14), rules)).toBeUndefined();
    expect(chartsOf(SERIES.slice(0, 15), rules, new Set([3]))).toBeUndefined();
    expect(chartsOf(Array(20).fill(5000), rules)).toBeUndefined();
  });

  it('stay where they are however many results follow, and leave out what has its cause', () => {
    const later = chartsOf([...SERIES, ...SERIES.map((value) => value + 400)], rules);
    expect([later?.centre, later?.single]).toEqual([charts?.centre, charts?.single]);
    const spoilt = SERIES.with(3, 6900);
    const without = chartsOf(spoilt, rules, new Set([3]));
    expect(without?.centre).toBeCloseTo((15 * 5024 - 5060 + 5200) / 15, 6);
    expect(without?.points[3]?.beyond).toContain('single');
  });

  it('find a step that was put in, the sooner the larger, and hardly ever one that is not there', () => {
    const chance = new Chance(41);
    const runs = Array.from({ length: 40 }, () =>
      // The sum of twelve even numbers less six scatters by one.
      Array.from({ length: 30 }, () =>
        Math.round(
          5000 + 100 * (Array.from({ length: 12 }, () => chance.between(0, 1)).reduce((a, b) => a + b) - 6),
        ),
      ),
    );
    const seen = (step: number, id: 'single' | 'weighted'): number =>
      runs.filter((values) => {
        const plain = chartsOf(values, rules);
        const stepped = plain && chartsOf(withStep(values, 20, step, plain), rules);
        const first = stepped && firstSignals(stepped, 20).get(id);
        return first !== undefined && first <= 27;
      }).length;
    expect(seen(1.5, 'weighted')).toBeGreaterThan(seen(1.5, 'single'));
    expect(seen(3, 'weighted')).toBeGreaterThan(seen(0.5, 'weighted'));
    expect(seen(3, 'weighted')).toBeGreaterThan(34);
    expect(seen(0, 'single')).toBeLessThan(8);
  });
});
