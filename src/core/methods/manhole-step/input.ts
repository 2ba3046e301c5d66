import {
  CheckField,
  ChoiceField,
  EquipmentField,
  InstantField,
  MeasureField,
  RowInput,
  RunInput,
  TextField,
} from '../fields';
import { RowsField } from '../rows-field';
import { lengthSpec } from '../specs';

const LOAD = {
  dimension: 'force',
  unit: { US: 'lbf', SI: 'kN' },
  step: { US: '10', SI: '0.01' },
  possible: { US: ['0', '10000'], SI: ['0', '45'] },
} as const;

/** One step, loaded downward and pulled outward. */
export class StepRow extends RowInput {
  @TextField({ label: 'Step', required: true, help: 'Section and place, counted from its top.', example: '' })
  mark?: string;

  @MeasureField({ label: 'Loaded downward to', ...LOAD, required: true, example: '' })
  down?: string;

  @MeasureField({ label: 'Stays bent by', ...lengthSpec(['0.0625', '12'], ['1', '300']), example: '' })
  bent?: string;

  @MeasureField({ label: 'Pulled outward to', ...LOAD, example: '' })
  out?: string;

  @ChoiceField({
    label: 'Afterwards',
    required: true,
    options: [
      { value: 'sound', label: 'Sound: nothing cracked, nothing loose' },
      { value: 'loose', label: 'Loose, or pulled out' },
      { value: 'cracked', label: 'Step or wall cracked' },
    ],
    example: 'sound',
  })
  seen?: 'sound' | 'loose' | 'cracked';
}

/** The steps of manhole sections, each loaded downward and pulled outward. */
export class ManholeStepInput extends RunInput {
  @TextField({
    label: 'Sections',
    required: true,
    help: 'Their marks, day of making, how the steps were set: cast in, or driven in afterwards.',
    example: 'MH-31 and MH-32, 2 Sept, driven in',
  })
  sections?: string;

  @EquipmentField({
    label: 'Gauge of the load',
    equipmentKind: 'pull tester',
    carry: true,
    example: 'PULL-1',
  })
  gauge?: string;

  @CheckField({
    label: 'Section lies firm, load in the middle of the step, nobody beneath or in line',
    missed: {
      id: 'step.firm',
      severity: 'departure',
      beforeLoad: true,
      message: 'A step that lets go throws rod and jack; a section that moves reads low.',
      action: 'Chock the section, set the load in the middle of the step, clear the line.',
      remark: 'Section and line of the load not recorded as safe and firm.',
    },
  })
  firm?: boolean;

  @RowsField({
    label: 'Steps',
    row: 'step',
    Row: StepRow,
    required: true,
    help: 'A row for each that is tested: downward first, then outward.',
    example: {
      US: [
        ['MH-31, 2', '800', '0.0625', '400', 'sound'],
        ['MH-32, 1', '810', '0', '410', 'sound'],
      ],
      SI: [
        ['MH-31, 2', '3.56', '1', '1.78', 'sound'],
        ['MH-32, 1', '3.60', '0', '1.80', 'sound'],
      ],
    },
  })
  steps?: StepRow[];

  @InstantField({ label: 'Tested at', required: true, example: '2031-09-19T13:00:00-04:00' })
  testedAt?: string;

  @TextField({ label: 'Remarks', example: '' })
  remarks?: string;
}
