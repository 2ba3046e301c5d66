import { CheckField, ChoiceField, InstantField, MeasureField } from '../fields';
import { MASS } from '../mass-spec';
import { InPressInput, OUT_OF_MOIST } from '../press';
import {
  CONDITION,
  CRACK,
  FIBRE_RATE,
  FIXTURE,
  type Gap,
  GOING,
  gapAt,
  INTO_WATER,
  MADE,
  OVERHANG_LEFT,
  OVERHANG_RIGHT,
  PLACES,
  PRELOAD,
  ROLLERS,
  SIDE,
  SIZES,
  SPAN,
  STONES,
  WET,
} from './field-specs';

/** What is read of every beam that is bent to its break, whatever loads it. */
export abstract class BeamInput extends InPressInput {
  @ChoiceField(MADE)
  made?: 'moulded' | 'sawn';

  @InstantField(INTO_WATER)
  waterFrom?: string;

  @MeasureField({
    label: 'Lime water',
    dimension: 'temperature',
    unit: { US: 'degF', SI: 'degC' },
    step: { US: '1', SI: '0.5' },
    possible: { US: ['32', '120'], SI: ['0', '50'] },
    carry: true,
    aside: true,
    example: { US: '73', SI: '23' },
  })
  waterTemperature?: string;

  @InstantField({
    ...OUT_OF_MOIST,
    label: 'Out of the water at',
    help: 'The others stay in until it is their turn.',
  })
  outOfMoistAt?: string;

  @ChoiceField(WET)
  surface?: 'moist' | 'dry' | 'field';

  @ChoiceField(CONDITION)
  condition?: 'sound' | 'marks' | 'honeycomb' | 'cracked';

  @MeasureField({
    label: 'Mass',
    ...MASS,
    aside: true,
    help: 'Wet, surface wiped.',
    example: { US: '63.4', SI: '28.6' },
  })
  mass?: string;

  @ChoiceField(SIDE)
  side?: 'side' | 'top' | 'sawn';

  @CheckField(ROLLERS)
  rollers?: boolean;

  @MeasureField(SPAN)
  span?: string;

  @MeasureField(OVERHANG_LEFT)
  overhangLeft?: string;

  @MeasureField(OVERHANG_RIGHT)
  overhangRight?: string;

  @MeasureField(FIXTURE)
  fixture?: string;

  @MeasureField(PRELOAD)
  preload?: string;

  @ChoiceField(gapAt('gapSupportLeft'))
  gapSupportLeft?: Gap;

  @ChoiceField(gapAt('gapSupportRight'))
  gapSupportRight?: Gap;

  @MeasureField(FIBRE_RATE)
  loadingRate?: string;

  @ChoiceField(GOING)
  going?: 'steady' | 'fast half' | 'again' | 'broken off';

  @MeasureField(PLACES.a1)
  a1?: string;

  @MeasureField(PLACES.a2)
  a2?: string;

  @MeasureField(PLACES.a3)
  a3?: string;

  @MeasureField(SIZES.width1)
  width1?: string;

  @MeasureField(SIZES.width2)
  width2?: string;

  @MeasureField(SIZES.width3)
  width3?: string;

  @MeasureField(SIZES.depth1)
  depth1?: string;

  @MeasureField(SIZES.depth2)
  depth2?: string;

  @MeasureField(SIZES.depth3)
  depth3?: string;

  @ChoiceField(CRACK)
  crack?: 'clean' | 'shear' | 'honeycomb' | 'inclusion';

  @MeasureField(STONES)
  stones?: string;
}
