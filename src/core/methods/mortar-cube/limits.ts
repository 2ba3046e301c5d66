import { group, r } from '../../limits/row';
import { standard } from '../../working';

const C109 = standard('ASTM C109/C109M');

export const LIMITS = {
  ...group('Mortar cubes', C109, {
    'mortar-cube.rate': r('Load rate on a 2 in [50 mm] cube', '200 to 400 lbf/s', '0.9 to 1.8 kN/s'),
    'mortar-cube.area': r(
      'Cross-section against the nominal one; beyond it the measured one counts',
      '± 1.5 %',
    ),
    'mortar-cube.range-3': r('Range of three cubes, of their mean', '<= 8.7 %'),
    'mortar-cube.range-2': r('Range of two cubes, of their mean', '<= 7.6 %'),
    'mortar-cube.age-24h': r('Age tolerance at 24 h', '± 0.5 h'),
    'mortar-cube.age-3d': r('Age tolerance at 3 d', '± 1 h'),
    'mortar-cube.age-7d': r('Age tolerance at 7 d', '± 3 h'),
    'mortar-cube.age-28d': r('Age tolerance at 28 d and later', '± 12 h'),
  }),
};
