import { CEMENT_BALANCE, GRAM, HUMIDITY, ROOM, WATER_TEMPERATURE } from '../cement/fields';
import { EquipmentField, InstantField, MeasureField, RowInput, RunInput, TextField } from '../fields';
import { RowsField } from '../rows-field';
import { SECONDS } from '../specs';

/** One cube: its own mortar, mixed and vibrated. */
export class CubeMixedRow extends RowInput {
  @InstantField({ label: 'Water met cement at', required: true, stamps: true, example: '' })
  contactAt?: string;

  @MeasureField({ label: 'Water', ...GRAM, required: true, also: { water_g: 'g' }, example: '' })
  water?: string;

  @MeasureField({ label: 'Mixed for', ...SECONDS, required: true, example: '' })
  mixed?: string;

  @MeasureField({ label: 'Vibrated for', ...SECONDS, required: true, example: '' })
  vibrated?: string;

  @InstantField({ label: 'Vibration ended at', required: true, stamps: true, example: '' })
  endedAt?: string;
}

/** The mortar of the vibrated cubes of a cement, cube by cube. */
export class VibratedMortarInput extends RunInput {
  @MeasureField({ ...ROOM, required: true })
  room?: string;

  @MeasureField(HUMIDITY)
  humidity?: string;

  @MeasureField({ ...WATER_TEMPERATURE, required: true })
  waterTemperature?: string;

  @EquipmentField(CEMENT_BALANCE)
  balance?: string;

  @TextField({
    label: 'Standard sand, its lot',
    required: true,
    help: 'Three grades, each its own bag: all three.',
    example: 'G1-8, G2-8, G3-9',
  })
  sandLot?: string;

  @MeasureField({
    label: 'Consistency',
    dimension: 'percent',
    unit: { US: 'percent', SI: 'percent' },
    step: { US: '0.1', SI: '0.1' },
    possible: { US: ['20', '45'], SI: ['20', '45'] },
    rare: true,
    help: 'By the plunger of this school only. Left open, that of the pastes of this sample.',
    example: '',
  })
  consistency?: string;

  @MeasureField({ label: 'Cement of a cube', ...GRAM, required: true, example: '200.0' })
  cement?: string;

  @MeasureField({ label: 'Sand of a cube', ...GRAM, required: true, example: '600.0' })
  sand?: string;

  @RowsField({
    label: 'Cubes',
    row: 'cube',
    Row: CubeMixedRow,
    required: true,
    help: 'Each has its own mortar. Their age counts from the end of the vibration.',
    example: {
      US: [['2031-09-12T09:40:00-04:00', '82.0', '210', '120', '2031-09-12T09:46:00-04:00']],
      SI: [['2031-09-12T09:40:00-04:00', '82.0', '210', '120', '2031-09-12T09:46:00-04:00']],
    },
  })
  cubes?: CubeMixedRow[];

  @InstantField({ label: 'Out of the moulds at', example: '2031-09-13T09:50:00-04:00' })
  strippedAt?: string;

  @TextField({
    label: 'Remarks',
    aside: true,
    help: 'Bleeding, voids, how often the water was renewed.',
    example: '',
  })
  remarks?: string;
}
