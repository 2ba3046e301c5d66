import 'reflect-metadata';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Limits } from '../../limits';
import { readTrace } from '../trace';
import { dollyAnswers, reachWith } from './dolly';
import {
  type Face,
  faceOf,
  faceText,
  glueShare,
  inSteps,
  inTens,
  leadingPlane,
  PLANE_IDS,
  type Plane,
} from './faces';
import { cureHours, dolliesOfBatch, glueVolume } from './glue';
import {
  BLANK,
  brushed,
  CELL,
  CELLS,
  filled,
  onFace,
  type Painting,
  paintingText,
  readPainting,
  sharesOf,
} from './painted';
import { pulledOf } from './pull-rate';

const limits = new Limits();
const range = limits.of('pull.range', 'SI');
// A tester of 20 MPa with its 20 mm dolly (common practice, no source).
const answers = (expected: number, required = 0) =>
  dollyAnswers({
    reach: 20,
    of: 20,
    expected,
    required,
    from: Number(range.low) / 100,
    to: Number(range.high) / 100,
    reserve: 1.25,
    accuracy: 0.01,
  });
const suiting = (expected: number, required = 0) =>
  answers(expected, required).flatMap(({ name, suits }) => (suits ? name : []));

describe('the reach of a tester', () => {
  // By the ratio of areas: the trade says twice and four times (common practice, no source).
  it.each([
    [10, 80],
    [14, 40.8],
    [14.2, 39.7],
    [50, 3.2],
  ])('with a dolly of %d mm', (mm, reach) => {
    expect(reachWith(20, 20, mm)).toBeCloseTo(reach, 1);
  });
  it.each([
    [15, ['20 mm', '14 mm']],
    [24, ['14 mm', '10 mm']],
    [2, ['2 in', '50 mm']],
    [3, []],
    [70, []],
  ])('suits an expected %d MPa: %j', (expected, names) => {
    expect(suiting(expected)).toEqual(names);
  });
  it('is read the worse the lower in its range', () => {
    const of = (name: string) => answers(2).find((each) => each.name === name)?.error ?? 0;
    expect(of('50 mm')).toBeCloseTo(0.016, 3);
    expect(of('20 mm')).toBeCloseTo(0.1, 3);
  });
  it('wants a quarter more than what is asked for', () => {
    expect(suiting(2, 2.5)).toEqual(['2 in', '50 mm'].slice(1));
    expect(answers(2, 2.6).find(({ name }) => name === '50 mm')?.why).toContain('hardly reaches');
    expect(answers(70).find(({ name }) => name === '10 mm')?.why).toContain('its end');
  });
});

describe('a face', () => {
  const face = (...parts: [Plane, number][]): Face => faceOf(parts);
  // ISO 4624: to ten percent (from memory); the sum kept by the largest remainders.
  it.each([
    [
      [7, 56, 32, 5],
      [10, 60, 30, 0],
    ],
    [
      [43, 36, 21],
      [40, 40, 20],
    ],
    [
      [34, 33, 33],
      [40, 30, 30],
    ],
    [
      [35, 35, 30],
      [40, 30, 30],
    ],
  ])('of %j is told as %j', (raw, told) => {
    const planes: Plane[] = ['A', 'A/B', 'B', 'Y'];
    const shares = raw.map((share, place): [Plane, number] => [planes[place] ?? 'D', share]);
    expect(inTens(face(...shares)).map(([, share]) => share)).toEqual(told);
  });
  it('always comes to a hundred again, and no share moves by a step', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 60 }), { minLength: 1, maxLength: 10 }), (parts) => {
        const sum = parts.reduce((a, b) => a + b, 0);
        const raw = parts.map((part, place): [Plane, number] => [
          PLANE_IDS[place] ?? 'A',
          (100 * part) / sum,
        ]);
        for (const step of [1, 10]) {
          const told = inSteps(face(...raw), step);
          expect(told.reduce((all, [, share]) => all + share, 0)).toBe(100);
          for (const [plane, share] of told)
            expect(Math.abs(share - (raw.find(([each]) => each === plane)?.[1] ?? 0))).toBeLessThan(
              step + 1e-6,
            );
        }
      }),
    );
  });
  it('puts equal planes together and stands in their order', () => {
    const one = face(['Y', 30], ['A/B', 20], ['Y', 10], ['A', 40]);
    expect(one).toEqual([
      ['A', 40],
      ['A/B', 20],
      ['Y', 40],
    ]);
    expect(glueShare(one)).toBe(40);
    expect(leadingPlane(one)).toBe('A');
    expect(faceText(face(['-/Y', 100]))).toBe('−/Y 100 %');
    expect(leadingPlane([])).toBeUndefined();
  });
});

describe('a painted face', () => {
  it('is blank, then what was painted, and comes to a hundred when all of it is', () => {
    expect(sharesOf(BLANK)).toEqual({ face: [], blank: 100 });
    const half: Painting = CELLS.map(({ x }) => (x < 0 ? 'A' : null));
    expect(sharesOf(half).blank).toBeCloseTo(50, 5);
    const whole = sharesOf(filled(half, 'Y'));
    expect(whole).toEqual({
      face: [
        ['A', 50],
        ['Y', 50],
      ],
      blank: 0,
    });
  });
  it('takes as much as its brush covers', () => {
    const dot = brushed(BLANK, { x: 0, y: 0 }, 0.5, 'B');
    // A circle of half the radius is a quarter of the face.
    expect(100 - sharesOf(dot).blank).toBeCloseTo(25, 0);
    expect(sharesOf(brushed(dot, { x: 0, y: 0 }, 0.5, null)).blank).toBe(100);
    expect(CELLS.length * CELL ** 2).toBeCloseTo(Math.PI, 1);
  });
  it('is kept as text and read back, and nothing else is read', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(10), { minLength: 1, maxLength: 20 }), (parts) => {
        const painting = CELLS.map((_, place) => PLANE_IDS[parts[place % parts.length] ?? 10] ?? null);
        expect(readPainting(paintingText(painting))).toEqual(painting);
      }),
      { numRuns: 20 },
    );
    expect(paintingText(BLANK).length).toBeLessThan(10);
    for (const text of ['', 'a', 'a10', 'z1256', `a${CELLS.length + 1}`, 'a-5'])
      expect(readPainting(text)).toBeUndefined();
  });
  it('lies on its photograph however that was taken: aslant it is an ellipse', () => {
    const on = { middle: { x: 0.5, y: 0.5 }, right: { x: 0.9, y: 0.6 }, up: { x: 0.45, y: 0.2 } };
    const at = (x: number, y: number) => onFace(on, { x, y });
    expect(at(0.5, 0.5)).toEqual({ x: expect.closeTo(0), y: expect.closeTo(0) });
    expect(at(0.9, 0.6)).toEqual({ x: expect.closeTo(1), y: expect.closeTo(0) });
    expect(at(0.45, 0.2)).toEqual({ x: expect.closeTo(0), y: expect.closeTo(-1) });
    expect(onFace({ ...on, up: on.right }, { x: 0.1, y: 0.1 })).toBeUndefined();
  });
});

describe('a pull', () => {
  const trace = (stress: readonly number[]) => ({ seconds: stress.map((_, at) => at), stress });
  // Worked by hand: from the last reading at a tenth of the peak on.
  const given = [0, 0.4, 1.1, 1.9, 2.6, 2.6, 3.3, 4.2, 5, 5.7, 6.1];
  it('has its rate, its steepest second and its pauses', () => {
    const pulled = pulledOf(trace(given), 0.1);
    expect(pulled?.rate).toBeCloseTo(0.633, 3);
    expect(pulled?.steepest).toBeCloseTo(0.9, 9);
    expect(pulled).toMatchObject({ seconds: 9, held: 1, peak: 6.1 });
  });
  it('shows a jerk that its mean hides', () => {
    const jerked = given.map((stress, at) => (at >= 8 ? stress + 0.4 : stress));
    jerked[8] = 5.6;
    expect(pulledOf(trace(jerked), 0.1)?.steepest).toBeCloseTo(1.4, 9);
  });
  it('tells the steepest of readings that follow quickly over a second', () => {
    const seconds = Array.from({ length: 101 }, (_, place) => place / 10);
    const pulled = pulledOf({ seconds, stress: seconds.map((at) => 0.5 * at) }, 0.1);
    expect(pulled?.steepest).toBeCloseTo(0.5, 6);
    expect(pulled?.rate).toBeCloseTo(0.5, 6);
  });
  it('is nothing without a rise', () => {
    expect(pulledOf(trace([0, 0, 0]), 0.1)).toBeUndefined();
    expect(pulledOf(trace([5]), 0.1)).toBeUndefined();
    expect(pulledOf({ seconds: [0, 1], stress: [9, 1] }, 0.1)).toBeUndefined();
  });
  it('is read from two numbers a line, its heading left out', () => {
    expect(readTrace('t_s,sigma_mpa\n0,0\n0.5;1.2\n1\t2')).toEqual({
      seconds: [0, 0.5, 1],
      values: [0, 1.2, 2],
    });
    for (const text of ['', '1 2', '0 1\n0 2', '0 1\n1', '0 1\n1 x', '0 1\n2 3\n1 4'])
      expect(readTrace(text)).toBeUndefined();
  });
});

describe('glue', () => {
  // Twice the time for ten degrees (common practice, no source).
  it.each([
    [10, 51.4],
    [15, 36.4],
    [30, 12.9],
    [21, 24],
  ])('of 24 h at 21 °C is hard at %d °C after %d h', (celsius, hours) => {
    expect(cureHours(24, 21, celsius, 5, 10)).toBeCloseTo(hours, 1);
  });
  it('never hardens below what its sheet says', () => {
    expect(cureHours(24, 21, 4.9, 5, 10)).toBe(Number.POSITIVE_INFINITY);
  });
  it('is mixed for so many dollies', () => {
    expect(glueVolume(12, 50, 1)).toBeCloseTo(35.34, 2);
    expect(glueVolume(1, 50, 0.2)).toBeCloseTo(0.589, 3);
    expect(dolliesOfBatch(5, 2.5)).toBe(2);
    expect(dolliesOfBatch(4.9, 2.5)).toBe(1);
  });
});
