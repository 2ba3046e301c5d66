import { CEMENT_BALANCE, GRAM } from '../cement/fields';
import { EquipmentField, InstantField, MeasureField, RunInput, TextField } from '../fields';
import { countSpec, percentSpec } from '../specs';

/** Air of a mortar by the mass of a cup of it. */
export class CementAirInput extends RunInput {
  @EquipmentField(CEMENT_BALANCE)
  balance?: string;

  @EquipmentField({ label: 'Flow table', equipmentKind: 'flow table', carry: true, example: 'FLOW-1' })
  table?: string;

  @MeasureField({
    label: 'Cement',
    ...GRAM,
    required: true,
    help: '350 g, with 1,400 g of the 20-30 sand: not the graded one.',
    example: '350',
  })
  cement?: string;

  @MeasureField({ label: 'Water', ...GRAM, required: true, example: '238' })
  water?: string;

  @MeasureField({ label: 'Flow', ...percentSpec('1', '150'), required: true, example: '88' })
  flow?: string;

  @MeasureField({
    label: 'Drops',
    ...countSpec('1', '60'),
    required: true,
    help: 'Ten, in six seconds.',
    example: '10',
  })
  drops?: string;

  @MeasureField({ label: 'Mortar in the cup', ...GRAM, required: true, example: '842' })
  inCup?: string;

  @InstantField({ label: 'Finished at', required: true, example: '2031-09-12T14:30:00-04:00' })
  finishedAt?: string;

  @TextField({ label: 'Remarks', aside: true, example: '' })
  remarks?: string;
}
