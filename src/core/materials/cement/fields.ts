import {
  CheckField,
  ChoiceField,
  InstantField,
  MeasureField,
  RunInput,
  TextField,
} from '../../methods/fields';
import { AGE_IN_DAYS } from '../brought';
import { CEMENT_TYPES } from './standards';

/** What is asked of a cement. */
export class Asked extends RunInput {
  @ChoiceField({ label: 'Type', options: CEMENT_TYPES, required: true, example: 'c150.I' })
  cementType?: string;

  @TextField({
    label: 'Edition',
    required: true,
    help: 'Of its standard, with the year: rows of the register are held against your own copy.',
    example: '2031',
  })
  edition?: string;

  @ChoiceField({
    label: 'Water of its mortar',
    rare: true,
    options: [
      { value: 'fixed', label: 'Fixed, w/c 0.485' },
      { value: 'flow', label: 'For a flow of 110 ± 5' },
    ],
    help: 'Left open: fixed for portland cement, by the flow for every other. Of portland-limestone it hangs on the edition.',
    example: '',
  })
  waterBy?: 'fixed' | 'flow';

  @ChoiceField({
    label: 'Strength at 28 d, where its standard leaves it open',
    rare: true,
    options: [
      { value: 'no', label: 'Not ordered' },
      { value: 'yes', label: 'Ordered' },
    ],
    example: '',
  })
  ordered28?: 'no' | 'yes';

  @CheckField({ label: 'Ordered: set by Gillmore needles' })
  orderedGillmore?: boolean;

  @CheckField({ label: 'Ordered: early stiffening' })
  orderedStiffening?: boolean;

  @CheckField({
    label: 'Ordered: heat of hydration',
    help: 'Of a type II(MH): its strengths may be lower then. Types IV, MH and LH are always held to theirs.',
  })
  orderedHeat?: boolean;

  @TextField({ label: 'Whose order', help: 'Agency or contract, with its date.', example: '' })
  orderedBy?: string;
}

/** A lot of cement as it comes: of one plant, one silo, some days of production. */
export class Lot extends RunInput {
  @TextField({
    label: 'Plant',
    required: true,
    help: 'Who makes it, and where.',
    example: 'Gull Point works',
  })
  plant?: string;

  @TextField({
    label: 'Silo',
    required: true,
    help: 'A new silo, raw mix or standstill of the kiln begins a series of its own.',
    example: 'silo 4',
  })
  silo?: string;

  @TextField({ label: 'Days of production', help: 'From and to.', example: '3 to 9 September' })
  produced?: string;

  @MeasureField({
    label: 'Tons',
    dimension: 'ratio',
    unit: { US: 'one', SI: 'one' },
    step: { US: '0.1', SI: '0.1' },
    possible: { US: ['0', '100000'], SI: ['0', '100000'] },
    help: 'Of the lot; how many samples it wants hangs on it.',
    example: '',
  })
  tons?: string;

  @TextField({ label: 'Mill sheet', help: 'Its number.', example: '' })
  millSheet?: string;
}

/** A sample of cement as it was taken. */
export class Taken extends RunInput {
  @ChoiceField({
    label: 'Taken',
    required: true,
    options: [
      { value: 'conveyor', label: 'Off the conveyor to the silo' },
      { value: 'storage', label: 'Out of the silo at discharge' },
      { value: 'shipment', label: 'Out of cars or trucks' },
      { value: 'bags', label: 'Out of bags' },
    ],
    example: 'shipment',
  })
  mode?: 'conveyor' | 'storage' | 'shipment' | 'bags';

  @ChoiceField({
    label: 'It is for',
    options: [
      { value: 'lot', label: 'The lot' },
      { value: 'duplicate', label: 'A second test of a sample, on another day' },
    ],
    help: 'Pairs on different days tell the scatter of the laboratory.',
    example: 'lot',
  })
  purpose?: 'lot' | 'duplicate';
}

/** Cubes as they were made: when the water met the cement. */
export class Cubes extends RunInput {
  @InstantField({
    label: 'Water met cement at',
    required: true,
    help: 'Ages count from here, never from the end of mixing.',
    example: '2031-09-12T09:40:00-04:00',
  })
  madeAt?: string;

  @MeasureField({ ...AGE_IN_DAYS, help: 'Whole days: 1, 3, 7 or 28.', example: '7' })
  ageDays?: string;
}

/** Vibrated cubes as they were made: when their vibration ended. */
export class VibratedCubes extends RunInput {
  @InstantField({
    label: 'Vibration ended at',
    required: true,
    help: 'Of the last of them. Ages of these cubes count from here, not from the contact of water and cement.',
    example: '2031-09-12T09:46:00-04:00',
  })
  madeAt?: string;

  @MeasureField({ ...AGE_IN_DAYS, help: 'Whole days: 3, 7 or 28.', example: '7' })
  ageDays?: string;
}
