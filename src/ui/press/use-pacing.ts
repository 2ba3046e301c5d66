import { useEffect, useRef } from 'react';
import type { PressView } from '@/core/press';
import { signal } from '../field/alarm';
import { bandIsNear, pacePitch } from './pace';

const PACE_MS = 900;
/** The two beats that say the band is about to count. */
const NEAR_PITCH = 880;
const NEAR_MS = 180;

/** Paces a break by sound: two beats before the band counts, then a tone as far off its middle as the rate is. */
export function usePacing(on: boolean, view: PressView | null, band: { low: number; high: number }): void {
  const last = useRef(0);
  const armed = useRef(false);
  const near = view !== null && bandIsNear(view);
  useEffect(() => {
    if (!near) {
      armed.current = false;
      return;
    }
    if (!on || armed.current) return;
    armed.current = true;
    signal(NEAR_PITCH, 0.08);
    const second = setTimeout(() => signal(NEAR_PITCH, 0.08), NEAR_MS);
    return () => clearTimeout(second);
  }, [on, near]);
  // Every view is looked at: a rate that stands still off its band goes on sounding.
  useEffect(() => {
    const pitch = view && pacePitch(view, band);
    if (!on || pitch === null) return;
    const at = Date.now();
    if (at - last.current < PACE_MS) return;
    last.current = at;
    signal(pitch, 0.15);
  }, [on, view, band]);
}
