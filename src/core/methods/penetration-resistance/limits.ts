import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

export const LIMITS = {
  ...group('Setting of concrete by penetration', standard('ASTM C403/C403M'), {
    'penetration.initial': r('Initial set, resistance', '= 500 psi', '= 3.5 MPa'),
    'penetration.final': r('Final set, resistance', '= 4000 psi', '= 27.6 MPa'),
    'penetration.readings': r('Readings of a specimen', '>= 6'),
    'penetration.fit': r('Readings along their line', '>= 0.98', ourChoice('of the correlation')),
    'penetration.specimens': r('Specimens of a sample', '>= 3'),
    'penetration.step': r('Times of setting, reported to', '= 5 min'),
    'penetration.usual': r('Temperature of the mortar', '68 to 77 degF', '20 to 25 degC'),
    'penetration.first': r(
      'First reading after the water',
      '60 to 360 min',
      ourChoice('hot or accelerated sooner, retarded later'),
    ),
    'penetration.least': r(
      'Force of a reading that can be read',
      '>= 10 lbf',
      '>= 44 N',
      ourChoice('a larger needle'),
    ),
  }),
};
