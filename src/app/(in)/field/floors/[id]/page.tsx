import { Stack, Typography } from '@mui/material';
import type { Metadata } from 'next';
import { database, readingOnce } from '@/db/client';
import { pageActor, pageData, pageId } from '@/server/page';
import { planPage } from '@/server/queries/plan';
import { KeepForOffline } from '@/ui/field/KeepForOffline';
import { TextLink } from '@/ui/parts/LinkButton';
import { PlanView } from '@/ui/plan/PlanView';

export const metadata: Metadata = { title: 'Plan' };

/** The plan of a floor: where its points lie, what was read there, and the round that is due; kept for where no network is. */
export default async function FloorPlanPage({ params }: { params: Promise<{ id: string }> }) {
  const id = pageId((await params).id);
  const actor = await pageActor();
  const page = await pageData(() => planPage(readingOnce(database()), actor, id, new Date()));
  return (
    <Stack spacing={1.5}>
      <Stack direction="row" spacing={1.5} sx={{ alignItems: 'baseline', flexWrap: 'wrap' }}>
        <Typography variant="h1">{page.title}</Typography>
        <Typography color="text.secondary">
          <TextLink href={`/lots/${page.lotId}`}>Its zones and verdicts</TextLink>
          {`. ${page.jobText}`}
        </Typography>
      </Stack>
      <KeepForOffline />
      <PlanView page={page} canWrite={actor.role !== 'client'} key={page.planId ?? 'none'} />
    </Stack>
  );
}
