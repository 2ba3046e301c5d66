'use client';
import { useCallback, useEffect, useState } from 'react';
import { perform } from '../api';

/** Where a point is put, as a share of the plan. */
export interface Place {
  readonly x: number;
  readonly y: number;
}

const AGAIN_MS = 5000;

function kept(key: string): Record<string, Place> {
  try {
    return JSON.parse(window.localStorage.getItem(key) ?? '{}') as Record<string, Place>;
  } catch {
    return {};
  }
}

/**
 * Places of points as they are put: kept on this device until the server has them, sent again when there is a network.
 * @returns what is still to be sent, by point; what the server refused, in words
 */
export function usePlaces(lotId: string, sent: () => void) {
  const key = `bricole.places.${lotId}`;
  const [waiting, setWaiting] = useState<Readonly<Record<string, Place>>>({});
  const [refused, setRefused] = useState('');
  const [offline, setOffline] = useState(false);
  useEffect(() => setWaiting(kept(key)), [key]);
  const put = useCallback(
    (places: Readonly<Record<string, Place>>): void => {
      const all = { ...kept(key), ...places };
      window.localStorage.setItem(key, JSON.stringify(all));
      setRefused('');
      setWaiting(all);
    },
    [key],
  );
  useEffect(() => {
    const ids = Object.keys(waiting);
    if (ids.length === 0) return;
    let over = false;
    const send = async (): Promise<void> => {
      const places = ids.map((specimenId) => ({ specimenId, ...waiting[specimenId] }));
      const reply = await perform('place-points', { lotId, places });
      if (over) return;
      setOffline(!reply.ok && reply.status === 0);
      if (!reply.ok && reply.status === 0) return;
      if (!reply.ok) setRefused(reply.message);
      // What was put meanwhile stays to be sent.
      const now = kept(key);
      for (const id of ids)
        if (now[id]?.x === waiting[id]?.x && now[id]?.y === waiting[id]?.y) delete now[id];
      window.localStorage.setItem(key, JSON.stringify(now));
      setWaiting(now);
      sent();
    };
    void send();
    const timer = setInterval(() => void send(), AGAIN_MS);
    window.addEventListener('online', send);
    return () => {
      over = true;
      clearInterval(timer);
      window.removeEventListener('online', send);
    };
  }, [waiting, lotId, key, sent]);
  return { waiting, refused, offline, put };
}
