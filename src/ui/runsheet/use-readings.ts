'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import { placeOf } from '@/core/methods';
import { perform } from '../api';
import { momentNow } from '../clock';
import { newId } from '../ids';

export interface CurrentReading {
  readonly field: string;
  readonly text: string | null;
  readonly seq: number;
}

interface Pending {
  readonly id: string;
  readonly field: string;
  readonly text: string;
  readonly takenAt: string;
  readonly deviceAt?: string;
  readonly steadyMs: number;
  readonly basedOn?: number;
  readonly reason?: string;
  readonly amendmentId?: string;
}

export interface OtherReading {
  readonly seq: number;
  readonly text: string | null;
}

export type SaveState = 'saved' | 'saving' | 'waiting';

/** What the server has acknowledged of a run since its page was made, by field. */
type Sent = Record<string, { readonly text: string; readonly seq: number }>;

/** Without storage, or with what cannot be read in it, nothing is known to be sent. */
function sentOf(store: string): Sent {
  try {
    return JSON.parse(sessionStorage.getItem(store) ?? '{}') as Sent;
  } catch {
    return {};
  }
}

function keepSent(store: string, sent: Sent): void {
  try {
    if (Object.keys(sent).length === 0) sessionStorage.removeItem(store);
    else sessionStorage.setItem(store, JSON.stringify(sent));
  } catch {
    // Then a page that was kept shows what it was kept with, until the network brings a newer one.
  }
}

const RETRY_MS = 3000;
const SETTLE_MS = 6000;
/** Cells of rows that go in one request: a table out of a file is hundreds of them. */
const TOGETHER = 40;

/** The readings at the head of the queue that can go together: cells of rows, none of them twice; or the first alone. */
function cellsTogether(queue: readonly Pending[], most: number): readonly Pending[] {
  const fields = new Set<string>();
  for (const { field } of queue.slice(0, most)) {
    if (!placeOf(field) || fields.has(field)) break;
    fields.add(field);
  }
  return queue.slice(0, Math.max(1, fields.size));
}

/**
 * The readings of one run: kept on this device until the server has acknowledged each, sent in order, sent again when
 * the network comes back. A reading that somebody else changed meanwhile is put before the person; nothing is lost.
 */
export function useReadings(
  runId: string,
  initial: readonly CurrentReading[],
  correction: { reason?: string; amendmentId?: string } = {},
) {
  const store = `readings/${runId}`;
  const typed = `typed/${runId}`;
  const sentStore = `sent/${runId}`;
  const [values, setValues] = useState<Record<string, string>>(() =>
    Object.fromEntries(initial.map(({ field, text }) => [field, text ?? ''])),
  );
  const [state, setState] = useState<SaveState>('saved');
  const [refused, setRefused] = useState<Record<string, string>>({});
  const [conflicts, setConflicts] = useState<Record<string, OtherReading>>({});
  const seqs = useRef<Record<string, number>>(
    Object.fromEntries(initial.map(({ field, seq }) => [field, seq])),
  );
  const saved = useRef<Record<string, string>>(values);
  const queue = useRef<Pending[]>([]);
  const busy = useRef(false);

  const keep = useCallback(() => {
    try {
      if (queue.current.length === 0) localStorage.removeItem(store);
      else localStorage.setItem(store, JSON.stringify(queue.current));
    } catch {
      // Storage may be full or forbidden: the readings are still in memory and on their way.
    }
  }, [store]);

  const flush = useCallback(async () => {
    if (busy.current) return;
    busy.current = true;
    let most = TOGETHER;
    while (queue.current.length > 0) {
      const [first] = queue.current;
      if (!first) break;
      setState('saving');
      const sent = cellsTogether(queue.current, most);
      const reply = await perform<{ saved: { field: string; seq: number }[] }>('save-readings', {
        runId,
        readings: sent.map((reading) => {
          const known = seqs.current[reading.field];
          return { ...reading, ...(known === undefined ? {} : { basedOn: known }) };
        }),
      });
      if (!reply.ok && (reply.status === 0 || reply.status >= 500)) {
        setState('waiting');
        busy.current = false;
        return;
      }
      if (!reply.ok && sent.length > 1) {
        // One of them is refused, and with it none was taken: one after the other it shows which.
        most = 1;
        continue;
      }
      queue.current = queue.current.slice(sent.length);
      keep();
      if (reply.ok) {
        const texts = Object.fromEntries(sent.map(({ field, text }) => [field, text]));
        for (const { field, seq } of reply.data.saved) seqs.current[field] = seq;
        saved.current = { ...saved.current, ...texts };
        const acknowledged = reply.data.saved.map(({ field, seq }) => [
          field,
          { text: texts[field] ?? '', seq },
        ]);
        keepSent(sentStore, { ...sentOf(sentStore), ...Object.fromEntries(acknowledged) });
      } else if (reply.status === 409 && reply.details.theirs) {
        setConflicts((all) => ({ ...all, [first.field]: reply.details.theirs as OtherReading }));
      } else {
        const message = reply.errors[first.field] ?? Object.values(reply.errors)[0] ?? reply.message;
        setRefused((all) => ({ ...all, [first.field]: message }));
      }
    }
    busy.current = false;
    setState('saved');
  }, [runId, keep, sentStore]);

  useEffect(() => {
    try {
      const left = localStorage.getItem(store);
      if (left) {
        const kept = JSON.parse(left) as Pending[];
        queue.current = [...kept, ...queue.current];
        // Taken out of the queue now: it may be empty again by the time React comes to look.
        const typed = Object.fromEntries(kept.map(({ field, text }) => [field, text]));
        setValues((all) => ({ ...all, ...typed }));
        void flush();
      }
    } catch {
      localStorage.removeItem(store);
    }
    const again = (): void => void flush();
    window.addEventListener('online', again);
    const timer = setInterval(() => queue.current.length > 0 && again(), RETRY_MS);
    return () => {
      window.removeEventListener('online', again);
      clearInterval(timer);
    };
  }, [flush, store]);

  // What is typed and not taken yet, a value that cannot be among it, stays on this device too.
  const draft = useCallback(
    (field: string, text: string | null) => {
      try {
        const { [field]: _, ...rest } = JSON.parse(localStorage.getItem(typed) ?? '{}') as Record<
          string,
          string
        >;
        const all = text === null ? rest : { ...rest, [field]: text };
        if (Object.keys(all).length === 0) localStorage.removeItem(typed);
        else localStorage.setItem(typed, JSON.stringify(all));
      } catch {
        // Without storage it holds as long as the page stands.
      }
    },
    [typed],
  );
  useEffect(() => {
    try {
      const left = JSON.parse(localStorage.getItem(typed) ?? '{}') as Record<string, string>;
      if (Object.keys(left).length > 0) setValues((all) => ({ ...all, ...left }));
    } catch {
      localStorage.removeItem(typed);
    }
  }, [typed]);

  const type = useCallback(
    (field: string, text: string) => {
      setValues((all) => ({ ...all, [field]: text }));
      setRefused(({ [field]: _, ...rest }) => rest);
      draft(field, text);
    },
    [draft],
  );

  // What somebody else entered meanwhile comes in with the page's renewed data. A field that this person is typing in
  // keeps what is typed: when it is saved, the difference is put before them.
  useEffect(() => {
    // A page that was kept for where no network is may be older than what this device has sent since.
    const shown = new Map(initial.map(({ field, seq }) => [field, seq]));
    const newer = Object.entries(sentOf(sentStore)).filter(
      ([field, { seq }]) => seq > (shown.get(field) ?? 0),
    );
    keepSent(sentStore, Object.fromEntries(newer));
    const news = [...newer.map(([field, { text, seq }]) => ({ field, text, seq })), ...initial].filter(
      ({ field, seq }) => seq > (seqs.current[field] ?? 0),
    );
    if (news.length === 0) return;
    const pending = new Set(queue.current.map(({ field }) => field));
    const taken: Record<string, string> = {};
    for (const { field, text, seq } of news) {
      if (pending.has(field)) continue;
      seqs.current[field] = seq;
      taken[field] = text ?? '';
    }
    const before = saved.current;
    saved.current = { ...before, ...taken };
    setValues((all) => {
      const untouched = Object.entries(taken).filter(
        ([field]) => (all[field] ?? '') === (before[field] ?? ''),
      );
      return { ...all, ...Object.fromEntries(untouched) };
    });
  }, [initial, sentStore]);

  const { reason, amendmentId } = correction;
  const save = useCallback(
    (field: string, text: string) => {
      setValues((all) => ({ ...all, [field]: text }));
      draft(field, null);
      const last =
        queue.current.findLast((reading) => reading.field === field)?.text ?? saved.current[field] ?? '';
      if (last.trim() === text.trim()) return;
      queue.current = [
        ...queue.current,
        {
          id: newId(),
          field,
          text: text.trim(),
          ...momentNow(),
          ...(reason ? { reason } : {}),
          ...(amendmentId ? { amendmentId } : {}),
        },
      ];
      keep();
      void flush();
    },
    [flush, keep, draft, reason, amendmentId],
  );

  /** Settles a conflict: their reading stays, or mine is saved on top of it. */
  const settle = useCallback(
    (field: string, mine: boolean) => {
      const theirs = conflicts[field];
      setConflicts(({ [field]: _, ...rest }) => rest);
      if (!theirs) return;
      seqs.current[field] = theirs.seq;
      saved.current = { ...saved.current, [field]: theirs.text ?? '' };
      if (mine) save(field, values[field] ?? '');
      else setValues((all) => ({ ...all, [field]: theirs.text ?? '' }));
    },
    [conflicts, save, values],
  );

  /** Waits a little until everything taken is acknowledged; false when it is not, for want of a network. */
  const whenSaved = useCallback(async (): Promise<boolean> => {
    for (let waited = 0; waited < SETTLE_MS; waited += 50) {
      if (queue.current.length === 0 && !busy.current) return true;
      await new Promise((resolve) => setTimeout(resolve, 50));
    }
    return false;
  }, []);

  return { values, state, refused, conflicts, type, save, settle, whenSaved };
}
