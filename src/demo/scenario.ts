/** The invented scenario: a ferry terminal, its owner, a laboratory and its people. All of it is made up. */

export const DEMO_PASSWORD = 'quay-lantern-tide';

export const PEOPLE = [
  {
    key: 'field',
    name: 'Orla Finnick',
    email: 'orla@saltmarsh.example',
    role: 'field',
    title: 'Field technician',
  },
  {
    key: 'laboratory',
    name: 'Teodor Marsh',
    email: 'teodor@saltmarsh.example',
    role: 'laboratory',
    title: 'Laboratory technician',
  },
  {
    key: 'reviewer',
    name: 'Wren Castellow',
    email: 'wren@saltmarsh.example',
    role: 'reviewer',
    title: 'Engineer in responsible charge',
  },
  {
    key: 'manager',
    name: 'Isbet Dunmore',
    email: 'isbet@saltmarsh.example',
    role: 'manager',
    title: 'Laboratory manager',
  },
  {
    key: 'client',
    name: 'Harrow Vane',
    email: 'harrow@portmerrow.example',
    role: 'client',
    title: 'Trust engineer',
  },
] as const;

export type PersonKey = (typeof PEOPLE)[number]['key'];

export const JOB = {
  number: 'PMF',
  name: 'Port Merrow ferry terminal',
  owner: 'Port Merrow Harbour Trust',
  location: 'Quay 2, Port Merrow',
  zone: 'America/New_York',
  system: 'US',
} as const;

/** Each mix has its story: comfortable, marginal, or with one low test. */
export const MIXES = [
  {
    key: 'piers',
    code: 'PM-57',
    title: 'Pier caps and fender beams',
    specifiedStrength: '5,750 psi',
    slumpKind: 'target',
    slump: '5 1/2 in',
    temperatureMaximum: '92 °F',
    story: 'comfortable',
    mean: 6980,
    deviation: 270,
    elements: [
      'Pier cap 1',
      'Pier cap 2',
      'Pier cap 3',
      'Fender beam north',
      'Fender beam south',
      'Pier cap 4',
    ],
  },
  {
    key: 'apron',
    code: 'PM-45',
    title: 'Vehicle apron slab',
    specifiedStrength: '4,450 psi',
    slumpKind: 'target',
    slump: '4 1/2 in',
    temperatureMaximum: '92 °F',
    story: 'marginal',
    mean: 4620,
    deviation: 170,
    elements: ['Apron bay A', 'Apron bay B', 'Apron bay C', 'Apron bay D', 'Ramp slab', 'Apron bay E'],
  },
  {
    key: 'walls',
    code: 'PM-38',
    title: 'Hall footings and walls',
    specifiedStrength: '3,850 psi',
    slumpKind: 'maximum',
    slump: '5 in',
    temperatureMaximum: '94 °F',
    story: 'low',
    mean: 4560,
    deviation: 240,
    elements: [
      'Footing line 3',
      'Footing line 4',
      'Wall grid B',
      'Wall grid D',
      'Ticket hall footing',
      'Wall grid E',
    ],
  },
] as const;

export const EQUIPMENT = [
  {
    number: 'PR-01',
    kind: 'compression machine',
    name: 'Floor-standing press, digital indicator',
    place: 'Press room',
    monthsAgo: 5,
    from: '18,000 lbf',
    to: '380,000 lbf',
    certificate: 'SV-2207',
  },
  {
    number: 'PR-02',
    kind: 'compression machine',
    name: 'Older press, two-needle dial',
    place: 'Press room',
    monthsAgo: 14,
    from: '24,000 lbf',
    to: '240,000 lbf',
    certificate: 'SV-1986',
  },
  {
    number: 'CA-01',
    kind: 'calliper',
    name: 'Digital calliper, 12 in',
    place: 'Press room',
    monthsAgo: 3,
    certificate: 'CC-410',
  },
  {
    number: 'CA-02',
    kind: 'calliper',
    name: 'Dial calliper, 12 in',
    place: 'Van',
    monthsAgo: 7,
    certificate: 'CC-388',
  },
  {
    number: 'SC-01',
    kind: 'slump mould',
    name: 'Slump mould and base',
    place: 'Van',
    monthsAgo: 4,
    certificate: '',
  },
  {
    number: 'SC-02',
    kind: 'slump mould',
    name: 'Slump mould, spare',
    place: 'Store',
    monthsAgo: 13,
    certificate: '',
  },
  {
    number: 'TH-01',
    kind: 'thermometer',
    name: 'Digital probe thermometer',
    place: 'Van',
    monthsAgo: 2,
    certificate: 'TC-77',
  },
  {
    number: 'TH-02',
    kind: 'thermometer',
    name: 'Dial thermometer',
    place: 'Store',
    monthsAgo: 11.5,
    certificate: 'TC-61',
  },
] as const;
