import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

export const LIMITS = {
  ...group('Masonry units in the tank', standard('ASTM C140/C140M'), {
    'soak.time': r('In the water', '24 to 28 h'),
    'soak.water': r('Water', '60 to 80 degF', '16 to 27 degC'),
    'soak.drain': r(
      'Drained before it is wiped',
      '55 to 65 s',
      ourChoice('one minute, as far as a timer keeps it'),
    ),
    'soak.share': r(
      'Immersed over saturated mass',
      '0.34 to 0.61',
      ourChoice('as usual for units of concrete'),
    ),
  }),
};
