import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

const C39 = standard('ASTM C39/C39M');
const C31 = standard('ASTM C31/C31M');

export const LIMITS = {
  ...group('Cylinder compression', C39, {
    'cylinder.diameter-spread': r('Largest difference between two diameters, of the smaller', '<= 2 %'),
    'cylinder.diameter-step': r('Diameters read, and their mean rounded, to', '= 0.01 in', '= 0.25 mm'),
    'cylinder.reduced-least': r('Reduced measuring of diameters: cylinders measured a day, at least', '>= 3'),
    'cylinder.reduced-share': r('Reduced measuring: of the cylinders of the day at least', '>= 10 %'),
    'cylinder.reduced-range': r('Reduced measuring: the measured ones within', '<= 0.02 in', '<= 0.5 mm'),
    'cylinder.length-needed': r('L/D outside which the length must be measured', '1.8 to 2.2'),
    'cylinder.out-of-square': r('Ends out of square with the axis: gap over the diameter', '<= 0.01'),
    'cylinder.planeness': r('Ends plane within', '<= 0.002 in', '<= 0.05 mm'),
    'cylinder.water-density': r(
      'Density of water at 73 °F [23 °C], for weighing in water',
      '= 62.27 lb/ft3',
      '= 997.5 kg/m3',
    ),
    'cylinder.density-agree': r(
      'Density of a specimen from its companions, or by its size and in water',
      '<= 2 lb/ft3',
      '<= 30 kg/m3',
      ourChoice('beyond it one of the readings or the specimen is another'),
    ),
    'cylinder.loading-rate': r(
      'Loading rate in the second half of loading',
      '28 to 42 psi/s',
      '0.20 to 0.30 MPa/s',
    ),
    'cylinder.out-of-moist': r('Out of moist storage before the test, wet', '<= 3 h', C31),
    'cylinder.strength-step': r('Strength reported to', '= 10 psi', '= 0.1 MPa'),
    'cylinder.density-step': r('Density reported to', '= 1 lb/ft3', '= 10 kg/m3'),
    'cylinder.diameter-usual': r(
      'Diameter usual for the nominal size, of nominal',
      '0.9875 to 1.0125',
      ourChoice('ask again outside'),
    ),
    'cylinder.diameter-possible': r(
      'Diameter possible for the nominal size, of nominal',
      '0.875 to 1.125',
      ourChoice('ask for a reason outside'),
    ),
    'cylinder.strength-usual': r(
      'Strength usual for concrete',
      '500 to 12000 psi',
      '3.5 to 85 MPa',
      ourChoice('ask again outside'),
    ),
    'cylinder.density-usual': r(
      'Density usual for concrete',
      '130 to 160 lb/ft3',
      '2080 to 2560 kg/m3',
      ourChoice('ask again outside'),
    ),
    'cylinder.low-against-expected': r(
      'A result is low below this share of the expected strength',
      '>= 0.85',
      ourChoice('look before the pieces are thrown away'),
    ),
    'cylinder.pieces-kept': r(
      'Pieces of a low, odd or disputed set are kept until it is accepted, at least',
      '>= 7 d',
      ourChoice('long enough for a reviewer to ask for them'),
    ),
    'cylinder.high-against-expected': r(
      'A result is suspiciously high above this share of the expected strength',
      '<= 1.5',
      ourChoice('wrong specimen, area or range?'),
    ),
  }),
};
