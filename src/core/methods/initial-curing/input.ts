import {
  CheckField,
  ChoiceField,
  InstantField,
  LogField,
  MeasureField,
  type MeasureSpec,
  RunInput,
  TextField,
} from '../fields';
import { AIR_TEMPERATURE, TEMPERATURE } from '../specs';

const HOURS: Pick<MeasureSpec, 'dimension' | 'unit' | 'step' | 'possible'> = {
  dimension: 'duration',
  unit: { US: 'h', SI: 'h' },
  step: { US: '0.1', SI: '0.1' },
  possible: { US: ['0', '72'], SI: ['0', '72'] },
};

/** The first hours of a set, its way to the laboratory and into water. */
export class InitialCuringInput extends RunInput {
  @ChoiceField({
    label: 'Kept in',
    options: [
      { value: 'box', label: 'Curing box' },
      { value: 'water', label: 'Water' },
      { value: 'sand', label: 'Damp sand or burlap' },
      { value: 'room', label: 'Room' },
      { value: 'structure', label: 'At the structure, field-cured' },
    ],
    required: true,
    example: 'box',
  })
  method?: 'box' | 'water' | 'sand' | 'room' | 'structure';

  @MeasureField({ label: 'Box at placing', ...TEMPERATURE, example: { US: '72', SI: '22' } })
  atPlacing?: string;

  @InstantField({
    label: 'Final set, measured',
    help: 'By penetration, or from the mix’s own data. Empty: estimated below.',
    event: 'final-set',
    example: '2031-05-14T15:10:00-04:00',
  })
  setAt?: string;

  @MeasureField({
    label: 'Mean temperature until set',
    help: 'For an estimate when the set was not measured.',
    ...TEMPERATURE,
    example: '',
  })
  meanTemperature?: string;

  @MeasureField({ label: 'Retarder adds', ...HOURS, example: '' })
  retarder?: string;

  @MeasureField({
    label: 'Lowest',
    help: 'On the min-max thermometer, at every visit.',
    ...TEMPERATURE,
    example: { US: '67', SI: '19' },
  })
  minimum?: string;

  @MeasureField({ label: 'Highest', ...TEMPERATURE, example: { US: '76', SI: '24' } })
  maximum?: string;

  @MeasureField({
    label: 'Outdoors, lowest',
    help: 'Of the same hours: shows a box that was not plugged in.',
    ...AIR_TEMPERATURE,
    example: '',
  })
  outdoorMinimum?: string;

  @MeasureField({ label: 'Outdoors, highest', ...AIR_TEMPERATURE, example: '' })
  outdoorMaximum?: string;

  @LogField({
    label: 'Temperature record',
    help: 'From a recorder or by hand: time and temperature, one a line. Times as date and clock, or hours from moulding.',
    example: '',
  })
  log?: string;

  @ChoiceField({
    label: 'Dates in the record',
    help: 'Only where the record can be read both ways.',
    options: [
      { value: 'day first', label: 'Day first, as 31/5' },
      { value: 'month first', label: 'Month first, as 5/31' },
    ],
    example: '',
  })
  dateOrder?: 'day first' | 'month first';

  @InstantField({ label: 'Collected', event: 'collected', example: '2031-05-15T11:30:00-04:00' })
  collectedAt?: string;

  @ChoiceField({
    label: 'Condition',
    options: [
      { value: 'ok', label: 'In order' },
      { value: 'chipped', label: 'Chipped or cracked' },
      { value: 'dry', label: 'Dry' },
      { value: 'frozen', label: 'Frozen' },
      { value: 'tilted', label: 'Tilted' },
      { value: 'label', label: 'Label damaged' },
    ],
    example: 'ok',
  })
  condition?: 'ok' | 'chipped' | 'dry' | 'frozen' | 'tilted' | 'label';

  @InstantField({ label: 'Left the site', event: 'left-site', example: '2031-05-15T11:40:00-04:00' })
  leftAt?: string;

  @CheckField({ label: 'Upright, cushioned, tied, kept from drying and frost' })
  protectedOnTheWay?: boolean;

  @InstantField({
    label: 'Received at the laboratory',
    event: 'received',
    example: '2031-05-15T12:25:00-04:00',
  })
  receivedAt?: string;

  @InstantField({ label: 'Moulds off', event: 'demoulded', example: '2031-05-15T13:00:00-04:00' })
  demouldedAt?: string;

  @InstantField({ label: 'In final cure', event: 'in-final-cure', example: '2031-05-15T13:15:00-04:00' })
  wetAt?: string;

  @InstantField({
    label: 'Field-cured beams stored',
    help: 'Moulds off, on the ground, top up, banked with damp earth or sand.',
    event: 'stored-damp',
    example: '',
  })
  storedAt?: string;

  @InstantField({ label: 'Beams into lime water', event: 'soaking', example: '' })
  soakedAt?: string;

  @InstantField({
    label: 'Test begins',
    help: 'Of beams, and where the school counts the time since arrival.',
    event: 'test-begun',
    example: '',
  })
  testBegunAt?: string;

  @MeasureField({
    label: 'Tank or room',
    ...TEMPERATURE,
    step: { US: '0.1', SI: '0.1' },
    example: { US: '73.5', SI: '23' },
  })
  finalTemperature?: string;

  @MeasureField({
    label: 'Water on site',
    help: 'Cubes kept in water until they are carried.',
    ...TEMPERATURE,
    step: { US: '0.1', SI: '0.1' },
    example: '',
  })
  siteWater?: string;

  @TextField({ label: 'Remarks', example: '' })
  remarks?: string;
}
