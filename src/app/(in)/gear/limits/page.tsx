import { Stack, Typography } from '@mui/material';
import type { Metadata } from 'next';
import { sourceText } from '@/core/working';
import { database } from '@/db/client';
import { pageActor, pageData } from '@/server/page';
import { limitRegister } from '@/server/queries/gear';
import { LimitTable } from '@/ui/views/LimitTable';

export const metadata: Metadata = { title: 'Limits register' };

export default async function LimitsPage() {
  const actor = await pageActor();
  const { entries, revision } = await pageData(() => limitRegister(database(), actor));
  const recalled = entries.filter(({ status }) => status === 'recalled').length;
  return (
    <Stack spacing={2}>
      <Typography variant="h1">Limits register</Typography>
      <Typography sx={{ maxWidth: 820 }}>
        {`Revision ${revision}. ${recalled} of ${entries.length} entries are recalled from memory: check each against your own copy of the standard, then confirm it or set your value. Runs keep the revision they began with.`}
      </Typography>
      <LimitTable
        canChange={actor.role === 'manager'}
        entries={entries.map((entry) => ({
          id: entry.id,
          group: entry.group,
          title: entry.title,
          source: sourceText(entry.source),
          edition: entry.edition,
          status: entry.status,
          ...(entry.US ? { US: entry.US } : {}),
          ...(entry.SI ? { SI: entry.SI } : {}),
          ...(entry.both ? { both: entry.both } : {}),
          history: entry.history.map(
            (each) =>
              `Revision ${each.revision}, ${each.at.toISOString().slice(0, 10)}, ${each.byName}: ${each.change.status}. ${each.note}`,
          ),
        }))}
      />
    </Stack>
  );
}
