import { cite, isWithin, type Limits } from '../../limits';
import type { Exact } from '../../quantity';
import { exact } from '../../quantity';
import { capital } from '../../words';
import { type Finding, finding, type Sheet, standard } from '../../working';
import type { Result } from '../contract';
import { factMeasure } from '../facts';
import { readMeasure } from '../fields';
import { resultOf } from '../outcome';
import type { RunSetup } from '../setup';
import type { AirPressureInput } from './input';

const C231 = standard('ASTM C231/C231M', 'aggregate correction factor');

export interface AggregateFactor {
  readonly value: Exact;
  readonly findings: readonly Finding[];
  readonly results: readonly Result[];
}

/**
 * The aggregate correction: found here, typed, on file, or assumed zero and said so.
 * Source: ASTM C231/C231M (from memory): G = reading − percent of water removed; aggregate in the bowl F = S / B · Fb.
 */
export function aggregateFactor(
  input: AirPressureInput,
  setup: RunSetup,
  limits: Limits,
  sheet: Sheet,
): AggregateFactor {
  const findings: Finding[] = [];
  const results: Result[] = [...aggregateMasses(input, sheet)];
  const reading = readMeasure(input, 'factorReading')?.value;
  const removed = readMeasure(input, 'factorRemoved')?.value;
  const typed = readMeasure(input, 'factor')?.value;
  const filed = factMeasure(setup, 'aggregateFactor', 'percent', 'percent');
  let value = typed ?? filed;
  if (reading && removed) {
    const found = sheet.line({
      symbol: 'G',
      name: 'Aggregate correction',
      formula: 'r - w',
      uses: { r: reading, w: removed },
      unit: 'percent',
      source: C231,
    });
    value ??= found;
    results.push(
      resultOf({
        quantity: 'aggregate correction',
        symbol: 'G',
        value: found,
        unit: 'percent',
        step: '0.1',
        mode: setup.rounding ?? 'half-even',
      }),
    );
  }
  if (!value) {
    if (input.apparent || input.h1) {
      findings.push(
        finding({
          id: 'air-pressure.no-factor',
          severity: 'departure',
          fields: ['factor'],
          message: 'No aggregate correction is known: zero is assumed, which overstates the air.',
          action: 'Find the correction for this pair of aggregates, or enter the one on file.',
          remark: 'Aggregate correction assumed 0: the result overstates the air.',
        }),
      );
    }
    return { value: exact(0), findings, results };
  }
  if (value.isZero() && (input.apparent || input.h1)) {
    findings.push(
      finding({
        id: 'air-pressure.zero-factor',
        severity: 'advice',
        fields: [typed ? 'factor' : 'factorReading'],
        message: 'An aggregate correction of 0 is entered.',
        action:
          'Every aggregate takes up a little: find the correction by test; an assumed 0 overstates the air.',
      }),
    );
  }
  const limit = limits.of('air-pressure.factor', input.system);
  if (!isWithin(value, limit)) {
    findings.push(
      finding({
        id: limit.id,
        severity: 'invalid',
        fields: [typed ? 'factor' : 'factorReading'],
        limit: cite(limit),
        message: `A correction of ${value} % speaks of porous aggregate.`,
        action: 'Use the volumetric method for this concrete.',
      }),
    );
  }
  return { value, findings, results };
}

/** Masses of fine and coarse aggregate that go into the bowl to find the correction. */
function aggregateMasses(input: AirPressureInput, sheet: Sheet): Result[] {
  const bowl = readMeasure(input, 'bowlVolume')?.value;
  const batch = readMeasure(input, 'batchVolume')?.value;
  if (!bowl || !batch || batch.isZero()) return [];
  const unit = input.system === 'US' ? 'lb' : 'kg';
  return (
    [
      ['fineBatch', 'Fs', 'Fb', 'fine aggregate in the bowl'],
      ['coarseBatch', 'Cs', 'Cb', 'coarse aggregate in the bowl'],
    ] as const
  ).flatMap(([field, symbol, batched, quantity]) => {
    const mass = readMeasure(input, field)?.value;
    if (!mass) return [];
    const step = input.system === 'US' ? '0.01' : '0.005';
    const value = sheet.line({
      symbol,
      name: capital(quantity),
      formula: `S / B * ${batched}`,
      uses: { S: bowl, B: batch, [batched]: mass },
      unit,
      source: C231,
      round: { step, rule: `mass to ${step} ${unit}` },
    });
    return [resultOf({ quantity, symbol, value, unit, step, mode: 'half-even' })];
  });
}
