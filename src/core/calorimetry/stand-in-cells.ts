import type { SimulatedCell } from './simulated-calorimeter';

/** What one of the cells of a stand-in calorimeter holds, of which one is told only what was weighed in. */
export interface StandInCell extends SimulatedCell {
  readonly what: string;
  /** Grams that were mixed, and of paste in the vial. */
  readonly mixed: { readonly cement: number; readonly water: number; readonly sulfate?: number };
  readonly paste: number;
  readonly admixture?: string;
}

/** Hours before now that it was started, and hours of its record at which its first cell met water; minutes to the next. */
export const STARTED_BEFORE = 29;
const FIRST_CONTACT = 2;
const APART_MIN = 12;
const CEMENT = 10;
const WATER = 5;
const PASTE = 12.6;

/** One cement short of sulfate: twice as it came, with four additions, held back, and with a plasticizer that uses sulfate up. */
const HOLDS = [
  { what: 'as it came', cement: { sulfate: 2.2 } },
  { what: 'as it came', cement: { sulfate: 2.2 } },
  { what: 'with gypsum', cement: { sulfate: 2.5 }, sulfate: 0.073 },
  { what: 'with gypsum', cement: { sulfate: 2.8 }, sulfate: 0.147 },
  { what: 'with gypsum', cement: { sulfate: 3.1 }, sulfate: 0.222 },
  { what: 'with gypsum', cement: { sulfate: 3.4 }, sulfate: 0.298 },
  { what: 'held back', cement: { sulfate: 2.2, lag: 2.5 }, admixture: 'Retarder, 0.3 %' },
  { what: 'plasticized', cement: { sulfate: 1.9 }, admixture: 'Plasticizer, 0.8 %' },
] as const satisfies readonly (Pick<StandInCell, 'what' | 'cement' | 'admixture'> & { sulfate?: number })[];

/** The eight cells of the stand-in. Made up; a teaching model. */
export const STAND_IN_CELLS: readonly StandInCell[] = HOLDS.map((holds, place) => {
  const sulfate = 'sulfate' in holds ? holds.sulfate : 0;
  return {
    name: String(place + 1),
    what: holds.what,
    cement: { ...holds.cement, fineness: 455, other: 0.1, otherHeat: 0 },
    grams: (PASTE * CEMENT) / (CEMENT + WATER + sulfate),
    contact: FIRST_CONTACT + (place * APART_MIN) / 60,
    insertedAfter: 5,
    level: 0.08 * Math.sin(place + 1),
    drift: 0.0004 * Math.cos(place),
    warmer: 0.4,
    mixed: { cement: CEMENT, water: WATER, ...(sulfate ? { sulfate } : {}) },
    paste: PASTE,
    ...('admixture' in holds ? { admixture: holds.admixture } : {}),
  };
});
