import { group, r } from '../../limits/row';
import { standard } from '../../working';

export const LIMITS = {
  ...group('Masonry units: from other reports', standard('ASTM C90'), {
    'unit.shrinkage': r('Linear drying shrinkage at delivery', '<= 0.065 %'),
    'unit.is2185.shrinkage': r('IS 2185-1: drying shrinkage', '<= 0.06 %', standard('IS 2185-1')),
  }),
};
