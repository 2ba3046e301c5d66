import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

export const LIMITS = {
  ...group('Box on the surface', standard('BS 8203'), {
    'hood.sealed': r('Box sealed down before a reading counts', '>= 72 h'),
    'hood.between': r('Two readings that agree, apart', '>= 24 h'),
    'hood.heating': r('Heating in the floor off before', '>= 96 h'),
    'floor.hood': r('Humidity under a box, its maker silent', '<= 75 %'),
  }),
  ...group('Box on the surface', ourChoice('when two readings agree'), {
    'hood.agree': r('Two readings that agree, off one another', '<= 1 %'),
    'hood.step': r('Humidity under a box reported to', '= 1 %'),
  }),
};
