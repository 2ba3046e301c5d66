import { group, r } from '../limits/row';
import { commonPractice, ourChoice, standard } from '../working';

export const LIMITS = {
  ...group('Pipe between three edges', standard('ASTM C497'), {
    'teb.first-rate': r('First rate at most, of the length and a minute (lbf/ft, kN/m)', '= 7500', '= 109.4'),
    'teb.switch': r('The first rate ends at this share of the design load', '= 75 %'),
    'teb.second-rate': r('Second rate at most, of the design load a minute, one part in', '= 3'),
    'teb.strip': r('Strips apart at most, of the diameter (in for a foot, mm for a metre)', '= 1', '= 83'),
    'teb.strip-least': r('Strips apart at the least', '>= 1 in', '>= 25 mm'),
    'teb.rubber': r('Hardness of a rubber strip, type A', '45 to 60'),
    'teb.probe-gap': r('From one probe to the next along the crack', '<= 3 in', '<= 75 mm'),
    'teb.probe-run': r('Length that the leaf gauge has to enter over', '>= 12 in', '>= 300 mm'),
    'teb.strip-small': r(
      'Where both limits of the spacing are one, off it by',
      '<= 0.0625 in',
      '<= 1.5 mm',
      ourChoice('as near as it is measured'),
    ),
    'teb.slow': r('Slowest second rate that practice counts as kept, of the most', '>= 50 %', commonPractice),
  }),
};
