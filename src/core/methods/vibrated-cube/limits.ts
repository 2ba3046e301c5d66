import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

export const LIMITS = {
  ...group('Vibrated cubes', standard('IS 4031-6'), {
    'vibrated-cube.area': r('Face that the load is divided by', '= 7.75 in2', '= 5000 mm2'),
    'vibrated-cube.rate': r(
      'Load rate: 35 N/mm² a minute, on that face',
      '623 to 690 lbf/s',
      '2.77 to 3.07 kN/s',
      ourChoice('5 % around 2.92 kN/s'),
    ),
    'vibrated-cube.step': r('Strength, reported to', '= 50 psi', '= 0.5 MPa'),
    'vibrated-cube.off': r('Off the mean of its set; beyond it is left out', '<= 10 %'),
    'vibrated-cube.fewest': r('Cubes that give a mean, at least', '= 2'),
    'vibrated-cube.count': r('Cubes of one age', '= 3'),
    'vibrated-cube.age-3d': r('Age tolerance at 3 d', '± 1 h'),
    'vibrated-cube.age-7d': r('Age tolerance at 7 d', '± 2 h'),
    'vibrated-cube.age-28d': r('Age tolerance at 28 d and later', '± 4 h'),
  }),
};
