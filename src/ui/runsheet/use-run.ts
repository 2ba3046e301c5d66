'use client';
import 'reflect-metadata';
import { useMemo, useState } from 'react';
import { fieldsOf, type Outcome, stepsOf, typedInput, usableInput, validateInput } from '@/core/methods';
import { bySeverity } from '@/core/working';
import { useMethodFolder } from '../methods/holding';
import { useNow } from '../use-now';
import type { Run } from './run';
import type { RunSheetData } from './types';
import { useReadings } from './use-readings';

/** A run being worked on: its readings, and what they come to at this moment, computed here while typing. */
export function useRun(data: RunSheetData, now: number): Run {
  const { method: whole } = useMethodFolder();
  // Steps that this specimen has no part in are left out.
  const method = useMemo(() => ({ ...whole, steps: stepsOf(whole, data.setup) }), [whole, data.setup]);
  const [correction, setCorrection] = useState('');
  const readings = useReadings(data.runId, data.readings, {
    ...(data.state === 'complete' ? { reason: correction } : {}),
    ...(data.lock?.amendment ? { amendmentId: data.lock.amendment.id } : {}),
  });
  // Once a minute is often enough for the checks that look at the clock.
  const minute = Math.floor(useNow(now, 20_000) / 60_000) * 60_000;
  const { values } = readings;
  const live = useMemo(() => {
    const typed = typedInput(method.Input, data.system, Object.entries(values));
    const { input, errors } = usableInput(method, typed);
    // What is only so now is asked of a run that is open; a complete one is what it was.
    const asOf = data.state === 'open' ? { asOf: new Date(minute).toISOString() } : {};
    const outcome: Outcome = method.compute(input, { ...data.setup, ...asOf });
    const complete = validateInput(method, typed, { whole: true });
    return {
      input,
      outcome: { ...outcome, findings: bySeverity(outcome.findings) },
      errors,
      missing: complete.ok ? {} : complete.errors,
    };
  }, [method, data.system, data.state, data.setup, values, minute]);
  const fields = useMemo(() => new Map(fieldsOf(method.Input).map((field) => [field.name, field])), [method]);
  return { method, fields, readings, live, correction, setCorrection };
}
