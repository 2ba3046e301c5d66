import { group, r } from '../../limits/row';
import { standard } from '../../working';

const ACI_214_4R = standard('ACI 214.4R');
const C42 = standard('ASTM C42/C42M');
const ACI_318_26_12_6 = standard('ACI 318', '26.12.6');

export const LIMITS = {
  ...group('Drilled cores', C42, {
    'core.in-place-slope': r(
      'In-place estimate: of the length factor, for each 1,000 psi [1 MPa] of strength',
      '= 0.003',
      '= 0.00043',
      ACI_214_4R,
    ),
    'core.in-place-length': r('In-place estimate: length factor, bagged', '= 0.130', ACI_214_4R),
    'core.in-place-length-soaked': r('In-place estimate: length factor, soaked', '= 0.117', ACI_214_4R),
    'core.in-place-length-dried': r('In-place estimate: length factor, air-dried', '= 0.144', ACI_214_4R),
    'core.in-place-dia-2': r('In-place estimate: diameter 2 in [50 mm]', '= 1.06', ACI_214_4R),
    'core.in-place-dia-4': r('In-place estimate: diameter 4 in [100 mm]', '= 1.00', ACI_214_4R),
    'core.in-place-dia-6': r('In-place estimate: diameter 6 in [150 mm]', '= 0.98', ACI_214_4R),
    'core.in-place-moisture': r('In-place estimate: moisture, bagged', '= 1.00', ACI_214_4R),
    'core.in-place-moisture-soaked': r('In-place estimate: moisture, soaked', '= 1.09', ACI_214_4R),
    'core.in-place-moisture-dried': r('In-place estimate: moisture, air-dried', '= 0.96', ACI_214_4R),
    'core.in-place-damage': r('In-place estimate: damage by drilling', '= 1.06', ACI_214_4R),
    'core.diameter': r('Diameter, load-bearing members', '>= 3.70 in', '>= 94 mm'),
    'core.aggregate': r('Diameter, of the nominal maximum aggregate', '>= 2'),
    'core.spread-fine': r(
      'Two diameters differing by at most this, of their mean, are read finely',
      '<= 2 %',
    ),
    'core.spread': r('Two diameters differ by at most, of their mean', '<= 5 %'),
    'core.step-fine': r('Diameter read finely to', '= 0.01 in', '= 0.2 mm'),
    'core.step-rough': r('Rough diameter read to', '= 0.1 in', '= 2 mm'),
    'core.report-fine': r('Strength reported to', '= 10 psi', '= 0.1 MPa'),
    'core.report-rough': r('Strength reported to, rough diameter', '= 50 psi', '= 0.5 MPa'),
    'core.length-before': r('Length before capping, of the diameter', '>= 0.95'),
    'core.length-after': r('Length after capping, of the diameter', '>= 1.00'),
    'core.preferred': r('Length preferred, of the diameter', '1.9 to 2.1'),
    'core.bag': r('Sealed in a bag after drilling', '<= 1 h'),
    'core.wet-ends': r('Last wetting (sawing, grinding) after drilling', '<= 2 d'),
    'core.dry': r('From the last wetting to the test', '>= 5 d'),
    'core.test': r('From drilling to the test', '<= 7 d'),
    'core.mean-share': r('Mean of three cores, of f′c', '>= 0.85', ACI_318_26_12_6),
    'core.single-share': r('No core below, of f′c', '>= 0.75', ACI_318_26_12_6),
    'core.count': r('Cores for a questioned strength test', '>= 3', ACI_318_26_12_6),
  }),
};
