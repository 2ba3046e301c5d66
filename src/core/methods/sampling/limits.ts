import { group, r } from '../../limits/row';
import { commonPractice, ourChoice, standard } from '../../working';

const C172 = standard('ASTM C172/C172M');
const C94 = standard('ASTM C94/C94M');
const EN_12350_1 = standard('EN 12350-1');

export const LIMITS = {
  ...group('Sampling', C172, {
    'sampling.composite': r('First to last portion of a composite', '<= 15 min'),
    'sampling.moulding-start': r('Moulding of specimens started after the composite', '<= 15 min'),
    'sampling.portions': r('Portions of a composite from a stream', '>= 2'),
    'sampling.picks': r('Places a pile is sampled from', '>= 5'),
    'sampling.middle': r('Portions from the middle: share of the load discharged', '0.10 to 0.90'),
    'sampling.smallest': r('Sample when strength specimens are made', '>= 1 ft3', '>= 28 L'),
    'sampling.spare': r(
      'Take this many times what the tests need',
      '>= 1.25',
      ourChoice('a quarter to spare'),
    ),
    'sampling.size-step': r(
      'Sample size rounded up to',
      '= 0.05 ft3',
      '= 1 L',
      ourChoice('what a scoop can tell'),
    ),
    'sampling.preliminary': r('Discharged before a preliminary sample', '>= 0.25 yd3', '>= 0.25 m3', C94),
    'sampling.barrow': r('One wheelbarrow holds about', '= 2.5 ft3', '= 70 L', commonPractice),
  }),
  ...group('Agency, strict: rows that differ', commonPractice, {
    'agency/sampling.whole': r('Whole sample used, specimens and air included', '<= 900 s'),
  }),
  ...group('EN: rows that differ', EN_12350_1, {
    'en/sampling.spare': r('Take this many times what the tests need', '>= 1.5'),
  }),
};
