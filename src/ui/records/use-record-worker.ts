'use client';
import { useCallback } from 'react';
import type { KeptMapping, KeptRecord } from '@/core/records/kept-record';
import { useFileWorker } from '../use-file-worker';
import type { RecordRead, RecordWorker } from './record.worker';

const made = (): Worker => new Worker(new URL('./record.worker.ts', import.meta.url), { type: 'module' });

/** The worker that reads records. */
export function useRecordWorker() {
  const { share, found, start, forget } = useFileWorker<RecordWorker, RecordRead>(made);
  const read = useCallback(
    (kind: KeptRecord['kind'], text: string, mapping: KeptMapping, zone: string): Promise<void> =>
      start((remote, told) => remote.read(kind, text, mapping, zone, told)),
    [start],
  );
  return { share, found, read, forget };
}
