'use client';
import { Button, Stack, Typography } from '@mui/material';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { perform } from '../api';
import { Card } from '../parts/Card';
import { useNotice } from '../parts/Notice';

interface Open {
  readonly id: string;
  readonly findingId: string;
  readonly label: string;
  readonly reason: string;
  readonly by: string;
  readonly byName: string;
}

/** Recorded reasons that wait for a reviewer's word before the results can be reported. */
export function AcceptReasons({ reasons, actorId }: { reasons: readonly Open[]; actorId: string }) {
  const router = useRouter();
  const notice = useNotice();
  const [busy, setBusy] = useState('');
  const accept = async (reasonId: string): Promise<void> => {
    setBusy(reasonId);
    const reply = await perform('accept-reason', { reasonId });
    setBusy('');
    notice(reply.ok ? 'Reason accepted.' : reply.message, reply.ok ? 'success' : 'error');
    if (reply.ok) router.refresh();
  };
  return (
    <Card title="Reasons to accept">
      <Stack spacing={1}>
        {reasons.map((reason) => (
          <Stack key={reason.id} direction="row" spacing={2} sx={{ alignItems: 'center' }}>
            <Typography sx={{ flexGrow: 1 }}>
              <span className="mono">{reason.label}</span>
              {` (${reason.findingId.replace(/^.*\./, '').replaceAll('-', ' ')}): ${reason.reason} ${reason.byName}.`}
            </Typography>
            {reason.by === actorId ? (
              <Typography color="text.secondary">yours: somebody else accepts it</Typography>
            ) : (
              <Button variant="outlined" onClick={() => accept(reason.id)} loading={busy === reason.id}>
                Accept
              </Button>
            )}
          </Stack>
        ))}
      </Stack>
    </Card>
  );
}
