import { describe, expect, it } from 'vitest';
import { usableInput } from '..';
import { unitReport } from '.';

const computed = (typed: Record<string, unknown>) =>
  unitReport.compute(
    usableInput(unitReport as never, { system: 'US', number: 'SH-9', ...typed }).input as never,
    {},
  );

// ASTM C90 (from memory): at most 0.065 %.
describe('another report', () => {
  it.each([
    ['0.041', 'meets'],
    ['0.065', 'meets'],
    ['0.066', 'does not meet'],
  ])('of a shrinkage of %s %%: %s', (shrinkage, state) => {
    expect(computed({ property: 'shrinkage', shrinkage }).verdicts).toMatchObject([{ state }]);
  });
  it('of another test says itself whether it meets', () => {
    const found = computed({ property: 'abrasion', says: 'not' });
    expect(found.verdicts).toMatchObject([
      { state: 'does not meet', sentence: expect.stringContaining('SH-9') },
    ]);
    expect(found.results).toEqual([]);
  });
  it('is none without what it came to', () => {
    expect(computed({ property: 'shrinkage' }).findings.map(({ id }) => id)).toEqual(['unit.report-empty']);
    expect(computed({ property: 'freeze', shrinkage: '0.02' }).verdicts).toEqual([]);
  });
});
