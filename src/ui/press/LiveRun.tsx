'use client';
import { useMethodFolder } from '../methods/holding';
import { BendView } from './BendView';
import type { LiveProps } from './live-props';
import { PressView } from './PressView';

/** A run at its machine: over time where the load is led, over the displacement where that is. */
export function LiveRun(props: LiveProps) {
  const { method } = useMethodFolder();
  return method.bends ? <BendView {...props} /> : <PressView {...props} />;
}
