import { cleaned, largestAt } from './clean';
import { dropsIn, type FoundDrop } from './drops';
import { type BendLine, lineThrough } from './line';
import {
  BEND_VERSION,
  type BendAnalysis,
  type BendPoint,
  type BendRecord,
  type BendRequest,
  type BendTrouble,
} from './types';

/** Our choices: shares of the force that the straight line is taken between, points it needs, what leaves it. */
const LINE_FROM = 0.3;
const LINE_TO = 0.7;
const LINE_POINTS = 20;
const LINE_FIT = 0.99;
const AFTER_SLIP = 0.55;
const OFF_NOISES = 5;
const OFF_SHARE = 0.05;
const OFF_ROW = 10;
const OFF_BELOW = 0.98;
const LIKE = 0.2;
const FALLING = 0.85;
const BRITTLE = { share: 0.5, within: 0.05 } as const;
const STATIONARY = 0.05;
const SEATED = 0.2;
const FEWEST = 50;
const LATE = 0.2;

const none = (rows: number, troubles: readonly BendTrouble[]): BendAnalysis => ({
  version: BEND_VERSION,
  rows,
  troubles,
  noise: 0,
  spikes: [],
  drops: [],
  peak: { force: 0, at: 0 },
  firstPeak: null,
  firstCrack: null,
  deviation: null,
  stiffness: null,
  origin: 0,
  end: 0,
  energy: { crack: null, peak: 0, at85: null },
  at85: null,
  brittle: false,
  upTo: null,
  points: [],
});

/** Displacement that never falls: while it is taken back, the farthest it had come. */
function farthest(displacement: Float64Array): { readonly envelope: Float64Array; readonly back: boolean } {
  const envelope = displacement.slice();
  let back = 0;
  for (let index = 1; index < envelope.length; index += 1) {
    const before = envelope[index - 1] ?? 0;
    if ((envelope[index] ?? 0) < before) {
      back = Math.max(back, before - (displacement[index] ?? 0));
      envelope[index] = before;
    }
  }
  return { envelope, back: back > STATIONARY };
}

/** The first sample at or above a force, from a place on. */
function reaches(force: Float64Array, level: number, from: number, to: number): number | null {
  for (let index = from; index <= to; index += 1) if ((force[index] ?? 0) >= level) return index;
  return null;
}

/** The samples that the straight line is taken through; a slip of the seat inside leaves the larger usable part. */
function windowOf(
  { force }: BendRecord,
  candidate: number,
  slips: readonly FoundDrop[],
): { readonly from: number; readonly to: number } | null {
  const level = force[candidate] ?? 0;
  const from = reaches(force, LINE_FROM * level, 0, candidate);
  if (from === null) return null;
  const slip = slips
    .filter(({ peak, trough }) => trough >= from && peak <= candidate && (force[peak] ?? 0) < LINE_TO * level)
    .at(-1);
  if (!slip) {
    const to = reaches(force, LINE_TO * level, from, candidate);
    return to === null ? null : { from, to };
  }
  if ((force[slip.trough] ?? 0) < AFTER_SLIP * level) {
    const start = Math.max(
      slip.trough,
      reaches(force, LINE_FROM * level, slip.trough, candidate) ?? slip.trough,
    );
    const to = reaches(force, LINE_TO * level, start, candidate);
    return to === null ? null : { from: start, to };
  }
  return { from, to: slip.peak };
}

/**
 * Finds what a record of force over displacement says of a beam: peak, first crack, stiffness with the seating cut off,
 * forces and energies at given displacements, ductility.
 * @param request displacement in mm, force in N; any number of rows, one pass over them for each question
 * @returns never throws; what cannot be told is null and stands in `troubles`
 * Source: our algorithm; the points that are asked of it are those of ASTM C1609/C1609M and EN 14651.
 */
export function analyseBend(request: BendRequest): BendAnalysis {
  const rows = request.force.length;
  if (rows < 3) return none(rows, ['empty']);
  const { force, noise, spikes, atZero } = cleaned(request);
  const { envelope: displacement, back } = farthest(request.displacement);
  const record = { displacement, force };
  const peakIndex = largestAt(force);
  const most = force[peakIndex] ?? 0;
  if (most <= 0) return none(rows, ['empty']);
  const troubles: BendTrouble[] = [];
  if (!atZero) troubles.push('not at zero');
  if (back) troubles.push('goes back');
  if (peakIndex >= rows - 2) troubles.push('no peak');
  if ((force[0] ?? 0) > LATE * most) troubles.push('starts late');
  if (peakIndex < FEWEST) troubles.push('few points');
  const drops = dropsIn(record, peakIndex, noise);
  const cracks = drops.filter(({ kind, peak }) => kind === 'crack' && peak <= peakIndex);
  const candidate = cracks[0]?.peak ?? peakIndex;
  const level = force[candidate] ?? 0;
  if (
    cracks
      .slice(1)
      .some(({ peak }) => Math.abs((force[peak] ?? 0) - level) <= LIKE * level && peak !== peakIndex)
  )
    troubles.push('several cracks');
  const window = troubles.includes('few points')
    ? null
    : windowOf(
        record,
        candidate,
        drops.filter(({ kind }) => kind === 'seating'),
      );
  const fitted = window && lineThrough(record, window.from, window.to);
  const line = fitted && fitted.count >= LINE_POINTS && fitted.r2 >= LINE_FIT && fitted.k > 0 ? fitted : null;
  if (!line) troubles.push('no linear range');
  const origin = request.toe ? (line ? -line.c / line.k : (displacement[0] ?? 0)) : 0;
  const point = (index: number): BendPoint => ({
    force: force[index] ?? 0,
    at: (displacement[index] ?? 0) - origin,
  });
  const off = line && window ? deviation(record, line, window.to, candidate, noise) : null;
  const early = off !== null && (force[off] ?? 0) < OFF_BELOW * level;
  const crackIndex = early ? off : candidate;
  const area = areaOf(record, line && window && request.toe ? { line, from: window.from } : null, origin);
  const falling = fallsTo(record, peakIndex, FALLING * most);
  const first = firstStationary(record, peakIndex, drops, noise);
  return {
    version: BEND_VERSION,
    rows,
    troubles,
    noise,
    spikes,
    drops: drops.map(({ peak, trough, kind }) => ({
      at: (displacement[peak] ?? 0) - origin,
      peak: force[peak] ?? 0,
      trough: force[trough] ?? 0,
      kind,
    })),
    peak: point(peakIndex),
    firstPeak: first === null ? null : point(first),
    firstCrack: { ...point(crackIndex), by: early ? 'deviation' : cracks.length > 0 ? 'drop' : 'peak' },
    deviation: off === null ? null : point(off),
    stiffness:
      line && window
        ? {
            k: line.k,
            error: line.error,
            from: force[window.from] ?? 0,
            to: force[window.to] ?? 0,
            r2: line.r2,
          }
        : null,
    origin,
    end: (displacement[rows - 1] ?? 0) - origin,
    energy: {
      crack: area((displacement[crackIndex] ?? 0) - origin),
      peak: area((displacement[peakIndex] ?? 0) - origin) ?? 0,
      at85: falling === null ? null : area(falling - origin),
    },
    at85: falling === null ? null : falling - origin,
    brittle: isBrittle(record, peakIndex, most),
    upTo: request.upTo === undefined ? null : highestUpTo(record, request.upTo + origin, point),
    points: request.at.map((at) => ({ at, force: forceAt(record, at + origin), energy: area(at) })),
  };
}

/** The first of several samples in a row that lie below the straight line, after it and before the candidate. */
function deviation(
  { displacement, force }: BendRecord,
  { k, c }: BendLine,
  from: number,
  to: number,
  noise: number,
): number | null {
  const limit = Math.max(OFF_NOISES * noise, OFF_SHARE * (force[to] ?? 0));
  let row = 0;
  for (let index = from + 1; index < to; index += 1) {
    const below = k * (displacement[index] ?? 0) + c - (force[index] ?? 0);
    row = below > limit ? row + 1 : 0;
    if (row === OFF_ROW) return index - OFF_ROW + 1;
  }
  return null;
}

/** Where the force falls to a level after the peak, between its samples; null where it never does. */
function fallsTo({ displacement, force }: BendRecord, peak: number, level: number): number | null {
  for (let index = peak + 1; index < force.length; index += 1) {
    const [before, after] = [force[index - 1] ?? 0, force[index] ?? 0];
    if (after > level) continue;
    const [from, to] = [displacement[index - 1] ?? 0, displacement[index] ?? 0];
    return before === after ? to : from + ((before - level) / (before - after)) * (to - from);
  }
  return null;
}

function isBrittle({ displacement, force }: BendRecord, peak: number, most: number): boolean {
  for (let index = peak + 1; index < force.length; index += 1) {
    if ((displacement[index] ?? 0) - (displacement[peak] ?? 0) > BRITTLE.within) return false;
    if ((force[index] ?? 0) < BRITTLE.share * most) return true;
  }
  return false;
}

/** The first maximum that is not passed again within a little displacement, and is no slip of the seat. */
function firstStationary(
  { displacement, force }: BendRecord,
  peakIndex: number,
  drops: readonly FoundDrop[],
  noise: number,
): number | null {
  const slips = new Set(drops.flatMap(({ kind, peak }) => (kind === 'seating' ? [peak] : [])));
  const low = SEATED * (force[peakIndex] ?? 0);
  let ahead = 0;
  for (let index = 0; index <= peakIndex; index += 1) {
    const value = force[index] ?? 0;
    if (value < low || slips.has(index)) continue;
    const until = (displacement[index] ?? 0) + STATIONARY;
    ahead = index + 1;
    while (
      ahead < force.length &&
      (displacement[ahead] ?? 0) <= until &&
      (force[ahead] ?? 0) <= value + noise
    )
      ahead += 1;
    if (ahead >= force.length || (displacement[ahead] ?? 0) > until) return index;
  }
  return peakIndex;
}

/** The force at a displacement, between its samples; null beyond the record. */
function forceAt({ displacement, force }: BendRecord, at: number): number | null {
  const place = placeOf(displacement, at);
  if (place === null) return null;
  const [from, to] = [displacement[place - 1] ?? 0, displacement[place] ?? 0];
  const [before, after] = [force[place - 1] ?? 0, force[place] ?? 0];
  return to === from ? after : before + ((at - from) / (to - from)) * (after - before);
}

/** The first sample at or beyond a displacement, found by halving; null outside of the record. */
function placeOf(displacement: Float64Array, at: number): number | null {
  const last = displacement.length - 1;
  if (at > (displacement[last] ?? 0) || at < (displacement[0] ?? 0)) return null;
  let [low, high] = [1, last];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((displacement[middle] ?? 0) >= at) high = middle;
    else low = middle + 1;
  }
  return low;
}

function highestUpTo(
  { displacement, force }: BendRecord,
  until: number,
  point: (index: number) => BendPoint,
): BendPoint | null {
  if (until > (displacement.at(-1) ?? 0)) return null;
  let best = 0;
  for (let index = 0; index < force.length && (displacement[index] ?? 0) <= until; index += 1)
    if ((force[index] ?? 0) > (force[best] ?? 0)) best = index;
  const edge = forceAt({ displacement, force }, until);
  return edge !== null && edge > (force[best] ?? 0) ? { force: edge, at: until } : point(best);
}

/**
 * The energy up to a displacement, by trapezoids; where a toe was cut off, the straight line stands for what lies before
 * the part that it was taken through.
 * @returns N·mm; null beyond the record
 */
function areaOf(
  record: BendRecord,
  straight: { readonly line: BendLine; readonly from: number } | null,
  origin: number,
): (at: number) => number | null {
  const { displacement, force } = record;
  const start = straight ? straight.from : 0;
  const sums = new Float64Array(displacement.length);
  for (let index = start + 1; index < displacement.length; index += 1) {
    const width = (displacement[index] ?? 0) - (displacement[index - 1] ?? 0);
    sums[index] = (sums[index - 1] ?? 0) + (width * ((force[index] ?? 0) + (force[index - 1] ?? 0))) / 2;
  }
  const begins = displacement[start] ?? 0;
  const before = straight ? (straight.line.k * (begins - origin) ** 2) / 2 : 0;
  return (at) => {
    const x = at + origin;
    if (straight && x <= begins) return at < 0 ? null : (straight.line.k * at * at) / 2;
    const place = placeOf(displacement, x);
    const edge = forceAt(record, x);
    if (place === null || edge === null) return null;
    const from = displacement[place - 1] ?? 0;
    return before + (sums[place - 1] ?? 0) + ((x - from) * ((force[place - 1] ?? 0) + edge)) / 2;
  };
}
