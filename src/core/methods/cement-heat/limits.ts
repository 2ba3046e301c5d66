import { group, r } from '../../limits/row';
import { commonPractice, ourChoice, standard } from '../../working';

const C1702 = standard('ASTM C1702');

export const LIMITS = {
  ...group('Cement, heat of hydration', C1702, {
    'heat.temperature': r('Temperature of the bath', '= 23 degC'),
    'heat.off': r('Bath off its temperature', '<= 0.5 degC', ourChoice('beyond it is another test')),
    'heat.conditioned': r(
      'Materials stand at its temperature',
      '>= 4 h',
      ourChoice('so that nothing is cold'),
    ),
    'heat.water': r('Water to cement', '= 0.50'),
    'heat.water-off': r('Water to cement, off what is asked', '<= 0.005', ourChoice('weighed to 0.01 g')),
    'heat.insert': r('From the water to the cell', '<= 10 min', ourChoice('more of the heat is never seen')),
    'heat.from': r('Mixed outside, trusted from', '= 45 min', ourChoice('the vial has settled')),
    'heat.reference': r('Reference off the heat capacity', '<= 5 %', ourChoice('the bath shows in it')),
    'heat.baseline': r('Baseline before', '>= 1 h', ourChoice('its mean can be trusted')),
    'heat.drift': r('Baseline behind off that before, µW/g', '<= 20', ourChoice('worth 6 J/g in a week')),
    'heat.noise': r('Noise, µW/g', '<= 10'),
    'heat.range-share': r(
      'Part of its range that the main maximum may take',
      '= 0.8',
      ourChoice('room above it'),
    ),
    'heat.usual-peak': r('Main maximum of a cement, mW/g', '0.5 to 15', commonPractice),
    'heat.usual': r('Heat in three days that a cement gives off', '120 to 400 J/g', commonPractice),
    'heat.evaporated': r(
      'Heat that a vial may lose by evaporation',
      '<= 5 J/g',
      ourChoice('discarded beyond'),
    ),
    'heat.evaporates': r('Heat that a gram of water takes with it', '= 2442 J/g', commonPractice),
    'heat.gap': r('Record without a reading', '<= 60 min', ourChoice('bridged, and said')),
    'heat.alike-peak': r('Main maxima of two cells', '<= 5 %', ourChoice('then a third')),
    'heat.alike-half': r('Half of the maximum of two cells', '<= 0.25 h', ourChoice('then a third')),
    'heat.alike': r('Heat of two cells', '<= 8 J/g', ourChoice('then a third')),
    'heat.aluminate': r('Aluminate behind the main maximum', '>= 2 h', ourChoice('then it is in balance')),
    'heat.best-share': r(
      'Part of the best heat of a series of sulfate',
      '= 0.98',
      ourChoice('nearly its best'),
    ),
    'heat.calibration': r('Calibration off the one before', '<= 2 %', ourChoice('then it is looked into')),
    'heat.step': r('Heat, reported to', '= 1 J/g', ourChoice('its scatter is some J/g')),
    'heat.step-power': r('Power, reported to', '= 0.01', ourChoice('mW/g')),
    'heat.step-time': r('Times of a curve, reported to', '= 0.1 h', ourChoice('maxima are flat')),
  }),
  ...group('Cement, heat of hydration', standard('EN 196-11'), {
    'en/heat.temperature': r('Temperature of the bath', '= 20 degC'),
    'en/heat.water': r('Water to cement', '= 0.40'),
  }),
};
