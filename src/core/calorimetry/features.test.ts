import { describe, expect, it } from 'vitest';
import { rateFactor } from '../cement/setting';
import { findFeatures } from './features';
import { slopes, smoothed } from './filters';
import { heatBetween } from './heat';
import { MODEL_CEMENT, MODEL_ENERGY, type ModelCement, modelPower } from './model';

const DT = 1 / 60;
const WEEK = 168 * 60 + 1;
const curve = (of: (hours: number) => number, points = WEEK): Float64Array =>
  Float64Array.from({ length: points }, (_, minute) => of(minute / 60));
const modelled = (over: Partial<ModelCement>): Float64Array =>
  curve((hours) => modelPower({ ...MODEL_CEMENT, ...over }, hours));
const found = (over: Partial<ModelCement>, power = modelled(over), noise = 0) => {
  const features = findFeatures({
    power,
    first: 0,
    dt: DT,
    from: 0.75,
    faster: rateFactor(over.celsius ?? 23, MODEL_ENERGY),
    noise,
  });
  if (!features) throw new Error('nothing was found');
  return features;
};

describe('a curve whose truth is known in closed form', () => {
  // p = 0.3 + 3·exp(−(t−8)²/8): its maximum, steepest place, crossings and integral by hand.
  const bell = (t: number): number => 0.3 + 3 * Math.exp(-((t - 8) ** 2) / 8);
  const power = curve(bell, 24 * 60 + 1);

  it('has its maximum, its steepest rise and the end of the induction where they are', () => {
    const features = found({}, power);
    expect(features.main.at).toBeCloseTo(8, 2);
    expect(features.main.power).toBeCloseTo(3.3, 3);
    // 3·(2/4)·exp(−1/2) at t = 6; its tangent meets the level at 6 − 2.
    expect(features.steepest.at).toBeCloseTo(6, 1);
    expect(features.steepest.slope).toBeCloseTo(0.907, 3);
    expect(features.inductionEnds).toBeCloseTo(4, 1);
  });
  it('passes half of its height and half of its rise when it does', () => {
    const [, half] = found({}, power).indicated;
    expect(half?.max).toBeCloseTo(8 - Math.sqrt(8 * Math.log(3 / 1.35)), 2);
    expect(half?.rise).toBeCloseTo(5.648, 2);
  });
  it('gives off what its integral says', () => {
    // ∫ = 0.3·24 + 3·√(8π)/2·[erf(16/√8) + erf(8/√8)], times 3.6; erf(2.8284) = 0.999937 (tables).
    const integral = 0.3 * 24 + ((3 * Math.sqrt(8 * Math.PI)) / 2) * (1 + 0.9999367);
    expect(heatBetween(power, 0, DT, 0, 24)).toBeCloseTo(3.6 * integral, 2);
    expect(heatBetween(power, 0, DT, 0, 25)).toBeUndefined();
    expect(heatBetween(power, 0, DT, 5, 5)).toBeUndefined();
  });
  it('is added up over ends that fall between two points', () => {
    const line = curve((t) => t, 61);
    // ∫ t dt from 0.105 to 0.905, exactly for a straight line.
    expect(heatBetween(line, 0, DT, 0.105, 0.905)).toBeCloseTo((3.6 * (0.905 ** 2 - 0.105 ** 2)) / 2, 9);
  });
  it('is flat: there is nothing to be found', () => {
    const flat = curve(() => 0.4, 2000);
    expect(findFeatures({ power: flat, first: 0, dt: DT, from: 0.75, faster: 1 })).toBeUndefined();
    expect(findFeatures({ power: flat.slice(0, 20), first: 0, dt: DT, from: 0, faster: 1 })).toBeUndefined();
  });
});

describe('the filters', () => {
  it('leave a parabola as it is, and know its slope', () => {
    const parabola = Float64Array.from({ length: 200 }, (_, x) => 3 + 2 * x - 0.01 * x * x);
    const smooth = smoothed(parabola, 15);
    const slope = slopes(parabola, 15, 1);
    for (const at of [2, 20, 100, 197]) {
      expect(smooth[at]).toBeCloseTo(parabola[at] as number, 9);
      expect(slope[at]).toBeCloseTo(2 - 0.02 * at, 9);
    }
  });
  it('take noise down and shrink at the ends', () => {
    const zigzag = Float64Array.from({ length: 101 }, (_, x) => (x % 2 === 0 ? 1 : -1));
    expect(Math.abs(smoothed(zigzag, 15)[50] as number)).toBeLessThan(0.05);
    expect(smoothed(zigzag, 15)[0]).toBe(1);
    expect(slopes(zigzag, 15, 1)[100]).toBe(2);
  });
});

// The truth of the model (our own), a minute apart without noise, as the search finds it: from memory of how it was set.
type Known = [Partial<ModelCement>, 'peak' | 'shoulder', ...number[]];
const KNOWN: Known[] = [
  [{}, 'peak', 8.15, 3.479, 2.65, 1.045, 3.5, 4.797, 4.98, 12.13, 103.28, 186.92, 270.79, 311.88],
  [
    { aluminate: 20 },
    'peak',
    8.17,
    3.48,
    2.65,
    1.045,
    3.5,
    4.798,
    4.98,
    12.6,
    105.43,
    196.92,
    280.79,
    321.88,
  ],
  [
    { sulfate: 3.5 },
    'shoulder',
    8.13,
    3.481,
    2.65,
    1.046,
    3.5,
    4.796,
    4.978,
    15.82,
    101.23,
    186.97,
    270.84,
    311.92,
  ],
  [
    { sulfate: 2 },
    'shoulder',
    7.25,
    2.849,
    3.62,
    1.543,
    5.17,
    5.894,
    5.997,
    11.17,
    72.19,
    142.06,
    229.68,
    271.94,
  ],
  [
    { celsius: 35 },
    'peak',
    4.33,
    6.55,
    1.42,
    3.703,
    1.86,
    2.548,
    2.645,
    6.45,
    181.13,
    239.77,
    303.31,
    331.11,
  ],
  [
    { celsius: 10 },
    'peak',
    17.18,
    1.65,
    5.6,
    0.235,
    7.37,
    10.114,
    10.499,
    25.57,
    28.45,
    95.89,
    218.02,
    276.73,
  ],
  [{ lag: 3 }, 'peak', 11.22, 3.431, 5.48, 1.074, 6.45, 7.879, 7.966, 15.15, 67.99, 173.88, 268.21, 311.2],
  [
    { other: 0.25 },
    'shoulder',
    7.83,
    2.799,
    2.53,
    0.877,
    3.36,
    4.625,
    4.793,
    12.83,
    82.85,
    146.03,
    208.58,
    239.29,
  ],
  [
    { fineness: 450 },
    'shoulder',
    7.07,
    3.964,
    2.28,
    1.373,
    3.04,
    4.181,
    4.333,
    12.87,
    118,
    195.15,
    272.58,
    312.38,
  ],
];

describe('what was put into the model is found', () => {
  it.each(KNOWN)('%o', (over, kind, ...known) => {
    const [S = 0, top = 0, low = 0, slope = 0, ends = 0, max = 0, rise = 0, second = 0, ...heats] = known;
    const features = found(over);
    expect(features.main.at).toBeCloseTo(S, 1);
    expect(features.main.power / top).toBeCloseTo(1, 2);
    expect(features.lowest.at).toBeCloseTo(low, 1);
    expect(features.steepest.slope / slope).toBeCloseTo(1, 2);
    expect(features.inductionEnds).toBeCloseTo(ends, 1);
    expect(features.indicated[1]?.max).toBeCloseTo(max, 2);
    expect(features.indicated[1]?.rise).toBeCloseTo(rise, 2);
    expect([features.second?.kind, features.unclear]).toEqual([kind, undefined]);
    expect(features.second?.at).toBeCloseTo(second, 1);
    const power = modelled(over);
    const heat = [12, 24, 72, 168].map((age) => heatBetween(power, 0, DT, 0, age)?.toFixed(2));
    expect(heat).toEqual(heats.map((each) => each.toFixed(2)));
  });
  it('does not say which came first where one rises on the other', () => {
    const features = found({ sulfate: 2.4 });
    expect(features.second).toBeUndefined();
    expect(features.unclear?.at).toBeCloseTo(6.98, 1);
    expect(features.main.at).toBeCloseTo(9.28, 1);
  });
  it('has the power that the model has', () => {
    const at = (hours: number) => modelPower(MODEL_CEMENT, hours);
    const told = [
      [0, 23.848],
      [0.25, 3.54],
      [1, 0.5507],
      [4, 0.9426],
      [12, 3.3399],
      [168, 0.0618],
    ] as const;
    for (const [hours, power] of told) expect(at(hours)).toBeCloseTo(power, 3);
  });
  it('is found through noise', () => {
    // A fixed noise of 0.01 mW/g: the same every time.
    let state = 12_345;
    const random = (): number => {
      state = (state * 1_103_515_245 + 12_345) % 2_147_483_648;
      return state / 2_147_483_648;
    };
    const noisy = modelled({}).map(
      (each) => each + 0.01 * Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random()),
    );
    const features = found({}, noisy, 0.01);
    expect(Math.abs((features.indicated[1]?.max ?? 0) - 4.797)).toBeLessThan(0.03);
    expect(Math.abs(features.main.at - 8.15)).toBeLessThan(0.2);
    expect(features.second?.kind).toBe('peak');
  });
  it('sets sooner where it is warmer, by one factor', () => {
    const factor = rateFactor(35, MODEL_ENERGY);
    const [cold, warm] = [found({}).indicated[1]?.max ?? 0, found({ celsius: 35 }).indicated[1]?.max ?? 0];
    expect(cold / warm).toBeCloseTo(factor, 2);
  });
});
