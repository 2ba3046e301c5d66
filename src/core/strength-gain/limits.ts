import { group, r } from '../limits/row';
import { ourChoice } from '../working';

export const LIMITS = {
  ...group('Strength gain', ourChoice('a prediction decides nothing; it tells when to look'), {
    'gain.shown': r('Pairs of a mix from which its own line is shown', '>= 10'),
    'gain.relied': r('Pairs of a mix from which its own line is relied on', '>= 30'),
    'gain.usual-7': r('7 days of 28, usual share', '= 0.70'),
    'gain.range-7': r('7 days of 28, shares that are met', '0.60 to 0.82'),
    'gain.usual-3': r('3 days of 28, usual share', '= 0.48'),
    'gain.range-3': r('3 days of 28, shares that are met', '0.36 to 0.66'),
    'gain.look': r(
      'Chance of coming to what is asked, below which the early break is looked into',
      '>= 90 %',
    ),
  }),
};
