import { commonPractice, ourChoice, standard } from '../working';
import { both, entry, type LimitEntry, max, min, range, twin } from './entry';

const C29 = standard('ASTM C29/C29M');
const C94 = standard('ASTM C94/C94M');
const C138 = standard('ASTM C138/C138M');
const C172 = standard('ASTM C172/C172M');
const C173 = standard('ASTM C173/C173M');
const C231 = standard('ASTM C231/C231M');
const TABLE = standard('ACI 318', 'Table 19.3.3.1');

const AIR = 'Air content';
const VOLUMETRIC = 'Air, volumetric method';
const PRESSURE = 'Air, pressure method';
const REQUIRED = 'Air required by exposure';
const DENSITY = 'Density and yield';

const percent = (value: string) => both(max(value), 'percent');
const required = (exposure: string, inches: string, millimetres: string, value: string) =>
  entry(REQUIRED, `${exposure}, nominal aggregate ${inches} in [${millimetres} mm]`, TABLE, percent(value));
const water = (us: string, degrees: string, si: string, celsius: string) =>
  entry(
    DENSITY,
    `Density of water at ${degrees} °F [${celsius} °C]`,
    C29,
    twin(max(us), 'lb/ft3', max(si), 'kg/m3'),
  );
const measure = (inches: string, us: string, millimetres: string, si: string) =>
  entry(
    DENSITY,
    `Measure for nominal aggregate up to ${inches} in [${millimetres} mm]`,
    C138,
    twin(min(us), 'ft3', min(si), 'L'),
  );

export const AIR_AND_DENSITY = {
  'air.start': entry(AIR, 'Started after the final portion of the sample', C172, both(max('300'), 's')),
  'air.taps': entry(AIR, 'Taps of the mallet after each layer', C231, both(range('10', '15'), 'one')),
  'air.strokes': entry(AIR, 'Strokes of the rod a layer', C231, both(range('25', '25'), 'one')),
  'air.tolerance': entry(AIR, 'Tolerance on the specified air', C94, both(max('1.5'), 'percent')),
  'air.high-strength': entry(
    REQUIRED,
    'Specified strength above which one point less is allowed',
    TABLE,
    twin(max('5000'), 'psi', max('35'), 'MPa'),
  ),
  'air.high-strength-less': entry(REQUIRED, 'Less air allowed above that strength', TABLE, percent('1.0')),
  'air.F1.3/8': required('F1', '3/8', '9.5', '6.0'),
  'air.F1.1/2': required('F1', '1/2', '12.5', '5.5'),
  'air.F1.3/4': required('F1', '3/4', '19', '5.0'),
  'air.F1.1': required('F1', '1', '25', '4.5'),
  'air.F1.1-1/2': required('F1', '1 1/2', '37.5', '4.5'),
  'air.F1.2': required('F1', '2', '50', '4.0'),
  'air.F1.3': required('F1', '3', '75', '3.5'),
  'air.F2.3/8': required('F2 and F3', '3/8', '9.5', '7.5'),
  'air.F2.1/2': required('F2 and F3', '1/2', '12.5', '7.0'),
  'air.F2.3/4': required('F2 and F3', '3/4', '19', '6.0'),
  'air.F2.1': required('F2 and F3', '1', '25', '6.0'),
  'air.F2.1-1/2': required('F2 and F3', '1 1/2', '37.5', '5.5'),
  'air.F2.2': required('F2 and F3', '2', '50', '5.0'),
  'air.F2.3': required('F2 and F3', '3', '75', '4.5'),
  'air.people': entry(
    'Air content',
    'Two people’s results on one batch',
    standard('ASTM C231/C231M'),
    both(max('0.8'), 'percent'),
  ),
  'air.jump': entry(
    AIR,
    'Difference from the load before that calls for a repeat',
    ourChoice('look twice'),
    percent('1.0'),
  ),
  'air.meters-agree': entry(
    AIR,
    'Two meters, or meter and density, agree within',
    ourChoice('fine below'),
    percent('0.5'),
  ),
  'air.meters-repeat': entry(
    AIR,
    'Two meters, or meter and density, differ so much that one is repeated',
    ourChoice('repeat above'),
    percent('1.0'),
  ),

  'air-volumetric.step': entry(VOLUMETRIC, 'Air read and reported to', C173, percent('0.25')),
  'air-volumetric.inverted': entry(VOLUMETRIC, 'Upside down at once', C173, both(max('5'), 's')),
  'air-volumetric.shake': entry(
    VOLUMETRIC,
    'Inverted and shaken in all, until the aggregate is loose',
    C173,
    both(min('45'), 's'),
  ),
  'air-volumetric.roll': entry(VOLUMETRIC, 'Each rolling', C173, both(min('60'), 's')),
  'air-volumetric.stable': entry(VOLUMETRIC, 'Change over the last two minutes', C173, percent('0.25')),
  'air-volumetric.stable-time': entry(
    VOLUMETRIC,
    'Standing until stable',
    C173,
    both(range('120', '360'), 's'),
  ),
  'air-volumetric.agree': entry(
    VOLUMETRIC,
    'Two readings with a rolling between them agree within',
    C173,
    percent('0.25'),
  ),
  'air-volumetric.foam': entry(VOLUMETRIC, 'Foam above the liquid, full divisions', C173, percent('2')),
  'air-volumetric.water-first': entry(
    VOLUMETRIC,
    'Water in before the alcohol',
    C173,
    twin(min('1'), 'pt', min('0.5'), 'L'),
  ),
  'air-volumetric.alcohol': entry(
    VOLUMETRIC,
    'Alcohol the table covers',
    C173,
    twin(range('0.5', '5'), 'pt', range('0.2', '2.4'), 'L'),
  ),
  'air-volumetric.no-correction': entry(
    VOLUMETRIC,
    'Alcohol below which there is no correction, pints',
    C173,
    both(max('2.5'), 'one'),
  ),
  'air-volumetric.correction-2': entry(VOLUMETRIC, 'Correction at 2 pints of alcohol', C173, percent('0')),
  'air-volumetric.correction-3': entry(VOLUMETRIC, 'Correction at 3 pints of alcohol', C173, percent('0.3')),
  'air-volumetric.correction-4': entry(VOLUMETRIC, 'Correction at 4 pints of alcohol', C173, percent('0.6')),
  'air-volumetric.correction-5': entry(VOLUMETRIC, 'Correction at 5 pints of alcohol', C173, percent('0.9')),
  'air-volumetric.scale': entry(VOLUMETRIC, 'Scale of the neck ends at', C173, percent('9')),
  'air-volumetric.aggregate': entry(
    VOLUMETRIC,
    'Largest aggregate without wet-sieving',
    C173,
    twin(max('1.5'), 'in', max('37.5'), 'mm'),
  ),
  'air-volumetric.cup': entry(
    VOLUMETRIC,
    'Calibrated cup, of the bowl',
    C173,
    both(range('0.96', '1.04'), 'percent'),
  ),

  'air-pressure.step': entry(PRESSURE, 'Air reported to', C231, percent('0.1')),
  'air-pressure.settle': entry(
    PRESSURE,
    'Chamber left to cool after pumping',
    ourChoice('the standard says a few seconds'),
    both(min('5'), 's'),
  ),
  'air-pressure.rod-above': entry(
    PRESSURE,
    'Slump above which the bowl is rodded only',
    C231,
    twin(max('3'), 'in', max('75'), 'mm'),
  ),
  'air-pressure.vibrate-below': entry(
    PRESSURE,
    'Slump under which the bowl is vibrated',
    C231,
    twin(min('1'), 'in', min('25'), 'mm'),
  ),
  'air-pressure.aggregate': entry(
    PRESSURE,
    'Largest aggregate without wet-sieving',
    C231,
    twin(max('2'), 'in', max('50'), 'mm'),
  ),
  'air-pressure.factor': entry(
    PRESSURE,
    'Aggregate correction above which the aggregate is thought porous',
    ourChoice('use the volumetric method'),
    percent('1.0'),
  ),
  'air-pressure.standardised': entry(
    PRESSURE,
    'Months since the meter was standardised',
    commonPractice,
    both(max('3'), 'one'),
  ),
  'air-pressure.repeat': entry(
    PRESSURE,
    'Two apparent readings of a water-column meter agree within',
    C231,
    percent('0.2'),
  ),
  'air-pressure.coarse-above': entry(
    PRESSURE,
    'Reading above which half a division is reported',
    C231,
    percent('8'),
  ),
  'air-pressure.coarse-step': entry(
    PRESSURE,
    'Half a division of the usual gauge above that',
    ourChoice('a gauge of 0.5 % divisions'),
    percent('0.25'),
  ),

  'density.step': entry(DENSITY, 'Density reported to', C138, twin(max('0.1'), 'lb/ft3', max('1'), 'kg/m3')),
  'density.yield-step': entry(DENSITY, 'Yield reported to', C138, twin(max('0.1'), 'yd3', max('0.1'), 'm3')),
  'density.relative-step': entry(DENSITY, 'Relative yield reported to', C138, both(max('0.01'), 'one')),
  'density.cement-step': entry(
    DENSITY,
    'Cementitious content reported to',
    C138,
    twin(max('1'), 'lb/yd3', max('0.5'), 'kg/m3'),
  ),
  'density.relative': entry(
    DENSITY,
    'Relative yield that needs no look',
    ourChoice('look before accusing'),
    both(range('0.98', '1.02'), 'one'),
  ),
  'density.measure-share': entry(
    DENSITY,
    'Actual volume of the measure, of the nominal',
    C138,
    both(min('95'), 'percent'),
  ),
  'density.measure-most': entry(
    DENSITY,
    'Actual volume of the measure, of the nominal, at the most',
    ourChoice('what can be, whatever went wrong'),
    both(max('115'), 'percent'),
  ),
  'density.relative-density': entry(
    DENSITY,
    'Relative density that a material of concrete can have',
    ourChoice('what can be, whatever went wrong'),
    both(range('0.7', '8'), 'one'),
  ),
  'density.moisture-most': entry(
    DENSITY,
    'Moisture and absorption that an aggregate can have',
    ourChoice('what can be, whatever went wrong'),
    both(max('40'), 'percent'),
  ),
  'density.cementitious-usual': entry(
    DENSITY,
    'Cementitious content that a concrete can have',
    ourChoice('what can be, whatever went wrong'),
    twin(range('100', '1800'), 'lb/yd3', range('60', '1070'), 'kg/m3'),
  ),
  'density.loads': entry(DENSITY, 'Loads a claim on yield rests on', C94, both(min('3'), 'one')),
  'density.tolerance': entry(
    DENSITY,
    'Tolerance on a specified fresh density',
    commonPractice,
    twin(max('3'), 'lb/ft3', max('50'), 'kg/m3'),
  ),
  'density.water-unit': entry(
    DENSITY,
    'Density of water that relative densities are of',
    C138,
    twin(max('62.4'), 'lb/ft3', max('1000'), 'kg/m3'),
  ),
  'density.operator': entry(
    DENSITY,
    'Two results of one operator differ by at most',
    C138,
    twin(max('1.85'), 'lb/ft3', max('29.6'), 'kg/m3'),
  ),
  'density.operators': entry(
    DENSITY,
    'Two results of two operators differ by at most',
    C138,
    twin(max('2.31'), 'lb/ft3', max('37'), 'kg/m3'),
  ),
  'density.measure-1': measure('1', '0.2', '25', '6'),
  'density.measure-1-1/2': measure('1 1/2', '0.4', '37.5', '11'),
  'density.measure-2': measure('2', '0.5', '50', '14'),
  'density.measure-3': measure('3', '1.0', '75', '28'),
  'density.measure-4-1/2': measure('4 1/2', '2.5', '112', '70'),
  'density.measure-6': measure('6', '3.5', '150', '100'),
  'density.water-60': water('62.366', '60', '999.01', '15.6'),
  'density.water-65': water('62.336', '65', '998.54', '18.3'),
  'density.water-70': water('62.301', '70', '997.97', '21.1'),
  'density.water-73.4': water('62.274', '73.4', '997.54', '23.0'),
  'density.water-75': water('62.261', '75', '997.32', '23.9'),
  'density.water-80': water('62.216', '80', '996.59', '26.7'),
  'density.water-85': water('62.166', '85', '995.83', '29.4'),
} as const satisfies Record<string, LimitEntry>;
