import { group, r } from '../../limits/row';
import { commonPractice, ourChoice, standard } from '../../working';

export const LIMITS = {
  ...group('Water pressure on pipe', standard('ASTM C443/C443M'), {
    'joint.straight': r('Joint in a straight line', '>= 13 psi', '>= 0.09 MPa'),
    'joint.deflected': r('Joint opened on one side', '>= 10 psi', '>= 0.069 MPa'),
    'joint.hold': r('Held without a break', '>= 10 min'),
    'joint.load': r(
      'Load on the spigot side, of the diameter (lbf for an inch, kN for a metre)',
      '= 150',
      '= 26.3',
    ),
    'joint.over': r(
      'Pressure over what is asked',
      '<= 150 %',
      ourChoice('more is a slip, or endangers bulkheads and people'),
    ),
    'joint.head': r('Head of water, ft for a psi, m for a MPa', '= 2.31', '= 102', commonPractice),
    'joint.water': r('Water in a cubic foot, gal; in a cubic metre, L', '= 7.48', '= 1000', commonPractice),
    'joint.step': r('Time held, reported to', '= 1 min', ourChoice('the clock is cut, never rounded up')),
    'permeable.look': r('Looked at', '>= 15 min', standard('ASTM C497/C497M')),
    'permeable.longest': r('Looked at again where it is damp, up to', '<= 24 h', standard('ASTM C497/C497M')),
    'permeable.step': r('Drops seen, 1, or none, 0, reported to', '= 1', ourChoice('it is seen or not')),
  }),
};
