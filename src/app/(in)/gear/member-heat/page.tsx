import { Box, Stack, Typography } from '@mui/material';
import type { Metadata } from 'next';
import { degreeUnits } from '@/core/methods/temperature/units';
import type { System } from '@/core/quantity';
import { database } from '@/db/client';
import { pageActor } from '@/server/page';
import { limitsNow } from '@/server/run-setup';
import { TextLink } from '@/ui/parts/LinkButton';
import { type MassLimits, MemberHeat } from '@/ui/temperature/MemberHeat';
import { saidIn } from '../said-in';

export const metadata: Metadata = { title: 'How warm a member gets' };

/** Core, face and air of a member before it is placed. */
export default async function MemberHeatPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  await pageActor();
  const limits = await limitsNow(database());
  // Each system has rows of its own: 71 °C meets the one in °F and fails the one in °C.
  const inCelsius = (system: System): MassLimits => {
    const { toCelsius, toDifference } = degreeUnits(system);
    return {
      highest: toCelsius(limits.number('mass.highest', system)),
      difference: toDifference(limits.number('mass.difference', system)),
      toAir: toDifference(limits.number('mass.to-air', system)),
    };
  };
  return (
    <Stack spacing={2}>
      <Box>
        <Typography variant="h1">How warm a member gets</Typography>
        <Typography color="text.secondary">
          Before it is placed: its core, its face and the air over two weeks, and what a cover does.{' '}
          <TextLink href="/gear">Gear</TextLink>
        </Typography>
      </Box>
      <MemberHeat given={saidIn(await searchParams)} limits={{ US: inCelsius('US'), SI: inCelsius('SI') }} />
    </Stack>
  );
}
