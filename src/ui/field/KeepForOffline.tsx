'use client';
import { useEffect } from 'react';

/**
 * Lets the browser keep this page and its parts, so that a reload without a network brings it back.
 * @param mark when it changes the page is another one, and is kept anew
 */
export function KeepForOffline({ mark = '' }: { readonly mark?: string }) {
  // biome-ignore lint/correctness/useExhaustiveDependencies: the mark is what says that the page has changed
  useEffect(() => {
    // Only where the browser trusts the address (https, or this machine); elsewhere the page works as long as it stands.
    if (!('serviceWorker' in navigator) || process.env.NODE_ENV !== 'production') return;
    let watch: PerformanceObserver | undefined;
    void navigator.serviceWorker
      .register('/serwist/sw.js', { scope: '/' })
      .then(async () => {
        await navigator.serviceWorker.ready;
        // The page that is open now came before the worker did: it is kept by asking for it once more.
        const cache = await caches.open('bricole-parts');
        const keep = async (parts: readonly string[]): Promise<void> => {
          // A part is named by a link and by a script: the cache refuses a list in which it stands twice.
          const own = [...new Set(parts)];
          const known = await Promise.all(own.map((part) => cache.match(part)));
          // Each by itself: one that is not there any more must not keep out the others.
          await Promise.allSettled(
            own.filter((_, index) => known[index] === undefined).map((part) => cache.add(part)),
          );
        };
        // What its tests need is fetched a moment later than the page itself.
        watch = new PerformanceObserver(
          (seen) => void keep(staticParts(seen.getEntries())).catch(() => undefined),
        );
        watch.observe({ type: 'resource' });
        await keep([...staticParts(performance.getEntriesByType('resource')), ...partsInPage()]);
        const pages = await caches.open('bricole-field');
        await pages.add(window.location.href);
      })
      .catch(() => undefined);
    return () => watch?.disconnect();
  }, [mark]);
  return null;
}

/** The addresses of the parts that the page itself names: of what was fetched the browser remembers the first 250 only. */
function partsInPage(): string[] {
  return [...document.querySelectorAll<HTMLScriptElement>('script[src]')]
    .map(({ src }) => src)
    .filter((name) => name.includes('/_next/static/'));
}

/** The addresses of what the application is made of, among all that was fetched. */
function staticParts(entries: readonly PerformanceEntry[]): string[] {
  return entries.map(({ name }) => name).filter((name) => name.includes('/_next/static/'));
}
