import { Box, Stack, Typography } from '@mui/material';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { findDrill } from '@/core/drills';
import { pageActor } from '@/server/page';
import { InMethodFolder } from '@/ui/methods/registry';
import { LinkButton } from '@/ui/parts/LinkButton';
import { DrillPlay } from '@/ui/practice/DrillPlay';

export const metadata: Metadata = { title: 'Practice' };

/** One drill. `?seed=` plays a given one first, so that several people can be shown the same. */
export default async function DrillPage({
  params,
  searchParams,
}: {
  params: Promise<{ drill: string }>;
  searchParams: Promise<{ seed?: string }>;
}) {
  const actor = await pageActor();
  const drill = findDrill((await params).drill);
  if (!drill || actor.role === 'client') notFound();
  const seed = Number((await searchParams).seed);
  return (
    <Stack spacing={2}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, flexWrap: 'wrap' }}>
        <Typography variant="h1" sx={{ flexGrow: 1 }}>
          {`Practice: ${drill.title.toLowerCase()}`}
        </Typography>
        <LinkButton href="/practice" variant="outlined">
          All drills
        </LinkButton>
      </Box>
      <InMethodFolder id={drill.method}>
        <DrillPlay
          drillId={drill.id}
          first={Number.isInteger(seed) && seed > 0 && seed < 2_147_483_647 ? seed : undefined}
        />
      </InMethodFolder>
    </Stack>
  );
}
