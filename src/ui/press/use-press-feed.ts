'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import { LiveCurve, loadIn, type ReadingLine } from '@/core/press';
import type { FeedWatch, Follow } from './follow';

/** Nothing new for this long: what stands on the screen is old. */
const STALE_MS = 1500;
/** Points the curve is drawn with; the record keeps every one. */
const DRAWN = 400;
/** The figures are drawn this often at most, the curve less often: a screen is not faster than an eye. */
const FIGURES_MS = 60;
const CURVE_MS = 300;

export interface FeedState<V> {
  /** The line to the machine; null before anything was heard. */
  readonly up: boolean | null;
  readonly stale: boolean;
  readonly simulated: boolean;
  /** The machine is driven by its displacement. */
  readonly driven: boolean;
  readonly last: ReadingLine | null;
  readonly boot: string;
  readonly firstSeq: number | null;
  readonly view: V | null;
  /** The indicator's own peak, in the unit of the run. */
  readonly register: number;
  readonly curve: readonly { readonly x: number; readonly y: number }[];
  /** When the peak was read, by the clock of this device. */
  readonly peakAt: number | null;
  /** Milliseconds from the machine to this page, of late. */
  readonly delay: number | null;
  /** Readings that never came. */
  readonly lost: number;
}

const NOTHING: FeedState<never> = {
  up: null,
  stale: false,
  simulated: false,
  driven: false,
  last: null,
  boot: '',
  firstSeq: null,
  view: null,
  register: 0,
  curve: [],
  peakAt: null,
  delay: null,
  lost: 0,
};

interface Message {
  readonly up?: boolean;
  readonly simulated: boolean;
  readonly driven?: boolean;
  readonly boot?: string;
  readonly lines?: readonly ReadingLine[];
}

/**
 * The readings of a machine, followed live and watched: redrawn some times a second, however many come.
 * @param from the first reading wanted, for a test that is followed already; null for only what comes
 * @param follow what it is watched with; it begins anew when the specimen or its expectation changes
 * @param each is told every reading as it comes, for a watch of its own
 */
export function usePressFeed<V>(
  machine: string | undefined,
  from: number | null,
  unit: 'lbf' | 'kN',
  follow: Follow<V> | null,
  each?: (line: ReadingLine) => void,
) {
  const told = useRef(each);
  told.current = each;
  const [state, setState] = useState<FeedState<V>>(NOTHING);
  const watch = useRef<FeedWatch<V> | null>(null);
  const begin = useRef(follow);
  begin.current = follow;
  const lines = useRef<ReadingLine[]>([]);
  const curve = useRef(new LiveCurve(DRAWN));
  const held = useRef<FeedState<V>>(NOTHING);
  const wanted = follow?.key;

  // A change of what is expected (a diameter corrected) watches what has come already anew.
  useEffect(() => {
    watch.current = wanted === undefined ? null : (begin.current?.begin() ?? null);
    for (const line of lines.current) watch.current?.take(line);
  }, [wanted]);

  useEffect(() => {
    if (!machine) return;
    lines.current = [];
    curve.current = new LiveCurve(DRAWN);
    held.current = NOTHING;
    const source = new EventSource(
      `/api/press/${encodeURIComponent(machine)}${from === null ? '' : `?from=${from}`}`,
    );
    let heard = Date.now();
    let waiting: ReturnType<typeof setTimeout> | null = null;
    let curveAt = 0;
    const draw = (): void => {
      waiting = null;
      const now = held.current;
      const curveToo = Date.now() - curveAt >= CURVE_MS;
      if (curveToo) curveAt = Date.now();
      setState((shown) => ({
        ...now,
        stale: Date.now() - heard > STALE_MS,
        view: watch.current?.view() ?? null,
        curve: curveToo ? curve.current.drawn() : shown.curve,
      }));
    };
    const soon = (): void => {
      waiting ??= setTimeout(draw, FIGURES_MS);
    };
    source.onmessage = ({ data }: MessageEvent<string>) => {
      const message = JSON.parse(data) as Message;
      heard = Date.now();
      const before = held.current;
      if (message.up !== undefined) {
        held.current = { ...before, up: message.up, simulated: message.simulated || before.simulated };
        return soon();
      }
      const fresh = message.lines ?? [];
      let { firstSeq, register, peakAt, lost, last } = before;
      for (const line of fresh) {
        if (last && line.seq <= last.seq) continue;
        if (last && line.seq > last.seq + 1) lost += line.seq - last.seq - 1;
        firstSeq ??= line.seq;
        const peak = loadIn(line.peak, line.unit, unit);
        if (peak > register) peakAt = line.at;
        register = peak;
        last = line;
        lines.current.push(line);
        watch.current?.take(line);
        curve.current.take(watch.current?.along(line) ?? line.t, loadIn(line.load, line.unit, unit));
        told.current?.(line);
      }
      held.current = {
        ...before,
        up: true,
        simulated: message.simulated,
        driven: message.driven === true,
        boot: message.boot ?? before.boot,
        last,
        firstSeq,
        register,
        peakAt,
        lost,
        delay: last ? Math.max(0, Date.now() - last.at) : before.delay,
      };
      soon();
    };
    source.onerror = () => {
      held.current = { ...held.current, up: false };
      soon();
    };
    const timer = setInterval(soon, 500);
    return () => {
      source.close();
      clearInterval(timer);
      if (waiting) clearTimeout(waiting);
    };
  }, [machine, from, unit]);

  /** Forgets what came so far: another specimen is in. */
  const restart = useCallback(() => {
    lines.current = [];
    curve.current = new LiveCurve(DRAWN);
    held.current = { ...held.current, firstSeq: null, register: 0, peakAt: null, lost: 0 };
    watch.current = begin.current?.begin() ?? null;
  }, []);
  return { state, restart };
}
