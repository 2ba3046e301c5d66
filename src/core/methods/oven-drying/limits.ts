import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

export const LIMITS = {
  ...group('Oven', standard('ASTM C140/C140M'), {
    'oven.first': r('In the oven before the first weighing counts', '>= 24 h'),
    'oven.temperature': r('Oven', '221 to 239 degF', '105 to 115 degC'),
    'oven.stop': r(
      'Oven at its hottest, above which nothing counts',
      '<= 300 degF',
      '<= 149 degC',
      ourChoice('cement paste gives off more than its free water'),
    ),
  }),
};
