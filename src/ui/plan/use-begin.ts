'use client';
import { useState } from 'react';
import type { PointView } from '@/core/plan';
import { perform } from '../api';
import { useNotice } from '../parts/Notice';

/** Opens the tests that points are ready for, one after the other; what the server refuses is said with its point. */
export function useBegin(done: () => void) {
  const notice = useNotice();
  const [busy, setBusy] = useState(false);
  const begin = async (points: readonly PointView[]): Promise<void> => {
    setBusy(true);
    for (const { id, short, next } of points) {
      if (!next) continue;
      const reply = await perform('start-run', { method: next.method, specimenId: id });
      if (!reply.ok) {
        notice(`${short}: ${reply.message}`, 'error');
        break;
      }
    }
    setBusy(false);
    done();
  };
  return { begin, busy };
}
