import { group, r } from '../../limits/row';
import { commonPractice, ourChoice, standard } from '../../working';

export const LIMITS = {
  ...group('Density by water', standard('EN 12390-7'), {
    'weighed.water': r('Density of the water', '= 62.3 lb/ft3', '= 998 kg/m3'),
    'weighed.temperature': r('Water', '64 to 72 degF', '18 to 22 degC'),
    'weighed.step': r('Density reported to', '= 0.5 lb/ft3', '= 10 kg/m3'),
    'weighed.usual': r(
      'Density of concrete of normal weight',
      '137 to 162 lb/ft3',
      '2200 to 2600 kg/m3',
      commonPractice,
    ),
    'weighed.fresh': r(
      'Of the fresh density of its batch',
      '98.5 to 101.5 %',
      ourChoice('closes the volume'),
    ),
    'weighed.far': r('Of it, with no mass wrong', '95 to 105 %', ourChoice('beyond it is another concrete')),
    'weighed.inside': r(
      'What is in it, of the whole mass',
      '<= 10 %',
      ourChoice('a reinforced beam has less'),
    ),
    'weighed.air-costs': r('Strength that a percent of air more costs, about', '= 5 %', commonPractice),
  }),
};
