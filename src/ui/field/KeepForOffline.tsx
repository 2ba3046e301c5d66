'use client';
import { useEffect } from 'react';

/** Lets the browser keep this page and its parts, so that a reload without a network brings it back. */
export function KeepForOffline() {
  useEffect(() => {
    // Only where the browser trusts the address (https, or this machine); elsewhere the page works as long as it stands.
    if (!('serviceWorker' in navigator) || process.env.NODE_ENV !== 'production') return;
    void navigator.serviceWorker
      .register('/serwist/sw.js', { scope: '/' })
      .then(async () => {
        await navigator.serviceWorker.ready;
        // The page that is open now came before the worker did: it is kept by asking for it once more.
        const parts = performance
          .getEntriesByType('resource')
          .map(({ name }) => name)
          .filter((name) => name.includes('/_next/static/'));
        const cache = await caches.open('bricole-parts');
        const known = await Promise.all(parts.map((part) => cache.match(part)));
        await cache.addAll(parts.filter((_, index) => known[index] === undefined));
        const pages = await caches.open('bricole-field');
        await pages.add(window.location.href);
      })
      .catch(() => undefined);
  }, []);
  return null;
}
