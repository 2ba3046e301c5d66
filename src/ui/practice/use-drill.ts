'use client';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { EventId, Stamps } from '@/core/clocks';
import {
  type Drill,
  type DrillScript,
  type DrillStep,
  drillInput,
  drillOutcome,
  type PressStep,
  playDrill,
} from '@/core/drills';
import { type FieldSpec, fieldsOf, validateInput } from '@/core/methods';
import type { System } from '@/core/quantity';
import { useMethodFolder } from '../methods/holding';

/** How much faster than the wall's the clock of a drill runs where nothing but waiting happens. */
export const PACE = 4;
const TICK_MS = 100;

/** A drill being played: where it is, its clock, and what the live computation says so far. */
export function useDrill(drill: Drill, seed: number, system: System, timed: boolean, startedAt: number) {
  const script = useMemo<DrillScript>(
    () => playDrill(drill, seed, system, startedAt),
    [drill, seed, system, startedAt],
  );
  const folder = useMethodFolder();
  const { method } = folder;
  const fields = useMemo(() => new Map(fieldsOf(method.Input).map((field) => [field.name, field])), [method]);
  const [index, setIndex] = useState(0);
  const [choices, setChoices] = useState<Readonly<Record<string, number>>>({});
  const [values, setValues] = useState<Readonly<Record<string, string>>>({});
  const [now, setNow] = useState(startedAt);
  const step: DrillStep | undefined = script.steps[index];
  const speed = step?.kind === 'press' && step.real ? 1 : PACE;
  const paced = useRef(speed);
  paced.current = speed;
  const over = step === undefined;
  useEffect(() => {
    if (!timed || over) return;
    let last = performance.now();
    const timer = setInterval(() => {
      const at = performance.now();
      const gone = (at - last) * paced.current;
      last = at;
      setNow((all) => all + gone);
    }, TICK_MS);
    return () => clearInterval(timer);
  }, [timed, over]);
  const set = useCallback(
    (field: string, text: string) => setValues((all) => ({ ...all, [field]: text })),
    [],
  );
  const goOn = useCallback(() => setIndex((all) => all + 1), []);
  const press = (at: PressStep): void => {
    const moment = timed ? now : now + at.after * 1000;
    setNow(moment);
    set(at.field, new Date(moment).toISOString());
    goOn();
  };
  const see = (at: Extract<DrillStep, { kind: 'seen' }>): void => {
    const stamped = Object.entries(at.stamps).map(([field, after]) => [field, now + after * 1000] as const);
    setValues((all) => ({
      ...all,
      ...at.sets,
      ...Object.fromEntries(stamped.map(([field, moment]) => [field, new Date(moment).toISOString()])),
    }));
    setNow(Math.max(now, ...stamped.map(([, moment]) => moment)));
    goOn();
  };
  const all = useMemo(() => ({ ...script.given, ...values }), [script, values]);
  const live = useMemo(() => {
    const checked = validateInput(method, drillInput(method, system, all));
    return {
      outcome: drillOutcome(drill, system, all, script.setup),
      errors: checked.ok ? {} : checked.errors,
    };
  }, [drill, method, system, all, script]);
  return {
    script,
    folder,
    method,
    fields,
    step,
    index,
    choices,
    choose: (id: string, option: number) => setChoices((before) => ({ ...before, [id]: option })),
    values,
    set,
    press,
    see,
    goOn,
    now,
    speed,
    live,
    stamps: stampsOf(all, fields, script),
  };
}

/** The stamps of a drill: those of the sample it is played on, and those pressed. */
function stampsOf(
  values: Readonly<Record<string, string>>,
  fields: ReadonlyMap<string, FieldSpec>,
  script: DrillScript,
): Stamps {
  const sample = script.setup.sample;
  const given = Object.entries(sample?.events ?? {}).map(
    ([event, text]) => [event, Date.parse(text)] as const,
  );
  const own = [...fields.values()].flatMap((field) => {
    if (field.kind !== 'instant' || !field.event) return [];
    const at = Date.parse(values[field.name] ?? '');
    return Number.isNaN(at) ? [] : [[field.event as EventId, at] as const];
  });
  const sampled = Date.parse(sample?.sampledAt ?? '');
  return {
    ...(Number.isNaN(sampled) ? {} : { 'final-portion': sampled }),
    ...Object.fromEntries(given),
    ...Object.fromEntries(own),
  };
}

export type DrillPlayed = ReturnType<typeof useDrill>;
