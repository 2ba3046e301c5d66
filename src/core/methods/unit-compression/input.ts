import { CheckField, ChoiceField, MeasureField } from '../fields';
import { PLATE, SECOND_HALF, UNBROKEN } from '../masonry-press/field-specs';
import { BEARING, CONDITION } from '../masonry-press/school';
import { InPressInput } from '../press';
import { OVERALL } from '../unit-absorption/sizes';

/** The readings of a unit in the press, from its sizes to the break. */
export class UnitCompressionInput extends InPressInput {
  @ChoiceField({
    label: 'Moisture seen',
    required: true,
    options: [
      { value: 'none', label: 'None' },
      {
        value: 'damp',
        label: 'Damp',
        means: {
          id: 'unit.damp',
          severity: 'invalid',
          beforeLoad: true,
          message: 'Moisture is seen on the unit.',
          action: 'Back to conditioning: damp units break lower. Wet sawing means the same.',
        },
      },
      {
        value: 'oven',
        label: 'It was in the oven',
        means: {
          id: 'unit.oven-dried',
          severity: 'invalid',
          beforeLoad: true,
          message: 'A unit for strength never goes into the oven.',
          action: 'Take a spare.',
        },
      },
    ],
    example: 'none',
  })
  moisture?: 'none' | 'damp' | 'oven';

  @MeasureField({
    label: 'Width, top',
    ...OVERALL,
    help: 'Before it is capped. Of a coupon its thickness.',
    example: { US: '7.63', SI: '193.8' },
  })
  width1?: string;

  @MeasureField({ label: 'Width, bottom', ...OVERALL, example: { US: '7.62', SI: '193.6' } })
  width2?: string;

  @MeasureField({ label: 'Height, one face', ...OVERALL, example: { US: '7.62', SI: '193.6' } })
  height1?: string;

  @MeasureField({ label: 'Height, face opposite', ...OVERALL, example: { US: '7.62', SI: '193.6' } })
  height2?: string;

  @MeasureField({ label: 'Length, one face', ...OVERALL, example: { US: '15.62', SI: '396.8' } })
  length1?: string;

  @MeasureField({ label: 'Length, face opposite', ...OVERALL, example: { US: '15.63', SI: '397.0' } })
  length2?: string;

  @ChoiceField(BEARING)
  bearing?: 'ground' | 'mortar' | 'plywood';

  @ChoiceField(CONDITION)
  condition?: 'air' | 'oven' | 'wet';

  @MeasureField(PLATE)
  plate?: string;

  @MeasureField(SECOND_HALF)
  secondHalf?: string;

  @CheckField(UNBROKEN)
  unbroken?: boolean;
}
