'use client';
import { useRouter } from 'next/navigation';
import { useEffect, useRef } from 'react';

/** Several readings saved in one go are one renewal of the page. */
const GATHER_MS = 250;

/** Renews the page when somebody changes something at a placement; also when the line was lost and is back. */
export function useLive(lotId: string): void {
  const router = useRouter();
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  useEffect(() => {
    const source = new EventSource(`/api/live?lot=${lotId}`);
    let lost = false;
    const renew = (): void => {
      if (timer.current) return;
      timer.current = setTimeout(() => {
        timer.current = null;
        router.refresh();
      }, GATHER_MS);
    };
    source.onmessage = renew;
    source.onerror = () => {
      lost = true;
    };
    source.onopen = () => {
      if (lost) renew();
      lost = false;
    };
    return () => {
      source.close();
      if (timer.current) clearTimeout(timer.current);
      timer.current = null;
    };
  }, [lotId, router]);
}
