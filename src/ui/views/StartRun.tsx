'use client';
import { Button, Stack } from '@mui/material';
import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useRef, useState } from 'react';
import { perform } from '../api';
import { useNotice } from '../parts/Notice';

/**
 * Opens the run sheet of a specimen by one of the methods it can be tested by; the first in focus, so that Enter is
 * enough.
 * @param scanned the label was scanned at the press: the first method begins at once
 */
export function StartRun({
  specimenId,
  methods,
  scanned = false,
  beside = false,
}: {
  specimenId: string;
  methods: readonly { readonly id: string; readonly label: string }[];
  scanned?: boolean;
  /** They stand on a page that is about something else: none is in focus. */
  beside?: boolean;
}) {
  const router = useRouter();
  const notice = useNotice();
  const [busy, setBusy] = useState('');
  const begun = useRef(false);
  const start = useCallback(
    async (method: string): Promise<void> => {
      setBusy(method);
      const reply = await perform<{ runId: string }>('start-run', { method, specimenId });
      if (reply.ok) return router.push(`/runs/${reply.data.runId}`);
      notice(reply.message, 'error');
      setBusy('');
    },
    [specimenId, router, notice],
  );
  const [first] = methods;
  useEffect(() => {
    if (!scanned || begun.current || !first) return;
    begun.current = true;
    void start(first.id);
  }, [scanned, first, start]);
  return (
    <Stack direction="row" useFlexGap spacing={1} sx={{ flexWrap: 'wrap' }}>
      {methods.map(({ id, label }, order) => (
        <Button
          key={id}
          variant={order === 0 && !beside ? 'contained' : 'outlined'}
          size={beside ? 'medium' : 'large'}
          autoFocus={order === 0 && !beside}
          onClick={() => start(id)}
          loading={busy === id}
        >
          {label}
        </Button>
      ))}
    </Stack>
  );
}
