import { group, r } from '../../limits/row';
import { commonPractice, ourChoice, standard } from '../../working';

const C1074 = standard('ASTM C1074');
const ACI_301 = standard('ACI 301');
const ACI_306R = standard('ACI 306R');
const IEC_60584 = standard('IEC 60584-1');
const E230 = standard('ASTM E230/E230M');

export const LIMITS = {
  ...group('Temperature records', ourChoice('what a record has to be to be believed'), {
    'record.interval-early': r('Between rows in the first two days', '<= 0.5 h', C1074),
    'record.interval-late': r('Between rows later', '<= 1 h', C1074),
    'record.accuracy': r(
      'Sensor off in the bath, before it is corrected',
      '<= 2 deltaF',
      '<= 1 deltaC',
      C1074,
    ),
    'record.reject': r('Sensor off in the bath, before it is left out', '<= 3.6 deltaF', '<= 2 deltaC'),
    'record.rate': r('Change in an hour, °F or °C, inside concrete', '<= 36', '<= 20'),
    'record.peak-age': r('Highest temperature after placing', '4 to 20 h', commonPractice),
    'record.air-like': r('From the air, that is the air', '<= 0.9 deltaF', '<= 0.5 deltaC'),
    'record.line': r('Gap over which a straight line is drawn', '<= 2 h'),
    'record.clocks': r('Clocks as noted, from what the shapes say', '<= 5 min'),
    'record.checked': r('Sensor checked in a bath, ±', '= 0.54 deltaF', '= 0.3 deltaC'),
    'record.step': r('Temperatures reported to', '= 0.1 degF', '= 0.1 degC'),
    'record.difference-step': r('Differences of temperature reported to', '= 0.1 deltaF', '= 0.1 deltaC'),
    'record.k-1': r('Type K, class 1, ±', '= 2.7 deltaF', '= 1.5 deltaC', IEC_60584),
    'record.k-2': r('Type K, class 2, ±', '= 4.5 deltaF', '= 2.5 deltaC', IEC_60584),
    'record.k-standard': r('Type K, standard tolerance, ±', '= 3.96 deltaF', '= 2.2 deltaC', E230),
    'record.k-special': r('Type K, special tolerance, ±', '= 1.98 deltaF', '= 1.1 deltaC', E230),
    'record.digital': r('Digital sensor, ±', '= 0.9 deltaF', '= 0.5 deltaC', commonPractice),
    'record.resistance': r('Resistance sensor, ±', '= 0.9 deltaF', '= 0.5 deltaC', commonPractice),
  }),
  ...group('Mass concrete', ACI_301, {
    'mass.highest': r('Highest temperature after placing', '<= 160 degF', '<= 70 degC'),
    'mass.difference': r('Core over surface', '<= 35 deltaF', '<= 19.4 deltaC'),
    'mass.to-air': r('Core over the air when protection is taken away', '<= 35 deltaF', '<= 19.4 deltaC'),
    'mass.rise': r(
      'Rise for each 100 lb/yd³, or kg/m³, of cement',
      '= 16 deltaF',
      '= 12 deltaC',
      commonPractice,
    ),
  }),
  ...group('After protection', ACI_306R, {
    'protection.thin': r('Least size up to which it is a thin section', '<= 12 in', '<= 300 mm'),
    'protection.middle': r('Least size up to which it is a middle section', '<= 36 in', '<= 900 mm'),
    'protection.thick': r('Least size up to which it is a thick section', '<= 72 in', '<= 1800 mm'),
    'protection.drop-thin': r('Fall in a day, thin section', '<= 50 deltaF', '<= 28 deltaC'),
    'protection.drop-middle': r('Fall in a day, middle section', '<= 40 deltaF', '<= 22 deltaC'),
    'protection.drop-thick': r('Fall in a day, thick section', '<= 30 deltaF', '<= 17 deltaC'),
    'protection.drop-mass': r('Fall in a day, larger section', '<= 20 deltaF', '<= 11 deltaC'),
  }),
  ...group('Curing box', ourChoice('how bad an hour outside is; information, no strength is corrected'), {
    'box.minor-hours': r('Hours outside that are minor', '<= 1 h'),
    'box.minor-degrees': r('Departure that is minor', '<= 2 deltaF', '<= 1.1 deltaC'),
    'box.moderate-hours': r('Hours outside that are moderate', '<= 4 h'),
    'box.moderate-sum': r('Degree-hours outside, °F·h or °C·h, that are moderate', '<= 10', '<= 5.6'),
    'box.freezing': r('Freezing', '<= 32 degF', '<= 0 degC'),
    'box.hot': r('Hot, however short', '>= 100 degF', '>= 37.8 degC'),
  }),
};
