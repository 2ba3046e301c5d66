import {
  CheckField,
  ChoiceField,
  CountsField,
  EquipmentField,
  InstantField,
  MeasureField,
  RunInput,
  TextField,
} from '../fields';
import { RowsField } from '../rows-field';
import {
  CONSOLIDATION,
  countSpec,
  LOAD_VOLUME,
  massSpec,
  SMALL_VOLUME,
  STROKES,
  TAPS,
  TEMPERATURE,
} from '../specs';
import { BATCH_MASS, MaterialRow } from './rows';

/** No measure of the method is smaller or larger: one of no volume computes nothing. */
const MEASURE_VOLUME = { US: ['0.02', '10'], SI: ['0.5', '300'] } as const;

/** The readings of one density test with what the ticket says of the batch, in the order they are taken. */
export class DensityYieldInput extends RunInput {
  @EquipmentField({ label: 'Measure', equipmentKind: 'density measure', example: 'MEASURE-1' })
  measure?: string;

  @EquipmentField({ label: 'Balance', equipmentKind: 'balance', example: 'BALANCE-1' })
  balance?: string;

  @MeasureField({
    label: 'Volume of the measure',
    help: 'From its standardisation.',
    ...SMALL_VOLUME,
    possible: MEASURE_VOLUME,
    step: { US: '0.0001', SI: '0.001' },
    example: { US: '0.2497', SI: '7.071' },
  })
  measureVolume?: string;

  @MeasureField({
    label: 'Nominal volume of the measure',
    ...SMALL_VOLUME,
    possible: MEASURE_VOLUME,
    step: { US: '0.01', SI: '0.1' },
    example: { US: '0.25', SI: '7' },
  })
  nominalVolume?: string;

  @MeasureField({
    label: 'Water that fills it',
    help: 'To find the volume: mass of water to the brim, under glass.',
    ...massSpec(['0.01', '400'], ['0.005', '200']),
    example: '',
  })
  waterMass?: string;

  @MeasureField({ label: 'Temperature of that water', ...TEMPERATURE, example: '' })
  waterTemperature?: string;

  @MeasureField({
    label: 'Empty measure',
    help: 'Clean and damp.',
    ...massSpec(['0.1', '400'], ['0.05', '200']),
    required: true,
    example: { US: '8.2', SI: '3.70' },
  })
  emptyMass?: string;

  @ChoiceField(CONSOLIDATION)
  consolidation?: 'rod' | 'vibrate' | 'none';

  @CountsField(STROKES)
  strokes?: string;

  @CountsField(TAPS)
  taps?: string;

  @CheckField({ label: 'Struck off with the flat plate' })
  plate?: boolean;

  @MeasureField({
    label: 'Full measure',
    help: 'Outside wiped clean.',
    ...massSpec(['0.1', '400'], ['0.05', '200']),
    required: true,
    example: { US: '44.6', SI: '20.25' },
  })
  fullMass?: string;

  @InstantField({ label: 'Weighed at', event: 'density-weighed', example: '2031-05-14T09:37:00-04:00' })
  weighedAt?: string;

  @MeasureField({
    label: 'Mass of the batch',
    help: 'Everything that was batched; empty when the materials are listed below.',
    ...BATCH_MASS,
    example: '',
  })
  batchMass?: string;

  @MeasureField({
    label: 'Water added on site',
    dimension: 'volume',
    unit: { US: 'gal', SI: 'L' },
    step: { US: '0.5', SI: '1' },
    possible: { US: ['0', '200'], SI: ['0', '800'] },
    example: '',
  })
  siteWater?: string;

  @MeasureField({ label: 'Volume on the ticket', ...LOAD_VOLUME, example: { US: '8', SI: '6' } })
  ticketVolume?: string;

  @MeasureField({
    label: 'Cementitious material in the batch',
    ...BATCH_MASS,
    example: { US: '4600', SI: '2030' },
  })
  cementitious?: string;

  @RowsField({
    label: 'Materials of the batch',
    row: 'material',
    Row: MaterialRow,
    help: 'For an aggregate weighed wet its moisture and absorption too.',
    example: {
      US: [
        ['cement', '4600', '3.15'],
        ['sand', '10100', '2.64'],
        ['stone', '14650', '2.71'],
        ['water', '1960', '1'],
      ],
      SI: [
        ['cement', '2030', '3.15'],
        ['sand', '4550', '2.64'],
        ['stone', '6570', '2.71'],
        ['water', '900', '1'],
      ],
    },
  })
  materials?: MaterialRow[];

  @MeasureField({
    label: 'Loads measured so far',
    help: 'For a claim on yield.',
    ...countSpec('1', '200'),
    example: '',
  })
  loads?: string;

  @TextField({ label: 'Remarks', example: '' })
  remarks?: string;
}
