import { GRAM } from '../cement/fields';
import { ChoiceField, InstantField, MeasureField, RunInput, TextField } from '../fields';
import { countSpec } from '../specs';

/** A sample of cement as it came into the laboratory. */
export class CementSampleInput extends RunInput {
  @MeasureField({
    label: 'Grabs in it',
    ...countSpec('1', '500'),
    required: true,
    held: {
      limit: 'cement-sample.grabs',
      severity: 'advice',
      what: 'It is said to be made up of',
      action: 'Count them again: bags or places, not tons.',
    },
    help: 'Bags, places of a car, times at the conveyor: as many as it is made up of.',
    example: '4',
  })
  grabs?: string;

  @ChoiceField({
    label: 'Container',
    required: true,
    options: [
      { value: 'tight', label: 'Tight against moisture, full to the top' },
      {
        value: 'bag',
        label: 'Paper bag, or a jar not full',
        means: {
          id: 'cement-sample.container',
          severity: 'departure',
          message: 'Cement takes up water from the air: it sets later and is weaker at early ages.',
          action: 'Ask for another sample in a tight container; say it with every result of this one.',
          remark: 'Sample not kept tight against moisture.',
        },
      },
    ],
    example: 'tight',
  })
  container?: 'tight' | 'bag';

  @ChoiceField({
    label: 'Lumps',
    required: true,
    options: [
      { value: 'none', label: 'None' },
      { value: 'soft', label: 'Soft: they crumble between the fingers' },
      {
        value: 'hard',
        label: 'Hard: they do not',
        means: {
          id: 'cement-sample.lumps',
          severity: 'departure',
          needsReason: true,
          message: 'Hard lumps: it has reacted with water in storage.',
          action: 'Tell the client before it is tested.',
          remark: 'Hard lumps in the sample when it came.',
        },
      },
    ],
    example: 'none',
  })
  lumps?: 'none' | 'soft' | 'hard';

  @MeasureField({
    label: 'Its temperature',
    dimension: 'temperature',
    unit: { US: 'degF', SI: 'degC' },
    step: { US: '1', SI: '0.5' },
    possible: { US: ['0', '302'], SI: ['-18', '150'] },
    held: {
      limit: 'cement-sample.hot',
      severity: 'departure',
      what: 'The cement is at',
      action: 'Let it cool in its container: warm it sets otherwise.',
    },
    help: 'When it was taken, where it was warm.',
    example: { US: '78', SI: '26' },
  })
  temperature?: string;

  @MeasureField({ label: 'Sample', ...GRAM, required: true, example: '5400' })
  mass?: string;

  @MeasureField({
    label: 'Left on the 850 µm sieve',
    ...GRAM,
    possible: { US: ['0', '20000'], SI: ['0', '20000'] },
    help: 'All of it through; foreign matter and hard lumps are thrown away, and weighed.',
    example: '8.0',
  })
  retained?: string;

  @MeasureField({
    label: 'Sealed reserve',
    ...GRAM,
    help: 'Kept until its last result is accepted.',
    example: '2100',
  })
  reserve?: string;

  @InstantField({ label: 'Came in at', required: true, example: '2031-09-11T15:10:00-04:00' })
  receivedAt?: string;

  @TextField({ label: 'Remarks', aside: true, help: 'From the hose, two silos, left open.', example: '' })
  remarks?: string;
}
