import type { Limits } from '../limits';
import { type Exact, exact, type System } from '../quantity';
import { type MouldSize, mouldOf } from './moulds';

export type Consolidation = 'rod' | 'vibrate' | 'none';

/** What has to be counted while a mould or bowl is filled. */
export interface CountPlan {
  readonly layers: number;
  /** Strokes of the rod in each layer; zero when it is vibrated or left alone. */
  readonly strokes: number;
  /** Places the vibrator goes in, in each layer; zero when it is rodded. */
  readonly insertions: number;
  /** Least and most taps after each layer; zero where the method has none. */
  readonly taps: readonly [number, number];
  readonly rod: string;
  /** How deep the concrete stands after each layer, with its unit; empty where it is filled at once. */
  readonly marks: readonly string[];
  readonly note: string;
  /** True where every mould of a set is counted, one after another. */
  readonly everyMould?: boolean;
}

const ROD_SMALL = { US: '3/8 in rod', SI: '10 mm rod' } as const;
const ROD_LARGE = { US: '5/8 in rod', SI: '16 mm rod' } as const;
/** Self-consolidating concrete: nothing is counted. */
const ONE_LIFT: CountPlan = {
  layers: 1,
  strokes: 0,
  insertions: 0,
  taps: [0, 0],
  rod: '',
  marks: [],
  note: 'One lift, no rodding, no vibration, no tapping.',
};
const INTO =
  'Bottom layer full depth without punching the bottom, the others about 1 in [25 mm] into the layer below.';

function marksOf(total: Exact, layers: number, unit: string): string[] {
  return Array.from(
    { length: layers - 1 },
    (_, index) =>
      `${total
        .times(index + 1)
        .div(layers)
        .toDecimalPlaces(2)} ${unit}`,
  );
}

/**
 * Strokes a layer of a beam, by the area of its top, rounded up.
 * @param top area in in² or cm²
 * Source: ASTM C31/C31M, small tops ASTM C192/C192M (from memory); rounding up is our choice.
 */
export function beamStrokes(top: Exact, system: System, limits: Limits): number {
  const large = limits.number('moulding.beam-large', system);
  const small = limits.number('moulding.beam-small', system);
  if (top.lessThanOrEqualTo(small)) return limits.number('moulding.beam-least', system).toNumber();
  const each = limits.number(top.lessThan(large) ? 'moulding.beam-area-small' : 'moulding.beam-area', system);
  return top.div(each).ceil().toNumber();
}

/**
 * How a specimen is filled and consolidated.
 * @param how rodded, vibrated, or left alone (self-consolidating concrete)
 * @returns layers, strokes, insertions and taps to count
 * Source: ASTM C31/C31M, C1758/C1758M; cubes IS 516, EN 12390-2 (from memory).
 */
export function specimenCount(size: MouldSize, how: Consolidation, limits: Limits): CountPlan {
  const mould = mouldOf(size);
  const { system } = mould;
  const tapRange = limits.of('moulding.taps', system);
  const taps = [tapRange.low?.toNumber() ?? 0, tapRange.high?.toNumber() ?? 0] as const;
  const unit = system === 'US' ? 'in' : 'mm';
  const across = exact(mould.across);
  const length = exact(mould.length);
  if (how === 'none') return ONE_LIFT;
  if (mould.kind === 'cube') {
    const large = size === 'cube-150';
    const layers = how === 'vibrate' ? 2 : large ? 3 : 2;
    const strokes = limits
      .number(large ? 'moulding.cube-strokes-150' : 'moulding.cube-strokes-100', system)
      .toNumber();
    return {
      layers,
      strokes: how === 'rod' ? strokes : 0,
      insertions: how === 'vibrate' ? 1 : 0,
      taps: [0, 0],
      rod: how === 'rod' ? '16 mm bar, bullet end' : 'vibrator',
      marks: marksOf(across, layers, unit),
      note: 'At least so many; more when the concrete is stiff. Tap the sides to close holes.',
    };
  }
  if (mould.kind === 'beam') {
    const scale = system === 'US' ? 1 : 100;
    const top = exact(mould.width ?? 0)
      .times(length)
      .div(scale);
    const deep = across.greaterThan(limits.number('moulding.beam-layer', system));
    const layers =
      how === 'rod'
        ? deep
          ? Math.max(3, across.div(limits.number('moulding.beam-layer-depth', system)).ceil().toNumber())
          : 2
        : deep
          ? 2
          : 1;
    const spacing = limits.number('moulding.beam-spacing', system);
    return {
      layers,
      strokes: how === 'rod' ? beamStrokes(top, system, limits) : 0,
      insertions: how === 'vibrate' ? length.div(spacing).ceil().toNumber() : 0,
      taps,
      rod: how === 'rod' ? ROD_LARGE[system] : 'vibrator',
      marks: marksOf(across, layers, unit),
      note: `${INTO} Then trowel along sides and ends.`,
    };
  }
  const small = across.lessThan(system === 'US' ? 6 : 150);
  const wide = across.greaterThan(system === 'US' ? 6 : 150);
  const layers = how === 'vibrate' || small ? 2 : wide ? 4 : 3;
  return {
    layers,
    strokes:
      how === 'rod' ? limits.number(wide ? 'moulding.strokes-9' : 'moulding.strokes', system).toNumber() : 0,
    insertions: how === 'vibrate' ? (small ? 1 : wide ? 4 : 2) : 0,
    taps,
    rod: how === 'rod' ? (small ? ROD_SMALL[system] : ROD_LARGE[system]) : 'vibrator',
    marks: marksOf(length, layers, unit),
    note: how === 'rod' ? INTO : 'Head off walls and bottom, slowly out; until the surface is smooth.',
  };
}

/**
 * How the cone of the slump is filled, by the school of the project.
 * Source: ASTM C143, EN 12350-2, IS 1199 (from memory).
 */
export function coneCount(system: System, limits: Limits): CountPlan {
  const layers = limits.number('slump.layers', system).toNumber();
  return {
    layers,
    strokes: limits.number('slump.strokes', system).toNumber(),
    insertions: 0,
    taps: [0, 0],
    rod: ROD_LARGE[system],
    marks: slumpMarks(layers, limits.profile === 'astm' || limits.profile === 'agency', system),
    note: 'First layer: rod slightly slanted, half the strokes near the edge. Keep the top heaped; count only strokes.',
  };
}

/**
 * How a bowl or measure is filled.
 * @param rodded layers where it is rodded: two of the volumetric meter, three of the other bowls; vibrated it is two
 * Source: ASTM C173, C231, C138 (from memory).
 */
export function bowlCount(rodded: number, how: Consolidation, system: System, limits: Limits): CountPlan {
  if (how === 'none') return ONE_LIFT;
  const tapRange = limits.of('air.taps', system);
  const taps = [tapRange.low?.toNumber() ?? 0, tapRange.high?.toNumber() ?? 0] as const;
  return {
    layers: how === 'vibrate' ? 2 : rodded,
    strokes: how === 'rod' ? limits.number('air.strokes', system).toNumber() : 0,
    insertions: how === 'vibrate' ? 3 : 0,
    taps,
    rod: how === 'rod' ? ROD_LARGE[system] : 'vibrator',
    marks: [],
    note: INTO,
  };
}

/** Depths at the end of each layer of the cone: equal volumes in ASTM, equal heights in the other schools. */
function slumpMarks(layers: number, byVolume: boolean, system: System): string[] {
  if (byVolume && layers === 3) return system === 'US' ? ['2 5/8 in', '6 1/8 in'] : ['70 mm', '160 mm'];
  const height = system === 'US' ? 12 : 300;
  return marksOf(exact(height), layers, system === 'US' ? 'in' : 'mm');
}

/**
 * Depth in a slump cone at which a share of its volume is reached; the geometry behind the marks.
 * @param share 0 to 1
 * @param cone diameters of base and top and height, one unit
 */
export function coneDepth(share: number, cone: { base: number; top: number; height: number }): number {
  const { base, top, height } = cone;
  const slope = (top - base) / height;
  const whole = base ** 2 + base * top + top ** 2;
  const upTo = (depth: number): number => {
    const d = base + slope * depth;
    return (depth * (base ** 2 + base * d + d ** 2)) / (height * whole);
  };
  let [low, high] = [0, height];
  for (let round = 0; round < 60; round += 1) {
    const middle = (low + high) / 2;
    if (upTo(middle) < share) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
