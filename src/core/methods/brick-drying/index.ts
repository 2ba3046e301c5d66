import { BRICK, HALF } from '../../materials/brick/forms';
import { exact } from '../../quantity';
import type { Wait } from '../../waits/wait';
import { durationText } from '../../windows';
import { bySeverity, type Finding, standard } from '../../working';
import { gramText } from '../brick/grams';
import type { Method, Outcome } from '../contract';
import { dryingOutcome, dryingWaits, dryMassOf } from '../drying/oven';
import { exampleInput } from '../example';
import { exampleBatch } from '../example-batch';
import { fieldsOf } from '../fields';
import { limitFinding } from '../limit-finding';
import { limitRows } from '../limit-rows';
import { limitsOf, type RunSetup } from '../setup';
import { BrickDryingInput } from './input';

/** The row of the time that they cool. */
function coolRow({ cooling }: BrickDryingInput): 'brick.cool-room' | 'brick.cool-fan' {
  return cooling === 'fan' ? 'brick.cool-fan' : 'brick.cool-room';
}

/** A warm brick takes up water otherwise, and weighs less on the balance. */
function coolFindings(input: BrickDryingInput, setup: RunSetup): Finding[] {
  const limits = limitsOf(setup);
  const minutes = (Date.parse(input.cooledAt ?? '') - Date.parse(input.dryAt ?? '')) / 60_000;
  const id = coolRow(input);
  if (Number.isNaN(minutes) || minutes < 0) return [];
  if (exact(minutes).greaterThanOrEqualTo(limits.number(id, 'US').times(60))) return [];
  return [
    limitFinding(
      limits,
      input.system,
      { id, severity: 'invalid', fields: ['cooledAt'] },
      {
        message: `They cooled for ${durationText(minutes)}.`,
        action: 'Warm bricks are not used for a dry test: leave them apart until the time is full.',
      },
    ),
  ];
}

/**
 * Bricks and halves dried to constant mass and cooled.
 * @param input masses in g
 * Source: ASTM C67/C67M 5 (from memory).
 */
function compute(input: BrickDryingInput, setup: RunSetup): Outcome {
  const dried = dryingOutcome(input, setup, {
    unit: 'g',
    step: '0.1',
    range: 'brick.oven',
    hot: 'departure',
  });
  return { ...dried, findings: bySeverity([...dried.findings, ...coolFindings(input, setup)]) };
}

/** Out of the oven they wait until they are cool. */
function waits(input: BrickDryingInput, setup: RunSetup): Wait[] {
  const dry = Date.parse(input.dryAt ?? '');
  const hours = limitsOf(setup).number(coolRow(input), 'US').toNumber();
  return [
    ...dryingWaits(input, setup),
    ...(Number.isNaN(dry)
      ? []
      : [
          {
            id: 'cool',
            what: 'Bricks are cool: go on with them',
            lane: 'tank',
            opens: new Date(dry + hours * 3_600_000).toISOString(),
            ...(input.cooledAt ? { done: input.cooledAt } : {}),
          } as const,
        ]),
  ];
}

/** Bricks dried in an oven and cooled. */
export const brickDrying: Method<BrickDryingInput> = {
  id: 'brick-drying',
  title: 'Brick dried and cooled',
  designations: [standard('ASTM C67/C67M')],
  runOn: 'batch',
  forms: [BRICK, HALF],
  batch: {
    letters: 'BD',
    begin: 'Dry and cool',
    done: 'dried',
    tells: (input, { label }, setup) => {
      const mass = dryMassOf(input, label, setup);
      return {
        ...(mass ? { dryMass: gramText(mass) } : {}),
        ...(input.cooledAt ? { cooledAt: input.cooledAt } : {}),
      };
    },
  },
  yields: [{ quantity: 'oven-dry mass', symbol: 'Wd' }],
  Input: BrickDryingInput,
  steps: [
    {
      id: 'in',
      title: 'Into the oven',
      phase: 'before',
      instruction: 'Air around each of them. The clock runs from when the door is shut.',
      fields: ['oven', 'balance', 'temperature', 'inAt'],
      caution: 'What the oven may do unattended says the laboratory’s own rule.',
    },
    {
      id: 'weigh',
      title: 'Weigh, and weigh again',
      phase: 'test',
      instruction:
        'Scan the mark, type the grams, back into the oven. The second of two weighings that differ by no more than 0.2 % ends it; the lowest mass counts.',
      fields: ['weighings', 'hottest', 'log', 'dryAt'],
      caution: 'Hot: gloves and tongs, a free way from oven to balance.',
    },
    {
      id: 'cool',
      title: 'Cool',
      phase: 'after',
      instruction: 'Unstacked, apart: four hours in the room, or two before a fan. Then they may go on.',
      fields: ['cooling', 'cooledAt', 'remarks'],
    },
  ],
  performedAt: 'cooledAt',
  sequence: [['inAt', 'dryAt', 'cooledAt']],
  plan: (system, setup) =>
    limitRows(['brick.oven', 'oven.first', 'drying.every', 'drying.loss', 'brick.cool-room'], system, setup),
  compute,
  waits,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(BrickDryingInput), system), system },
    setup: exampleBatch('BD-1', ['EXAMPLE-B1A', 'EXAMPLE-B2A'], HALF, [
      { kind: 'oven', number: 'OVEN-1' },
      { kind: 'balance', number: 'BALANCE-1' },
    ]),
  }),
};
