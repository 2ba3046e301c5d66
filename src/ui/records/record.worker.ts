import { expose } from 'comlink';
import type { KeptMapping, KeptRecord } from '@/core/records/kept-record';
import { RECORD_KINDS } from '@/core/records/kinds';

/** Reads and analyses a record beside the page, so that the page never stands still. */
const recordWorker = {
  read(
    kind: KeptRecord['kind'],
    text: string,
    mapping: KeptMapping,
    zone: string,
    onProgress: (share: number) => void,
  ) {
    const began = performance.now();
    const read = RECORD_KINDS[kind].read(text, mapping, zone, onProgress);
    return { ...read, took: performance.now() - began };
  },
};

export type RecordWorker = typeof recordWorker;
export type RecordRead = ReturnType<RecordWorker['read']>;

expose(recordWorker);
