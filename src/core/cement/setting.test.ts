import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  curveOf,
  depthAt,
  type Fall,
  finalOf,
  initialOf,
  type Look,
  rateFactor,
  settingCurve,
  whenAt,
} from './setting';

const falls = (text: string): Fall[] =>
  text.split(' ').map((pair) => {
    const [minutes = 0, depth = 0] = pair.split(':').map(Number);
    return { minutes, depth };
  });
const initial = (text: string, depth = 25) => initialOf(falls(text), depth, 0.5);

// ASTM C191 (from memory): between the last fall deeper than 25 mm and the first that is not; figures by hand.
describe('the initial set', () => {
  it.each([
    ['37:40 52:40 67:39 82:38 97:34 112:28 127:19 142:11', 117],
    ['105:36 120:25.0', 120],
    ['105:33 135:24', 131.667],
    ['30:27.0 45:25.2 60:24', 47.5],
    ['30:31.2 45:24.9', 44.762],
    ['375:25.6 390:19.0', 376.364],
    // A needle is read to half a millimetre: so little up is no rise.
    ['90:30 105:25 120:25.5 135:20', 105],
  ])('of %s is %d min', (text, minutes) => {
    const found = initial(text);
    expect(found.kind === 'between' && found.minutes).toBeCloseTo(minutes, 2);
    expect(found).not.toHaveProperty('risen');
  });
  it('is no more than the first fall that is below already, and at least the last that is not', () => {
    expect(initial('37:21 52:14')).toEqual({ kind: 'at most', minutes: 37 });
    expect(initial('37:40 52:36')).toEqual({ kind: 'at least', minutes: 52 });
    expect(initialOf([], 25, 0.5)).toEqual({ kind: 'none' });
  });
  it('a fall that goes deeper again is said, and the crossing after it counts', () => {
    expect(initial('105:30 120:23 135:27')).toEqual({ kind: 'at least', minutes: 135, risen: true });
    const found = initial('105:30 120:23 135:27 150:23');
    expect(found).toMatchObject({ kind: 'between', risen: true });
    expect(found.kind === 'between' && found.minutes).toBeCloseTo(142.5, 6);
  });
  // EN 196-3 (from memory): 6 mm above the base are 34 mm in a ring of 40; 38 to 33 mm, by hand.
  it('of EN lies at another depth', () => {
    const found = initial('110:38 120:33', 34);
    expect(found.kind === 'between' && found.minutes).toBeCloseTo(118, 6);
  });
  it('lies between the falls about it, whatever they are', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 1, max: 79 }), { minLength: 2, maxLength: 12 }),
        (halves) => {
          const made = halves
            .toSorted((a, b) => b - a)
            .map((half, place) => ({ minutes: 30 + 15 * place, depth: half / 2 }));
          const found = initialOf(made, 25, 0.5);
          if (found.kind !== 'between') return;
          expect(found.minutes).toBeGreaterThanOrEqual(found.from.minutes);
          expect(found.minutes).toBeLessThanOrEqual(found.to.minutes);
        },
      ),
    );
  });
});

// ASTM C191 (from memory): two more within 90 s, neither with a circle.
describe('the final set', () => {
  const looks = (text: string): Look[] =>
    text.split(' ').map((pair) => {
      const [time = '', circle = ''] = pair.split('/');
      const [minutes = 0, seconds = 0] = time.split('+').map(Number);
      return { minutes: minutes + seconds / 60, circle: circle as Look['circle'] };
    });
  const final = (text: string) => finalOf(looks(text), 90);
  it.each([
    ['217/whole 232/none 232+40/none 232+75/none', { kind: 'set', minutes: 232 }],
    ['217/none 217+30/none 217+50/whole', { kind: 'not yet' }],
    ['217/none 217+50/part 232/none 232+20/none 232+90/none', { kind: 'set', minutes: 232 }],
    ['232/none', { kind: 'confirm', from: 232, more: 2 }],
    ['232/none 232+60/none', { kind: 'confirm', from: 232, more: 1 }],
    ['202/whole 217/part', { kind: 'not yet' }],
    // All three again; the first of those that pass counts.
    ['232/none 236/none 236+30/none 236+60/none', { kind: 'set', minutes: 236 }],
  ] as const)('of %s: %j', (text, says) => {
    expect(final(text)).toEqual(says);
  });
  it('is told to be late where the two others come after their time', () => {
    expect(final('232/none 232+70/none 232+110/none')).toMatchObject({ kind: 'late' });
  });
});

describe('a curve through the falls', () => {
  // Least squares of ln(40/p − 1) over ln t, by hand.
  it.each([
    ['37:40 52:40 67:39 82:38 97:34 112:28', 6.74, 126.47, 117.2, 241.8],
    ['97:34 112:28 127:19 142:11', 7.117, 124.76, 116.1, 230.5],
  ])('of %s', (text, n, a, soon, late) => {
    const curve = settingCurve(falls(text), 40);
    expect(curve?.n).toBeCloseTo(n, 2);
    expect(curve?.a).toBeCloseTo(a, 1);
    expect(curve && whenAt(curve, 25, 40)).toBeCloseTo(soon, 0);
    expect(curve && whenAt(curve, 0.5, 40)).toBeCloseTo(late, 0);
  });
  it('is none of too few falls, or of falls that do not stiffen', () => {
    expect(settingCurve(falls('37:40 52:40 67:39'), 40)).toBeUndefined();
    expect(settingCurve(falls('60:20 75:25 90:30'), 40)).toBeUndefined();
  });
  it('gives back what it was made from', () => {
    const curve = curveOf(120, 240, 25, 40);
    expect(curve.n).toBeCloseTo(7.0407, 3);
    expect(curve.a).toBeCloseTo(129.03, 2);
    expect([60, 90, 105, 120, 150, 240].map((minutes) => depthAt(curve, minutes, 40).toFixed(2))).toEqual([
      '39.82',
      '37.07',
      '32.41',
      '25.00',
      '10.29',
      '0.50',
    ]);
    fc.assert(
      fc.property(fc.integer({ min: 30, max: 400 }), fc.integer({ min: 20, max: 300 }), (start, more) => {
        const made = curveOf(start, start + more, 25, 40);
        expect(whenAt(made, 25, 40)).toBeCloseTo(start, 6);
        expect(depthAt(made, start + more, 40)).toBeCloseTo(0.5, 6);
      }),
    );
  });
  // 40 kJ/mol, by hand.
  it('a temperature moves all its times', () => {
    expect([20, 23, 27, 30].map((at) => rateFactor(at, 40_000).toFixed(3))).toEqual([
      '0.847',
      '1.000',
      '1.242',
      '1.455',
    ]);
  });
});
