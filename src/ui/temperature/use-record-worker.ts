'use client';
import { useCallback } from 'react';
import type { RecordMapping } from '@/core/temperature';
import { useFileWorker } from '../use-file-worker';
import type { RecordRead, RecordWorker } from './record.worker';

const made = (): Worker => new Worker(new URL('./record.worker.ts', import.meta.url), { type: 'module' });

/** The worker that reads records of temperatures. */
export function useRecordWorker() {
  const { share, found, start, forget } = useFileWorker<RecordWorker, RecordRead>(made);
  const read = useCallback(
    (text: string, mapping: RecordMapping, zone: string): Promise<void> =>
      start((remote, told) => remote.read(text, mapping, zone, told)),
    [start],
  );
  return { share, found, read, forget };
}
