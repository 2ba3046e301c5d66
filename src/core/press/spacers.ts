import { type Exact, exact } from '../quantity';

/** A press with its spacers, all lengths in one unit (in or mm), loads in lbf or kN. */
export interface PressSpace {
  /** From the top of the ram, down, to the face of the upper block. */
  readonly clearHeight: Exact;
  readonly lowerBlock: Exact;
  readonly stroke: Exact;
  readonly spacers: readonly Exact[];
  /** Specimen with its caps, or with its pads and retainers. */
  readonly assembly: Exact;
  /** Travel that the test itself takes: ends, shortening, frame, after the peak. */
  readonly give: Exact;
  readonly gap: { readonly low: Exact; readonly target: Exact; readonly high: Exact };
  /** End of the stroke that is kept free: the larger of a length and a share of the stroke in percent. */
  readonly margin: { readonly length: Exact; readonly percent: Exact };
}

/** One stack of spacers in the press. */
export interface SpacerStack {
  /** Largest first: the largest lies lowest. */
  readonly spacers: readonly Exact[];
  readonly gap: Exact;
  /** How far the ram goes until the test is over. */
  readonly travel: Exact;
  /** What of the stroke may be used. */
  readonly usable: Exact;
  readonly trouble: 'none' | 'does not go in' | 'gap too small' | 'gap too large' | 'beyond the stroke';
}

/** How a given stack stands in a press. */
export function stackOf(space: PressSpace, spacers: readonly Exact[]): SpacerStack {
  const sum = spacers.reduce((total, each) => total.plus(each), exact(0));
  const gap = space.clearHeight.minus(space.lowerBlock).minus(sum).minus(space.assembly);
  const travel = gap.plus(space.give);
  const share = space.stroke.times(space.margin.percent).div(100);
  const kept = share.greaterThan(space.margin.length) ? share : space.margin.length;
  const usable = space.stroke.minus(kept);
  const trouble = gap.lessThanOrEqualTo(0)
    ? 'does not go in'
    : travel.greaterThan(usable)
      ? 'beyond the stroke'
      : gap.lessThan(space.gap.low)
        ? 'gap too small'
        : gap.greaterThan(space.gap.high)
          ? 'gap too large'
          : 'none';
  return { spacers: spacers.toSorted((a, b) => b.comparedTo(a)), gap, travel, usable, trouble };
}

/**
 * Chooses the spacers of a press so that the gap is right and the ram stays within its stroke: fewest pieces first,
 * then the gap nearest to the target.
 * @returns the best stack; where none fits, the nearest one with what is wrong with it
 * Source: our choice; spacers under the lower block only: ASTM C39/C39M (from memory).
 */
export function chooseSpacers(space: PressSpace): SpacerStack {
  const count = Math.min(space.spacers.length, 10);
  const all: SpacerStack[] = [];
  for (let mask = 0; mask < 2 ** count; mask += 1) {
    all.push(
      stackOf(
        space,
        space.spacers.filter((_, index) => index < count && (mask & (1 << index)) !== 0),
      ),
    );
  }
  const off = ({ gap }: SpacerStack): Exact => gap.minus(space.gap.target).abs();
  const fitting = all.filter(({ trouble }) => trouble === 'none');
  const [best] = fitting.toSorted((a, b) => a.spacers.length - b.spacers.length || off(a).comparedTo(off(b)));
  if (best) return best;
  // Nothing fits: the one that comes nearest shows what is missing; one that goes in stands before one that does not.
  const goes = all.filter(({ trouble }) => trouble !== 'does not go in');
  const [nearest] = (goes.length > 0 ? goes : all).toSorted((a, b) => off(a).comparedTo(off(b)));
  return nearest ?? stackOf(space, []);
}

/** Height of one more spacer that would bring the gap of a stack to the target; undefined when it is too small already. */
export function missingSpacer(space: PressSpace, stack: SpacerStack): Exact | undefined {
  const wanted = stack.gap.minus(space.gap.target);
  return wanted.greaterThan(0) ? wanted : undefined;
}
