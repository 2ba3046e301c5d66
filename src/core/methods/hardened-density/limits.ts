import { group, r } from '../../limits/row';
import { commonPractice, ourChoice, standard } from '../../working';

export const LIMITS = {
  ...group('Hardened density and voids', standard('ASTM C642'), {
    'voids.oven': r('In the oven, and between two dry weighings', '>= 24 h'),
    'voids.oven-temperature': r('Oven', '212 to 230 degF', '100 to 110 degC'),
    'voids.dry-alike': r('Two dry masses in a row differ, of the lesser', '<= 0.5 %'),
    'voids.soak': r('In water', '>= 48 h'),
    'voids.soak-between': r('Between two wet weighings', '>= 24 h'),
    'voids.wet-alike': r('Two wet masses in a row differ, of the larger', '<= 0.5 %'),
    'voids.boil': r('Boiled', '>= 5 h'),
    'voids.cool': r('Cooled in its water, by itself', '>= 14 h'),
    'voids.piece': r('A piece, by its volume', '>= 350 mL'),
    'voids.grace': r(
      'A weighing earlier than that by no more than',
      '= 15 min',
      ourChoice('counts all the same'),
    ),
    'voids.density-step': r('Density reported to', '= 0.5 lb/ft3', '= 10 kg/m3'),
    'voids.percent-step': r('Absorption and voids reported to', '= 0.1 %'),
    'voids.water': r('Density of water at 21 to 23 °C', '= 62.3 lb/ft3', '= 1000 kg/m3'),
    'voids.usual-density': r(
      'Dry density of concrete of normal weight',
      '131 to 162 lb/ft3',
      '2100 to 2600 kg/m3',
      commonPractice,
    ),
    'voids.usual-absorption': r('Absorption after immersion, usually', '3 to 8 %', commonPractice),
    'voids.usual': r('Voids, usually', '8 to 18 %', commonPractice),
  }),
};
