import { CEMENT_BALANCE, DEPTH, GRAM, HUMIDITY, ROOM, VICAT, WATER_TEMPERATURE } from '../cement/fields';
import {
  ChoiceField,
  EquipmentField,
  InstantField,
  MeasureField,
  RowInput,
  RunInput,
  TextField,
} from '../fields';
import { RowsField } from '../rows-field';
import { SECONDS } from '../specs';

/** One paste, with the water that it had and how far the plunger went in. */
export class TrialRow extends RowInput {
  @InstantField({ label: 'Water met cement at', required: true, stamps: true, example: '' })
  contactAt?: string;

  @MeasureField({ label: 'Water', ...GRAM, required: true, also: { water_g: 'g' }, example: '' })
  water?: string;

  @MeasureField({ label: 'Released after', ...SECONDS, required: true, example: '' })
  released?: string;

  @MeasureField({ label: 'Plunger went in', ...DEPTH, required: true, also: { depth_mm: 'mm' }, example: '' })
  depth?: string;

  @ChoiceField({
    label: 'Paste',
    options: [
      { value: 'fresh', label: 'Fresh' },
      { value: 'again', label: 'Used before, water added' },
      { value: 'bad', label: 'Voids, a jolt, the plunger at the ring' },
    ],
    example: '',
  })
  paste?: 'fresh' | 'again' | 'bad';
}

/** Pastes of one cement, until the plunger goes in as far as it is asked for. */
export class CementConsistencyInput extends RunInput {
  @MeasureField({ ...ROOM, required: true })
  room?: string;

  @MeasureField(HUMIDITY)
  humidity?: string;

  @MeasureField({ ...WATER_TEMPERATURE, required: true })
  waterTemperature?: string;

  @EquipmentField(CEMENT_BALANCE)
  balance?: string;

  @EquipmentField(VICAT)
  vicat?: string;

  @MeasureField({
    label: 'Cement of a paste',
    ...GRAM,
    required: true,
    held: {
      limit: 'consistency.cement',
      severity: 'departure',
      what: 'The cement weighs',
      action: 'Weigh it again: the mixer and the ring want just so much.',
    },
    example: '650.0',
  })
  cement?: string;

  @RowsField({
    label: 'Pastes',
    row: 'paste',
    Row: TrialRow,
    required: true,
    help: 'Fresh cement for each: water is never added to a paste that was tried. The next water stands beside them.',
    example: {
      US: [
        ['2031-09-12T08:02:00-04:00', '169.0', '24', '7.0', 'fresh'],
        ['2031-09-12T08:21:00-04:00', '175.5', '22', '10.0', 'fresh'],
      ],
      SI: [
        ['2031-09-12T08:02:00-04:00', '169.0', '24', '7.0', 'fresh'],
        ['2031-09-12T08:21:00-04:00', '175.5', '22', '10.0', 'fresh'],
      ],
    },
  })
  pastes?: TrialRow[];

  @InstantField({ label: 'Finished at', required: true, example: '2031-09-12T08:25:00-04:00' })
  finishedAt?: string;

  @TextField({ label: 'Remarks', aside: true, help: 'Lumps, warm, another mixer.', example: '' })
  remarks?: string;
}
