'use client';
import { useEffect, useState } from 'react';
import { type HeatRecord, recordOfRows } from '@/core/calorimetry';
import type { LoggedLine } from '@/core/logger';

/** The record is drawn anew this often at most. */
const DRAW_MS = 1000;

export interface CalorimeterState {
  /** The line to it; null before anything was heard. */
  readonly up: boolean | null;
  readonly simulated: boolean;
  readonly record: HeatRecord | null;
}

const NOTHING: CalorimeterState = { up: null, simulated: false, record: null };

interface Message {
  readonly up?: boolean;
  readonly simulated: boolean;
  readonly boot?: string;
  readonly lines?: readonly LoggedLine[];
}

/** All that a calorimeter with a line has recorded, and goes on recording. @param number none: nothing is followed */
export function useCalorimeter(number: string | undefined): CalorimeterState {
  const [state, setState] = useState(NOTHING);
  useEffect(() => {
    setState(NOTHING);
    if (!number) return;
    const source = new EventSource(`/api/press/${encodeURIComponent(number)}?from=1`);
    let told: Omit<CalorimeterState, 'record'> = NOTHING;
    let boot: string | undefined;
    const rows = new Map<number, LoggedLine>();
    let waiting: ReturnType<typeof setTimeout> | null = null;
    const draw = (): void => {
      waiting = null;
      setState({ ...told, record: rows.size > 2 ? recordOfRows([...rows.values()]) : null });
    };
    const soon = (): void => {
      waiting ??= setTimeout(draw, DRAW_MS);
    };
    source.onmessage = ({ data }: MessageEvent<string>) => {
      const { up = true, simulated, lines = [], boot: life } = JSON.parse(data) as Message;
      told = { up, simulated: simulated || told.simulated };
      // Begun anew it numbers its rows anew.
      if (life && boot && life !== boot) rows.clear();
      boot = life ?? boot;
      for (const line of lines) if (line.power) rows.set(line.seq, line);
      soon();
    };
    source.onerror = () => {
      told = { ...told, up: false };
      soon();
    };
    return () => {
      source.close();
      if (waiting) clearTimeout(waiting);
    };
  }, [number]);
  return state;
}
