'use client';
import type { ReactNode } from 'react';
import { useNow } from '../use-now';

/** What shows the time and nothing else: when it moves on, only this is drawn anew, not the page around it. */
export function AtNow({
  initial,
  everyMs,
  children,
}: {
  initial: number;
  everyMs: number;
  children: (now: number) => ReactNode;
}) {
  return children(useNow(initial, everyMs));
}
