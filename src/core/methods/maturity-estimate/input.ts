import {
  ChoiceField,
  EquipmentField,
  InstantField,
  MeasureField,
  RecordField,
  RowInput,
  RunInput,
  TextField,
} from '../fields';
import { INDEX, STRENGTH } from '../maturity/strengths';
import { RowsField } from '../rows-field';
import { AIR_TEMPERATURE } from '../specs';
import { SensorRow } from '../temperature/sensor-row';

/** A cylinder of the job, broken to confirm the curve. */
export class VerificationRow extends RowInput {
  @TextField({ label: 'Cylinder', example: 'EX-V1' })
  specimen?: string;

  @MeasureField({
    label: 'Its index, °C·h or h',
    help: 'By its own sensor.',
    ...INDEX,
    required: true,
    example: '1700',
  })
  index?: string;

  @MeasureField({ label: 'Strength', ...STRENGTH, required: true, example: { US: '2400', SI: '16.6' } })
  strength?: string;
}

/** What the concrete of a member has come to by its temperature, and when it comes to what an operation asks. */
export class MaturityEstimateInput extends RunInput {
  @ChoiceField({
    label: 'What waits for it',
    options: [
      { value: 'protection', label: 'End of protection from frost' },
      { value: 'vertical', label: 'Forms of walls and columns' },
      { value: 'soffit', label: 'Soffit, props' },
      { value: 'stressing', label: 'Stressing' },
      { value: 'traffic', label: 'Traffic' },
      { value: 'other', label: 'Something else' },
    ],
    required: true,
    example: 'vertical',
  })
  operation?: 'protection' | 'vertical' | 'soffit' | 'stressing' | 'traffic' | 'other';

  @MeasureField({
    label: 'Strength that is asked for it',
    help: 'By the engineer, for the member; in compression.',
    ...STRENGTH,
    required: true,
    example: { US: '3000', SI: '20.7' },
  })
  required?: string;

  @TextField({
    label: 'Where',
    help: 'Member, and where in it: the coldest place first.',
    example: 'Example wall, bay 2',
  })
  where?: string;

  @ChoiceField({
    label: 'Mix as calibrated',
    help: 'Cement, water to cement, admixtures and aggregate of the same source.',
    options: [
      { value: 'same', label: 'The same' },
      {
        value: 'other',
        label: 'Something is other',
        means: {
          id: 'maturity.other-mix',
          severity: 'invalid',
          message: 'The curve is of another mix: it says nothing of this one.',
          action: 'Hold. Calibrate this mix, or go by cylinders cured beside the member.',
        },
      },
    ],
    required: true,
    example: 'same',
  })
  mix?: 'same' | 'other';

  @EquipmentField({ label: 'Logger', equipmentKind: 'logger', example: 'LOGGER-1' })
  logger?: string;

  @RowsField({
    label: 'Sensors',
    help: 'Where each is. The least mature one counts; that in the air counts for gaps.',
    Row: SensorRow,
    row: 'sensor',
    example: { US: [['1', 'specimen', 'k-2', '']], SI: [['1', 'specimen', 'k-2', '']] },
  })
  sensors?: SensorRow[];

  @InstantField({ label: 'Concrete round the sensor', required: true, example: '2031-05-14T09:00:00-04:00' })
  placedAt?: string;

  @RecordField({
    records: 'temperature',
    label: 'Record',
    help: 'So far: keep a newer one whenever you are there.',
    required: true,
    example: 'example-logger.csv',
  })
  record?: string;

  @MeasureField({
    label: 'Air expected in the next days',
    help: 'Its mean, for a forecast. A forecast is never a release.',
    ...AIR_TEMPERATURE,
    example: { US: '60', SI: '16' },
  })
  outlook?: string;

  @ChoiceField({
    label: 'Supplementary test',
    options: [
      { value: 'none', label: 'None yet' },
      { value: 'C873', label: 'Cylinders cast in place' },
      { value: 'C803', label: 'Penetration' },
      { value: 'C900', label: 'Pullout' },
      { value: 'C918', label: 'Early cylinders, standard cured' },
    ],
    example: 'C873',
  })
  supplementary?: 'none' | 'C873' | 'C803' | 'C900' | 'C918';

  @MeasureField({
    label: 'Strength by it',
    ...STRENGTH,
    example: { US: '2350', SI: '16.2' },
  })
  supplementaryStrength?: string;

  @MeasureField({
    label: 'Index of the early cylinders, °C·h or h',
    help: 'Of those that were standard cured, when they were broken: their strength is carried on to 28 days.',
    ...INDEX,
    rare: true,
    example: '',
  })
  earlyIndex?: string;

  @RowsField({
    label: 'Cylinders that confirm the curve',
    help: 'Of the concrete of the job, each with a sensor of its own.',
    Row: VerificationRow,
    row: 'cylinder',
    example: { US: [], SI: [] },
  })
  verified?: VerificationRow[];

  @InstantField({ label: 'Read', required: true, example: '2031-05-17T09:00:00-04:00' })
  readAt?: string;

  @TextField({ label: 'Remarks', example: '' })
  remarks?: string;
}
