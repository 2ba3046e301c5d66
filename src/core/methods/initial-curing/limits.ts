import { group, r } from '../../limits/row';
import { commonPractice, ourChoice, standard } from '../../working';

const C31 = standard('ASTM C31/C31M');
const C511 = standard('ASTM C511');
const IS_516 = standard('IS 516');
const C1077 = standard('ASTM C1077');
const EN_12390_2 = standard('EN 12390-2');

export const LIMITS = {
  ...group('Initial curing', commonPractice, {
    'curing.initial': r('Initial curing on site', '<= 48 h', C31),
    'curing.initial-temperature': r(
      'Temperature, specified strength under the dividing strength',
      '60 to 80 degF',
      '16 to 27 degC',
      C31,
    ),
    'curing.initial-temperature-high': r(
      'Temperature, specified strength at or over the dividing strength',
      '68 to 78 degF',
      '20 to 26 degC',
      C31,
    ),
    'curing.dividing-strength': r(
      'Specified strength from which the narrower range holds',
      '>= 6000 psi',
      '>= 40 MPa',
      C31,
    ),
    'curing.logger-interval': r(
      'Between two readings of a recorder',
      '<= 15 min',
      ourChoice('fine enough for an hour'),
    ),
    'curing.gap': r(
      'A gap in the record counts as unknown from this many intervals on, and over an hour',
      '= 4',
      ourChoice('shown apart'),
    ),
    'curing.near': r(
      'This near an end of its range the box is looked after',
      '<= 2 deltaF',
      '<= 1 deltaC',
      ourChoice('before it is out'),
    ),
    'curing.unplugged': r(
      'This near the outdoor extremes on both sides, the box is taken for unplugged',
      '<= 2 deltaF',
      '<= 1 deltaC',
      ourChoice('a heated and cooled box does not follow the weather'),
    ),
    'curing.set-floor': r('Earliest final set that an estimate gives', '>= 4 h', ourChoice('a floor')),
    'curing.set-40': r('Final set after batching at 40 °F', '= 14 h'),
    'curing.set-50': r('Final set after batching at 50 °F', '= 11 h'),
    'curing.set-60': r('Final set after batching at 60 °F', '= 8 h'),
    'curing.set-70': r('Final set after batching at 70 °F', '= 6 h'),
    'curing.set-80': r('Final set after batching at 80 °F', '= 4 h'),
    'curing.set-90': r('Final set after batching at 90 °F', '= 2.6666666667 h'),
    'curing.set-100': r('Final set after batching at 100 °F', '= 1.6666666667 h'),
  }),
  ...group('Transport', C31, {
    'curing.after-set': r('After final set before specimens are moved', '>= 8 h'),
    'curing.transport': r('In transport', '<= 4 h'),
  }),
  ...group('Final curing', C31, {
    'curing.bare': r('Mould off to wet', '<= 30 min'),
    'curing.final-temperature': r('Temperature of tank or room', '70 to 77 degF', '21 to 25 degC', C511),
    'curing.beam-soak': r('Standard-cured beams in lime water before the test', '>= 20 h'),
    'curing.field-beam-off': r('Field-cured beams: moulds off and stored', '44 to 52 h'),
    'curing.field-beam-soak': r('Field-cured beams in lime water before the test', '20 to 28 h'),
    'curing.demould': r('Moulds off; schools that count it', '<= 48 h'),
    'curing.arrival': r('In the laboratory before the test; schools that count it', '>= 24 h', IS_516),
    'curing.lime': r('Lime that saturates a gallon [litre] of water', '= 0.4 oz', '= 3 g', C511),
    'curing.tank-stirred': r('Months between stirrings of the tank', '<= 1', C511),
    'curing.tank-cleaned': r('Months between cleanings of the tank', '<= 24', C511),
    'curing.recorder-reviewed': r('Between reviews of the temperature record', '<= 7 d', C511),
    'curing.recorder-checked': r('Months between checks of the recorder', '<= 6', C1077),
  }),
  ...group('Agency, strict: rows that differ', commonPractice, {
    'agency/curing.on-site': r('On site before collection', '20 to 48 h'),
  }),
  ...group('EN: rows that differ', EN_12390_2, {
    'en/curing.initial-temperature': r(
      'Temperature before moulds come off',
      '59 to 77 degF',
      '15 to 25 degC',
    ),
    'en/curing.initial-temperature-high': r(
      'Temperature before moulds come off, any strength',
      '59 to 77 degF',
      '15 to 25 degC',
    ),
    'en/curing.demould': r('Moulds off after casting', '16 to 72 h'),
    'en/curing.initial': r('In the mould on site', '<= 72 h'),
    'en/curing.final-temperature': r('Temperature of the water', '65 to 71 degF', '18 to 22 degC'),
  }),
  ...group('IS: rows that differ', IS_516, {
    'is/curing.initial-temperature': r(
      'Temperature on site before moulds come off',
      '72 to 90 degF',
      '22 to 32 degC',
    ),
    'is/curing.initial-temperature-high': r(
      'Temperature on site before moulds come off, any strength',
      '72 to 90 degF',
      '22 to 32 degC',
    ),
    'is/curing.demould': r('Moulds off after water was added', '23.5 to 24.5 h'),
    'is/curing.site-water': r('Water the cubes are kept in on site', '75 to 86 degF', '24 to 30 degC'),
    'is/curing.final-temperature': r('Temperature of the water', '77 to 84 degF', '25 to 29 degC'),
  }),
};
