import { group, r } from '../../limits/row';
import { commonPractice, ourChoice, standard } from '../../working';

const ACI_305R = standard('ACI 305R');
const ACI_305_1 = standard('ACI 305.1');

export const LIMITS = {
  ...group('Evaporation rate', ACI_305R, {
    'evaporation.protect': r('Protection is called for from', '= 0.20 lb/ft2/h', '= 1.0 kg/m2/h'),
    'evaporation.caution': r('Caution from', '= 0.10 lb/ft2/h', '= 0.5 kg/m2/h'),
    'evaporation.low-bleed': r(
      'Protection is called for from, mixes that bleed little',
      '= 0.10 lb/ft2/h',
      '= 0.5 kg/m2/h',
    ),
    'evaporation.humidity-usual': r(
      'Relative humidity that is met outdoors',
      '>= 5 %',
      ourChoice('what can be, whatever went wrong'),
    ),
    'evaporation.step': r(
      'Evaporation rate reported to',
      '= 0.01 lb/ft2/h',
      '= 0.01 kg/m2/h',
      commonPractice,
    ),
    'evaporation.interval': r('Between two readings', '<= 30 min', ACI_305_1),
    'evaporation.wind-averaged': r('Wind averaged over', '>= 60 s', ourChoice('a gust is no wind')),
    'evaporation.station-wind': r(
      'Wind at the slab, of the wind at a station 33 ft [10 m] up',
      '= 0.6666666667',
      commonPractice,
    ),
  }),
};
