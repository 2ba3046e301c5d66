import { describe, expect, it } from 'vitest';
import { mixAt, mixEnds, stagesOf } from './mixing';

// ASTM C305 (from memory): 135 s of paste, 240 s of mortar; EN 196-1 240 s, EN 196-3 210 s.
describe('the beats of mixing', () => {
  it.each([
    ['paste', 'astm', 135],
    ['mortar', 'astm', 240],
    ['paste', 'en', 210],
    ['mortar', 'en', 240],
    // An agency mixes as ASTM has it.
    ['mortar', 'agency', 240],
  ] as const)('%s of %s ends after %d s', (mixed, school, seconds) => {
    const stages = stagesOf(mixed, school);
    expect(mixEnds(stages)).toBe(seconds);
    expect(stages.every(({ to }, place) => to > (stages[place - 1]?.to ?? 0))).toBe(true);
  });
  it('paste rests first, mortar is mixed at once: they are confused again and again', () => {
    expect(mixAt(stagesOf('paste', 'astm'), 0).now?.still).toBe(true);
    expect(mixAt(stagesOf('mortar', 'astm'), 0).now?.still).toBeUndefined();
  });
  it.each([
    [0, 'Slow, cement in', 30],
    [29.4, 'Slow, cement in', 1],
    [30, 'Slow, all sand in, evenly', 30],
    [104.9, 'Stop, scrape down', 1],
    [239, 'Medium', 1],
  ])('at %d s: %s, %d s left', (seconds, say, left) => {
    const stands = mixAt(stagesOf('mortar', 'astm'), seconds);
    expect(stands.now?.say).toBe(say);
    expect(stands.left).toBe(left);
  });
  it('is over when it is over', () => {
    expect(mixAt(stagesOf('mortar', 'astm'), 240)).toEqual({ now: null, next: null, left: 0 });
  });
});
