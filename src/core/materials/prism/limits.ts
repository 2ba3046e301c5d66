import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

const C1314 = standard('ASTM C1314');
const TMS = standard('TMS 602');

/** The unit strength that a strength of masonry asks for, by the type of mortar. */
const table = (masonry: string, mortar: string, us: string) =>
  r(`Units of concrete for masonry of ${masonry} psi, ${mortar} mortar, psi`, `= ${us}`, TMS);

/** What prisms of masonry are built, corrected and held by. */
export const LIMITS = {
  ...group('Masonry prisms: height over thickness', C1314, {
    'prism.least': r('Height over thickness at least', '>= 1.3'),
    'prism.most': r('Height over thickness at most', '<= 5.0'),
    'prism.f-1.3': r('Factor at 1.3', '= 0.75'),
    'prism.f-1.5': r('Factor at 1.5', '= 0.86'),
    'prism.f-2.0': r('Factor at 2.0', '= 1.00'),
    'prism.f-2.5': r('Factor at 2.5', '= 1.04'),
    'prism.f-3.0': r('Factor at 3.0', '= 1.07'),
    'prism.f-4.0': r('Factor at 4.0', '= 1.15'),
    'prism.f-5.0': r('Factor at 5.0', '= 1.22'),
    'prism.factor-step': r('Factor reported to', '= 0.001'),
  }),
  ...group('Masonry prisms', C1314, {
    'prism.count': r('Prisms of one set', '>= 3'),
    'prism.stand': r('In the bag where it was built, not moved', '>= 48 h'),
    'prism.grout': r('From laying to grouting', '24 to 48 h'),
    'prism.unbag': r('Out of the bag before the test', '= 48 h'),
    'prism.room': r('Storage', '60 to 90 degF', '16 to 32 degC'),
    'prism.joint': r('Mortar joint', '0.25 to 0.5 in', '6 to 13 mm'),
    'prism.bag': r('Thickness of the bag, thousandths of an inch [mm]', '>= 2', '>= 0.05'),
    'prism.alike': r(
      'Strengths of a set apart, of their mean',
      '<= 25 %',
      ourChoice('look at plumb and at grout voids'),
    ),
  }),
  ...group('Masonry strength by its units', TMS, {
    'prism.ms-2000': table('2,000', 'M or S', '2000'),
    'prism.ms-2250': table('2,250', 'M or S', '2600'),
    'prism.ms-2500': table('2,500', 'M or S', '3250'),
    'prism.ms-2750': table('2,750', 'M or S', '3900'),
    'prism.ms-3000': table('3,000', 'M or S', '4500'),
    'prism.n-1750': table('1,750', 'N', '2000'),
    'prism.n-2000': table('2,000', 'N', '2650'),
    'prism.n-2250': table('2,250', 'N', '3400'),
    'prism.n-2500': table('2,500', 'N', '4350'),
    'prism.low-units': r('Share of it where units are lower than 4 in [100 mm]', '= 0.85'),
    'prism.low': r('Units count as low below a height of', '= 4 in', '= 100 mm'),
  }),
};
