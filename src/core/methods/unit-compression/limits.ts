import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

const C140 = standard('ASTM C140/C140M');
const USUAL = ourChoice('as usual for such units');

export const LIMITS = {
  ...group('Masonry units: strength test', C140, {
    'unit.second-half': r('Second half of the load', '60 to 120 s'),
    'unit.second-half-first': r('Second half of the load, first unit of a set', '>= 30 s'),
    'unit.coupon-thick': r('Coupon of a face shell, as cut', '>= 0.75 in', '>= 19 mm'),
    'unit.coupon-height': r('Coupon, height over thickness: two, five percent either way', '1.9 to 2.1'),
    'unit.coupon-length': r('Coupon, length over thickness: four, five percent either way', '3.8 to 4.2'),
    'unit.plate': r('Bearing plate, of the distance from the platen to the farthest corner', '>= 100 %'),
    'unit.strength-step': r('Strength reported to', '= 10 psi', '= 0.1 MPa'),
    'unit.strength-alike': r(
      'Strengths of a set apart, of their mean',
      '<= 20 %',
      ourChoice('look at caps, centring and failure'),
    ),
    'unit.rate-time': r(
      'Second half that the rate is planned for',
      '= 85 s',
      ourChoice('in the middle of 60 and 120 s'),
    ),
    'unit.rate-low': r(
      'Share of the required load that a rate without history still breaks in time',
      '= 0.8',
      ourChoice('a unit that fails is a valid test as well'),
    ),
    'unit.expected': r(
      'Expected over required strength, where nothing is known',
      '= 1.35',
      ourChoice('producers keep a margin'),
    ),
    'unit.capacity': r(
      'Required load, of the capacity of the machine',
      '<= 95 %',
      ourChoice('the pump is stopped there'),
    ),
    'unit.capacity-likely': r(
      'Expected load, of the capacity of the machine',
      '<= 90 %',
      ourChoice('room for a stronger unit'),
    ),
    'unit.capacity-room': r(
      'Strength at the capacity over the expected one',
      '>= 1.5',
      ourChoice('a unit that does not break says little'),
    ),
    'unit.share-4': r('Share solid, nominal width 4 in [100 mm]', '= 73 %', USUAL),
    'unit.share-6': r('Share solid, nominal width 6 in [150 mm]', '= 55 %', USUAL),
    'unit.share-8': r('Share solid, nominal width 8 in [200 mm]', '= 53 %', USUAL),
    'unit.share-10': r('Share solid, nominal width 10 in [250 mm]', '= 50 %', USUAL),
    'unit.share-12': r('Share solid, nominal width 12 in [300 mm]', '= 48 %', USUAL),
  }),
};
