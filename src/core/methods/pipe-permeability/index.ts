import { verdictWith } from '../../acceptance/criterion';
import { exact } from '../../quantity';
import { bySeverity, type Finding, finding, Sheet, standard } from '../../working';
import type { Method, Outcome } from '../contract';
import { exampleInput } from '../example';
import { fieldsOf } from '../fields';
import { limitRows } from '../limit-rows';
import { resultOf } from '../outcome';
import { packedRows } from '../picture-rows';
import { wholeRows } from '../rows-field';
import { limitsOf, type RunSetup } from '../setup';
import { PipePermeabilityInput } from './input';

const SEEN = 'drops on the outside';
const C497 = standard('ASTM C497/C497M');

/**
 * Whether water comes through the wall of a pipe that stands filled.
 * @param input looks at the outside, each with its time
 * @returns 1 where drops were seen at any look, else 0: provisional while it is damp or was not looked at long enough
 * Source: ASTM C497/C497M (from memory): looked at after a quarter of an hour; where it is damp, up to a day.
 */
function compute(input: PipePermeabilityInput, setup: RunSetup): Outcome {
  const limits = limitsOf(setup);
  const sheet = new Sheet(setup.rounding ?? 'half-even');
  const filled = Date.parse(input.filledAt ?? '');
  const looks = wholeRows(input.looks)
    .map(({ at, seen }) => ({ minutes: (Date.parse(at ?? '') - filled) / 60_000, seen }))
    .filter(({ minutes }) => Number.isFinite(minutes))
    .toSorted((a, b) => a.minutes - b.minutes);
  const last = looks.at(-1);
  const [least, most] = [
    limits.number('permeable.look', 'US').toNumber(),
    limits.number('permeable.longest', 'US').toNumber() * 60,
  ];
  const drops = looks.some(({ seen }) => seen === 'drops');
  const open =
    drops || !last
      ? undefined
      : last.minutes < least
        ? 'it was not looked at long enough'
        : last.seen === 'damp'
          ? last.minutes < most
            ? 'it is damp: look again'
            : 'it stayed damp for a day'
          : undefined;
  const findings: Finding[] = looks.some(({ minutes }) => minutes < 0)
    ? [
        finding({
          id: 'permeable.order',
          severity: 'invalid',
          fields: ['looks', 'filledAt'],
          message: 'It was looked at before it was filled.',
          action: 'Look at the times.',
        }),
      ]
    : [];
  const picture: Outcome['picture'] = {
    kind: 'pipe-permeability',
    values: {
      filled: Number.isNaN(filled) ? null : filled,
      least,
      looks: packedRows(looks.map(({ minutes, seen = '' }) => [Number(minutes.toFixed(1)), seen])),
      open: open ?? null,
    },
  };
  if (!last) return { results: [], lines: [], findings, verdicts: [], picture };
  const value = sheet.line({
    symbol: 'w',
    name: 'Drops seen on the outside: 1, none: 0',
    formula: 'w',
    uses: { w: exact(drops ? 1 : 0) },
    unit: 'one',
    source: C497,
  });
  return {
    results: [
      {
        ...resultOf({
          quantity: SEEN,
          symbol: 'w',
          value,
          unit: 'one',
          step: limits.number('permeable.step', 'US'),
          mode: sheet.mode,
          ...(open ? { provisional: open } : {}),
        }),
        text: drops ? 'seen' : 'none seen',
      },
    ],
    lines: sheet.lines,
    findings: bySeverity(findings),
    verdicts: [
      verdictWith({
        criterion: 'No water through the wall',
        limit: limits.of('permeable.look', 'US').text,
        state: drops ? 'does not meet' : open ? 'not yet determinable' : 'meets',
        sentence: drops
          ? 'Drops came through the wall. The owner’s engineer decides.'
          : open
            ? `Undecided: ${open}.`
            : `No drops and no damp place after ${last.minutes.toFixed(0)} min.`,
      }),
    ],
    picture,
  };
}

/** Water through the wall of a pipe. Order of work: ASTM C497 (from memory), in our own words. */
export const pipePermeability: Method<PipePermeabilityInput> = {
  id: 'pipe-permeability',
  title: 'Water through the wall',
  designations: [C497],
  runOn: 'specimen',
  forms: ['pipe'],
  spends: false,
  yields: [{ quantity: SEEN, symbol: 'w', named: true }],
  Input: PipePermeabilityInput,
  steps: [
    {
      id: 'fill',
      title: 'Stand it up, fill it',
      phase: 'before',
      instruction: 'Spigot down on soft rubber, level, the outside dry. Filled to the base of its socket.',
      fields: ['filledAt', 'stands'],
      caution:
        'A pipe that stands tips: chocks and a strap, nobody beneath. Water on the floor is slipped on.',
      clock: {
        title: 'Filled',
        from: 'filledAt',
        to: 'finishedAt',
        limit: 'permeable.look',
        waits: { what: 'Look at the outside of the pipe', lane: 'press' },
      },
    },
    {
      id: 'look',
      title: 'Look at the outside',
      phase: 'test',
      instruction:
        'After a quarter of an hour, the whole of it. Where it is damp look again, up to a day: it may dry up by itself.',
      fields: ['looks', 'finishedAt', 'remarks'],
    },
  ],
  performedAt: 'finishedAt',
  sequence: [['filledAt', 'finishedAt']],
  set: {
    word: 'Water through the wall',
    quantity: SEEN,
    begun: true,
    by: [],
    combine: 'each alone',
    step: 'permeable.step',
  },
  plan: (system, setup) => limitRows(['permeable.look', 'permeable.longest'], system, setup),
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(PipePermeabilityInput), system), system },
    setup: {
      zone: 'America/New_York',
      specimen: { label: 'EXAMPLE-P1', form: 'pipe', since: '2031-09-02T07:00:00-04:00' },
    },
  }),
};
