import { Box, Stack, Typography } from '@mui/material';
import type { Metadata } from 'next';
import { database } from '@/db/client';
import { pageActor } from '@/server/page';
import { ownSignIns } from '@/server/queries/gear';
import { usualZone } from '@/server/queries/jobs';
import { Card } from '@/ui/parts/Card';
import { dayTime } from '@/ui/time';
import { ChangePassword } from '@/ui/views/ChangePassword';
import { SignInTable } from '@/ui/views/People';

export const metadata: Metadata = { title: 'Your account' };

/** One's own account: the password, and who signed in with it. */
export default async function AccountPage() {
  const actor = await pageActor();
  const db = database();
  const [signIns, zone] = [await ownSignIns(db, actor), await usualZone(db)];
  return (
    <Stack spacing={2}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
        <Typography variant="h1" sx={{ flexGrow: 1 }}>
          {actor.name}
        </Typography>
        <ChangePassword />
      </Box>
      <Card title="Signed in with this account">
        <SignInTable rows={signIns.map((row) => ({ ...row, at: dayTime(row.at, zone) }))} />
        <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
          One that was not you: change your password, and tell the laboratory’s manager.
        </Typography>
      </Card>
    </Stack>
  );
}
