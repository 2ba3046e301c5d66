import { group, r } from '../limits/row';
import { commonPractice, ourChoice, standard } from '../working';

const C39 = standard('ASTM C39/C39M');

export const LIMITS = {
  ...group('Age at test', C39, {
    'age.24h': r('Tolerance at 24 h', '± 0.5 h'),
    'age.3d': r('Tolerance at 3 d', '± 2 h'),
    'age.7d': r('Tolerance at 7 d', '± 6 h'),
    'age.28d': r('Tolerance at 28 d', '± 20 h'),
    'age.90d': r('Tolerance at 90 d', '± 2 d'),
    'age.other': r('Tolerance at any other age, share of the age', '± 2 %'),
    'age.closing': r(
      'A window counts as closing when this share of it is left',
      '= 20 %',
      ourChoice('warn in the last fifth'),
    ),
  }),
  ...group('Cube compression', commonPractice, {
    'en/age.24h': r('Age tolerance up to 30 h', '± 0.5 h'),
    'en/age.3d': r('Age tolerance up to 4 d', '± 2 h'),
    'en/age.7d': r('Age tolerance at 7 d', '± 8 h'),
    'en/age.28d': r('Age tolerance at 28 d', '± 8 h'),
    'en/age.90d': r('Age tolerance beyond 60 d', '± 1 d'),
  }),
};
