import { commonPractice, ourChoice, standard } from '../working';
import { both, entry, type LimitEntry, max, min, range, twin } from './entry';

const C39 = standard('ASTM C39/C39M');
const C31 = standard('ASTM C31/C31M');
const ACI318 = standard('ACI 318', '26.12.3');

const E4 = standard('ASTM E4');
const ACI214 = standard('ACI 214R');

const AGE = 'Age at test';
const CYLINDER = 'Cylinder compression';
const EXPECTED = 'Expected strength';
const FACTOR = 'Length to diameter factor';
const MACHINE = 'Testing machine';
const SET = 'Agreement within a set';
const LOG = 'Load log';
const ACCEPTANCE = 'Strength acceptance';

/** Age, cylinders, machines, sets and acceptance. */
export const HARDENED = {
  'age.24h': entry(AGE, 'Tolerance at 24 h', C39, both(max('0.5'), 'h')),
  'age.3d': entry(AGE, 'Tolerance at 3 d', C39, both(max('2'), 'h')),
  'age.7d': entry(AGE, 'Tolerance at 7 d', C39, both(max('6'), 'h')),
  'age.28d': entry(AGE, 'Tolerance at 28 d', C39, both(max('20'), 'h')),
  'age.90d': entry(AGE, 'Tolerance at 90 d', C39, both(max('2'), 'd')),
  'age.other': entry(AGE, 'Tolerance at any other age, share of the age', C39, both(max('2'), 'percent')),
  'age.closing': entry(
    AGE,
    'A window counts as closing when this share of it is left',
    ourChoice('warn in the last fifth'),
    both(max('20'), 'percent'),
  ),

  'cylinder.diameter-spread': entry(
    CYLINDER,
    'Largest difference between two diameters, of the smaller',
    C39,
    both(max('2'), 'percent'),
  ),
  'cylinder.diameter-step': entry(
    CYLINDER,
    'Diameters read, and their mean rounded, to',
    C39,
    twin(max('0.01'), 'in', max('0.25'), 'mm'),
  ),
  'cylinder.reduced-least': entry(
    CYLINDER,
    'Reduced measuring of diameters: cylinders measured a day, at least',
    C39,
    both(min('3'), 'one'),
  ),
  'cylinder.reduced-share': entry(
    CYLINDER,
    'Reduced measuring: of the cylinders of the day at least',
    C39,
    both(min('10'), 'percent'),
  ),
  'cylinder.reduced-range': entry(
    CYLINDER,
    'Reduced measuring: the measured ones within',
    C39,
    twin(max('0.02'), 'in', max('0.5'), 'mm'),
  ),
  'cylinder.length-needed': entry(
    CYLINDER,
    'L/D outside which the length must be measured',
    C39,
    both(range('1.8', '2.2'), 'one'),
  ),
  'cylinder.out-of-square': entry(
    CYLINDER,
    'Ends out of square with the axis: gap over the diameter',
    C39,
    both(max('0.01'), 'one'),
  ),
  'cylinder.planeness': entry(
    CYLINDER,
    'Ends plane within',
    C39,
    twin(max('0.002'), 'in', max('0.05'), 'mm'),
  ),
  'cylinder.water-density': entry(
    CYLINDER,
    'Density of water at 73 °F [23 °C], for weighing in water',
    C39,
    twin(max('62.27'), 'lb/ft3', max('997.5'), 'kg/m3'),
  ),
  'cylinder.density-agree': entry(
    CYLINDER,
    'Density of a specimen from its companions, or by its size and in water',
    ourChoice('beyond it one of the readings or the specimen is another'),
    twin(max('2'), 'lb/ft3', max('30'), 'kg/m3'),
  ),
  'cylinder.loading-rate': entry(
    CYLINDER,
    'Loading rate in the second half of loading',
    C39,
    twin(range('28', '42'), 'psi/s', range('0.20', '0.30'), 'MPa/s'),
  ),
  'cylinder.out-of-moist': entry(
    CYLINDER,
    'Out of moist storage before the test, wet',
    C31,
    both(max('3'), 'h'),
  ),
  'cylinder.strength-step': entry(
    CYLINDER,
    'Strength reported to',
    C39,
    twin(max('10'), 'psi', max('0.1'), 'MPa'),
  ),
  'cylinder.density-step': entry(
    CYLINDER,
    'Density reported to',
    C39,
    twin(max('1'), 'lb/ft3', max('10'), 'kg/m3'),
  ),
  'cylinder.diameter-usual': entry(
    CYLINDER,
    'Diameter usual for the nominal size, of nominal',
    ourChoice('ask again outside'),
    both(range('0.9875', '1.0125'), 'one'),
  ),
  'cylinder.diameter-possible': entry(
    CYLINDER,
    'Diameter possible for the nominal size, of nominal',
    ourChoice('ask for a reason outside'),
    both(range('0.875', '1.125'), 'one'),
  ),
  'cylinder.strength-usual': entry(
    CYLINDER,
    'Strength usual for concrete',
    ourChoice('ask again outside'),
    twin(range('500', '12000'), 'psi', range('3.5', '85'), 'MPa'),
  ),
  'cylinder.density-usual': entry(
    CYLINDER,
    'Density usual for concrete',
    ourChoice('ask again outside'),
    twin(range('130', '160'), 'lb/ft3', range('2080', '2560'), 'kg/m3'),
  ),
  'cylinder.low-against-expected': entry(
    CYLINDER,
    'A result is low below this share of the expected strength',
    ourChoice('look before the pieces are thrown away'),
    both(min('0.85'), 'one'),
  ),
  'cylinder.pieces-kept': entry(
    CYLINDER,
    'Pieces of a low, odd or disputed set are kept until it is accepted, at least',
    ourChoice('long enough for a reviewer to ask for them'),
    both(min('7'), 'd'),
  ),
  'cylinder.high-against-expected': entry(
    CYLINDER,
    'A result is suspiciously high above this share of the expected strength',
    ourChoice('wrong specimen, area or range?'),
    both(max('1.5'), 'one'),
  ),

  'expected.over-specified': entry(
    EXPECTED,
    'Strength expected at the designated age, of the specified',
    ourChoice('what a mix usually reaches when nothing is known of it'),
    both(max('1.15'), 'one'),
  ),
  'expected.3d': entry(EXPECTED, 'Share expected up to 3 d', commonPractice, both(max('0.45'), 'one')),
  'expected.7d': entry(EXPECTED, 'Share expected up to 7 d', commonPractice, both(max('0.70'), 'one')),
  'expected.14d': entry(EXPECTED, 'Share expected up to 14 d', commonPractice, both(max('0.87'), 'one')),

  'factor.applies': entry(FACTOR, 'L/D up to which strength is corrected', C39, both(max('1.75'), 'one')),
  'factor.1.75': entry(FACTOR, 'Factor at L/D 1.75', C39, both(max('0.98'), 'one')),
  'factor.1.50': entry(FACTOR, 'Factor at L/D 1.50', C39, both(max('0.96'), 'one')),
  'factor.1.25': entry(FACTOR, 'Factor at L/D 1.25', C39, both(max('0.93'), 'one')),
  'factor.1.00': entry(FACTOR, 'Factor at L/D 1.00', C39, both(max('0.87'), 'one')),
  'factor.smallest': entry(FACTOR, 'Smallest L/D with a factor', C39, both(min('1'), 'one')),
  'factor.strength-range': entry(
    FACTOR,
    'Strengths the factors were found for',
    C39,
    twin(range('2000', '6000'), 'psi', range('14', '42'), 'MPa'),
  ),

  'machine.verification': entry(MACHINE, 'Months since the last verification', C39, both(max('13'), 'one')),
  'machine.stress-usual': entry(
    MACHINE,
    'Stress that a specimen of concrete, grout or mortar can bear',
    ourChoice('what can be, whatever went wrong'),
    twin(max('22000'), 'psi', max('150'), 'MPa'),
  ),
  'machine.error': entry(
    MACHINE,
    'Error of the indicated load at each load of a verification, of the applied load',
    E4,
    both(max('1.0'), 'percent'),
  ),
  'machine.loads': entry(MACHINE, 'Loads that a verified range is proved at', E4, both(min('5'), 'one')),
  'machine.lowest-steps': entry(
    MACHINE,
    'Lowest verified load, in smallest changes of load that can be read',
    E4,
    both(min('100'), 'one'),
  ),
  'machine.headroom': entry(
    MACHINE,
    'Expected load within this share of the highest verified load',
    ourChoice('room for a strong cylinder'),
    both(max('0.8333333333'), 'one'),
  ),
  'machine.lowest-share': entry(
    MACHINE,
    'Lowest verified load, of the expected load',
    ourChoice('half of the expected load is where the rate begins to count'),
    both(max('0.5'), 'one'),
  ),
  'machine.dial-step': entry(
    MACHINE,
    'What can be read or shown, of the full scale',
    C39,
    both(max('0.1'), 'percent'),
  ),
  'machine.face': entry(MACHINE, 'Bearing faces, of the specimen', C39, both(min('1.03'), 'one')),
  'machine.face-most-2': entry(
    MACHINE,
    'Upper bearing face at most for a specimen of 2 in [50 mm]',
    C39,
    twin(max('4'), 'in', max('105'), 'mm'),
  ),
  'machine.face-most-3': entry(
    MACHINE,
    'Upper bearing face at most for a specimen of 3 in [75 mm]',
    C39,
    twin(max('5'), 'in', max('130'), 'mm'),
  ),
  'machine.face-most-4': entry(
    MACHINE,
    'Upper bearing face at most for a specimen of 4 in [100 mm]',
    C39,
    twin(max('6.5'), 'in', max('165'), 'mm'),
  ),
  'machine.face-most-6': entry(
    MACHINE,
    'Upper bearing face at most for a specimen of 6 in [150 mm]',
    C39,
    twin(max('10'), 'in', max('255'), 'mm'),
  ),
  'machine.face-most-8': entry(
    MACHINE,
    'Upper bearing face at most for a specimen of 8 in [200 mm]',
    C39,
    twin(max('11'), 'in', max('280'), 'mm'),
  ),
  'machine.seat': entry(MACHINE, 'Months since the spherical seat was oiled', C39, both(max('6'), 'one')),
  'press.offset': entry(
    MACHINE,
    'Axis of the specimen off the middle of the block, of its width',
    ourChoice('the rings of the block are the guide'),
    both(max('1'), 'percent'),
  ),
  'press.gap': entry(
    MACHINE,
    'Gap between specimen and upper block with the ram down',
    ourChoice('small enough for a short approach, large enough to place the specimen'),
    twin(range('0.375', '1.0'), 'in', range('10', '25'), 'mm'),
  ),
  'press.gap-target': entry(
    MACHINE,
    'Gap aimed at',
    commonPractice,
    twin(max('0.625'), 'in', max('16'), 'mm'),
  ),
  'press.stroke-margin': entry(
    MACHINE,
    'End of the stroke that is kept free, at least',
    ourChoice('the ram never goes near its end'),
    twin(min('0.5'), 'in', min('13'), 'mm'),
  ),
  'press.stroke-share': entry(
    MACHINE,
    'End of the stroke that is kept free, of the rated stroke at least',
    ourChoice('the ram never goes near its end'),
    both(min('20'), 'percent'),
  ),
  'press.stroke-alarm': entry(
    MACHINE,
    'Before the end of the usable stroke an alarm is given at',
    ourChoice('time enough to stop the pump'),
    twin(max('0.2'), 'in', max('5'), 'mm'),
  ),
  'press.pad-give': entry(
    MACHINE,
    'Travel that two pads take up',
    ourChoice('allowance'),
    twin(max('0.20'), 'in', max('5'), 'mm'),
  ),
  'press.cap-give': entry(
    MACHINE,
    'Travel that caps or ground ends take up',
    ourChoice('allowance'),
    twin(max('0.01'), 'in', max('0.25'), 'mm'),
  ),
  'press.after': entry(
    MACHINE,
    'Travel after the peak',
    ourChoice('allowance'),
    twin(max('0.10'), 'in', max('2.5'), 'mm'),
  ),
  'press.shortening': entry(
    MACHINE,
    'Shortening of the specimen up to the peak, of its length',
    ourChoice('allowance'),
    both(max('0.0024'), 'one'),
  ),
  'press.stiffness': entry(
    MACHINE,
    'Stiffness of frame and oil, lbf/in or kN/mm',
    ourChoice('a usual press'),
    twin(max('2300000'), 'one', max('400'), 'one'),
  ),
  'press.pad-height': entry(
    MACHINE,
    'Height that pads and retainers add',
    ourChoice('two retainer bases and two pads'),
    twin(max('2.0'), 'in', max('50'), 'mm'),
  ),
  'press.cap-height': entry(
    MACHINE,
    'Height that bonded caps add',
    ourChoice('two thin caps'),
    twin(max('0.25'), 'in', max('6'), 'mm'),
  ),
  'press.first-half': entry(
    MACHINE,
    'Rate in the first half, of the target',
    ourChoice('a higher rate is allowed there, applied without shock'),
    both(max('3'), 'one'),
  ),
  'equipment.yearly': entry(
    MACHINE,
    'Months between checks of callipers, thermometers and slump moulds',
    commonPractice,
    both(max('12'), 'one'),
  ),

  'set.2x6x12': entry(SET, 'Range of two 6×12 (150×300), field conditions', C39, both(max('8.0'), 'percent')),
  'set.3x6x12': entry(
    SET,
    'Range of three 6×12 (150×300), field conditions',
    C39,
    both(max('9.5'), 'percent'),
  ),
  'set.2x4x8': entry(
    SET,
    'Range of two 4×8 (100×200); the laboratory value, no field value is printed',
    C39,
    both(max('9.0'), 'percent'),
  ),
  'set.3x4x8': entry(
    SET,
    'Range of three 4×8 (100×200); the laboratory value, no field value is printed',
    C39,
    both(max('10.6'), 'percent'),
  ),
  'within.excellent': entry(
    SET,
    'Within-test variation, field, excellent below',
    ACI214,
    both(max('3.0'), 'percent'),
  ),
  'within.very-good': entry(SET, 'Very good up to', ACI214, both(max('4.0'), 'percent')),
  'within.good': entry(SET, 'Good up to', ACI214, both(max('5.0'), 'percent')),
  'within.fair': entry(SET, 'Fair up to, poor beyond', ACI214, both(max('6.0'), 'percent')),
  'within.sets': entry(SET, 'Sets that a within-test variation is told from', ACI214, both(min('10'), 'one')),
  'set.count-6x12': entry(SET, 'Cylinders 6×12 (150×300) in a strength test', ACI318, both(min('2'), 'one')),
  'set.count-4x8': entry(SET, 'Cylinders 4×8 (100×200) in a strength test', ACI318, both(min('3'), 'one')),

  'acceptance.individual-shortfall': entry(
    ACCEPTANCE,
    'A single test below f′c by at most, up to the dividing strength',
    ACI318,
    twin(max('500'), 'psi', max('3.5'), 'MPa'),
  ),
  'acceptance.dividing-strength': entry(
    ACCEPTANCE,
    'Specified strength above which the share rule applies',
    ACI318,
    twin(max('5000'), 'psi', max('35'), 'MPa'),
  ),
  'acceptance.individual-share': entry(
    ACCEPTANCE,
    'A single test below f′c by at most this share, above the dividing strength',
    ACI318,
    both(max('0.10'), 'one'),
  ),
  'log.share-remark': entry(
    LOG,
    'Samples outside the band of the rate, of those judged, that ask for a remark',
    ourChoice('the standard gives the band, not how a record is scored'),
    both(max('10'), 'percent'),
  ),
  'log.share-review': entry(
    LOG,
    'Samples outside the band of the rate, of those judged, that ask for a review',
    ourChoice('the standard gives the band, not how a record is scored'),
    both(max('30'), 'percent'),
  ),
  'log.under-read-remark': entry(
    LOG,
    'Load that may have been missed between two samples, of the peak, that asks for a remark',
    ourChoice('half the least that a strength is rounded to at low loads'),
    both(max('0.5'), 'percent'),
  ),
  'log.under-read-review': entry(
    LOG,
    'Load that may have been missed between two samples, of the peak, that asks for a review',
    ourChoice('as large as a press may be off'),
    both(max('1.0'), 'percent'),
  ),
} as const satisfies Record<string, LimitEntry>;
