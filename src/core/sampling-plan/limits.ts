import { group, r } from '../limits/row';
import { ourChoice, standard } from '../working';

const ACI_318_26_12_2 = standard('ACI 318', '26.12.2');
const IS_456_15_2_2 = standard('IS 456', '15.2.2');
const EN_206 = standard('EN 206');

export const LIMITS = {
  ...group('Sampling plan', ACI_318_26_12_2, {
    'plan.volume': r('Volume of a mixture a day for one sample', '<= 150 yd3', '<= 110 m3'),
    'plan.area': r('Area of slabs or walls (one face) for one sample', '<= 5000 ft2', '<= 460 m2'),
    'plan.fewest': r('Strength tests of a mixture in a project', '>= 5'),
    'plan.waiver': r(
      'Total volume under which tests may be waived with approved evidence',
      '<= 50 yd3',
      '<= 38 m3',
    ),
    'plan.due-soon': r(
      'Say "sample due" when this share of the volume has gone',
      '= 80 %',
      ourChoice('early word on the next load'),
    ),
  }),
  ...group('IS: rows that differ', IS_456_15_2_2, {
    'is/plan.one': r('One sample a day up to', '<= 5 m3'),
    'is/plan.two': r('Two samples a day up to', '<= 15 m3'),
    'is/plan.three': r('Three samples a day up to', '<= 30 m3'),
    'is/plan.four': r('Four samples a day up to', '<= 50 m3'),
    'is/plan.further': r('One more sample for each further', '= 50 m3'),
  }),
  ...group('EN: rows that differ', EN_206, {
    'en/plan.first-volume': r('Volume the first samples are taken from', '= 50 m3'),
    'en/plan.first': r('Samples in that volume', '= 3'),
    'en/plan.initial': r('Results until which production counts as initial', '= 35'),
    'en/plan.certified': r('One sample for each, initial, certified', '= 200 m3'),
    'en/plan.certified-later': r('One sample for each, continuous, certified', '= 400 m3'),
    'en/plan.other': r('One sample for each, not certified', '= 150 m3'),
  }),
};
