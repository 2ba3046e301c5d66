import { isWithin, type LimitId } from '../../limits';
import { BRICK, WHOLE } from '../../materials/brick/forms';
import { type Exact, exact, plainOf } from '../../quantity';
import { bySeverity, type Finding, finding, Sheet, standard } from '../../working';
import type { Method, Outcome } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { exampleInput } from '../example';
import { fieldsOf, readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { limitRows } from '../limit-rows';
import { resultOf } from '../outcome';
import { limitsOf, type RunSetup } from '../setup';
import { BrickSuctionInput } from './input';

const C67 = standard('ASTM C67/C67M');
const QUANTITY = 'initial rate of absorption';

/**
 * Initial rate of absorption of a brick: what its bed draws up in a minute, on 30 in².
 * @param input masses in g, sizes in in or mm
 * Source: ASTM C67/C67M 10 (from memory); corrected to 30 in² [193.55 cm²] also where it may be left out: our choice.
 */
function compute(input: BrickSuctionInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const of = (name: string): Exact | undefined => readMeasure(input, name)?.value;
  const [L, B, W1, W2] = [of('length'), of('width'), of('before'), of('after')];
  const cores = of('cores') ?? exact(0);
  const net = L && B ? L.times(B).minus(cores) : undefined;
  const findings: Finding[] = [
    ...equipmentUse(input, { balance: 'departure' }, input.testedAt, setup, limits),
  ];
  const step = limits.number('brick.suction-step', system);
  let rate: Exact | undefined;
  if (net && !net.greaterThan(0))
    findings.push(
      finding({
        id: 'brick.suction-cores',
        severity: 'invalid',
        fields: ['cores'],
        message: 'The cores are as large as the bed.',
        action: 'Measure them again.',
      }),
    );
  else if (W1 && W2?.lessThanOrEqualTo(W1))
    findings.push(
      finding({
        id: 'brick.suction-order',
        severity: 'invalid',
        fields: ['before', 'after'],
        message: 'It is no heavier after its minute in the water.',
        action: 'Read both masses again.',
      }),
    );
  else if (L && B && W1 && W2)
    rate = sheet.line({
      symbol: 'X',
      name: 'Drawn up in a minute on 30 in² [193.55 cm²]',
      formula: 'k * (W2 - W1) / (L * B - c)',
      uses: { k: limits.number('brick.suction-area', system), W1, W2, L, B, c: cores },
      unit: 'g',
      source: C67,
      round: { step, rule: `to ${limits.of('brick.suction-step', system).text} g` },
    });
  if (rate) {
    const say = (id: LimitId, action: string): void => {
      if (!isWithin(rate as Exact, limits.of(id, system)))
        findings.push(
          limitFinding(
            limits,
            system,
            { id, severity: 'advice', fields: ['after'] },
            { message: `It draws up ${plainOf((rate as Exact).toDecimalPlaces(1), 'g')} a minute.`, action },
          ),
        );
    };
    say('brick.suction-high', 'Such brick is laid wetted and surface-dry: tell who lays it.');
    say('brick.suction-low', 'Such brick floats on its mortar: tell who lays it.');
  }
  return {
    results: rate ? [resultOf({ quantity: QUANTITY, symbol: 'X', value: rate, unit: 'g', step, mode })] : [],
    lines: sheet.lines,
    findings: bySeverity(findings),
    verdicts: [],
    picture: {
      kind: 'tray',
      values: {
        length: L?.toNumber() ?? null,
        depth: of('depth')?.toNumber() ?? null,
        rate: rate?.toNumber() ?? null,
      },
    },
  };
}

/** How fast a brick draws up water. */
export const brickSuction: Method<BrickSuctionInput> = {
  id: 'brick-suction',
  title: 'Initial rate of absorption',
  designations: [C67],
  runOn: 'specimen',
  forms: [BRICK],
  role: WHOLE,
  spends: false,
  columns: [{ heading: 'State', of: ['state'] }],
  yields: [{ quantity: QUANTITY, symbol: 'X' }],
  Input: BrickSuctionInput,
  steps: [
    {
      id: 'ready',
      title: 'Brick and tray',
      phase: 'before',
      instruction:
        'Dried and cooled, or as it came. Tray level, water an eighth of an inch over the supports and kept there.',
      fields: ['balance', 'state', 'length', 'width', 'cores', 'depth', 'water'],
    },
    {
      id: 'minute',
      title: 'One minute',
      phase: 'test',
      instruction:
        'Weigh, set it on the supports, lift it off after a minute to the second, wipe, weigh within two minutes.',
      fields: ['before', 'contact', 'after', 'toBalance', 'testedAt', 'remarks'],
    },
  ],
  performedAt: 'testedAt',
  set: {
    word: 'Suction of the bricks',
    quantity: QUANTITY,
    by: [],
    combine: 'mean',
    step: 'brick.suction-step',
    wanted: 'brick.role-count',
  },
  plan: (system, setup) =>
    limitRows(
      ['brick.suction-time', 'brick.suction-depth', 'brick.suction-water', 'brick.suction-weigh'],
      system,
      setup,
    ),
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(BrickSuctionInput), system), system },
    setup: {
      zone: 'America/New_York',
      specimen: { label: 'EXAMPLE-B6', form: BRICK },
      equipment: [{ number: 'BALANCE-1', kind: 'balance', verifiedOn: '2031-02-03' }],
    },
  }),
};
