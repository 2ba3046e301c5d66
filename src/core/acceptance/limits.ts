import { group, r } from '../limits/row';
import { commonPractice, standard } from '../working';

const C39 = standard('ASTM C39/C39M');
const ACI_214R = standard('ACI 214R');
const AC_150_5370_10 = standard('AC 150/5370-10', 'P-501');
const IS_456 = standard('IS 456', '16.2');
const ACI_318_26_12_3 = standard('ACI 318', '26.12.3');

export const LIMITS = {
  ...group('Agreement within a set', ACI_214R, {
    'set.2x6x12': r('Range of two 6×12 (150×300), field conditions', '<= 8.0 %', C39),
    'set.3x6x12': r('Range of three 6×12 (150×300), field conditions', '<= 9.5 %', C39),
    'set.2x4x8': r(
      'Range of two 4×8 (100×200); the laboratory value, no field value is printed',
      '<= 9.0 %',
      C39,
    ),
    'set.3x4x8': r(
      'Range of three 4×8 (100×200); the laboratory value, no field value is printed',
      '<= 10.6 %',
      C39,
    ),
    'within.excellent': r('Within-test variation, field, excellent below', '<= 3.0 %'),
    'within.very-good': r('Very good up to', '<= 4.0 %'),
    'within.good': r('Good up to', '<= 5.0 %'),
    'within.fair': r('Fair up to, poor beyond', '<= 6.0 %'),
    'within.sets': r('Sets that a within-test variation is told from', '>= 10'),
    'set.count-6x12': r('Cylinders 6×12 (150×300) in a strength test', '>= 2', ACI_318_26_12_3),
    'set.count-4x8': r('Cylinders 4×8 (100×200) in a strength test', '>= 3', ACI_318_26_12_3),
  }),
  ...group('Strength acceptance', ACI_318_26_12_3, {
    'acceptance.individual-shortfall': r(
      'A single test below f′c by at most, up to the dividing strength',
      '<= 500 psi',
      '<= 3.5 MPa',
    ),
    'acceptance.dividing-strength': r(
      'Specified strength above which the share rule applies',
      '= 5000 psi',
      '= 35 MPa',
    ),
    'acceptance.individual-share': r(
      'A single test below f′c by at most this share, above the dividing strength',
      '<= 0.10',
    ),
  }),
  ...group('Flexural acceptance', AC_150_5370_10, {
    'flexure.within-lower': r('A test counts as within from this share of the strength asked for', '= 0.93'),
    'flexure.within-least': r('Share of a lot within its limit', '>= 90 %'),
    'flexure.within-count': r('Tests that a lot is judged by at least', '= 3'),
    'flexure.within-step': r('Share of a lot within its limit, told to', '= 1 %'),
  }),
  ...group('Flexural acceptance', commonPractice, {
    'flexure.average-over': r(
      'Mean of flexural tests in a row, above the strength asked for by',
      '>= 0 psi',
      '>= 0 MPa',
    ),
    'flexure.relation-pairs': r('Pairs that a relation of flexure to compression is made of', '>= 10'),
    'flexure.single-short': r('A single flexural test below it by at most', '<= 50 psi', '<= 0.35 MPa'),
    'is/flexure.average-over': r(
      'Mean of four flexural tests in a row, above the strength asked for by',
      '>= 44 psi',
      '>= 0.3 MPa',
      IS_456,
    ),
    'is/flexure.single-short': r(
      'A single flexural test below it by at most',
      '<= 44 psi',
      '<= 0.3 MPa',
      IS_456,
    ),
  }),
};
