import { verdictWith } from '../../acceptance/criterion';
import { isWithin, type Limits } from '../../limits';
import { type Exact, plainOf, smallest, type UnitId } from '../../quantity';
import { bySeverity, type Finding, finding, Sheet, standard } from '../../working';
import type { Method, Outcome } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { exampleInput } from '../example';
import { fieldsOf, readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { limitRows } from '../limit-rows';
import { resultOf } from '../outcome';
import { packedRows } from '../picture-rows';
import { wholeRows } from '../rows-field';
import { limitsOf, type RunSetup } from '../setup';
import { ManholeStepInput } from './input';

const DOWN = 'least load downward on a step';
const OUT = 'least pull outward on a step';
const C497 = standard('ASTM C497/C497M');

/** How a step stands: it held, it gave way, or it was not loaded as far as is asked. */
export type StepStands = 'holds' | 'fails' | 'open';

interface StepRead {
  readonly mark: string;
  readonly down: Exact;
  readonly out: Exact | undefined;
  readonly bent: Exact | undefined;
  readonly stands: StepStands;
}

/**
 * How one step stands by its loads, by how far it stays bent and by what is seen afterwards.
 * @param step loads in lbf or kN, the bend that stays in in or mm
 */
function standingOf(
  {
    down,
    out,
    bent,
    seen,
  }: {
    readonly down: Exact;
    readonly out: Exact | undefined;
    readonly bent: Exact | undefined;
    readonly seen: string;
  },
  limits: Limits,
  system: ManholeStepInput['system'],
): StepStands {
  if (seen !== 'sound' || (bent && !isWithin(bent, limits.of('step.set', system)))) return 'fails';
  const carried = isWithin(down, limits.of('step.down', system));
  return carried && bent && out && isWithin(out, limits.of('step.out', system)) ? 'holds' : 'open';
}

/**
 * What the steps of manhole sections hold: downward and outward, each by itself.
 * @param input loads in lbf or kN, what stays bent in in or mm, a row for each step
 * @returns the least of each load over all steps; provisional while a step was not loaded as far as is asked
 * Source: ASTM C497/C497M, C478/C478M (from memory): 800 lbf downward, 400 lbf outward; how far it may stay bent is to be checked
 *   against the edition.
 */
function compute(input: ManholeStepInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const sheet = new Sheet(setup.rounding ?? 'half-even');
  const unit: UnitId = system === 'US' ? 'lbf' : 'kN';
  const read = wholeRows(input.steps).flatMap((row): StepRead[] => {
    const [down, out, bent] = (['down', 'out', 'bent'] as const).map((name) => readMeasure(row, name)?.value);
    if (!down || !row.seen) return [];
    const stands = standingOf({ down, out, bent, seen: row.seen }, limits, system);
    return [{ mark: row.mark ?? '', down, out, bent, stands }];
  });
  const open = read.some(({ stands }) => stands === 'open');
  const least = (symbol: string, quantity: string, values: readonly Exact[]) =>
    values.length === 0
      ? []
      : [
          resultOf({
            ...{ quantity, symbol, unit, mode: sheet.mode },
            value: sheet.line({
              symbol,
              name: `Least of ${values.length} ${values.length === 1 ? 'step' : 'steps'}`,
              formula: symbol,
              uses: { [symbol]: smallest(values) },
              unit,
              source: C497,
            }),
            step: limits.number('step.load-step', system),
            ...(open ? { provisional: 'a step was not loaded as far as is asked' } : {}),
          }),
        ];
  const failed = read.filter(({ stands }) => stands === 'fails').map(({ mark }) => mark);
  return {
    results: [
      ...least(
        'Pd',
        DOWN,
        read.map(({ down }) => down),
      ),
      ...least(
        'Po',
        OUT,
        read.flatMap(({ out }) => out ?? []),
      ),
    ],
    lines: sheet.lines,
    findings: bySeverity([
      ...equipmentUse(input, { gauge: 'departure' }, input.testedAt, setup, limits),
      ...slipFindings(read, limits, system),
    ]),
    verdicts:
      read.length === 0
        ? []
        : [
            verdictWith({
              criterion: 'Steps of a manhole',
              limit: `${limits.of('step.down', system).text}, ${limits.of('step.out', system).text}`,
              state: failed.length > 0 ? 'does not meet' : open ? 'not yet determinable' : 'meets',
              sentence:
                failed.length > 0
                  ? `${failed.join(', ')} gave way or stays bent too far. The owner’s engineer decides.`
                  : open
                    ? 'A step was not loaded as far as is asked, or not looked at for what stays bent.'
                    : `${read.length === 1 ? 'The step that was tested holds' : read.length === 2 ? 'The two steps that were tested hold' : `All ${read.length} steps that were tested hold`} both loads.`,
            }),
          ],
    picture: {
      kind: 'manhole-step',
      values: {
        unit,
        askedDown: limits.of('step.down', system).low?.toNumber() ?? null,
        askedOut: limits.of('step.out', system).low?.toNumber() ?? null,
        steps: packedRows(
          read.map(({ mark, down, out, stands }) => [mark, down.toNumber(), out?.toNumber() ?? '', stands]),
        ),
      },
    },
  };
}

/** A mark that stands twice, what stays bent too far, and loads far above what is asked: another unit? */
function slipFindings(
  read: readonly StepRead[],
  limits: Limits,
  system: ManholeStepInput['system'],
): Finding[] {
  const marks = read.map(({ mark }) => mark);
  const far = read.filter(({ down, out }) =>
    (
      [
        ['step.down', down],
        ['step.out', out],
      ] as const
    ).some(([id, load]) => {
      const asked = limits.of(id, system).low;
      return asked && load && !isWithin(load.div(asked).times(100), limits.of('step.slip', system));
    }),
  );
  const bent = read.filter((each) => each.bent && !isWithin(each.bent, limits.of('step.set', system)));
  return [
    ...(new Set(marks).size < marks.length
      ? [
          finding({
            id: 'step.twice',
            severity: 'invalid',
            fields: ['steps'],
            message: 'A step stands twice.',
            action: 'Each is tested once: take the other row back, or give it its own mark.',
          }),
        ]
      : []),
    ...bent.map(({ mark }) =>
      limitFinding(
        limits,
        system,
        { id: 'step.set', severity: 'advice', fields: ['steps'] },
        {
          message: `${mark} stays bent further than a step may.`,
          action: 'Measure it again with the load off; it has failed if it is so.',
        },
      ),
    ),
    ...far.map(({ mark, down }) =>
      limitFinding(
        limits,
        system,
        { id: 'step.slip', severity: 'advice', fields: ['steps'] },
        {
          message: `${mark}: ${plainOf(down, system === 'US' ? 'lbf' : 'kN')} is far more than is asked.`,
          action: 'Look at the unit of the gauge.',
        },
      ),
    ),
  ];
}

/** Steps of manhole sections. Order of work: ASTM C497 (from memory), in our own words. */
export const manholeStep: Method<ManholeStepInput> = {
  id: 'manhole-step',
  title: 'Steps of a manhole',
  designations: [C497, standard('ASTM C478/C478M')],
  runOn: 'lot',
  again: 'freely',
  begin: 'Steps of a manhole',
  yields: [
    { quantity: DOWN, symbol: 'Pd', named: true },
    { quantity: OUT, symbol: 'Po', named: true, instead: true },
  ],
  Input: ManholeStepInput,
  steps: [
    {
      id: 'set',
      title: 'Set the section',
      phase: 'before',
      instruction: 'It lies firm with its steps free. Gauge and rod in line with the middle of the step.',
      fields: ['sections', 'gauge', 'firm'],
      caution:
        'Lift with rated gear, chock it. A step that lets go throws the rod: nobody in line or beneath; eye protection.',
    },
    {
      id: 'load',
      title: 'Downward, then outward',
      phase: 'test',
      instruction:
        'Evenly to the load downward, off again, and measure what stays bent. Then the pull outward. Look at step and wall.',
      fields: ['steps', 'testedAt', 'remarks'],
      caution: 'Never stand on a step to test it. Broken concrete has sharp edges: gloves.',
    },
  ],
  performedAt: 'testedAt',
  plan: (system, setup) => limitRows(['step.down', 'step.out', 'step.set'], system, setup),
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(ManholeStepInput), system), system },
    setup: {
      zone: 'America/New_York',
      equipment: [{ number: 'PULL-1', kind: 'pull tester', verifiedOn: '2031-02-03' }],
    },
  }),
};
