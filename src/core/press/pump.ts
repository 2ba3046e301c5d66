/** A hand pump with what it pushes against. Volumes mm³, pressure MPa, area mm². */
export interface Pump {
  /** Area of its ram. */
  readonly ram: number;
  /** What oil, hose, frame and glue give way, a MPa. */
  readonly gives: number;
  /** Air that is trapped in it, at the pressure of the air. */
  readonly air: number;
  /** What one stroke pushes. */
  readonly stroke: number;
}

const OUTSIDE = 0.101325;

/** What has to be pushed to a pressure, mm³. */
export function pushed({ gives, air }: Pump, pressure: number): number {
  return gives * pressure + air * (1 - OUTSIDE / (pressure + OUTSIDE));
}

/** The pressure after so much was pushed, MPa. */
export function pressureAfter(pump: Pump, volume: number): number {
  // gives p² + (gives p0 + air − volume) p − volume p0 = 0
  const b = pump.gives * OUTSIDE + pump.air - volume;
  return (-b + Math.sqrt(b * b + 4 * pump.gives * volume * OUTSIDE)) / (2 * pump.gives);
}

/** Rise of the pressure while a stroke goes on, MPa/s. @param seconds of one stroke */
export function pressureRate(pump: Pump, pressure: number, seconds: number): number {
  return pump.stroke / seconds / (pump.gives + (pump.air * OUTSIDE) / (pressure + OUTSIDE) ** 2);
}

/**
 * How to pump so that the stress is reached in the middle of a stroke, where there is no jerk.
 * @param stress MPa @param face area of the dolly, mm²
 * @returns strokes in all, the part of a stroke to begin with, and the seconds a stroke takes at the least for a rate, MPa/s
 * Source: our choice.
 */
export function strokesTo(
  pump: Pump,
  { stress, face, most }: { stress: number; face: number; most: number },
): { readonly strokes: number; readonly first: number; readonly seconds: number } {
  const pressure = (stress * face) / pump.ram;
  const strokes = pushed(pump, pressure) / pump.stroke;
  const wanted = strokes - 0.5;
  const first = wanted - Math.floor(wanted);
  const asked = (most * face) / pump.ram;
  return { strokes, first, seconds: pressureRate(pump, pressure, 1) / asked };
}
