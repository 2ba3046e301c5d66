'use client';
import { useEffect, useRef, useState } from 'react';
import { type MassLine, type Weighing, WeighingWatch } from '@/core/balance';

/** The figures are drawn this often at most: a screen is not faster than an eye. */
const DRAW_MS = 100;

export interface BalanceState {
  /** The line to the balance; null before anything was heard. */
  readonly up: boolean | null;
  readonly simulated: boolean;
  readonly shown: Weighing | null;
}

const NOTHING: BalanceState = { up: null, simulated: false, shown: null };

interface Message {
  readonly up?: boolean;
  readonly simulated: boolean;
  readonly lines?: readonly MassLine[];
}

/** What a balance shows, followed live; nothing where none is named. */
export function useBalance(number: string | undefined) {
  const [state, setState] = useState(NOTHING);
  const watch = useRef(new WeighingWatch());
  useEffect(() => {
    setState(NOTHING);
    watch.current = new WeighingWatch();
    if (!number) return;
    const source = new EventSource(`/api/press/${encodeURIComponent(number)}`);
    let told: Pick<BalanceState, 'up' | 'simulated'> = NOTHING;
    let waiting: ReturnType<typeof setTimeout> | null = null;
    const draw = (): void => {
      waiting = null;
      setState({ ...told, shown: watch.current.view() });
    };
    const soon = (): void => {
      waiting ??= setTimeout(draw, DRAW_MS);
    };
    source.onmessage = ({ data }: MessageEvent<string>) => {
      const { up = true, simulated, lines = [] } = JSON.parse(data) as Message;
      told = { up, simulated: simulated || told.simulated };
      for (const line of lines) watch.current.take(line);
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
  /** What it shows was put into a reading. */
  const taken = (): void => {
    watch.current.taken();
    setState((before) => ({ ...before, shown: watch.current.view() }));
  };
  return { state, taken };
}
