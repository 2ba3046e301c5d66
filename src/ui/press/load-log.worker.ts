import { expose } from 'comlink';
import type { UnitId } from '@/core/quantity';
import { analyseLog, type LogMapping, type LogRequest, readLoadLog } from '@/core/signals';

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
      curve: curveOf(log.seconds, log.load),
      unread,
      examples,
      turned,
      took: performance.now() - began,
    };
  },
};

/** The lowest and the highest of every stretch: a curve thinned so still shows its peak and its dips. */
function curveOf(seconds: Float64Array, load: Float64Array): { x: number; y: number }[] {
  const stretch = Math.max(1, Math.ceil((seconds.length * 2) / SHOWN));
  const points: { x: number; y: number }[] = [];
  for (let from = 0; from < seconds.length; from += stretch) {
    let [low, high] = [from, from];
    for (let index = from; index < Math.min(from + stretch, seconds.length); index += 1) {
      if ((load[index] ?? 0) < (load[low] ?? 0)) low = index;
      if ((load[index] ?? 0) > (load[high] ?? 0)) high = index;
    }
    for (const index of [...new Set([low, high])].sort((a, b) => a - b)) {
      points.push({ x: seconds[index] ?? 0, y: load[index] ?? 0 });
    }
  }
  return points;
}

export type LogWorker = typeof logWorker;
export type LogRead = ReturnType<LogWorker['analyse']>;

expose(logWorker);
