'use client';
import { useRef, useState } from 'react';
import { type MassLine, type Weighing, WeighingWatch } from '@/core/balance';
import { type DeviceLine, useDeviceLine } from '../use-device-line';

/** The figures are drawn this often at most: a screen is not faster than an eye. */
const DRAW_MS = 100;

export interface BalanceState extends DeviceLine {
  readonly shown: Weighing | null;
}

/** What a balance shows, followed live; nothing where none is named. */
export function useBalance(number: string | undefined) {
  const watch = useRef(new WeighingWatch());
  const heard = useRef(false);
  const [, drawAnew] = useState(0);
  const line = useDeviceLine<MassLine>(
    number,
    undefined,
    {
      begin() {
        watch.current = new WeighingWatch();
        heard.current = false;
      },
      lines(lines) {
        heard.current = true;
        for (const each of lines) watch.current.take(each);
      },
    },
    DRAW_MS,
  );
  /** What it shows was put into a reading. */
  const taken = (): void => {
    watch.current.taken();
    drawAnew((count) => count + 1);
  };
  const state: BalanceState = { ...line, shown: heard.current ? watch.current.view() : null };
  return { state, taken };
}
