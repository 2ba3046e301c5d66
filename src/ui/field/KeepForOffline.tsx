'use client';
import { useRouter } from 'next/navigation';
import { useEffect, useRef } from 'react';
import { newerToBeHad } from '../clock';
import { keepPart, PARTS } from './parts-named';

/**
 * Lets the browser keep this page and its parts, so that a reload without a network brings it back; and renews it where
 * it is a kept one and the server answers after all, as when it was only slow.
 * @param mark when it changes the page is another one, and is kept anew
 * @param madeAt when the server made the page, ms since the epoch
 */
export function KeepForOffline({ mark = '', madeAt }: { readonly mark?: string; readonly madeAt: number }) {
  const router = useRouter();
  const made = useRef(madeAt);
  made.current = madeAt;
  // Once as it comes, and when the network is back: what is renewed is never looked at again by itself.
  useEffect(() => {
    const look = (): void => void newerToBeHad(made.current).then((newer) => newer && router.refresh());
    look();
    window.addEventListener('online', look);
    return () => window.removeEventListener('online', look);
  }, [router]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the mark is what says that the page has changed
  useEffect(() => {
    // Only where the browser trusts the address (https, or this machine); elsewhere the page works as long as it stands.
    if (!('serviceWorker' in navigator) || process.env.NODE_ENV !== 'production') return;
    let watch: PerformanceObserver | undefined;
    void navigator.serviceWorker
      .register('/serwist/sw.js', { scope: '/' })
      .then(async () => {
        await inCharge();
        // What its tests need is fetched a moment later than the page itself, and named nowhere in it.
        watch = new PerformanceObserver((seen) => keepParts(seen.getEntries()));
        watch.observe({ type: 'resource', buffered: true });
        // The page that is open now came before the worker did, or is another since: the worker keeps what is asked for.
        await fetch(window.location.href, { headers: { accept: 'text/html' } });
      })
      .catch(() => undefined);
    return () => watch?.disconnect();
  }, [mark]);
  return null;
}

/** Waits until the worker answers for this page: the first time it takes over a moment after it was installed. */
async function inCharge(): Promise<void> {
  const { serviceWorker } = navigator;
  if (serviceWorker.controller) return;
  await new Promise<void>((resolve) => {
    serviceWorker.addEventListener('controllerchange', () => resolve(), { once: true });
  });
}

/** Keeps each part among what was fetched, by itself: one that is not there any more must not keep out the others. */
function keepParts(fetched: readonly PerformanceEntry[]): void {
  const parts = new Set(fetched.flatMap(({ name }) => (name.includes('/_next/static/') ? name : [])));
  void caches
    .open(PARTS)
    .then((cache) => Promise.allSettled([...parts].map((part) => keepPart(cache, part))));
}
