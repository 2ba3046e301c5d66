import { InstantField, LogField, MeasureField, RunInput, TextField } from '../fields';
import { AIR_TEMPERATURE, percentSpec } from '../specs';

/** What is read of the air of a level over time. */
export class ServiceRecordInput extends RunInput {
  @TextField({ label: 'Logger', required: true, carry: true, example: 'LOGGER-1, by the door' })
  logger?: string;

  @MeasureField({
    label: 'Temperature of the finished building',
    ...AIR_TEMPERATURE,
    required: true,
    carry: true,
    help: 'As its owner will keep it; where nobody knows, 75 °F [24 °C].',
    example: { US: '70', SI: '21' },
  })
  temperature?: string;

  @MeasureField({
    label: 'Its humidity',
    ...percentSpec('1', '100'),
    required: true,
    carry: true,
    help: 'Where nobody knows, 50 %.',
    example: '45',
  })
  humidity?: string;

  @LogField({
    label: 'Record of the air',
    required: true,
    help: 'A line for each reading: time, temperature, humidity. An hour apart or less. Times with their offset, or of this job.',
    example:
      'time,t_f,rh\n2031-03-01T08:00:00-05:00,70,45\n2031-03-01T09:00:00-05:00,71,44\n2031-03-01T10:00:00-05:00,70,46',
  })
  record?: string;

  @InstantField({ label: 'Read out at', required: true, example: '2031-03-01T10:05:00-05:00' })
  readAt?: string;

  @TextField({ label: 'Remarks', example: '' })
  remarks?: string;
}
