import type { Verdict } from '../../acceptance/criterion';
import { type Exact, exact, plainOf, roundTo, type System } from '../../quantity';
import { bySeverity, Sheet, standard } from '../../working';
import type { Method, Outcome, Result, Step } from '../contract';
import { exampleInput } from '../example';
import { asked, factText, specified } from '../facts';
import { fieldsOf, readMeasure } from '../fields';
import { resultOf } from '../outcome';
import { limitsOf, type RunSetup } from '../setup';
import { sampleStamps } from '../stamps';
import { heldWithin } from '../within';
import { deliveryFindings, remixTurns } from './findings';
import { DeliveryInput } from './input';
import { loadWater } from './water';

export { type WaterState, waterForSlump } from './water';

const C94 = standard('ASTM C94/C94M');

/** Order of work: ASTM C94/C94M (from memory), in our own words. */
const STEPS: readonly Step[] = [
  {
    id: 'ticket',
    title: 'Read the ticket',
    phase: 'before',
    instruction: 'Photograph it. Compare it with the approved mix before anything comes down the chute.',
    fields: [
      'batchedAt',
      'batchedFrom',
      'arrivedAt',
      'mix',
      'loadVolume',
      'drumVolume',
      'mixed',
      'cementitious',
      'water',
      'ticketAllows',
    ],
    caution: 'Reversing truck: never between truck and barrow; spotter, bright clothing.',
  },
  {
    id: 'moisture',
    title: 'Moisture, if the ticket lists it',
    phase: 'before',
    instruction: 'Free moisture counts as water; dry aggregate takes water up.',
    fields: [
      'fine',
      'fineMoisture',
      'fineAbsorption',
      'coarse',
      'coarseMoisture',
      'coarseAbsorption',
      'admixtureWater',
    ],
  },
  {
    id: 'addition',
    title: 'Water or admixture on site',
    phase: 'before',
    instruction:
      'Once, before the discharge; the permitted amount is known before anybody asks. Then 30 turns.',
    fields: [
      'added',
      'addedAt',
      'outBefore',
      'askedBy',
      'remixTurns',
      'mixingSpeed',
      'remixedAt',
      'mixingTurns',
      'totalTurns',
    ],
  },
  {
    id: 'discharge',
    title: 'Discharge',
    phase: 'test',
    instruction: 'From first to last; note wash water and whether the site was ready.',
    fields: ['washWater', 'siteReady', 'dischargeStartedAt', 'dischargedAt', 'remarks'],
    caution: 'Drum and chute pinch and drop; wash-out water burns.',
  },
];

/**
 * A delivery: water, ratio, what may still be added, age at discharge.
 * @param input ticket masses of the whole load in lb or kg, water on site in gal or L, instants
 * @param setup the mix's largest ratio and design masses, limits in force
 * @returns water-cementitious ratio to 0.01, permitted water rounded down, age at discharge in minutes
 * Source: ASTM C94/C94M (from memory).
 */
function compute(input: DeliveryInput, setup: RunSetup): Outcome {
  const limits = limitsOf(setup);
  const { system } = input;
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const results: Result[] = [];
  const water = loadWater(input, setup, limits, sheet);
  const step = limits.number('delivery.wc-step', system);
  if (water.ratio) {
    results.push(
      resultOf({
        quantity: 'water-cementitious ratio',
        symbol: 'R',
        value: water.ratio,
        unit: 'one',
        step,
        mode,
      }),
    );
  }
  if (water.permitted) {
    const value = water.permitted.isNegative() ? exact(0) : water.permitted;
    results.push(
      resultOf({
        quantity: 'permitted site water',
        symbol: 'W',
        value,
        unit: system === 'US' ? 'gal' : 'L',
        step: limits.number('delivery.water-step', system),
        mode,
      }),
    );
  }
  const stamps = sampleStamps(input, setup);
  const [start, end] = [stamps.batched, stamps['discharge-end']];
  if (start !== undefined && end !== undefined && end >= start) {
    const minutes = exact(Math.floor(end / 60_000) - Math.floor(start / 60_000));
    sheet.line({
      symbol: 'a',
      name: 'Age at the end of the discharge',
      formula: 'm',
      uses: { m: minutes },
      unit: 'min',
      source: C94,
    });
    results.push(
      resultOf({ quantity: 'age at discharge', symbol: 'a', value: minutes, unit: 'min', step: '1', mode }),
    );
  }
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity(deliveryFindings(input, water, setup, limits)),
    verdicts: ratioVerdicts(water.ratio && roundTo(water.ratio, step, mode), setup),
    picture: {
      kind: 'load',
      values: {
        batchedAt: start ?? null,
        arrivedAt: stamps.arrived ?? null,
        addedAt: stamps['water-added'] ?? null,
        sampledAt: stamps['final-portion'] ?? null,
        startedAt: stamps['discharge-start'] ?? null,
        endedAt: end ?? null,
        most: limits.number('delivery.discharge', system).toNumber(),
        permitted: water.permitted?.toNumber() ?? null,
        added: readMeasure(input, 'added')?.value.toNumber() ?? null,
        turns: remixTurns(input)?.toNumber() ?? null,
        cementitious: readMeasure(input, 'cementitious')?.value.toNumber() ?? null,
        water: water.total?.toNumber() ?? null,
        volume: readMeasure(input, 'loadVolume')?.value.toNumber() ?? null,
        unit: system === 'US' ? 'gal' : 'L',
      },
    },
  };
}

function ratioVerdicts(rounded: Exact | undefined, setup: RunSetup): Verdict[] {
  const most = factText(setup, 'waterRatio');
  if (!most) return [];
  return heldWithin({
    what: 'water-cementitious ratio',
    value: rounded && { number: rounded, text: rounded.toFixed(2) },
    high: exact(most),
    range: `not more than ${most}`,
    source: 'project',
    outside: 'Tell the purchaser’s representative now.',
  });
}

function plan(system: System, setup: RunSetup) {
  const limits = limitsOf(setup);
  const turns = limits.number('delivery.remix-turns', system);
  const most = factText(setup, 'waterRatio');
  return [
    ...(most ? [{ label: 'Ratio at most', text: most }] : []),
    { label: 'Discharge complete', text: limits.of('delivery.discharge', system).text },
    {
      label: 'After water',
      text: `${turns} turns`,
      note: `${plainOf(turns.div(12), 'min')} at 12 turns a minute`,
    },
  ];
}

/** The ticket, the water and the discharge of the load a sample is taken from. */
export const delivery: Method<DeliveryInput> = {
  id: 'delivery',
  title: 'Ticket and delivery',
  designations: [C94],
  runOn: 'sample',
  facts: {
    waterRatio: asked('waterRatio', 'ratio'),
    cementitious: specified('cementitious'),
    water: specified('water'),
  },
  yields: [
    { quantity: 'water-cementitious ratio', symbol: 'R' },
    { quantity: 'permitted site water', symbol: 'W' },
    { quantity: 'age at discharge', symbol: 'a' },
  ],
  Input: DeliveryInput,
  steps: STEPS,
  performedAt: 'dischargeStartedAt',
  plan,
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(DeliveryInput), system), system },
    setup: {
      zone: 'America/New_York',
      sample: { label: 'EXAMPLE', sampledAt: '2031-05-14T09:30:00-04:00' },
      facts: { waterRatio: '0.42' },
    },
  }),
};
