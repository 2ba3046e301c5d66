/** A load on a beam: at one place, or spread evenly from one place to another. Forces and lengths in any one pair of units. */
export type BeamLoad =
  | { readonly kind: 'point'; readonly force: number; readonly at: number }
  | { readonly kind: 'spread'; readonly force: number; readonly from: number; readonly to: number };

/** A beam on two supports, a span apart; places count from the left one. */
export interface SimpleBeam {
  readonly span: number;
  readonly loads: readonly BeamLoad[];
}

const middleOf = (load: BeamLoad): number => (load.kind === 'point' ? load.at : (load.from + load.to) / 2);

/** What of a load lies to the left of a place, and where its middle is. */
function leftOf(load: BeamLoad, x: number): { readonly force: number; readonly at: number } {
  if (load.kind === 'point') return { force: load.at < x ? load.force : 0, at: load.at };
  const end = Math.min(Math.max(x, load.from), load.to);
  const width = load.to - load.from;
  return {
    force: width > 0 ? (load.force * (end - load.from)) / width : load.from < x ? load.force : 0,
    at: (load.from + end) / 2,
  };
}

/**
 * What the supports carry.
 * @returns forces of the left and the right support
 * Source: equilibrium of moments.
 */
export function reactionsOf({ span, loads }: SimpleBeam): { readonly left: number; readonly right: number } {
  const right = loads.reduce((sum, load) => sum + (load.force * middleOf(load)) / span, 0);
  const all = loads.reduce((sum, { force }) => sum + force, 0);
  return { left: all - right, right };
}

/** Shear just right of a place, positive upwards on its left side. Source: equilibrium. */
export function shearAt(beam: SimpleBeam, x: number): number {
  const { left } = reactionsOf(beam);
  // A point load at the place itself lies to the left of what is just right of it.
  const beyond = x + beam.span * 1e-12;
  return left - beam.loads.reduce((sum, load) => sum + leftOf(load, beyond).force, 0);
}

/** Bending moment at a place, sagging positive. Source: equilibrium. */
export function momentAt(beam: SimpleBeam, x: number): number {
  const { left } = reactionsOf(beam);
  return beam.loads.reduce((sum, load) => {
    const { force, at } = leftOf(load, x);
    return sum - force * (x - at);
  }, left * x);
}

/** Places where shear or moment change their law: ends, point loads, ends of spread loads. */
export function cornersOf({ span, loads }: SimpleBeam): number[] {
  const places = loads.flatMap((load) => (load.kind === 'point' ? [load.at] : [load.from, load.to]));
  return [...new Set([0, ...places, span])].toSorted((a, b) => a - b);
}

/** The largest moment and where it is. Under a spread load it lies where the shear passes through nought. */
export function largestMoment(beam: SimpleBeam): { readonly moment: number; readonly at: number } {
  const corners = cornersOf(beam);
  const zeros = corners.flatMap((from, index) => {
    const to = corners[index + 1];
    if (to === undefined) return [];
    const [one, two] = [shearAt(beam, from), shearAt(beam, to - beam.span * 1e-9)];
    return one > 0 && two < 0 ? [from + (one / (one - two)) * (to - from)] : [];
  });
  return [...corners, ...zeros]
    .map((at) => ({ moment: momentAt(beam, at), at }))
    .reduce((most, each) => (each.moment > most.moment + 1e-12 * Math.abs(most.moment) ? each : most));
}

/** The largest shear, either way. */
export function largestShear(beam: SimpleBeam): number {
  const { span } = beam;
  return Math.max(
    ...cornersOf(beam).flatMap((at) => [
      Math.abs(shearAt(beam, Math.min(at, span * (1 - 1e-9)))),
      Math.abs(shearAt(beam, Math.max(0, at - span * 1e-9))),
    ]),
  );
}

const slices = (span: number, from: number, to: number, most = 64): number =>
  Math.max(2, 2 * Math.ceil((most * (to - from)) / (2 * span)));

/**
 * How far the middle of the span goes down, by the work of a unit load there; exact, since the moments are parabolas at most.
 * @param stiffness E·I
 * Source: principle of virtual work, Simpson's rule from corner to corner.
 */
export function middleDeflection(beam: SimpleBeam, stiffness: number): number {
  const { span } = beam;
  const unit = (x: number): number => Math.min(x, span - x) / 2;
  const corners = [...new Set([...cornersOf(beam), span / 2])].toSorted((a, b) => a - b);
  let sum = 0;
  corners.slice(1).forEach((to, index) => {
    const from = corners[index] ?? 0;
    const count = slices(span, from, to);
    const step = (to - from) / count;
    for (let place = 0; place <= count; place += 1) {
      const x = from + place * step;
      const weight = place === 0 || place === count ? 1 : place % 2 === 1 ? 4 : 2;
      sum += ((weight * step) / 3) * momentAt(beam, x) * unit(x);
    }
  });
  return sum / stiffness;
}
