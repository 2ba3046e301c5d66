import type { BalanceReading, BalanceUnit } from './reading';

/** Of what was taken, below which the balance counts as empty again. Our choice. */
const EMPTY = 0.1;

/** What a balance shows, as it may be taken into a reading. */
export interface Weighing {
  /** As it is shown, `33.46`. */
  readonly text: string;
  /** With its unit, as it is typed: `33.46 lb`. */
  readonly typed: string;
  readonly unit: BalanceUnit;
  /** `empty`, `moving`, `ready`: it may be taken; `taken`: it was, and lies there still. */
  readonly state: 'empty' | 'moving' | 'ready' | 'taken';
}

/**
 * Follows a balance from one weighing to the next: what was taken is not taken again for another specimen before it was
 * lifted off.
 */
export class WeighingWatch {
  private last: BalanceReading | null = null;
  private takenMass: number | null = null;

  take(reading: BalanceReading): void {
    this.last = reading;
    if (this.takenMass !== null && reading.mass < EMPTY * this.takenMass) this.takenMass = null;
  }

  /** What it shows is put into a reading now. */
  taken(): void {
    this.takenMass = this.last?.mass ?? null;
  }

  /** Null before anything was heard. */
  view(): Weighing | null {
    if (!this.last) return null;
    const { mass, unit, steady, places } = this.last;
    const text = mass.toFixed(places);
    const empty = mass < 5 * 10 ** -places;
    const state = this.takenMass !== null ? 'taken' : empty ? 'empty' : steady ? 'ready' : 'moving';
    return { text, typed: `${text} ${unit}`, unit, state };
  }
}

/** What is put into a reading that is meant in a unit where none is typed. */
export function weighedIn({ text, typed, unit }: Weighing, meant: string): string {
  return unit === meant ? text : typed;
}
