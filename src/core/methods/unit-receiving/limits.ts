import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

export const LIMITS = {
  ...group('Masonry units: received', standard('ASTM C140/C140M'), {
    'unit.received-range': r(
      'Received masses of a set apart, of their mean',
      '<= 5 %',
      ourChoice('more is another unit, or a digit'),
    ),
  }),
};
