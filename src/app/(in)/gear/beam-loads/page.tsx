import { Box, Stack, Typography } from '@mui/material';
import type { Metadata } from 'next';
import { pageActor } from '@/server/page';
import { BeamLoads } from '@/ui/beam/BeamLoads';
import { TextLink } from '@/ui/parts/LinkButton';
import { saidIn } from '../said-in';

export const metadata: Metadata = { title: 'Loads on a beam' };

/** What a reading means for a beam, by what is on the machine. */
export default async function BeamLoadsPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  await pageActor();
  return (
    <Stack spacing={2}>
      <Box>
        <Typography variant="h1">Loads on a beam</Typography>
        <Typography color="text.secondary">
          What the reading of a machine means for the beam in it, by what is on the ram.{' '}
          <TextLink href="/gear">Gear</TextLink>
        </Typography>
      </Box>
      <BeamLoads given={saidIn(await searchParams)} />
    </Stack>
  );
}
