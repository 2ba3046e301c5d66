import { commonPractice, ourChoice, standard } from '../working';
import { both, entry, type LimitEntry, max, min, range, twin } from './entry';

const C31 = standard('ASTM C31/C31M');
const C470 = standard('ASTM C470/C470M');
const C511 = standard('ASTM C511');
const C1077 = standard('ASTM C1077');

const MAKING = 'Making specimens';
const INITIAL = 'Initial curing';
const FINAL = 'Final curing';
const TRANSPORT = 'Transport';
const PEOPLE = 'People and gear';

/** Making, curing and carrying specimens. */
export const SPECIMENS = {
  'curing.initial': entry('Initial curing', 'Initial curing on site', C31, both(max('48'), 'h')),
  'moulding.rod-below': entry(
    MAKING,
    'Slump under which specimens are vibrated',
    C31,
    twin(min('1'), 'in', min('25'), 'mm'),
  ),
  'moulding.aggregate': entry(
    MAKING,
    'Least dimension of the mould, times the nominal aggregate',
    C31,
    both(min('3'), 'one'),
  ),
  'moulding.sieve': entry(
    MAKING,
    'Nominal aggregate above which 6 in [150 mm] moulds need wet-sieved concrete',
    C31,
    twin(max('2'), 'in', max('50'), 'mm'),
  ),
  'moulding.taps': entry(MAKING, 'Taps after each layer', C31, both(range('10', '15'), 'one')),
  'moulding.strokes': entry(
    MAKING,
    'Strokes a layer, cylinders 4 and 6 in [100 and 150 mm]',
    C31,
    both(range('25', '25'), 'one'),
  ),
  'moulding.strokes-9': entry(
    MAKING,
    'Strokes a layer, cylinders 9 in [225 mm]',
    C31,
    both(range('50', '50'), 'one'),
  ),
  'moulding.beam-area': entry(
    MAKING,
    'Top of a beam for one stroke, 50 in² [320 cm²] and over',
    C31,
    twin(max('2'), 'in2', max('14'), 'cm2'),
  ),
  'moulding.beam-area-small': entry(
    MAKING,
    'Top of a beam for one stroke, 26 to 49 in² [165 to 310 cm²]',
    standard('ASTM C192/C192M'),
    twin(max('1'), 'in2', max('7'), 'cm2'),
  ),
  'moulding.beam-large': entry(
    MAKING,
    'Top of a beam from which the larger area a stroke holds',
    C31,
    twin(min('50'), 'in2', min('320'), 'cm2'),
  ),
  'moulding.beam-small': entry(
    MAKING,
    'Top of a beam up to which the least strokes hold',
    standard('ASTM C192/C192M'),
    twin(max('25'), 'in2', max('160'), 'cm2'),
  ),
  'moulding.beam-least': entry(
    MAKING,
    'Strokes a layer of a beam, top up to 25 in² [160 cm²]',
    standard('ASTM C192/C192M'),
    both(min('25'), 'one'),
  ),
  'moulding.beam-spacing': entry(
    MAKING,
    'Insertions of the vibrator along a beam apart',
    C31,
    twin(max('6'), 'in', max('150'), 'mm'),
  ),
  'moulding.beam-layer': entry(
    MAKING,
    'Beams this deep are rodded in two layers',
    C31,
    twin(max('8'), 'in', max('200'), 'mm'),
  ),
  'moulding.beam-layer-depth': entry(
    MAKING,
    'Layer of a deeper beam',
    C31,
    twin(max('6'), 'in', max('150'), 'mm'),
  ),
  'moulding.vibrate-insertion': entry(MAKING, 'Vibrator in at one place', C31, both(max('10'), 's')),
  'moulding.cover': entry(
    MAKING,
    'Covered after finishing',
    ourChoice('the standard says at once'),
    both(max('120'), 's'),
  ),
  'moulding.to-cure': entry(
    MAKING,
    'Into initial curing after finishing',
    ourChoice('the standard says at once'),
    both(max('900'), 's'),
  ),
  'moulding.set-density': entry(
    MAKING,
    'Density of a specimen from the median of its set',
    ourChoice('refill before covering'),
    both(max('1.5'), 'percent'),
  ),
  'moulding.mould-diameter': entry(
    MAKING,
    'Two diameters of a mould differ by at most',
    C470,
    both(max('2'), 'percent'),
  ),
  'moulding.mould-nominal': entry(
    MAKING,
    'Diameter of a mould from the nominal',
    C470,
    both(max('1'), 'percent'),
  ),
  'moulding.mould-height': entry(
    MAKING,
    'Height of a mould from the nominal',
    C470,
    both(max('2'), 'percent'),
  ),
  'moulding.moulds-measured': entry(MAKING, 'Moulds measured of a shipment', C470, both(min('3'), 'one')),
  'moulding.cube-strokes-150': entry(
    MAKING,
    'Strokes a layer, 150 mm cube in three layers',
    standard('IS 516'),
    both(min('35'), 'one'),
  ),
  'moulding.cube-strokes-100': entry(
    MAKING,
    'Strokes a layer, 100 mm cube in two layers',
    standard('IS 516'),
    both(min('25'), 'one'),
  ),
  'moulding.cube-aggregate': entry(
    MAKING,
    'Nominal aggregate for 100 mm cubes',
    standard('IS 516'),
    twin(max('0.75'), 'in', max('20'), 'mm'),
  ),

  'curing.initial-temperature': entry(
    INITIAL,
    'Temperature, specified strength under the dividing strength',
    C31,
    twin(range('60', '80'), 'degF', range('16', '27'), 'degC'),
  ),
  'curing.initial-temperature-high': entry(
    INITIAL,
    'Temperature, specified strength at or over the dividing strength',
    C31,
    twin(range('68', '78'), 'degF', range('20', '26'), 'degC'),
  ),
  'curing.dividing-strength': entry(
    INITIAL,
    'Specified strength from which the narrower range holds',
    C31,
    twin(min('6000'), 'psi', min('40'), 'MPa'),
  ),
  'curing.logger-interval': entry(
    INITIAL,
    'Between two readings of a recorder',
    ourChoice('fine enough for an hour'),
    both(max('15'), 'min'),
  ),
  'curing.gap': entry(
    INITIAL,
    'A gap in the record counts as unknown from this many intervals on, and over an hour',
    ourChoice('shown apart'),
    both(max('4'), 'one'),
  ),
  'curing.after-set': entry(
    TRANSPORT,
    'After final set before specimens are moved',
    C31,
    both(min('8'), 'h'),
  ),
  'curing.transport': entry(TRANSPORT, 'In transport', C31, both(max('4'), 'h')),
  'curing.bare': entry(FINAL, 'Mould off to wet', C31, both(max('30'), 'min')),
  'curing.final-temperature': entry(
    FINAL,
    'Temperature of tank or room',
    C511,
    twin(range('70', '77'), 'degF', range('21', '25'), 'degC'),
  ),
  'curing.beam-soak': entry(
    FINAL,
    'Standard-cured beams in lime water before the test',
    C31,
    both(min('20'), 'h'),
  ),
  'curing.field-beam-off': entry(
    FINAL,
    'Field-cured beams: moulds off and stored',
    C31,
    both(range('44', '52'), 'h'),
  ),
  'curing.field-beam-soak': entry(
    FINAL,
    'Field-cured beams in lime water before the test',
    C31,
    both(range('20', '28'), 'h'),
  ),
  'curing.demould': entry(FINAL, 'Moulds off; schools that count it', C31, both(max('48'), 'h')),
  'curing.arrival': entry(
    FINAL,
    'In the laboratory before the test; schools that count it',
    standard('IS 516'),
    both(min('24'), 'h'),
  ),
  'curing.near': entry(
    INITIAL,
    'This near an end of its range the box is looked after',
    ourChoice('before it is out'),
    twin(max('2'), 'deltaF', max('1'), 'deltaC'),
  ),
  'curing.unplugged': entry(
    INITIAL,
    'This near the outdoor extremes on both sides, the box is taken for unplugged',
    ourChoice('a heated and cooled box does not follow the weather'),
    twin(max('2'), 'deltaF', max('1'), 'deltaC'),
  ),
  'curing.lime': entry(
    FINAL,
    'Lime that saturates a gallon [litre] of water',
    C511,
    twin(min('0.4'), 'oz', min('3'), 'g'),
  ),
  'curing.tank-stirred': entry(FINAL, 'Months between stirrings of the tank', C511, both(max('1'), 'one')),
  'curing.tank-cleaned': entry(FINAL, 'Months between cleanings of the tank', C511, both(max('24'), 'one')),
  'curing.recorder-reviewed': entry(
    FINAL,
    'Between reviews of the temperature record',
    C511,
    both(max('7'), 'd'),
  ),
  'curing.recorder-checked': entry(
    FINAL,
    'Months between checks of the recorder',
    C1077,
    both(max('6'), 'one'),
  ),
  'curing.set-floor': entry(
    INITIAL,
    'Earliest final set that an estimate gives',
    ourChoice('a floor'),
    both(min('4'), 'h'),
  ),
  'curing.set-40': entry(INITIAL, 'Final set after batching at 40 °F', commonPractice, both(max('14'), 'h')),
  'curing.set-50': entry(INITIAL, 'Final set after batching at 50 °F', commonPractice, both(max('11'), 'h')),
  'curing.set-60': entry(INITIAL, 'Final set after batching at 60 °F', commonPractice, both(max('8'), 'h')),
  'curing.set-70': entry(INITIAL, 'Final set after batching at 70 °F', commonPractice, both(max('6'), 'h')),
  'curing.set-80': entry(INITIAL, 'Final set after batching at 80 °F', commonPractice, both(max('4'), 'h')),
  'curing.set-90': entry(
    INITIAL,
    'Final set after batching at 90 °F',
    commonPractice,
    both(max('2.6666666667'), 'h'),
  ),
  'curing.set-100': entry(
    INITIAL,
    'Final set after batching at 100 °F',
    commonPractice,
    both(max('1.6666666667'), 'h'),
  ),

  'people.certified': entry(
    PEOPLE,
    'Years a field technician’s certificate holds',
    C1077,
    both(max('5'), 'one'),
  ),
  'stamps.typed': entry(
    PEOPLE,
    'Between a stamp’s time and its entry, after which it counts as typed',
    ourChoice('a press is entered when it is made'),
    both(max('60'), 's'),
  ),
  'stamps.device-clock': entry(
    PEOPLE,
    'A device’s clock from the server’s, after which it is put right',
    ourChoice('shorter than the shortest warning of a clock'),
    both(max('10'), 's'),
  ),
} as const satisfies Record<string, LimitEntry>;
