import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

const D2216 = standard('ASTM D2216');

export const LIMITS = {
  ...group('Water content of rock', D2216, {
    'water.oven': r('Oven', '221 to 239 degF', '105 to 115 degC'),
    'water.gentle': r(
      'Oven, where minerals lose water of their own',
      '131 to 149 degF',
      '55 to 65 degC',
      ourChoice('60 °C, five degrees either way'),
    ),
    'water.first': r('From the oven to the first weighing that counts', '>= 12 h'),
    'water.every': r('From one weighing to the next that counts', '>= 1 h'),
    'water.loss': r('Loss between two weighings, of the dry mass', '<= 0.1 %'),
    'water.mass': r('Dry mass of the pieces', '>= 500 g'),
    'water.most': r(
      'Water content that rock can have',
      '<= 30 %',
      ourChoice('more was divided by the wrong mass, or is soil'),
    ),
    'water.kept': r(
      'From the strength test to the weighing',
      '<= 1 h',
      ourChoice('pieces dry while they lie about'),
    ),
    'water.step-b': r('Reported to, method B', '= 0.1 %'),
    'water.step-a': r('Reported to, method A', '= 1 %'),
    'water.apart': r(
      'Water contents of one group apart',
      '<= 2',
      ourChoice('more are two states of moisture'),
    ),
  }),
};
