import { isWithin, type Limits } from '../../limits';
import { FORMS } from '../../materials/rock/forms';
import { type Exact, smallest } from '../../quantity';
import { bySeverity, type Finding, finding, standard } from '../../working';
import { rowsFor, strangerFindings } from '../batch-rows';
import type { Method } from '../contract';
import { type DryingBy, dryingOutcome, dryingWaits, dryMassOf } from '../drying/oven';
import { exampleInput } from '../example';
import { exampleBatch } from '../example-batch';
import { fieldsOf, readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { limitRows } from '../limit-rows';
import { ovenFindings } from '../rock-water/compute';
import type { RunSetup } from '../setup';
import { limitsOf } from '../setup';
import { labelsOf } from '../tested';
import { type FilledTin, RockDryingInput } from './input';

/** The tin of a specimen, its masses in g as far as they are read; the last row of it counts. */
function tinOf({ tins }: RockDryingInput, label: string) {
  const row: FilledTin | undefined = rowsFor(tins, label).at(-1);
  const of = (name: 'tinMass' | 'wetMass'): Exact | undefined => row && readMeasure(row, name)?.value;
  return { row, empty: of('tinMass'), wet: of('wetMass') };
}

const by = (input: RockDryingInput): DryingBy => ({
  rows: { first: 'water.first', every: 'water.every', loss: 'water.loss' },
  tare: (label) => tinOf(input, label).empty,
});

/** Masses that cannot be so: a tin without its weighings, two of one number, pieces that weigh nothing or more dry than wet. */
function tinFindings(input: RockDryingInput, setup: RunSetup): Finding[] {
  const say = (id: string, fields: readonly string[], message: string): Finding =>
    finding({
      id,
      severity: 'invalid',
      needsReason: true,
      fields,
      message,
      action: 'Look at the number of the tin and read it again.',
    });
  const numbers = (input.tins ?? []).flatMap(({ tin }) => (tin ? [tin.trim().toUpperCase()] : []));
  const twice = numbers.find((number, place) => numbers.indexOf(number) < place);
  return [
    ...(twice ? [say('water.tin-twice', ['tins'], `Tin ${twice} stands twice: it holds one specimen.`)] : []),
    ...labelsOf(setup).flatMap((label): Finding[] => {
      const { row, empty, wet } = tinOf(input, label);
      const out = rowsFor(input.weighings, label).flatMap((each) => readMeasure(each, 'mass')?.value ?? []);
      if (!row && out.length > 0)
        return [
          say(`water.no-tin.${label}`, ['tins'], `${label} has no tin: its pieces cannot be told from it.`),
        ];
      if (!empty || !wet) return [];
      if (!wet.greaterThan(empty))
        return [
          say(`water.order.${label}`, ['tins'], `${label}: tin and pieces weigh no more than the tin.`),
        ];
      if (out.some((mass) => mass.lessThanOrEqualTo(empty)))
        return [
          say(
            `water.order.${label}`,
            ['tins', 'weighings'],
            `${label}: out of the oven it weighs no more than its tin.`,
          ),
        ];
      if (out.some((mass) => mass.greaterThan(wet)))
        return [say(`water.order.${label}`, ['tins', 'weighings'], `${label}: dry it weighs more than wet.`)];
      return muchFindings(label, { empty, wet, dry: out.length > 0 ? smallest(out) : wet }, limitsOf(setup));
    }),
  ];
}

/** Much water for a rock, by its tin so far. */
function muchFindings(
  label: string,
  { empty, wet, dry }: Readonly<Record<'empty' | 'wet' | 'dry', Exact>>,
  limits: Limits,
): Finding[] {
  const content = wet.minus(dry).div(dry.minus(empty)).times(100);
  if (isWithin(content, limits.of('water.most', 'US'))) return [];
  const found = limitFinding(
    limits,
    'US',
    { id: 'water.most', severity: 'advice', fields: ['tins'] },
    {
      message: `${label}: ${content.toFixed(1)} % is much for a rock.`,
      action: 'Look at the tin, and whether this is rock at all.',
    },
  );
  return [{ ...found, id: `water.most.${label}` }];
}

/** The pieces of several specimens of rock in tins, dried in one oven; each is told its masses without the tin. */
export const rockDrying: Method<RockDryingInput> = {
  id: 'rock-drying',
  title: 'Tins of rock in the oven',
  designations: [standard('ASTM D2216')],
  runOn: 'batch',
  forms: FORMS.map(({ id }) => id),
  pieces: true,
  batch: {
    letters: 'RD',
    begin: 'Tins into the oven',
    done: 'dried',
    tells: (input, { label, batch }, setup) => {
      const { row, empty, wet } = tinOf(input, label);
      const dry = dryMassOf(input, label, setup, by(input));
      return {
        oven: batch,
        ...(row?.wetAt ? { wetAt: row.wetAt } : {}),
        ...(empty && wet?.greaterThan(empty) ? { wetPieces: `${wet.minus(empty).toFixed()} g` } : {}),
        ...(dry ? { dryPieces: `${dry.toFixed()} g` } : {}),
        ...(input.dried === 'gentle' ? { gently: true } : {}),
      };
    },
  },
  yields: [{ quantity: 'oven-dry mass', symbol: 'Wd' }],
  Input: RockDryingInput,
  steps: [
    {
      id: 'wet',
      title: 'Fill the tins',
      phase: 'before',
      instruction:
        'A tin for each specimen, weighed empty; its pieces into it at once after the test, five hundred grams and more, and weighed.',
      fields: ['balance', 'tins'],
    },
    {
      id: 'in',
      title: 'Into the oven',
      phase: 'before',
      instruction: 'Lids off. The clock runs from when the door is shut.',
      fields: ['oven', 'dried', 'temperature', 'inAt'],
      caution:
        'No closed tin in the oven, it bursts. Rock from contaminated ground: the site’s rules and the safety data sheets first.',
    },
    {
      id: 'weigh',
      title: 'Weigh, and weigh again',
      phase: 'test',
      instruction:
        'Cooled in a closed box. Scan the mark, type the grams, back for an hour: a loss of no more than 0.1 % of the pieces ends it.',
      fields: ['weighings', 'hottest', 'log', 'dryAt', 'remarks'],
      caution: 'Hot trays and tins: gloves and tongs.',
    },
  ],
  performedAt: 'dryAt',
  sequence: [['inAt', 'dryAt']],
  plan: (system, setup) =>
    limitRows(['water.oven', 'water.first', 'water.every', 'water.loss', 'water.mass'], system, setup),
  compute: (input, setup) => {
    const dried = dryingOutcome(input, setup, {
      ...{ unit: 'g', step: '0.01', hot: 'departure', by: by(input) },
      range: input.dried === 'gentle' ? 'water.gentle' : 'water.oven',
    });
    return {
      ...dried,
      findings: bySeverity([
        ...dried.findings,
        ...strangerFindings(input.tins, 'tins', setup),
        ...tinFindings(input, setup),
        ...ovenFindings(input, limitsOf(setup)),
      ]),
    };
  },
  waits: (input, setup) => dryingWaits(input, setup, by(input)),
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(RockDryingInput), system), system },
    setup: exampleBatch('RD-1', ['EXAMPLE-L1', 'EXAMPLE-L2'], FORMS[0]?.id ?? '', [
      { kind: 'oven', number: 'OVEN-1' },
      { kind: 'balance', number: 'BALANCE-1' },
    ]),
  }),
};
