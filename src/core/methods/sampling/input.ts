import { CheckField, ChoiceField, InstantField, MeasureField, RunInput, TextField } from '../fields';
import { countSpec, LOAD_VOLUME, SMALL_VOLUME } from '../specs';

/** How and where a sample was taken. */
export class SamplingInput extends RunInput {
  @ChoiceField({
    label: 'Taken for',
    sets: 'kind',
    required: true,
    options: [
      { value: 'acceptance', label: 'Acceptance, from the middle of a drawn load' },
      { value: 'preliminary', label: 'Preliminary, before placing goes on' },
      { value: 'assurance', label: 'Assurance, split or second sample' },
    ],
    example: 'acceptance',
  })
  kind?: 'acceptance' | 'preliminary' | 'assurance';

  @ChoiceField({
    label: 'From',
    required: true,
    options: [
      { value: 'chute', label: 'Truck with chute' },
      { value: 'pile', label: 'Pile, no chute' },
      { value: 'pump', label: 'Pump or conveyor, placing end' },
      { value: 'mixer', label: 'Stationary mixer' },
      { value: 'open', label: 'Open-top truck' },
    ],
    example: 'chute',
  })
  source?: 'chute' | 'pile' | 'pump' | 'mixer' | 'open';

  @CheckField({ label: 'All water and admixture in, remixed' })
  allIn?: boolean;

  @InstantField({ label: 'First portion', event: 'first-portion', example: '2031-05-14T09:24:00-04:00' })
  firstPortionAt?: string;

  @InstantField({
    label: 'Final portion',
    event: 'final-portion',
    sets: 'sampledAt',
    example: '2031-05-14T09:30:00-04:00',
  })
  finalPortionAt?: string;

  @MeasureField({ label: 'Portions', help: 'Or places in a pile.', ...countSpec('1', '30'), example: '2' })
  portions?: string;

  @MeasureField({ label: 'Volume of the load', ...LOAD_VOLUME, example: { US: '8', SI: '6' } })
  loadVolume?: string;

  @MeasureField({ label: 'Out at the first portion', ...LOAD_VOLUME, example: { US: '2.5', SI: '2' } })
  outAtFirst?: string;

  @MeasureField({ label: 'Out at the final portion', ...LOAD_VOLUME, example: { US: '5', SI: '4' } })
  outAtLast?: string;

  @CheckField({ label: 'Whole stream, drum speed not the gate' })
  wholeStream?: boolean;

  @ChoiceField({
    label: 'Boom',
    help: 'Pump only.',
    options: [
      { value: 'placing', label: 'As in placing' },
      { value: 'lowered', label: 'Lowered for the sample' },
    ],
    example: '',
  })
  boom?: 'placing' | 'lowered';

  @CheckField({ label: 'Slurry and priming grout gone', help: 'Pump only.' })
  slurryGone?: boolean;

  @MeasureField({
    label: 'Size of the sample',
    ...SMALL_VOLUME,
    step: { US: '0.1', SI: '1' },
    example: { US: '1.4', SI: '40' },
  })
  size?: string;

  @ChoiceField({
    label: 'Strength specimens of it',
    options: [
      { value: 'yes', label: 'Yes' },
      { value: 'no', label: 'No' },
    ],
    example: 'yes',
  })
  specimens?: 'yes' | 'no';

  @InstantField({ label: 'Composite remixed', event: 'composite', example: '2031-05-14T09:31:00-04:00' })
  compositeAt?: string;

  @ChoiceField({
    label: 'Look of it',
    options: [
      { value: 'uniform', label: 'Uniform' },
      {
        value: 'segregated',
        label: 'Segregated, rained on or fouled',
        means: {
          id: 'sampling.look',
          severity: 'invalid',
          message: 'The sample is segregated, rained on or fouled.',
          action: 'Discard it and sample again: every test on it is void.',
        },
      },
    ],
    example: 'uniform',
  })
  look?: 'uniform' | 'segregated';

  @TextField({ label: 'Placed at', help: 'Grid, element, level.', example: 'grid C, lift 2' })
  location?: string;

  @TextField({ label: 'Weather', example: 'overcast, light wind' })
  weather?: string;

  @TextField({ label: 'Remarks', example: '' })
  remarks?: string;
}
