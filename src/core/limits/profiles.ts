import { commonPractice, type Source, standard } from '../working';
import { both, entry, type LimitEntry, max, min, range, twin } from './entry';

const AGENCY = 'Agency, strict: rows that differ';
const EN = 'EN: rows that differ';
const IS = 'IS: rows that differ';
const EN12350_2 = standard('EN 12350-2');
const EN12350_8 = standard('EN 12350-8');
const EN12390_2 = standard('EN 12390-2');
const IS516 = standard('IS 516');
const IS1199 = standard('IS 1199');

const same = (
  group: string,
  title: string,
  source: Source,
  ends: Parameters<typeof both>[0],
  unit: Parameters<typeof both>[1],
) => entry(group, title, source, both(ends, unit));

/** Rows that stand in place of the row of the same name when a project follows that school. */
export const PROFILE_ROWS = {
  'agency/slump.total': same(
    AGENCY,
    'From start of filling to mould removed',
    commonPractice,
    max('120'),
    's',
  ),
  'agency/sampling.whole': same(
    AGENCY,
    'Whole sample used, specimens and air included',
    commonPractice,
    max('900'),
    's',
  ),
  'agency/air-volumetric.step': same(
    AGENCY,
    'Air read and reported to, volumetric, alcohol after rolling',
    commonPractice,
    max('0.5'),
    'percent',
  ),
  'agency/curing.on-site': same(AGENCY, 'On site before collection', commonPractice, range('20', '48'), 'h'),
  'agency/slump.aggregate': entry(
    AGENCY,
    'Largest nominal aggregate without wet-sieving',
    commonPractice,
    twin(max('2'), 'in', max('50'), 'mm'),
  ),

  'en/slump.step': entry(EN, 'Slump reported to', EN12350_2, twin(max('0.5'), 'in', max('10'), 'mm')),
  'en/slump.lift': same(EN, 'Lifting the mould', EN12350_2, range('2', '5'), 's'),
  'en/slump.measurable': entry(
    EN,
    'Slumps the method is meaningful for',
    EN12350_2,
    twin(range('0.5', '8.25'), 'in', range('10', '210'), 'mm'),
  ),
  'en/slump.target-low': entry(
    EN,
    'Tolerance on a target slump up to 40 mm',
    standard('EN 206'),
    twin(max('0.5'), 'in', max('10'), 'mm'),
  ),
  'en/slump.target-mid': entry(
    EN,
    'Tolerance on a target slump of 50 to 90 mm',
    standard('EN 206'),
    twin(max('0.75'), 'in', max('20'), 'mm'),
  ),
  'en/slump.target-high': entry(
    EN,
    'Tolerance on a target slump of 100 mm and more',
    standard('EN 206'),
    twin(max('1.25'), 'in', max('30'), 'mm'),
  ),
  'en/slump.target-bands': entry(
    EN,
    'Target slumps at which the low and middle bands end',
    standard('EN 206'),
    twin(range('1.5', '3.5'), 'in', range('40', '90'), 'mm'),
  ),
  'en/slump.class-S1': entry(
    EN,
    'Slump class S1',
    standard('EN 206'),
    twin(range('0.5', '1.5'), 'in', range('10', '40'), 'mm'),
  ),
  'en/slump.class-S2': entry(
    EN,
    'Slump class S2',
    standard('EN 206'),
    twin(range('2', '3.5'), 'in', range('50', '90'), 'mm'),
  ),
  'en/slump.class-S3': entry(
    EN,
    'Slump class S3',
    standard('EN 206'),
    twin(range('4', '6'), 'in', range('100', '150'), 'mm'),
  ),
  'en/slump.class-S4': entry(
    EN,
    'Slump class S4',
    standard('EN 206'),
    twin(range('6.25', '8.25'), 'in', range('160', '210'), 'mm'),
  ),
  'en/slump.class-S5': entry(
    EN,
    'Slump class S5',
    standard('EN 206'),
    twin(min('8.75'), 'in', min('220'), 'mm'),
  ),
  'en/slump.single': entry(
    EN,
    'A single result outside a class by at most, below and above',
    standard('EN 206'),
    twin(range('0.5', '0.75'), 'in', range('10', '20'), 'mm'),
  ),
  'en/slump.single-first': entry(
    EN,
    'A single result at the start of discharge outside a class by at most',
    standard('EN 206'),
    twin(range('0.75', '1.25'), 'in', range('20', '30'), 'mm'),
  ),
  'en/flow.lift': same(EN, 'Lifting the mould', EN12350_8, range('1', '3'), 's'),
  'en/flow.ring-step': same(EN, 'Time to the ring reported to', EN12350_8, max('0.5'), 's'),
  'en/delivery.discharge': same(
    EN,
    'Discharge complete after batching',
    standard('BS 8500'),
    max('120'),
    'min',
  ),
  'en/sampling.spare': same(
    EN,
    'Take this many times what the tests need',
    standard('EN 12350-1'),
    min('1.5'),
    'one',
  ),
  'en/density.step': entry(
    EN,
    'Density reported to',
    standard('EN 12350-6'),
    twin(max('1'), 'lb/ft3', max('10'), 'kg/m3'),
  ),
  'en/moulding.cube-strokes-150': same(EN, 'Strokes a layer, cubes', EN12390_2, min('25'), 'one'),
  'en/curing.initial-temperature': entry(
    EN,
    'Temperature before moulds come off',
    EN12390_2,
    twin(range('59', '77'), 'degF', range('15', '25'), 'degC'),
  ),
  'en/curing.initial-temperature-high': entry(
    EN,
    'Temperature before moulds come off, any strength',
    EN12390_2,
    twin(range('59', '77'), 'degF', range('15', '25'), 'degC'),
  ),
  'en/curing.demould': same(EN, 'Moulds off after casting', EN12390_2, range('16', '72'), 'h'),
  'en/curing.initial': same(EN, 'In the mould on site', EN12390_2, max('72'), 'h'),
  'en/curing.final-temperature': entry(
    EN,
    'Temperature of the water',
    EN12390_2,
    twin(range('65', '71'), 'degF', range('18', '22'), 'degC'),
  ),

  'is/slump.total': same(IS, 'From start of filling to mould removed', IS1199, max('120'), 's'),
  'is/slump.layers': same(IS, 'Layers, of equal height', IS1199, range('4', '4'), 'one'),
  'is/delivery.discharge': same(
    IS,
    'Discharge complete after batching',
    standard('IS 4926'),
    max('120'),
    'min',
  ),
  'is/curing.initial-temperature': entry(
    IS,
    'Temperature on site before moulds come off',
    IS516,
    twin(range('72', '90'), 'degF', range('22', '32'), 'degC'),
  ),
  'is/curing.initial-temperature-high': entry(
    IS,
    'Temperature on site before moulds come off, any strength',
    IS516,
    twin(range('72', '90'), 'degF', range('22', '32'), 'degC'),
  ),
  'is/curing.demould': same(IS, 'Moulds off after water was added', IS516, range('23.5', '24.5'), 'h'),
  'is/curing.site-water': entry(
    IS,
    'Water the cubes are kept in on site',
    IS516,
    twin(range('75', '86'), 'degF', range('24', '30'), 'degC'),
  ),
  'is/curing.final-temperature': entry(
    IS,
    'Temperature of the water',
    IS516,
    twin(range('77', '84'), 'degF', range('25', '29'), 'degC'),
  ),

  'agency/slump.off': same(AGENCY, 'Slump finished after the final portion', commonPractice, max('300'), 's'),
  'is/plan.one': same(IS, 'One sample a day up to', standard('IS 456', '15.2.2'), max('5'), 'm3'),
  'is/plan.two': same(IS, 'Two samples a day up to', standard('IS 456', '15.2.2'), max('15'), 'm3'),
  'is/plan.three': same(IS, 'Three samples a day up to', standard('IS 456', '15.2.2'), max('30'), 'm3'),
  'is/plan.four': same(IS, 'Four samples a day up to', standard('IS 456', '15.2.2'), max('50'), 'm3'),
  'is/plan.further': same(
    IS,
    'One more sample for each further',
    standard('IS 456', '15.2.2'),
    max('50'),
    'm3',
  ),
  'en/plan.first-volume': same(
    EN,
    'Volume the first samples are taken from',
    standard('EN 206'),
    max('50'),
    'm3',
  ),
  'en/plan.first': same(EN, 'Samples in that volume', standard('EN 206'), min('3'), 'one'),
  'en/plan.initial': same(
    EN,
    'Results until which production counts as initial',
    standard('EN 206'),
    min('35'),
    'one',
  ),
  'en/plan.certified': same(
    EN,
    'One sample for each, initial, certified',
    standard('EN 206'),
    max('200'),
    'm3',
  ),
  'en/plan.certified-later': same(
    EN,
    'One sample for each, continuous, certified',
    standard('EN 206'),
    max('400'),
    'm3',
  ),
  'en/plan.other': same(EN, 'One sample for each, not certified', standard('EN 206'), max('150'), 'm3'),
} as const satisfies Record<string, LimitEntry>;
