import type { Facts, RunSetup, TestedSample } from '../methods';
import type { ChoiceStep, PressStep, ReadStep, SeenStep } from './types';

type Wrong = readonly [text: string, why: string];

/** What a drill is computed with: an acceptance sample of the ASTM school, and what else is known. */
export function acceptanceSetup(sample: Omit<TestedSample, 'kind'>, facts: Facts = {}): RunSetup {
  return { zone: 'utc', profile: 'astm', sample: { kind: 'acceptance', ...sample }, facts };
}

/** A choice: the right answer with its reason first, then the wrong ones, each with the reason it is wrong. */
export function choose(
  id: string,
  item: string,
  scene: string,
  [right, why]: readonly [text: string, why: string],
  ...wrong: readonly Wrong[]
): ChoiceStep {
  return {
    kind: 'choice',
    id,
    item,
    starred: true,
    scene,
    options: [
      { text: right, right: true, why },
      ...wrong.map(([text, reason]) => ({ text, right: false, why: reason })),
    ],
  };
}

/** A stamp to press. */
export function press(
  field: string,
  label: string,
  item: string,
  scene: string,
  after: number,
  options: { readonly fails?: readonly string[]; readonly real?: boolean; readonly starred?: boolean } = {},
): PressStep {
  const { fails = [], real = false, starred = fails.length > 0 } = options;
  return { kind: 'press', id: field, item, starred, scene, field, label, after, fails, real };
}

/** Readings to take. */
export function read(
  id: string,
  item: string,
  scene: string,
  truth: Readonly<Record<string, string>>,
  near = 0,
): ReadStep {
  return { kind: 'read', id, item, starred: true, scene, truth, near };
}

/** Something that happens. */
export function seen(
  id: string,
  scene: string,
  stamps: Readonly<Record<string, number>> = {},
  sets: Readonly<Record<string, string>> = {},
): SeenStep {
  return { kind: 'seen', id, item: '', starred: false, scene, stamps, sets };
}
