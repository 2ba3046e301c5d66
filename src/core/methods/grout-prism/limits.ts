import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

const C1019 = standard('ASTM C1019');

export const LIMITS = {
  ...group('Grout prisms', C1019, {
    'grout-prism.rate': r('Loading rate in the second half', '28 to 42 psi/s', '0.20 to 0.30 MPa/s'),
    'grout-prism.time': r('Time for the second half of loading, older editions', '60 to 120 s'),
    'grout-prism.side': r('Each side at least', '>= 3 in', '>= 75 mm'),
    'grout-prism.square': r(
      'The two sides differ by at most, of the smaller',
      '<= 5 %',
      ourChoice('the space between four units is square'),
    ),
    'grout-prism.height': r('Height, of the smaller side: twice it, within 5 %', '1.9 to 2.1'),
    'grout-prism.count': r('Prisms of one age', '>= 3'),
    'grout-prism.range': r(
      'Range of the prisms of one age, of their mean',
      '<= 15 %',
      ourChoice('look at caps and sides beyond it'),
    ),
  }),
};
