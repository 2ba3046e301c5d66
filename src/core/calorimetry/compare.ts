/** A curve as it is laid beside others: points of it, and what was found of it. */
export interface LaidCurve {
  /** Hours since water met cement, rising, and mW to a gram. */
  readonly hours: readonly number[];
  readonly power: readonly number[];
  readonly peak: number | undefined;
  readonly half: number | undefined;
  readonly slope: number | undefined;
  /** J/g from one hour on, by age in hours. */
  readonly heat: ReadonlyMap<number, number>;
}

/** What a curve is off another by. */
export interface HeatDifference {
  readonly half: number | undefined;
  /** Percent of the first. */
  readonly peak: number | undefined;
  readonly slope: number | undefined;
  readonly heat: ReadonlyMap<number, number>;
  /** Root of the mean square of the difference from 1 to 48 h, mW/g. */
  readonly apart: number | undefined;
}

/** From when on heat is compared between curves, and the ages that it is compared at, h. */
export const COMPARED_FROM = 1;
export const COMPARED_AT = [12, 24, 72, 168] as const;
const TO_H = 48;
const STEP_H = 0.1;

const at = ({ hours, power }: LaidCurve, when: number): number | undefined => {
  const next = hours.findIndex((hour) => hour >= when);
  if (next === -1) return undefined;
  const [b, to] = [hours[next] as number, power[next] as number];
  if (next === 0) return b - when < STEP_H ? to : undefined;
  const [a, from] = [hours[next - 1] as number, power[next - 1] as number];
  return from + ((to - from) * (when - a)) / (b - a);
};

/** What the second curve is off the first: times in hours, heat in J/g. */
export function heatDifference(first: LaidCurve, second: LaidCurve): HeatDifference {
  const percent = (of: 'peak' | 'slope'): number | undefined => {
    const [a, b] = [first[of], second[of]];
    return a === undefined || b === undefined || a === 0 ? undefined : (100 * (b - a)) / a;
  };
  let [sum, count] = [0, 0];
  for (let when = COMPARED_FROM; when <= TO_H; when += STEP_H) {
    const [a, b] = [at(first, when), at(second, when)];
    if (a === undefined || b === undefined) continue;
    sum += (b - a) ** 2;
    count += 1;
  }
  return {
    half: first.half === undefined || second.half === undefined ? undefined : second.half - first.half,
    peak: percent('peak'),
    slope: percent('slope'),
    heat: new Map(
      [...first.heat].flatMap(([age, heat]) => {
        const other = second.heat.get(age);
        return other === undefined ? [] : [[age, other - heat] as const];
      }),
    ),
    apart: count < 2 ? undefined : Math.sqrt(sum / count),
  };
}

/** How far two curves of one mix lie apart at the most. */
export interface AlikeWithin {
  /** Percent of the main maximum, hours of half of it, J/g of three days. */
  readonly peak: number;
  readonly half: number;
  readonly heat: number;
}

/** Which features of two curves lie further apart than those of one mix do; none where they are the same. */
export function unlike(
  { peak, half, heat }: HeatDifference,
  within: AlikeWithin,
): ('peak' | 'half' | 'heat')[] {
  const beyond = (value: number | undefined, most: number): boolean =>
    value !== undefined && Math.abs(value) > most + 1e-9;
  return [
    ...(beyond(peak, within.peak) ? (['peak'] as const) : []),
    ...(beyond(half, within.half) ? (['half'] as const) : []),
    ...(beyond(heat.get(72), within.heat) ? (['heat'] as const) : []),
  ];
}
