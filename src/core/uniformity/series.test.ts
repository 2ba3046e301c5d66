import { describe, expect, it } from 'vitest';
import { Limits } from '../limits';
import { countsAs, SOURCE_DECISIONS } from './decisions';
import { type SourceResult, seriesOfSources } from './series';

const limits = new Limits();
let taken = 0;
function result(value: number | null, more: Partial<SourceResult> = {}): SourceResult {
  taken += 1;
  return {
    ...{ sampleId: `s${taken}`, label: `S-${taken}`, sampledAt: taken * 86_400_000, lotId: `l${taken}` },
    ...{ source: 'Works, silo 1', again: false, value: value === null ? null : String(value), early: null },
    ...{ decisions: [], day: {} },
    ...more,
  };
}
const wave = (count: number, of = 5000): SourceResult[] =>
  Array.from({ length: count }, (_, at) => result(of + 60 * ((at % 4) - 1.5)));
const decided = (step: string) => [{ step, words: 'so it was found' }];

describe('results of a source', () => {
  it('are never mixed with those of another silo', () => {
    const found = seriesOfSources(
      [...wave(3), ...wave(2).map((each) => ({ ...each, source: 'silo 2' }))],
      limits,
    );
    expect(found.map(({ source, points }) => [source, points.length])).toEqual([
      ['Works, silo 1', 3],
      ['silo 2', 2],
    ]);
  });

  it('begin anew where that was decided, with a baseline of their own, the newest first', () => {
    const all = [...wave(16), result(5600, { decisions: decided('source-anew') }), ...wave(16, 5600)];
    const [now, before] = seriesOfSources(all, limits);
    expect([now?.points.length, before?.points.length]).toEqual([17, 16]);
    expect(now?.charts?.centre).toBeGreaterThan(5550);
    expect(before?.charts?.centre).toBeLessThan(5050);
    // The decision is taken back: one series, and the step is seen.
    const back = all.map((each) =>
      each.decisions.length > 0 ? { ...each, decisions: [...each.decisions, ...decided('source-in')] } : each,
    );
    const [one, none] = seriesOfSources(back, limits);
    expect([one?.points.length, none]).toEqual([33, undefined]);
    expect(one?.charts?.points.at(-1)?.beyond).toContain('weighted');
  });

  it('leave out of the baseline, and of the scatter, what has its cause; the chart still shows it', () => {
    const odd = result(7000, { decisions: decided('source-out') });
    const [series] = seriesOfSources([...wave(8), odd, ...wave(8)], limits);
    expect(series?.charts?.centre).toBeLessThan(5050);
    expect(series?.scatter?.count).toBe(16);
    expect(series?.points[8]).toMatchObject({ counts: 'out', value: '7000' });
    expect(series?.charts?.points[8]?.beyond).toContain('single');
  });

  it('are paired with a second test of the same lot, which is no result of its own', () => {
    const firsts = wave(12);
    const all = firsts.flatMap((first, at) => [
      first,
      ...(at < 10 ? [result(Number(first.value) + 50, { lotId: first.lotId, again: true })] : []),
    ]);
    // A second test whose first is not there, and one that is not broken yet, tell nothing.
    const [series] = seriesOfSources(
      [...all, result(4000, { again: true }), result(null, { again: true, lotId: firsts[11]?.lotId ?? '' })],
      limits,
    );
    expect(series?.points.length).toBe(12);
    expect(series?.scatter?.pairs).toBe(10);
    expect(series?.scatter?.testing?.deviation.toFixed(2)).toBe((50 / Math.SQRT2).toFixed(2));
    expect(series?.scatter?.corrected).toBeDefined();
  });

  it('say what was otherwise on that day', () => {
    const day = (sand: string, machine: string) => ({ day: { sand, machine } });
    const [series] = seriesOfSources(
      [result(5000, day('S-1', 'P-1')), result(5010, day('S-1', 'P-1')), result(5200, day('S-2', 'P-1'))],
      limits,
    );
    expect(series?.points.map(({ changed }) => changed)).toEqual([[], [], ['sand S-2, before it S-1']]);
  });

  it('are foreseen from the younger age, and looked at where that lies beyond the chart', () => {
    const both = wave(16).map((each) => ({ ...each, early: String(Number(each.value) * 0.7) }));
    const [series] = seriesOfSources(
      [...both, result(null, { early: '3500' }), result(null, { early: '4200' }), result(null)],
      limits,
    );
    expect(series?.expected.map(({ look }) => look)).toEqual([false, true]);
    expect(series?.expected[0]?.expected).toBeCloseTo(5000, 6);
    expect(series?.points.length).toBe(16);
    const [few] = seriesOfSources([...both.slice(0, 9), result(null, { early: '3500' })], limits);
    expect(few?.expected).toEqual([]);
  });
});

describe('decisions', () => {
  it('count by the last one, and having looked decides nothing', () => {
    const all = (...steps: string[]) => countsAs(steps.flatMap(decided));
    expect(all()).toBe('in');
    expect(all('source-out', 'source-looked')).toBe('out');
    expect(all('source-anew', 'source-out')).toBe('out');
    expect(all('source-out', 'source-in')).toBe('in');
    expect(new Set(SOURCE_DECISIONS.map(({ id }) => id)).size).toBe(SOURCE_DECISIONS.length);
  });
});
