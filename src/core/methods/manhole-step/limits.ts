import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

export const LIMITS = {
  ...group('Steps of a manhole', standard('ASTM C497/C497M'), {
    'step.down': r('Load downward on a step', '>= 800 lbf', '>= 3.56 kN', standard('ASTM C478/C478M')),
    'step.out': r('Pull outward on a step', '>= 400 lbf', '>= 1.78 kN', standard('ASTM C478/C478M')),
    'step.set': r('It stays bent, after the load downward', '<= 0.5 in', '<= 13 mm'),
    'step.load-step': r(
      'Loads on a step, reported to',
      '= 10 lbf',
      '= 0.01 kN',
      ourChoice('as a gauge is read'),
    ),
    'step.slip': r('A load of what is asked that is no slip', '<= 300 %', ourChoice('else read again')),
  }),
};
