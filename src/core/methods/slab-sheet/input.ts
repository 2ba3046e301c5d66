import { CheckField, ChoiceField, InstantField, MeasureField, RunInput, TextField } from '../fields';
import { ROOM_AIR, ROOM_HUMIDITY } from '../slab/room';
import { AIR_TEMPERATURE } from '../specs';

/** What is seen under a plastic sheet that was taped to concrete overnight. */
export class SlabSheetInput extends RunInput {
  @ChoiceField({
    label: 'Surface',
    required: true,
    carry: true,
    options: [
      { value: 'bare', label: 'Bare, clean, dry to the touch; no sun, no heater' },
      {
        value: 'film',
        label: 'A sealer or curing film is left on it',
        means: {
          id: 'sheet.film',
          severity: 'invalid',
          message: 'Under a film nothing comes up to be seen.',
          action: 'Take the film off first, without water; or measure humidity in the slab.',
        },
      },
      {
        value: 'sun',
        label: 'Sun or a heater reaches it',
        means: {
          id: 'sheet.sun',
          severity: 'invalid',
          message: 'A sheet that is warmed shows no drops however wet the slab is.',
          action: 'Tape it where neither reaches.',
        },
      },
    ],
    example: 'bare',
  })
  surface?: 'bare' | 'film' | 'sun';

  @ChoiceField({
    label: 'Sheet',
    required: true,
    carry: true,
    options: [
      { value: '18', label: '18 × 18 in [457 mm], clear, 4 mil [0.1 mm]' },
      {
        value: '16',
        label: '16 × 16 in [406 mm], as many do it',
        means: {
          id: 'sheet.small',
          severity: 'departure',
          message: 'It is four fifths of the standard’s sheet.',
          action: 'Say so with the result.',
          remark: 'Sheet of 16 × 16 in [406 mm], by custom: 79 % of the area of the standard’s.',
        },
      },
    ],
    example: '18',
  })
  sheet?: '18' | '16';

  @CheckField({
    label: 'Taped tight on all four sides, and still so',
    missed: {
      id: 'sheet.edge',
      severity: 'invalid',
      message: 'Air got under it.',
      action: 'Tape a fresh sheet, all four edges.',
    },
  })
  taped?: boolean;

  @InstantField({ label: 'Taped at', required: true, example: '2031-03-02T16:30:00-05:00' })
  tapedAt?: string;

  @InstantField({ label: 'Peeled at', required: true, example: '2031-03-03T09:05:00-05:00' })
  peeledAt?: string;

  @ChoiceField({
    label: 'Drops on the sheet',
    required: true,
    options: [
      { value: 'none', label: 'None' },
      { value: 'drops', label: 'Drops or mist' },
    ],
    example: 'none',
  })
  drops?: 'none' | 'drops';

  @ChoiceField({
    label: 'Concrete under it',
    required: true,
    options: [
      { value: 'same', label: 'As beside it' },
      { value: 'dark', label: 'Darker' },
    ],
    example: 'same',
  })
  concrete?: 'same' | 'dark';

  @MeasureField({
    label: 'Concrete beside it',
    ...AIR_TEMPERATURE,
    required: true,
    example: { US: '67', SI: '19.5' },
  })
  slabTemperature?: string;

  @MeasureField({
    label: 'Sheet',
    ...AIR_TEMPERATURE,
    required: true,
    help: 'Before it is peeled.',
    example: { US: '66', SI: '19' },
  })
  sheetTemperature?: string;

  @MeasureField({
    ...ROOM_AIR,
    example: { US: '69', SI: '20.5' },
  })
  airTemperature?: string;

  @MeasureField({ ...ROOM_HUMIDITY, example: '46' })
  airHumidity?: string;

  @TextField({ label: 'Photographs', help: 'Their numbers: before and after, the same frame.', example: '' })
  photographs?: string;

  @TextField({ label: 'Remarks', example: '' })
  remarks?: string;
}
