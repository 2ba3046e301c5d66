'use client';
import { Box, Button, Table, TableBody, TableCell, TableHead, TableRow } from '@mui/material';
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
    <Box sx={{ overflowX: 'auto' }}>
      <Table size="small">
        <TableHead>
          <TableRow>
            {['Device', 'From', 'Since', 'Seen last', ''].map((word) => (
              <TableCell key={word}>{word}</TableCell>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          {sessions.map((session) => (
            <TableRow key={session.id}>
              <TableCell>{session.device}</TableCell>
              <TableCell className="mono">{session.address || 'not known'}</TableCell>
              <TableCell sx={{ whiteSpace: 'nowrap' }}>{session.begun}</TableCell>
              <TableCell sx={{ whiteSpace: 'nowrap' }}>{session.used}</TableCell>
              <TableCell sx={{ textAlign: 'right', whiteSpace: 'nowrap' }}>
                {session.here ? (
                  'this one'
                ) : (
                  <Button size="small" onClick={() => end([session])}>
                    Sign out there
                  </Button>
                )}
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
      {elsewhere.length > 1 ? (
        <Button sx={{ mt: 1 }} onClick={() => end(elsewhere)}>
          Sign out everywhere else
        </Button>
      ) : null}
    </Box>
  );
}
