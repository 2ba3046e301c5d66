import { Box, Stack, Typography } from '@mui/material';
import type { Metadata } from 'next';
import { database } from '@/db/client';
import { pageActor, pageData } from '@/server/page';
import { usualZone } from '@/server/queries/jobs';
import { storageList } from '@/server/queries/storage';
import { Card, Empty } from '@/ui/parts/Card';
import { LinkButton } from '@/ui/parts/LinkButton';
import { localInput } from '@/ui/time';
import { AddStorage } from '@/ui/views/AddStorage';
import { StorageCard } from '@/ui/views/StorageCard';

export const metadata: Metadata = { title: 'Tanks and rooms' };

/** Where specimens stand until their test, and what those places ask for. */
export default async function StoragePage() {
  const actor = await pageActor();
  const now = new Date();
  const db = database();
  const storages = await pageData(() => storageList(db, actor, now));
  const zone = await usualZone(db);
  const bench = actor.role !== 'field';
  const owed = storages.flatMap(({ duties }) => duties).filter(({ state }) => state === 'overdue').length;
  return (
    <Stack spacing={2}>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
        <Typography variant="h1" sx={{ flexGrow: 1 }}>
          {`Tanks and rooms: ${owed === 0 ? 'all duties done' : `${owed} overdue`}`}
        </Typography>
        <LinkButton href="/gear" variant="outlined">
          Gear
        </LinkButton>
        {bench ? <AddStorage /> : null}
      </Box>
      {storages.length === 0 ? (
        <Card>
          <Empty>No tank or room yet. Enter one, and specimens get their place and duties their clock.</Empty>
        </Card>
      ) : (
        storages.map((storage) => (
          <StorageCard
            key={storage.id}
            storage={{
              ...storage,
              reviews: storage.reviews.map((each) => ({ ...each, at: each.at.getTime() })),
              duties: storage.duties.map(({ duty, state, doneAt, dueAt, limit, byName, note }) => ({
                duty,
                state,
                doneAt,
                dueAt,
                every: limit.title.toLowerCase(),
                most: limit.text,
                byName,
                note,
              })),
              specimens: storage.specimens.map(({ id, label, position }) => ({ id, label, position })),
            }}
            canWrite={bench}
            now={localInput(now, zone)}
            zone={zone}
          />
        ))
      )}
    </Stack>
  );
}
