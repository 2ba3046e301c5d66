'use client';
import { useMemo, useRef, useState } from 'react';
import { type HeatRecord, recordOfRows } from '@/core/calorimetry';
import type { LoggedLine } from '@/core/logger';
import { type DeviceLine, useDeviceLine } from '../../use-device-line';

/** The record is drawn anew this often at most. */
const DRAW_MS = 1000;

export interface CalorimeterState extends DeviceLine {
  readonly record: HeatRecord | null;
}

/** All that a calorimeter with a line has recorded, and goes on recording. @param number none: nothing is followed */
export function useCalorimeter(number: string | undefined): CalorimeterState {
  const rows = useRef(new Map<number, LoggedLine>());
  const life = useRef('');
  const [count, setCount] = useState(0);
  const line = useDeviceLine<LoggedLine>(
    number,
    1,
    {
      begin() {
        rows.current = new Map();
        setCount(0);
      },
      lines(lines, boot) {
        // Begun anew it numbers its rows anew.
        if (boot !== life.current) rows.current = new Map();
        life.current = boot;
        for (const each of lines) if (each.power) rows.current.set(each.seq, each);
        setCount(rows.current.size);
      },
    },
    DRAW_MS,
  );
  const record = useMemo(() => (count > 2 ? recordOfRows([...rows.current.values()]) : null), [count]);
  return { ...line, record };
}
