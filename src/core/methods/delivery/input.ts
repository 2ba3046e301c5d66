import {
  CheckField,
  ChoiceField,
  InstantField,
  MeasureField,
  type MeasureSpec,
  RunInput,
  TextField,
} from '../fields';
import { countSpec, LOAD_VOLUME, massSpec, percentSpec } from '../specs';

const MASS = massSpec(['1', '200000'], ['1', '100000']);
const MOISTURE = percentSpec('0.1', '100');
const WATER: Pick<MeasureSpec, 'dimension' | 'unit' | 'step' | 'possible'> = {
  dimension: 'volume',
  unit: { US: 'gal', SI: 'L' },
  step: { US: '0.5', SI: '1' },
  possible: { US: ['0', '300'], SI: ['0', '1200'] },
};

/** What the ticket says and what happens to the load on site, in the order it happens. */
export class DeliveryInput extends RunInput {
  @InstantField({
    label: 'Batched at',
    help: 'Time loaded, or cement and aggregate first mixed; from the ticket.',
    event: 'batched',
    example: '2031-05-14T08:42:00-04:00',
  })
  batchedAt?: string;

  @ChoiceField({
    label: 'That time is from',
    options: [
      { value: 'ticket', label: 'The ticket' },
      { value: 'phone', label: 'The plant, by telephone' },
    ],
    example: 'ticket',
  })
  batchedFrom?: 'ticket' | 'phone';

  @InstantField({ label: 'Truck on site', event: 'arrived', example: '2031-05-14T09:08:00-04:00' })
  arrivedAt?: string;

  @ChoiceField({
    label: 'Mix on the ticket',
    options: [
      { value: 'approved', label: 'The approved mix' },
      {
        value: 'other',
        label: 'Another mix',
        means: {
          id: 'delivery.mix',
          severity: 'invalid',
          message: 'The ticket names another mix than the approved one.',
          action: 'Report it at once to the purchaser’s representative; no sampling for acceptance.',
        },
      },
    ],
    example: 'approved',
  })
  mix?: 'approved' | 'other';

  @MeasureField({
    label: 'Volume of the load',
    ...LOAD_VOLUME,
    required: true,
    example: { US: '8', SI: '6' },
  })
  loadVolume?: string;

  @MeasureField({ label: 'Gross volume of the drum', help: 'On its plate.', ...LOAD_VOLUME, example: '' })
  drumVolume?: string;

  @ChoiceField({
    label: 'Mixed',
    options: [
      { value: 'truck', label: 'In the truck' },
      { value: 'plant', label: 'In the plant, agitated in the truck' },
    ],
    example: '',
  })
  mixed?: 'truck' | 'plant';

  @MeasureField({
    label: 'Cementitious material',
    help: 'Whole load.',
    ...MASS,
    example: { US: '4600', SI: '2030' },
  })
  cementitious?: string;

  @MeasureField({
    label: 'Free water batched',
    help: 'Whole load: water, ice and, when it is not asked for below, the free moisture of the aggregates.',
    ...MASS,
    example: { US: '1700', SI: '760' },
  })
  water?: string;

  @MeasureField({
    label: 'Fine aggregate, wet',
    help: 'Whole load, to find its free moisture.',
    ...MASS,
    example: '',
  })
  fine?: string;

  @MeasureField({
    label: 'Moisture of the fine aggregate',
    help: 'Of the dry mass.',
    ...MOISTURE,
    example: '',
  })
  fineMoisture?: string;

  @MeasureField({ label: 'Absorption of the fine aggregate', ...MOISTURE, example: '' })
  fineAbsorption?: string;

  @MeasureField({ label: 'Coarse aggregate, wet', help: 'Whole load.', ...MASS, example: '' })
  coarse?: string;

  @MeasureField({
    label: 'Moisture of the coarse aggregate',
    help: 'Of the dry mass.',
    ...MOISTURE,
    example: '',
  })
  coarseMoisture?: string;

  @MeasureField({ label: 'Absorption of the coarse aggregate', ...MOISTURE, example: '' })
  coarseAbsorption?: string;

  @MeasureField({
    label: 'Water in admixtures',
    help: 'Only when the admixtures come to more than 1 gal/yd³ [5 L/m³].',
    ...MASS,
    example: '',
  })
  admixtureWater?: string;

  @MeasureField({
    label: 'Water the ticket allows on site',
    help: 'Whole load.',
    ...WATER,
    example: { US: '18', SI: '70' },
  })
  ticketAllows?: string;

  @MeasureField({
    label: 'Water added on site',
    help: 'By meter or gauge, whole load.',
    ...WATER,
    example: { US: '4', SI: '15' },
  })
  added?: string;

  @InstantField({
    label: 'Water or admixture in',
    event: 'water-added',
    example: '2031-05-14T09:12:00-04:00',
  })
  addedAt?: string;

  @MeasureField({
    label: 'Concrete out before that',
    help: 'A preliminary portion not counted.',
    ...LOAD_VOLUME,
    example: { US: '0', SI: '0' },
  })
  outBefore?: string;

  @TextField({ label: 'Asked for and signed by', example: 'site foreman' })
  askedBy?: string;

  @MeasureField({
    label: 'Turns after that',
    help: 'At mixing speed.',
    ...countSpec('1', '2000'),
    example: '34',
  })
  remixTurns?: string;

  @MeasureField({ label: 'Mixing speed', help: 'Turns a minute.', ...countSpec('1', '30'), example: '12' })
  mixingSpeed?: string;

  @InstantField({ label: 'Remixed', event: 'remixed', example: '2031-05-14T09:15:00-04:00' })
  remixedAt?: string;

  @MeasureField({ label: 'Turns of the first mixing', ...countSpec('1', '2000'), example: '82' })
  mixingTurns?: string;

  @MeasureField({ label: 'Turns in all', ...countSpec('1', '3000'), example: '190' })
  totalTurns?: string;

  @ChoiceField({
    label: 'Wash water left in the drum',
    help: 'Ask the driver.',
    options: [
      { value: 'no', label: 'No' },
      {
        value: 'yes',
        label: 'Yes, or not known',
        means: {
          id: 'delivery.wash-water',
          severity: 'departure',
          message: 'Wash water may be in the drum: the ratio is not known.',
          action: 'Say so to the purchaser’s representative; watch for an unexplained wet load.',
          remark: 'Wash water left in the drum, or not known; water-cementitious ratio uncertain.',
        },
      },
    ],
    example: 'no',
  })
  washWater?: 'no' | 'yes';

  @CheckField({ label: 'The site was ready for it' })
  siteReady?: boolean;

  @InstantField({
    label: 'Discharge started',
    event: 'discharge-start',
    example: '2031-05-14T09:20:00-04:00',
  })
  dischargeStartedAt?: string;

  @InstantField({ label: 'Discharge complete', event: 'discharge-end', example: '2031-05-14T09:58:00-04:00' })
  dischargedAt?: string;

  @TextField({ label: 'Remarks', example: '' })
  remarks?: string;
}
