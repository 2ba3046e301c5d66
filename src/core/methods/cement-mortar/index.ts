import { nextWater } from '../../cement/consistency';
import { isWithin, type LimitId, type Limits } from '../../limits';
import { type WaterRule, waterRule } from '../../materials/cement/standards';
import { type Exact, exact, largest, meanOf, plainOf, roundTo, type System, smallest } from '../../quantity';
import type { Wait } from '../../waits/wait';
import { bySeverity, type Finding, finding, Sheet, standard } from '../../working';
import { ALKALINE } from '../cement/fields';
import { mouldFindings, mouldWaits } from '../cement/in-moulds';
import { CEMENT_FACTS } from '../cement/said';
import type { Method, Outcome, PlanItem } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { exampleInput } from '../example';
import { asked, factText } from '../facts';
import { fieldsOf, readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { limitRows } from '../limit-rows';
import { resultOf } from '../outcome';
import { packedRows } from '../picture-rows';
import { wholeRows } from '../rows-field';
import { limitsOf, type RunSetup } from '../setup';
import { CementMortarInput } from './input';

const FLOW = 'flow of the mortar';
const RATIO = 'water to cement of the mortar';
const C109 = standard('ASTM C109/C109M');

const ruleOf = (setup: RunSetup): WaterRule =>
  waterRule(factText(setup, 'cementType') ?? 'c150.I', factText(setup, 'waterBy'));

/** A batch with its flow, and why it does not count. */
interface Batch {
  readonly place: number;
  readonly water: Exact;
  readonly across: readonly Exact[];
  readonly why: string | undefined;
}

function batchesOf(input: CementMortarInput, limits: Limits): Batch[] {
  const { system } = input;
  return wholeRows(input.batches).flatMap((row, place): Batch[] => {
    const [water, drops, lifted] = (['water', 'drops', 'lifted'] as const).map(
      (name) => readMeasure(row, name)?.value,
    );
    const across = (['d1', 'd2', 'd3', 'd4'] as const).flatMap((name) => readMeasure(row, name)?.value ?? []);
    if (!water || across.length < 4) return [];
    const why =
      drops && !drops.equals(limits.number('flow-table.drops', system))
        ? `${drops} drops`
        : lifted && !isWithin(lifted, limits.of('flow-table.lift', system))
          ? `lifted after ${lifted} s`
          : undefined;
    return [{ place: place + 1, water, across, why }];
  });
}

/** The base that a flow is told by, in or mm. */
function baseOf(input: CementMortarInput, limits: Limits): Exact {
  return readMeasure(input, 'base')?.value ?? limits.number('flow-table.base', input.system);
}

const flowShare = (across: readonly Exact[], base: Exact): Exact =>
  meanOf(across).minus(base).div(base).times(100);

/** The water of a batch that its rule fixes, g; undefined where the flow decides. */
function fixedWater(cement: Exact, rule: WaterRule, limits: Limits): Exact | undefined {
  if (rule !== 'fixed' && rule !== 'fixed-air') return undefined;
  return cement.times(
    limits.number(rule === 'fixed' ? 'cement-mortar.ratio' : 'cement-mortar.ratio-air', 'US'),
  );
}

/**
 * The mortar that the cubes of a cement are made of: its flow and its water.
 * @param input masses in g, diameters in in or mm, a row for each batch
 * @param setup facts: the type of the cement, and whether its water is fixed
 * @returns flow of the last batch that counts in percent of the base, and its water to cement: not to be compared with that of a
 *   concrete
 * Source: ASTM C109/C109M, C1437 (from memory).
 */
function compute(input: CementMortarInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const sheet = new Sheet(setup.rounding ?? 'half-even');
  const rule = ruleOf(setup);
  const batches = batchesOf(input, limits);
  const base = baseOf(input, limits);
  const good = batches.filter(({ why }) => why === undefined);
  const last = good.at(-1);
  const cement = readMeasure(input, 'cement')?.value;
  const flow =
    last &&
    sheet.line({
      symbol: 'F',
      name: `Flow of batch ${last.place}`,
      formula: '100 * ((D1 + D2 + D3 + D4) / 4 - b) / b',
      uses: { ...Object.fromEntries(last.across.map((each, place) => [`D${place + 1}`, each])), b: base },
      unit: 'percent',
      source: standard('ASTM C1437'),
      round: { step: limits.number('flow-table.step', system), rule: 'to 1 %' },
    });
  const ratio =
    last && cement?.greaterThan(0)
      ? sheet.line({
          symbol: 'wc',
          name: 'Water to cement of the mortar; not that of a concrete',
          formula: 'w / c',
          uses: { w: last.water, c: cement },
          unit: 'one',
          source: C109,
          show: 3,
        })
      : undefined;
  const held = flow && isWithin(roundTo(flow, '1', sheet.mode), limits.of('cement-mortar.flow', system));
  const next = rule === 'flow' && !held ? nextOf(good, base, cement, limits, system) : undefined;
  return {
    results: [
      ...(flow
        ? [
            resultOf({
              ...{ quantity: FLOW, symbol: 'F', value: flow, unit: 'percent', mode: sheet.mode },
              step: limits.number('flow-table.step', system),
            }),
          ]
        : []),
      ...(ratio
        ? [
            resultOf({
              ...{
                quantity: RATIO,
                symbol: 'wc',
                value: ratio,
                unit: 'one',
                mode: sheet.mode,
                step: '0.001',
              },
            }),
          ]
        : []),
    ],
    lines: sheet.lines,
    findings: bySeverity([
      ...equipmentUse(input, { balance: 'departure', table: 'departure' }, input.cabinetAt, setup, limits),
      ...massFindings(input, rule, last, limits),
      ...batchFindings(batches, limits, system),
      ...flowFindings(flow, rule, held === true, next, limits, system),
      ...timeFindings(input, limits),
    ]),
    verdicts: [],
    picture: {
      kind: 'cement-mortar',
      values: {
        rule,
        low: limits.of('cement-mortar.flow', system).low?.toNumber() ?? null,
        high: limits.of('cement-mortar.flow', system).high?.toNumber() ?? null,
        next: next?.toNumber() ?? null,
        base: base.toNumber(),
        unit: system === 'US' ? 'in' : 'mm',
        ratio: ratio ? Number(ratio.toFixed(3)) : null,
        batches: packedRows(
          batches.map(({ place, water, across, why = '' }) => [
            place,
            water.toNumber(),
            Number(flowShare(across, base).toFixed(1)),
            across.map((each) => each.toFixed()).join(' '),
            why,
          ]),
        ),
      },
    },
  };
}

/** The water to try next, g; undefined before the first batch. */
function nextOf(
  good: readonly Batch[],
  base: Exact,
  cement: Exact | undefined,
  limits: Limits,
  system: System,
): Exact | undefined {
  if (!cement?.greaterThan(0)) return undefined;
  const share = nextWater(
    good.map(({ water, across }) => ({
      water: water.div(cement).times(100).toNumber(),
      depth: flowShare(across, base).toNumber(),
    })),
    limits.number('cement-mortar.aim', system).toNumber(),
    limits.number('cement-mortar.slope', system).toNumber(),
  );
  return share === undefined ? undefined : roundTo(cement.times(share).div(100), '0.1', 'half-even');
}

/** Masses off what the batch should have. */
function massFindings(
  input: CementMortarInput,
  rule: WaterRule,
  last: Batch | undefined,
  limits: Limits,
): Finding[] {
  const { system } = input;
  const [cement, sand, cubes] = (['cement', 'sand', 'cubes'] as const).map(
    (name) => readMeasure(input, name)?.value,
  );
  if (!cement) return [];
  const off = (value: Exact | undefined, wanted: Exact | undefined): boolean =>
    value !== undefined &&
    wanted !== undefined &&
    !isWithin(value.minus(wanted).abs(), limits.of('cement-mortar.mass', system));
  const water = fixedWater(cement, rule, limits);
  const rows = [
    ['cement', 'Cement', cement, cubes && cementFor(cubes, limits)],
    ['sand', 'Sand', sand, cement.times(limits.number('cement-mortar.sand', system))],
    ['batches', 'Water', last?.water, water],
  ] as const;
  const found: Finding[] = rows.flatMap(([field, word, value, wanted]) =>
    off(value, wanted)
      ? [
          {
            ...limitFinding(
              limits,
              system,
              { id: 'cement-mortar.mass', severity: 'departure', fields: [field] },
              {
                message: `${word}: ${plainOf(wanted?.toDecimalPlaces(1) ?? exact(0), 'g')} for this batch.`,
                action: 'Weigh it again; another mortar tells nothing of the cement.',
                remark: `${word} ${plainOf(value ?? exact(0), 'g')} instead of ${plainOf(wanted?.toDecimalPlaces(1) ?? exact(0), 'g')}.`,
              },
            ),
            id: `cement-mortar.mass-${field}`,
          },
        ]
      : [],
  );
  const ratio = last?.water.div(cement);
  if (ratio && !isWithin(ratio, limits.of('cement-mortar.usual-ratio', system)))
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'cement-mortar.usual-ratio', severity: 'advice', fields: ['batches', 'cement'] },
        { message: `Water to cement comes to ${ratio.toFixed(2)}.`, action: 'Look at both masses.' },
      ),
    );
  return found;
}

/** Cement for so many cubes, g: by the batch of nine where it is nine and more. Source: ASTM C109 (from memory), in proportion for others: our choice. */
export function cementFor(cubes: Exact, limits: Limits): Exact {
  const nine = limits.number('cement-mortar.nine', 'US');
  return cubes.equals(9) ? nine : cubes.times(limits.number('cement-mortar.six', 'US')).div(6);
}

function batchFindings(batches: readonly Batch[], limits: Limits, system: System): Finding[] {
  return batches.flatMap(({ place, across, why }): Finding[] => {
    const apart = largest(across).minus(smallest(across)).div(meanOf(across)).times(100);
    return [
      ...(why
        ? [
            finding({
              id: `flow-table.batch-${place}`,
              severity: 'advice',
              fields: ['batches'],
              message: `The flow of batch ${place} does not count: ${why}.`,
              action: 'A fresh batch: lifted a minute after mixing, 25 drops in 15 s.',
            }),
          ]
        : []),
      ...(isWithin(apart, limits.of('flow-table.spread', system))
        ? []
        : [
            {
              ...limitFinding(
                limits,
                system,
                { id: 'flow-table.spread', severity: 'advice', fields: ['batches'] },
                {
                  message: `Batch ${place}: its diameters lie ${apart.toFixed(0)} % apart.`,
                  action:
                    'Measure them again; look whether the table stands level and the mould in its middle.',
                },
              ),
              id: `flow-table.spread-${place}`,
            },
          ]),
    ];
  });
}

/** A flow that decides, or one that is only told. */
function flowFindings(
  flow: Exact | undefined,
  rule: WaterRule,
  held: boolean,
  next: Exact | undefined,
  limits: Limits,
  system: System,
): Finding[] {
  if (!flow) return [];
  if (rule === 'flow' && !held)
    return [
      limitFinding(
        limits,
        system,
        { id: 'cement-mortar.flow', severity: 'invalid', fields: ['batches'] },
        {
          message: `Its flow is ${flow.toFixed(0)} %: no cubes of it.`,
          action: next
            ? `A fresh batch with ${plainOf(next, 'g')} of water.`
            : 'A fresh batch with other water.',
        },
      ),
    ];
  return isWithin(flow, limits.of('cement-mortar.usual', system))
    ? []
    : [
        limitFinding(
          limits,
          system,
          { id: 'cement-mortar.usual', severity: 'advice', fields: ['batches', 'base'] },
          {
            message: `A flow of ${flow.toFixed(0)} % is seldom.`,
            action: 'Diameters in the units of the mould? Base as measured?',
          },
        ),
      ];
}

function timeFindings(input: CementMortarInput, limits: Limits): Finding[] {
  const { system } = input;
  const found: Finding[] = [];
  const tamped = readMeasure(input, 'tamped')?.value;
  if (tamped && !isWithin(tamped, limits.of('cement-mortar.mould', system)))
    found.push(
      limitFinding(
        limits,
        system,
        { id: 'cement-mortar.mould', severity: 'invalid', fields: ['tamped'] },
        {
          message: `The first layer was tamped ${tamped} s after the end of mixing.`,
          action: 'Throw the batch away: it has begun to stiffen.',
        },
      ),
    );
  return [
    ...found,
    ...mouldFindings(
      Date.parse(input.cabinetAt ?? ''),
      input.strippedAt,
      { row: 'cement-mortar.in-moulds', action: 'Say it; those of one day are not reported.' },
      limits,
      system,
    ),
  ];
}

/** The cubes wait in their moulds. */
function waits({ cabinetAt, strippedAt }: CementMortarInput, setup: RunSetup): Wait[] {
  return mouldWaits(Date.parse(cabinetAt ?? ''), strippedAt, 'cement-mortar.in-moulds', setup);
}

/** What is weighed out, by the number of cubes and by how the water is found. */
function plan(system: System, setup: RunSetup): PlanItem[] {
  const limits = limitsOf(setup);
  const rule = ruleOf(setup);
  const rows: readonly LimitId[] = [
    'flow-table.lift',
    'flow-table.drops',
    'flow-table.time',
    'cement-mortar.mould',
    'cement-mortar.in-moulds',
  ];
  return [
    ...[6, 9].map((cubes): PlanItem => {
      const cement = cementFor(exact(cubes), limits);
      const water = fixedWater(cement, rule, limits);
      return {
        label: `For ${cubes} cubes`,
        text: `cement ${plainOf(cement, 'g')}, sand ${plainOf(cement.times(limits.number('cement-mortar.sand', system)), 'g')}, water ${water ? plainOf(water.toDecimalPlaces(0), 'g') : `for a flow of ${limits.of('cement-mortar.flow', system).text}`}`,
      };
    }),
    ...limitRows(rows, system, setup),
  ];
}

/** The mortar of a cement, mixed, tried on the flow table and made into cubes. Order of work: ASTM C109, C305, C1437 (from memory), in our own words. */
export const cementMortar: Method<CementMortarInput> = {
  id: 'cement-mortar',
  title: 'Mortar and its cubes',
  designations: [C109, standard('ASTM C305'), standard('ASTM C1437')],
  runOn: 'sample',
  day: {
    hands: [{ from: 0, minutes: 30, what: 'Mortar, flow, six cubes' }],
    gear: { what: 'mixer', until: 8 },
    takes: 500,
    later: [{ hours: 24, what: 'Cubes out of their moulds' }],
  },
  again: 'freely',
  begin: 'Mortar for cubes',
  facts: { ...CEMENT_FACTS, waterBy: asked('waterBy', 'text') },
  yields: [
    { quantity: FLOW, symbol: 'F', named: true },
    { quantity: RATIO, symbol: 'wc', named: true },
  ],
  Input: CementMortarInput,
  steps: [
    {
      id: 'weigh',
      title: 'Weigh',
      phase: 'before',
      instruction:
        'Everything at the temperature of the room. The whole bag of sand mixed. Moulds oiled thinly, their joints tight.',
      fields: [
        'room',
        'humidity',
        'waterTemperature',
        'balance',
        'table',
        'sandLot',
        'cubes',
        'cement',
        'sand',
        'base',
      ],
      caution: `${ALKALINE} Hot wax for joints burns.`,
    },
    {
      id: 'mix',
      title: 'Mix, and the flow',
      phase: 'test',
      instruction:
        'By the beats. The flow mould in two layers, 20 strokes each, lifted a minute after mixing; 25 drops in 15 s; four diameters. Mortar back into the bowl, 15 s medium.',
      fields: ['batches'],
      caution: 'Hands off the mixer while it turns; fingers away from the table that drops.',
    },
    {
      id: 'mould',
      title: 'Tamp the cubes',
      phase: 'test',
      instruction:
        'First layer in all of them, second layer in all of them: each cube 32 strokes in about ten seconds, four rounds of eight, each across the one before. Struck once, once more lightly; covered, moist, tops open.',
      fields: ['tamped', 'tamping', 'moulds', 'cabinetAt'],
    },
    {
      id: 'strip',
      title: 'Out of their moulds',
      phase: 'after',
      instruction:
        'After a day, into saturated lime water. Those of one day are broken damp from the cabinet.',
      fields: ['strippedAt', 'remarks'],
      caution: 'Lime water is caustic: gloves.',
    },
  ],
  performedAt: 'cabinetAt',
  sequence: [['cabinetAt', 'strippedAt']],
  plan,
  compute,
  waits,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(CementMortarInput), system), system },
    setup: {
      zone: 'America/New_York',
      sample: { label: 'EXAMPLE', sampledAt: '2031-09-11T14:00:00-04:00' },
      facts: { cementType: 'c150.I' },
      equipment: [
        { number: 'BALANCE-1', kind: 'balance', verifiedOn: '2031-02-03' },
        { number: 'FLOW-1', kind: 'flow table', verifiedOn: '2031-02-03' },
      ],
    },
  }),
};
