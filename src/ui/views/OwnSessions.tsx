'use client';
import { Box, Button, Typography } from '@mui/material';
import { useRouter } from 'next/navigation';
import { perform } from '../api';
import { useNotice } from '../parts/Notice';

interface Session {
  readonly id: string;
  readonly device: string;
  readonly address: string;
  readonly begun: string;
  readonly used: string;
  /** It is the one that asks. */
  readonly here: boolean;
}

/** Where one is signed in, and out again from anywhere. */
export function OwnSessions({ sessions }: { sessions: readonly Session[] }) {
  const router = useRouter();
  const notice = useNotice();
  const end = async (ended: readonly Session[]): Promise<void> => {
    for (const { id } of ended) {
      const reply = await perform('end-own-session', { sessionId: id });
      if (!reply.ok) return notice(reply.message, 'error');
    }
    notice(ended.length === 1 ? 'Signed out there.' : 'Signed out everywhere else.');
    router.refresh();
  };
  const elsewhere = sessions.filter(({ here }) => !here);
  return (
    <Box>
      {sessions.map((session, index) => (
        <Box
          key={session.id}
          sx={{
            ...{ display: 'flex', alignItems: 'center', gap: 2, py: 1 },
            ...(index > 0 ? { borderTop: 1, borderColor: 'divider' } : {}),
          }}
        >
          <Box sx={{ flexGrow: 1, minWidth: 0 }}>
            <Typography>{`${session.device}${session.here ? ', this one' : ''}`}</Typography>
            <Typography variant="body2" color="text.secondary">
              {`Since ${session.begun}, from ${session.address || 'an address that is not known'}; seen last ${session.used}`}
            </Typography>
          </Box>
          {session.here ? null : (
            <Button size="small" onClick={() => end([session])}>
              Sign out there
            </Button>
          )}
        </Box>
      ))}
      {elsewhere.length > 1 ? (
        <Button sx={{ mt: 1 }} onClick={() => end(elsewhere)}>
          Sign out everywhere else
        </Button>
      ) : null}
    </Box>
  );
}
