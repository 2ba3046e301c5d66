import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isHello, isLoad, isLogged, isMass, isReading, isReplay, parsePressLine } from './protocol';

const READING = {
  seq: 7,
  t: 12.35,
  load: 55.4,
  unit: 'kN',
  peak: 55.4,
  pos: 13,
  at: 1_900_000_000_000,
  pump: true,
  approach: false,
  fine: 0.18,
  door: true,
};
const HELLO = { hello: 'PRESS-1', boot: 'b1', oldest: 1, newest: 7, unit: 'kN', rate: 20, simulated: true };
const parsed = (line: object) => parsePressLine(JSON.stringify(line));

describe('a line of a press', () => {
  it('is a reading, a greeting, a beat or the answer to a wish', () => {
    expect(parsed(READING)).toEqual(READING);
    expect(parsed(HELLO)).toEqual(HELLO);
    expect(parsed({ beat: 3, state: 'idle' })).toEqual({ beat: 3, state: 'idle' });
    expect(parsed({ replay: 5, oldest: 2 })).toEqual({ replay: 5, oldest: 2 });
  });
  it('is told apart by what it has', () => {
    const lines = [READING, HELLO, { beat: 3, state: 'idle' }, { replay: 5, oldest: 2 }].flatMap(
      (line) => parsed(line) ?? [],
    );
    expect(lines.map(isReading)).toEqual([true, false, false, false]);
    expect(lines.map(isHello)).toEqual([false, true, false, false]);
    expect(lines.map(isReplay)).toEqual([false, false, false, true]);
  });
  it.each([
    ['not JSON', '{"seq":7,'],
    ['no object', '7'],
    ['null', 'null'],
    ['a list', '[]'],
    ['empty', ''],
    ['a load in words', JSON.stringify({ ...READING, load: '55.4' })],
    ['a load that is none', JSON.stringify({ ...READING, load: null })],
    ['an unknown unit', JSON.stringify({ ...READING, unit: 'kip' })],
    ['no time', JSON.stringify({ ...READING, t: undefined })],
    ['a greeting without its life', JSON.stringify({ ...HELLO, boot: undefined })],
  ])('that is %s is none', (_what, text) => {
    expect(parsePressLine(text)).toBeNull();
  });
  it('never throws, whatever a device sends', () => {
    fc.assert(fc.property(fc.string(), (text) => void parsePressLine(text)));
    fc.assert(
      fc.property(fc.json(), (text) => {
        const line = parsePressLine(text);
        if (line && isReading(line))
          expect(Number.isFinite(isLoad(line) ? line.load : isMass(line) ? line.mass : line.t)).toBe(true);
      }),
    );
  });
  it('of a logger is a temperature for each of its sensors, and nothing else', () => {
    const row = {
      seq: 4,
      t: 600,
      temp: [14.2, null],
      names: ['core', 'air'],
      clock: '2031-01-10T08:00:00.000Z',
      at: 1,
    };
    const line = parsePressLine(JSON.stringify(row));
    expect(line && isLogged(line) && line.temp).toEqual([14.2, null]);
    for (const wrong of [
      { temp: [14.2] },
      { temp: ['warm', 3] },
      { names: [1, 2] },
      { clock: 5 },
      { temp: 14 },
    ])
      expect(parsePressLine(JSON.stringify({ ...row, ...wrong }))).toBeNull();
  });
  it('of a balance is a mass in what it weighs in, and nothing else', () => {
    const mass = { seq: 4, t: 0.4, mass: 33.46, unit: 'lb', steady: true, places: 2, at: 1_900_000_000_000 };
    const line = parsePressLine(JSON.stringify(mass));
    expect(line && isMass(line) && isReading(line) && !isLoad(line)).toBe(true);
    for (const wrong of [{ unit: 'stone' }, { steady: 'yes' }, { mass: 'much' }, { places: null }])
      expect(parsePressLine(JSON.stringify({ ...mass, ...wrong }))).toBeNull();
  });
});
