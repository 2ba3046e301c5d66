'use client';
import { useRef, useState } from 'react';
import { HandPumpWatch, loadIn, type PumpView } from '@/core/press';
import { usePressFeed } from './use-press-feed';

const NOTHING: PumpView = { phase: 'waiting', seconds: 0, peak: 0, strokes: 0 };

/**
 * What a machine shows that is pumped by hand, from the first load to what breaks by itself.
 * @param least load from which it counts as loaded, in `unit`
 * @param took each reading until then, load in `unit`, with what it came to; `broke` for the one it broke with
 */
export function useHandPump(
  machine: string,
  unit: 'lbf' | 'kN',
  least: number,
  took: (reading: { readonly t: number; readonly load: number }, now: PumpView, broke: boolean) => void,
) {
  const watch = useRef(new HandPumpWatch(least));
  const [view, setView] = useState<PumpView>(NOTHING);
  const { state, restart } = usePressFeed(machine, null, unit, null, ({ t, load: shown, peak, unit: of }) => {
    const before = watch.current.view().phase;
    const load = loadIn(shown, of, unit);
    watch.current.take({ seconds: t, load, peak: loadIn(peak, of, unit) });
    const now = watch.current.view();
    setView(now);
    if (before !== 'broken') took({ t, load }, now, now.phase === 'broken');
  });
  const anew = (): void => {
    watch.current = new HandPumpWatch(least);
    setView(NOTHING);
    restart();
  };
  return {
    view,
    state,
    /** As it is shown now. */
    load: state.last ? loadIn(state.last.load, state.last.unit, unit) : 0,
    /** Nothing of what it shows can be trusted. */
    down: state.up === false || state.stale,
    anew,
  };
}
