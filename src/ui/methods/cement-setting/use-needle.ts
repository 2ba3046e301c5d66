'use client';
import { useEffect, useState } from 'react';
import type { NeedleLine } from '@/core/cement/simulated-needle';

export interface NeedleState {
  /** The line to it; null before anything was heard. */
  readonly up: boolean | null;
  readonly simulated: boolean;
  readonly last: NeedleLine | null;
}

const NOTHING: NeedleState = { up: null, simulated: false, last: null };

interface Message {
  readonly up?: boolean;
  readonly simulated: boolean;
  readonly lines?: readonly NeedleLine[];
}

/** What a needle with a line shows, followed live; nothing where none is named. */
export function useNeedle(number: string | undefined): NeedleState {
  const [state, setState] = useState(NOTHING);
  useEffect(() => {
    setState(NOTHING);
    if (!number) return;
    const source = new EventSource(`/api/press/${encodeURIComponent(number)}`);
    source.onmessage = ({ data }: MessageEvent<string>) => {
      const { up = true, simulated, lines = [] } = JSON.parse(data) as Message;
      setState((before) => ({
        ...{ up, simulated: simulated || before.simulated },
        last: lines.at(-1) ?? before.last,
      }));
    };
    source.onerror = () => setState((before) => ({ ...before, up: false }));
    return () => source.close();
  }, [number]);
  return state;
}
