'use client';
import { Button } from '@mui/material';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { perform } from '../api';
import { newId } from '../ids';
import { useNotice } from '../parts/Notice';

/** One press when the final portion is taken. The moment of the press counts, however long sending it takes. */
export function TakeSample({ placementId }: { placementId: string }) {
  const router = useRouter();
  const notice = useNotice();
  const [busy, setBusy] = useState(false);
  const pressed = useRef<{ clientId: string; sampledAt: string } | null>(null);
  const take = async (): Promise<void> => {
    // A press that could not be sent is sent again as it was, not as a second sample taken later.
    pressed.current ??= { clientId: newId(), sampledAt: new Date().toISOString() };
    setBusy(true);
    const reply = await perform<{ sampleId: string }>('take-sample', { placementId, ...pressed.current });
    if (reply.ok) {
      pressed.current = null;
      return router.push(`/field/${reply.data.sampleId}`);
    }
    if (reply.status !== 0) pressed.current = null;
    notice(reply.message, 'error');
    setBusy(false);
  };
  return (
    <Button variant="contained" size="large" onClick={take} loading={busy} fullWidth>
      Sample taken now
    </Button>
  );
}
