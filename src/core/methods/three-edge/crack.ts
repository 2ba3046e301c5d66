import { groupBy } from '../../group-by';
import type { Limits } from '../../limits';
import { type CrackSays, crackOf } from '../../pipe/crack';
import { readMeasure } from '../fields';
import { wholeRows } from '../rows-field';
import type { ThreeEdgeInput } from './input';

/** What the probes of one crack say. */
export interface CrackRead {
  readonly where: string;
  readonly probes: readonly { readonly at: number; readonly enters: boolean }[];
  readonly says: CrackSays;
}

/** The cracks that were probed, each by itself: probes of different ones are never one run. */
export function cracksOf(input: ThreeEdgeInput, limits: Limits): CrackRead[] {
  const read = wholeRows(input.probes).flatMap((row) => {
    const at = readMeasure(row, 'at')?.value.toNumber();
    return at === undefined || !row.enters
      ? []
      : [{ where: row.where ?? '', at, enters: row.enters === 'yes' }];
  });
  return [...groupBy(read, ({ where }) => where)].map(([where, own]) => ({
    where,
    probes: own.map(({ at, enters }) => ({ at, enters })),
    says: crackOf(own, limits, input.system, input.whole !== false),
  }));
}

/** What they say together: one that is the crack is enough, one that cannot be told keeps it open. */
export function crackSays(cracks: readonly CrackRead[]): CrackSays['says'] | undefined {
  return (['it is the crack', 'probe on', 'it is not'] as const).find((each) =>
    cracks.some(({ says }) => says.says === each),
  );
}
