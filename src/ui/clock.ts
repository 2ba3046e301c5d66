'use client';
import { useSyncExternalStore } from 'react';
import { askedServer, type DeviceClock, lookAgain, watchClock } from '@/core/clocks/device-clock';

const LOOK_MS = 1000;
const ASK_AGAIN_MS = 5 * 60_000;

let clock: DeviceClock | null = null;
let asking: Promise<boolean> | null = null;
let asked = false;
const watchers = new Set<() => void>();

function look(): DeviceClock {
  const [wall, steady] = [Date.now(), performance.now()];
  const before = clock;
  clock = before ? lookAgain(before, wall, steady) : watchClock(wall, steady);
  if (before && !clock.sure) void ask();
  if (before?.offset !== clock.offset) for (const told of watchers) told();
  return clock;
}

/** Asks the server for its time, and says whether it answered; without a network the device’s own word stands until it comes back. */
function ask(): Promise<boolean> {
  if (!navigator.onLine) return Promise.resolve(false);
  asking ??= askOnce().finally(() => {
    asking = null;
  });
  return asking;
}

async function askOnce(): Promise<boolean> {
  try {
    const sent = Date.now();
    const response = await fetch('/api/health', { cache: 'no-store' });
    const { now, bearable = 0 } = (await response.json()) as { now?: number; bearable?: number };
    if (!response.ok || now === undefined || !clock) return false;
    asked = true;
    const before = clock.offset;
    clock = askedServer(clock, sent, Date.now(), now, bearable);
    if (clock.offset !== before) for (const told of watchers) told();
    return true;
  } catch {
    // Not reached: asked again when the network is back or the clock is next found to have jumped.
    return false;
  }
}

/** How long a press waits for the server’s word on the time before it goes by the device’s own. */
const PATIENCE_MS = 2000;

/** The moment of a press as it counts, ms: on a page that has just opened, once the server has said what time it is. */
export async function momentOfPress(): Promise<number> {
  const wall = Date.now();
  if (!asked) {
    look();
    await Promise.race([ask(), new Promise((resolve) => setTimeout(resolve, PATIENCE_MS))]);
  }
  return wall + (clock?.offset ?? 0);
}

/**
 * Whether a page that stands on the device is an older one than was asked for, and the server could give a newer one now.
 * @param madeAt when the server made the page, ms since the epoch
 */
export async function newerToBeHad(madeAt: number): Promise<boolean> {
  look();
  // When it was asked for, by the clock as it is now: it may have been set since.
  const askedFor = Date.now() - performance.now();
  return (await ask()) && askedFor + (clock?.offset ?? 0) - madeAt > OLDER_MS;
}

/** A page made this long before it was asked for was kept: clocks that agree do so to a second or two. */
const OLDER_MS = 2000;

function watch(told: () => void): () => void {
  watchers.add(told);
  look();
  void ask();
  const ticking = setInterval(look, LOOK_MS);
  const renewing = setInterval(() => void ask(), ASK_AGAIN_MS);
  const awake = (): void => {
    look();
    void ask();
  };
  window.addEventListener('online', awake);
  document.addEventListener('visibilitychange', awake);
  return () => {
    watchers.delete(told);
    clearInterval(ticking);
    clearInterval(renewing);
    window.removeEventListener('online', awake);
    document.removeEventListener('visibilitychange', awake);
  };
}

/** The time that counts, ms since the epoch: the device’s, put right where it was found wrong. */
export function timeNow(): number {
  return Date.now() + (clock?.offset ?? 0);
}

/** The moment of a reading as it is sent: the time that counts, and what the device itself said. */
export function momentNow(): { takenAt: string; deviceAt?: string; steadyMs: number } {
  const wrong = (clock?.offset ?? 0) !== 0;
  return {
    takenAt: new Date(timeNow()).toISOString(),
    ...(wrong ? { deviceAt: new Date().toISOString() } : {}),
    steadyMs: Math.round(performance.now()),
  };
}

/** Watches the device’s clock while a page stands; how far it is off, ms, zero when it is right. */
export function useClockOffset(): number {
  return useSyncExternalStore(
    watch,
    () => clock?.offset ?? 0,
    () => 0,
  );
}
