import { standard } from '../../working';
import type { Method } from '../contract';
import { exampleInput } from '../example';
import { asked } from '../facts';
import { fieldsOf } from '../fields';
import { limitRows } from '../limit-rows';
import { FLOOR_IDS } from '../slab/floors';
import { CONDITION_IDS, EDITION_IDS, sealedRow } from '../slab/reading';
import { compute, HOLES, HUMIDITY } from './compute';
import { SlabHumidityInput } from './input';
import { waits } from './next-visit';

/** One visit to a hole for humidity. Order of work: ASTM F2170 (from memory), in our own words. */
export const slabHumidity: Method<SlabHumidityInput> = {
  id: 'slab-humidity',
  title: 'Humidity in the slab',
  designations: [standard('ASTM F2170')],
  runOn: 'specimen',
  onSite: true,
  forms: ['slab-hole'],
  spends: false,
  tests: true,
  again: 'freely',
  facts: {
    sealedAt: { of: 'specimen', take: 'input.sealedAt', by: ['slab-hole'], is: 'instant' },
    sensor: { of: 'specimen', take: 'input.serial', by: ['slab-hole'], is: 'text' },
    hole: { of: 'specimen', take: 'picture.lies', by: ['slab-hole'], is: { options: HOLES } },
    earlier: { of: 'specimen', take: 'picture.visit', by: ['slab-humidity'], which: 'earlier', is: 'texts' },
    lastRead: { of: 'specimen', take: 'input.readAt', by: ['slab-humidity'], is: 'instant', waitsOnly: true },
    airSince: { of: 'lot', take: 'picture.since', by: ['service-record'], is: 'instant' },
    airUntil: { of: 'lot', take: 'picture.until', by: ['service-record'], is: 'instant' },
    dryingFrom: { of: 'sample', take: 'dryingFrom', is: 'instant' },
    humidityMost: asked('humidityMost', { dimension: 'percent' }),
    floor: asked('floor', { options: FLOOR_IDS }),
    edition: asked('edition', { options: EDITION_IDS }),
    conditions: asked('conditions', { options: CONDITION_IDS }),
    uncertainty: asked('uncertainty', { dimension: 'percent' }),
  },
  awaits: { lane: 'slab', facts: { sealedAt: 'the hole, drilled and sealed' } },
  yields: [{ quantity: HUMIDITY, symbol: 'RH' }],
  Input: SlabHumidityInput,
  steps: [
    {
      id: 'before',
      title: 'Before it counts',
      phase: 'before',
      instruction:
        'Slab and air as the finished building has them for 48 h before, and since. Cap on, nothing loose.',
      fields: ['service', 'capped'],
    },
    {
      id: 'probe',
      title: 'What it is read with',
      phase: 'before',
      instruction:
        'A probe with its certificate of this year and its check over a salt of this month; or a sensor that stays, with the certificate of its pack.',
      fields: ['probe', 'pack', 'salt', 'saltTemperature', 'saltShown', 'saltAt'],
      caution: 'Salts and their solutions: gloves, and nothing of them into the hole.',
    },
    {
      id: 'read',
      title: 'Read',
      phase: 'test',
      instruction:
        'Probe and concrete at one temperature. Read it, wait five minutes, read it again; the air beside it within a quarter of an hour.',
      fields: [
        'slabTemperature',
        'probeTemperature',
        'humidityFirst',
        'humidity',
        'airTemperature',
        'airHumidity',
        'readAt',
      ],
    },
    {
      id: 'note',
      title: 'What else there is',
      phase: 'after',
      instruction: 'What may explain it. Cap back on.',
      fields: ['nextVisit', 'remarks'],
    },
  ],
  performedAt: 'readAt',
  waits,
  set: {
    word: 'Humidity holes',
    quantity: HUMIDITY,
    by: [],
    combine: 'each alone',
    step: 'slab.humidity-step',
    criteria: ['slab-humidity'],
  },
  columns: [
    { heading: 'Slab at', of: ['slabTemperature'] },
    { heading: 'Air at', of: ['airTemperature'] },
    { heading: 'Its humidity', of: ['airHumidity'] },
    { heading: 'Probe', of: ['probe'] },
    { heading: 'Pack', of: ['pack'] },
    { heading: 'Sensor', of: ['~sensor'] },
  ],
  notClaimed: [
    'Each reading is of its own place, depth and hour. What lies between the points was not measured.',
    'Humidity in the slab, emission from its surface and moisture content are not converted into one another.',
    'When a floor may be dry is a forecast and releases nothing: a reading does.',
  ],
  plan(system, setup) {
    return limitRows([sealedRow(setup), 'slab.drift', 'slab.apart', 'slab.salt'], system, setup);
  },
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(SlabHumidityInput), system), system, capped: true },
    setup: {
      zone: 'America/New_York',
      specimen: { label: 'EXAMPLE-H1', form: 'slab-hole', since: '2031-03-01T09:00:00-05:00' },
      equipment: [{ number: 'PROBE-1', kind: 'humidity probe', verifiedOn: '2030-11-12' }],
      facts: {
        sealedAt: '2031-03-02T10:20:00-05:00',
        hole: 'right',
        humidityMost: '85 percent',
        floor: 'resilient',
      },
    },
  }),
};
