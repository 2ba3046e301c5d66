import { describe, expect, it } from 'vitest';
import type { PressView } from '@/core/press';
import { bandIsNear, pacePitch } from './pace';
import { bannerOf } from './words';

const BAND = { low: 350, high: 530 };
const VIEW: PressView = {
  phase: 'second half',
  load: 30_000,
  peak: 30_000,
  peakAt: 60,
  rate: 440,
  offBand: 0,
  outside: 0,
  toBand: null,
  toExpected: 50,
  sinceHalf: null,
  expected: 50_000,
  alarms: [],
  dips: [],
};

describe('the tone of a rate', () => {
  it('is none in the band, nor where the band does not count', () => {
    expect(pacePitch(VIEW, BAND)).toBeNull();
    expect(pacePitch({ ...VIEW, rate: 900, offBand: null }, BAND)).toBeNull();
    expect(pacePitch({ ...VIEW, rate: null, offBand: 1 }, BAND)).toBeNull();
  });
  it('is an octave higher for twice the rate, an octave lower for half of it', () => {
    const middle = pacePitch({ ...VIEW, rate: 440.0001, offBand: 1 }, BAND);
    expect(pacePitch({ ...VIEW, rate: 880, offBand: 1 }, BAND)).toBe(2 * (middle ?? 0));
    expect(pacePitch({ ...VIEW, rate: 220, offBand: -1 }, BAND)).toBe((middle ?? 0) / 2);
  });
  it('rises with the rate and ends two octaves off', () => {
    const pitches = [-10, 0, 30, 110, 220, 349, 531, 700, 880, 1760, 9000].map((rate) =>
      pacePitch({ ...VIEW, rate, offBand: rate < BAND.low ? -1 : 1 }, BAND),
    );
    expect(pitches).toEqual(pitches.toSorted((a, b) => (a ?? 0) - (b ?? 0)));
    expect(new Set(pitches.slice(0, 4)).size).toBe(1);
    expect(pitches.at(-1)).toBe(pitches.at(-2));
  });
});

describe('the band that is about to count', () => {
  it.each([
    ['first half', 3, true],
    ['first half', 3.1, false],
    ['first half', null, false],
    ['second half', 0, false],
    ['declining', 1, false],
  ] as const)('%s, %s s before it: %s', (phase, toBand, near) => {
    expect(bandIsNear({ ...VIEW, phase, toBand })).toBe(near);
  });
});

describe('the words of the press', () => {
  const early = { ...VIEW, phase: 'first half', load: 4000, offBand: null } as const;
  it('ask for the axis below a tenth, until it is said', () => {
    expect(bannerOf(early, true).text).toContain('is the axis upright');
    expect(bannerOf(early, false).text).toContain('First half');
    expect(bannerOf({ ...early, load: 6000 }, true).text).toContain('First half');
  });
  it('stop before anything else', () => {
    expect(bannerOf({ ...VIEW, alarms: ['door open'] }, false)).toMatchObject({ tone: 'stop' });
    expect(bannerOf({ ...early, alarms: ['end of stroke'] }, true).text).toContain('Pump off');
  });
  it('say which way to turn', () => {
    expect(bannerOf({ ...VIEW, offBand: 1 }, false).text).toContain('close the knob');
    expect(bannerOf({ ...VIEW, offBand: -1 }, false).text).toContain('open the knob');
    expect(bannerOf({ ...VIEW, phase: 'near ultimate' }, false).text).toBe('Do not touch the valve');
  });
});
