'use client';
import { proxy, type Remote, wrap } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { LogBand } from '@/core/methods/press';
import type { UnitId } from '@/core/quantity';
import type { BendAsked, LogMapping } from '@/core/signals';
import type { LogRead, LogWorker } from './load-log.worker';

/** The worker that reads load logs: what it found last, and how far it is. Choosing another file ends the one before. */
export function useLogWorker() {
  const [share, setShare] = useState<number | null>(null);
  const [read, setRead] = useState<LogRead | null>(null);
  const worker = useRef<Worker | null>(null);
  const stop = useCallback(() => {
    worker.current?.terminate();
    worker.current = null;
    setShare(null);
  }, []);
  useEffect(() => stop, [stop]);
  const analyse = useCallback(
    async (
      text: string,
      mapping: LogMapping,
      unit: UnitId,
      band: LogBand,
      part: number,
      asked: BendAsked | undefined,
    ): Promise<void> => {
      stop();
      setRead(null);
      setShare(0);
      const own = new Worker(new URL('./load-log.worker.ts', import.meta.url), { type: 'module' });
      worker.current = own;
      const remote: Remote<LogWorker> = wrap<LogWorker>(own);
      const found = await remote.analyse(
        text,
        mapping,
        unit,
        band,
        part,
        asked,
        proxy((done: number) => {
          // Word of a file that was left arrives late.
          if (worker.current === own) setShare(done);
        }),
      );
      if (worker.current !== own) return;
      setRead(found);
      stop();
    },
    [stop],
  );
  return { share, read, analyse, stop };
}
