import {
  CheckField,
  ChoiceField,
  CountsField,
  EquipmentField,
  InstantField,
  MeasureField,
  RunInput,
  TextField,
} from '../fields';
import { CONSOLIDATION, countSpec, massSpec, percentSpec, STROKES, TAPS } from '../specs';

const READING = percentSpec('0.1', '30');
const VOLUME = countSpec('0.01', '100000');

/** The readings of one air test by the pressure method, in the order they are taken. */
export class AirPressureInput extends RunInput {
  @EquipmentField({ label: 'Pressure meter', equipmentKind: 'pressure meter', example: 'PRESSURE-1' })
  meter?: string;

  @ChoiceField({
    label: 'Meter type',
    options: [
      { value: 'B', label: 'B, air chamber and gauge' },
      { value: 'A', label: 'A, water column' },
    ],
    example: 'B',
  })
  type?: 'A' | 'B';

  @CheckField({
    label: 'Lightweight, slag or porous aggregate',
    help: 'The method does not hold for these.',
    means: {
      id: 'air-pressure.porous',
      severity: 'invalid',
      message: 'The pressure method does not hold for porous aggregate.',
      action: 'Use the volumetric method.',
    },
  })
  porous?: boolean;

  @InstantField({ label: 'Fill started', event: 'air-fill', example: '2031-05-14T09:33:40-04:00' })
  fillStartedAt?: string;

  @ChoiceField({ ...CONSOLIDATION, required: true })
  consolidation?: 'rod' | 'vibrate' | 'none';

  @CountsField(STROKES)
  strokes?: string;

  @CountsField(TAPS)
  taps?: string;

  @CheckField({ label: 'Wet-sieved' })
  wetSieved?: boolean;

  @InstantField({ label: 'Struck off', event: 'air-struck', example: '2031-05-14T09:36:10-04:00' })
  struckAt?: string;

  @InstantField({ label: 'Lid on', event: 'lid-on', example: '' })
  lidAt?: string;

  @CheckField({
    label: 'Water through, no air under the lid',
    missed: {
      id: 'air-pressure.water',
      severity: 'invalid',
      message: 'Air was left under the lid: the reading is too high.',
      action: 'Fill with water until it runs without bubbles, then pump.',
    },
  })
  watered?: boolean;

  @ChoiceField({
    label: 'Main valve while pumping',
    options: [
      { value: 'shut', label: 'Shut' },
      {
        value: 'open',
        label: 'Open',
        means: {
          id: 'air-pressure.main-valve',
          severity: 'invalid',
          message: 'The main valve was open while pumping: air and water were driven through.',
          action: 'Fill the bowl again from an unused portion while the clock allows.',
        },
      },
    ],
    example: 'shut',
  })
  mainValve?: 'shut' | 'open';

  @InstantField({ label: 'Pump stopped', event: 'pump-stop', example: '' })
  pumpedAt?: string;

  @InstantField({ label: 'Gauge trimmed', event: 'gauge-trimmed', example: '' })
  trimmedAt?: string;

  @TextField({ label: 'Initial line of this meter', help: 'As it stands on its card.', example: '' })
  initialLine?: string;

  @CheckField({
    label: 'Gauge on the initial line',
    missed: {
      id: 'air-pressure.line',
      severity: 'invalid',
      message: 'The gauge was not on its initial line.',
      action: 'Release, pump again, wait, trim to the line, and read again.',
    },
  })
  onLine?: boolean;

  @ChoiceField({
    label: 'Petcocks before reading',
    options: [
      { value: 'closed', label: 'Both closed' },
      {
        value: 'open',
        label: 'One open, or it hissed',
        means: {
          id: 'air-pressure.petcocks',
          severity: 'invalid',
          message: 'A petcock was open at the reading: the pressure was lost.',
          action: 'Fill the bowl again from an unused portion while the clock allows.',
        },
      },
    ],
    example: 'closed',
  })
  petcocks?: 'closed' | 'open';

  @MeasureField({ label: 'Apparent air', help: 'Gauge tapped, valve held open.', ...READING, example: '6.3' })
  apparent?: string;

  @MeasureField({ label: 'Column under pressure', help: 'Type A only: h1.', ...READING, example: '' })
  h1?: string;

  @MeasureField({ label: 'Column after release', help: 'Type A only: h2.', ...READING, example: '' })
  h2?: string;

  @MeasureField({
    label: 'Column under pressure again',
    help: 'Type A only: h1, second time.',
    ...READING,
    example: '',
  })
  h1Again?: string;

  @MeasureField({
    label: 'Column after release again',
    help: 'Type A only: h2, second time.',
    ...READING,
    example: '',
  })
  h2Again?: string;

  @MeasureField({
    label: 'Aggregate correction',
    help: 'For this pair of aggregates. Empty: the one on file, else zero with a remark.',
    ...READING,
    example: '0.4',
  })
  factor?: string;

  @MeasureField({
    label: 'Reading on the aggregates alone',
    help: 'To find the correction: aggregates under water in the bowl, the normal test.',
    ...READING,
    example: '',
  })
  factorReading?: string;

  @MeasureField({
    label: 'Water taken out for it',
    help: 'Percent of the bowl removed before that reading.',
    ...READING,
    example: '',
  })
  factorRemoved?: string;

  @MeasureField({
    label: 'Volume of the bowl',
    help: 'For the masses of aggregate; any unit.',
    ...VOLUME,
    example: '',
  })
  bowlVolume?: string;

  @MeasureField({ label: 'Volume of concrete a batch', help: 'In the same unit.', ...VOLUME, example: '' })
  batchVolume?: string;

  @MeasureField({
    label: 'Fine aggregate a batch',
    help: 'As batched, moisture included.',
    ...massSpec(['1', '200000'], ['1', '100000']),
    example: '',
  })
  fineBatch?: string;

  @MeasureField({
    label: 'Coarse aggregate a batch',
    help: 'As batched, moisture included.',
    ...massSpec(['1', '200000'], ['1', '100000']),
    example: '',
  })
  coarseBatch?: string;

  @MeasureField({
    label: 'Absolute volume of the mixture',
    help: 'Only for wet-sieved concrete: everything, air-free, any unit.',
    ...VOLUME,
    example: '',
  })
  wholeVolume?: string;

  @MeasureField({
    label: 'Volume of aggregate on the sieve',
    help: 'In the same unit.',
    ...VOLUME,
    example: '',
  })
  retainedVolume?: string;

  @MeasureField({
    label: 'Volume of the mortar',
    help: 'In the same unit, to know its air too.',
    ...VOLUME,
    example: '',
  })
  mortarVolume?: string;

  @InstantField({ label: 'Read at', event: 'air-read', example: '2031-05-14T09:39:00-04:00' })
  readAt?: string;

  @TextField({ label: 'Remarks', example: '' })
  remarks?: string;
}
