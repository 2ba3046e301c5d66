import { describe, expect, it } from 'vitest';
import { findMethod } from '../registry';
import type { RunSetup } from '../setup';
import { usableInput } from '../validate';

const method = findMethod('cement-consistency') as NonNullable<ReturnType<typeof findMethod>>;
type Row = readonly [water: string, depth: string, released?: string, paste?: string];
const tried = (rows: readonly Row[], facts: RunSetup['facts'] = {}) =>
  method.compute(
    usableInput(method, {
      system: 'US',
      cement: '650',
      pastes: rows.map(([water, depth, released = '22', paste = 'fresh'], place) => ({
        ...{ id: `p${place}`, contactAt: '2031-09-12T12:00:00Z', water, depth, released, paste },
      })),
    }).input,
    { facts },
  );
const ids = (done: ReturnType<typeof tried>) => done.findings.map(({ id }) => id);

// ASTM C187 (from memory): 10 ± 1 mm within 30 s of mixing, to half a percent; by hand.
describe('normal consistency', () => {
  it.each([
    [['176.0', '10'], '27.0'],
    [['179.0', '11.0'], '27.5'],
    // 27.25 and 27.75 %: half to even.
    [['177.125', '9.5'], '27.0'],
    [['180.375', '9.5'], '28.0'],
  ] as const)('%j: %s %%', (row, text) => {
    expect(tried([row]).results[0]?.text).toBe(text);
  });
  it.each([
    [['176.0', '11.5'], 'consistency.depth'],
    [['176.0', '8.5'], 'consistency.depth'],
    [['176.0', '10', '38'], 'consistency.paste-1'],
    [['176.0', '10', '22', 'again'], 'consistency.paste-1'],
    [['17.6', '10'], 'consistency.usual'],
  ] as const)('%j says %s', (row, id) => {
    expect(ids(tried([row]))).toContain(id);
  });
  it('tells the next water in grams, and nothing is reported before a paste shows it', () => {
    // 26 and 28 %, 7 and 14 mm: 26.857 %, 174.6 g.
    const done = tried([
      ['169', '7'],
      ['182', '14'],
    ]);
    expect(done.results).toEqual([]);
    expect(done.picture.values.next).toBe(174.6);
    expect(done.findings.find(({ id }) => id === 'consistency.depth')?.action).toBe(
      'Weigh 174.6 g of water for the next one.',
    );
  });
  it('a paste that does not count leads to no water', () => {
    expect(tried([['169', '7', '40']]).picture.values.next).toBeNull();
  });
  it('is held against the sample before', () => {
    expect(ids(tried([['176', '10']], { before: '25.5 percent' }))).toContain('consistency.jump');
    expect(ids(tried([['176', '10']], { before: '26.5 percent' }))).not.toContain('consistency.jump');
  });
});
