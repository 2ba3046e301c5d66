import { Box, Stack, Typography } from '@mui/material';
import type { Metadata } from 'next';
import { pageActor } from '@/server/page';
import { TextLink } from '@/ui/parts/LinkButton';
import { CuringPlaces } from '@/ui/temperature/CuringPlaces';
import { saidIn } from '../said-in';

export const metadata: Metadata = { title: 'Two curing places' };

/** How one concrete gains strength in two places of different warmth. */
export default async function CuringPlacesPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  await pageActor();
  return (
    <Stack spacing={2}>
      <Box>
        <Typography variant="h1">Two curing places</Typography>
        <Typography color="text.secondary">
          One concrete in a cool and in a warm place: which leads, until when, and by how much.{' '}
          <TextLink href="/gear">Gear</TextLink>
        </Typography>
      </Box>
      <CuringPlaces given={saidIn(await searchParams)} />
    </Stack>
  );
}
