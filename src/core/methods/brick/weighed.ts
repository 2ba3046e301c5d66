import { isWithin, type Limits } from '../../limits';
import type { Exact } from '../../quantity';
import { type Finding, type Sheet, standard } from '../../working';
import { rowsFor, strangerFindings } from '../batch-rows';
import type { Result } from '../contract';
import { InstantField, MeasureField, RowInput, readMeasure, SpecimenField } from '../fields';
import { limitFinding } from '../limit-finding';
import { resultOf } from '../outcome';
import { limitsOf, type RunSetup } from '../setup';
import { labelsOf } from '../tested';
import { HALF_GRAMS } from './grams';

/** One half out of the water: wiped with a damp cloth, and on the balance. */
export class WipedRow extends RowInput {
  @SpecimenField({ label: 'Half', required: true, example: '' })
  specimen?: string;

  @MeasureField({
    label: 'Mass',
    ...HALF_GRAMS,
    required: true,
    also: { w24: '', w5: '', mass: '' },
    example: '',
  })
  mass?: string;

  @MeasureField({
    label: 'Out of the water',
    dimension: 'duration',
    unit: { US: 's', SI: 's' },
    step: { US: '1', SI: '1' },
    possible: { US: ['1', '7200'], SI: ['1', '7200'] },
    example: '',
  })
  out?: string;

  @InstantField({ label: 'At', required: true, stamps: true, also: { time: '', timestamp: '' }, example: '' })
  at?: string;
}

/** The last mass that was read of a half; g. */
export function wipedMass(rows: readonly WipedRow[] | undefined, label: string): Exact | undefined {
  const row = rowsFor(rows, label).at(-1);
  return row ? readMeasure(row, 'mass')?.value : undefined;
}

/** The masses of a batch, each as a line of the sheet and a result of its half. */
export function wipedResults(
  rows: readonly WipedRow[] | undefined,
  quantity: string,
  symbol: string,
  setup: RunSetup,
  sheet: Sheet,
): Result[] {
  const step = limitsOf(setup).number('brick.mass-step', 'US');
  return labelsOf(setup).flatMap((label, place) => {
    const mass = wipedMass(rows, label);
    if (!mass) return [];
    const value = sheet.line({
      symbol: `${symbol}_${place + 1}`,
      name: `${label}, ${quantity}`,
      formula: 'm',
      uses: { m: mass },
      unit: 'g',
      source: standard('ASTM C67/C67M'),
    });
    return [resultOf({ quantity, symbol, value, unit: 'g', step, mode: sheet.mode, about: label })];
  });
}

/** Rows of strangers, and halves that were out of the water too long before they were weighed. @param field the table */
export function wipedFindings(
  rows: readonly WipedRow[] | undefined,
  field: string,
  setup: RunSetup,
  limits: Limits,
): Finding[] {
  const late = labelsOf(setup).flatMap((label): Finding[] => {
    const row = rowsFor(rows, label).at(-1);
    const out = row && readMeasure(row, 'out')?.value;
    if (!out || isWithin(out.div(60), limits.of('brick.out', 'US'))) return [];
    const message = `${label} was out of the water for ${out.div(60).toFixed(1)} min.`;
    return [
      {
        ...limitFinding(
          limits,
          'US',
          { id: 'brick.out', severity: 'departure', needsReason: true, fields: [field] },
          {
            message,
            action: 'Back under water for ten minutes, then wipe and weigh it again.',
            remark: message,
          },
        ),
        id: `brick.out.${label}`,
      },
    ];
  });
  return [...strangerFindings(rows, field, setup), ...late];
}
