import { expose } from 'comlink';
import { analyseRecord, type RecordMapping, readRecord } from '@/core/temperature';

/** Reads and analyses a record beside the page, so that the page never stands still. */
const recordWorker = {
  read(text: string, mapping: RecordMapping, zone: string, onProgress: (share: number) => void) {
    const began = performance.now();
    const raw = readRecord(text, mapping, zone, onProgress);
    const record = analyseRecord(raw, mapping.names);
    return { record, unread: raw.unread, examples: raw.examples, took: performance.now() - began };
  },
};

export type RecordWorker = typeof recordWorker;
export type RecordRead = ReturnType<RecordWorker['read']>;

expose(recordWorker);
