import { group, r } from '../../limits/row';
import { commonPractice, ourChoice, standard } from '../../working';

const C39 = standard('ASTM C39/C39M');
const E4 = standard('ASTM E4');
const C109 = standard('ASTM C109/C109M');

export const LIMITS = {
  ...group('Expected strength', commonPractice, {
    'expected.over-specified': r(
      'Strength expected at the designated age, of the specified',
      '= 1.15',
      ourChoice('what a mix usually reaches when nothing is known of it'),
    ),
    'expected.3d': r('Share expected up to 3 d', '= 0.45'),
    'expected.7d': r('Share expected up to 7 d', '= 0.70'),
    'expected.14d': r('Share expected up to 14 d', '= 0.87'),
  }),
  ...group('Length to diameter factor', C39, {
    'factor.applies': r('L/D up to which strength is corrected', '= 1.75'),
    'factor.1.75': r('Factor at L/D 1.75', '= 0.98'),
    'factor.1.50': r('Factor at L/D 1.50', '= 0.96'),
    'factor.1.25': r('Factor at L/D 1.25', '= 0.93'),
    'factor.1.00': r('Factor at L/D 1.00', '= 0.87'),
    'factor.smallest': r('Smallest L/D with a factor', '>= 1'),
    'factor.strength-range': r('Strengths the factors were found for', '2000 to 6000 psi', '14 to 42 MPa'),
  }),
  ...group('Testing machine', C39, {
    'machine.verification': r('Months since the last verification', '<= 13'),
    'machine.stress-usual': r(
      'Stress that a specimen of concrete, grout or mortar can bear',
      '<= 22000 psi',
      '<= 150 MPa',
      ourChoice('what can be, whatever went wrong'),
    ),
    'machine.error': r(
      'Error of the indicated load at each load of a verification, of the applied load',
      '± 1.0 %',
      E4,
    ),
    'machine.loads': r('Loads that a verified range is proved at', '>= 5', E4),
    'machine.lowest-steps': r(
      'Lowest verified load, in smallest changes of load that can be read',
      '>= 100',
      E4,
    ),
    'machine.headroom': r(
      'Expected load within this share of the highest verified load',
      '<= 0.8333333333',
      ourChoice('room for a strong cylinder'),
    ),
    'machine.lowest-share': r(
      'Lowest verified load, of the expected load',
      '<= 0.5',
      ourChoice('half of the expected load is where the rate begins to count'),
    ),
    'machine.dial-step': r('What can be read or shown, of the full scale', '<= 0.1 %'),
    'machine.face': r('Bearing faces, of the specimen', '>= 1.03'),
    'machine.face-most-2': r(
      'Upper bearing face at most for a specimen of 2 in [50 mm]',
      '<= 4 in',
      '<= 105 mm',
    ),
    'machine.face-most-3': r(
      'Upper bearing face at most for a specimen of 3 in [75 mm]',
      '<= 5 in',
      '<= 130 mm',
    ),
    'machine.face-most-4': r(
      'Upper bearing face at most for a specimen of 4 in [100 mm]',
      '<= 6.5 in',
      '<= 165 mm',
    ),
    'machine.face-most-6': r(
      'Upper bearing face at most for a specimen of 6 in [150 mm]',
      '<= 10 in',
      '<= 255 mm',
    ),
    'machine.face-most-8': r(
      'Upper bearing face at most for a specimen of 8 in [200 mm]',
      '<= 11 in',
      '<= 280 mm',
    ),
    'machine.seat': r('Months since the spherical seat was oiled', '<= 6'),
    'press.offset': r(
      'Axis of the specimen off the middle of the block, of its width',
      '<= 1 %',
      ourChoice('the rings of the block are the guide'),
    ),
    'press.gap': r(
      'Gap between specimen and upper block with the ram down',
      '0.375 to 1.0 in',
      '10 to 25 mm',
      ourChoice('small enough for a short approach, large enough to place the specimen'),
    ),
    'press.gap-target': r('Gap aimed at', '= 0.625 in', '= 16 mm', commonPractice),
    'press.stroke-margin': r(
      'End of the stroke that is kept free, at least',
      '>= 0.5 in',
      '>= 13 mm',
      ourChoice('the ram never goes near its end'),
    ),
    'press.stroke-share': r(
      'End of the stroke that is kept free, of the rated stroke at least',
      '>= 20 %',
      ourChoice('the ram never goes near its end'),
    ),
    'press.stroke-alarm': r(
      'Before the end of the usable stroke an alarm is given at',
      '= 0.2 in',
      '= 5 mm',
      ourChoice('time enough to stop the pump'),
    ),
    'press.pad-give': r('Travel that two pads take up', '= 0.20 in', '= 5 mm', ourChoice('allowance')),
    'press.cap-give': r(
      'Travel that caps or ground ends take up',
      '= 0.01 in',
      '= 0.25 mm',
      ourChoice('allowance'),
    ),
    'press.after': r('Travel after the peak', '= 0.10 in', '= 2.5 mm', ourChoice('allowance')),
    'press.shortening': r(
      'Shortening of the specimen up to the peak, of its length',
      '= 0.0024',
      ourChoice('allowance'),
    ),
    'press.stiffness': r(
      'Stiffness of frame and oil, lbf/in or kN/mm',
      '= 2300000',
      '= 400',
      ourChoice('a usual press'),
    ),
    'press.pad-height': r(
      'Height that pads and retainers add',
      '= 2.0 in',
      '= 50 mm',
      ourChoice('two retainer bases and two pads'),
    ),
    'press.cap-height': r('Height that bonded caps add', '= 0.25 in', '= 6 mm', ourChoice('two thin caps')),
    'press.first-half': r(
      'Rate in the first half, of the target',
      '= 3',
      ourChoice('a higher rate is allowed there, applied without shock'),
    ),
  }),
  ...group('Load log', ourChoice('the standard gives the band, not how a record is scored'), {
    'log.share-remark': r(
      'Samples outside the band of the rate, of those judged, that ask for a remark',
      '= 10 %',
    ),
    'log.share-review': r(
      'Samples outside the band of the rate, of those judged, that ask for a review',
      '= 30 %',
    ),
    'log.under-read-remark': r(
      'Load that may have been missed between two samples, of the peak, that asks for a remark',
      '= 0.5 %',
      ourChoice('half the least that a strength is rounded to at low loads'),
    ),
    'log.under-read-review': r(
      'Load that may have been missed between two samples, of the peak, that asks for a review',
      '= 1.0 %',
      ourChoice('as large as a press may be off'),
    ),
  }),
  ...group('Mortar cubes', C109, {
    'small.step': r('Strength of cubes and prisms reported to', '= 10 psi', '= 0.1 MPa'),
  }),
};
