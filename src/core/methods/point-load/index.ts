import { ROCK_FORMS } from '../../materials/rock/forms';
import { standard } from '../../working';
import type { Method } from '../contract';
import { exampleInput } from '../example';
import { asked, type FactSource } from '../facts';
import { fieldsOf } from '../fields';
import { limitsOf } from '../setup';
import { compute } from './compute';
import { expectedItems } from './expected';
import { derives, PIECE } from './group';
import { PointLoadInput } from './input';
import { LIMITS } from './limits';

const HAZARD =
  'Rock splits with violence and throws chips: guard shut, eyes and face shielded, nobody in line. Fingers away from the points while pumping. Never feel for a leak of the hydraulics with a hand. The frame’s manual, site rules and local codes come first.';

/** What the newest approved factor of the site says, of all lots of the same rock. */
function siteFact(take: string): FactSource {
  return { of: 'specification', take, by: ['site-factor'], is: 'text', unrounded: true };
}

/** Rock split between two points. */
export const pointLoad: Method<PointLoadInput> = {
  id: 'point-load',
  title: 'Point load',
  designations: [standard('ASTM D5731'), standard('ISRM suggested method, point load strength, 1985')],
  runOn: 'specimen',
  forms: ROCK_FORMS,
  facts: {
    direction: { of: 'sample', take: 'direction', is: 'text' },
    weathering: { of: 'lot', take: 'weathering', is: 'text' },
    expectedStrength: asked('expectedStrength', { dimension: 'stress' }),
    factor: asked('factor', 'ratio'),
  },
  columns: [
    { heading: 'Laid', of: ['type'] },
    { heading: 'D', of: ['separation'] },
    { heading: 'W', of: ['=W', 'width1'], first: true },
    { heading: 'P', of: ['=P', 'load'], first: true },
    { heading: 'De', of: ['=De'] },
    { heading: 'F', of: ['=F'] },
    { heading: 'Is', of: ['=Is'] },
    { heading: 'How it broke', of: ['fracture'] },
  ],
  yields: [
    { quantity: 'point load strength index', symbol: 'Is50' },
    { quantity: 'uncorrected index', symbol: 'Is' },
    { quantity: PIECE.diameter, symbol: 'De' },
    { quantity: PIECE.load, symbol: 'P' },
  ],
  Input: PointLoadInput,
  steps: [
    {
      id: 'piece',
      title: 'Piece and test',
      phase: 'before',
      instruction:
        'Look for joints, veins and cracks; choose how it lies between the points, mark both and the load line. Taking its smallest size between the points is never too tall.',
      fields: ['frame', 'calliper', 'safe', 'type', 'cracked'],
    },
    {
      id: 'measure',
      title: 'Measure',
      phase: 'before',
      instruction:
        'Turn it about the load line to where the section through the points is narrowest and measure there; then from the load line to the nearest free end.',
      fields: ['depth', 'width1', 'width2', 'width3', 'freeEnd', 'length'],
    },
    {
      id: 'seat',
      title: 'Seat and zero',
      phase: 'before',
      instruction:
        'Close the points until they just grip, read the depth on the frame, set the indicator to zero and its peak back.',
      fields: ['crushLoad', 'separation', 'zeroed', 'seatLoad', 'stroke'],
      caution: HAZARD,
    },
    {
      id: 'load',
      title: 'Load',
      phase: 'test',
      instruction: 'Steadily, without jerks: it shall fail within 10 to 60 s. Read the peak that is held.',
      fields: ['load', 'pressure', 'ramArea', 'time', 'testedAt'],
      caution: HAZARD,
    },
    {
      id: 'pieces',
      title: 'Look at the pieces',
      phase: 'after',
      instruction:
        'Fit them together: both points must lie in the crack. Keep fragments for the water content.',
      fields: ['fracture', 'dugIn', 'depthAtFailure', 'remarks'],
      caution: 'Dust of rock holds silica: no dry brushing or sawing without a respirator by local rule.',
    },
  ],
  performedAt: 'testedAt',
  set: {
    word: 'Mean index of the group',
    quantity: 'point load strength index',
    by: [],
    // ASTM D5731 (from memory): of ten and more the two highest and the two lowest go, of fewer one each.
    combine: 'trimmed mean',
    step: 'point.step',
    trim: { one: 'point.trim-one', two: 'point.trim-two' },
    criteria: ['rock-index-mean', 'rock-index-least', 'rock-estimate'],
    facts: {
      law: asked('law', 'text'),
      factorFrom: asked('factorFrom', 'text'),
      moisture: { of: 'lot', take: 'moisture', is: 'text' },
      weathering: { of: 'lot', take: 'weathering', is: 'text' },
      siteFactor: siteFact('site factor'),
      siteScatter: siteFact('scatter'),
      siteSquares: siteFact('sum of squares'),
      sitePairs: siteFact('pairs'),
      siteLeast: siteFact('least index'),
      siteMost: siteFact('greatest index'),
      'site-moisture': siteFact('input.moisture'),
      'site-weathering': siteFact('input.weathering'),
    },
    follows: ['estimated strength'],
    derives,
    derivedBy: LIMITS,
  },
  // Loads that pieces of rock split at, kN. Our choice.
  handPumped: { frame: 'frame', bears: (_, share) => ({ splits: 5 + 11 * share }) },
  looksFirst: 'fracture',
  plan: (system, setup) => {
    const limits = limitsOf(setup);
    return [
      ...expectedItems(system, setup, limits),
      { label: 'Between the points', text: limits.of('point.depth', system).text },
      { label: 'Depth over width', text: limits.of('point.depth-width', system).text },
      { label: 'To failure', text: limits.of('point.time', system).text },
    ];
  },
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(PointLoadInput), system), system },
    setup: {
      zone: 'America/New_York',
      equipment: [
        {
          number: 'POINT-1',
          kind: 'point load frame',
          verifiedOn: '2031-02-03',
          verifiedFrom: system === 'US' ? '200 lbf' : '1 kN',
          verifiedTo: system === 'US' ? '12,000 lbf' : '55 kN',
        },
        { number: 'CALLIPER-1', kind: 'calliper', verifiedOn: '2031-02-03' },
      ],
    },
  }),
};
