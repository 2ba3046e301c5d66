import { isWithin, type Limits } from '../../limits';
import { exact } from '../../quantity';
import { bySeverity, type Finding, finding, Sheet, standard } from '../../working';
import { ALKALINE } from '../cement/fields';
import { CEMENT_FACTS, cementVerdicts } from '../cement/said';
import type { Method, Outcome, Result } from '../contract';
import { exampleInput } from '../example';
import { fieldsOf } from '../fields';
import { limitFinding } from '../limit-finding';
import { limitRows } from '../limit-rows';
import { resultOf } from '../outcome';
import { packedRows } from '../picture-rows';
import { wholeRows } from '../rows-field';
import { limitsOf, type RunSetup } from '../setup';
import { CementGillmoreInput } from './input';

const C266 = standard('ASTM C266');
const NEEDLES = [
  ['light', 'initial set by the light needle', 'gi', 'gillmore-initial'],
  ['heavy', 'final set by the heavy needle', 'gf', 'gillmore-final'],
] as const;

interface Seen {
  readonly minutes: number;
  readonly light: boolean;
  readonly heavy: boolean;
}

function looksOf({ contactAt, looks }: CementGillmoreInput): Seen[] {
  const contact = Date.parse(contactAt ?? '');
  return wholeRows(looks)
    .map(({ at, light, heavy }) => ({
      minutes: (Date.parse(at ?? '') - contact) / 60_000,
      light: light === 'none',
      heavy: heavy === 'none',
    }))
    .filter(({ minutes }) => Number.isFinite(minutes))
    .toSorted((a, b) => a.minutes - b.minutes);
}

/** The first look from which on a needle leaves no circle; undefined while there is none. */
function setAt(
  seen: readonly Seen[],
  needle: 'light' | 'heavy',
): { readonly at: number; readonly before: number | undefined } | undefined {
  const last = seen.findLastIndex((each) => !each[needle]);
  const set = seen[last + 1];
  return set && { at: set.minutes, before: seen[last]?.minutes };
}

/**
 * Time of setting by two needles: the first look at which each leaves no whole circle.
 * @param input looks at the pat, with their times
 * @returns minutes since the water met the cement, to five; `at most` where the first look left none already
 * Source: ASTM C266 (from memory).
 */
function compute(input: CementGillmoreInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const sheet = new Sheet(setup.rounding ?? 'half-even');
  const seen = looksOf(input);
  const findings: Finding[] = [];
  const results = NEEDLES.flatMap(([needle, quantity, symbol]): Result[] => {
    const set = setAt(seen, needle);
    if (!set) return [];
    findings.push(...gapFindings(needle, set, limits, system));
    return [
      resultOf({
        ...{ quantity, symbol, unit: 'min', mode: sheet.mode, step: limits.number('gillmore.step', system) },
        value: sheet.line({
          symbol,
          name: quantity.charAt(0).toUpperCase() + quantity.slice(1),
          formula: 't',
          uses: { t: exact(set.at.toFixed(3)) },
          unit: 'min',
          source: C266,
        }),
        ...(set.before === undefined ? { bound: 'at most' as const } : {}),
      }),
    ];
  });
  for (const result of results)
    if (!isWithin(exact(result.reported), limits.of('gillmore.usual', system)))
      findings.push(
        limitFinding(
          limits,
          system,
          { id: 'gillmore.usual', severity: 'advice', fields: ['looks', 'contactAt'] },
          { message: `${result.text} min is seldom.`, action: 'Look at the clock it was counted from.' },
        ),
      );
  if (seen.some(({ minutes }) => minutes < 0))
    findings.push(
      finding({
        id: 'gillmore.order',
        severity: 'invalid',
        fields: ['looks', 'contactAt'],
        message: 'A look lies before the water met the cement.',
        action: 'Look at the times.',
      }),
    );
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity(findings),
    verdicts: NEEDLES.flatMap(([, quantity, , property]) =>
      cementVerdicts(
        setup,
        limits,
        system,
        property,
        quantity.charAt(0).toUpperCase() + quantity.slice(1),
        results.find((each) => each.quantity === quantity),
      ),
    ),
    picture: {
      kind: 'cement-gillmore',
      values: {
        looks: packedRows(
          seen.map(({ minutes, light, heavy }) => [
            Number(minutes.toFixed(1)),
            light ? 'none' : 'mark',
            heavy ? 'none' : 'mark',
          ]),
        ),
      },
    },
  };
}

function gapFindings(
  needle: 'light' | 'heavy',
  { at, before }: { readonly at: number; readonly before: number | undefined },
  limits: Limits,
  system: CementGillmoreInput['system'],
): Finding[] {
  if (before === undefined || isWithin(exact((at - before).toFixed(2)), limits.of('gillmore.every', system)))
    return [];
  const message = `The ${needle} needle: ${(at - before).toFixed(0)} min since the look before.`;
  return [
    {
      ...limitFinding(
        limits,
        system,
        { id: 'gillmore.every', severity: 'departure', fields: ['looks'] },
        { message, action: 'Look every quarter of an hour.', remark: message },
      ),
      id: `gillmore.every-${needle}`,
    },
  ];
}

/** Time of setting by a light and a heavy needle on a pat. Rules: ASTM C266 (from memory), in our own words. */
export const cementGillmore: Method<CementGillmoreInput> = {
  id: 'cement-gillmore',
  title: 'Set by Gillmore needles',
  designations: [C266],
  runOn: 'sample',
  day: {
    hands: [
      { from: 0, minutes: 10, what: 'Mix the paste, make the pat' },
      { from: 45, minutes: 2, what: 'Needle on the pat', every: 15, until: 300 },
    ],
    after: ['cement-consistency'],
    gear: { what: 'mixer', until: 5 },
    takes: 650,
  },
  again: 'freely',
  facts: CEMENT_FACTS,
  yields: [
    { quantity: NEEDLES[0][1], symbol: 'gi', named: true },
    { quantity: NEEDLES[1][1], symbol: 'gf', named: true },
  ],
  Input: CementGillmoreInput,
  steps: [
    {
      id: 'pat',
      title: 'A pat under both needles',
      phase: 'test',
      instruction:
        'Paste of normal consistency, a pat 3 in [75 mm] wide, half an inch [13 mm] thick in its middle, in the moist cabinet. Needles upright, set on lightly; clean each time.',
      fields: ['room', 'cabinet', 'contactAt', 'looks', 'finishedAt', 'remarks'],
      caution: ALKALINE,
    },
  ],
  performedAt: 'finishedAt',
  sequence: [['contactAt', 'finishedAt']],
  plan: (system, setup) => limitRows(['gillmore.every'], system, setup),
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(CementGillmoreInput), system), system },
    setup: {
      zone: 'America/New_York',
      sample: { label: 'EXAMPLE', sampledAt: '2031-09-11T14:00:00-04:00' },
      facts: { cementType: 'c150.I' },
    },
  }),
};
