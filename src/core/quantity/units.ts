import { type Exact, exact, PI } from './exact';

/** The two systems of a combined standard. Limits of one are never used for a run in the other. */
export type System = 'US' | 'SI';

export type Dimension =
  | 'length'
  | 'area'
  | 'mass'
  | 'force'
  | 'stress'
  | 'stressRate'
  | 'forceRate'
  | 'temperature'
  | 'temperatureDifference'
  | 'density'
  | 'volume'
  | 'duration'
  | 'angle'
  | 'percent'
  | 'ratio'
  | 'speed'
  | 'areaShare'
  | 'lengthShare'
  | 'evaporation'
  | 'energy'
  | 'stiffness'
  | 'emission'
  | 'lineLoad'
  | 'surface'
  | 'heat'
  | 'power'
  | 'dLoad';

interface UnitDefinition {
  readonly dimension: Dimension;
  /** How the unit is printed. */
  readonly label: string;
  /** value in base unit = (value + offset) × factor */
  readonly factor: Exact;
  readonly offset?: Exact;
  /** What people type for it, lower case. */
  readonly names: readonly string[];
}

// Exact definitions: NIST SP 811, appendix B (from memory): 1 in = 25.4 mm, 1 lb = 0.45359237 kg,
// standard gravity 9.80665 m/s², so 1 lbf = 4.4482216152605 N.
const INCH = exact('25.4');
const POUND = exact('0.45359237');
const POUND_FORCE = exact('4.4482216152605');
const PSI = POUND_FORCE.div(exact('0.0254').pow(2));
const CUBIC_FOOT = exact('0.3048').pow(3);
// 1 US gallon = 231 in³ by definition; a pint is an eighth of it.
const GALLON = exact('0.0254').pow(3).times(231);

function unit(
  dimension: Dimension,
  label: string,
  factor: string | number | Exact,
  names: readonly string[],
  offset?: string,
): UnitDefinition {
  return { dimension, label, factor: exact(factor), names, ...(offset ? { offset: exact(offset) } : {}) };
}

/** Every unit the application knows; the keys are the unit identifiers used in records and exports. */
export const UNITS = {
  mm: unit('length', 'mm', 1, ['mm', 'millimetre', 'millimetres', 'millimeter', 'millimeters']),
  cm: unit('length', 'cm', 10, ['cm']),
  m: unit('length', 'm', 1000, ['m', 'metre', 'metres', 'meter', 'meters']),
  um: unit('length', 'µm', '0.001', ['um', 'µm', 'micron', 'microns']),
  mil: unit('length', 'mil', INCH.div(1000), ['mil', 'mils']),
  in: unit('length', 'in', INCH, ['in', 'in.', 'inch', 'inches', '"', '″', '”']),
  ft: unit('length', 'ft', INCH.times(12), ['ft', 'ft.', 'foot', 'feet', "'", '′', '’']),
  mm2: unit('area', 'mm²', 1, ['mm2', 'mm²']),
  in2: unit('area', 'in²', INCH.pow(2), ['in2', 'in²', 'sq in']),
  cm2: unit('area', 'cm²', 100, ['cm2', 'cm²']),
  m2: unit('area', 'm²', 1_000_000, ['m2', 'm²', 'sq m']),
  ft2: unit('area', 'ft²', INCH.times(12).pow(2), ['ft2', 'ft²', 'sq ft', 'sf']),
  kg: unit('mass', 'kg', 1, ['kg']),
  g: unit('mass', 'g', '0.001', ['g', 'gram', 'grams']),
  lb: unit('mass', 'lb', POUND, ['lb', 'lbs', 'lb.', 'pound', 'pounds']),
  oz: unit('mass', 'oz', POUND.div(16), ['oz', 'ounce', 'ounces']),
  N: unit('force', 'N', 1, ['n', 'newton', 'newtons']),
  kN: unit('force', 'kN', 1000, ['kn']),
  lbf: unit('force', 'lbf', POUND_FORCE, ['lbf', 'lb', 'lbs', 'pounds']),
  kip: unit('force', 'kip', POUND_FORCE.times(1000), ['kip', 'kips']),
  kgf: unit('force', 'kgf', '9.80665', ['kgf', 'kp']),
  J: unit('energy', 'J', 1, ['j', 'joule', 'joules']),
  'N.m': unit('energy', 'N·m', 1, ['n.m', 'n·m']),
  'in.lbf': unit('energy', 'in·lbf', POUND_FORCE.times('0.0254'), ['in-lbf', 'in.lbf', 'in·lbf']),
  'N/mm': unit('stiffness', 'N/mm', 1000, ['n/mm']),
  'kN/mm': unit('stiffness', 'kN/mm', 1_000_000, ['kn/mm']),
  'lbf/in': unit('stiffness', 'lbf/in', POUND_FORCE.div('0.0254'), ['lbf/in', 'lb/in']),
  Pa: unit('stress', 'Pa', 1, ['pa']),
  bar: unit('stress', 'bar', 100_000, ['bar']),
  MPa: unit('stress', 'MPa', 1_000_000, ['mpa', 'n/mm2', 'n/mm²']),
  psi: unit('stress', 'psi', PSI, ['psi', 'lbf/in2', 'lb/in2']),
  ksi: unit('stress', 'ksi', PSI.times(1000), ['ksi']),
  'psi/s': unit('stressRate', 'psi/s', PSI, ['psi/s', 'psi/sec', 'psi per second']),
  'MPa/s': unit('stressRate', 'MPa/s', 1_000_000, ['mpa/s', 'mpa/sec']),
  'psi/min': unit('stressRate', 'psi/min', PSI.div(60), ['psi/min', 'psi per minute']),
  'MPa/min': unit('stressRate', 'MPa/min', exact(1_000_000).div(60), ['mpa/min', 'n/mm2/min', 'n/mm²/min']),
  'mm/min': unit('speed', 'mm/min', exact(1).div(60_000), ['mm/min']),
  'in/min': unit('speed', 'in/min', exact('0.0254').div(60), ['in/min']),
  'lbf/s': unit('forceRate', 'lbf/s', POUND_FORCE, ['lbf/s', 'lb/s']),
  'kN/s': unit('forceRate', 'kN/s', 1000, ['kn/s']),
  'lbf/min': unit('forceRate', 'lbf/min', POUND_FORCE.div(60), ['lbf/min', 'lb/min']),
  'kN/min': unit('forceRate', 'kN/min', exact(1000).div(60), ['kn/min']),
  'm2/kg': unit('surface', 'm²/kg', 1, ['m2/kg', 'm²/kg']),
  'cm2/g': unit('surface', 'cm²/g', '0.1', ['cm2/g', 'cm²/g']),
  'J/g': unit('heat', 'J/g', 1, ['j/g', 'kj/kg']),
  'cal/g': unit('heat', 'cal/g', '4.184', ['cal/g']),
  'mW/g': unit('power', 'mW/g', 1, ['mw/g', 'w/kg']),
  'lbf/ft': unit('lineLoad', 'lbf/ft', POUND_FORCE.div(exact('0.3048')), ['lbf/ft', 'lb/ft', 'plf']),
  'kN/m': unit('lineLoad', 'kN/m', 1000, ['kn/m']),
  'lbf/ft/ft': unit('dLoad', 'lbf/ft/ft', POUND_FORCE.div(exact('0.3048').pow(2)), [
    'lbf/ft/ft',
    'lbf/ft2',
    'lbf/ft²',
    'd',
  ]),
  'N/m/mm': unit('dLoad', 'N/m/mm', 1000, ['n/m/mm']),
  degC: unit('temperature', '°C', 1, ['°c', 'c', 'degc', 'deg c', 'celsius']),
  degF: unit('temperature', '°F', exact(5).div(9), ['°f', 'f', 'degf', 'deg f', 'fahrenheit'], '-32'),
  deltaC: unit('temperatureDifference', '°C', 1, ['°c', 'c', 'deltac']),
  deltaF: unit('temperatureDifference', '°F', exact(5).div(9), ['°f', 'f', 'deltaf']),
  'kg/m3': unit('density', 'kg/m³', 1, ['kg/m3', 'kg/m³']),
  'lb/ft3': unit('density', 'lb/ft³', POUND.div(CUBIC_FOOT), ['lb/ft3', 'lb/ft³', 'pcf']),
  'lb/yd3': unit('density', 'lb/yd³', POUND.div(CUBIC_FOOT.times(27)), ['lb/yd3', 'lb/yd³', 'pcy']),
  m3: unit('volume', 'm³', 1, ['m3', 'm³', 'cubic metres']),
  L: unit('volume', 'L', '0.001', ['l', 'litre', 'litres', 'liter', 'liters']),
  in3: unit('volume', 'in³', exact('0.0254').pow(3), ['in3', 'in³', 'cu in']),
  mL: unit('volume', 'mL', '0.000001', ['ml']),
  gal: unit('volume', 'gal', GALLON, ['gal', 'gallon', 'gallons']),
  pt: unit('volume', 'pt', GALLON.div(8), ['pt', 'pint', 'pints']),
  floz: unit('volume', 'fl oz', GALLON.div(128), ['fl oz', 'oz', 'floz']),
  yd3: unit('volume', 'yd³', CUBIC_FOOT.times(27), ['yd3', 'yd³', 'cy', 'yd', 'yards']),
  ft3: unit('volume', 'ft³', CUBIC_FOOT, ['ft3', 'ft³', 'cf']),
  s: unit('duration', 's', 1, ['s', 'sec', 'second', 'seconds']),
  min: unit('duration', 'min', 60, ['min', 'minute', 'minutes']),
  h: unit('duration', 'h', 3600, ['h', 'hr', 'hour', 'hours']),
  d: unit('duration', 'd', 86_400, ['d', 'day', 'days']),
  mph: unit('speed', 'mph', exact('1609.344').div(3600), ['mph', 'mi/h']),
  'km/h': unit('speed', 'km/h', exact(1000).div(3600), ['km/h', 'kph', 'kmh']),
  'm/s': unit('speed', 'm/s', 1, ['m/s']),
  'lb/ft2/h': unit('evaporation', 'lb/ft²/h', POUND.div(exact('0.3048').pow(2)), ['lb/ft2/h', 'lb/ft²/h']),
  'kg/m2/h': unit('evaporation', 'kg/m²/h', 1, ['kg/m2/h', 'kg/m²/h']),
  'lb/1000ft2/d': unit('emission', 'lb/1000 ft²/24 h', POUND.div(exact('0.3048').pow(2)).div(86_400_000), [
    'lb/1000ft2/d',
    'lb/1000 ft2/24 h',
    'lb',
    'lbs',
  ]),
  'ug/m2/s': unit('emission', 'µg/(m²·s)', '0.000000001', ['ug/m2/s', 'µg/(m2·s)', 'µg/m²/s']),
  'g/m2/d': unit('emission', 'g/m²/24 h', exact('0.001').div(86_400), ['g/m2/d', 'g/m2/24 h', 'g/m²/24 h']),
  'in2/ft2': unit('areaShare', 'in²/ft²', exact(1_000_000).div(144), ['in2/ft2', 'in²/ft²']),
  'in/ft': unit('lengthShare', 'in/ft', exact(1000).div(12), ['in/ft']),
  'mm/m': unit('lengthShare', 'mm/m', 1, ['mm/m']),
  'mm2/m2': unit('areaShare', 'mm²/m²', 1, ['mm2/m2', 'mm²/m²']),
  deg: unit('angle', '°', PI.div(180), ['°', 'deg', 'degree', 'degrees']),
  percent: unit('percent', '%', 1, ['%', 'percent']),
  one: unit('ratio', '', 1, []),
} as const satisfies Record<string, UnitDefinition>;

export type UnitId = keyof typeof UNITS;

/** The definition of a unit, seen through the common interface. */
export function unitOf(id: UnitId): UnitDefinition {
  return UNITS[id];
}

/** The printed form of a unit: `lbf`, `in²`, `°F`. */
export function unitLabel(id: UnitId): string {
  return UNITS[id].label;
}

/** A number as it stands with its unit; a mere count has none. */
export function withUnit(text: string, id: UnitId): string {
  return `${text} ${unitLabel(id)}`.trimEnd();
}

/**
 * Converts a value between two units of one dimension, by exact factors, unrounded.
 * @throws TypeError when the two units measure different things (a temperature and a temperature difference do)
 */
export function convert(value: Exact, from: UnitId, to: UnitId): Exact {
  if (from === to) return value;
  const source = unitOf(from);
  const target = unitOf(to);
  if (source.dimension !== target.dimension) {
    throw new TypeError(`${from} is a ${source.dimension}, ${to} is a ${target.dimension}`);
  }
  const base = (source.offset ? value.plus(source.offset) : value).times(source.factor);
  const converted = base.div(target.factor);
  return target.offset ? converted.minus(target.offset) : converted;
}

/** Finds the unit that a person's words mean among the units of one dimension; undefined when none fits. */
export function findUnit(words: string, dimension: Dimension): UnitId | undefined {
  const wanted = words.trim().toLowerCase();
  const ids = Object.keys(UNITS) as UnitId[];
  return ids.find((id) => {
    const definition = unitOf(id);
    return (
      definition.dimension === dimension && (id.toLowerCase() === wanted || definition.names.includes(wanted))
    );
  });
}

/** The printed units of a dimension, in the order of the list: what may be typed after a number. */
export function unitLabelsOf(dimension: Dimension): string[] {
  return (Object.keys(UNITS) as UnitId[])
    .filter((id) => unitOf(id).dimension === dimension)
    .map((id) => unitOf(id).label);
}

/** What a person may type for the units of a dimension, for an error message: `in, mm, cm, m or ft`. */
export function unitChoices(dimension: Dimension): string {
  const labels = unitLabelsOf(dimension);
  return labels.length < 2 ? (labels[0] ?? '') : `${labels.slice(0, -1).join(', ')} or ${labels.at(-1)}`;
}
