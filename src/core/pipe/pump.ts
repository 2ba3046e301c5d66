import { type Exact, exact, type System } from '../quantity';

/** A hand pump on its rams: oil of a stroke in in³ or mL, area in in² or mm². */
export interface HandPump {
  readonly stroke: Exact;
  readonly count: Exact;
  readonly area: Exact;
}

/**
 * The way that a stroke of the pump moves the rams, in in or mm.
 * Source: its volume over the area of all rams; common practice, no source.
 */
export function wayOfStroke({ stroke, count, area }: HandPump, system: System): Exact {
  return stroke.times(system === 'US' ? 1 : 1000).div(count.times(area));
}

/** The load that a stroke adds, lbf or kN. @param stiffness of frame and pipe together, lbf/in or kN/mm */
export function loadOfStroke(pump: HandPump, stiffness: Exact, system: System): Exact {
  return wayOfStroke(pump, system).times(stiffness);
}

/**
 * Strokes in ten seconds that keep a rate; undefined where a stroke adds nothing.
 * @param rate lbf or kN a minute @param ofStroke what a stroke adds, in the same
 */
export function strokesInTen(rate: Exact, ofStroke: Exact): Exact | undefined {
  return ofStroke.greaterThan(0) ? rate.div(6).div(ofStroke) : undefined;
}

/** What strokes that were counted say of frame and pipe, lbf/in or kN/mm; undefined where they say nothing. */
export function stiffnessBy(
  { load, strokes }: { readonly load: Exact; readonly strokes: number },
  pump: HandPump,
  system: System,
): Exact | undefined {
  const way = wayOfStroke(pump, system).times(exact(strokes));
  return strokes > 0 && load.greaterThan(0) && way.greaterThan(0) ? load.div(way) : undefined;
}
