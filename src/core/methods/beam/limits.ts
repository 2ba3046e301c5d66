import { group, r } from '../../limits/row';
import { commonPractice, ourChoice, standard } from '../../working';

const C78 = standard('ASTM C78/C78M');
const C293 = standard('ASTM C293/C293M');
const C31 = standard('ASTM C31/C31M');
const C42 = standard('ASTM C42/C42M');
const EN = standard('EN 12390-5');
const IS = standard('IS 516');
const IS_456 = standard('IS 456', '15.4');

export const LIMITS = {
  ...group('Flexure of beams', C78, {
    'beam.rate': r(
      'Stress of the extreme fibre a minute, to rupture',
      '125 to 175 psi/min',
      '0.9 to 1.2 MPa/min',
    ),
    'beam.judged': r(
      'Part of the maximum load that the rate is told from',
      '25 to 95 %',
      ourChoice('below it the machine takes up its play, above it the beam gives way'),
    ),
    'beam.step': r('Modulus of rupture reported to', '= 5 psi', '= 0.05 MPa'),
    'beam.span': r('Span, of the depth as tested', '2.94 to 3.06'),
    'beam.overhang': r('Overhang at each end', '>= 1 in', '>= 25 mm', C31),
    'beam.overhang-alike': r(
      'Overhangs differ',
      '<= 0.125 in',
      '<= 3 mm',
      ourChoice('what a rule shows without effort'),
    ),
    'beam.square': r('Width over depth', '<= 1.5', C31),
    'beam.gap-shim': r('Gap that needs no remedy', '<= 0.004 in', '<= 0.10 mm'),
    'beam.gap-cap': r('Gap up to which a leather shim will do', '<= 0.015 in', '<= 0.38 mm'),
    'beam.preload': r('Load at which gaps are looked for, of the expected', '3 to 6 %'),
    'beam.outside': r('Break outside the middle third, of the span', '<= 5 %'),
    'beam.spread': r(
      'Three readings of one size differ',
      '<= 0.125 in',
      '<= 3 mm',
      ourChoice('more is a misreading, or a beam that is no prism'),
    ),
    'beam.size-step': r('Width and depth read to', '= 0.05 in', '= 1 mm'),
    'beam.out-of-water': r(
      'Out of the water until it is broken',
      '<= 20 min',
      ourChoice('its skin dries within that time, and a dry skin is in tension already'),
    ),
    'beam.water': r('In lime water before the test', '>= 20 h', C31),
    'beam.water-field': r('In lime water before the test, cured with the slab', '20 to 28 h', C31),
    'beam.water-sawn': r('In lime water before the test, sawn', '>= 40 h', C42),
    'beam.water-temperature': r('Lime water', '70 to 77 degF', '21 to 25 degC', C31),
    'beam.usual': r(
      'Modulus of rupture that concrete can have',
      '200 to 1500 psi',
      '1.4 to 10.3 MPa',
      ourChoice('beyond it a stress was read for a load, or sizes are exchanged'),
    ),
    'beam.relation': r(
      'Modulus of rupture expected, times √f′c in psi or MPa',
      '= 9',
      '= 0.75',
      commonPractice,
    ),
    'beam.share': r('Modulus of rupture, of the cylinders of its sample', '10 to 20 %', commonPractice),
    'beam.count': r('Beams in a test', '>= 2', commonPractice),
    'beam.range-2': r('Range of two beams of one sample, of their mean', '<= 16 %'),
    'beam.range-3': r('Range of three beams of one sample, of their mean', '<= 18.8 %'),
    'beam.centre-range-2': r('Range of two beams loaded in the middle, of their mean', '<= 12 %', C293),
    'beam.centre-range-3': r('Range of three beams loaded in the middle, of their mean', '<= 14.5 %', C293),
    'beam.centre-place': r(
      'Break from midspan, of the span',
      '<= 10 %',
      ourChoice('the moment there is a fifth less'),
    ),
    'beam.centre-higher': r('Loaded in the middle it reads higher than at third points, times', '= 1.13', EN),
    'beam.travel-more': r(
      'Travel that is added to what a test needs',
      '= 25 %',
      ourChoice('what nobody thought of'),
    ),
    'beam.travel-share': r(
      'Of the stroke that a test may take',
      '<= 50 %',
      ourChoice('the ram never goes near its end'),
    ),
    'beam.travel-most': r(
      'Of the stroke that no test may take',
      '<= 80 %',
      ourChoice('the ram never goes near its end'),
    ),
    'en/beam.rate': r('Stress of the extreme fibre a minute', '348 to 522 psi/min', '2.4 to 3.6 MPa/min', EN),
    'en/beam.step': r('Flexural strength reported to', '= 15 psi', '= 0.1 MPa', EN),
    'en/beam.count': r('Beams in a test', '>= 3', EN),
    'is/beam.rate': r(
      'Stress of the extreme fibre a minute',
      '92 to 112 psi/min',
      '0.63 to 0.77 MPa/min',
      ourChoice('ten percent either side of 7 kgf/cm² a minute in IS 516'),
    ),
    'is/beam.span': r('Span, of the depth as tested', '3.92 to 4.08', IS),
    'is/beam.count': r('Beams in a test', '>= 3', IS_456),
    'is/beam.water': r('In water before the test', '>= 48 h', IS),
    'is/beam.water-temperature': r('Water', '75.2 to 86 degF', '24 to 30 degC', IS),
    'is/beam.farthest': r('Each of three beams from their mean', '<= 15 %', IS_456),
    'is/beam.large': r('Depth from which the limits of the 150 mm beam hold', '>= 5 in', '>= 125 mm', IS),
    'is/beam.inside-150': r(
      'Break to the nearer support, 150 mm beam, inside',
      '>= 7.874 in',
      '>= 200 mm',
      IS,
    ),
    'is/beam.least-150': r(
      'Break to the nearer support, 150 mm beam, discarded below',
      '>= 6.693 in',
      '>= 170 mm',
      IS,
    ),
    'is/beam.inside-100': r(
      'Break to the nearer support, 100 mm beam, inside',
      '>= 5.236 in',
      '>= 133 mm',
      IS,
    ),
    'is/beam.least-100': r(
      'Break to the nearer support, 100 mm beam, discarded below',
      '>= 4.331 in',
      '>= 110 mm',
      IS,
    ),
  }),
};
