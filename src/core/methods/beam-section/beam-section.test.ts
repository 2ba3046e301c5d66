import { describe, expect, it } from 'vitest';
import { rowsOf } from '@/testing/rows';
import { usableInput } from '..';
import type { Method } from '../contract';
import { findMethod } from '../registry';
import type { RunSetup } from '../setup';

function looked(id: 'beam-section' | 'beam-arrival', input: Record<string, unknown>, setup: RunSetup = {}) {
  const method = findMethod(id) as Method;
  const { input: usable } = usableInput(method, { system: 'SI', ...input });
  const outcome = method.compute(usable, { specimen: { form: 'beam-150x150x530' }, ...setup });
  return {
    found: outcome.findings.map(({ id: each }) => each),
    line: (symbol: string) => Number(outcome.lines.find((line) => line.symbol === symbol)?.value),
    text: outcome.results[0]?.text,
    picture: outcome.picture.values,
  };
}
const counted = (ts: string, tn: string, bs: string, bn: string, more = {}) =>
  looked('beam-section', { topStone: ts, topPoints: tn, bottomStone: bs, bottomPoints: bn, ...more });

// Two binomial shares, worked by hand; common practice, no source.
describe('the stones of a broken face', () => {
  it('may lie unlike by chance', () => {
    const face = counted('58', '150', '71', '150');
    expect(face.line('pt')).toBeCloseTo(0.387, 3);
    expect(face.line('pb')).toBeCloseTo(0.473, 3);
    expect(face.line('z')).toBeCloseTo(1.52, 2);
    expect(face.found).not.toContain('section.relative');
  });
  it('are segregated where they are far apart and it is no chance', () => {
    const face = counted('41', '150', '83', '150');
    expect(face.line('r')).toBeCloseTo(67.7, 1);
    expect(face.line('z')).toBeCloseTo(5.1, 1);
    expect(face.text).toBe('68');
    expect(face.found).toContain('section.relative');
  });
  it('are counted at enough points, and no more of them than there are', () => {
    expect(counted('20', '60', '30', '60').found).toContain('section.points');
    expect(counted('160', '150', '70', '150').found).toContain('section.more');
    expect(counted('0', '150', '0', '150').text).toBeUndefined();
    expect(counted('150', '150', '150', '150').found).not.toContain('section.relative');
  });
});

describe('a broken face', () => {
  it('is rated by the mortar on top', () => {
    const rating = (mortar: string) => looked('beam-section', { mortar }).picture.rating;
    expect(['0', '5', '6', '25', '26'].map(rating)).toEqual([0, 1, 2, 2, 3]);
    expect(looked('beam-section', { mortar: '6' }).found).toContain('section.mortar-1');
  });
  it('says that steel lies off its drawing, and that it was looked at late', () => {
    expect(looked('beam-section', { steelDepth: '32', steelDrawn: '25' }).found).toContain('section.depth');
    expect(looked('beam-section', { steelDepth: '31', steelDrawn: '25' }).found).not.toContain(
      'section.depth',
    );
    const late = (minutes: number) =>
      looked(
        'beam-section',
        { seenAt: new Date(Date.parse('2031-06-11T09:00:00Z') + minutes * 60_000).toISOString() },
        { facts: { testedAt: '2031-06-11T09:00:00Z' } },
      ).found;
    expect(late(11)).toContain('section.within');
    expect(late(10)).not.toContain('section.within');
  });
});

describe('a beam on arrival', () => {
  const seen = (...rows: readonly string[]) =>
    looked('beam-arrival', { seen: rowsOf('face what from along across', rows.join('\n')) });
  it('has no honeycomb where nothing is marked', () => {
    expect(seen()).toMatchObject({ text: '0.0', found: [] });
  });
  it('has its honeycomb in percent of four faces', () => {
    // 100 × 80 mm of 4 × 150 × 530 mm.
    const one = seen('front,honeycomb,20,100,80');
    expect(one.text).toBe('2.5');
    expect(one.found).toEqual(['arrival.honeycomb']);
    expect(seen('front,honeycomb,20,50').text).toBe('0.8');
  });
  it('is no beam for acceptance with a crack in its middle third, and with one near its end it is', () => {
    expect(seen('bottom,crack,260,5').found).toEqual(['arrival.middle']);
    expect(seen('bottom,crack,60,5').found).toEqual([]);
    expect(seen('top,void,260,8').found).toEqual([]);
  });
  it('does not count every pore', () => {
    expect(seen('top,void,100,3').found).toEqual(['arrival.void']);
  });
});
