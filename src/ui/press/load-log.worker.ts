import { expose } from 'comlink';
import type { LogBand } from '@/core/methods/press';
import type { UnitId } from '@/core/quantity';
import {
  analyseLog,
  type BendAsked,
  bendOfLog,
  chosenPart,
  type LogMapping,
  readLoadLog,
  testsIn,
  thinned,
} from '@/core/signals';

/** Points of a curve as a chart can show them. */
const SHOWN = 600;

/** Reads and analyses a log beside the page, so that the page never stands still. */
const logWorker = {
  analyse(
    text: string,
    mapping: LogMapping,
    unit: UnitId,
    band: LogBand,
    part: number,
    asked: BendAsked | undefined,
    onProgress: (share: number) => void,
  ) {
    const began = performance.now();
    const log = readLoadLog(text, mapping, unit, onProgress);
    const parts = testsIn(log.seconds, log.load);
    const own = chosenPart(log, parts, part) ?? chosenPart(log, parts) ?? log;
    const analysis = analyseLog({ ...own, ...band });
    const bend = asked && bendOfLog(own, unit, asked);
    const { unread, examples, turned, beside } = log;
    return {
      analysis,
      bend,
      curve: thinned(own.seconds, own.load, SHOWN).map(([x, y]) => ({ x, y })),
      unread,
      examples,
      turned,
      beside,
      parts,
      took: performance.now() - began,
    };
  },
};

export type LogWorker = typeof logWorker;
export type LogRead = ReturnType<LogWorker['analyse']>;

expose(logWorker);
