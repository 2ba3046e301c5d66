import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

export const LIMITS = {
  ...group('Factor K of a site', ourChoice('the method leaves it open'), {
    'site-factor.fewest': r('Pairs below which no factor of the site is used', '>= 5'),
    'site-factor.wanted': r('Pairs that are wanted', '>= 10'),
    'site-factor.usual': r(
      'Strength over index, as found on different rocks',
      '15 to 50',
      standard('ISRM suggested method, point load strength, 1985'),
    ),
    'site-factor.span': r('Greatest over least index of the pairs', '>= 2'),
    'site-factor.apart': r('Core and pieces of a pair from one place, apart', '<= 1.6 ft', '<= 0.5 m'),
    'site-factor.off': r('Pair off the line, in standard deviations', '<= 2.5'),
    'site-factor.step': r('Factor said to', '= 0.1'),
  }),
};
