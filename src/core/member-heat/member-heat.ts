import { worthOf } from '../temperature';

/** How a face is covered, and what it gives off, W/(m²·K). Common practice, no source. */
export const COVERS = {
  bare: 14,
  plywood: 5,
  blanket: 2,
  thick: 0.8,
} as const;
export type Cover = keyof typeof COVERS;

/** What binds, and the heat that it gives off in the end, kJ/kg. Common practice, no source: a mill sheet says it better. */
export const BINDERS = {
  rapid: 380,
  ordinary: 330,
  ash: 265,
  slag: 240,
} as const;
export type Binder = keyof typeof BINDERS;

/** A wall, slab or cap as it is placed: m, kg/m³, °C, hours. */
export interface Member {
  readonly thickness: number;
  readonly cement: number;
  readonly binder: Binder;
  readonly placed: number;
  /** The air: its mean, and how far it goes up and down in a day. */
  readonly air: number;
  readonly swing: number;
  readonly cover: Cover;
  /** When the cover comes off; null: it stays. */
  readonly coverOff: number | null;
  /** One of its faces lies on the ground or against old concrete and gives off next to nothing. */
  readonly onGround: boolean;
}

/** What a member does by the model: hours after placing and °C. */
export interface MemberHeat {
  readonly hours: readonly number[];
  readonly core: readonly number[];
  /** 50 mm below the face in the air. */
  readonly surface: readonly number[];
  readonly air: readonly number[];
  readonly highest: { readonly celsius: number; readonly at: number };
  readonly greatest: { readonly celsius: number; readonly at: number };
  /** What it would come to if nothing were given off. */
  readonly adiabatic: number;
}

/** Conductivity W/(m·K), density times heat capacity J/(m³·K): of usual concrete. Common practice, no source. */
export const CONDUCTIVITY = 2.2;
export const HEAT_CAPACITY = 2.4e6;
/** How its heat comes: half of it about so many hours at 20 °C, and how steeply. Our choice. */
const TAU_H = 14;
const BETA = 0.9;
const PACE = { kind: 'equivalent-age', q: 5000, reference: 20 } as const;
const SURFACE_M = 0.05;
const NODES = 40;
const ROW_H = 0.5;
const HOUR_S = 3600;
/** Steps of a row: small beside the time that heat takes through a cell. */
const STEPS = 5;

/** Share of its heat that a binder has given off after an equivalent age, h. Source: exponential form of handbooks (from memory). */
export function heatShare(equivalent: number): number {
  return equivalent <= 0 ? 0 : Math.exp(-((TAU_H / equivalent) ** BETA));
}

/**
 * How warm a member gets inside and near its face while it hardens: conduction in one direction, heat by equivalent age.
 * @param member as it is placed; a face on the ground makes it half of one twice as thick
 * @param days how long it is followed
 * @param faces W/(m²·K) instead of the cover's, for checks
 * @returns a row every half hour; a model that shows direction and size, and is no measurement
 * Source: Numerical: implicit differences of the heat equation (stable for every step, first order in time); its constants
 * are common practice or our choice.
 */
export function memberHeat(member: Member, days: number, faces?: number): MemberHeat {
  const { thickness, cement, binder, placed, air, swing, cover, coverOff, onGround } = member;
  const half = onGround ? thickness : thickness / 2;
  const width = half / NODES;
  // Cells from the face inwards; the last one touches the middle, through which nothing goes.
  const cells = new Float64Array(NODES).fill(placed);
  const [upper, known] = [new Float64Array(NODES), new Float64Array(NODES)];
  const ages = new Float64Array(NODES);
  const rise = (cement * BINDERS[binder] * 1000) / HEAT_CAPACITY;
  const step = (HOUR_S * ROW_H) / STEPS;
  const spread = (CONDUCTIVITY / HEAT_CAPACITY) * (step / width ** 2);
  const found = { hours: [] as number[], core: [] as number[], surface: [] as number[], air: [] as number[] };
  const airAt = (hour: number): number => air + swing * Math.sin((2 * Math.PI * hour) / 24);
  const keep = (hour: number): void => {
    found.hours.push(hour);
    found.core.push(cells[NODES - 1] ?? placed);
    const place = Math.min(NODES - 1, Math.max(0, SURFACE_M / width - 0.5));
    const below = Math.floor(place);
    const [one, two] = [cells[below] ?? placed, cells[Math.min(NODES - 1, below + 1)] ?? placed];
    found.surface.push(one + (place - below) * (two - one));
    found.air.push(airAt(hour));
  };
  keep(0);
  for (let row = 1; row <= (days * 24) / ROW_H; row += 1) {
    for (let part = 1; part <= STEPS; part += 1) {
      const hour = (row - 1) * ROW_H + (part * ROW_H) / STEPS;
      const off = coverOff !== null && hour >= coverOff;
      const gives = faces ?? (off ? COVERS.bare : COVERS[cover]);
      // From the middle of the first cell to the air: half a cell of concrete, then the cover.
      const through = gives === 0 ? 0 : 1 / (1 / gives + width / 2 / CONDUCTIVITY);
      const toAir = (through * step) / (HEAT_CAPACITY * width);
      // Down the three diagonals from the face inwards, and back.
      for (let cell = 0; cell < NODES; cell += 1) {
        const own = cells[cell] ?? 0;
        const before = ages[cell] ?? 0;
        const after = before + (worthOf(PACE, own) * step) / HOUR_S;
        ages[cell] = after;
        const source = rise * (heatShare(after) - heatShare(before));
        const [outward, inward] = [cell === 0 ? 0 : spread, cell === NODES - 1 ? 0 : spread];
        const face = cell === 0 ? toAir : 0;
        const pivot = 1 + inward + face + outward - outward * (upper[cell - 1] ?? 0);
        upper[cell] = inward / pivot;
        known[cell] = (own + source + face * airAt(hour) + outward * (known[cell - 1] ?? 0)) / pivot;
      }
      for (let cell = NODES - 1; cell >= 0; cell -= 1)
        cells[cell] = (known[cell] ?? 0) + (upper[cell] ?? 0) * (cells[cell + 1] ?? 0);
    }
    keep(row * ROW_H);
  }
  const top = found.core.reduce((best, value, place) => (value > (found.core[best] ?? 0) ? place : best), 0);
  const apart = found.core.map((value, place) => value - (found.surface[place] ?? value));
  const far = apart.reduce((best, value, place) => (value > (apart[best] ?? 0) ? place : best), 0);
  return {
    ...found,
    highest: { celsius: found.core[top] ?? placed, at: found.hours[top] ?? 0 },
    greatest: { celsius: apart[far] ?? 0, at: found.hours[far] ?? 0 },
    adiabatic: placed + rise,
  };
}

/** The first hour after its warmest from which the core stays less than so much over the air; null where it does not. */
export function coolEnough({ hours, core, air, highest }: MemberHeat, apart: number): number | null {
  for (let place = hours.length - 1; place >= 0; place -= 1) {
    const over = (core[place] ?? 0) - (air[place] ?? 0) > apart;
    if (over || (hours[place] ?? 0) <= highest.at)
      return place === hours.length - 1 ? null : (hours[place + 1] ?? null);
  }
  return null;
}
