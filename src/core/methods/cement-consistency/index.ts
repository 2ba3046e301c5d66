import { nextWater } from '../../cement/consistency';
import { isWithin, type Limits } from '../../limits';
import { type Exact, plainOf, roundTo } from '../../quantity';
import { bySeverity, type Finding, finding, Sheet, standard } from '../../working';
import { ALKALINE } from '../cement/fields';
import type { Method, Outcome } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { exampleInput } from '../example';
import { factMeasure, resultBefore } from '../facts';
import { fieldsOf, readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { limitRows } from '../limit-rows';
import { resultOf } from '../outcome';
import { packedRows } from '../picture-rows';
import { wholeRows } from '../rows-field';
import { limitsOf, type RunSetup } from '../setup';
import { CementConsistencyInput } from './input';

export const CONSISTENCY = 'normal consistency';
const C187 = standard('ASTM C187');

/** A paste that was tried, and why it does not count. */
interface Tried {
  readonly place: number;
  readonly water: Exact;
  /** Percent of the cement. */
  readonly share: Exact;
  readonly depth: Exact;
  readonly why: string | undefined;
}

function triedOf(input: CementConsistencyInput, limits: Limits): Tried[] {
  const { system } = input;
  const cement = readMeasure(input, 'cement')?.value;
  if (!cement?.greaterThan(0)) return [];
  return wholeRows(input.pastes).flatMap((row, place): Tried[] => {
    const [water, depth, released] = (['water', 'depth', 'released'] as const).map(
      (name) => readMeasure(row, name)?.value,
    );
    if (!water || !depth || !released) return [];
    const late = !isWithin(released, limits.of('consistency.release', system));
    const why =
      row.paste === 'again'
        ? 'water was added to a paste that was tried'
        : row.paste === 'bad'
          ? 'voids, a jolt or the plunger at the ring'
          : late
            ? `released after ${released} s`
            : undefined;
    return [{ place: place + 1, water, share: water.div(cement).times(100), depth, why }];
  });
}

/**
 * Normal consistency of a cement: the water of the last paste into which the plunger went as far as is asked for.
 * @param input masses in g, depths in mm, a row for each paste
 * @param setup facts: the consistency of the sample before
 * @returns water in percent of the cement, to 0.5 %; none before a paste shows it: what is interpolated is for the next trial only
 * Source: ASTM C187, EN 196-3, IS 4031-4 (from memory).
 */
function compute(input: CementConsistencyInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const sheet = new Sheet(setup.rounding ?? 'half-even');
  const tried = triedOf(input, limits);
  const good = tried.filter(({ why }) => why === undefined);
  const band = limits.of('consistency.depth', system);
  const shown = good.findLast(({ depth }) => isWithin(depth, band));
  const cement = readMeasure(input, 'cement')?.value;
  const value =
    shown && cement
      ? sheet.line({
          symbol: 'P',
          name: `Water of paste ${shown.place}, of the cement`,
          formula: '100 * mw / mc',
          uses: { mw: shown.water, mc: cement },
          unit: 'percent',
          source: C187,
          round: { step: limits.number('consistency.step', system), rule: 'to 0.5 %' },
        })
      : undefined;
  const next = shown ? undefined : nextOf(good, cement, limits, system);
  return {
    results: value
      ? [
          resultOf({
            ...{ quantity: CONSISTENCY, symbol: 'P', value, unit: 'percent', mode: sheet.mode },
            step: limits.number('consistency.step', system),
          }),
        ]
      : [],
    lines: sheet.lines,
    findings: bySeverity([
      ...equipmentUse(input, { balance: 'departure', vicat: 'departure' }, input.finishedAt, setup, limits),
      ...triedFindings(input, tried, shown !== undefined, next, limits),
      ...(value ? trendFindings(value, setup, limits, system) : []),
    ]),
    verdicts: [],
    picture: {
      kind: 'cement-consistency',
      values: {
        low: band.low?.toNumber() ?? null,
        high: band.high?.toNumber() ?? null,
        next: next?.toNumber() ?? null,
        shown: shown?.place ?? null,
        tried: packedRows(
          tried.map(({ place, water, share, depth, why = '' }) => [
            place,
            water.toNumber(),
            Number(share.toFixed(2)),
            depth.toNumber(),
            why,
          ]),
        ),
      },
    },
  };
}

/** The water to weigh out next, g; undefined before the first paste. */
function nextOf(
  good: readonly Tried[],
  cement: Exact | undefined,
  limits: Limits,
  system: CementConsistencyInput['system'],
): Exact | undefined {
  const share = nextWater(
    good.map((each) => ({ water: each.share.toNumber(), depth: each.depth.toNumber() })),
    limits.number('consistency.aim', system).toNumber(),
    limits.number('consistency.slope', system).toNumber(),
  );
  return share === undefined || !cement
    ? undefined
    : roundTo(cement.times(share).div(100), '0.1', 'half-even');
}

function triedFindings(
  input: CementConsistencyInput,
  tried: readonly Tried[],
  shown: boolean,
  next: Exact | undefined,
  limits: Limits,
): Finding[] {
  const { system } = input;
  const found: Finding[] = tried.flatMap(({ place, why }) =>
    why === undefined
      ? []
      : [
          finding({
            id: `consistency.paste-${place}`,
            severity: 'advice',
            fields: ['pastes'],
            message: `Paste ${place} does not count: ${why}.`,
            action: 'Fresh cement, fresh water, and the plunger within 30 s.',
          }),
        ],
  );
  const odd = tried.find(({ share }) => !isWithin(share, limits.of('consistency.usual', system)));
  if (odd)
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'consistency.usual', severity: 'advice', fields: ['pastes', 'cement'] },
        {
          message: `Paste ${odd.place} has ${odd.share.toFixed(1)} % of water.`,
          action: 'Look at both masses: grams of water to grams of cement.',
        },
      ),
    );
  if (tried.length > 0 && !shown)
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'consistency.depth', severity: 'invalid', fields: ['pastes'] },
        {
          message: 'No paste shows the consistency yet.',
          action: next ? `Weigh ${plainOf(next, 'g')} of water for the next one.` : 'Mix a fresh paste.',
        },
      ),
    );
  return found;
}

/** Against the sample before of its lot. */
function trendFindings(
  value: Exact,
  setup: RunSetup,
  limits: Limits,
  system: CementConsistencyInput['system'],
): Finding[] {
  const before = factMeasure(setup, 'before', 'percent');
  if (!before || isWithin(value.minus(before).abs(), limits.of('consistency.jump', system))) return [];
  return [
    limitFinding(
      limits,
      system,
      { id: 'consistency.jump', severity: 'advice', fields: ['pastes'] },
      {
        message: `The sample before had ${before.toFixed(1)} %.`,
        action: 'Warm or stored cement, another form of gypsum, or rod and mixer: look which.',
      },
    ),
  ];
}

/** Normal consistency of a cement. Order of work: ASTM C187 (from memory), in our own words. */
export const cementConsistency: Method<CementConsistencyInput> = {
  id: 'cement-consistency',
  title: 'Normal consistency',
  designations: [C187],
  runOn: 'sample',
  day: {
    hands: [
      { from: 0, minutes: 8, what: 'First paste' },
      { from: 10, minutes: 8, what: 'Second paste' },
      { from: 20, minutes: 8, what: 'Third paste, where it is wanted' },
    ],
    gear: { what: 'mixer', until: 28 },
    takes: 1950,
  },
  begin: 'Normal consistency',
  facts: { before: resultBefore(CONSISTENCY, ['cement-consistency'], { dimension: 'percent' }) },
  yields: [{ quantity: CONSISTENCY, symbol: 'P' }],
  Input: CementConsistencyInput,
  steps: [
    {
      id: 'ready',
      title: 'Room, balance, plunger',
      phase: 'before',
      instruction:
        'Cement, water and tools at room temperature. The rod falls free, the plunger is clean and dry, its scale reads nothing on the plate. Weigh the cement.',
      fields: ['room', 'humidity', 'waterTemperature', 'balance', 'vicat', 'cement'],
      caution: ALKALINE,
    },
    {
      id: 'pastes',
      title: 'Paste by paste',
      phase: 'test',
      instruction:
        'Mix, toss the ball six times, fill the ring from its wide end, slice it off, no tapping. The plunger on its face, released within 30 s of the end of mixing, read 30 s later. Nobody leans on the bench meanwhile.',
      fields: ['pastes', 'finishedAt', 'remarks'],
      caution: 'Hands off the mixer while it turns.',
    },
  ],
  performedAt: 'finishedAt',
  plan: (system, setup) =>
    limitRows(
      [
        'consistency.cement',
        'consistency.release',
        'consistency.read',
        'consistency.depth',
        'cement.room',
        'cement.water',
      ],
      system,
      setup,
    ),
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(CementConsistencyInput), system), system },
    setup: {
      zone: 'America/New_York',
      sample: { label: 'EXAMPLE', sampledAt: '2031-09-11T14:00:00-04:00' },
      equipment: [
        { number: 'BALANCE-1', kind: 'balance', verifiedOn: '2031-02-03' },
        { number: 'VICAT-1', kind: 'vicat apparatus', verifiedOn: '2031-02-03' },
      ],
    },
  }),
};
