import { group, r } from '../../limits/row';
import { commonPractice, ourChoice, standard } from '../../working';

const C231 = standard('ASTM C231/C231M');

export const LIMITS = {
  ...group('Air, pressure method', C231, {
    'air-pressure.step': r('Air reported to', '= 0.1 %'),
    'air-pressure.settle': r(
      'Chamber left to cool after pumping',
      '>= 5 s',
      ourChoice('the standard says a few seconds'),
    ),
    'air-pressure.rod-above': r('Slump above which the bowl is rodded only', '= 3 in', '= 75 mm'),
    'air-pressure.vibrate-below': r('Slump under which the bowl is vibrated', '= 1 in', '= 25 mm'),
    'air-pressure.aggregate': r('Largest aggregate without wet-sieving', '<= 2 in', '<= 50 mm'),
    'air-pressure.factor': r(
      'Aggregate correction above which the aggregate is thought porous',
      '= 1.0 %',
      ourChoice('use the volumetric method'),
    ),
    'air-pressure.standardised': r('Months since the meter was standardised', '<= 3', commonPractice),
    'air-pressure.repeat': r('Two apparent readings of a water-column meter agree within', '<= 0.2 %'),
    'air-pressure.coarse-above': r('Reading above which half a division is reported', '= 8 %'),
    'air-pressure.coarse-step': r(
      'Half a division of the usual gauge above that',
      '= 0.25 %',
      ourChoice('a gauge of 0.5 % divisions'),
    ),
  }),
};
