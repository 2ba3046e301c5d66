import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

const D4543 = standard('ASTM D4543');
const D7012 = standard('ASTM D7012');
const OLD = standard('ASTM D2938 (withdrawn)');

export const LIMITS = {
  ...group('Cores of rock: how they are cut', D4543, {
    'ucs.diameter': r('Diameter of a core', '>= 1.875 in', '>= 47 mm'),
    'ucs.length-ratio': r('Length over diameter', '2.0 to 2.5'),
    'ucs.grain': r('Diameter over the largest grain', '>= 10'),
    'ucs.side': r('Gap under a straight edge along the side', '<= 0.020 in', '<= 0.50 mm'),
    'ucs.flat': r('A point of an end off its line', '<= 0.001 in', '<= 0.025 mm'),
    'ucs.square': r('Highest less lowest across an end, of the diameter', '<= 0.0043'),
    'ucs.parallel': r('One end against the other', '<= 0.25 deg'),
    'ucs.diameters': r(
      'Six diameters apart',
      '<= 0.02 in',
      '<= 0.5 mm',
      ourChoice('more is a side that is not straight'),
    ),
    'ucs.points': r('Readings along a diameter', '>= 3', ourChoice('two make a line of anything')),
  }),
  ...group('Cores of rock in the press', D7012, {
    'ucs.rate': r('Rate of the stress', '72.5 to 145 psi/s', '0.5 to 1.0 MPa/s'),
    'ucs.steady': r('Rate off the one that was chosen', '<= 10 %'),
    'ucs.time': r('From the first load to failure', '120 to 900 s'),
    'ucs.strain': r(
      'Strain at failure, for a speed of the crosshead',
      '= 0.5 %',
      ourChoice('as hard rock has it'),
    ),
    'ucs.aim': r(
      'Time to failure that this speed is for',
      '= 300 s',
      ourChoice('in the middle of what is allowed'),
    ),
    'ucs.offset': r('Off the middle of the platen', '<= 0.04 in', '<= 1 mm', ourChoice('D7012 says centred')),
    'ucs.figures': r('Strength reported to so many figures', '= 3', ourChoice('the reading is no better')),
    'ucs.step': r('Strength never reported finer than', '= 10 psi', '= 0.1 MPa', ourChoice('the same')),
    'ucs.cores': r('Cores that make a group', '>= 5', ourChoice('ISRM asks for five')),
    'ucs.density-step': r('Density reported to', '= 1 lb/ft3', '= 10 kg/m3', ourChoice('as it is read')),
    'ucs.density': r(
      'Density that rock can have',
      '75 to 225 lb/ft3',
      '1200 to 3600 kg/m3',
      ourChoice('ask again outside'),
    ),
    'ucs.scatter': r('Deviation of a group, of its mean', '<= 35 %', ourChoice('more are two rocks')),
    'ucs.index': r(
      'Strength of cores over the index of pieces of the same rock',
      '15 to 50',
      standard('ISRM suggested method, point load strength, 1985'),
    ),
    'ucs.low': r(
      'A core against the median of its group',
      '>= 60 %',
      ourChoice('lower: look at its ends and its seat'),
    ),
  }),
  ...group('Cores of rock: what is printed beside', OLD, {
    'ucs.two-a': r('To twice as long as wide: first number', '= 0.88'),
    'ucs.two-b': r('To twice as long as wide: second number', '= 0.24'),
    'ucs.one-a': r('To as long as wide: first number', '= 0.778', ourChoice('an older relation')),
    'ucs.one-b': r('To as long as wide: second number', '= 0.222', ourChoice('an older relation')),
    'ucs.size': r(
      'Diameter that a strength is taken to',
      '= 1.9685 in',
      '= 50 mm',
      ourChoice('a size effect of 1980'),
    ),
    'ucs.size-power': r('Power of the diameter for it', '= 0.18', ourChoice('a size effect of 1980')),
  }),
};
