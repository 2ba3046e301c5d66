import { CheckField, ChoiceField, MeasureField, RunInput, TextField } from '../../methods/fields';
import { EXPOSURES, type Exposure, SLUMP_CLASSES, SLUMP_KINDS, type SlumpClass } from '../../methods/kinds';
import { RATIO_RANGE, SPECIFIED, type SpecifiedName } from '../../methods/specified';
import type { System } from '../../quantity';

/** What can be asked of a concrete at all, as a field. */
function measure(name: SpecifiedName, step: Readonly<Record<System, string>>) {
  const { dimension, US, SI } = SPECIFIED[name];
  const ends = ([, low, high]: readonly [string, number, number]): [string, string] => [
    String(low),
    String(high),
  ];
  return {
    dimension,
    unit: { US: US[0], SI: SI[0] },
    step,
    possible: { US: ends(US), SI: ends(SI) },
  } as const;
}

const TENTH = { US: '0.1', SI: '0.1' } as const;
const WHOLE = { US: '1', SI: '1' } as const;
const choices = (all: readonly string[]) => all.map((value) => ({ value, label: value }));

/** What is asked of a concrete. */
export class Asked extends RunInput {
  @MeasureField({
    label: 'Specified strength f′c',
    ...measure('specifiedStrength', { US: '10', SI: '0.1' }),
    help: 'Compressive; or a flexural strength below.',
    example: { US: '4,500', SI: '30' },
  })
  specifiedStrength?: string;

  @MeasureField({
    label: 'At, days',
    dimension: 'ratio',
    unit: { US: 'one', SI: 'one' },
    step: WHOLE,
    possible: { US: ['1', '365'], SI: ['1', '365'] },
    whole: true,
    required: true,
    example: '28',
  })
  ageDays?: string;

  @MeasureField({
    label: 'Flexural strength',
    ...measure('flexuralStrength', { US: '5', SI: '0.05' }),
    help: 'Of beams, where the project asks for it: pavements, slabs on ground.',
    example: { US: '610 psi', SI: '4.2 MPa' },
  })
  flexuralStrength?: string;

  @ChoiceField({
    label: 'Beams are loaded',
    options: [
      { value: 'third', label: 'At the third points' },
      { value: 'centre', label: 'In the middle' },
    ],
    help: 'One never stands for the other. Where it is not said, at the third points.',
    example: '',
  })
  flexuralLoading?: 'third' | 'centre';

  @ChoiceField({
    label: 'Flexural tests are judged',
    options: [
      { value: 'rows', label: 'Some in a row, and each' },
      { value: 'lots', label: 'Placement by placement, by the share within limits' },
    ],
    help: 'The second for airfields and what is written like them. Where it is not said, the first.',
    example: '',
  })
  flexuralJudged?: 'rows' | 'lots';

  @MeasureField({
    label: 'Flexural strength at, days',
    dimension: 'ratio',
    unit: { US: 'one', SI: 'one' },
    step: WHOLE,
    possible: { US: ['1', '365'], SI: ['1', '365'] },
    whole: true,
    help: 'Where it is not the age above.',
    example: '',
  })
  flexuralDays?: string;

  @MeasureField({
    label: 'Opening to traffic at',
    ...measure('flexuralStrength', { US: '5', SI: '0.05' }),
    help: 'Flexural strength of beams cured with the slab.',
    example: { US: '480 psi', SI: '3.3 MPa' },
  })
  openingStrength?: string;

  @ChoiceField({
    label: 'Slump is specified as',
    options: [
      { value: SLUMP_KINDS[0], label: 'Target' },
      { value: SLUMP_KINDS[1], label: 'Maximum' },
    ],
    example: 'target',
  })
  slumpKind?: (typeof SLUMP_KINDS)[number];

  @MeasureField({
    label: 'Slump',
    ...measure('slump', { US: '0.25', SI: '5' }),
    example: { US: '4 1/4 in', SI: '110 mm' },
  })
  slump?: string;

  @MeasureField({
    label: 'Highest concrete temperature',
    ...measure('temperatureMaximum', WHOLE),
    example: { US: '90 °F', SI: '32 °C' },
  })
  temperatureMaximum?: string;

  @MeasureField({
    label: 'Lowest concrete temperature',
    ...measure('temperatureMaximum', WHOLE),
    possible: { US: ['20', '100'], SI: ['-7', '38'] },
    example: { US: '50 °F', SI: '10 °C' },
  })
  temperatureMinimum?: string;

  @ChoiceField({ label: 'Slump class (EN)', options: choices(SLUMP_CLASSES), example: '' })
  slumpClass?: SlumpClass;

  @MeasureField({
    label: 'Slump flow',
    ...measure('slumpFlow', { US: '0.5', SI: '10' }),
    example: { US: '25 in', SI: '640 mm' },
  })
  slumpFlow?: string;

  @MeasureField({
    label: 'Nominal aggregate',
    ...measure('aggregate', { US: '0.125', SI: '1' }),
    example: { US: '3/4 in', SI: '19 mm' },
  })
  aggregate?: string;

  @MeasureField({ label: 'Air', ...measure('air', TENTH), help: 'Target.', example: '6 %' })
  air?: string;

  @ChoiceField({ label: 'Exposure to frost', options: choices(EXPOSURES), example: '' })
  exposure?: Exposure;

  @CheckField({ label: 'Reduced air permitted by the project', help: 'Above 5,000 psi [35 MPa].' })
  airReduced?: boolean;

  @ChoiceField({
    label: 'Air is tested by',
    options: [
      { value: 'pressure', label: 'Pressure' },
      { value: 'volumetric', label: 'Volumetric' },
    ],
    help: 'Where it is not said, by pressure.',
    example: '',
  })
  airMethod?: 'pressure' | 'volumetric';

  @MeasureField({
    label: 'Aggregate correction',
    ...measure('aggregateFactor', TENTH),
    help: 'For the pressure meter.',
    example: '0.4 %',
  })
  aggregateFactor?: string;

  @MeasureField({
    label: 'Fresh density',
    ...measure('density', TENTH),
    example: { US: '145 lb/ft³', SI: '2330 kg/m³' },
  })
  density?: string;

  @MeasureField({
    label: 'Water-cementitious ratio',
    dimension: 'ratio',
    unit: { US: 'one', SI: 'one' },
    step: { US: '0.01', SI: '0.01' },
    possible: {
      US: [String(RATIO_RANGE[0]), String(RATIO_RANGE[1])],
      SI: [String(RATIO_RANGE[0]), String(RATIO_RANGE[1])],
    },
    help: 'At most.',
    example: '0.45',
  })
  waterRatio?: string;

  @TextField({
    label: 'Its cement is tested as',
    help: 'By its code: then it is asked whether this concrete follows it.',
    example: '',
  })
  cementCode?: string;

  @MeasureField({
    label: 'Cementitious material',
    ...measure('cementitious', WHOLE),
    example: { US: '564 lb/yd³', SI: '335 kg/m³' },
  })
  cementitious?: string;

  @MeasureField({
    label: 'Water',
    ...measure('water', WHOLE),
    example: { US: '240 lb/yd³', SI: '142 kg/m³' },
  })
  water?: string;

  @CheckField({
    label: 'Bleeds little',
    help: 'Silica fume, low water-cementitious ratio: cracks below the usual limit of evaporation.',
  })
  bleedsLittle?: boolean;
}
