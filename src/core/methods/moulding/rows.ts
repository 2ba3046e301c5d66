import { MeasureField, RowInput, TextField } from '../fields';
import { lengthSpec, massSpec } from '../specs';

const MOULD_LENGTH = { ...lengthSpec(['0.01', '40'], ['0.1', '1000']), required: true, example: '' };

/** One mould of a shipment, measured. */
export class MouldRow extends RowInput {
  @MeasureField({ label: 'Diameter 1', ...MOULD_LENGTH })
  one?: string;

  @MeasureField({ label: 'Diameter 2', ...MOULD_LENGTH, help: 'At right angles to the first.' })
  two?: string;

  @MeasureField({ label: 'Height', ...MOULD_LENGTH })
  height?: string;
}

const MOULD_MASS = { ...massSpec(['0.01', '200'], ['0.005', '90']), required: true, example: '' };

/** One specimen of the set on the balance, filled and empty. */
export class MassRow extends RowInput {
  @TextField({ label: 'Letter', required: true, example: '' })
  letter?: string;

  @MeasureField({ label: 'Filled', ...MOULD_MASS })
  filled?: string;

  @MeasureField({ label: 'Empty', ...MOULD_MASS })
  empty?: string;
}
