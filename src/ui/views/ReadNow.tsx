'use client';
import { Button } from '@mui/material';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { perform } from '../api';
import { useNotice } from '../parts/Notice';

/** Opens the next reading of a lot, or the one that is open. */
export function ReadNow({ lotId, method, words }: { lotId: string; method: string; words: string }) {
  const router = useRouter();
  const notice = useNotice();
  const [busy, setBusy] = useState(false);
  const start = async (): Promise<void> => {
    setBusy(true);
    const reply = await perform<{ runId: string }>('start-run', { method, lotId });
    if (reply.ok) return router.push(`/runs/${reply.data.runId}`);
    setBusy(false);
    notice(reply.message, 'error');
  };
  return (
    <Button variant="outlined" onClick={start} loading={busy}>
      {words}
    </Button>
  );
}
