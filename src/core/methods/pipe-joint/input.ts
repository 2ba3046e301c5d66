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

const PRESSURE = {
  dimension: 'stress',
  unit: { US: 'psi', SI: 'MPa' },
  step: { US: '0.5', SI: '0.005' },
  possible: { US: ['0', '200'], SI: ['0', '1.4'] },
} as const;

/** The gauge at a moment. */
export class PressureRow extends RowInput {
  @MeasureField({ label: 'Pressure', ...PRESSURE, required: true, example: '' })
  pressure?: string;

  @InstantField({ label: 'At', required: true, stamps: true, seconds: true, example: '' })
  at?: string;
}

/** Water that is seen. */
export class LeakRow extends RowInput {
  @TextField({ label: 'Where', required: true, help: 'Clock position, distance.', example: '' })
  where?: string;

  @ChoiceField({
    label: 'What',
    required: true,
    options: [
      { value: 'beads', label: 'Damp, or beads that stick' },
      { value: 'runs', label: 'It runs or drips' },
    ],
    example: '',
  })
  what?: 'beads' | 'runs';
}

/** The readings of a pipe, or a joint of two, under water pressure. */
export class PipeJointInput extends RunInput {
  @ChoiceField({
    label: 'What is tested',
    required: true,
    carry: true,
    options: [
      { value: 'straight', label: 'Joint in a straight line' },
      { value: 'deflected', label: 'Joint opened on one side to its greatest gap' },
      { value: 'loaded', label: 'Joint with a load on its spigot side' },
      { value: 'barrel', label: 'Barrel alone' },
    ],
    example: 'straight',
  })
  kind?: 'straight' | 'deflected' | 'loaded' | 'barrel';

  @TextField({ label: 'The other pipe', help: 'Its mark, for a joint.', example: 'M-2219' })
  mate?: string;

  @MeasureField({
    label: 'Pressure asked for',
    ...PRESSURE,
    help: 'Left open: 13 psi [90 kPa] in a straight line and loaded, 10 psi [69 kPa] opened. Of a barrel it is the owner’s.',
    example: '',
  })
  asked?: string;

  @MeasureField({
    label: 'Load on the spigot side',
    dimension: 'force',
    unit: { US: 'lbf', SI: 'kN' },
    step: { US: '10', SI: '0.1' },
    possible: { US: ['0', '100000'], SI: ['0', '450'] },
    help: 'Of a joint that is loaded: 150 lbf for each inch of diameter [26 N for each millimetre].',
    example: '',
  })
  load?: string;

  @EquipmentField({ label: 'Gauge', equipmentKind: 'pressure gauge', example: 'GAUGE-1' })
  gauge?: string;

  @CheckField({
    label: 'Bulkheads tied by rods rated for the thrust by who is competent to; nobody in line',
    missed: {
      id: 'joint.tied',
      severity: 'departure',
      needsReason: true,
      beforeLoad: true,
      message: 'A bulkhead that is not tied flies.',
      action:
        'Do not fill it. Rods by a competent person, for the thrust in the plan and what the rule adds.',
      remark: 'Ties of the bulkheads not confirmed before filling.',
    },
  })
  tied?: boolean;

  @CheckField({
    label: 'Filled, all air let out',
    missed: {
      id: 'joint.air',
      severity: 'departure',
      needsReason: true,
      beforeLoad: true,
      message: 'Air that is pressed together stores what water does not.',
      action: 'Let it out at the highest point before any pressure.',
      remark: 'Air not let out before the pressure.',
    },
  })
  vented?: boolean;

  @RowsField({
    label: 'Pressure over time',
    row: 'reading',
    Row: PressureRow,
    required: true,
    help: 'From when it is reached, then every minute or two and at the end; the ten minutes begin anew where it falls below.',
    example: {
      US: [
        ['13.5', '2031-09-19T10:02:00-04:00'],
        ['13.5', '2031-09-19T10:07:00-04:00'],
        ['13.0', '2031-09-19T10:13:00-04:00'],
      ],
      SI: [
        ['0.095', '2031-09-19T10:02:00-04:00'],
        ['0.095', '2031-09-19T10:07:00-04:00'],
        ['0.09', '2031-09-19T10:13:00-04:00'],
      ],
    },
  })
  readings?: PressureRow[];

  @RowsField({
    label: 'Water seen',
    row: 'place',
    Row: LeakRow,
    help: 'Beads that stick and do not run are no leak.',
    example: {
      US: [['7 o’clock', 'beads']],
      SI: [['7 o’clock', 'beads']],
    },
  })
  leaks?: LeakRow[];

  @InstantField({ label: 'Ended at', required: true, example: '2031-09-19T10:13:00-04:00' })
  endedAt?: string;

  @TextField({ label: 'Remarks', help: 'Temperature, gasket, how it was opened.', example: '' })
  remarks?: string;
}
