import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

const C31 = standard('ASTM C31/C31M');
const C192 = standard('ASTM C192/C192M');
const C470 = standard('ASTM C470/C470M');
const IS_516 = standard('IS 516');
const EN_12390_2 = standard('EN 12390-2');

export const LIMITS = {
  ...group('Making specimens', C31, {
    'moulding.rod-below': r('Slump under which specimens are vibrated', '>= 1 in', '>= 25 mm'),
    'moulding.aggregate': r('Least dimension of the mould, times the nominal aggregate', '>= 3'),
    'moulding.sieve': r(
      'Nominal aggregate above which 6 in [150 mm] moulds need wet-sieved concrete',
      '= 2 in',
      '= 50 mm',
    ),
    'moulding.taps': r('Taps after each layer', '10 to 15'),
    'moulding.strokes': r('Strokes a layer, cylinders 4 and 6 in [100 and 150 mm]', '25 to 25'),
    'moulding.strokes-9': r('Strokes a layer, cylinders 9 in [225 mm]', '50 to 50'),
    'moulding.beam-area': r('Top of a beam for one stroke, 50 in² [320 cm²] and over', '= 2 in2', '= 14 cm2'),
    'moulding.beam-area-small': r(
      'Top of a beam for one stroke, 26 to 49 in² [165 to 310 cm²]',
      '= 1 in2',
      '= 7 cm2',
      C192,
    ),
    'moulding.beam-large': r(
      'Top of a beam from which the larger area a stroke holds',
      '= 50 in2',
      '= 320 cm2',
    ),
    'moulding.beam-small': r(
      'Top of a beam up to which the least strokes hold',
      '= 25 in2',
      '= 160 cm2',
      C192,
    ),
    'moulding.beam-least': r('Strokes a layer of a beam, top up to 25 in² [160 cm²]', '= 25', C192),
    'moulding.beam-spacing': r('Insertions of the vibrator along a beam apart', '<= 6 in', '<= 150 mm'),
    'moulding.beam-layer': r('Beams this deep are rodded in two layers', '= 8 in', '= 200 mm'),
    'moulding.beam-layer-depth': r('Layer of a deeper beam', '<= 6 in', '<= 150 mm'),
    'moulding.vibrate-insertion': r('Vibrator in at one place', '<= 10 s'),
    'moulding.cover': r('Covered after finishing', '<= 120 s', ourChoice('the standard says at once')),
    'moulding.to-cure': r(
      'Into initial curing after finishing',
      '<= 900 s',
      ourChoice('the standard says at once'),
    ),
    'moulding.set-density': r(
      'Density of a specimen from the median of its set',
      '± 1.5 %',
      ourChoice('refill before covering'),
    ),
    'moulding.mould-diameter': r('Two diameters of a mould differ by at most', '<= 2 %', C470),
    'moulding.mould-nominal': r('Diameter of a mould from the nominal', '± 1 %', C470),
    'moulding.mould-height': r('Height of a mould from the nominal', '± 2 %', C470),
    'moulding.moulds-measured': r('Moulds measured of a shipment', '>= 3', C470),
    'moulding.cube-strokes-150': r('Strokes a layer, 150 mm cube in three layers', '>= 35', IS_516),
    'moulding.cube-strokes-100': r('Strokes a layer, 100 mm cube in two layers', '>= 25', IS_516),
    'moulding.cube-aggregate': r('Nominal aggregate for 100 mm cubes', '<= 0.75 in', '<= 20 mm', IS_516),
  }),
  ...group('EN: rows that differ', EN_12390_2, {
    'en/moulding.cube-strokes-150': r('Strokes a layer, cubes', '>= 25'),
  }),
};
