import { group, r } from '../limits/row';
import { ourChoice, standard } from '../working';

const C172 = standard('ASTM C172/C172M');
const C231 = standard('ASTM C231/C231M');
const C94 = standard('ASTM C94/C94M');
const ACI_318_TABLE_19_3_3_1 = standard('ACI 318', 'Table 19.3.3.1');

export const LIMITS = {
  ...group('Air content', C231, {
    'air.start': r('Started after the final portion of the sample', '<= 300 s', C172),
    'air.taps': r('Taps of the mallet after each layer', '10 to 15'),
    'air.strokes': r('Strokes of the rod a layer', '25 to 25'),
    'air.tolerance': r('Tolerance on the specified air', '± 1.5 %', C94),
    'air.people': r('Two people’s results on one batch', '<= 0.8 %'),
    'air.jump': r(
      'Difference from the load before that calls for a repeat',
      '= 1.0 %',
      ourChoice('look twice'),
    ),
    'air.meters-agree': r(
      'Two meters, or meter and density, agree within',
      '<= 0.5 %',
      ourChoice('fine below'),
    ),
    'air.meters-repeat': r(
      'Two meters, or meter and density, differ so much that one is repeated',
      '= 1.0 %',
      ourChoice('repeat above'),
    ),
  }),
  ...group('Air required by exposure', ACI_318_TABLE_19_3_3_1, {
    'air.high-strength': r(
      'Specified strength above which one point less is allowed',
      '= 5000 psi',
      '= 35 MPa',
    ),
    'air.high-strength-less': r('Less air allowed above that strength', '<= 1.0 %'),
    'air.F1.3/8': r('F1, nominal aggregate 3/8 in [9.5 mm]', '= 6.0 %'),
    'air.F1.1/2': r('F1, nominal aggregate 1/2 in [12.5 mm]', '= 5.5 %'),
    'air.F1.3/4': r('F1, nominal aggregate 3/4 in [19 mm]', '= 5.0 %'),
    'air.F1.1': r('F1, nominal aggregate 1 in [25 mm]', '= 4.5 %'),
    'air.F1.1-1/2': r('F1, nominal aggregate 1 1/2 in [37.5 mm]', '= 4.5 %'),
    'air.F1.2': r('F1, nominal aggregate 2 in [50 mm]', '= 4.0 %'),
    'air.F1.3': r('F1, nominal aggregate 3 in [75 mm]', '= 3.5 %'),
    'air.F2.3/8': r('F2 and F3, nominal aggregate 3/8 in [9.5 mm]', '= 7.5 %'),
    'air.F2.1/2': r('F2 and F3, nominal aggregate 1/2 in [12.5 mm]', '= 7.0 %'),
    'air.F2.3/4': r('F2 and F3, nominal aggregate 3/4 in [19 mm]', '= 6.0 %'),
    'air.F2.1': r('F2 and F3, nominal aggregate 1 in [25 mm]', '= 6.0 %'),
    'air.F2.1-1/2': r('F2 and F3, nominal aggregate 1 1/2 in [37.5 mm]', '= 5.5 %'),
    'air.F2.2': r('F2 and F3, nominal aggregate 2 in [50 mm]', '= 5.0 %'),
    'air.F2.3': r('F2 and F3, nominal aggregate 3 in [75 mm]', '= 4.5 %'),
  }),
};
