import { BRICK, HALF } from '../../materials/brick/forms';
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
import { closedFindings } from '../opening';
import { limitsOf, type RunSetup } from '../setup';
import { labelsOf } from '../tested';
import { BrickSoakInput } from './input';

/**
 * Halves of brick soaked cold for a day and weighed.
 * @param input masses in g
 * Source: ASTM C67/C67M 8 (from memory).
 */
function compute(input: BrickSoakInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const sheet = new Sheet(setup.rounding ?? 'half-even');
  const time = limits.of('brick.soak', system);
  return {
    results: wipedResults(input.halves, 'mass after cold water', 'W24', setup, sheet),
    lines: sheet.lines,
    findings: bySeverity([
      ...equipmentUse(input, { balance: 'departure' }, input.weighedAt, setup, limits),
      ...wipedFindings(input.halves, 'halves', setup, limits),
      ...closedFindings({ from: input.inAt, done: input.outAt, limit: 'brick.soak', field: 'inAt' }, setup),
    ]),
    verdicts: [],
    picture: {
      kind: 'tank',
      values: {
        zone: setup.zone ?? 'utc',
        inAt: input.inAt ?? null,
        outAt: input.outAt ?? null,
        least: time.low?.toNumber() ?? null,
        most: time.high?.toNumber() ?? null,
        labels: labelsOf(setup).join(','),
        weighed: labelsOf(setup)
          .filter((label) => wipedMass(input.halves, label))
          .join(','),
      },
    },
  };
}

/** Half bricks in cold water for a day. */
export const brickSoak: Method<BrickSoakInput> = {
  id: 'brick-soak',
  title: 'Brick in cold water',
  designations: [standard('ASTM C67/C67M')],
  runOn: 'batch',
  forms: [HALF, BRICK],
  batch: {
    letters: 'CW',
    begin: 'Soak cold',
    done: 'soaked cold',
    tells: ({ halves }, { label }): Facts => {
      const mass = wipedMass(halves, label);
      return mass ? { cold: gramText(mass) } : {};
    },
  },
  yields: [{ quantity: 'mass after cold water', symbol: 'W24' }],
  Input: BrickSoakInput,
  steps: [
    {
      id: 'in',
      title: 'Into cold water',
      phase: 'before',
      instruction:
        'Dried, cooled and weighed first. All of a half goes under at once, in clean soft water. Tomorrow at this hour somebody has to be here.',
      fields: ['inAt', 'water'],
    },
    {
      id: 'out',
      title: 'Take out, wipe, weigh',
      phase: 'test',
      instruction:
        'One after the other: damp cloth, balance within five minutes, then back into water for the boil.',
      fields: ['balance', 'outAt', 'halves', 'weighedAt'],
      clock: {
        title: 'In cold water',
        from: 'inAt',
        to: 'outAt',
        limit: 'brick.soak',
        means: {
          severity: 'departure',
          early: 'Back under water until a day is full, then weigh again.',
          late: 'Dry them and soak them again, or report how long they lay.',
        },
        waits: { what: 'Take the bricks out of cold water', lane: 'tank' },
      },
    },
    {
      id: 'remarks',
      title: 'What was odd',
      phase: 'after',
      instruction: 'A chip lost in the tank is a half lost.',
      fields: ['remarks'],
    },
  ],
  performedAt: 'weighedAt',
  sequence: [['inAt', 'outAt', 'weighedAt']],
  plan: (system, setup) => limitRows(['brick.soak', 'brick.water', 'brick.out'], system, setup),
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(BrickSoakInput), system), system },
    setup: exampleBatch('CW-1', ['EXAMPLE-B1A', 'EXAMPLE-B2A'], HALF, [
      { kind: 'balance', number: 'BALANCE-1' },
    ]),
  }),
};
