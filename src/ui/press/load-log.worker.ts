import { expose } from 'comlink';
import type { UnitId } from '@/core/quantity';
import { analyseLog, type LogMapping, type LogRequest, readLoadLog, thinned } from '@/core/signals';

/** Points of a curve as a chart can show them. */
const SHOWN = 600;

type Band = Pick<LogRequest, 'area' | 'stress' | 'low' | 'high' | 'criteria'>;

/** Reads and analyses a log beside the page, so that the page never stands still. */
const logWorker = {
  analyse(text: string, mapping: LogMapping, unit: UnitId, band: Band, onProgress: (share: number) => void) {
    const began = performance.now();
    const log = readLoadLog(text, mapping, unit, onProgress);
    const analysis = analyseLog({ ...log, ...band });
    const { unread, examples, turned } = log;
    return {
      analysis,
      curve: thinned(log.seconds, log.load, SHOWN).map(([x, y]) => ({ x, y })),
      unread,
      examples,
      turned,
      took: performance.now() - began,
    };
  },
};

export type LogWorker = typeof logWorker;
export type LogRead = ReturnType<LogWorker['analyse']>;

expose(logWorker);
