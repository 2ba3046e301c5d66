import { standard } from '../../working';
import type { Method, Step } from '../contract';
import { exampleInput } from '../example';
import { specified } from '../facts';
import { fieldsOf } from '../fields';
import { initialRange } from '../initial-curing/compute';
import { limitRows } from '../limit-rows';
import { limitsOf } from '../setup';
import { compute, DIFFERENCE, HIGHEST, RISE } from './compute';
import { exampleSetup } from './example';
import { TemperatureRecordInput } from './input';

/** Order of work: ASTM C1074 and ACI 301 (from memory), in our own words. */
const STEPS: readonly Step[] = [
  {
    id: 'before',
    title: 'Check sensors and clocks',
    phase: 'before',
    instruction:
      'Each sensor in ice water, in the room and warm, beside a reference. Name sensor, specimen and place; photograph logger and phone together. Start it a quarter of an hour before the concrete comes.',
    fields: ['purpose', 'logger', 'otherLogger', 'sensors'],
    caution:
      'Loggers on the mains beside wet concrete: only behind a residual current device, plugs off the floor and dry. Lithium cells are not crushed, soaked or charged wet.',
  },
  {
    id: 'place',
    title: 'Place',
    phase: 'before',
    instruction:
      'In a beam at mid-depth outside of the middle third, the cable out through the end, never on the tension face. In a member where it is coldest and where it carries most, away from bars and forms.',
    fields: ['where', 'placedAt', 'thickness', 'cement'],
    caution:
      'Fresh concrete burns: gloves, boots, eye protection. Mass pours can be confined spaces: local rules and a watch outside.',
  },
  {
    id: 'read',
    title: 'Read it out',
    phase: 'test',
    instruction:
      'Photograph the clocks again, then take the file. Columns, order of dates and scale are confirmed before it is kept, whole.',
    fields: ['record', 'second', 'aheadAtStart', 'aheadAtEnd', 'lookedAt', 'readAt', 'remarks'],
    caution: 'Hot concrete burns above 60 °C [140 °F]. Take the power away before a cable is cut.',
  },
];

/** Temperatures over time of concrete, of a box or of curing places, by one logger or two. */
export const temperatureRecord: Method<TemperatureRecordInput> = {
  id: 'temperature-record',
  title: 'Temperature record',
  designations: [standard('ASTM C1074'), standard('ACI 301')],
  runOn: 'lot',
  again: 'freely',
  begin: 'Record temperatures',
  facts: { specifiedStrength: specified('specifiedStrength') },
  yields: [
    { quantity: HIGHEST, symbol: 'Tm', named: true },
    { quantity: RISE, symbol: 'dTp' },
    { quantity: DIFFERENCE, symbol: 'D' },
    { quantity: 'clock of the second record ahead', symbol: 'ta' },
    { quantity: 'second reads higher by', symbol: 'b' },
  ],
  Input: TemperatureRecordInput,
  steps: STEPS,
  performedAt: 'readAt',
  sequence: [['placedAt', 'readAt']],
  plan: (system, setup) => {
    const limits = limitsOf(setup);
    const rows = limitRows(
      ['record.interval-early', 'record.interval-late', 'record.accuracy', 'mass.highest', 'mass.difference'],
      system,
      setup,
    );
    return [...rows, { label: 'A curing box', text: initialRange(setup, limits, system).text }];
  },
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(TemperatureRecordInput), system), system },
    setup: exampleSetup(),
  }),
};
