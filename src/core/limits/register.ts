import type { UnitId } from '../quantity';
import { commonPractice, ourChoice, type Source, standard } from '../working';

/** One value of a limit in one system: a single number, a closed range, or an open end. */
export interface LimitValue {
  readonly low?: string;
  readonly high?: string;
  readonly unit: UnitId;
}

/**
 * `recalled`: from memory, to be checked by the laboratory against its own copy; `our choice`: proposed here, no
 * document says it; `confirmed` and `set by the laboratory`: done by a named person, with history.
 */
export type LimitStatus = 'recalled' | 'our choice' | 'confirmed' | 'set by the laboratory';

/** An entry of the register: every tolerance, window, factor and requirement that code refers to. */
export interface LimitEntry {
  readonly title: string;
  readonly group: string;
  /** The systems' own values; `both` where the value does not depend on the system (hours, percent, factors). */
  readonly US?: LimitValue;
  readonly SI?: LimitValue;
  readonly both?: LimitValue;
  readonly source: Source;
  readonly edition: string;
  readonly status: LimitStatus;
}

const C39 = standard('ASTM C39/C39M');
const C31 = standard('ASTM C31/C31M');
const C143 = standard('ASTM C143/C143M');
const C172 = standard('ASTM C172/C172M');
const C1064 = standard('ASTM C1064/C1064M');
const C94 = standard('ASTM C94/C94M');
const ACI318 = standard('ACI 318', '26.12.3');
const unknownEdition = 'edition to be named by the laboratory';

type Ends = { low?: string; high?: string };
function entry(
  group: string,
  title: string,
  source: Source,
  values: { US?: LimitValue; SI?: LimitValue; both?: LimitValue },
): LimitEntry {
  const published = source.kind === 'standard';
  return {
    group,
    title,
    source,
    edition: published ? unknownEdition : '',
    status: source.kind === 'our choice' ? 'our choice' : 'recalled',
    ...values,
  };
}
function both(ends: Ends, unit: UnitId): { both: LimitValue } {
  return { both: { ...ends, unit } };
}
function twin(us: Ends, usUnit: UnitId, si: Ends, siUnit: UnitId): { US: LimitValue; SI: LimitValue } {
  return { US: { ...us, unit: usUnit }, SI: { ...si, unit: siUnit } };
}
const max = (high: string): Ends => ({ high });
const min = (low: string): Ends => ({ low });
const range = (low: string, high: string): Ends => ({ low, high });

const AGE = 'Age at test';
const CYLINDER = 'Cylinder compression';
const EXPECTED = 'Expected strength';
const FACTOR = 'Length to diameter factor';
const MACHINE = 'Testing machine';
const SET = 'Agreement within a set';
const SLUMP = 'Slump';
const TEMPERATURE = 'Concrete temperature';
const SAMPLING = 'Sampling';
const ACCEPTANCE = 'Strength acceptance';
const CURING = 'Making and curing';

/**
 * The register as it ships. All values are recalled from memory (status `recalled`): the laboratory checks each
 * against its own copy of the standard and confirms or changes it.
 */
export const REGISTER = {
  'age.24h': entry(AGE, 'Tolerance at 24 h', C39, both(max('0.5'), 'h')),
  'age.3d': entry(AGE, 'Tolerance at 3 d', C39, both(max('2'), 'h')),
  'age.7d': entry(AGE, 'Tolerance at 7 d', C39, both(max('6'), 'h')),
  'age.28d': entry(AGE, 'Tolerance at 28 d', C39, both(max('20'), 'h')),
  'age.90d': entry(AGE, 'Tolerance at 90 d', C39, both(max('2'), 'd')),
  'age.other': entry(AGE, 'Tolerance at any other age, share of the age', C39, both(max('2'), 'percent')),
  'age.closing': entry(
    AGE,
    'A window counts as closing when this share of it is left',
    ourChoice('warn in the last fifth'),
    both(max('20'), 'percent'),
  ),

  'cylinder.diameter-spread': entry(
    CYLINDER,
    'Largest difference between two diameters, of the smaller',
    C39,
    both(max('2'), 'percent'),
  ),
  'cylinder.diameter-step': entry(
    CYLINDER,
    'Diameters read, and their mean rounded, to',
    C39,
    twin(max('0.01'), 'in', max('0.25'), 'mm'),
  ),
  'cylinder.length-needed': entry(
    CYLINDER,
    'L/D outside which the length must be measured',
    C39,
    both(range('1.8', '2.2'), 'one'),
  ),
  'cylinder.out-of-square': entry(
    CYLINDER,
    'Ends out of square with the axis: gap over the diameter',
    C39,
    both(max('0.01'), 'one'),
  ),
  'cylinder.planeness': entry(
    CYLINDER,
    'Ends plane within',
    C39,
    twin(max('0.002'), 'in', max('0.05'), 'mm'),
  ),
  'cylinder.loading-rate': entry(
    CYLINDER,
    'Loading rate in the second half of loading',
    C39,
    twin(range('28', '42'), 'psi/s', range('0.20', '0.30'), 'MPa/s'),
  ),
  'cylinder.out-of-moist': entry(
    CYLINDER,
    'Out of moist storage before the test, wet',
    C31,
    both(max('3'), 'h'),
  ),
  'cylinder.strength-step': entry(
    CYLINDER,
    'Strength reported to',
    C39,
    twin(max('10'), 'psi', max('0.1'), 'MPa'),
  ),
  'cylinder.density-step': entry(
    CYLINDER,
    'Density reported to',
    C39,
    twin(max('1'), 'lb/ft3', max('10'), 'kg/m3'),
  ),
  'cylinder.diameter-usual': entry(
    CYLINDER,
    'Diameter usual for the nominal size, of nominal',
    ourChoice('ask again outside'),
    both(range('0.9875', '1.0125'), 'one'),
  ),
  'cylinder.diameter-possible': entry(
    CYLINDER,
    'Diameter possible for the nominal size, of nominal',
    ourChoice('ask for a reason outside'),
    both(range('0.875', '1.125'), 'one'),
  ),
  'cylinder.strength-usual': entry(
    CYLINDER,
    'Strength usual for concrete',
    ourChoice('ask again outside'),
    twin(range('500', '12000'), 'psi', range('3.5', '85'), 'MPa'),
  ),
  'cylinder.density-usual': entry(
    CYLINDER,
    'Density usual for concrete',
    ourChoice('ask again outside'),
    twin(range('130', '160'), 'lb/ft3', range('2080', '2560'), 'kg/m3'),
  ),
  'cylinder.low-against-expected': entry(
    CYLINDER,
    'A result is low below this share of the expected strength',
    ourChoice('look before the pieces are thrown away'),
    both(min('0.85'), 'one'),
  ),
  'cylinder.high-against-expected': entry(
    CYLINDER,
    'A result is suspiciously high above this share of the expected strength',
    ourChoice('wrong specimen, area or range?'),
    both(max('1.5'), 'one'),
  ),

  'expected.over-specified': entry(
    EXPECTED,
    'Strength expected at the designated age, of the specified',
    ourChoice('what a mix usually reaches when nothing is known of it'),
    both(max('1.15'), 'one'),
  ),
  'expected.3d': entry(EXPECTED, 'Share expected up to 3 d', commonPractice, both(max('0.45'), 'one')),
  'expected.7d': entry(EXPECTED, 'Share expected up to 7 d', commonPractice, both(max('0.70'), 'one')),
  'expected.14d': entry(EXPECTED, 'Share expected up to 14 d', commonPractice, both(max('0.87'), 'one')),

  'factor.applies': entry(FACTOR, 'L/D up to which strength is corrected', C39, both(max('1.75'), 'one')),
  'factor.1.75': entry(FACTOR, 'Factor at L/D 1.75', C39, both(max('0.98'), 'one')),
  'factor.1.50': entry(FACTOR, 'Factor at L/D 1.50', C39, both(max('0.96'), 'one')),
  'factor.1.25': entry(FACTOR, 'Factor at L/D 1.25', C39, both(max('0.93'), 'one')),
  'factor.1.00': entry(FACTOR, 'Factor at L/D 1.00', C39, both(max('0.87'), 'one')),
  'factor.smallest': entry(FACTOR, 'Smallest L/D with a factor', C39, both(min('1'), 'one')),
  'factor.strength-range': entry(
    FACTOR,
    'Strengths the factors were found for',
    C39,
    twin(range('2000', '6000'), 'psi', range('14', '42'), 'MPa'),
  ),

  'machine.verification': entry(MACHINE, 'Months since the last verification', C39, both(max('13'), 'one')),
  'machine.headroom': entry(
    MACHINE,
    'Expected load within this share of the highest verified load',
    ourChoice('room for a strong cylinder'),
    both(max('0.8333333333'), 'one'),
  ),
  'equipment.yearly': entry(
    MACHINE,
    'Months between checks of callipers, thermometers and slump moulds',
    commonPractice,
    both(max('12'), 'one'),
  ),

  'set.2x6x12': entry(SET, 'Range of two 6×12 (150×300), field conditions', C39, both(max('8.0'), 'percent')),
  'set.3x6x12': entry(
    SET,
    'Range of three 6×12 (150×300), field conditions',
    C39,
    both(max('9.5'), 'percent'),
  ),
  'set.2x4x8': entry(
    SET,
    'Range of two 4×8 (100×200); the laboratory value, no field value is printed',
    C39,
    both(max('9.0'), 'percent'),
  ),
  'set.3x4x8': entry(
    SET,
    'Range of three 4×8 (100×200); the laboratory value, no field value is printed',
    C39,
    both(max('10.6'), 'percent'),
  ),
  'set.count-6x12': entry(SET, 'Cylinders 6×12 (150×300) in a strength test', ACI318, both(min('2'), 'one')),
  'set.count-4x8': entry(SET, 'Cylinders 4×8 (100×200) in a strength test', ACI318, both(min('3'), 'one')),

  'acceptance.individual-shortfall': entry(
    ACCEPTANCE,
    'A single test below f′c by at most, up to the dividing strength',
    ACI318,
    twin(max('500'), 'psi', max('3.5'), 'MPa'),
  ),
  'acceptance.dividing-strength': entry(
    ACCEPTANCE,
    'Specified strength above which the share rule applies',
    ACI318,
    twin(max('5000'), 'psi', max('35'), 'MPa'),
  ),
  'acceptance.individual-share': entry(
    ACCEPTANCE,
    'A single test below f′c by at most this share, above the dividing strength',
    ACI318,
    both(max('0.10'), 'one'),
  ),

  'slump.step': entry(SLUMP, 'Slump reported to', C143, twin(max('0.25'), 'in', max('5'), 'mm')),
  'slump.start': entry(SLUMP, 'Started after the final portion of the sample', C172, both(max('300'), 's')),
  'slump.total': entry(SLUMP, 'From start of filling to mould removed', C143, both(max('150'), 's')),
  'slump.lift': entry(SLUMP, 'Lifting the mould', C143, both(range('3', '7'), 's')),
  'slump.measurable': entry(
    SLUMP,
    'Slumps the method is meaningful for',
    C143,
    twin(range('0.5', '9'), 'in', range('15', '230'), 'mm'),
  ),
  'slump.mould-height': entry(SLUMP, 'Height of the mould', C143, twin(max('12'), 'in', max('300'), 'mm')),
  'slump.target-low': entry(
    SLUMP,
    'Tolerance on a target slump, low band',
    C94,
    twin(max('0.5'), 'in', max('15'), 'mm'),
  ),
  'slump.target-mid': entry(
    SLUMP,
    'Tolerance on a target slump, middle band',
    C94,
    twin(max('1'), 'in', max('25'), 'mm'),
  ),
  'slump.target-high': entry(
    SLUMP,
    'Tolerance on a target slump, high band',
    C94,
    twin(max('1.5'), 'in', max('40'), 'mm'),
  ),
  'slump.target-bands': entry(
    SLUMP,
    'Target slumps at which the low and middle bands end',
    C94,
    twin(range('2', '4'), 'in', range('50', '100'), 'mm'),
  ),
  'slump.maximum-minus-low': entry(
    SLUMP,
    'Below a "maximum" slump by at most, low band',
    C94,
    twin(max('1.5'), 'in', max('40'), 'mm'),
  ),
  'slump.maximum-minus-high': entry(
    SLUMP,
    'Below a "maximum" slump by at most, high band',
    C94,
    twin(max('2.5'), 'in', max('65'), 'mm'),
  ),
  'slump.maximum-band': entry(
    SLUMP,
    '"Maximum" slump at which the low band ends',
    C94,
    twin(max('3'), 'in', max('75'), 'mm'),
  ),

  'temperature.step': entry(
    TEMPERATURE,
    'Temperature reported to',
    C1064,
    twin(max('1'), 'deltaF', max('0.5'), 'deltaC'),
  ),
  'temperature.complete': entry(
    TEMPERATURE,
    'Complete after obtaining the sample',
    C1064,
    both(max('300'), 's'),
  ),
  'temperature.dwell': entry(
    TEMPERATURE,
    'Sensor in the concrete before reading',
    C1064,
    both(min('120'), 's'),
  ),
  'temperature.cover': entry(
    TEMPERATURE,
    'Concrete around the sensor on all sides',
    C1064,
    twin(min('3'), 'in', min('75'), 'mm'),
  ),
  'temperature.maximum': entry(
    TEMPERATURE,
    'Highest at discharge when the project names none',
    standard('ACI 301'),
    twin(max('95'), 'degF', max('35'), 'degC'),
  ),
  'temperature.usual': entry(
    TEMPERATURE,
    'Concrete temperature usual',
    ourChoice('ask again outside'),
    twin(range('40', '100'), 'degF', range('5', '38'), 'degC'),
  ),

  'sampling.moulding-start': entry(
    SAMPLING,
    'Moulding of specimens started after the composite',
    C172,
    both(max('15'), 'min'),
  ),
  'sampling.composite': entry(SAMPLING, 'First to last portion of a composite', C172, both(max('15'), 'min')),
  'curing.initial': entry(CURING, 'Initial curing on site', C31, both(max('48'), 'h')),
} as const satisfies Record<string, LimitEntry>;

export type LimitId = keyof typeof REGISTER;
export const LIMIT_IDS = Object.keys(REGISTER) as LimitId[];

/** True for text that names an entry of the register. */
export function isLimitId(id: string): id is LimitId {
  return id in REGISTER;
}

/** An entry of the register as it ships, seen through the common interface. */
export function shippedLimit(id: LimitId): LimitEntry {
  return REGISTER[id];
}
