import { fitLine } from '../statistics/line';

/** A fall of the needle: minutes since the water met the cement, mm that it went in. */
export interface Fall {
  readonly minutes: number;
  readonly depth: number;
}

/** When the needle goes in by no more than it is asked for. */
export type Initial =
  | { readonly kind: 'between'; readonly from: Fall; readonly to: Fall; readonly minutes: number }
  /** The first fall that counts lies below already: no more than its time. */
  | { readonly kind: 'at most'; readonly minutes: number }
  /** None lies below yet: at least the time of the last. */
  | { readonly kind: 'at least'; readonly minutes: number }
  | { readonly kind: 'none' };

/**
 * The initial set by the falls that count.
 * @param falls in the order of time @param depth that it is told at, mm @param rise that is no setting, mm
 * @returns the last crossing of that depth, by interpolation; `risen` where a later fall goes deeper again
 * Source: ASTM C191 (from memory): between the last fall deeper than 25 mm and the first that is not.
 */
export function initialOf(
  falls: readonly Fall[],
  depth: number,
  rise: number,
): Initial & { readonly risen?: true } {
  const [first] = falls;
  const last = falls.at(-1);
  if (!first || !last) return { kind: 'none' };
  // A fall that is below stays below: one that goes deeper again afterwards is no setting, and the crossing after it counts.
  const staysBelow = (place: number): boolean =>
    falls.slice(place + 1).every((fall) => fall.depth <= depth + rise);
  const to = falls.findIndex((fall, place) => fall.depth <= depth && staysBelow(place));
  const risen = falls.some((fall, place) => fall.depth <= depth && !staysBelow(place))
    ? { risen: true as const }
    : {};
  if (to < 0) return { kind: 'at least', minutes: last.minutes, ...risen };
  const from = falls.slice(0, to).findLast((fall) => fall.depth > depth);
  const end = falls[to] ?? last;
  if (!from) return { kind: 'at most', minutes: end.minutes };
  const minutes =
    ((end.minutes - from.minutes) / (from.depth - end.depth)) * (from.depth - depth) + from.minutes;
  return { kind: 'between', from, to: end, minutes, ...risen };
}

/** A look at the mark of the needle: minutes since the water met the cement. */
export interface Look {
  readonly minutes: number;
  readonly circle: 'whole' | 'part' | 'none';
}

/** How far the final set is told. */
export type Final =
  | { readonly kind: 'set'; readonly minutes: number }
  /** No circle was left at a fall: so many more without one, within the time from it. */
  | { readonly kind: 'confirm'; readonly from: number; readonly more: number }
  /** Too few looks came within the time: all three again. */
  | { readonly kind: 'late'; readonly from: number }
  | { readonly kind: 'not yet' };

/** More falls that have to leave no circle either. */
const CONFIRMED_BY = 2;

/**
 * The final set: the first fall that leaves no whole circle, where two more at other places leave none either.
 * @param looks in the order of time @param within seconds for the two others, from the first
 * Source: ASTM C191 (from memory).
 */
export function finalOf(looks: readonly Look[], within: number): Final {
  const open = looks.findIndex((_, place) => {
    const then = checks(looks, place, within);
    return (then?.length ?? 0) >= CONFIRMED_BY && then?.every(({ circle }) => circle === 'none') === true;
  });
  const set = looks[open];
  if (set) return { kind: 'set', minutes: set.minutes };
  // What is still open is the last run of falls without a circle.
  const lastCircle = looks.findLastIndex(({ circle }) => circle !== 'none');
  const first = looks[lastCircle + 1];
  if (!first) return { kind: 'not yet' };
  const later = looks.slice(lastCircle + 2);
  const inTime = later.filter(({ minutes }) => (minutes - first.minutes) * 60 <= within + EASE).length;
  return later.length > inTime
    ? { kind: 'late', from: (later[inTime] ?? first).minutes }
    : { kind: 'confirm', from: first.minutes, more: CONFIRMED_BY - inTime };
}

/** Seconds that a time loses on its way through minutes. */
const EASE = 1e-6;

/** The looks within the time after one without a circle; undefined for one with a circle. */
function checks(looks: readonly Look[], place: number, within: number): readonly Look[] | undefined {
  const first = looks[place];
  if (first?.circle !== 'none') return undefined;
  return looks.slice(place + 1).filter(({ minutes }) => (minutes - first.minutes) * 60 <= within + EASE);
}

/** A curve through falls: 40 / (1 + (t / a)^n), of a ring 40 mm deep. */
export interface SettingCurve {
  readonly n: number;
  readonly a: number;
}

/** Falls that tell something of a curve: neither through the ring nor on its skin. */
const TELLS = { least: 2, most: 39, count: 3 } as const;

/**
 * A curve through the falls so far, for when the next marks may come; undefined with fewer than three that tell anything.
 * @param ring depth of the ring, mm
 * Source: our choice: ln(40/p − 1) over ln t is a line; a guess, never a result.
 */
export function settingCurve(falls: readonly Fall[], ring: number): SettingCurve | undefined {
  const points = falls
    .filter(({ depth, minutes }) => depth > TELLS.least && depth < TELLS.most && minutes > 0)
    .map(({ minutes, depth }) => ({ x: Math.log(minutes), y: Math.log(ring / depth - 1) }));
  if (points.length < TELLS.count) return undefined;
  const line = fitLine(points);
  if (!line || !(line.slope > 0)) return undefined;
  return { n: line.slope, a: Math.exp(-line.intercept / line.slope) };
}

/** When the curve comes to a depth, minutes. @param ring depth of the ring, mm */
export function whenAt({ n, a }: SettingCurve, depth: number, ring: number): number {
  return a * (ring / depth - 1) ** (1 / n);
}

/** How far the needle goes in at a time, by the curve; mm. */
export function depthAt({ n, a }: SettingCurve, minutes: number, ring: number): number {
  return minutes <= 0 ? ring : ring / (1 + (minutes / a) ** n);
}

/** The depth at which no circle is left any more, mm; our choice. */
export const FINAL_DEPTH = 0.5;

/** The curve of a paste whose initial and final set are known. @param depth of the initial set, mm */
export function curveOf(initial: number, final: number, depth: number, ring: number): SettingCurve {
  const n = Math.log((ring / FINAL_DEPTH - 1) / (ring / depth - 1)) / Math.log(final / initial);
  return { n, a: initial / (ring / depth - 1) ** (1 / n) };
}

/**
 * How much faster a paste sets at a temperature than at 23 °C.
 * @param celsius of the paste @param energy activation energy, J/mol
 * Source: Arrhenius' law; its energy is our choice.
 */
export function rateFactor(celsius: number, energy: number): number {
  const R = 8.314462618;
  return Math.exp((energy / R) * (1 / 296.15 - 1 / (celsius + 273.15)));
}
