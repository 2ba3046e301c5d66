import { group, r } from '../../limits/row';
import { commonPractice, ourChoice, standard } from '../../working';

const C1609 = standard('ASTM C1609/C1609M');
const C1399 = standard('ASTM C1399/C1399M');
const EN_14651 = standard('EN 14651');

export const LIMITS = {
  ...group('Bending by displacement', ourChoice('how a record is judged'), {
    'bend.speed': r('Crosshead', '0.0374 to 0.0413 in/min', '0.95 to 1.05 mm/min'),
    'bend.agrees': r('Peak of the display off the record', '<= 1 %'),
    'bend.usual': r('Stress at the peak that a beam can have', '70 to 3600 psi', '0.5 to 25 MPa'),
    'bend.step': r('Stress reported to', '= 5 psi', '= 0.05 MPa', C1609),
    'bend.energy-step': r('Energy reported to', '= 0.1 in.lbf', '= 0.01 J'),
    'bend.place-step': r('Displacements reported to', '= 0.0005 in', '= 0.01 mm'),
    'bend.stiffness-step': r('Stiffness reported to', '= 100 lbf/in', '= 0.1 kN/mm'),
    'bend.ductility-step': r('Ductility reported to', '= 0.1'),
    'bend.stiffness-alike': r('Stiffness off that of its fellows', '<= 10 %', commonPractice),
    'bend.hardening': r('Peak over first crack from which it hardens', '>= 1.0'),
    'bend.centre-place': r('Break from midspan, of the span', '<= 10 %'),
    'bend.shear': r('Shear that concrete carries, times √f′c b d', '= 2', '= 0.17', standard('ACI 318')),
    'bend.bar-share': r('Reinforcement, of width times depth', '<= 2.5 %'),
    'bend.bars': r('Bars that go with area and perimeter', '1 to 20'),
    'bend.widest': r('Widest crack', '<= 0.4 in', '<= 10 mm'),
    'fibre.span': r('Span, of the depth as tested', '2.94 to 3.06', C1609),
    'fibre.toughness-step': r('Toughness reported to', '= 10 in.lbf', '= 1 J', C1609),
    'fibre.ratio-step': r('Equivalent flexural strength ratio reported to', '= 0.5 %', C1609),
    'fibre.rate-first-large': r(
      'Net deflection up to L/900, 6 in beam',
      '0.0015 to 0.004 in/min',
      '0.035 to 0.10 mm/min',
      C1609,
    ),
    'fibre.rate-first-small': r(
      'Net deflection up to L/900, 4 in beam',
      '0.001 to 0.003 in/min',
      '0.025 to 0.075 mm/min',
      C1609,
    ),
    'fibre.rate-then-large': r(
      'Net deflection beyond L/900, 6 in beam',
      '0.002 to 0.012 in/min',
      '0.05 to 0.30 mm/min',
      C1609,
    ),
    'fibre.rate-then-small': r(
      'Net deflection beyond L/900, 4 in beam',
      '0.002 to 0.008 in/min',
      '0.05 to 0.20 mm/min',
      C1609,
    ),
    'fibre.outside': r('Break outside the middle third, of the span', '<= 5 %', C1609),
    'fibre.share-300': r(
      'Residual strength at L/300, of the first peak, for shear',
      '>= 90 %',
      standard('ACI 318'),
    ),
    'fibre.share-150': r(
      'Residual strength at L/150, of the first peak, for shear',
      '>= 75 %',
      standard('ACI 318'),
    ),
    'fibre.relation': r(
      'First peak that stands in for a lower one, times √f′c',
      '= 7.5',
      '= 0.62',
      standard('ACI 318'),
    ),
    'residual.speed': r('Both loadings of a plated beam', '0.02 to 0.03 in/min', '0.5 to 0.8 mm/min', C1399),
    'residual.first': r('First loading over the plate, to', '= 0.008 in', '= 0.20 mm', C1399),
    'residual.most': r('First loading until it cracks, at most to', '<= 0.02 in', '<= 0.50 mm', C1399),
    'residual.depth': r('Depth of the beam', '3.9 to 4.1 in', '98 to 102 mm', C1399),
    'residual.span': r('Span of the beam', '11.75 to 12.25 in', '295 to 305 mm', C1399),
    'residual.plate': r('Plate thick', '0.48 to 0.52 in', '11.5 to 12.5 mm', C1399),
    'residual.count': r('Beams of a mean', '>= 5', C1399),
    'residual.outside': r('Crack outside the middle third, of the span', '<= 5 %', C1399),
    'notch.step': r('Strength of a notched beam reported to', '= 15 psi', '= 0.1 MPa', EN_14651),
    'notch.depth': r('Height above the notch', '4.88 to 4.96 in', '124 to 126 mm', EN_14651),
    'notch.width': r('Notch wide', '<= 0.2 in', '<= 5 mm', EN_14651),
    'notch.speed': r(
      'Opening of the notch, up to 0.1 mm',
      '0.0018 to 0.0022 in/min',
      '0.045 to 0.055 mm/min',
      EN_14651,
    ),
    'notch.speed-then': r(
      'Opening of the notch, beyond 0.1 mm',
      '0.0071 to 0.0087 in/min',
      '0.18 to 0.22 mm/min',
      EN_14651,
    ),
    'notch.span': r('Span', '19.61 to 19.76 in', '498 to 502 mm', EN_14651),
    'notch.first': r(
      'Residual strength at 0.5 mm, steel fibres',
      '>= 218 psi',
      '>= 1.5 MPa',
      standard('EN 14889-1'),
    ),
    'notch.last': r(
      'Residual strength at 3.5 mm, steel fibres',
      '>= 145 psi',
      '>= 1.0 MPa',
      standard('EN 14889-1'),
    ),
    'notch.first-share': r(
      'Residual at 0.5 mm over the limit of proportionality, structural use',
      '>= 0.4',
      standard('fib Model Code 2010'),
    ),
    'notch.third-share': r(
      'Residual at 2.5 mm over that at 0.5 mm, structural use',
      '>= 0.5',
      standard('fib Model Code 2010'),
    ),
  }),
};
