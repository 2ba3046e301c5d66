import { HALF } from '../../materials/brick/forms';
import { bySeverity, Sheet, standard } from '../../working';
import { gramText } from '../brick/grams';
import { wipedFindings, wipedMass, wipedResults } from '../brick/weighed';
import type { Method, Outcome } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { exampleInput } from '../example';
import { exampleBatch } from '../example-batch';
import type { Facts } from '../facts';
import { fieldsOf } from '../fields';
import { limitRows } from '../limit-rows';
import { closedFindings, openingText } from '../opening';
import { limitsOf, type RunSetup } from '../setup';
import { labelsOf } from '../tested';
import { boilDay } from './day';
import { BrickBoilInput } from './input';

/**
 * Halves of brick boiled for five hours, cooled in their water, weighed.
 * @param input masses in g
 * Source: ASTM C67/C67M 8 (from memory).
 */
function compute(input: BrickBoilInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const sheet = new Sheet(setup.rounding ?? 'half-even');
  const hours = (id: 'brick.heat' | 'brick.boil' | 'brick.cool-water'): number =>
    (limits.of(id, system).low ?? limits.of(id, system).high)?.toNumber() ?? 0;
  return {
    results: wipedResults(input.halves, 'mass after boiling', 'W5', setup, sheet),
    lines: sheet.lines,
    findings: bySeverity([
      ...equipmentUse(input, { balance: 'departure' }, input.weighedAt, setup, limits),
      ...wipedFindings(input.halves, 'halves', setup, limits),
      ...closedFindings(
        { from: input.boilingAt, done: input.offAt, limit: 'brick.boil', field: 'boilingAt' },
        setup,
      ),
    ]),
    verdicts: [],
    picture: {
      kind: 'boil',
      values: {
        zone: setup.zone ?? 'utc',
        heatAt: input.heatAt ?? null,
        boilingAt: input.boilingAt ?? null,
        offAt: input.offAt ?? null,
        outAt: input.outAt ?? null,
        heat: hours('brick.heat'),
        boil: hours('brick.boil'),
        cool: hours('brick.cool-water'),
        labels: labelsOf(setup).join(','),
        weighed: labelsOf(setup)
          .filter((label) => wipedMass(input.halves, label))
          .join(','),
      },
    },
  };
}

/** Half bricks boiled for five hours. */
export const brickBoil: Method<BrickBoilInput> = {
  id: 'brick-boil',
  title: 'Brick boiled',
  designations: [standard('ASTM C67/C67M')],
  runOn: 'batch',
  forms: [HALF],
  batch: {
    letters: 'BO',
    begin: 'Boil',
    done: 'boiled',
    tells: ({ halves }, { label }): Facts => {
      const mass = wipedMass(halves, label);
      return mass ? { boiled: gramText(mass) } : {};
    },
  },
  yields: [{ quantity: 'mass after boiling', symbol: 'W5' }],
  Input: BrickBoilInput,
  steps: [
    {
      id: 'heat',
      title: 'Heat',
      phase: 'before',
      instruction: 'Off the bottom, water free all round. It has to boil within an hour.',
      fields: ['heatAt', 'boilingAt'],
      caution:
        'Boiling water and steam: face shield, tongs, long gloves, cords away. Top up with hot water only. What may boil unattended says the laboratory’s own rule.',
      clock: {
        title: 'Heating',
        from: 'heatAt',
        to: 'boilingAt',
        limit: 'brick.heat',
        means: {
          severity: 'departure',
          needsReason: true,
          late: 'It took longer to boil than the method means: let it cool and begin again.',
        },
      },
    },
    {
      id: 'boil',
      title: 'Boil',
      phase: 'test',
      instruction: 'Five hours from when it boils, without a break.',
      fields: ['boiled', 'offAt'],
      caution: 'Hot steam when the lid comes off: lift it away from you.',
      clock: {
        title: 'Boiling',
        from: 'boilingAt',
        to: 'offAt',
        limit: 'brick.boil',
        means: { severity: 'invalid', early: 'Boil on until five hours are full, or boil again.' },
        waits: { what: 'Turn the boil off', lane: 'tank' },
      },
    },
    {
      id: 'cool',
      title: 'Let it cool by itself',
      phase: 'test',
      instruction: 'Halves stay in their water overnight. No cold water, no ice.',
      fields: ['water', 'outAt'],
      clock: {
        title: 'Cooling in the water',
        from: 'offAt',
        to: 'outAt',
        limit: 'brick.cool-water',
        means: { severity: 'invalid', early: 'Back into the water: sixteen hours by natural loss of heat.' },
        waits: { what: 'Weigh the boiled bricks', lane: 'tank' },
      },
    },
    {
      id: 'weigh',
      title: 'Wipe and weigh',
      phase: 'test',
      instruction:
        'Damp cloth, balance within five minutes. A chip lost is a half lost: the sixth brick takes its place.',
      fields: ['balance', 'halves', 'weighedAt', 'remarks'],
    },
  ],
  performedAt: 'weighedAt',
  sequence: [['heatAt', 'boilingAt', 'offAt', 'outAt', 'weighedAt']],
  plan: (system, setup) => {
    const limits = limitsOf(setup);
    return [
      { label: 'Open', text: openingText(limits) },
      ...boilDay(limits),
      ...limitRows(['brick.heat', 'brick.boil', 'brick.cool-water'], system, setup),
    ];
  },
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(BrickBoilInput), system), system },
    setup: exampleBatch('BO-1', ['EXAMPLE-B1A', 'EXAMPLE-B2A'], HALF, [
      { kind: 'balance', number: 'BALANCE-1' },
    ]),
  }),
};
