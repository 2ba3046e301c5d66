import { Stack } from '@mui/material';
import type { Metadata } from 'next';
import { database } from '@/db/client';
import { pageActor } from '@/server/page';
import { openSteps } from '@/server/queries/first-steps';
import { usualZone } from '@/server/queries/jobs';
import { DAY_PARTS, dayList, openFreshTests } from '@/server/queries/today';
import { FirstSteps } from '@/ui/views/FirstSteps';
import { Today } from '@/ui/views/Today';

export const metadata: Metadata = { title: 'Today' };

export default async function TodayPage({ searchParams }: { searchParams: Promise<{ show?: string }> }) {
  const actor = await pageActor();
  const now = new Date();
  const db = database();
  const { show } = await searchParams;
  const [day, fresh, zone, steps] = await Promise.all([
    dayList(
      db,
      actor,
      now,
      DAY_PARTS.find((part) => part === show),
    ),
    openFreshTests(db, actor, now),
    usualZone(db),
    openSteps(db, actor, now.toISOString().slice(0, 10)),
  ]);
  return (
    <Stack spacing={2}>
      {steps ? <FirstSteps steps={steps} /> : null}
      <Today
        {...day}
        fresh={fresh.map((row) => ({ ...row, sampledAt: row.sampledAt.getTime() }))}
        now={now.getTime()}
        zone={zone}
        canTest={actor.role === 'laboratory' || actor.role === 'reviewer' || actor.role === 'manager'}
      />
    </Stack>
  );
}
