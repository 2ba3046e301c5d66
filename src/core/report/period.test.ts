import { describe, expect, it } from 'vitest';
import { Limits } from '../limits';
import { type SourceResult, seriesOfSources } from '../uniformity';
import { type PeriodAbout, periodSections } from './period';

const DAY = 86_400_000;
const START = Date.UTC(2031, 2, 1, 14);
// ASTM C917 (from memory), a made-up series: quiet, then a step.
const VALUES = [
  5020, 5110, 4930, 5060, 4980, 5150, 5040, 4890, 5070, 5010, 4960, 5090, 5130, 4920, 5000, 5400, 5420, 5390,
];
const results = VALUES.map(
  (value, place): SourceResult => ({
    ...{
      sampleId: `s${place}`,
      label: `S-${place + 1}`,
      sampledAt: START + place * 3 * DAY,
      lotId: `l${place}`,
    },
    ...{ source: 'Works, silo 1', again: false, value: String(value), early: null, day: {} },
    decisions: place === 16 ? [{ step: 'source-looked', words: 'A. Person: looked at sand and moulds' }] : [],
  }),
);
const limits = new Limits();
const [whole] = seriesOfSources(results, limits);
const about: PeriodAbout = {
  ...{ unit: 'psi', age: '7 d', formal: 40 },
  shown: (value) => value.toFixed(0),
  day: (at) => new Date(at).toISOString().slice(0, 10),
};
const of = (from: number, to: number) => {
  const [within] = seriesOfSources(results.slice(from, to), limits);
  if (!whole || !within) throw new Error('no series');
  return periodSections({ whole, within }, about);
};
const table = (sections: ReturnType<typeof of>, title: RegExp) => {
  const found = sections.find((each) => title.test(each.title));
  if (found?.kind !== 'table') throw new Error('no such table');
  return found.rows;
};

describe('a period of a source', () => {
  it('has the scatter of its own results, and the limits of the whole series', () => {
    const rows = table(of(10, 18), /^Works, silo 1, strength at 7 d/u);
    expect(rows[0]).toEqual(['Results', '8; 40 are wanted for a formal report']);
    // By hand: 4960, 5090, 5130, 4920, 5000, 5400, 5420, 5390.
    expect(rows[1]).toEqual(['Mean', '5164 psi']);
    expect(rows.at(-1)).toEqual(['Least and greatest', '4920 and 5420 psi']);
    const each = table(of(10, 18), /^Each result/u);
    // The five before the fifth of the period are those of the series: 4890, 5070, 5010, 4960 and 5040 of the eleventh.
    expect(each[0]?.slice(0, 4)).toEqual(['2031-03-31', 'S-11', '4960', '4994']);
    expect(each[5]?.[4]).toContain('single results');
    expect(each[6]?.[5]).toBe('A. Person: looked at sand and moulds');
  });
  it('draws its results between the limits of the baseline', () => {
    const drawing = of(0, 18).find(({ kind }) => kind === 'drawing');
    if (drawing?.kind !== 'drawing') throw new Error('no drawing');
    const dashed = drawing.drawing.shapes.filter((shape) => shape.kind === 'path' && shape.dash);
    expect(dashed).toHaveLength(2);
    expect(drawing.drawing.shapes.filter(({ kind }) => kind === 'circle')).toHaveLength(18);
  });
  it('of one result says that it is too few', () => {
    const [facts, each] = of(3, 4);
    expect(facts).toMatchObject({ sentences: ['Fewer than two results in the period.'] });
    expect(each).toMatchObject({ kind: 'table', title: 'Each result' });
  });
});
