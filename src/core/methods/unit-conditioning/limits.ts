import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

export const LIMITS = {
  ...group('Masonry units: conditioning', standard('ASTM C140/C140M'), {
    'condition.room': r('In room air before capping', '>= 48 h'),
    'condition.temperature': r('Room', '60 to 90 degF', '16 to 32 degC'),
    'condition.humidity': r('Relative humidity of the room, below', '<= 80 %'),
    'condition.away': r('Outside these for no longer than', '<= 15 min', ourChoice('a door was open')),
    'condition.fan': r('In the stream of the fan before the first weighing counts', '>= 4 h'),
  }),
};
