'use client';
import { useEffect } from 'react';
import type { Run } from '../runsheet/run';
import type { RunSheetData } from '../runsheet/types';
import { useRun } from '../runsheet/use-run';

/** Keeps one run of a sample alive while its card may be closed: its readings go on being saved, its stamps count. */
export function RunHolder({
  data,
  now,
  onRun,
}: {
  data: RunSheetData;
  now: number;
  onRun: (runId: string, run: Run) => void;
}) {
  const run = useRun(data, now);
  const { values, state, refused, conflicts } = run.readings;
  const { live, correction } = run;
  // biome-ignore lint/correctness/useExhaustiveDependencies: the run is told again when something in it changed, not at every drawing
  useEffect(
    () => onRun(data.runId, run),
    [data.runId, onRun, values, state, refused, conflicts, live, correction],
  );
  return null;
}
