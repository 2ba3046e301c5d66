'use client';
import { useCallback } from 'react';
import type { LogBand } from '@/core/methods/press';
import type { UnitId } from '@/core/quantity';
import type { BendAsked, LogMapping } from '@/core/signals';
import { useFileWorker } from '../use-file-worker';
import type { LogRead, LogWorker } from './load-log.worker';

const made = (): Worker => new Worker(new URL('./load-log.worker.ts', import.meta.url), { type: 'module' });

/** The worker that reads load logs. */
export function useLogWorker() {
  const { share, found, start, stop } = useFileWorker<LogWorker, LogRead>(made);
  const analyse = useCallback(
    (
      text: string,
      mapping: LogMapping,
      unit: UnitId,
      band: LogBand,
      part: number,
      asked: BendAsked | undefined,
    ): Promise<void> => start((remote, told) => remote.analyse(text, mapping, unit, band, part, asked, told)),
    [start],
  );
  return { share, read: found, analyse, stop };
}
