import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

export const LIMITS = {
  ...group('Cylinders of pipe', standard('ASTM C76/C76M'), {
    'pipe-cylinders.fewest': r('Cylinders of a group', '>= 5'),
    'pipe-cylinders.below': r('Of them below the specified strength', '<= 10 %'),
    'pipe-cylinders.least': r('The lowest of the specified strength', '>= 80 %'),
    'pipe-cylinders.step': r('Strength, reported to', '= 10 psi', '= 0.1 MPa'),
    'pipe-cylinders.share-step': r('Share, reported to', '= 1 %', ourChoice('of a few cylinders')),
    'pipe-cylinders.slip': r(
      'One over the specified strength that is no slip',
      '<= 300 %',
      ourChoice('else read again'),
    ),
  }),
};
