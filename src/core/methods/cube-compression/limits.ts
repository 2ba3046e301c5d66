import { group, r } from '../../limits/row';
import { standard } from '../../working';

const EN_12390_3 = standard('EN 12390-3');
const IS_516 = standard('IS 516');
const EN_12390_1 = standard('EN 12390-1');
const EN_206 = standard('EN 206');
const IS_456 = standard('IS 456');

export const LIMITS = {
  ...group('Cube compression', EN_12390_3, {
    'cube.rate': r('Loading rate', '58 to 116 psi/s', '0.4 to 0.8 MPa/s'),
    'is/cube.rate': r(
      'Loading rate, IS: 14 N/mm² a minute; the band is ours',
      '1624 to 2437 psi/min',
      '11.2 to 16.8 MPa/min',
      IS_516,
    ),
    'cube.side': r('Side against the designated size', '± 1.0 %', EN_12390_1),
    'cube.step': r('Strength reported to', '= 10 psi', '= 0.1 MPa'),
    'is/cube.step': r('Strength reported to, IS', '= 50 psi', '= 0.5 MPa', IS_516),
    'cube.set-range': r('Range of the cubes of one sample, of their mean', '<= 15 %', EN_206),
    'cube.set-each': r('Each cube from the mean of its sample, IS', '± 15 %', IS_456),
    'cube.count': r('Cubes in a result, IS', '>= 3', IS_456),
  }),
};
