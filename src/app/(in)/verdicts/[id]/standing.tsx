import { Box, Stack, Typography } from '@mui/material';
import type { ReactNode } from 'react';
import { findCriterion } from '@/core/acceptance';
import { sampleLabel } from '@/core/identity/labels';
import type { Material } from '@/core/material/contract';
import { type UnitId, unitLabel } from '@/core/quantity';
import { capital } from '@/core/words';
import type { SampleOver } from '@/server/queries/lots-over-time';
import type { Standing } from '@/server/queries/specification';
import { Card, Empty, Facts } from '@/ui/parts/Card';
import { TextLink } from '@/ui/parts/LinkButton';
import { VerdictMark } from '@/ui/parts/Verdict';
import { lotHref } from '@/ui/places';
import { dayTime } from '@/ui/time';
import { LotsChart } from '@/ui/views/LotsChart';
import { overTime } from '@/ui/views/lots-over-time';
import { SamplesTable } from '@/ui/views/SamplesTable';

/** How a specification stands whose samples are judged each by itself. */
export function StandingOf({
  standing,
  material,
  over,
  children,
}: {
  standing: Standing;
  material: Material;
  /** Lots of the same product in all jobs. */
  over: readonly SampleOver[];
  /** What stands before its samples. */
  children?: ReactNode;
}) {
  const { mix, job, samples, state, more } = standing;
  const { words } = material;
  // What a criterion is read in, where it does not say it itself, say the sets it is held against.
  const units = new Map(
    samples.flatMap(({ sets }) =>
      sets.flatMap(({ verdicts, test }) => verdicts.map(({ criterion }) => [criterion, test.unit] as const)),
    ),
  );
  const unitOf = (criterion: string): string => {
    const unit = findCriterion(criterion)?.unit?.[job.system] ?? units.get(criterion) ?? 'one';
    return unit === 'one' ? '' : unitLabel(unit as UnitId);
  };
  const { watched, points } = overTime(
    over.map(({ job: of, sample, by, verdicts }) => ({
      label: sampleLabel(of.number, sample.number),
      day: dayTime(sample.sampledAt, job.zone).slice(4, -6),
      by,
      job: of.number,
      verdicts: verdicts.map((verdict) => ({ ...verdict, unit: unitOf(verdict.criterion) })),
    })),
    findCriterion,
  );
  return (
    <Stack spacing={2}>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'baseline', flexWrap: 'wrap' }}>
        <Typography variant="h1">
          <span className="mono">{mix.code}</span>
          {` ${mix.title}`}
        </Typography>
        <Box sx={{ fontSize: '1.25rem' }}>
          <VerdictMark state={state} />
        </Box>
        <Typography color="text.secondary">
          <TextLink href={`/jobs/${job.id}`}>{job.name}</TextLink>
        </Typography>
      </Box>
      <Card title="Asked for">
        <Facts pairs={material.summary({ ...mix.asked }).filter(([, text]) => text !== '')} />
      </Card>
      {watched.length > 0 ? (
        <Card title={`${capital(words.lot[1])} over time`}>
          <LotsChart watched={watched} points={points} own={job.number} />
        </Card>
      ) : null}
      {children}
      <Card title={capital(words.sample[1])}>
        {samples.length === 0 ? (
          <Empty>{`No ${words.sample[0]} has been taken of it yet.`}</Empty>
        ) : (
          <SamplesTable
            material={material}
            more={[capital(words.lot[0])]}
            rows={samples.map(({ sample, placement, sets }) => ({
              id: sample.id,
              label: sampleLabel(job.number, sample.number),
              about: sample.about,
              sets,
              cells: [
                <TextLink key="lot" href={lotHref(placement.id, material)}>
                  {placement.title}
                </TextLink>,
              ],
            }))}
          />
        )}
        {more ? (
          <Typography color="text.secondary" sx={{ mt: 1 }}>
            The newest are listed; the others are reached through their job.
          </Typography>
        ) : null}
      </Card>
    </Stack>
  );
}
