import { Box, Stack, Typography } from '@mui/material';
import type { Metadata } from 'next';
import { database } from '@/db/client';
import { pageActor } from '@/server/page';
import { jobList } from '@/server/queries/jobs';
import { Card, Empty, Facts } from '@/ui/parts/Card';
import { LinkButton } from '@/ui/parts/LinkButton';
import { NewJob } from '@/ui/views/NewJob';

export const metadata: Metadata = { title: 'Jobs' };

export default async function JobsPage() {
  const actor = await pageActor();
  const jobs = await jobList(database(), actor);
  return (
    <Stack spacing={2}>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
        <Typography variant="h1" sx={{ flexGrow: 1 }}>
          Jobs
        </Typography>
        {actor.role === 'manager' ? <NewJob /> : null}
      </Box>
      {jobs.length === 0 ? (
        <Card>
          <Empty>
            {actor.role === 'client'
              ? 'No job is shared with you yet: ask the laboratory.'
              : 'No job yet. A manager enters the first one.'}
          </Empty>
        </Card>
      ) : (
        jobs.map((job) => (
          <Card
            key={job.id}
            title={`${job.number}  ${job.name}`}
            actions={
              <LinkButton href={`/jobs/${job.id}`} variant="contained">
                Open
              </LinkButton>
            }
          >
            <Facts
              pairs={[
                ['Owner', job.owner],
                ['Place', `${job.location}, ${job.zone}`],
                ['Units', job.system === 'US' ? 'inch-pound' : 'SI'],
                ['So far', `${job.placements} placements, ${job.samples} samples`],
              ]}
            />
          </Card>
        ))
      )}
    </Stack>
  );
}
