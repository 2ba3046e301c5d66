import { act, render, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { expect, vi } from 'vitest';
import type { MethodId } from '@/core/methods/registry';
import { InMethodFolder } from '@/ui/methods/registry';
import type { RunSheetData } from '@/ui/runsheet/types';

/** A run sheet's data for a test: an open run of a cylinder without readings, but for what is said. */
export function sheetData(
  over: Partial<Omit<RunSheetData, 'readings'>> & {
    readonly readings?: Readonly<Record<string, string>>;
  } = {},
): RunSheetData {
  const { readings = {}, ...rest } = over;
  return {
    runId: 'run-1',
    method: 'cylinder-compression',
    state: 'open',
    attempt: 1,
    system: 'US',
    zone: 'America/New_York',
    setup: {},
    canWrite: true,
    rhythm: false,
    reasons: [],
    lock: null,
    history: [],
    sampleId: null,
    photos: [],
    ...rest,
    readings: Object.entries(readings).map(([field, text], index) => ({ field, text, seq: index + 1 })),
  };
}

/** What a page sent to the use cases, in order, by a server that does what it is asked. */
export interface Asked {
  readonly useCase: string;
  readonly data: Record<string, unknown>;
}

/**
 * Stands in for the server: readings are acknowledged, everything else is answered as said.
 * @param answers by use case; absent: it was done
 * @returns what was asked so far
 */
export function standInServer(answers: Readonly<Record<string, () => Response>> = {}): readonly Asked[] {
  // It has acknowledged nothing yet.
  sessionStorage.clear();
  const asked: Asked[] = [];
  let seq = 100;
  vi.stubGlobal('fetch', async (path: string, init?: { body: string }) => {
    const useCase = path.replace('/api/do/', '');
    if (!init || useCase === path) return new Response(JSON.stringify({ now: Date.now() }));
    const data = JSON.parse(init.body) as Record<string, unknown>;
    asked.push({ useCase, data });
    if (useCase !== 'save-readings') return answers[useCase]?.() ?? new Response('{}');
    const saved = (data.readings as { field: string }[]).map(({ field }) => {
      seq += 1;
      return { field, seq };
    });
    return new Response(JSON.stringify({ saved }));
  });
  return asked;
}

/** The readings that were saved, newest last. */
export function savedReadings(asked: readonly Asked[]): { field: string; text: string }[] {
  return asked.flatMap(({ data }) => data.readings as { field: string; text: string }[]);
}

/** Renders what stands in the folder of its method, and waits until that is there. */
export async function opened(method: MethodId, view: ReactNode): Promise<void> {
  await act(async () => {
    render(<InMethodFolder id={method}>{view}</InMethodFolder>);
  });
  await waitFor(() => expect(document.querySelector('input, button, p')).not.toBeNull());
}
