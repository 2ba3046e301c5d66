'use client';
import { useEffect, useState } from 'react';
import { timeNow } from './clock';

/** The current time, renewed every so often; starts from the server's time so that both draw the same first page. */
export function useNow(initial: number, everyMs = 15_000): number {
  const [now, setNow] = useState(initial);
  useEffect(() => {
    setNow(timeNow());
    const timer = setInterval(() => setNow(timeNow()), everyMs);
    return () => clearInterval(timer);
  }, [everyMs]);
  return now;
}
