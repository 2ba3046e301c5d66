import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

const C1064 = standard('ASTM C1064/C1064M');
const ACI_301 = standard('ACI 301');
const C94 = standard('ASTM C94/C94M');
const ACI_306R = standard('ACI 306R');

export const LIMITS = {
  ...group('Concrete temperature', C1064, {
    'temperature.step': r('Temperature reported to', '= 1 deltaF', '= 0.5 deltaC'),
    'temperature.complete': r('Complete after obtaining the sample', '<= 300 s'),
    'temperature.complete-large': r('Complete when the aggregate is over 3 in [75 mm]', '<= 1200 s'),
    'temperature.large-aggregate': r(
      'Nominal aggregate above which the longer time holds',
      '= 3 in',
      '= 75 mm',
    ),
    'temperature.insert': r('Sensor in after the sample, so that both other clocks can be met', '<= 180 s'),
    'temperature.dwell': r('Sensor in the concrete before reading', '>= 120 s'),
    'temperature.cover': r('Concrete around the sensor on all sides', '>= 3 in', '>= 75 mm'),
    'temperature.cover-aggregate': r('Concrete around the sensor, times the nominal aggregate', '>= 3'),
    'temperature.steady-change': r(
      'Change of a reading that is called steady',
      '<= 1 deltaF',
      '<= 0.5 deltaC',
      ourChoice('what a display shows'),
    ),
    'temperature.steady-over': r(
      'Time over which a reading is called steady',
      '<= 30 s',
      ourChoice('a quarter of the least dwell'),
    ),
    'temperature.people': r(
      'Two people’s readings of one sample',
      '<= 2 deltaF',
      '<= 1 deltaC',
      ourChoice('twice what a verified device may be off'),
    ),
    'temperature.jump': r(
      'Difference from the load before that calls for a second reading',
      '= 5 deltaF',
      '= 3 deltaC',
      ourChoice('look twice'),
    ),
    'temperature.maximum': r(
      'Highest at discharge when the project names none',
      '<= 95 degF',
      '<= 35 degC',
      ACI_301,
    ),
    'temperature.maximum-heated': r(
      'Highest when heated materials are used',
      '<= 90 degF',
      '<= 32 degC',
      C94,
    ),
    'temperature.cold-12': r(
      'Lowest as placed in cold weather, section under 12 in [300 mm]',
      '>= 55 degF',
      '>= 13 degC',
      C94,
    ),
    'temperature.cold-36': r(
      'Lowest as placed in cold weather, section 12 to 36 in [300 to 900 mm]',
      '>= 50 degF',
      '>= 10 degC',
      C94,
    ),
    'temperature.cold-72': r(
      'Lowest as placed in cold weather, section 36 to 72 in [900 to 1800 mm]',
      '>= 45 degF',
      '>= 7 degC',
      C94,
    ),
    'temperature.cold-over': r(
      'Lowest as placed in cold weather, section over 72 in [1800 mm]',
      '>= 40 degF',
      '>= 5 degC',
      C94,
    ),
    'temperature.sections-low': r('Least section at which the first row ends', '= 12 in', '= 300 mm', C94),
    'temperature.sections-mid': r('Least section at which the second row ends', '= 36 in', '= 900 mm', C94),
    'temperature.sections-high': r('Least section at which the third row ends', '= 72 in', '= 1800 mm', C94),
    'temperature.cold-air': r(
      'Air temperature under which the cold rows hold',
      '= 40 degF',
      '= 5 degC',
      ACI_306R,
    ),
    'temperature.usual': r(
      'Concrete temperature usual',
      '40 to 100 degF',
      '5 to 38 degC',
      ourChoice('ask again outside'),
    ),
  }),
};
