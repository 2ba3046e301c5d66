import { group, r } from '../../limits/row';
import { ourChoice } from '../../working';

export const LIMITS = {
  ...group('Humidity in a slab', ourChoice('how service conditions are proven'), {
    'service.temperature': r(
      'Air off the temperature of the finished building',
      '<= 5 deltaF',
      '<= 3 deltaC',
    ),
    'service.humidity': r('Air off the humidity of the finished building', '<= 10 %'),
    'service.gap': r('Record of the air without a reading', '<= 2 h'),
    'service.out': r('Air outside, that is only said', '<= 2 h'),
    'service.ends': r('Record of the air ends before a reading', '<= 12 h'),
    'service.step': r('Time that the air was held told to', '= 1 h'),
  }),
};
