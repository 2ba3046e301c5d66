'use client';
import { useCallback } from 'react';
import { perform } from '../api';
import { useNotice } from '../parts/Notice';

/** Sends an order to the stand-in that a run is on; false, and said, where it did not arrive. */
export function useDrive(runId: string): (order: object) => Promise<boolean> {
  const notice = useNotice();
  return useCallback(
    async (order) => {
      const reply = await perform('drive-press', { runId, ...order });
      if (!reply.ok) notice(reply.message, 'error');
      return reply.ok;
    },
    [runId, notice],
  );
}
