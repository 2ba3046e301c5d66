import { Box, Stack, Typography } from '@mui/material';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { database } from '@/db/client';
import { ROLES } from '@/db/schema';
import { pageActor } from '@/server/page';
import { peopleList } from '@/server/queries/gear';
import { jobList } from '@/server/queries/jobs';
import { Card } from '@/ui/parts/Card';
import { AddPerson, PeopleTable } from '@/ui/views/People';

export const metadata: Metadata = { title: 'People' };

export default async function PeoplePage() {
  const actor = await pageActor();
  if (actor.role !== 'manager') notFound();
  const db = database();
  const [people, jobs] = await Promise.all([peopleList(db, actor), jobList(db, actor)]);
  return (
    <Stack spacing={2}>
      <Box sx={{ display: 'flex', alignItems: 'center' }}>
        <Typography variant="h1" sx={{ flexGrow: 1 }}>
          People
        </Typography>
        <AddPerson roles={ROLES} />
      </Box>
      <Card>
        <PeopleTable
          people={people}
          roles={ROLES}
          jobs={jobs.map(({ id, number, name }) => ({ id, name: `${number} ${name}` }))}
          self={actor.id}
        />
      </Card>
    </Stack>
  );
}
