import { Box, Stack, Typography } from '@mui/material';
import Bowser from 'bowser';
import type { Metadata } from 'next';
import { database } from '@/db/client';
import { pageActor, pageSession } from '@/server/page';
import { ownSessions, ownSignIns } from '@/server/queries/gear';
import { usualZone } from '@/server/queries/jobs';
import { Card } from '@/ui/parts/Card';
import { dayTime } from '@/ui/time';
import { ChangePassword } from '@/ui/views/ChangePassword';
import { OwnSessions } from '@/ui/views/OwnSessions';
import { SignInTable } from '@/ui/views/People';

export const metadata: Metadata = { title: 'Your account' };

/** A device by what its browser says of itself. */
function deviceWords(agent: string | null): string {
  if (!agent) return 'a device that says nothing of itself';
  const { browser, os } = Bowser.parse(agent);
  return [browser.name ?? 'a program', os.name].filter(Boolean).join(' on ');
}

/** One's own account: the password, where one is signed in, and who signed in with it. */
export default async function AccountPage() {
  const actor = await pageActor();
  const db = database();
  const [signIns, zone] = [await ownSignIns(db, actor), await usualZone(db)];
  const here = await pageSession();
  const sessions = await ownSessions(db, actor);
  return (
    <Stack spacing={2}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
        <Typography variant="h1" sx={{ flexGrow: 1 }}>
          {actor.name}
        </Typography>
        <ChangePassword />
      </Box>
      <Card title="Where you are signed in">
        <OwnSessions
          sessions={sessions.map(({ id, device, address, begun, used }) => ({
            ...{ id, device: deviceWords(device), address: address ?? '', here: id === here },
            ...{ begun: dayTime(begun, zone), used: dayTime(used, zone) },
          }))}
        />
      </Card>
      <Card title="Signed in with this account">
        <SignInTable rows={signIns.map((row) => ({ ...row, at: dayTime(row.at, zone) }))} />
        <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
          One that was not you: change your password, and tell the laboratory’s manager.
        </Typography>
      </Card>
    </Stack>
  );
}
