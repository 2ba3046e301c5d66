import { plainRecord } from '../../temperature';
import { standard } from '../../working';
import type { Method } from '../contract';
import { exampleInput } from '../example';
import { fieldsOf } from '../fields';
import { limitRows } from '../limit-rows';
import { compute, SCATTER } from './compute';
import { MaturityCalibrationInput } from './input';

/** The record of two instrumented cylinders of the example: 28 days in the moist room, a row every half hour. */
function exampleRecord() {
  const hours = Array.from({ length: 28 * 48 + 25 }, (_, row) => row / 2);
  const warm = (off: number): number[] =>
    hours.map((t) => Math.round(10 * (22.8 + off + 5 * (t / 11) ** 2 * Math.exp(2 * (1 - t / 11)))) / 10);
  return plainRecord(hours, { 'cylinder 1': warm(0), 'cylinder 2': warm(0.1) }, '2031-05-14T14:10:00Z');
}

/** The strength curve of one mix over its maturity. Order of work: ASTM C1074 (from memory), in our own words. */
export const maturityCalibration: Method<MaturityCalibrationInput> = {
  id: 'maturity-calibration',
  title: 'Maturity: strength curve of the mix',
  designations: [standard('ASTM C1074')],
  runOn: 'lot',
  again: 'freely',
  begin: 'Calibrate maturity',
  yields: [{ quantity: SCATTER, symbol: 's', named: true }],
  Input: MaturityCalibrationInput,
  steps: [
    {
      id: 'mould',
      title: 'Mould and connect',
      phase: 'before',
      instruction:
        'Fifteen cylinders of one batch of the job’s mix and materials; a sensor in the middle of two of them, connected at once. All into the moist room.',
      fields: ['how', 'datum', 'q', 'reference', 'castAt'],
      caution:
        'Fresh concrete burns skin and eyes. A logger on the mains in a moist room only behind a residual current device, its plug dry.',
    },
    {
      id: 'break',
      title: 'Break at each age',
      phase: 'test',
      instruction:
        'Two at each age, a third where they differ by more than a tenth. Leave one out only for a defect that is seen, and say it.',
      fields: ['machine', 'breaks'],
      caution: 'Guard closed, glasses on: fragments fly.',
    },
    {
      id: 'curve',
      title: 'Curve',
      phase: 'after',
      instruction:
        'Keep the record. Look at the breaks about the curve before you trust it: a number for the fit is no proof.',
      fields: ['record', 'curve', 'madeAt', 'remarks'],
    },
  ],
  sequence: [['castAt', 'madeAt']],
  performedAt: 'madeAt',
  plan: (system, setup) => {
    return limitRows(
      ['maturity.cylinders', 'maturity.ages', 'maturity.pair', 'maturity.delay', 'maturity.sensors'],
      system,
      setup,
    );
  },
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(MaturityCalibrationInput), system), system },
    setup: {
      zone: 'America/New_York',
      lot: { label: 'EXAMPLE' },
      equipment: [{ number: 'PRESS-1', kind: 'compression machine', verifiedOn: '2031-01-20' }],
      records: { record: exampleRecord() },
    },
  }),
};
