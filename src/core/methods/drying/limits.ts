import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

const C140 = standard('ASTM C140/C140M');

export const LIMITS = {
  ...group('Drying to constant mass', C140, {
    'drying.every': r('From one weighing to the next that counts', '>= 2 h'),
    'drying.grace': r(
      'A weighing earlier than that by no more than',
      '= 5 min',
      ourChoice('counts all the same'),
    ),
    'drying.loss': r('Loss between two weighings, of the one before', '<= 0.2 %'),
    'drying.gain': r(
      'Gain between two weighings that is taken for no loss',
      '<= 0.05 %',
      ourChoice('a balance’s own'),
    ),
    'drying.shrink': r(
      'Each loss, of the one before, where nothing better is known',
      '= 0.60',
      ourChoice('for a guess of the next weighing'),
    ),
    'drying.spread': r(
      'The same more or less, for how sure the guess is',
      '= 0.1',
      ourChoice('as ovens differ'),
    ),
    'drying.more': r('Weighings still to come', '<= 4', ourChoice('more point at the oven')),
  }),
};
