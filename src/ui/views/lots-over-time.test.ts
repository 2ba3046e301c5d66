import { describe, expect, it } from 'vitest';
import { type FollowedSample, overTime } from './lots-over-time';

const find = (id: string) =>
  ({
    mean: { title: 'Mean strength', holds: 'at least' },
    wet: { title: 'Absorption', holds: 'at most' },
  })[id as 'mean'] as { title: string; holds: 'at least' } | undefined;
const sample = (day: string, by: string, verdicts: FollowedSample['verdicts']): FollowedSample => ({
  label: day,
  day,
  by,
  job: 'TST',
  verdicts,
});
const said = (criterion: string, statistic: string | null, limit: string) => ({
  criterion,
  statistic,
  limit,
  unit: 'psi',
});

describe('what came in over time', () => {
  it('has what each lot came to and the limit it was held against', () => {
    const { points } = overTime(
      [sample('1 May', 'A', [said('mean', '2100', '2000'), said('wet', '14', '15')])],
      find,
    );
    expect(points[0]?.values).toEqual({ mean: { value: 2100, limit: 2000 }, wet: { value: 14, limit: 15 } });
  });
  it('draws what two lots decided, and no more', () => {
    const { watched } = overTime(
      [
        sample('1 May', 'A', [
          said('mean', '2100', '2000'),
          said('wet', '14', '15'),
          said('stranger', '1', '1'),
        ]),
        sample('9 May', 'B', [said('mean', '1900', '2000'), said('wet', null, '15')]),
      ],
      find,
    );
    expect(watched).toEqual([{ id: 'mean', title: 'Mean strength', unit: 'psi', holds: 'at least' }]);
    expect(overTime([], find)).toEqual({ watched: [], points: [] });
  });
});
