'use client';
import { useRef } from 'react';
import type { NeedleLine } from '@/core/cement/simulated-needle';
import { type DeviceLine, useDeviceLine } from '../../use-device-line';

const DRAW_MS = 60;

export interface NeedleState extends DeviceLine {
  readonly last: NeedleLine | null;
}

/** What a needle with a line shows, followed live; nothing where none is named. */
export function useNeedle(number: string | undefined): NeedleState {
  const last = useRef<NeedleLine | null>(null);
  const line = useDeviceLine<NeedleLine>(
    number,
    undefined,
    {
      begin() {
        last.current = null;
      },
      lines(lines) {
        last.current = lines.at(-1) ?? last.current;
      },
    },
    DRAW_MS,
  );
  return { ...line, last: last.current };
}
