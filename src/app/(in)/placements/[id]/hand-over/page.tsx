import { Stack, Typography } from '@mui/material';
import type { Metadata } from 'next';
import { database } from '@/db/client';
import { pageActor, pageData, pageId } from '@/server/page';
import { custody } from '@/server/queries/custody';
import { LinkButton } from '@/ui/parts/LinkButton';
import { dayTime } from '@/ui/time';
import { HandOver } from '@/ui/views/HandOver';

export const metadata: Metadata = { title: 'Hand over' };

export default async function HandOverPage({ params }: { params: Promise<{ id: string }> }) {
  const id = pageId((await params).id);
  const actor = await pageActor();
  const { placement, job, people, specimens, past } = await pageData(() => custody(database(), actor, id));
  return (
    <Stack spacing={2} sx={{ maxWidth: 760 }}>
      <Typography variant="h1">{`Hand over, ${placement.title}`}</Typography>
      <HandOver
        zone={job.zone}
        now={Date.now()}
        me={actor.name}
        people={people}
        specimens={specimens}
        past={past.map((each) => ({
          id: each.id,
          text: `${dayTime(each.at, job.zone)}: ${each.count} ${each.kind}, from ${each.from} to ${each.to}${each.place ? `, ${each.place}` : ''}, ${each.condition}${each.note ? `: ${each.note}` : ''}`,
        }))}
      />
      <LinkButton href={`/placements/${placement.id}`}>Back to the placement</LinkButton>
    </Stack>
  );
}
