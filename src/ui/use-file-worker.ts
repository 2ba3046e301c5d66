'use client';
import { proxy, type Remote, wrap } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';

/**
 * A worker that reads files beside the page: what it found last, and how far it is. Another file ends the one before.
 * @param made makes the worker; of the module, so that it is the same one always
 */
export function useFileWorker<Api, Found>(made: () => Worker) {
  const [share, setShare] = useState<number | null>(null);
  const [found, setFound] = useState<Found | null>(null);
  const worker = useRef<Worker | null>(null);
  const stop = useCallback(() => {
    worker.current?.terminate();
    worker.current = null;
    setShare(null);
  }, []);
  useEffect(() => stop, [stop]);
  const start = useCallback(
    async (ask: (remote: Remote<Api>, told: (share: number) => void) => Promise<Found>): Promise<void> => {
      stop();
      setFound(null);
      setShare(0);
      const own = made();
      worker.current = own;
      const done = await ask(
        wrap<Api>(own),
        proxy((part: number) => {
          // Word of a file that was left arrives late.
          if (worker.current === own) setShare(part);
        }),
      );
      if (worker.current !== own) return;
      setFound(done);
      stop();
    },
    [made, stop],
  );
  const forget = useCallback(() => {
    stop();
    setFound(null);
  }, [stop]);
  return { share, found, start, stop, forget };
}
