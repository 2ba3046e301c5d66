import type { LimitId, Limits } from '../../limits';
import { productLimit } from '../../materials/masonry/criteria';
import { COUPON, FULL } from '../../materials/masonry/forms';
import { type Exact, exact, meanOf, type System } from '../../quantity';
import { factMeasure, factText, factTexts } from '../facts';
import { expectedLoad as expectedOn, loadOn } from '../masonry-press/rates';
import { declaredStrength, loadedBy } from '../masonry-press/school';
import { STRESS_UNIT } from '../press';
import type { RunSetup } from '../setup';
import { specifiedSizes } from '../unit-absorption/compute';
import { meanSide, SIDES, type Side } from '../unit-absorption/measured';
import type { UnitCompressionInput } from './input';

/** The share of solid that units usually have, up to the width at which the next size begins. Source: common practice, no source. */
const SHARES: readonly (readonly [next: LimitId, share: LimitId])[] = [
  ['unit.width-6', 'unit.share-4'],
  ['unit.width-8', 'unit.share-6'],
  ['unit.width-10', 'unit.share-8'],
  ['unit.width-12', 'unit.share-10'],
];

/** What the load is divided by: the mean net area of the set’s dried units, or an estimate until they are dry. */
export interface BearingArea {
  readonly area: Exact;
  /** Net areas of the dried units, unrounded; empty for an estimate. */
  readonly of: readonly Exact[];
  /** Its own length and thickness, for a coupon: its area is no other’s. */
  readonly own?: { readonly L: Exact; readonly t: Exact };
  /** Length and width, where its school goes by the gross area. */
  readonly gross?: { readonly L: Exact; readonly W: Exact };
  /** Why it can still change; absent when every unit of the set is dry. */
  readonly open?: string;
}

/** True for a coupon sawn out of a face shell. */
export function isCoupon(setup: RunSetup): boolean {
  return setup.specimen?.form === COUPON || factText(setup, 'sawn') === 'coupon';
}

/** True for what is no longer a whole unit: it came so, or it was sawn. */
export function isCut(setup: RunSetup): boolean {
  const { form } = setup.specimen ?? {};
  return (form !== undefined && form !== FULL) || (factText(setup, 'sawn') ?? 'none') !== 'none';
}

/** The sizes of a unit: as measured, else as specified; in or mm. */
export function sizesOf(input: UnitCompressionInput, setup: RunSetup): Partial<Record<Side, Exact>> {
  const specified = isCut(setup) ? {} : specifiedSizes(setup, input.system);
  return Object.fromEntries(
    SIDES.flatMap((side) => {
      const size = meanSide(input, side) ?? specified[side];
      return size ? [[side, size]] : [];
    }),
  );
}

/**
 * The area that a unit bears on.
 * @returns undefined while neither its set is dried nor its sizes are known
 * Source: ASTM C140/C140M 9 (from memory): the mean net area of the units that were soaked and dried.
 */
export function bearingArea(
  input: UnitCompressionInput,
  setup: RunSetup,
  limits: Limits,
): BearingArea | undefined {
  if (isCoupon(setup)) {
    const [L, t] = [meanSide(input, 'length'), meanSide(input, 'width')];
    return L && t ? { area: L.times(t), of: [], own: { L, t } } : undefined;
  }
  const sides = sizesOf(input, setup);
  if (loadedBy(setup) && sides.length && sides.width)
    return { area: sides.length.times(sides.width), of: [], gross: { L: sides.length, W: sides.width } };
  const of = factTexts(setup, 'netAreas').map((text) => exact(text));
  const wanted = factTexts(setup, 'areaUnits').length;
  const { width, length } = sides;
  if (of.length > 0)
    return {
      area: meanOf(of),
      of,
      ...(of.length < wanted ? { open: `${of.length} of ${wanted} units for the area are dry` } : {}),
    };
  if (!width || !length) return undefined;
  return {
    area: length.times(width).times(usualShare(width, input.system, limits)),
    of: [],
    open: 'the area is estimated until the units for absorption are dry',
  };
}

/** The usual share of solid for a width, 0 to 1. */
export function usualShare(width: Exact, system: System, limits: Limits): Exact {
  const found = SHARES.find(([next]) => width.lessThan(limits.number(next, system)));
  return limits.number(found?.[1] ?? 'unit.share-12', system).div(100);
}

/** Strength that is asked of the set, and of each; psi or MPa. */
export function required(
  setup: RunSetup,
  which: 'mean' | 'each',
  system: System,
  limits: Limits,
): Exact | undefined {
  const own = factMeasure(setup, which === 'mean' ? 'leastMean' : 'leastEach', 'stress', STRESS_UNIT[system]);
  if (own) return own;
  return (
    declaredStrength(setup, which, system, limits) ??
    productLimit(factText(setup, 'product'), which, limits, system)
  );
}

/** Load that the mean strength asks for on an area. */
export function requiredLoad(
  area: Exact,
  setup: RunSetup,
  system: System,
  limits: Limits,
): Exact | undefined {
  return loadOn(area, required(setup, 'mean', system, limits), system);
}

/** Load that a unit will probably take on an area. */
export function expectedLoad(
  area: Exact,
  setup: RunSetup,
  system: System,
  limits: Limits,
): Exact | undefined {
  return expectedOn(area, required(setup, 'mean', system, limits), setup, system, limits);
}
