import { ChoiceField, MeasureField, RunInput, TextField } from '../../methods/fields';
import { PULL_STANDARDS, type PullStandard } from '../../methods/pull/standards';
import { PULL_OFF, PULL_OFF_HELP } from '../../methods/pull/strength';
import { countSpec, percentSpec } from '../../methods/specs';

/** What lies on it, and what it has to bear. */
export class Asked extends RunInput {
  @ChoiceField({ label: 'Pulled by', options: PULL_STANDARDS, required: true, example: 'd4541' })
  pullBy?: PullStandard;

  @TextField({
    label: 'Coats',
    help: 'From what they lie on outwards, with their letters: A steel, B primer 3 mil, C epoxy 6 mil; A concrete, B resin, C fibre sheet.',
    required: true,
    example: 'A steel, B zinc primer 3 mil, C epoxy 7 mil',
  })
  coats?: string;

  @MeasureField({
    label: 'Every pull at least',
    ...PULL_OFF,
    help: PULL_OFF_HELP,
    example: { US: '800', SI: '5.5' },
  })
  pullOffLeast?: string;

  @MeasureField({ label: 'Their mean at least', ...PULL_OFF, example: '' })
  pullOffMean?: string;

  @MeasureField({
    label: 'Pulls of an area',
    ...countSpec('1', '60'),
    help: 'Left open, three.',
    example: '',
  })
  pulls?: string;

  @MeasureField({
    label: 'Share in the glue at most',
    ...percentSpec('1', '100'),
    help: 'Above it a number is only at least so much. Left open, 50 %.',
    example: '',
  })
  glueMost?: string;

  @MeasureField({
    label: 'A/B only from',
    ...PULL_OFF,
    help: 'Some allow a break between first coat and metal only from a stress on.',
    example: '',
  })
  noFirstBelow?: string;

  @TextField({
    label: 'Whose limit',
    help: 'Specification and its date.',
    example: 'coating specification, May 2031',
  })
  limitFrom?: string;
}

/** What is coated or overlaid: a ramp, a tank, a deck. */
export class Lot extends RunInput {
  @TextField({ label: 'Where', help: 'Structure, side, level.', example: 'ramp 2, underside' })
  location?: string;
}

/** An area that is judged by itself. */
export class Area extends RunInput {
  @TextField({ label: 'Area', help: 'As it is called on the drawing.', required: true, example: 'Panel 3' })
  name?: string;

  @MeasureField({
    label: 'Size',
    dimension: 'area',
    unit: { US: 'ft2', SI: 'm2' },
    step: { US: '1', SI: '0.1' },
    possible: { US: ['0.1', '1000000'], SI: ['0.01', '100000'] },
    help: 'How many pulls it wants goes by it.',
    example: { US: '460 ft2', SI: '43 m2' },
  })
  area?: string;

  @ChoiceField({
    label: 'It lies',
    options: [
      { value: 'floor', label: 'Flat, from above' },
      { value: 'wall', label: 'Upright' },
      { value: 'over', label: 'Overhead' },
    ],
    example: 'floor',
  })
  lies?: 'floor' | 'wall' | 'over';

  @TextField({ label: 'Film, as measured', help: 'Of each coat, where it is known.', example: '' })
  films?: string;
}
