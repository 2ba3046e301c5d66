import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

export const LIMITS = {
  ...group('Cement, prisms of mortar', standard('EN 196-1'), {
    'prisms.side': r('Side of a prism', '= 40 mm'),
    'prisms.span': r('Span', '= 100 mm'),
    'prisms.area': r('Area under the plates', '= 1600 mm2'),
    'prisms.cement': r('Cement of three prisms', '448 to 452 g'),
    'prisms.sand': r('Sand of three prisms', '1345 to 1355 g'),
    'prisms.water': r('Water of three prisms', '224 to 226 g'),
    'prisms.off': r('One of the halves off the mean', '<= 10 %'),
    'prisms.halves': r('Halves of a set', '= 6'),
    'prisms.step': r('Strength, reported to', '= 0.1 MPa'),
    'prisms.age-1d': r('Off an age of a day', '<= 15 min'),
    'prisms.age-2d': r('Off an age of two days', '<= 30 min'),
    'prisms.age-3d': r('Off an age of three days', '<= 45 min'),
    'prisms.age-7d': r('Off an age of seven days', '<= 120 min'),
    'prisms.age-28d': r('Off an age of 28 days and more', '<= 480 min'),
    'prisms.usual': r('Strength that mortar has', '<= 120 MPa', ourChoice('beyond it is read again')),
    'prisms.usual-bend': r(
      'Flexural strength that mortar has',
      '<= 20 MPa',
      ourChoice('beyond it is read again'),
    ),
  }),
};
