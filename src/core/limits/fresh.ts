import { commonPractice, ourChoice, standard } from '../working';
import { AIR_AND_DENSITY } from './air-and-density';
import { both, entry, type LimitEntry, max, min, range, twin } from './entry';
import { SPECIMENS } from './specimens';

const C94 = standard('ASTM C94/C94M');
const C143 = standard('ASTM C143/C143M');
const C172 = standard('ASTM C172/C172M');
const C1064 = standard('ASTM C1064/C1064M');
const C1611 = standard('ASTM C1611/C1611M');
const ACI305 = standard('ACI 305R');
const ACI318 = standard('ACI 318', '26.12.2');

const PLAN = 'Sampling plan';
const SAMPLING = 'Sampling';
const DELIVERY = 'Ticket and discharge';
const SLUMP = 'Slump';
const FLOW = 'Slump flow';
const TEMPERATURE = 'Concrete temperature';
const EVAPORATION = 'Evaporation rate';

/** Everything between the truck and the specimens at rest. */
export const FRESH = {
  'plan.volume': entry(
    PLAN,
    'Volume of a mixture a day for one sample',
    ACI318,
    twin(max('150'), 'yd3', max('110'), 'm3'),
  ),
  'plan.area': entry(
    PLAN,
    'Area of slabs or walls (one face) for one sample',
    ACI318,
    twin(max('5000'), 'ft2', max('460'), 'm2'),
  ),
  'plan.fewest': entry(PLAN, 'Strength tests of a mixture in a project', ACI318, both(min('5'), 'one')),
  'plan.waiver': entry(
    PLAN,
    'Total volume under which tests may be waived with approved evidence',
    ACI318,
    twin(max('50'), 'yd3', max('38'), 'm3'),
  ),
  'plan.due-soon': entry(
    PLAN,
    'Say "sample due" when this share of the volume has gone',
    ourChoice('early word on the next load'),
    both(max('80'), 'percent'),
  ),

  'sampling.composite': entry(SAMPLING, 'First to last portion of a composite', C172, both(max('15'), 'min')),
  'sampling.moulding-start': entry(
    SAMPLING,
    'Moulding of specimens started after the composite',
    C172,
    both(max('15'), 'min'),
  ),
  'sampling.portions': entry(SAMPLING, 'Portions of a composite from a stream', C172, both(min('2'), 'one')),
  'sampling.picks': entry(SAMPLING, 'Places a pile is sampled from', C172, both(min('5'), 'one')),
  'sampling.middle': entry(
    SAMPLING,
    'Portions from the middle: share of the load discharged',
    C172,
    both(range('0.10', '0.90'), 'one'),
  ),
  'sampling.smallest': entry(
    SAMPLING,
    'Sample when strength specimens are made',
    C172,
    twin(min('1'), 'ft3', min('28'), 'L'),
  ),
  'sampling.spare': entry(
    SAMPLING,
    'Take this many times what the tests need',
    ourChoice('a quarter to spare'),
    both(min('1.25'), 'one'),
  ),
  'sampling.size-step': entry(
    SAMPLING,
    'Sample size rounded up to',
    ourChoice('what a scoop can tell'),
    twin(max('0.05'), 'ft3', max('1'), 'L'),
  ),
  'sampling.preliminary': entry(
    SAMPLING,
    'Discharged before a preliminary sample',
    C94,
    twin(min('0.25'), 'yd3', min('0.25'), 'm3'),
  ),
  'sampling.barrow': entry(
    SAMPLING,
    'One wheelbarrow holds about',
    commonPractice,
    twin(max('2.5'), 'ft3', max('70'), 'L'),
  ),

  'delivery.discharge': entry(DELIVERY, 'Discharge complete after batching', C94, both(max('90'), 'min')),
  'delivery.ratio-usual': entry(
    DELIVERY,
    'Water-cementitious ratio that a load can have',
    ourChoice('what can be, whatever went wrong'),
    both(range('0.2', '1.2'), 'one'),
  ),
  'delivery.ticket-usual': entry(
    DELIVERY,
    'Water a ticket leaves for the site, of the water batched',
    ourChoice('what can be, whatever went wrong'),
    both(max('35'), 'percent'),
  ),
  'delivery.slump-window': entry(
    DELIVERY,
    'Producer answers for the slump after arrival or adjustment',
    C94,
    both(max('30'), 'min'),
  ),
  'delivery.remix-turns': entry(
    DELIVERY,
    'Turns at mixing speed after water or admixture',
    C94,
    both(min('30'), 'one'),
  ),
  'delivery.mixing-turns': entry(
    DELIVERY,
    'Turns of the first mixing in the truck',
    C94,
    both(range('70', '100'), 'one'),
  ),
  'delivery.total-turns': entry(
    DELIVERY,
    'Turns in all; dropped from the recent text, still in many specifications',
    C94,
    both(max('300'), 'one'),
  ),
  'delivery.free-moisture': entry(
    DELIVERY,
    'Aggregate moisture that can be believed',
    ourChoice('more is a typing slip'),
    both(max('15'), 'percent'),
  ),
  'delivery.gallon': entry(
    DELIVERY,
    'Mass of a gallon [litre] of water',
    commonPractice,
    twin(max('8.345'), 'lb', max('1'), 'kg'),
  ),
  'delivery.water-step': entry(
    DELIVERY,
    'Permitted water rounded down to',
    ourChoice('what a gauge can tell'),
    twin(max('0.5'), 'gal', max('1'), 'L'),
  ),
  'delivery.cement-mass': entry(
    DELIVERY,
    'Cementitious mass against the mix design',
    C94,
    both(max('1'), 'percent'),
  ),
  'delivery.water-mass': entry(
    DELIVERY,
    'Batched water against the mix design',
    C94,
    both(max('3'), 'percent'),
  ),
  'delivery.slump-water': entry(
    DELIVERY,
    'Water in a cubic yard [metre] that raises the slump by 1 in [25 mm]; display only',
    commonPractice,
    twin(max('10'), 'lb/yd3', max('6'), 'kg/m3'),
  ),
  'delivery.drum-mixed': entry(
    DELIVERY,
    'Concrete in the drum, of its gross volume, mixed in the truck',
    C94,
    both(max('63'), 'percent'),
  ),
  'delivery.drum-agitated': entry(
    DELIVERY,
    'Concrete in the drum, of its gross volume, only agitated',
    C94,
    both(max('80'), 'percent'),
  ),
  'delivery.aggregate-mass': entry(
    DELIVERY,
    'Batched aggregates against the mix design',
    C94,
    both(max('2'), 'percent'),
  ),
  'delivery.admixture-mass': entry(
    DELIVERY,
    'Batched admixtures against the mix design',
    C94,
    both(max('3'), 'percent'),
  ),
  'delivery.wc-step': entry(
    DELIVERY,
    'Water-cementitious ratio reported to',
    commonPractice,
    both(max('0.01'), 'one'),
  ),
  'delivery.travel': entry(
    DELIVERY,
    'Travel that can be believed, batching to arrival',
    ourChoice('outside, look at the ticket again'),
    both(range('3', '90'), 'min'),
  ),

  'slump.step': entry(SLUMP, 'Slump reported to', C143, twin(max('0.25'), 'in', max('5'), 'mm')),
  'slump.start': entry(SLUMP, 'Started after the final portion of the sample', C172, both(max('300'), 's')),
  'slump.total': entry(SLUMP, 'From start of filling to mould removed', C143, both(max('150'), 's')),
  'slump.lift': entry(SLUMP, 'Lifting the mould', C143, both(range('3', '7'), 's')),
  'slump.read': entry(
    SLUMP,
    'Measured after the lift',
    ourChoice('the standard says at once'),
    both(max('30'), 's'),
  ),
  'slump.measurable': entry(
    SLUMP,
    'Slumps the method is meaningful for',
    C143,
    twin(range('0.5', '9'), 'in', range('15', '230'), 'mm'),
  ),
  'slump.mould-height': entry(SLUMP, 'Height of the mould', C143, twin(max('12'), 'in', max('300'), 'mm')),
  'slump.strokes': entry(SLUMP, 'Strokes of the rod a layer', C143, both(range('25', '25'), 'one')),
  'slump.layers': entry(SLUMP, 'Layers', C143, both(range('3', '3'), 'one')),
  'slump.aggregate': entry(
    SLUMP,
    'Largest nominal aggregate without wet-sieving',
    C143,
    twin(max('1.5'), 'in', max('37.5'), 'mm'),
  ),
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
  'slump.people-low': entry(
    SLUMP,
    'Two results of two people differ by at most, low level',
    C143,
    twin(max('0.82'), 'in', max('20'), 'mm'),
  ),
  'slump.people-mid': entry(
    SLUMP,
    'Two results of two people differ by at most, middle level',
    C143,
    twin(max('1.10'), 'in', max('28'), 'mm'),
  ),
  'slump.people-high': entry(
    SLUMP,
    'Two results of two people differ by at most, high level',
    C143,
    twin(max('1.50'), 'in', max('38'), 'mm'),
  ),
  'slump.hot-above': entry(
    SLUMP,
    'Concrete above which a high slump of an old load is looked into',
    commonPractice,
    twin(max('85'), 'degF', max('29'), 'degC'),
  ),
  'slump.old-after': entry(
    SLUMP,
    'Age after which a high slump of a hot load is looked into',
    commonPractice,
    both(max('60'), 'min'),
  ),
  'slump.jump': entry(
    SLUMP,
    'More slump than the load before, with the same water, that is looked into',
    commonPractice,
    twin(max('1'), 'in', max('25'), 'mm'),
  ),
  'slump.repeat-level': entry(
    SLUMP,
    'Slumps the precision is printed for, low and high',
    C143,
    twin(range('1.2', '6.5'), 'in', range('30', '165'), 'mm'),
  ),
  'slump.repeat-middle': entry(
    SLUMP,
    'Slump the precision is printed for, middle',
    C143,
    twin(max('3.4'), 'in', max('85'), 'mm'),
  ),
  'slump.repeat-low': entry(
    SLUMP,
    'Two results of one operator differ by at most, low level',
    C143,
    twin(max('0.65'), 'in', max('17'), 'mm'),
  ),
  'slump.repeat-mid': entry(
    SLUMP,
    'Two results of one operator differ by at most, middle level',
    C143,
    twin(max('1.07'), 'in', max('25'), 'mm'),
  ),
  'slump.repeat-high': entry(
    SLUMP,
    'Two results of one operator differ by at most, high level',
    C143,
    twin(max('1.13'), 'in', max('28'), 'mm'),
  ),

  'flow.step': entry(FLOW, 'Slump flow reported to', C1611, twin(max('0.5'), 'in', max('10'), 'mm')),
  'flow.ring-usual': entry(
    FLOW,
    'Time to the ring that is met',
    ourChoice('what can be, whatever went wrong'),
    both(range('0.3', '15'), 's'),
  ),
  'flow.total': entry(FLOW, 'From start of filling to mould lifted', C1611, both(max('150'), 's')),
  'flow.lift': entry(FLOW, 'Lifting the mould 9 in [225 mm]', C1611, both(range('2', '4'), 's')),
  'flow.difference': entry(
    FLOW,
    'Two diameters differ by at most',
    C1611,
    twin(max('2'), 'in', max('50'), 'mm'),
  ),
  'flow.ring': entry(FLOW, 'Ring the flow is timed to', C1611, twin(max('20'), 'in', max('500'), 'mm')),
  'flow.ring-step': entry(FLOW, 'Time to the ring reported to', C1611, both(max('0.2'), 's')),
  'flow.unstable': entry(FLOW, 'Visual stability index counted as unstable', C1611, both(min('2'), 'one')),
  'flow.band': entry(
    FLOW,
    'Specified flow at which the low tolerance ends',
    C94,
    twin(max('22'), 'in', max('550'), 'mm'),
  ),
  'flow.tolerance-low': entry(
    FLOW,
    'Tolerance on the specified flow, low band',
    C94,
    twin(max('1.5'), 'in', max('40'), 'mm'),
  ),
  'flow.tolerance-high': entry(
    FLOW,
    'Tolerance on the specified flow, high band',
    C94,
    twin(max('2.5'), 'in', max('65'), 'mm'),
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
  'temperature.complete-large': entry(
    TEMPERATURE,
    'Complete when the aggregate is over 3 in [75 mm]',
    C1064,
    both(max('1200'), 's'),
  ),
  'temperature.large-aggregate': entry(
    TEMPERATURE,
    'Nominal aggregate above which the longer time holds',
    C1064,
    twin(max('3'), 'in', max('75'), 'mm'),
  ),
  'temperature.insert': entry(
    TEMPERATURE,
    'Sensor in after the sample, so that both other clocks can be met',
    C1064,
    both(max('180'), 's'),
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
  'temperature.cover-aggregate': entry(
    TEMPERATURE,
    'Concrete around the sensor, times the nominal aggregate',
    C1064,
    both(min('3'), 'one'),
  ),
  'temperature.steady-change': entry(
    'Concrete temperature',
    'Change of a reading that is called steady',
    ourChoice('what a display shows'),
    twin(max('1'), 'deltaF', max('0.5'), 'deltaC'),
  ),
  'temperature.steady-over': entry(
    'Concrete temperature',
    'Time over which a reading is called steady',
    ourChoice('a quarter of the least dwell'),
    both(max('30'), 's'),
  ),
  'temperature.people': entry(
    'Concrete temperature',
    'Two people’s readings of one sample',
    ourChoice('twice what a verified device may be off'),
    twin(max('2'), 'deltaF', max('1'), 'deltaC'),
  ),
  'temperature.jump': entry(
    TEMPERATURE,
    'Difference from the load before that calls for a second reading',
    ourChoice('look twice'),
    twin(max('5'), 'deltaF', max('3'), 'deltaC'),
  ),
  'temperature.maximum': entry(
    TEMPERATURE,
    'Highest at discharge when the project names none',
    standard('ACI 301'),
    twin(max('95'), 'degF', max('35'), 'degC'),
  ),
  'temperature.maximum-heated': entry(
    TEMPERATURE,
    'Highest when heated materials are used',
    C94,
    twin(max('90'), 'degF', max('32'), 'degC'),
  ),
  'temperature.cold-12': entry(
    TEMPERATURE,
    'Lowest as placed in cold weather, section under 12 in [300 mm]',
    C94,
    twin(min('55'), 'degF', min('13'), 'degC'),
  ),
  'temperature.cold-36': entry(
    TEMPERATURE,
    'Lowest as placed in cold weather, section 12 to 36 in [300 to 900 mm]',
    C94,
    twin(min('50'), 'degF', min('10'), 'degC'),
  ),
  'temperature.cold-72': entry(
    TEMPERATURE,
    'Lowest as placed in cold weather, section 36 to 72 in [900 to 1800 mm]',
    C94,
    twin(min('45'), 'degF', min('7'), 'degC'),
  ),
  'temperature.cold-over': entry(
    TEMPERATURE,
    'Lowest as placed in cold weather, section over 72 in [1800 mm]',
    C94,
    twin(min('40'), 'degF', min('5'), 'degC'),
  ),
  'temperature.sections-low': entry(
    TEMPERATURE,
    'Least section at which the first row ends',
    C94,
    twin(max('12'), 'in', max('300'), 'mm'),
  ),
  'temperature.sections-mid': entry(
    TEMPERATURE,
    'Least section at which the second row ends',
    C94,
    twin(max('36'), 'in', max('900'), 'mm'),
  ),
  'temperature.sections-high': entry(
    TEMPERATURE,
    'Least section at which the third row ends',
    C94,
    twin(max('72'), 'in', max('1800'), 'mm'),
  ),
  'temperature.cold-air': entry(
    TEMPERATURE,
    'Air temperature under which the cold rows hold',
    standard('ACI 306R'),
    twin(max('40'), 'degF', max('5'), 'degC'),
  ),
  'temperature.usual': entry(
    TEMPERATURE,
    'Concrete temperature usual',
    ourChoice('ask again outside'),
    twin(range('40', '100'), 'degF', range('5', '38'), 'degC'),
  ),

  'evaporation.protect': entry(
    EVAPORATION,
    'Protection is called for from',
    ACI305,
    twin(max('0.20'), 'lb/ft2/h', max('1.0'), 'kg/m2/h'),
  ),
  'evaporation.caution': entry(
    EVAPORATION,
    'Caution from',
    ACI305,
    twin(max('0.10'), 'lb/ft2/h', max('0.5'), 'kg/m2/h'),
  ),
  'evaporation.low-bleed': entry(
    EVAPORATION,
    'Protection is called for from, mixes that bleed little',
    ACI305,
    twin(max('0.10'), 'lb/ft2/h', max('0.5'), 'kg/m2/h'),
  ),
  'evaporation.humidity-usual': entry(
    EVAPORATION,
    'Relative humidity that is met outdoors',
    ourChoice('what can be, whatever went wrong'),
    both(min('5'), 'percent'),
  ),
  'evaporation.step': entry(
    EVAPORATION,
    'Evaporation rate reported to',
    commonPractice,
    twin(max('0.01'), 'lb/ft2/h', max('0.01'), 'kg/m2/h'),
  ),
  'evaporation.interval': entry(
    EVAPORATION,
    'Between two readings',
    standard('ACI 305.1'),
    both(max('30'), 'min'),
  ),
  'evaporation.wind-averaged': entry(
    EVAPORATION,
    'Wind averaged over',
    ourChoice('a gust is no wind'),
    both(min('60'), 's'),
  ),
  'evaporation.station-wind': entry(
    EVAPORATION,
    'Wind at the slab, of the wind at a station 33 ft [10 m] up',
    commonPractice,
    both(max('0.6666666667'), 'one'),
  ),

  ...AIR_AND_DENSITY,
  ...SPECIMENS,
} as const satisfies Record<string, LimitEntry>;
