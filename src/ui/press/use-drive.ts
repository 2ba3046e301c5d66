'use client';
import { useCallback, useRef } from 'react';
import { perform } from '../api';
import { useNotice } from '../parts/Notice';

/**
 * Sends orders to the stand-in that a run is on; false, and said, where one did not arrive. Each waits for the answer
 * to the one before: two that were under way at once could come in the other order, and the older one would stand.
 */
export function useDrive(runId: string): (order: object) => Promise<boolean> {
  const notice = useNotice();
  const before = useRef<Promise<unknown>>(Promise.resolve());
  return useCallback(
    (order) => {
      const sent = before.current.then(async () => {
        const reply = await perform('drive-press', { runId, ...order });
        if (!reply.ok) notice(reply.message, 'error');
        return reply.ok;
      });
      before.current = sent;
      return sent;
    },
    [runId, notice],
  );
}
