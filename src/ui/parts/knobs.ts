'use client';
import { useState } from 'react';

/** What can be moved: its ends, its step, where it begins, and how it is called. */
export interface KnobSpec {
  readonly words: string;
  readonly from: number;
  readonly to: number;
  readonly step: number;
  readonly start: number;
}

type Units = 'US' | 'SI';

/**
 * Values of sliders and choices that stand in the address of the page, so that what is seen can be sent. What somebody
 * made up in the address is brought inside its ends.
 * @param given what the address says, by name
 */
export function useKnobs<K extends string, C extends Readonly<Record<string, string>>>(
  knobs: Readonly<Record<K, KnobSpec>>,
  given: Readonly<Record<string, string>>,
  choices: C,
  allowed: { readonly [N in keyof C]: readonly C[N][] },
) {
  const [state, setState] = useState(() => ({
    values: Object.fromEntries(
      (Object.keys(knobs) as K[]).map((name) => {
        const { from, to, start } = knobs[name];
        const number = Number(given[name]);
        const said = given[name] && Number.isFinite(number);
        return [name, said ? Math.min(to, Math.max(from, number)) : start];
      }),
    ) as Record<K, number>,
    chosen: Object.fromEntries(
      Object.entries(choices).map(([name, usual]) => [
        name,
        allowed[name]?.find((each) => each === given[name]) ?? usual,
      ]),
    ) as C,
    system: (given.system === 'SI' ? 'SI' : 'US') as Units,
  }));
  const keep = (change: Partial<typeof state>): void => {
    const next = { ...state, ...change };
    setState(next);
    const said = Object.entries({ ...next.values, ...next.chosen, system: next.system });
    window.history.replaceState(
      null,
      '',
      `?${new URLSearchParams(said.map(([name, each]) => [name, String(each)]))}`,
    );
  };
  return {
    ...state,
    turn: (name: K, value: number) => keep({ values: { ...state.values, [name]: value } }),
    choose: (name: keyof C, value: string) => keep({ chosen: { ...state.chosen, [name]: value } }),
    say: (system: Units) => keep({ system }),
  };
}
