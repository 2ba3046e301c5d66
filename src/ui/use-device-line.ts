'use client';
import { useEffect, useRef, useState } from 'react';

/** How the line to a device stands. */
export interface DeviceLine {
  /** Null before anything was heard. */
  readonly up: boolean | null;
  readonly simulated: boolean;
}

const NOTHING: DeviceLine = { up: null, simulated: false };

interface Message<L> {
  readonly up?: boolean;
  readonly simulated: boolean;
  readonly boot?: string;
  readonly lines?: readonly L[];
}

/**
 * Follows what a device sends, for views that make something of it themselves.
 * @param number of the device; none: nothing is followed
 * @param from the first reading wanted by its number; absent: only what comes
 * @param take is given the readings as they come, and in which life of its process; it is told when it begins anew
 * @param every ms between two times that the view is drawn, at the least
 */
export function useDeviceLine<L>(
  number: string | undefined,
  from: number | undefined,
  take: { begin(): void; lines(lines: readonly L[], boot: string): void },
  every: number,
): DeviceLine {
  const [state, setState] = useState(NOTHING);
  const told = useRef(take);
  told.current = take;
  useEffect(() => {
    setState(NOTHING);
    told.current.begin();
    if (!number) return;
    const source = new EventSource(
      `/api/press/${encodeURIComponent(number)}${from === undefined ? '' : `?from=${from}`}`,
    );
    let now: DeviceLine = NOTHING;
    let boot = '';
    let waiting: ReturnType<typeof setTimeout> | null = null;
    const draw = (): void => {
      waiting = null;
      // A copy: what was made of the lines is another thing, though the line stands as it did.
      setState({ ...now });
    };
    const soon = (): void => {
      waiting ??= setTimeout(draw, every);
    };
    source.onmessage = ({ data }: MessageEvent<string>) => {
      const message = JSON.parse(data) as Message<L>;
      now = { up: message.up ?? true, simulated: message.simulated || now.simulated };
      boot = message.boot ?? boot;
      if (message.lines && message.lines.length > 0) told.current.lines(message.lines, boot);
      soon();
    };
    source.onerror = () => {
      now = { ...now, up: false };
      soon();
    };
    return () => {
      source.close();
      if (waiting) clearTimeout(waiting);
    };
  }, [number, from, every]);
  return state;
}
