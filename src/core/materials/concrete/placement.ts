import { MeasureField, RunInput, TextField } from '../../methods/fields';

const range = (us: readonly [string, string], si: readonly [string, string]) => ({ US: us, SI: si }) as const;

/** What is known of a placement besides what is placed and when. */
export class Placement extends RunInput {
  @TextField({ label: 'Location', example: '' })
  location?: string;

  @MeasureField({
    label: 'Volume',
    dimension: 'volume',
    unit: { US: 'yd3', SI: 'm3' },
    step: { US: '1', SI: '1' },
    possible: range(['0', '100000'], ['0', '100000']),
    example: { US: '60 yd³', SI: '46 m³' },
  })
  volume?: string;

  @MeasureField({
    label: 'Area',
    dimension: 'area',
    unit: { US: 'ft2', SI: 'm2' },
    step: { US: '10', SI: '1' },
    possible: range(['0', '1000000'], ['0', '1000000']),
    help: 'Slab, or one face of a wall.',
    example: { US: '4,000 ft²', SI: '400 m²' },
  })
  area?: string;

  @MeasureField({
    label: 'Least section',
    dimension: 'length',
    unit: { US: 'in', SI: 'mm' },
    step: { US: '1', SI: '10' },
    possible: range(['1', '1000'], ['25', '25000']),
    help: 'For cold weather.',
    example: { US: '8 in', SI: '200 mm' },
  })
  section?: string;
}
