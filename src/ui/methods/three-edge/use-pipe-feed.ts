import { useEffect, useMemo, useRef, useState } from 'react';
import { limitsOf } from '@/core/methods';
import { type PipeGoal, type PipeView, PipeWatch } from '@/core/pipe/watch';
import { loadIn, type ReadingLine } from '@/core/press';
import type { Follow } from '../../press/follow';
import { usePressFeed } from '../../press/use-press-feed';
import type { RunSheetData } from '../../runsheet/types';

/** How far apart the readings are that are kept, s, and how many at the most: an hour and a half. */
const KEPT_S = 0.5;
const MOST = 10_000;

/** Where the record of a run begins, so that it goes on from step to step and after a reload. */
interface Begun {
  readonly boot: string;
  readonly seq: number;
}

function begunOf(runId: string): Begun | null {
  try {
    return JSON.parse(sessionStorage.getItem(`pipe-live/${runId}`) ?? 'null') as Begun | null;
  } catch {
    return null;
  }
}

function keepBegun(runId: string, begun: Begun): void {
  try {
    sessionStorage.setItem(`pipe-live/${runId}`, JSON.stringify(begun));
  } catch {
    // Without storage the record lasts as long as the step stands.
  }
}

function follow(goal: PipeGoal, data: RunSheetData, unit: 'lbf' | 'kN'): Follow<PipeView> {
  return {
    key: JSON.stringify([goal, unit]),
    begin() {
      const watch = new PipeWatch(goal, limitsOf(data.setup), data.system);
      return {
        take: ({ t, load, unit: of }: ReadingLine) => watch.take(t, loadIn(load, of, unit)),
        view: () => watch.view(),
        along: ({ t }) => t,
      };
    },
  };
}

/** The press of a pipe, followed from where its record begins; its readings as they are kept, in lbf or kN. */
export function usePipeFeed(machine: string, data: RunSheetData, goal: PipeGoal) {
  const unit = data.system === 'US' ? 'lbf' : 'kN';
  const [begun] = useState(() => begunOf(data.runId));
  const record = useRef<[seconds: number, load: number][]>([]);
  const boot = useRef('');
  const key = JSON.stringify(goal);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the key is the goal
  const watched = useMemo(() => follow(goal, data, unit), [key, unit]);
  const { state, restart } = usePressFeed(
    machine,
    begun?.seq ?? null,
    unit,
    watched,
    ({ t, load, unit: of }) => {
      const last = record.current.at(-1);
      // Time that runs back is another life of the machine.
      if (last && t < last[0]) record.current = [];
      if (!last || t - last[0] >= KEPT_S)
        record.current = [...record.current.slice(-MOST), [t, loadIn(load, of, unit)]];
    },
  );
  const { boot: now, firstSeq } = state;
  useEffect(() => {
    if (now === '' || firstSeq === null) return;
    if (boot.current === '' && begun && begun.boot !== now) restart();
    boot.current = now;
    keepBegun(data.runId, { boot: now, seq: firstSeq });
  }, [now, firstSeq, begun, data.runId, restart]);
  return {
    unit,
    state,
    view: state.view,
    /** As it is shown now, in the unit of the run. */
    load: state.last ? loadIn(state.last.load, state.last.unit, unit) : 0,
    down: state.up === false || state.stale,
    record,
    /** Another pipe: what came before is none of its record. */
    anew: (): void => {
      record.current = [];
      restart();
    },
  } as const;
}
