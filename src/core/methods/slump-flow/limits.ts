import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

const C1611 = standard('ASTM C1611/C1611M');
const C94 = standard('ASTM C94/C94M');
const EN_12350_8 = standard('EN 12350-8');

export const LIMITS = {
  ...group('Slump flow', C1611, {
    'flow.step': r('Slump flow reported to', '= 0.5 in', '= 10 mm'),
    'flow.ring-usual': r(
      'Time to the ring that is met',
      '0.3 to 15 s',
      ourChoice('what can be, whatever went wrong'),
    ),
    'flow.total': r('From start of filling to mould lifted', '<= 150 s'),
    'flow.lift': r('Lifting the mould 9 in [225 mm]', '2 to 4 s'),
    'flow.difference': r('Two diameters differ by at most', '<= 2 in', '<= 50 mm'),
    'flow.ring': r('Ring the flow is timed to', '= 20 in', '= 500 mm'),
    'flow.ring-step': r('Time to the ring reported to', '= 0.2 s'),
    'flow.unstable': r('Visual stability index counted as unstable', '>= 2'),
    'flow.band': r('Specified flow at which the low tolerance ends', '= 22 in', '= 550 mm', C94),
    'flow.tolerance-low': r('Tolerance on the specified flow, low band', '± 1.5 in', '± 40 mm', C94),
    'flow.tolerance-high': r('Tolerance on the specified flow, high band', '± 2.5 in', '± 65 mm', C94),
  }),
  ...group('EN: rows that differ', EN_12350_8, {
    'en/flow.lift': r('Lifting the mould', '1 to 3 s'),
    'en/flow.ring-step': r('Time to the ring reported to', '= 0.5 s'),
  }),
};
