import { isWithin, type Limits } from '../../limits';
import { type Exact, exact, plainOf, type System } from '../../quantity';
import type { Wait } from '../../waits/wait';
import { bySeverity, type Finding, Sheet, standard } from '../../working';
import { ALKALINE } from '../cement/fields';
import { mouldFindings, mouldWaits } from '../cement/in-moulds';
import { CONSISTENCY } from '../cement-consistency';
import type { Method, Outcome, PlanItem } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { exampleInput } from '../example';
import { factMeasure, resultOn } from '../facts';
import { fieldsOf, readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { limitRows } from '../limit-rows';
import { resultOf } from '../outcome';
import { packedRows } from '../picture-rows';
import { wholeRows } from '../rows-field';
import { limitsOf, type RunSetup } from '../setup';
import { VibratedMortarInput } from './input';

const WATER = 'water of the vibrated mortar';
const IS4031 = standard('IS 4031-6');

/** The consistency that the water follows from, percent: as typed, or of the pastes of the sample. */
function consistencyOf(input: VibratedMortarInput, setup: RunSetup): Exact | undefined {
  return readMeasure(input, 'consistency')?.value ?? factMeasure(setup, 'consistency', 'percent', 'percent');
}

/**
 * The water that the cubes of a cement want, and whether they had it.
 * @param input masses in g of one cube, seconds of mixing and vibrating
 * @param setup facts: the consistency of the cement, where its pastes were tried
 * @returns the water in percent of cement and sand together: a quarter of the consistency and 3.0
 * Source: IS 4031-6 (from memory).
 */
function compute(input: VibratedMortarInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const sheet = new Sheet(setup.rounding ?? 'half-even');
  const P = consistencyOf(input, setup);
  const [c, s] = (['cement', 'sand'] as const).map((name) => readMeasure(input, name)?.value);
  const step = limits.number('vibrated-mortar.step', system);
  const share =
    P &&
    sheet.line({
      symbol: 'W',
      name: 'Water, of cement and sand',
      formula: 'P / d + w',
      uses: {
        P,
        d: limits.number('vibrated-mortar.share', system),
        w: limits.number('vibrated-mortar.more', system),
      },
      unit: 'percent',
      source: IS4031,
      round: { step, rule: `to ${step} %` },
    });
  const wanted =
    share && c && s
      ? sheet.line({
          symbol: 'm',
          name: 'Water of one cube',
          formula: '(c + s) * W / 100',
          uses: { c, s, W: share },
          unit: 'g',
          source: IS4031,
        })
      : undefined;
  const off = limits.of('vibrated-mortar.mass', system).high ?? exact(0);
  const cubes = wholeRows(input.cubes).flatMap((row, place) => {
    const water = readMeasure(row, 'water')?.value;
    return water ? [{ row, name: `Cube ${place + 1}`, water }] : [];
  });
  return {
    results: share
      ? [
          resultOf({
            ...{ quantity: WATER, symbol: 'W', value: share, unit: 'percent', step, mode: sheet.mode },
            ...(cubes.length === 0 ? { provisional: 'no cube is made yet' } : {}),
          }),
        ]
      : [],
    lines: sheet.lines,
    findings: bySeverity([
      ...equipmentUse(input, { balance: 'departure' }, input.strippedAt, setup, limits),
      ...massFindings(input, limits),
      ...cubes.flatMap(({ row, name, water }, place) => [
        ...waterFindings({ name, place, water, wanted }, limits, system),
        ...timeFindings({ row, name, place }, limits, system),
      ]),
      ...mouldFindings(
        lastEnd(input),
        input.strippedAt,
        {
          row: 'vibrated-mortar.in-moulds',
          action: 'A day, within an hour; then into the water.',
        },
        limits,
        system,
      ),
    ]),
    verdicts: [],
    picture: {
      kind: 'cement-fine',
      values: {
        quantity: 'water of a cube',
        unit: 'g',
        value: wanted ? Number(wanted.toFixed(2)) : null,
        low: wanted ? Number(wanted.minus(off).toFixed(2)) : null,
        high: wanted ? Number(wanted.plus(off).toFixed(2)) : null,
        asked: wanted ? plainOf(wanted.toDecimalPlaces(1), 'g') : null,
        determined: packedRows(cubes.map(({ name, water }) => [name, water.toNumber(), ''])),
      },
    },
  };
}

/** Cement and sand of a cube. */
function massFindings(input: VibratedMortarInput, limits: Limits): Finding[] {
  const { system } = input;
  return (
    [
      ['cement', 'vibrated-mortar.cement', 'The cement'],
      ['sand', 'vibrated-mortar.sand', 'The sand'],
    ] as const
  ).flatMap(([field, id, word]) => {
    const mass = readMeasure(input, field)?.value;
    const should = limits.number(id, system);
    return !mass || isWithin(mass.minus(should), limits.of('vibrated-mortar.mass', system))
      ? []
      : [
          limitFinding(
            limits,
            system,
            { id, severity: 'departure', fields: [field] },
            {
              message: `${word} of a cube is ${plainOf(mass, 'g')}.`,
              action: `Weigh ${plainOf(should, 'g')}; the water follows from both.`,
              remark: `${word} of a cube: ${plainOf(mass, 'g')}.`,
            },
          ),
        ];
  });
}

interface CubeAbout {
  readonly name: string;
  readonly place: number;
}

function waterFindings(
  { name, place, water, wanted }: CubeAbout & { readonly water: Exact; readonly wanted: Exact | undefined },
  limits: Limits,
  system: System,
): Finding[] {
  const id = 'vibrated-mortar.mass';
  if (!wanted || isWithin(water.minus(wanted), limits.of(id, system))) return [];
  return [
    {
      ...limitFinding(
        limits,
        system,
        { id, severity: 'departure', fields: ['cubes'] },
        {
          message: `${name} has ${plainOf(water, 'g')} of water for ${plainOf(wanted.toDecimalPlaces(1), 'g')}.`,
          action: 'Make it again with the right water; say it where it stays.',
          remark: `${name}: ${plainOf(water, 'g')} of water for ${plainOf(wanted.toDecimalPlaces(1), 'g')}.`,
        },
      ),
      id: `vibrated-mortar.water-${place + 1}`,
    },
  ];
}

function timeFindings(
  { row, name, place }: CubeAbout & { readonly row: object },
  limits: Limits,
  system: System,
): Finding[] {
  return (
    [
      ['mixed', 'vibrated-mortar.mixed', 'mixed'],
      ['vibrated', 'vibrated-mortar.vibrated', 'vibrated'],
    ] as const
  ).flatMap(([field, id, word]): Finding[] => {
    const value = readMeasure(row, field)?.value;
    const limit = limits.of(id, system);
    if (!value || isWithin(value, limit)) return [];
    const long = field === 'mixed' && limit.high && value.greaterThan(limit.high);
    return [
      {
        ...limitFinding(
          limits,
          system,
          { id, severity: long ? 'invalid' : 'departure', fields: ['cubes'] },
          {
            message: `${name} was ${word} for ${plainOf(value, 's')}.`,
            action: long ? 'Throw this mortar away; a fresh one for this cube.' : 'Say it, or make it again.',
            remark: `${name} ${word} for ${plainOf(value, 's')}.`,
          },
        ),
        id: `${id}-${place + 1}`,
      },
    ];
  });
}

/** When the last of them left the vibrating table, ms; NaN while none did. */
function lastEnd(input: VibratedMortarInput): number {
  const ends = wholeRows(input.cubes)
    .map(({ endedAt }) => Date.parse(endedAt ?? ''))
    .filter(Number.isFinite);
  return ends.length > 0 ? Math.max(...ends) : Number.NaN;
}

/** The cubes wait in their moulds. */
function waits(input: VibratedMortarInput, setup: RunSetup): Wait[] {
  return mouldWaits(lastEnd(input), input.strippedAt, 'vibrated-mortar.in-moulds', setup);
}

/** What is weighed out for a cube. */
function plan(system: System, setup: RunSetup): PlanItem[] {
  const limits = limitsOf(setup);
  const P = factMeasure(setup, 'consistency', 'percent', 'percent');
  const [c, s, d, w] = (['cement', 'sand', 'share', 'more'] as const).map((id) =>
    limits.number(`vibrated-mortar.${id}`, system),
  ) as [Exact, Exact, Exact, Exact];
  const water = P?.div(d).plus(w).times(c.plus(s)).div(100);
  return [
    {
      label: 'For one cube',
      text: `cement ${plainOf(c, 'g')}, sand ${plainOf(s, 'g')}, water ${water ? plainOf(water.toDecimalPlaces(1), 'g') : 'by the consistency of the cement, which is not known yet'}`,
    },
    ...limitRows(
      ['vibrated-mortar.mixed', 'vibrated-mortar.vibrated', 'vibrated-mortar.in-moulds'],
      system,
      setup,
    ),
  ];
}

/** The mortar of a cement, vibrated into cubes. Order of work: IS 4031-6 (from memory), in our own words. */
export const vibratedMortar: Method<VibratedMortarInput> = {
  id: 'vibrated-mortar',
  title: 'Mortar and its vibrated cubes',
  designations: [IS4031],
  runOn: 'sample',
  day: {
    hands: [{ from: 0, minutes: 40, what: 'Mortar and vibration, three cubes, one by one' }],
    after: ['cement-consistency'],
    takes: 600,
    later: [{ hours: 24, what: 'Cubes out of their moulds' }],
  },
  again: 'freely',
  begin: 'Mortar for vibrated cubes',
  facts: { consistency: resultOn(CONSISTENCY, ['cement-consistency'], { dimension: 'percent' }) },
  yields: [{ quantity: WATER, symbol: 'W', named: true }],
  Input: VibratedMortarInput,
  steps: [
    {
      id: 'weigh',
      title: 'Weigh',
      phase: 'before',
      instruction:
        'Everything at the temperature of the room. Of the sand 200 g of each of its three grades. Moulds oiled thinly, their joints tight.',
      fields: [
        ...['room', 'humidity', 'waterTemperature', 'balance', 'sandLot'],
        ...['consistency', 'cement', 'sand'],
      ],
      caution: `${ALKALINE} Dry sand is silica dust.`,
    },
    {
      id: 'make',
      title: 'Mix and vibrate, cube by cube',
      phase: 'test',
      instruction:
        'Dry for a minute, then with its water until it is of one colour: three minutes at least, four at the most. Into the mould on the vibrating table, prodded twenty times while it fills; two minutes of vibration, struck.',
      fields: ['cubes'],
      caution: 'Hands off the table while it shakes; ears protected.',
    },
    {
      id: 'strip',
      title: 'Out of their moulds',
      phase: 'after',
      instruction: 'After a day of moist air, into clean water, which is renewed every seven days.',
      fields: ['strippedAt', 'remarks'],
      caution: 'The water becomes caustic: gloves.',
    },
  ],
  performedAt: 'strippedAt',
  plan,
  compute,
  waits,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(VibratedMortarInput), system), system },
    setup: {
      zone: 'America/New_York',
      sample: { label: 'EXAMPLE', sampledAt: '2031-09-11T14:00:00-04:00' },
      facts: { consistency: '29.0 %' },
      equipment: [{ number: 'BALANCE-1', kind: 'balance', verifiedOn: '2031-02-03' }],
    },
  }),
};
