/** The levers as the operator has set them; the fine knob from 0 to 1. */
export interface Levers {
  readonly pump: boolean;
  readonly approach: boolean;
  readonly fine: number;
  readonly door: boolean;
}

/** A crack as it lies along a barrel, mm: how wide at its widest, where that is from the spigot, how far it reaches either way. */
export interface PipeCrack {
  readonly wide: number;
  readonly at: number;
  readonly reach: number;
}

/** One reading of the indicator. */
export interface PressReading extends Levers {
  readonly t: number;
  /** kN unless `unit` says otherwise. */
  readonly load: number;
  readonly unit: 'kN' | 'lbf';
  readonly peak: number;
  /** Stress by the area that is set in the indicator, MPa; absent without a specimen. */
  readonly stress?: number;
  /** Platen travel, mm; of a frame that is driven by another displacement, that one. */
  readonly position: number;
  /** What a frame is driven at, mm/min, and why it stopped by itself: on a fall of the force, where it was set to end. */
  readonly speed?: number;
  readonly stop?: 'drop' | 'set';
  /** Of a stand-in pipe: its crack. */
  readonly crack?: PipeCrack;
}

/** One line of a press, a JSON object: see docs/devices.md. */
export interface ReadingLine extends Omit<PressReading, 'position'> {
  readonly seq: number;
  /** Platen travel, mm. */
  readonly pos: number;
  /** The device's wall clock when the line was sent, ms since 1970. */
  readonly at: number;
}
