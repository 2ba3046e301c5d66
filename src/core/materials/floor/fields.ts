import {
  CheckField,
  ChoiceField,
  InstantField,
  MeasureField,
  RunInput,
  TextField,
} from '../../methods/fields';
import { PULL_OFF, PULL_OFF_HELP } from '../../methods/pull/strength';
import { SLABS, type SlabKind } from '../../methods/slab/drying';
import { FLOORS, type Floor } from '../../methods/slab/floors';
import { LAYERS, type Layer } from '../../methods/slab/layers';
import { CONDITIONS, type Conditions, EDITIONS, type Edition } from '../../methods/slab/reading';
import { SCREEDS, type Screed } from '../../methods/slab/screeds';
import { AGGREGATE, type Aggregate, TOP, type Top } from '../../methods/slab/surfaces';
import { countSpec, lengthSpec, percentSpec } from '../../methods/specs';
import { DECIDES, type Decides } from './decides';

/** What goes on the slab, and what its maker allows. */
export class Asked extends RunInput {
  @ChoiceField({ label: 'Goes on it', options: FLOORS, required: true, example: 'resilient' })
  floor?: Floor;

  @MeasureField({
    label: 'Humidity in the slab at most',
    ...percentSpec('1', '100'),
    help: 'By the maker of the floor or of its glue. Left open, the usual one where the maker is silent.',
    example: '85 %',
  })
  humidityMost?: string;

  @ChoiceField({ label: 'Holes are read by the edition', options: EDITIONS, example: '', rare: true })
  edition?: Edition;

  @ChoiceField({
    label: 'Service conditions for 48 h',
    options: CONDITIONS,
    help: 'Left open, before the hole is sealed: that satisfies both.',
    example: '',
    rare: true,
  })
  conditions?: Conditions;

  @MeasureField({
    label: 'Uncertainty added to humidity',
    dimension: 'percent',
    unit: { US: 'percent', SI: 'percent' },
    step: { US: '0.1', SI: '0.1' },
    possible: { US: ['0.1', '10'], SI: ['0.1', '10'] },
    help: 'Where it is added to a reading before that is held against the limit, as in the north; often 2 %.',
    example: '2 %',
    rare: true,
  })
  uncertainty?: string;

  @ChoiceField({
    label: 'Moisture is decided by',
    options: DECIDES,
    help: 'Left open, humidity in the slab. The others are those of other countries.',
    example: '',
    rare: true,
  })
  decidedBy?: Decides;

  @MeasureField({
    label: 'Humidity under a box at most',
    ...percentSpec('1', '100'),
    help: 'By the maker; left open, 75 %.',
    example: '72 %',
    rare: true,
  })
  hoodMost?: string;

  @ChoiceField({
    label: 'Screed, for carbide',
    options: SCREEDS,
    help: 'The usual limit goes by it.',
    example: '',
    rare: true,
  })
  screed?: Screed;

  @MeasureField({
    label: 'Carbide at most',
    dimension: 'percent',
    unit: { US: 'percent', SI: 'percent' },
    step: { US: '0.1', SI: '0.1' },
    possible: { US: ['0.1', '10'], SI: ['0.1', '10'] },
    help: 'By the maker; left open, by the screed.',
    example: '1.5 %',
    rare: true,
  })
  carbideMost?: string;

  @MeasureField({
    label: 'Emission at most',
    dimension: 'emission',
    unit: { US: 'lb/1000ft2/d', SI: 'ug/m2/s' },
    step: { US: '0.1', SI: '1' },
    possible: { US: ['0.1', '25'], SI: ['5', '1400'] },
    help: 'Only where the maker or the project asks for dishes: then they are wanted as well as holes.',
    example: '',
  })
  emissionMost?: string;

  @MeasureField({
    label: 'pH of the surface at least',
    ...countSpec('0.1', '14'),
    help: 'By the maker; left open, 7.',
    example: '',
  })
  phLow?: string;

  @MeasureField({
    label: 'pH of the surface at most',
    ...countSpec('0.1', '14'),
    help: 'By the maker; left open, 10.',
    example: '11',
  })
  phHigh?: string;

  @ChoiceField({
    label: 'Thickness of what is laid',
    options: LAYERS,
    help: 'Of a coating or a topping: it says how rough the surface has to be.',
    example: '',
  })
  layer?: Layer;

  @MeasureField({
    label: 'Profile, not smoother than chip',
    ...countSpec('1', '10'),
    help: 'By the maker; left open, by the thickness.',
    example: '',
    rare: true,
  })
  profileLow?: string;

  @MeasureField({ label: 'Profile, not rougher than chip', ...countSpec('1', '10'), example: '', rare: true })
  profileHigh?: string;

  @MeasureField({ label: 'Pull-off strength at least', ...PULL_OFF, help: PULL_OFF_HELP, example: '' })
  pullOffLeast?: string;

  @ChoiceField({
    label: 'Points are counted for',
    options: [
      { value: 'level', label: 'The whole level, shared out to its zones' },
      { value: 'zone', label: 'Each zone by itself, which asks for more' },
    ],
    help: 'Left open, the whole level; every zone gets one at the least.',
    example: '',
    rare: true,
  })
  counted?: 'level' | 'zone';

  @TextField({
    label: 'Whose limit',
    help: 'Maker, sheet and its date.',
    example: 'data sheet of the glue, March 2031',
  })
  limitFrom?: string;
}

/** A level of a building. */
export class Lot extends RunInput {
  @TextField({ label: 'Where', help: 'Building, storey.', example: 'waiting hall, ground floor' })
  location?: string;
}

/** A zone: one pour, one enclosure, one kind of slab under one floor. */
export class Zone extends RunInput {
  @TextField({ label: 'Zone', help: 'As it is called on the plan.', required: true, example: 'Zone A' })
  name?: string;

  @ChoiceField({ label: 'Slab', options: SLABS, required: true, example: 'grade' })
  slab?: SlabKind;

  @MeasureField({
    label: 'Area',
    dimension: 'area',
    unit: { US: 'ft2', SI: 'm2' },
    step: { US: '1', SI: '0.1' },
    possible: { US: ['1', '1000000'], SI: ['0.1', '100000'] },
    required: true,
    help: 'How many holes it wants goes by it.',
    example: { US: '2,150 ft2', SI: '198 m2' },
  })
  area?: string;

  @MeasureField({
    label: 'Exterior walls',
    ...countSpec('1', '40'),
    help: 'On or below grade each wants a hole within 3 ft [1 m] of it.',
    example: '2',
  })
  walls?: string;

  @MeasureField({
    label: 'Height of the wall',
    dimension: 'length',
    unit: { US: 'ft', SI: 'm' },
    step: { US: '0.1', SI: '0.01' },
    possible: { US: ['1', '400'], SI: ['0.3', '120'] },
    help: 'Where it is one: a sheet for each 10 ft [3 m] of it, the lowest within 12 in [0.3 m] of the floor.',
    example: '',
  })
  rise?: string;

  @MeasureField({
    label: 'Thickness drawn',
    ...lengthSpec(['0.25', '60'], ['5', '1500']),
    example: { US: '5 in', SI: '125 mm' },
  })
  thickness?: string;

  @ChoiceField({
    label: 'Aggregate',
    options: AGGREGATE,
    required: true,
    example: 'normal',
  })
  aggregate?: Aggregate;

  @ChoiceField({
    label: 'On it now',
    options: TOP,
    help: 'Which tests say anything hangs on it.',
    example: 'bare',
  })
  top?: Top;

  @ChoiceField({
    label: 'Vapour retarder under it',
    options: [
      { value: 'yes', label: 'Yes' },
      { value: 'no', label: 'No' },
      { value: 'unknown', label: 'Not known' },
    ],
    example: 'yes',
  })
  retarder?: 'yes' | 'no' | 'unknown';

  @InstantField({
    label: 'Poured at',
    help: 'As far as the papers say.',
    example: '2030-11-04T07:30:00-05:00',
  })
  pouredAt?: string;

  @InstantField({
    label: 'Closed in at',
    help: 'Roof and windows in.',
    example: '2031-01-06T09:00:00-05:00',
  })
  enclosedAt?: string;

  @InstantField({
    label: 'Dries since',
    help: 'Closed in, and no more water on it.',
    example: '2031-01-20T09:00:00-05:00',
  })
  dryingFrom?: string;

  @CheckField({ label: 'Heating tubes, tendons or conduits in it' })
  inside?: boolean;
}
