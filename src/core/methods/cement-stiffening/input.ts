import { DEPTH, GRAM, VICAT } from '../cement/fields';
import { ChoiceField, EquipmentField, InstantField, MeasureField, RunInput, TextField } from '../fields';
import { SECONDS } from '../specs';

/** How far a plunger goes in at once and after five minutes. */
export class CementStiffeningInput extends RunInput {
  @EquipmentField(VICAT)
  vicat?: string;

  @MeasureField({ label: 'Cement', ...GRAM, required: true, example: '500' })
  cement?: string;

  @MeasureField({
    label: 'Water',
    ...GRAM,
    required: true,
    help: 'For 28 to 36 mm at first: three or four percent over the consistency.',
    example: '152',
  })
  water?: string;

  @InstantField({ label: 'Water met cement at', required: true, example: '2031-09-12T13:02:00-04:00' })
  contactAt?: string;

  @MeasureField({
    label: 'First released after the end of mixing',
    ...SECONDS,
    required: true,
    example: '20',
  })
  firstAfter?: string;

  @MeasureField({ label: 'First penetration', ...DEPTH, required: true, example: '32' })
  first?: string;

  @MeasureField({
    label: 'Second released after the end of mixing',
    ...SECONDS,
    required: true,
    example: '300',
  })
  secondAfter?: string;

  @MeasureField({
    label: 'Second penetration',
    ...DEPTH,
    required: true,
    help: 'At another place.',
    example: '24',
  })
  second?: string;

  @MeasureField({
    label: 'Remixed: penetration',
    ...DEPTH,
    help: 'Where little is left: a minute medium, moulded, as the first.',
    example: '',
  })
  remixed?: string;

  @ChoiceField({
    label: 'The paste felt',
    options: [
      { value: 'cool', label: 'As before' },
      { value: 'warm', label: 'Warm' },
    ],
    example: 'cool',
  })
  felt?: 'cool' | 'warm';

  @InstantField({ label: 'Finished at', required: true, example: '2031-09-12T14:30:00-04:00' })
  finishedAt?: string;

  @TextField({ label: 'Remarks', aside: true, example: '' })
  remarks?: string;
}
