import { group, r } from '../../limits/row';
import { commonPractice, ourChoice, standard } from '../../working';

const C143 = standard('ASTM C143/C143M');
const C172 = standard('ASTM C172/C172M');
const C94 = standard('ASTM C94/C94M');
const EN_12350_2 = standard('EN 12350-2');
const EN_206 = standard('EN 206');
const IS_1199 = standard('IS 1199');

export const LIMITS = {
  ...group('Slump', C143, {
    'slump.step': r('Slump reported to', '= 0.25 in', '= 5 mm'),
    'slump.start': r('Started after the final portion of the sample', '<= 300 s', C172),
    'slump.total': r('From start of filling to mould removed', '<= 150 s'),
    'slump.lift': r('Lifting the mould', '3 to 7 s'),
    'slump.read': r('Measured after the lift', '<= 30 s', ourChoice('the standard says at once')),
    'slump.measurable': r('Slumps the method is meaningful for', '0.5 to 9 in', '15 to 230 mm'),
    'slump.mould-height': r('Height of the mould', '= 12 in', '= 300 mm'),
    'slump.strokes': r('Strokes of the rod a layer', '25 to 25'),
    'slump.layers': r('Layers', '3 to 3'),
    'slump.aggregate': r('Largest nominal aggregate without wet-sieving', '<= 1.5 in', '<= 37.5 mm'),
    'slump.target-low': r('Tolerance on a target slump, low band', '± 0.5 in', '± 15 mm', C94),
    'slump.target-mid': r('Tolerance on a target slump, middle band', '± 1 in', '± 25 mm', C94),
    'slump.target-high': r('Tolerance on a target slump, high band', '± 1.5 in', '± 40 mm', C94),
    'slump.target-bands': r(
      'Target slumps at which the low and middle bands end',
      '2 to 4 in',
      '50 to 100 mm',
      C94,
    ),
    'slump.maximum-minus-low': r(
      'Below a "maximum" slump by at most, low band',
      '<= 1.5 in',
      '<= 40 mm',
      C94,
    ),
    'slump.maximum-minus-high': r(
      'Below a "maximum" slump by at most, high band',
      '<= 2.5 in',
      '<= 65 mm',
      C94,
    ),
    'slump.maximum-band': r('"Maximum" slump at which the low band ends', '= 3 in', '= 75 mm', C94),
    'slump.people-low': r('Two results of two people differ by at most, low level', '<= 0.82 in', '<= 20 mm'),
    'slump.people-mid': r(
      'Two results of two people differ by at most, middle level',
      '<= 1.10 in',
      '<= 28 mm',
    ),
    'slump.people-high': r(
      'Two results of two people differ by at most, high level',
      '<= 1.50 in',
      '<= 38 mm',
    ),
    'slump.hot-above': r(
      'Concrete above which a high slump of an old load is looked into',
      '= 85 degF',
      '= 29 degC',
      commonPractice,
    ),
    'slump.old-after': r(
      'Age after which a high slump of a hot load is looked into',
      '= 60 min',
      commonPractice,
    ),
    'slump.jump': r(
      'More slump than the load before, with the same water, that is looked into',
      '= 1 in',
      '= 25 mm',
      commonPractice,
    ),
    'slump.repeat-level': r(
      'Slumps the precision is printed for, low and high',
      '1.2 to 6.5 in',
      '30 to 165 mm',
    ),
    'slump.repeat-middle': r('Slump the precision is printed for, middle', '= 3.4 in', '= 85 mm'),
    'slump.repeat-low': r(
      'Two results of one operator differ by at most, low level',
      '<= 0.65 in',
      '<= 17 mm',
    ),
    'slump.repeat-mid': r(
      'Two results of one operator differ by at most, middle level',
      '<= 1.07 in',
      '<= 25 mm',
    ),
    'slump.repeat-high': r(
      'Two results of one operator differ by at most, high level',
      '<= 1.13 in',
      '<= 28 mm',
    ),
  }),
  ...group('Agency, strict: rows that differ', commonPractice, {
    'agency/slump.total': r('From start of filling to mould removed', '<= 120 s'),
    'agency/slump.aggregate': r('Largest nominal aggregate without wet-sieving', '<= 2 in', '<= 50 mm'),
    'agency/slump.off': r('Slump finished after the final portion', '<= 300 s'),
  }),
  ...group('EN: rows that differ', EN_206, {
    'en/slump.step': r('Slump reported to', '= 0.5 in', '= 10 mm', EN_12350_2),
    'en/slump.lift': r('Lifting the mould', '2 to 5 s', EN_12350_2),
    'en/slump.measurable': r(
      'Slumps the method is meaningful for',
      '0.5 to 8.25 in',
      '10 to 210 mm',
      EN_12350_2,
    ),
    'en/slump.target-low': r('Tolerance on a target slump up to 40 mm', '± 0.5 in', '± 10 mm'),
    'en/slump.target-mid': r('Tolerance on a target slump of 50 to 90 mm', '± 0.75 in', '± 20 mm'),
    'en/slump.target-high': r('Tolerance on a target slump of 100 mm and more', '± 1.25 in', '± 30 mm'),
    'en/slump.target-bands': r(
      'Target slumps at which the low and middle bands end',
      '1.5 to 3.5 in',
      '40 to 90 mm',
    ),
    'en/slump.class-S1': r('Slump class S1', '0.5 to 1.5 in', '10 to 40 mm'),
    'en/slump.class-S2': r('Slump class S2', '2 to 3.5 in', '50 to 90 mm'),
    'en/slump.class-S3': r('Slump class S3', '4 to 6 in', '100 to 150 mm'),
    'en/slump.class-S4': r('Slump class S4', '6.25 to 8.25 in', '160 to 210 mm'),
    'en/slump.class-S5': r('Slump class S5', '>= 8.75 in', '>= 220 mm'),
    'en/slump.single': r(
      'A single result outside a class by at most, below and above',
      '0.5 to 0.75 in',
      '10 to 20 mm',
    ),
    'en/slump.single-first': r(
      'A single result at the start of discharge outside a class by at most',
      '0.75 to 1.25 in',
      '20 to 30 mm',
    ),
  }),
  ...group('IS: rows that differ', IS_1199, {
    'is/slump.total': r('From start of filling to mould removed', '<= 120 s'),
    'is/slump.layers': r('Layers, of equal height', '4 to 4'),
  }),
};
