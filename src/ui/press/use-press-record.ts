'use client';
import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useRef, useState } from 'react';
import { loadIn, type ReadingLine } from '@/core/press';
import type { LogAnalysis } from '@/core/signals';
import { perform } from '../api';
import { newId } from '../ids';
import { useNotice } from '../parts/Notice';
import type { Run } from '../runsheet/run';
import type { RunSheetData } from '../runsheet/types';
import { takeFigures } from './take-figures';
import type { FeedState } from './use-press-feed';

/** What an indicator may wander by, and what a travel may be read by, where nothing is. */
const EMPTY_KN = 0.5;
const EMPTY_MM = 0.05;

/** Ram or crosshead back, nothing on it, nothing moves. */
function standsEmpty({ pump, load, unit, pos }: ReadingLine): boolean {
  return !pump && Math.abs(loadIn(load, unit, 'kN')) < EMPTY_KN && Math.abs(pos) < EMPTY_MM;
}

/**
 * The record of a run on a machine that is followed: opened with the page, begun anew with another specimen, taken over
 * into the run when the test is done.
 * @param follow the record that is open already, where there is one
 * @param back where the run sheet stands
 */
export function usePressRecord(
  {
    run,
    data,
    follow,
    back,
  }: { run: Run; data: RunSheetData; follow: { readonly feedId: string } | null; back: string },
  { state, restart }: { readonly state: FeedState<unknown>; restart(): void },
) {
  const router = useRouter();
  const notice = useNotice();
  const [feed, setFeed] = useState(follow);
  const [taking, setTaking] = useState(false);
  const { runId } = data;
  const { boot, firstSeq, last, peakAt, register } = state;
  const openRecord = useCallback(
    async (fromSeq: number, anew: boolean): Promise<void> => {
      const reply = await perform<{ feedId: string }>('open-press-feed', {
        id: newId(),
        runId,
        boot,
        fromSeq,
        anew,
      });
      if (reply.ok) setFeed(reply.data);
      else notice(reply.message, 'error');
    },
    [runId, boot, notice],
  );
  // The record begins with the page: who opens it at the press means this specimen.
  const asked = useRef(follow !== null);
  const writes = data.state === 'open' && data.canWrite;
  useEffect(() => {
    if (asked.current || !writes || firstSeq === null) return;
    asked.current = true;
    void openRecord(firstSeq, false);
  }, [writes, firstSeq, openRecord]);
  // Lines that were on their way still tell of the specimen before: the record begins where the machine stands empty.
  const placing = useRef(false);
  useEffect(() => {
    if (!placing.current || !last || !standsEmpty(last)) return;
    placing.current = false;
    restart();
    void openRecord(last.seq, true);
  }, [last, restart, openRecord]);
  const seq = last?.seq;
  const stop = last?.stop;
  const take = useCallback(async (): Promise<void> => {
    if (!feed || seq === undefined || taking) return;
    setTaking(true);
    const reply = await perform<{ analysis: LogAnalysis; peak: number }>('close-press-feed', {
      feedId: feed.feedId,
      toSeq: seq,
    });
    if (!reply.ok) {
      setTaking(false);
      return notice(Object.values(reply.errors)[0] ?? reply.message, 'error');
    }
    const { analysis, peak } = reply.data;
    takeFigures(run, data, {
      peak: Math.max(peak, analysis.peak),
      display: register,
      meanRate: analysis.meanRate,
      at: new Date(peakAt ?? Date.now()).toISOString(),
      stop,
    });
    await run.readings.whenSaved();
    router.push(back);
  }, [feed, seq, stop, taking, notice, run, data, register, peakAt, router, back]);
  return {
    feed,
    taking,
    writes,
    take,
    /** Another specimen in the stand-in is another record. */
    anew(): void {
      setFeed(null);
      placing.current = true;
      restart();
    },
  };
}
