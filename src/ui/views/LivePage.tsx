'use client';
import { useLive } from '../field/use-live';

/** Renews the page it stands on when something changes at the placement. */
export function LivePage({ lotId }: { lotId: string }) {
  useLive(lotId);
  return null;
}
