import { Box, Stack, Typography } from '@mui/material';
import type { Metadata } from 'next';
import { sampleLabel } from '@/core/identity/labels';
import { database } from '@/db/client';
import { pageActor, pageData } from '@/server/page';
import { jobDetail, jobList, recentPlacements } from '@/server/queries/jobs';
import { staffOnly } from '@/server/scope';
import { TakeSample } from '@/ui/field/TakeSample';
import { Card, Empty } from '@/ui/parts/Card';
import { LinkButton } from '@/ui/parts/LinkButton';
import { dayTime, localInput } from '@/ui/time';
import { NewPlacement } from '@/ui/views/NewPlacement';

export const metadata: Metadata = { title: 'Field' };

/** The placements around today; one press at the truck takes the sample. */
export default async function FieldPage() {
  const actor = await pageActor();
  await pageData(async () => staffOnly(actor));
  const db = database();
  const now = new Date();
  const [placements, jobs] = await Promise.all([recentPlacements(db, actor, now), jobList(db, actor)]);
  const details = await Promise.all(jobs.map((job) => jobDetail(db, actor, job.id)));
  return (
    <Stack spacing={2} sx={{ maxWidth: 760 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, flexWrap: 'wrap' }}>
        <Typography variant="h1" sx={{ flexGrow: 1 }}>
          Field
        </Typography>
        <NewPlacement
          jobs={details.map(({ job, mixes }) => ({
            id: job.id,
            name: `${job.number} ${job.name}`,
            zone: job.zone,
            now: localInput(now, job.zone),
            mixes: mixes.map((mix) => ({ id: mix.id, name: `${mix.code} v${mix.version}, ${mix.title}` })),
          }))}
        />
      </Box>
      {placements.length === 0 ? (
        <Card>
          <Empty>
            No placement around today. Enter the placement first; then one press takes the sample.
          </Empty>
        </Card>
      ) : (
        placements.map(({ placement, mix, job, samples }) => (
          <Card
            key={placement.id}
            title={placement.element}
            actions={
              <LinkButton href={`/placements/${placement.id}`} size="small" variant="outlined">
                The day
              </LinkButton>
            }
          >
            <Typography color="text.secondary" sx={{ mb: 1 }}>
              {`${job.name}. ${mix.code}${placement.location ? `, ${placement.location}` : ''}. ${dayTime(placement.placedAt, job.zone)}`}
            </Typography>
            <Stack spacing={1}>
              {samples.map((sample) => (
                <LinkButton
                  key={sample.id}
                  href={`/field/${sample.id}`}
                  variant="outlined"
                  size="large"
                  sx={{ justifyContent: 'flex-start' }}
                >
                  {`${sampleLabel(job.number, sample.number)}, ${dayTime(sample.sampledAt, job.zone)}${sample.ticket ? `, ticket ${sample.ticket}` : ''}`}
                </LinkButton>
              ))}
              <TakeSample placementId={placement.id} />
            </Stack>
          </Card>
        ))
      )}
    </Stack>
  );
}
