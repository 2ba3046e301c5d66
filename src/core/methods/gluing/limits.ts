import { group, r } from '../../limits/row';
import { ourChoice } from '../../working';

export const LIMITS = {
  ...group('Pull-off', ourChoice('how dollies are glued'), {
    'glue.control': r('Control pull over the stress expected, times', '>= 1.3'),
    'glue.cure-step': r('Time that glue cures told to', '= 0.1 h'),
    'glue.worth-log': r('Surface colder than the sheet of the glue says', '<= 5 deltaF', '<= 3 deltaC'),
  }),
};
