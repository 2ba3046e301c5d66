import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

export const LIMITS = {
  ...group('Masonry units: sawing', standard('ASTM C140/C140M'), {
    'saw.lowered': r('Face shells lowered to the webs: no more than the height, divided by', '= 3'),
    'saw.coupon-height': r('Coupon of a face shell: height, of its thickness', '= 2'),
    'saw.coupon-length': r('Coupon of a face shell: length, of its thickness', '= 4'),
    'saw.size-step': r('Sizes of a coupon shown to', '= 0.01 in', '= 0.1 mm', ourChoice('as they are read')),
  }),
};
