import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

const C1019 = standard('ASTM C1019');

/** How grout is sampled, and what it is held against. */
export const LIMITS = {
  ...group('Grout', C1019, {
    'grout.strength': r('Strength of grout at 28 d', '>= 2000 psi', '>= 13.8 MPa', standard('ASTM C476')),
    'grout.slump': r('Slump of grout', '8 to 11 in', '200 to 280 mm', standard('ASTM C476')),
    'grout.stand': r('In the moulds where they were filled', '24 to 48 h'),
    'grout.air': r('Where they stand', '60 to 80 degF', '16 to 27 degC'),
    'grout.side': r('Side of the space between the units', '>= 3 in', '>= 75 mm'),
    'grout.high': r(
      'Height over side that the space is built for',
      '= 2',
      ourChoice('as the prism is tested'),
    ),
  }),
};
