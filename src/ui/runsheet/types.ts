import type { RunSetup } from '@/core/methods';
import type { MethodId } from '@/core/methods/registry';
import type { System } from '@/core/quantity';
import type { CurrentReading } from './use-readings';

/** A run as a run sheet is given it: plain data. */
export interface RunSheetData {
  readonly runId: string;
  readonly method: MethodId;
  readonly state: 'open' | 'complete';
  readonly attempt: number;
  readonly system: System;
  readonly zone: string;
  readonly setup: RunSetup;
  readonly readings: readonly CurrentReading[];
  readonly canWrite: boolean;
  /** True when the set-up was taken over: Enter then asks only for what is new on this specimen. */
  readonly rhythm: boolean;
  /** What the person going on has recorded, and whether it was accepted. */
  readonly reasons: readonly {
    readonly findingId: string;
    readonly reason: string;
    readonly byName: string;
    readonly acceptedByName: string | null;
  }[];
  readonly lock: {
    readonly reportId: string;
    readonly report: string;
    readonly amendment: { readonly id: string; readonly reason: string } | null;
  } | null;
  /** Every reading ever taken here, oldest first, those that were corrected too. */
  readonly history: readonly {
    readonly seq: number;
    readonly field: string;
    readonly text: string | null;
    readonly at: number;
    readonly byName: string;
    readonly reason: string | null;
  }[];
  /** The sample, for runs made on one: such a test can be repeated. */
  readonly sampleId: string | null;
  readonly photos: readonly { readonly id: string; readonly name: string; readonly place: string | null }[];
}
