import { group, r } from '../../limits/row';
import { commonPractice, ourChoice, standard } from '../../working';

const C1074 = standard('ASTM C1074');

export const LIMITS = {
  ...group('Maturity', C1074, {
    'maturity.datum': r('Datum temperature where none was found for the cement', '= 32 degF', '= 0 degC'),
    'maturity.q': r('Activation energy over the gas constant, K, where none was found', '= 5000'),
    'maturity.reference': r('Reference temperature of the equivalent age', '= 73.4 degF', '= 23 degC'),
    'maturity.ages': r('Ages of a calibration', '>= 5'),
    'maturity.cylinders': r('Cylinders of a calibration', '>= 15'),
    'maturity.pair': r('Range of two breaks of one age before a third is broken', '<= 10 %'),
    'maturity.sensors': r(
      'Difference of two instrumented cylinders',
      '<= 5 %',
      ourChoice('more is a sensor, or a cylinder that stood elsewhere'),
    ),
    'maturity.delay': r(
      'Moulded to recording',
      '<= 30 min',
      ourChoice('the first hours are worth little, and are still worth something'),
    ),
    'maturity.start': r(
      'Before the first row that is made up for by its temperature',
      '<= 1 h',
      ourChoice('what is not known counts nothing'),
    ),
    'maturity.confidence': r('Share that a decision rests on', '= 90 %', ourChoice('one-sided')),
    'maturity.allowance': r(
      'Of the lower edge, what is counted on',
      '= 90 %',
      ourChoice('the batch is not that of the calibration'),
    ),
    'maturity.verified': r('Cylinder of the job from the curve', '<= 10 %', commonPractice),
    'maturity.apart': r(
      'Supplementary test from the curve, before it is read again',
      '<= 30 %',
      ourChoice('farther apart one of the two is of something else'),
    ),
    'maturity.warm': r('Concrete while it counts', '<= 140 degF', '<= 60 degC', commonPractice),
    'maturity.cold': r('Concrete while it counts, at the least', '>= 41 degF', '>= 5 degC', commonPractice),
    'maturity.outlook': r(
      'Air otherwise than expected, for earliest and latest',
      '= 9 deltaF',
      '= 5 deltaC',
      ourChoice('a forecast of some days'),
    ),
    'maturity.protection': r(
      'End of protection from first freezing',
      '>= 500 psi',
      '>= 3.5 MPa',
      standard('ACI 306R'),
    ),
    'maturity.index-step': r('Maturity index reported to, °C·h', '= 1', ourChoice('as recorders show it')),
    'maturity.strength-step': r('Strength by maturity reported to', '= 10 psi', '= 0.1 MPa', commonPractice),
    'maturity.rise': r('Rates that rise with temperature, temperatures', '>= 3'),
    'maturity.line': r('Share of the rates that their line explains', '>= 90 %', commonPractice),
  }),
};
