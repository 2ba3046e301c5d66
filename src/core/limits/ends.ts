import { ourChoice, standard } from '../working';
import { both, entry, type LimitEntry, max, min, range, twin } from './entry';

const C617 = standard('ASTM C617/C617M');
const C1231 = standard('ASTM C1231/C1231M');

const CAPS = 'Bonded caps';
const PADS = 'Unbonded pads';

/** What the preparation of ends is held against. */
export const ENDS = {
  'caps.pot': entry(
    CAPS,
    'Sulfur mortar in the pot',
    C617,
    twin(range('265', '290'), 'degF', range('129', '143'), 'degC'),
  ),
  'caps.pot-hold': entry(
    CAPS,
    'Sulfur mortar is too cold to pour below',
    ourChoice('tool limit'),
    twin(min('255'), 'degF', min('124'), 'degC'),
  ),
  'caps.pot-stop': entry(
    CAPS,
    'Sulfur mortar is stopped above',
    ourChoice('tool limit, well below the flash point'),
    twin(max('320'), 'degF', max('160'), 'degC'),
  ),
  'caps.harden-low': entry(CAPS, 'Hardening up to the dividing strength', C617, both(min('2'), 'h')),
  'caps.harden-high': entry(CAPS, 'Hardening from the dividing strength on', C617, both(min('16'), 'h')),
  'caps.harden-switch': entry(
    CAPS,
    'Strength from which caps harden longer',
    C617,
    twin(max('5000'), 'psi', max('35'), 'MPa'),
  ),
  'caps.harden-margin': entry(
    CAPS,
    'Share of that strength from which the longer time is planned',
    ourChoice('concrete often comes out stronger'),
    both(max('0.9'), 'one'),
  ),
  'caps.gypsum-wait': entry(
    CAPS,
    'Gypsum caps harden at least',
    ourChoice('tool limit'),
    both(min('0.5'), 'h'),
  ),
  'caps.gypsum-moist': entry(CAPS, 'Gypsum caps in a moist room at most', C617, both(max('4'), 'h')),
  'caps.thick-switch': entry(
    CAPS,
    'Strength above which caps are thinner',
    C617,
    twin(max('7000'), 'psi', max('50'), 'MPa'),
  ),
  'caps.thick-mean-low': entry(
    CAPS,
    'Mean thickness up to that strength',
    C617,
    twin(max('0.25'), 'in', max('6'), 'mm'),
  ),
  'caps.thick-any-low': entry(
    CAPS,
    'Any part up to that strength',
    C617,
    twin(max('0.3125'), 'in', max('8'), 'mm'),
  ),
  'caps.thick-mean-high': entry(
    CAPS,
    'Mean thickness above that strength',
    C617,
    twin(max('0.125'), 'in', max('3'), 'mm'),
  ),
  'caps.thick-any-high': entry(
    CAPS,
    'Any part above that strength',
    C617,
    twin(max('0.1875'), 'in', max('5'), 'mm'),
  ),
  'caps.pieces': entry(CAPS, 'Pieces measured of a cap', C617, both(min('6'), 'one')),
  'caps.specimens': entry(CAPS, 'Specimens looked at each day', C617, both(min('3'), 'one')),
  'caps.melts': entry(CAPS, 'Times the oldest material in the pot is used', C617, both(max('5'), 'one')),
  'caps.lot-strength': entry(
    CAPS,
    'Strength of the compound',
    C617,
    twin(min('5000'), 'psi', min('35'), 'MPa'),
  ),
  'caps.lot-interval': entry(CAPS, 'Months between strength tests of a lot', C617, both(max('3'), 'one')),
  'caps.pair-mean': entry(
    CAPS,
    'Qualification: mean of the capped, of the reference',
    C617,
    both(min('0.98'), 'one'),
  ),
  'caps.pair-deviation': entry(
    CAPS,
    'Qualification: deviation of the capped, of the reference',
    C617,
    both(max('1.57'), 'one'),
  ),
  'caps.pair-beyond': entry(
    CAPS,
    'Qualification: usable up to so much of the strength tested',
    C617,
    both(max('1.2'), 'one'),
  ),
  'caps.pair-months': entry(CAPS, 'Months between qualifications', C617, both(max('12'), 'one')),
  'caps.pair-count': entry(CAPS, 'Qualification: specimens of each kind', C617, both(min('15'), 'one')),

  'pads.strength-50': entry(
    PADS,
    'Strength for 50 durometer',
    C1231,
    twin(range('1500', '6000'), 'psi', range('10', '40'), 'MPa'),
  ),
  'pads.strength-60': entry(
    PADS,
    'Strength for 60 durometer',
    C1231,
    twin(range('2500', '7000'), 'psi', range('17', '50'), 'MPa'),
  ),
  'pads.strength-70': entry(
    PADS,
    'Strength for 70 durometer',
    C1231,
    twin(range('4000', '7000'), 'psi', range('28', '50'), 'MPa'),
  ),
  'pads.strength-qualified': entry(
    PADS,
    'Strength for 70 durometer, qualified',
    C1231,
    twin(range('7000', '12000'), 'psi', range('50', '80'), 'MPa'),
  ),
  'pads.reuse': entry(PADS, 'Tests with one pair', C1231, both(max('100'), 'one')),
  'pads.reuse-qualified': entry(
    PADS,
    'Tests with one pair once used above 7,000 psi',
    C1231,
    both(max('50'), 'one'),
  ),
  'pads.retainer': entry(
    PADS,
    'Retainer, inside diameter of the measured cylinder',
    C1231,
    both(range('102', '107'), 'percent'),
  ),
  'pads.gap': entry(
    PADS,
    'Pad smaller than its retainer by at most',
    C1231,
    twin(max('0.0625'), 'in', max('2'), 'mm'),
  ),
  'pads.depression': entry(
    PADS,
    'Depression of an end that pads may bridge',
    C1231,
    twin(max('0.20'), 'in', max('5'), 'mm'),
  ),
  'pads.pairs': entry(PADS, 'Qualification: pairs at a level', C1231, both(min('10'), 'one')),
  'pads.pair-ratio': entry(
    PADS,
    'Qualification: mean of the pads, of the reference',
    C1231,
    both(min('0.98'), 'one'),
  ),
  'pads.level': entry(
    PADS,
    'Qualification: pair averages of a level within',
    C1231,
    twin(max('1000'), 'psi', max('7'), 'MPa'),
  ),
} as const satisfies Record<string, LimitEntry>;
