import { group, r } from '../../limits/row';
import { commonPractice, ourChoice, standard } from '../../working';

export const LIMITS = {
  ...group('Emission of a slab', standard('ASTM F1869'), {
    'emission.time': r('Dish open under its cover', '60 to 72 h'),
    'emission.bare': r('Surface ground and bare before', '>= 24 h'),
    'emission.factor': r('From grams, area and hours to the emission', '= 52.91', '= 277.78'),
    'emission.step': r('Emission reported to', '= 0.1 lb/1000ft2/d', '= 1 ug/m2/s'),
    'emission.balance-step': r('Balance reads to', '= 0.1 g'),
  }),
  ...group('Emission of a slab', commonPractice, {
    'floor.emission': r('Emission, the maker of the floor silent', '<= 3 lb/1000ft2/d', '<= 170 ug/m2/s'),
  }),
  ...group('Emission of a slab', ourChoice('how a dish is judged'), {
    'emission.printed': r('Dish off the mass printed on it', '<= 0.2 g'),
    'emission.gain': r('Gain of a dish that still draws evenly', '<= 5.2 g'),
  }),
};
