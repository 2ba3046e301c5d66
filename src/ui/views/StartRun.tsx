'use client';
import { Button } from '@mui/material';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { perform } from '../api';
import { useNotice } from '../parts/Notice';

/** Opens the run sheet of a specimen; in focus, so that Enter is enough. */
export function StartRun({ specimenId }: { specimenId: string }) {
  const router = useRouter();
  const notice = useNotice();
  const [busy, setBusy] = useState(false);
  const start = async (): Promise<void> => {
    setBusy(true);
    const reply = await perform<{ runId: string }>('start-run', {
      method: 'cylinder-compression',
      specimenId,
    });
    if (reply.ok) return router.push(`/runs/${reply.data.runId}`);
    notice(reply.message, 'error');
    setBusy(false);
  };
  return (
    <Button variant="contained" size="large" autoFocus onClick={start} loading={busy}>
      Start the compression run
    </Button>
  );
}
