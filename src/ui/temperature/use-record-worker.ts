'use client';
import { proxy, type Remote, wrap } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { RecordMapping } from '@/core/temperature';
import type { RecordRead, RecordWorker } from './record.worker';

/** The worker that reads records: what it found last, and how far it is. Another file ends the one before. */
export function useRecordWorker() {
  const [share, setShare] = useState<number | null>(null);
  const [found, setFound] = useState<RecordRead | null>(null);
  const worker = useRef<Worker | null>(null);
  const stop = useCallback(() => {
    worker.current?.terminate();
    worker.current = null;
    setShare(null);
  }, []);
  useEffect(() => stop, [stop]);
  const read = useCallback(
    async (text: string, mapping: RecordMapping, zone: string): Promise<void> => {
      stop();
      setFound(null);
      setShare(0);
      const own = new Worker(new URL('./record.worker.ts', import.meta.url), { type: 'module' });
      worker.current = own;
      const remote: Remote<RecordWorker> = wrap<RecordWorker>(own);
      const done = await remote.read(
        text,
        mapping,
        zone,
        proxy((part: number) => {
          // Word of a file that was left arrives late.
          if (worker.current === own) setShare(part);
        }),
      );
      if (worker.current !== own) return;
      setFound(done);
      stop();
    },
    [stop],
  );
  const forget = useCallback(() => {
    stop();
    setFound(null);
  }, [stop]);
  return { share, found, read, forget };
}
