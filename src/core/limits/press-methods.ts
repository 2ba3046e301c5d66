import { commonPractice, ourChoice, standard } from '../working';
import { both, entry, type LimitEntry, max, min, range, twin } from './entry';

const C496 = standard('ASTM C496/C496M');
const C469 = standard('ASTM C469/C469M');
const C42 = standard('ASTM C42/C42M');
const ACI318 = standard('ACI 318', '26.12.6');
const EN12390_1 = standard('EN 12390-1');
const EN12390_3 = standard('EN 12390-3');
const EN206 = standard('EN 206');
const IS516 = standard('IS 516');
const EN12390_6 = standard('EN 12390-6');
const EN12390_13 = standard('EN 12390-13');
const IS5816 = standard('IS 5816');
const ACI214_4 = standard('ACI 214.4R');
const IS456 = standard('IS 456');
const C109 = standard('ASTM C109/C109M');
const C1019 = standard('ASTM C1019');

const CUBE = 'Cube compression';
const SPLIT = 'Splitting tensile';
const MODULUS = 'Static modulus';
const CORE = 'Drilled cores';
const MORTAR = 'Mortar cubes';
const GROUT = 'Grout prisms';

/** What the other tests in a press are held against. The US values of cubes are conversions: they are made in SI. */
export const PRESS_METHODS = {
  'cube.rate': entry(
    CUBE,
    'Loading rate',
    EN12390_3,
    twin(range('58', '116'), 'psi/s', range('0.4', '0.8'), 'MPa/s'),
  ),
  'is/cube.rate': entry(
    CUBE,
    'Loading rate, IS: 14 N/mm² a minute; the band is ours',
    IS516,
    twin(range('1624', '2437'), 'psi/min', range('11.2', '16.8'), 'MPa/min'),
  ),
  'cube.side': entry(CUBE, 'Side against the designated size', EN12390_1, both(max('1.0'), 'percent')),
  'cube.step': entry(CUBE, 'Strength reported to', EN12390_3, twin(max('10'), 'psi', max('0.1'), 'MPa')),
  'is/cube.step': entry(CUBE, 'Strength reported to, IS', IS516, twin(max('50'), 'psi', max('0.5'), 'MPa')),
  'cube.set-range': entry(
    CUBE,
    'Range of the cubes of one sample, of their mean',
    EN206,
    both(max('15'), 'percent'),
  ),
  'cube.set-each': entry(
    CUBE,
    'Each cube from the mean of its sample, IS',
    IS456,
    both(max('15'), 'percent'),
  ),
  'cube.count': entry(CUBE, 'Cubes in a result, IS', IS456, both(min('3'), 'one')),
  'en/age.24h': entry(CUBE, 'Age tolerance up to 30 h', commonPractice, both(max('0.5'), 'h')),
  'en/age.3d': entry(CUBE, 'Age tolerance up to 4 d', commonPractice, both(max('2'), 'h')),
  'en/age.7d': entry(CUBE, 'Age tolerance at 7 d', commonPractice, both(max('8'), 'h')),
  'en/age.28d': entry(CUBE, 'Age tolerance at 28 d', commonPractice, both(max('8'), 'h')),
  'en/age.90d': entry(CUBE, 'Age tolerance beyond 60 d', commonPractice, both(max('1'), 'd')),

  'splitting.rate': entry(
    SPLIT,
    'Loading rate, to failure',
    C496,
    twin(range('100', '200'), 'psi/min', range('0.7', '1.4'), 'MPa/min'),
  ),
  'splitting.step': entry(SPLIT, 'Strength reported to', C496, twin(max('5'), 'psi', max('0.05'), 'MPa')),
  'splitting.range': entry(
    SPLIT,
    'Two cylinders of one sample, of their mean',
    C496,
    both(max('14'), 'percent'),
  ),
  'splitting.usual': entry(
    SPLIT,
    'Splitting strength usual, of 6.7 √f′c psi (0.56 √f′c MPa)',
    ourChoice('sanity only'),
    both(range('0.6', '1.4'), 'one'),
  ),

  'modulus.rate': entry(
    MODULUS,
    'Loading rate, up and down',
    C469,
    twin(range('28', '42'), 'psi/s', range('0.20', '0.30'), 'MPa/s'),
  ),
  'modulus.share': entry(
    MODULUS,
    'Upper stress, of the companion strength',
    C469,
    both(max('40'), 'percent'),
  ),
  'modulus.spoiled': entry(
    MODULUS,
    'Beyond this the specimen is spoiled for modulus, of the companion strength',
    ourChoice('cracking has begun'),
    both(max('45'), 'percent'),
  ),
  'modulus.agree': entry(
    MODULUS,
    'Loadings two and three, of their mean',
    ourChoice('a slipping gauge shows here'),
    both(max('5'), 'percent'),
  ),
  'modulus.step': entry(MODULUS, 'Modulus reported to', C469, twin(max('50000'), 'psi', max('200'), 'MPa')),
  'modulus.poisson': entry(
    MODULUS,
    'Poisson’s ratio usual',
    commonPractice,
    both(range('0.10', '0.25'), 'one'),
  ),
  'modulus.usual': entry(
    MODULUS,
    'Modulus usual, of 57,000 √f′c psi (4,700 √f′c MPa)',
    ourChoice('recheck units and arms outside'),
    both(range('0.75', '1.25'), 'one'),
  ),

  'en/modulus.rate': entry(
    MODULUS,
    'Loading rate, up and down, EN',
    EN12390_13,
    twin(range('58', '116'), 'psi/s', range('0.4', '0.8'), 'MPa/s'),
  ),
  'en/modulus.share': entry(
    MODULUS,
    'Upper stress, of the companion strength, EN: a third',
    EN12390_13,
    both(max('33.3333333'), 'percent'),
  ),
  'en/modulus.lower-share': entry(
    MODULUS,
    'Lower stress, of the companion strength, EN: 10 to 15 %',
    EN12390_13,
    both(max('10'), 'percent'),
  ),
  'en/modulus.agree': entry(
    MODULUS,
    'Strains at the upper stress, loadings two and three, EN',
    EN12390_13,
    both(max('10'), 'percent'),
  ),
  'en/modulus.step': entry(
    MODULUS,
    'Modulus reported to, EN',
    EN12390_13,
    twin(max('10000'), 'psi', max('100'), 'MPa'),
  ),

  'en/splitting.rate': entry(
    SPLIT,
    'Loading rate, to failure, EN',
    EN12390_6,
    twin(range('348', '522'), 'psi/min', range('2.4', '3.6'), 'MPa/min'),
  ),
  'is/splitting.rate': entry(
    SPLIT,
    'Loading rate, to failure, IS',
    IS5816,
    twin(range('174', '348'), 'psi/min', range('1.2', '2.4'), 'MPa/min'),
  ),

  'core.in-place-slope': entry(
    CORE,
    'In-place estimate: of the length factor, for each 1,000 psi [1 MPa] of strength',
    ACI214_4,
    twin(max('0.003'), 'one', max('0.00043'), 'one'),
  ),
  'core.in-place-length': entry(
    CORE,
    'In-place estimate: length factor, bagged',
    ACI214_4,
    both(max('0.130'), 'one'),
  ),
  'core.in-place-length-soaked': entry(
    CORE,
    'In-place estimate: length factor, soaked',
    ACI214_4,
    both(max('0.117'), 'one'),
  ),
  'core.in-place-length-dried': entry(
    CORE,
    'In-place estimate: length factor, air-dried',
    ACI214_4,
    both(max('0.144'), 'one'),
  ),
  'core.in-place-dia-2': entry(
    CORE,
    'In-place estimate: diameter 2 in [50 mm]',
    ACI214_4,
    both(max('1.06'), 'one'),
  ),
  'core.in-place-dia-4': entry(
    CORE,
    'In-place estimate: diameter 4 in [100 mm]',
    ACI214_4,
    both(max('1.00'), 'one'),
  ),
  'core.in-place-dia-6': entry(
    CORE,
    'In-place estimate: diameter 6 in [150 mm]',
    ACI214_4,
    both(max('0.98'), 'one'),
  ),
  'core.in-place-moisture': entry(
    CORE,
    'In-place estimate: moisture, bagged',
    ACI214_4,
    both(max('1.00'), 'one'),
  ),
  'core.in-place-moisture-soaked': entry(
    CORE,
    'In-place estimate: moisture, soaked',
    ACI214_4,
    both(max('1.09'), 'one'),
  ),
  'core.in-place-moisture-dried': entry(
    CORE,
    'In-place estimate: moisture, air-dried',
    ACI214_4,
    both(max('0.96'), 'one'),
  ),
  'core.in-place-damage': entry(
    CORE,
    'In-place estimate: damage by drilling',
    ACI214_4,
    both(max('1.06'), 'one'),
  ),
  'core.diameter': entry(
    CORE,
    'Diameter, load-bearing members',
    C42,
    twin(min('3.70'), 'in', min('94'), 'mm'),
  ),
  'core.aggregate': entry(CORE, 'Diameter, of the nominal maximum aggregate', C42, both(min('2'), 'one')),
  'core.spread-fine': entry(
    CORE,
    'Two diameters differing by at most this, of their mean, are read finely',
    C42,
    both(max('2'), 'percent'),
  ),
  'core.spread': entry(
    CORE,
    'Two diameters differ by at most, of their mean',
    C42,
    both(max('5'), 'percent'),
  ),
  'core.step-fine': entry(CORE, 'Diameter read finely to', C42, twin(max('0.01'), 'in', max('0.2'), 'mm')),
  'core.step-rough': entry(CORE, 'Rough diameter read to', C42, twin(max('0.1'), 'in', max('2'), 'mm')),
  'core.report-fine': entry(CORE, 'Strength reported to', C42, twin(max('10'), 'psi', max('0.1'), 'MPa')),
  'core.report-rough': entry(
    CORE,
    'Strength reported to, rough diameter',
    C42,
    twin(max('50'), 'psi', max('0.5'), 'MPa'),
  ),
  'core.length-before': entry(CORE, 'Length before capping, of the diameter', C42, both(min('0.95'), 'one')),
  'core.length-after': entry(CORE, 'Length after capping, of the diameter', C42, both(min('1.00'), 'one')),
  'core.preferred': entry(CORE, 'Length preferred, of the diameter', C42, both(range('1.9', '2.1'), 'one')),
  'core.bag': entry(CORE, 'Sealed in a bag after drilling', C42, both(max('1'), 'h')),
  'core.wet-ends': entry(CORE, 'Last wetting (sawing, grinding) after drilling', C42, both(max('2'), 'd')),
  'core.dry': entry(CORE, 'From the last wetting to the test', C42, both(min('5'), 'd')),
  'core.test': entry(CORE, 'From drilling to the test', C42, both(max('7'), 'd')),
  'core.mean-share': entry(CORE, 'Mean of three cores, of f′c', ACI318, both(min('0.85'), 'one')),
  'core.single-share': entry(CORE, 'No core below, of f′c', ACI318, both(min('0.75'), 'one')),
  'core.count': entry(CORE, 'Cores for a questioned strength test', ACI318, both(min('3'), 'one')),

  'mortar-cube.rate': entry(
    MORTAR,
    'Load rate on a 2 in [50 mm] cube',
    C109,
    twin(range('200', '400'), 'lbf/s', range('0.9', '1.8'), 'kN/s'),
  ),
  'mortar-cube.area': entry(
    MORTAR,
    'Cross-section against the nominal one; beyond it the measured one counts',
    C109,
    both(max('1.5'), 'percent'),
  ),
  'mortar-cube.range-3': entry(
    MORTAR,
    'Range of three cubes, of their mean',
    C109,
    both(max('8.7'), 'percent'),
  ),
  'mortar-cube.range-2': entry(
    MORTAR,
    'Range of two cubes, of their mean',
    C109,
    both(max('7.6'), 'percent'),
  ),
  'mortar-cube.age-24h': entry(MORTAR, 'Age tolerance at 24 h', C109, both(max('0.5'), 'h')),
  'mortar-cube.age-3d': entry(MORTAR, 'Age tolerance at 3 d', C109, both(max('1'), 'h')),
  'mortar-cube.age-7d': entry(MORTAR, 'Age tolerance at 7 d', C109, both(max('3'), 'h')),
  'mortar-cube.age-28d': entry(MORTAR, 'Age tolerance at 28 d and later', C109, both(max('12'), 'h')),

  'grout-prism.rate': entry(
    GROUT,
    'Loading rate in the second half',
    C1019,
    twin(range('28', '42'), 'psi/s', range('0.20', '0.30'), 'MPa/s'),
  ),
  'grout-prism.time': entry(
    GROUT,
    'Time for the second half of loading, older editions',
    C1019,
    both(range('60', '120'), 's'),
  ),
  'grout-prism.side': entry(GROUT, 'Each side at least', C1019, twin(min('3'), 'in', min('75'), 'mm')),
  'grout-prism.square': entry(
    GROUT,
    'The two sides differ by at most, of the smaller',
    ourChoice('the space between four units is square'),
    both(max('5'), 'percent'),
  ),
  'grout-prism.height': entry(
    GROUT,
    'Height, of the smaller side: twice it, within 5 %',
    C1019,
    both(range('1.9', '2.1'), 'one'),
  ),
  'grout-prism.count': entry(GROUT, 'Prisms of one age', C1019, both(min('3'), 'one')),
  'grout-prism.range': entry(
    GROUT,
    'Range of the prisms of one age, of their mean',
    ourChoice('look at caps and sides beyond it'),
    both(max('15'), 'percent'),
  ),
  'small.step': entry(
    MORTAR,
    'Strength of cubes and prisms reported to',
    C109,
    twin(max('10'), 'psi', max('0.1'), 'MPa'),
  ),
} as const satisfies Record<string, LimitEntry>;
