import { group, r } from '../../limits/row';
import { commonPractice, ourChoice, standard } from '../../working';

const C469 = standard('ASTM C469/C469M');
const EN_12390_13 = standard('EN 12390-13');

export const LIMITS = {
  ...group('Static modulus', EN_12390_13, {
    'modulus.rate': r('Loading rate, up and down', '28 to 42 psi/s', '0.20 to 0.30 MPa/s', C469),
    'modulus.share': r('Upper stress, of the companion strength', '= 40 %', C469),
    'modulus.spoiled': r(
      'Beyond this the specimen is spoiled for modulus, of the companion strength',
      '<= 45 %',
      ourChoice('cracking has begun'),
    ),
    'modulus.agree': r(
      'Loadings two and three, of their mean',
      '<= 5 %',
      ourChoice('a slipping gauge shows here'),
    ),
    'modulus.step': r('Modulus reported to', '= 50000 psi', '= 200 MPa', C469),
    'modulus.poisson': r('Poisson’s ratio usual', '0.10 to 0.25', commonPractice),
    'modulus.usual': r(
      'Modulus usual, of 57,000 √f′c psi (4,700 √f′c MPa)',
      '0.75 to 1.25',
      ourChoice('recheck units and arms outside'),
    ),
    'en/modulus.rate': r('Loading rate, up and down, EN', '58 to 116 psi/s', '0.4 to 0.8 MPa/s'),
    'en/modulus.share': r('Upper stress, of the companion strength, EN: a third', '= 33.3333333 %'),
    'en/modulus.lower-share': r('Lower stress, of the companion strength, EN: 10 to 15 %', '= 10 %'),
    'en/modulus.agree': r('Strains at the upper stress, loadings two and three, EN', '<= 10 %'),
    'en/modulus.step': r('Modulus reported to, EN', '= 10000 psi', '= 100 MPa'),
  }),
};
