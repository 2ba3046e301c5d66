import { group, r } from '../../limits/row';
import { commonPractice, ourChoice, standard } from '../../working';

const C138 = standard('ASTM C138/C138M');
const C94 = standard('ASTM C94/C94M');
const C29 = standard('ASTM C29/C29M');
const EN_12350_6 = standard('EN 12350-6');

export const LIMITS = {
  ...group('Density and yield', C138, {
    'density.step': r('Density reported to', '= 0.1 lb/ft3', '= 1 kg/m3'),
    'density.yield-step': r('Yield reported to', '= 0.1 yd3', '= 0.1 m3'),
    'density.relative-step': r('Relative yield reported to', '= 0.01'),
    'density.cement-step': r('Cementitious content reported to', '= 1 lb/yd3', '= 0.5 kg/m3'),
    'density.relative': r(
      'Relative yield that needs no look',
      '0.98 to 1.02',
      ourChoice('look before accusing'),
    ),
    'density.measure-share': r('Actual volume of the measure, of the nominal', '>= 95 %'),
    'density.measure-most': r(
      'Actual volume of the measure, of the nominal, at the most',
      '<= 115 %',
      ourChoice('what can be, whatever went wrong'),
    ),
    'density.cementitious-usual': r(
      'Cementitious content that a concrete can have',
      '100 to 1800 lb/yd3',
      '60 to 1070 kg/m3',
      ourChoice('what can be, whatever went wrong'),
    ),
    'density.loads': r('Loads a claim on yield rests on', '>= 3', C94),
    'density.tolerance': r(
      'Tolerance on a specified fresh density',
      '± 3 lb/ft3',
      '± 50 kg/m3',
      commonPractice,
    ),
    'density.water-unit': r(
      'Density of water that relative densities are of',
      '= 62.4 lb/ft3',
      '= 1000 kg/m3',
    ),
    'density.operator': r('Two results of one operator differ by at most', '<= 1.85 lb/ft3', '<= 29.6 kg/m3'),
    'density.operators': r('Two results of two operators differ by at most', '<= 2.31 lb/ft3', '<= 37 kg/m3'),
    'density.measure-1': r('Measure for nominal aggregate up to 1 in [25 mm]', '>= 0.2 ft3', '>= 6 L'),
    'density.measure-1-1/2': r(
      'Measure for nominal aggregate up to 1 1/2 in [37.5 mm]',
      '>= 0.4 ft3',
      '>= 11 L',
    ),
    'density.measure-2': r('Measure for nominal aggregate up to 2 in [50 mm]', '>= 0.5 ft3', '>= 14 L'),
    'density.measure-3': r('Measure for nominal aggregate up to 3 in [75 mm]', '>= 1.0 ft3', '>= 28 L'),
    'density.measure-4-1/2': r(
      'Measure for nominal aggregate up to 4 1/2 in [112 mm]',
      '>= 2.5 ft3',
      '>= 70 L',
    ),
    'density.measure-6': r('Measure for nominal aggregate up to 6 in [150 mm]', '>= 3.5 ft3', '>= 100 L'),
    'density.water-60': r('Density of water at 60 °F [15.6 °C]', '= 62.366 lb/ft3', '= 999.01 kg/m3', C29),
    'density.water-65': r('Density of water at 65 °F [18.3 °C]', '= 62.336 lb/ft3', '= 998.54 kg/m3', C29),
    'density.water-70': r('Density of water at 70 °F [21.1 °C]', '= 62.301 lb/ft3', '= 997.97 kg/m3', C29),
    'density.water-73.4': r(
      'Density of water at 73.4 °F [23.0 °C]',
      '= 62.274 lb/ft3',
      '= 997.54 kg/m3',
      C29,
    ),
    'density.water-75': r('Density of water at 75 °F [23.9 °C]', '= 62.261 lb/ft3', '= 997.32 kg/m3', C29),
    'density.water-80': r('Density of water at 80 °F [26.7 °C]', '= 62.216 lb/ft3', '= 996.59 kg/m3', C29),
    'density.water-85': r('Density of water at 85 °F [29.4 °C]', '= 62.166 lb/ft3', '= 995.83 kg/m3', C29),
  }),
  ...group('EN: rows that differ', EN_12350_6, {
    'en/density.step': r('Density reported to', '= 1 lb/ft3', '= 10 kg/m3'),
  }),
};
