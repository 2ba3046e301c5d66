import { MeasureField, RowInput } from '../fields';
import { countSpec } from '../specs';

const STRAIN = {
  ...countSpec('0.0001', '100000'),
  possible: { US: ['-100000', '100000'], SI: ['-100000', '100000'] },
  example: '',
} as const;

/** One reading of a loading. */
export class LoadingRow extends RowInput {
  @MeasureField({
    label: 'Loading',
    ...countSpec('1', '9'),
    possible: { US: ['1', '9'], SI: ['1', '9'] },
    required: true,
    help: '1, 2 or 3: the first seats the gauges.',
    example: '',
  })
  loading?: string;

  @MeasureField({
    label: 'Load',
    dimension: 'force',
    unit: { US: 'lbf', SI: 'kN' },
    step: { US: '100', SI: '0.5' },
    possible: { US: ['0', '1000000'], SI: ['0', '4500'] },
    required: true,
    example: '',
  })
  load?: string;

  @MeasureField({ label: 'Axial reading', ...STRAIN, required: true })
  axial?: string;

  @MeasureField({ label: 'Lateral strain', ...STRAIN, help: 'In millionths, where it is measured.' })
  lateral?: string;
}
