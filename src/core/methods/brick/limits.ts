import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

const C67 = standard('ASTM C67/C67M');

/** Tolerances of the tests on clay brick. */
export const LIMITS = {
  ...group('Clay brick: tests', C67, {
    'brick.oven': r('Oven for clay brick', '230 to 239 degF', '110 to 115 degC'),
    'brick.cool-room': r('Cooling in room air before a dry test', '>= 4 h'),
    'brick.cool-fan': r('Cooling before a fan before a dry test', '>= 2 h'),
    'brick.soak': r('In cold water', '23.5 to 24.5 h', ourChoice('24 h, half an hour either way')),
    'brick.water': r('Water that brick is soaked in', '60 to 86 degF', '15.5 to 30 degC'),
    'brick.out': r('From the water to the balance', '<= 5 min'),
    'brick.heat': r('From cold to boiling', '<= 1 h'),
    'brick.boil': r('Boiling', '>= 5 h'),
    'brick.cool-water': r('Cooling in the water by itself', '>= 16 h'),
    'brick.second-half': r('Second half of the load on a half brick', '60 to 120 s'),
    'brick.half': r('Length of a half brick off half of the brick', '<= 1 in', '<= 25 mm'),
    'brick.quarter': r('Gross area of a quarter, where a half is too strong', '>= 14 in2', '>= 9030 mm2'),
    'brick.filled': r('Filled recesses stand before they are loaded', '>= 48 h'),
    'brick.suction-time': r('In the water of the tray', '59 to 61 s'),
    'brick.suction-depth': r('Water over the supports', '0.115 to 0.135 in', '2.93 to 3.43 mm'),
    'brick.suction-water': r('Water of the tray', '60 to 86 degF', '15.5 to 30 degC'),
    'brick.suction-weigh': r('From the tray to the balance', '<= 120 s'),
    'brick.flexure-rate': r('Load a minute in bending, lbf [kN]', '<= 2000', '<= 8.9'),
    'brick.flexure-span': r(
      'Span less than the length by about',
      '0.75 to 1.25 in',
      '19 to 32 mm',
      ourChoice('about one inch'),
    ),
    'brick.white-time': r('One of each pair in water', '>= 7 d'),
    'brick.white-dry': r('Both dried before they are compared', '>= 24 h'),
    'brick.white-pairs': r('Pairs compared', '>= 5'),
  }),
  ...group('Clay brick: what is looked at', ourChoice('a careful technician would look'), {
    'brick.hollow': r('Voids of a hollow brick at most', '<= 60 %', standard('ASTM C652')),
    'brick.flexure-usual': r('Modulus of rupture, as it usually is', '100 to 5000 psi', '0.7 to 35 MPa'),
    'brick.sat-usual': r('Saturation coefficient, as it usually is', '0.4 to 1.0'),
    'brick.strength-alike': r('Strengths of a sample apart, of their mean', '<= 30 %'),
    'brick.suction-high': r('Suction from which brick is laid wetted', '<= 30', standard('ASTM C216')),
    'brick.suction-low': r('Suction below which brick floats on the mortar', '>= 5'),
    'brick.off-middle': r('Break from the middle, of half of the span', '<= 30 %'),
  }),
  ...group('Clay brick: reported to', C67, {
    'brick.percent-step': r('Absorption of brick reported to', '= 0.1 %'),
    'brick.saturation-step': r('Saturation coefficient reported to', '= 0.01'),
    'brick.suction-step': r('Suction reported to', '= 0.1'),
    'brick.flexure-step': r('Modulus of rupture of brick reported to', '= 1 psi', '= 0.01 MPa'),
    'brick.size-step': r('Sizes of brick reported to', '= 0.03125 in', '= 1 mm'),
    'brick.mass-step': r('Masses of brick reported to', '= 0.1 g'),
    'brick.suction-area': r('Bed that the suction is reported on', '= 30 in2', '= 19355 mm2'),
    'brick.millilitres': r(
      'Millilitres of sand in the unit of volume, as the method has it',
      '= 16.4',
      '= 0.001',
    ),
    'brick.area-step': r('Areas of brick shown to', '= 0.01 in2', '= 10 mm2'),
  }),
};
