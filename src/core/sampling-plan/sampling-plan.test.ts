import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Limits } from '../limits';
import { bowlCount, coneCount, coneDepth, MOULD_SIZES, mouldOf, specimenCount } from '../moulds';
import { exact } from '../quantity';
import {
  type Against,
  drawPositions,
  isSampleDue,
  isWaivable,
  loadAt,
  loadDecision,
  owedByProject,
  sampleSize,
  samplesByIs456,
  samplesForDay,
  targetsOf,
  thicknessWhereAreaGoverns,
} from '.';

const limits = new Limits();

describe('how many samples (ACI 318 26.12.2, IS 456 15.2.2, from memory)', () => {
  it.each([
    ['310', undefined, 3],
    ['90', '14200', 3],
    ['150', '5000', 1],
    ['151', undefined, 2],
    ['1', undefined, 1],
  ])('%s yd³ and %s ft²: %d', (volume, area, count) => {
    expect(
      samplesForDay({ volume: exact(volume), area: area ? exact(area) : undefined, system: 'US' }, limits)
        .count,
    ).toBe(count);
  });
  it('five tests a project, or every batch', () => {
    expect([owedByProject(3, 40, limits), owedByProject(1, 4, limits), owedByProject(7, 40, limits)]).toEqual(
      [2, 3, 0],
    );
  });
  it('the area governs on thin slabs', () => {
    expect(thicknessWhereAreaGoverns('US', limits).times(12).toNumber()).toBeCloseTo(9.72, 2);
  });
  it('by the table of IS 456', () => {
    expect([5, 15, 16, 50, 51, 100, 101].map((volume) => samplesByIs456(exact(volume), limits))).toEqual([
      1, 2, 3, 4, 5, 5, 6,
    ]);
  });
});

describe('which trucks (ASTM D3665, from memory)', () => {
  it('the places fall into the loads by cumulative volume', () => {
    const draws = drawPositions(3, exact(310), 1, ['0.371', '0.862', '0.054']);
    expect(draws.map(({ position }) => position)).toEqual(['38.34', '192.41', '212.25']);
    const loads = Array.from({ length: 31 }, () => exact(10));
    expect(draws.map(({ position }) => (loadAt(exact(position), loads) ?? -1) + 1)).toEqual([4, 20, 22]);
    const uneven = ['8', '8', '6.5', '8', '9', '9', '9', '9', '4.5'].map(exact);
    const two = drawPositions(2, exact('71.0'), 1, ['0.15', '0.97']);
    expect(two.map(({ position }) => loadAt(exact(position), uneven))).toEqual([0, 8]);
  });
  it('the same seed draws the same, one place in each part, whatever the volume', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 12 }),
        fc.integer({ min: 1, max: 900 }),
        fc.integer(),
        (count, volume, seed) => {
          const draws = drawPositions(count, exact(volume), seed);
          expect(drawPositions(count, exact(volume), seed)).toEqual(draws);
          draws.forEach(({ position }, index) => {
            expect(Number(position)).toBeGreaterThanOrEqual((index * volume) / count - 0.01);
            expect(Number(position)).toBeLessThanOrEqual(((index + 1) * volume) / count + 0.01);
          });
        },
      ),
    );
  });
  it('neighbouring seeds draw all over the volume, none of its parts more than another', () => {
    const first = Array.from({ length: 2000 }, (_, index) =>
      Number(drawPositions(1, exact(100), index + 1)[0]?.position),
    );
    const parts = [0, 1, 2, 3].map((part) => first.filter((at) => Math.floor(at / 25) === part).length);
    // Four standard deviations of a fair quarter of 2,000.
    for (const count of parts) expect(Math.abs(count - 500)).toBeLessThan(4 * Math.sqrt(2000 * 0.25 * 0.75));
  });
  it('shows a target one load ahead and not before', () => {
    const draws = drawPositions(1, exact(40), 1, ['0.6']);
    const state = (loads: number) =>
      targetsOf(
        draws,
        Array.from({ length: loads }, () => exact(8)),
      )[0];
    expect([state(1)?.next, state(2)?.next, state(3)?.load]).toEqual([false, false, null]);
    expect(state(3)?.next).toBe(true);
    expect(state(4)?.load).toBe(4);
  });
});

describe('how much to take (ASTM C172, EN 12350-1, from memory)', () => {
  const size = (
    specimens: Parameters<typeof sampleSize>[0]['specimens'],
    airBowl: string,
    system: 'US' | 'SI' = 'US',
    own = limits,
  ) => sampleSize({ system, specimens, slump: true, airBowl: exact(airBowl) }, own);
  it.each([
    [[{ size: '4x8', count: 5 }], '0.25', 0.74451, '1', true],
    [[{ size: '6x12', count: 4 }], '0.25', 1.23902, '1.55', false],
    [
      [
        { size: 'beam-6x6x20', count: 2 },
        { size: '6x12', count: 2 },
      ],
      '0.075',
      1.50465,
      '1.9',
      false,
    ],
  ] as const)('%o and a bowl of %s ft³', (specimens, bowl, needed, take, least) => {
    const result = size(specimens, bowl);
    expect(result.needed.toNumber()).toBeCloseTo(needed, 4);
    expect([result.take.toFixed(), result.leastGoverns]).toEqual([take, least]);
  });
  it('half as much again by EN', () => {
    const result = size([{ size: 'cube-150', count: 6 }], '8', 'SI', new Limits({}, 0, 'en'));
    expect(result.needed.toNumber()).toBeCloseTo(33.748, 2);
    expect(result.take.toFixed()).toBe('51');
  });
});

describe('what may be done with a load (sense of ASTM C94, from memory)', () => {
  it.each([
    [['high', 'in'], true, 'go'],
    [['low', 'in'], true, 'go'],
    [['low'], false, 'out'],
    [['high', 'high'], true, 'failed'],
    [['low', 'high', 'high'], true, 'failed'],
    [['low', 'high', 'in'], true, 'go'],
    [['low'], true, 'adjust'],
    [['in'], true, 'go'],
    [[], true, 'preliminary'],
  ] as [Against[], boolean, string][])('%o, adjustment %s: %s', (results, mayAdjust, state) => {
    expect(loadDecision(results, mayAdjust).state).toBe(state);
  });
});

describe('layers, strokes and taps (ASTM C31, C143, C192, IS 516, from memory)', () => {
  const beam = (size: 'beam-6x6x20' | 'beam-6x6x21' | 'beam-150x150x530') =>
    specimenCount(size, 'rod', limits);
  it('beams by the area of their top, each system by its own rule', () => {
    expect([
      beam('beam-6x6x20').strokes,
      beam('beam-6x6x21').strokes,
      beam('beam-150x150x530').strokes,
    ]).toEqual([60, 63, 57]);
    expect(beam('beam-6x6x20').layers).toBe(2);
    expect(specimenCount('beam-6x6x20', 'vibrate', limits)).toMatchObject({ layers: 1, insertions: 4 });
  });
  it('cylinders and cubes', () => {
    expect(specimenCount('4x8', 'rod', limits)).toMatchObject({
      layers: 2,
      strokes: 25,
      rod: '3/8 in rod',
      marks: ['4 in'],
    });
    expect(specimenCount('6x12', 'rod', limits)).toMatchObject({
      layers: 3,
      strokes: 25,
      rod: '5/8 in rod',
      marks: ['4 in', '8 in'],
    });
    expect(specimenCount('cube-150', 'rod', limits)).toMatchObject({ layers: 3, strokes: 35 });
    expect(specimenCount('cube-100', 'rod', limits)).toMatchObject({ layers: 2, strokes: 25 });
    for (const size of MOULD_SIZES)
      expect(specimenCount(size, 'none', limits)).toMatchObject({ layers: 1, strokes: 0 });
  });
  it('the cone in three layers by volume, or four by height in the older school', () => {
    expect(coneCount('US', limits)).toMatchObject({
      layers: 3,
      marks: ['2 5/8 in', '6 1/8 in'],
    });
    expect(coneCount('SI', new Limits({}, 0, 'is'))).toMatchObject({
      layers: 4,
      marks: ['75 mm', '150 mm', '225 mm'],
    });
    expect(bowlCount(2, 'rod', 'US', limits).layers).toBe(2);
    expect(bowlCount(3, 'rod', 'US', limits).layers).toBe(3);
  });
  it('the marks in the cone are where its volume is in thirds', () => {
    const cone = { base: 8, top: 4, height: 12 };
    expect([coneDepth(1 / 3, cone), coneDepth(2 / 3, cone)].map((depth) => depth.toFixed(3))).toEqual([
      '2.606',
      '6.074',
    ]);
  });
  it('nominal volumes agree with the dimensions', () => {
    for (const size of MOULD_SIZES) {
      const { kind, across, length, width, volume, system } = mouldOf(size);
      const [a, l, w] = [Number(across), Number(length), Number(width ?? 0)];
      const cubic = kind === 'cylinder' ? (Math.PI * a * a * l) / 4 : a * l * w;
      expect(cubic / (system === 'US' ? 1728 : 1e6) / Number(volume)).toBeCloseTo(1, 5);
    }
  });
});

// ACI 318 26.12.2 (from memory): 150 yd³ [110 m³] a sample; under 50 yd³ [38 m³] tests may be waived. That a sample is
// called due at 80 % is our choice.
describe('what the volume alone says', () => {
  it.each([
    ['US', '110', '9', false],
    ['US', '111', '9', true],
    ['US', '150', '0', true],
    ['SI', '80', '7', false],
    ['SI', '81', '7', true],
  ] as const)('%s: %s since the last sample, %s in the next load: due %s', (system, since, next, due) => {
    expect(isSampleDue(exact(since), exact(next), system, new Limits())).toBe(due);
  });
  it.each([
    ['US', '49.9', true],
    ['US', '50', false],
    ['SI', '37.9', true],
    ['SI', '38', false],
  ] as const)('%s: %s in all may be waived: %s', (system, total, waivable) => {
    expect(isWaivable(exact(total), system, new Limits())).toBe(waivable);
  });
});

// ASTM C31/C31M table (from memory): 2 × 25 for 4 in, 3 × 25 for 6 in, 4 × 50 for 9 in; vibrated in two layers, 1, 2 and 4
// insertions.
it.each([
  ['4x8', 2, 25, 1],
  ['6x12', 3, 25, 2],
  ['9x18', 4, 50, 4],
  ['225x450', 4, 50, 4],
] as const)(
  '%s: %d layers of %d strokes, or two layers of %d insertions',
  (size, layers, strokes, insertions) => {
    const rodded = specimenCount(size, 'rod', limits);
    const vibrated = specimenCount(size, 'vibrate', limits);
    expect([rodded.layers, rodded.strokes, rodded.insertions]).toEqual([layers, strokes, 0]);
    expect([vibrated.layers, vibrated.strokes, vibrated.insertions]).toEqual([2, 0, insertions]);
  },
);

// EN 206 (from memory, to be checked): three in the first 50 m³, then one for each 150 m³, certified 200 m³; with 35 results
// one for each 150 m³, certified 400 m³. IS 456 (from memory): at least one a shift.
describe('the plan of a day by another school', () => {
  const en = new Limits({}, 0, 'en');
  const plan = (volume: string, before: string, results: number, certified: boolean) =>
    samplesForDay(
      { volume: exact(volume), system: 'SI', history: { before: exact(before), results, certified } },
      en,
    );
  it.each([
    ['40', '0', 0, false, 3, 'initial production, not certified'],
    ['350', '0', 0, false, 5, 'initial production, not certified'],
    ['350', '0', 0, true, 5, 'initial production, certified'],
    ['150', '60', 4, false, 1, 'initial production, not certified'],
    ['410', '60', 4, true, 3, 'initial production, certified'],
    ['410', '9000', 35, true, 2, 'continuous production, certified'],
    ['410', '9000', 35, false, 3, 'continuous production, not certified'],
  ] as const)(
    '%s m³ after %s m³ with %d results, certified %s: %d',
    (volume, before, results, certified, count, words) => {
      const found = plan(volume, before, results, certified);
      expect(found.count).toBe(count);
      expect(found.sentence).toContain(words);
    },
  );
  it('in the IS school no shift goes without', () => {
    const is = new Limits({}, 0, 'is');
    const of = (shifts?: number) => samplesForDay({ volume: exact('4'), system: 'SI', shifts }, is).count;
    expect([of(), of(1), of(2)]).toEqual([1, 1, 2]);
  });
});
