import { Box, Stack, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import type { Metadata } from 'next';
import { database } from '@/db/client';
import { pageActor } from '@/server/page';
import { jobList, usualZone } from '@/server/queries/jobs';
import { Card, Empty } from '@/ui/parts/Card';
import { TextLink } from '@/ui/parts/LinkButton';
import { ImportList } from '@/ui/views/ImportList';
import { NewJob } from '@/ui/views/NewJob';

export const metadata: Metadata = { title: 'Jobs' };

export default async function JobsPage() {
  const actor = await pageActor();
  const [jobs, zone] = [await jobList(database(), actor), await usualZone(database())];
  return (
    <Stack spacing={2}>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
        <Typography variant="h1" sx={{ flexGrow: 1 }}>
          Jobs
        </Typography>
        {actor.role === 'manager' ? (
          <>
            <ImportList list="jobs" />
            <NewJob zone={zone} />
          </>
        ) : null}
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
        <Card>
          <Box sx={{ overflowX: 'auto' }}>
            <Table size="small">
              <TableHead>
                <TableRow>
                  {['Job', 'Owner', 'Place', 'Units', 'Placements', 'Samples'].map((word) => (
                    <TableCell key={word}>{word}</TableCell>
                  ))}
                </TableRow>
              </TableHead>
              <TableBody>
                {jobs.map((job) => (
                  <TableRow key={job.id}>
                    <TableCell>
                      <TextLink href={`/jobs/${job.id}`}>{`${job.number}  ${job.name}`}</TextLink>
                    </TableCell>
                    <TableCell>{job.owner}</TableCell>
                    <TableCell>{job.location}</TableCell>
                    <TableCell>{job.system === 'US' ? 'inch-pound' : 'SI'}</TableCell>
                    <TableCell className="mono">{job.placements}</TableCell>
                    <TableCell className="mono">{job.samples}</TableCell>
                  </TableRow>
                ))}
              </TableBody>
            </Table>
          </Box>
        </Card>
      )}
    </Stack>
  );
}
