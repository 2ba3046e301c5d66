import { Stack, Typography } from '@mui/material';
import type { Metadata } from 'next';
import { METHODS } from '@/core/methods/registry';
import { database } from '@/db/client';
import { pageActor, pageData } from '@/server/page';
import { diameterLotList, endBatchList, endsToMake } from '@/server/queries/ends';
import { DiameterLots } from '@/ui/ends/DiameterLots';
import { EndBatches } from '@/ui/ends/EndBatches';
import { EndPlanner } from '@/ui/ends/EndPlanner';
import { Card } from '@/ui/parts/Card';

export const metadata: Metadata = { title: 'Ends' };

/** Ends made ready: what comes up, worked back from each window, and the batches under way. */
export default async function EndsPage() {
  const actor = await pageActor();
  const now = new Date();
  const coming = await pageData(() => endsToMake(database(), actor, now));
  const lots = await pageData(() => diameterLotList(database(), actor));
  const batches = await pageData(() => endBatchList(database(), actor));
  return (
    <Stack spacing={2}>
      <Typography variant="h1">Ends</Typography>
      <Card title="To be capped or ground">
        <EndPlanner
          specimens={coming}
          ways={METHODS.flatMap(({ id, batch }) => (batch?.ends ? [{ method: id, begin: batch.begin }] : []))}
          now={now.getTime()}
          canWrite={actor.role !== 'field'}
        />
      </Card>
      <Card title="Batches">
        <EndBatches batches={batches} />
      </Card>
      {lots.length > 0 ? (
        <Card title="Diameters of one lot of moulds">
          <DiameterLots lots={lots} />
        </Card>
      ) : null}
    </Stack>
  );
}
