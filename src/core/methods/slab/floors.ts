import type { LimitId, Limits } from '../../limits';
import type { Exact, System } from '../../quantity';
import type { Source } from '../../working';

/** What goes on a slab, in words; where its maker says nothing a row of the register stands in. */
export const FLOORS = [
  { value: 'resilient', label: 'Resilient tile or sheet' },
  { value: 'resin', label: 'Resin coating that lets no vapour through' },
  { value: 'carpet', label: 'Carpet, glued' },
  { value: 'wood', label: 'Wood, glued' },
  { value: 'other', label: 'Something else' },
] as const;
export type Floor = (typeof FLOORS)[number]['value'];
export const FLOOR_IDS: readonly Floor[] = FLOORS.map(({ value }) => value);

const SILENT: Readonly<Record<Exclude<Floor, 'other'>, LimitId>> = {
  resilient: 'floor.humidity-resilient',
  resin: 'floor.humidity-resin',
  carpet: 'floor.humidity-carpet',
  wood: 'floor.humidity-wood',
};

/** The humidity that a floor allows where its maker says nothing; undefined for one that is not known. */
export function silentLimit(
  floor: string | undefined,
  limits: Limits,
  system: System,
): { readonly value: Exact; readonly source: Source } | undefined {
  const id = SILENT[floor as keyof typeof SILENT];
  const row = id && limits.of(id, system);
  return row?.high && { value: row.high, source: row.source };
}
