import { describe, expect, it } from 'vitest';
import type { PressAlarm, PressView } from '@/core/press';
import { alarmWords, bannerOf } from './words';

const VIEW = {
  phase: 'idle',
  load: 20_000,
  expected: 60_000,
  offBand: null,
  alarms: [],
} as unknown as PressView;
const said = (over: Partial<PressView>, asksAxis = false) => bannerOf({ ...VIEW, ...over }, asksAxis);
const words = (over: Partial<PressView>, asksAxis = false) => said(over, asksAxis).text;

describe('what is said at the press', () => {
  it.each([
    ['idle', 'Waiting for contact: approach off before it touches', 'quiet'],
    ['contact', 'Contact: approach off, knob small', 'caution'],
    ['first half', 'First half: faster is allowed, no jumps', 'quiet'],
    ['second half', 'In the band: hold', 'good'],
    ['near ultimate', 'Do not touch the valve', 'caution'],
    ['declining', 'Falling: keep going, do not stop', 'caution'],
    ['broken', 'Broken: pump off, let the load go', 'good'],
  ] as const)('while it is %s', (phase, text, tone) => expect(said({ phase })).toEqual({ text, tone }));

  it('holds the rate: below, in and above the band, in the first half only where a school asks for it', () => {
    const rate = (phase: PressView['phase'], offBand: PressView['offBand']) => words({ phase, offBand });
    expect(rate('second half', 1)).toBe('Too fast: close the knob a little');
    expect(rate('second half', -1)).toBe('Too slow: open the knob a little');
    expect(rate('first half', 1)).toBe('Too fast: close the knob a little');
    expect(rate('first half', 0)).toBe('In the band: hold');
  });

  it('pauses below a tenth for the axis, until it was looked at', () => {
    const low = { phase: 'first half', load: 5_900 } as const;
    expect(words(low, true)).toBe('Pause below a tenth: is the axis upright?');
    expect(words(low, false)).toMatch(/^First half/u);
    expect(words({ ...low, load: 6_000 }, true)).toMatch(/^First half/u);
  });

  it('says a danger before anything else, the gravest first', () => {
    const phase = 'second half';
    expect(said({ phase, alarms: ['end of stroke'] })).toMatchObject({
      tone: 'stop',
      text: expect.stringMatching(/end of its stroke/u),
    });
    expect(words({ phase, alarms: ['end of stroke', 'door open'] })).toMatch(/door is open/u);
    expect(words({ phase, alarms: ['door open', 'end of stroke', 'load near capacity'] })).toMatch(
      /near what the press may carry/u,
    );
  });

  it('tells a corner from the end, and never to stop at either', () => {
    expect(words({ phase: 'declining', alarms: ['corner break possible'] })).toBe(
      'Corner break possible: keep loading',
    );
  });

  it('has words for every alarm, and says what is to be done at those that end a test', () => {
    const alarms: readonly PressAlarm[] = [
      'load near capacity',
      'end of stroke',
      'door open',
      'shock',
      'corner break possible',
      'expected load passed',
      'another area set',
    ];
    for (const alarm of alarms) expect(alarmWords(alarm).length).toBeGreaterThan(20);
    expect(new Set(alarms.map(alarmWords)).size).toBe(alarms.length);
    expect(alarmWords('door open')).toMatch(/stop the pump, hands away/u);
    expect(alarmWords('end of stroke')).toMatch(/let the load go/u);
  });
});
