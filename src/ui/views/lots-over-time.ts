import type { Criterion, Verdict } from '@/core/acceptance';

/** A row of a specification that is followed over time. */
export interface Watched {
  readonly id: string;
  readonly title: string;
  readonly unit: string;
  readonly holds: Criterion['holds'];
}

/** A lot by one of its samples: when, who made it, and what each row came to with its limit. */
export interface LotPoint {
  readonly label: string;
  readonly day: string;
  readonly by: string;
  /** The number of its job. */
  readonly job: string;
  readonly values: Readonly<Record<string, { readonly value: number; readonly limit: number }>>;
}

/** A sample with its verdicts, as it is followed. */
export interface FollowedSample {
  readonly label: string;
  readonly day: string;
  readonly by: string;
  readonly job: string;
  readonly verdicts: readonly (Pick<Verdict, 'criterion' | 'statistic' | 'limit'> & {
    readonly unit: string;
  })[];
}

/**
 * What can be drawn of samples over time: every criterion that at least two of them decided.
 * @param samples in the order of time
 * @param find what a criterion is
 */
export function overTime(
  samples: readonly FollowedSample[],
  find: (id: string) => Pick<Criterion, 'title' | 'holds'> | undefined,
): { readonly watched: Watched[]; readonly points: LotPoint[] } {
  const points = samples.map(({ verdicts, ...point }): LotPoint => {
    const values: Record<string, { value: number; limit: number }> = {};
    for (const { criterion, statistic, limit } of verdicts)
      if (statistic !== null && Number.isFinite(Number(limit)))
        values[criterion] = { value: Number(statistic), limit: Number(limit) };
    return { ...point, values };
  });
  const all = samples.flatMap(({ verdicts }) => verdicts);
  const watched = [...new Set(all.map(({ criterion }) => criterion))].flatMap((id): Watched[] => {
    const criterion = find(id);
    const count = points.filter(({ values }) => values[id] !== undefined).length;
    if (!criterion || count < 2) return [];
    const unit = all.find((each) => each.criterion === id)?.unit ?? '';
    return [{ id, title: criterion.title, unit, holds: criterion.holds }];
  });
  return { watched, points };
}
