import type { MethodId, RunSetup } from '@/core/methods';
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
  readonly photos: readonly { readonly id: string; readonly name: string }[];
}
