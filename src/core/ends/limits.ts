import { group, r } from '../limits/row';
import { ourChoice, standard } from '../working';

const C617 = standard('ASTM C617/C617M');
const C1231 = standard('ASTM C1231/C1231M');
const C1552 = standard('ASTM C1552');

export const LIMITS = {
  ...group('Bonded caps', C617, {
    'caps.pot': r('Sulfur mortar in the pot', '265 to 290 degF', '129 to 143 degC'),
    'caps.pot-hold': r(
      'Sulfur mortar is too cold to pour below',
      '>= 255 degF',
      '>= 124 degC',
      ourChoice('tool limit'),
    ),
    'caps.pot-stop': r(
      'Sulfur mortar is stopped above',
      '= 320 degF',
      '= 160 degC',
      ourChoice('tool limit, well below the flash point'),
    ),
    'caps.harden-low': r('Hardening up to the dividing strength', '>= 2 h'),
    'caps.harden-high': r('Hardening from the dividing strength on', '>= 16 h'),
    'caps.harden-switch': r('Strength from which caps harden longer', '= 5000 psi', '= 35 MPa'),
    'caps.harden-margin': r(
      'Share of that strength from which the longer time is planned',
      '= 0.9',
      ourChoice('concrete often comes out stronger'),
    ),
    'caps.gypsum-wait': r('Gypsum caps harden at least', '>= 0.5 h', ourChoice('tool limit')),
    'caps.gypsum-moist': r('Gypsum caps in a moist room at most', '<= 4 h'),
    'caps.thick-switch': r('Strength above which caps are thinner', '= 7000 psi', '= 50 MPa'),
    'caps.thick-mean-low': r('Mean thickness up to that strength', '<= 0.25 in', '<= 6 mm'),
    'caps.thick-any-low': r('Any part up to that strength', '<= 0.3125 in', '<= 8 mm'),
    'caps.thick-mean-high': r('Mean thickness above that strength', '<= 0.125 in', '<= 3 mm'),
    'caps.thick-any-high': r('Any part above that strength', '<= 0.1875 in', '<= 5 mm'),
    'caps.pieces': r('Pieces measured of a cap', '>= 6'),
    'caps.specimens': r('Specimens looked at each day', '>= 3'),
    'caps.melts': r('Times the oldest material in the pot is used', '<= 5'),
    'caps.lot-strength': r('Strength of the compound', '>= 5000 psi', '>= 35 MPa'),
    'caps.lot-interval': r('Months between strength tests of a lot', '<= 3'),
    'caps.pair-mean': r('Qualification: mean of the capped, of the reference', '>= 0.98'),
    'caps.pair-deviation': r('Qualification: deviation of the capped, of the reference', '<= 1.57'),
    'caps.pair-beyond': r('Qualification: usable up to so much of the strength tested', '<= 1.2'),
    'caps.pair-months': r('Months between qualifications', '<= 12'),
    'caps.pair-count': r('Qualification: specimens of each kind', '>= 15'),
  }),
  ...group('Caps of masonry', C1552, {
    'caps.unit-age': r('From the youngest cap to the break', '>= 2 h'),
    'caps.unit-thick': r('Mean thickness of a cap on masonry', '<= 0.125 in', '<= 3.2 mm'),
    'caps.unit-strength': r('Strength of capping material at two hours', '>= 3500 psi', '>= 24.1 MPa'),
    'caps.gypsum-ratio': r('Water to high-strength gypsum, by mass', '0.26 to 0.30'),
    'caps.ratio-step': r('Water to gypsum reported to', '= 0.01', ourChoice('as the balance allows')),
    'caps.gypsum-use': r(
      'From water to gypsum until it is spread',
      '<= 5 min',
      ourChoice('as the bag says for most; its own sheet comes first'),
    ),
    'caps.rest': r('Gypsum caps rest on the plate', '= 1 h', ourChoice('one to two hours are usual')),
    'caps.waste': r('Capping material mixed over what is needed', '= 1.1', ourChoice('a tenth for waste')),
    'caps.gypsum-density': r(
      'Density of gypsum, times that of water',
      '= 2.76',
      ourChoice('as its handbooks give it'),
    ),
    'caps.spread': r(
      'Gypsum is spread beyond the unit, each side',
      '= 1 in',
      '= 25 mm',
      ourChoice('as it is pressed out'),
    ),
    'caps.pour-depth': r(
      'Depth of sulfur poured for a brick',
      '= 0.20 in',
      '= 5 mm',
      ourChoice('as little as fills the face'),
    ),
    'caps.sulfur-density': r(
      'Density of molten sulfur compound',
      '= 130 lb/ft3',
      '= 2080 kg/m3',
      ourChoice('the sheet of the compound comes first'),
    ),
    'caps.mould-room': r(
      'Mould beyond the brick, in each direction',
      '= 0.5 in',
      '= 13 mm',
      ourChoice('as such moulds are made'),
    ),
  }),
  ...group('Unbonded pads', C1231, {
    'pads.strength-50': r('Strength for 50 durometer', '1500 to 6000 psi', '10 to 40 MPa'),
    'pads.strength-60': r('Strength for 60 durometer', '2500 to 7000 psi', '17 to 50 MPa'),
    'pads.strength-70': r('Strength for 70 durometer', '4000 to 7000 psi', '28 to 50 MPa'),
    'pads.strength-qualified': r('Strength for 70 durometer, qualified', '7000 to 12000 psi', '50 to 80 MPa'),
    'pads.reuse': r('Tests with one pair', '<= 100'),
    'pads.reuse-qualified': r('Tests with one pair once used above 7,000 psi', '<= 50'),
    'pads.retainer': r('Retainer, inside diameter of the measured cylinder', '102 to 107 %'),
    'pads.gap': r('Pad smaller than its retainer by at most', '<= 0.0625 in', '<= 2 mm'),
    'pads.depression': r('Depression of an end that pads may bridge', '<= 0.20 in', '<= 5 mm'),
    'pads.pairs': r('Qualification: pairs at a level', '>= 10'),
    'pads.pair-ratio': r('Qualification: mean of the pads, of the reference', '>= 0.98'),
    'pads.level': r('Qualification: pair averages of a level within', '<= 1000 psi', '<= 7 MPa'),
  }),
};
