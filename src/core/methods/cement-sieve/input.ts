import { CEMENT_BALANCE } from '../cement/fields';
import { EquipmentField, InstantField, MeasureField, RunInput, TextField } from '../fields';

const FINE = {
  dimension: 'mass',
  unit: { US: 'g', SI: 'g' },
  step: { US: '0.0005', SI: '0.0005' },
  possible: { US: ['0', '3'], SI: ['0', '3'] },
} as const;

/** Cement washed through the 45 µm sieve. */
export class CementSieveInput extends RunInput {
  @TextField({
    label: 'Sieve',
    required: true,
    help: 'Its number: the correction is of this one.',
    example: 'S45-2',
  })
  sieve?: string;

  @EquipmentField(CEMENT_BALANCE)
  balance?: string;

  @MeasureField({
    label: 'Reference powder: residue by its certificate',
    ...FINE,
    required: true,
    carry: true,
    help: 'Of 1 g.',
    example: '0.1220',
  })
  certified?: string;

  @MeasureField({
    label: 'Reference powder: residue on this sieve',
    ...FINE,
    required: true,
    carry: true,
    example: '0.0930',
  })
  obtained?: string;

  @MeasureField({ label: 'Cement', ...FINE, required: true, example: '1.0000' })
  mass?: string;

  @MeasureField({
    label: 'Pressure at the nozzle',
    dimension: 'stress',
    unit: { US: 'psi', SI: 'MPa' },
    step: { US: '0.5', SI: '0.001' },
    possible: { US: ['0', '60'], SI: ['0', '0.4'] },
    required: true,
    example: { US: '10', SI: '0.069' },
  })
  pressure?: string;

  @MeasureField({ label: 'Residue, dry', ...FINE, required: true, example: '0.0880' })
  residue?: string;

  @InstantField({ label: 'Finished at', required: true, example: '2031-09-12T14:30:00-04:00' })
  finishedAt?: string;

  @TextField({ label: 'Remarks', aside: true, example: '' })
  remarks?: string;
}
