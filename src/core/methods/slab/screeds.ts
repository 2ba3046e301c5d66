import type { LimitId, Limits } from '../../limits';
import type { Exact, System } from '../../quantity';
import type { Source } from '../../working';

/** What a screed is bound with, and whether it is heated: by that carbide is held against a limit. */
export const SCREEDS = [
  { value: 'cement', label: 'Cement' },
  { value: 'cement-heated', label: 'Cement, heated' },
  { value: 'sulfate', label: 'Calcium sulfate' },
  { value: 'sulfate-heated', label: 'Calcium sulfate, heated' },
] as const;
export type Screed = (typeof SCREEDS)[number]['value'];
export const SCREED_IDS: readonly Screed[] = SCREEDS.map(({ value }) => value);

/** The moisture by carbide that is usual for a screed; undefined for one that is not named. */
export function screedLimit(
  screed: string | undefined,
  limits: Limits,
  system: System,
): { readonly value: Exact; readonly source: Source } | undefined {
  const known = SCREED_IDS.find((each) => each === screed);
  const row = known && limits.of(`floor.carbide-${known}` satisfies LimitId, system);
  return row?.high && { value: row.high, source: row.source };
}
