import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

const C496 = standard('ASTM C496/C496M');
const EN_12390_6 = standard('EN 12390-6');
const IS_5816 = standard('IS 5816');

export const LIMITS = {
  ...group('Splitting tensile', C496, {
    'splitting.rate': r('Loading rate, to failure', '100 to 200 psi/min', '0.7 to 1.4 MPa/min'),
    'splitting.step': r('Strength reported to', '= 5 psi', '= 0.05 MPa'),
    'splitting.range': r('Two cylinders of one sample, of their mean', '<= 14 %'),
    'splitting.usual': r(
      'Splitting strength usual, of 6.7 √f′c psi (0.56 √f′c MPa)',
      '0.6 to 1.4',
      ourChoice('sanity only'),
    ),
    'en/splitting.rate': r(
      'Loading rate, to failure, EN',
      '348 to 522 psi/min',
      '2.4 to 3.6 MPa/min',
      EN_12390_6,
    ),
    'is/splitting.rate': r(
      'Loading rate, to failure, IS',
      '174 to 348 psi/min',
      '1.2 to 2.4 MPa/min',
      IS_5816,
    ),
  }),
};
