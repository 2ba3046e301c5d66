import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

export const LIMITS = {
  ...group('Cores of pipe', standard('ASTM C497/C497M'), {
    'pipe-core.aggregate': r('Diameter of the largest aggregate', '>= 3'),
    'pipe-core.agreed': r('Diameter of the largest aggregate, where that is agreed', '>= 2'),
    'pipe-core.most': r('Length of the diameter', '<= 2.1', ourChoice('longer is trimmed')),
    'pipe-core.spread': r('Diameters apart, of their mean', '<= 2 %', ourChoice('more is no cylinder')),
    'pipe-core.step': r('Strength, reported to', '= 10 psi', '= 0.1 MPa'),
    'pipe-core.others': r(
      'Other pipes that are cored after a recore failed',
      '= 2',
      standard('ASTM C76/C76M'),
    ),
  }),
};
