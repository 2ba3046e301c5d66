import {
  ChoiceField,
  InstantField,
  MeasureField,
  RecordField,
  RowInput,
  RunInput,
  SpecimenField,
  TextField,
} from '../fields';
import { PULL_OFF } from '../pull/strength';
import { RowsField } from '../rows-field';
import { ROOM_HUMIDITY } from '../slab/room';
import { AIR_TEMPERATURE } from '../specs';

const HOURS = {
  dimension: 'duration',
  unit: { US: 'h', SI: 'h' },
  step: { US: '0.25', SI: '0.25' },
  possible: { US: ['0.05', '150'], SI: ['0.05', '150'] },
} as const;
const MINUTES = {
  dimension: 'duration',
  unit: { US: 'min', SI: 'min' },
  step: { US: '1', SI: '1' },
  possible: { US: ['0.1', '240'], SI: ['0.1', '240'] },
} as const;

/** One dolly that was set. */
export class DollyRow extends RowInput {
  @SpecimenField({ label: 'Dolly', required: true, example: '' })
  specimen?: string;

  @ChoiceField({
    label: 'Set',
    required: true,
    options: [
      { value: 'straight', label: 'Straight down, rim wiped' },
      { value: 'slid', label: 'It slid or was turned' },
    ],
    example: 'straight',
  })
  set?: 'straight' | 'slid';

  @InstantField({ label: 'At', required: true, stamps: true, example: '' })
  at?: string;
}

/** What is read of a batch of glue and the dollies that are set in it. */
export class GluingInput extends RunInput {
  @ChoiceField({
    label: 'Glue',
    required: true,
    options: [
      { value: 'cyano', label: 'Cyanoacrylate: smooth faces, to about 1,000 psi [7 MPa]' },
      { value: 'fast', label: 'Fast epoxy or methacrylate: to about 1,450 psi [10 MPa]' },
      { value: 'slow', label: 'Slow two-part epoxy: above that, and concrete' },
      { value: 'film', label: 'Epoxy film cured by heat: laboratory' },
    ],
    example: 'slow',
  })
  kind?: 'cyano' | 'fast' | 'slow' | 'film';

  @TextField({
    label: 'Product and batch',
    required: true,
    help: 'As the tin says.',
    example: 'epoxy, batch 1',
  })
  product?: string;

  @ChoiceField({
    label: 'On a scrap of this coating',
    required: true,
    options: [
      { value: 'sound', label: 'Tried: no wrinkle, no softening, no change of colour' },
      {
        value: 'changed',
        label: 'Tried: it changed the coating',
        means: {
          id: 'glue.changed',
          severity: 'invalid',
          message: 'The glue changes what is to be tested.',
          action: 'Another glue, tried first.',
        },
      },
      {
        value: 'not',
        label: 'Not tried',
        means: {
          id: 'glue.not-tried',
          severity: 'departure',
          message: 'Nobody knows what this glue does to this coating.',
          action: 'A dab on a scrap, left until it is hard, then look and pull one.',
          remark: 'Glue not tried on this coating.',
        },
      },
      { value: 'none', label: 'No coating: bare concrete or a core' },
    ],
    example: 'sound',
  })
  tried?: 'sound' | 'changed' | 'not' | 'none';

  @MeasureField({
    label: 'Cured after',
    ...HOURS,
    required: true,
    help: 'By its sheet.',
    example: '20',
  })
  cure?: string;

  @MeasureField({
    label: 'At',
    ...AIR_TEMPERATURE,
    required: true,
    help: 'The temperature that the sheet says it for.',
    example: { US: '72', SI: '22' },
  })
  cureAt?: string;

  @MeasureField({
    label: 'Does not cure below',
    ...AIR_TEMPERATURE,
    help: 'By its sheet.',
    example: { US: '48', SI: '9' },
  })
  least?: string;

  @MeasureField({ label: 'Working life', ...MINUTES, required: true, help: 'By its sheet.', example: '60' })
  life?: string;

  @ChoiceField({
    label: 'Dollies and surface',
    required: true,
    options: [
      { value: 'both', label: 'Faces roughened and wiped; surface wiped, lightly roughened, dry' },
      {
        value: 'not',
        label: 'Not both of it',
        means: {
          id: 'glue.unprepared',
          severity: 'departure',
          message: 'Glue parts from a smooth or a greasy face.',
          action: 'Roughen and wipe both, and do not touch them again.',
          remark: 'Dollies or surface not prepared.',
        },
      },
    ],
    example: 'both',
  })
  prepared?: 'both' | 'not';

  @MeasureField({
    label: 'Surface',
    ...AIR_TEMPERATURE,
    required: true,
    example: { US: '70', SI: '21' },
  })
  surfaceTemperature?: string;

  @MeasureField({ label: 'Air', ...AIR_TEMPERATURE, required: true, example: { US: '71', SI: '21.5' } })
  airTemperature?: string;

  @MeasureField({ ...ROOM_HUMIDITY, example: '49' })
  airHumidity?: string;

  @InstantField({ label: 'Mixed at', required: true, example: '2031-03-02T13:02:00-05:00' })
  mixedAt?: string;

  @RowsField({
    label: 'Dollies',
    row: 'dolly',
    Row: DollyRow,
    help: 'A thin layer over the whole face, pressed straight down, no turn. Tape it where it could slide.',
    example: {
      US: [['EXAMPLE-D1', 'straight', '2031-03-02T13:09:00-05:00']],
      SI: [['EXAMPLE-D1', 'straight', '2031-03-02T13:09:00-05:00']],
    },
  })
  dollies?: DollyRow[];

  @InstantField({ label: 'Last one set at', required: true, example: '2031-03-02T13:12:00-05:00' })
  setAt?: string;

  @RecordField({
    records: 'temperature',
    label: 'Log of the surface',
    help: 'The file of a logger beside the dollies: its coldest since the last was set counts.',
    example: '',
  })
  record?: string;

  @MeasureField({
    label: 'Coldest since',
    ...AIR_TEMPERATURE,
    help: 'Of the surface while it cures, where no log is kept here. Left open, its temperature when they were set.',
    example: '',
  })
  coldest?: string;

  @MeasureField({
    label: 'Control pull on steel',
    ...PULL_OFF,
    help: 'Of the same mix, on a blasted plate: what the glue itself holds.',
    example: { US: '1900', SI: '13' },
  })
  control?: string;

  @TextField({ label: 'Remarks', example: '' })
  remarks?: string;
}
