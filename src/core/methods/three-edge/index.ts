import { classOf } from '../../pipe/product';
import { convert, type Exact, exact } from '../../quantity';
import { standard } from '../../working';
import type { Method } from '../contract';
import { exampleInput } from '../example';
import { fieldsOf } from '../fields';
import { PRODUCT_FACTS } from '../pipe/said';
import { limitsOf } from '../setup';
import { draws } from './barrel';
import { CRACK, compute, FOOT, FOOT_CRACK, KNOWN, MOST } from './compute';
import { ThreeEdgeInput } from './input';
import { loadsOf } from './loads';
import { plan } from './plan';

const UNDER_LOAD =
  'A pipe collapses without warning and throws concrete and steel: cage or shield, a line nobody crosses, one person at the pump. Nobody puts head, arm or body into a loaded pipe: look from its ends with lamp and camera, or by the plant’s own written procedure with the load off.';

/** A pipe between three edges. Order of work: ASTM C497 (from memory), in our own words. */
export const threeEdge: Method<ThreeEdgeInput> = {
  id: 'three-edge',
  title: 'Three-edge bearing',
  designations: [standard('ASTM C497/C497M')],
  runOn: 'specimen',
  forms: ['pipe'],
  facts: {
    ...PRODUCT_FACTS,
    cage: { of: 'sample', take: 'cage', is: 'text' },
    mark: { of: 'sample', take: 'mark', is: 'text' },
    retestOf: { of: 'sample', take: 'retestOf', is: 'text' },
    hairlines: {
      ...{ of: 'specification', take: 'input.hairline', by: ['three-edge'], is: 'texts' },
      which: 'several',
    },
  },
  yields: [
    { quantity: CRACK, symbol: 'Dc', named: true },
    { quantity: MOST, symbol: 'Dm', named: true, instead: true },
    { quantity: FOOT_CRACK, symbol: 'wc', named: true, instead: true },
    { quantity: FOOT, symbol: 'w', named: true, instead: true },
  ],
  Input: ThreeEdgeInput,
  steps: [
    {
      id: 'pipe',
      title: 'The pipe and its marks',
      phase: 'before',
      instruction:
        'Compare size, class, wall and mark with its specification; photograph the marks. Find the top of an elliptical cage. Grind fins off the lines it will bear on; chalk what cracks there are.',
      fields: ['purpose', 'turned', 'holes', 'cracked', 'surface'],
      caution:
        'A round pipe rolls: chock it before the sling is off. Lift with rated gear only, nobody under it.',
    },
    {
      id: 'sizes',
      title: 'Measure it',
      phase: 'before',
      instruction:
        'Inside diameter both ways, the wall at four places, the length on two opposite sides. They say whether it is the pipe it claims to be; the loads take the designated diameter and the length of its joint.',
      fields: ['bore1', 'bore2', 'walls', 'side1', 'side2'],
    },
    {
      id: 'strips',
      title: 'Set the lower strips',
      phase: 'before',
      instruction:
        'Parallel on one board, their inner edges round. Clear spacing at both ends and in the middle, by the inside diameter. Rubber: hardness at three places.',
      fields: [
        'strips',
        'apart1',
        'apart2',
        'apart3',
        'hardness1',
        'hardness2',
        'hardness3',
        'boards',
        'straight',
      ],
      caution: 'Hands never between strip and pipe.',
    },
    {
      id: 'beam',
      title: 'Pipe and upper beam on their line',
      phase: 'before',
      instruction:
        'The bell clear of the strips, the pipe level. Mark the middle between the strips on each end and the points opposite on top; the beam on that line, as long as the barrel.',
      fields: ['beam', 'beamOf', 'beamWide', 'beamHigh', 'off1', 'off2', 'machine', 'leaf', 'weighs'],
      caution: 'Beam and pipe are lifted by rated gear; no hand between them.',
    },
    {
      id: 'load',
      title: 'Load to the design load',
      phase: 'test',
      instruction:
        'Zero, clear people, take up the slack. The first rate up to three quarters, then no faster than the second, evenly, and look for the crack all the way. At the design load hold it.',
      fields: ['clear', 'log', 'trace', 'hairline'],
      caution: `${UNDER_LOAD} Hoses whip, oil goes through skin: never past the rating of the ram.`,
    },
    {
      id: 'crack',
      title: 'Is it the crack?',
      phase: 'test',
      instruction:
        'Along the widest crack, the leaf without force, no more than 3 in [75 mm] from one place to the next, over a foot [300 mm] along the pipe. The picture says where to probe on. Pump up again what sinks. Go up in small steps until it is the crack.',
      fields: ['probes', 'whole', 'sound', 'soundPressure', 'held', 'sank', 'opened', 'openedPressure'],
      caution: UNDER_LOAD,
    },
    {
      id: 'end',
      title: 'To its end, or unload',
      phase: 'test',
      instruction:
        'Past the crack keep the load rising evenly until it takes no more: the gauge falls by a tenth and stays down. Or stop where the purpose stops, and unload.',
      fields: ['most', 'mostPressure', 'ended', 'testedAt'],
      caution: `${UNDER_LOAD} Wait until it is unloaded.`,
    },
    {
      id: 'after',
      title: 'Look at it',
      phase: 'after',
      instruction:
        'Sketch and photograph the cracks, crown against invert, end against end. A pipe that failed is tested by others, never again itself.',
      fields: ['alike', 'witness', 'remarks'],
      caution: 'Broken concrete on bent steel springs: gloves, glasses, dust kept down.',
    },
  ],
  performedAt: 'testedAt',
  // A sound pipe of its class: the crack a little above what is asked, its end up to a quarter above. Our choice.
  handPumped: {
    frame: 'machine',
    bears: (input, share, setup) => {
      const us = input.system === 'US';
      const loads = loadsOf(setup, limitsOf(setup), input.system);
      const inKn = (load: Exact): number => (us ? convert(load, 'lbf', 'kN') : load).toNumber();
      const ultimate = loads?.ultimate ?? loads?.design?.times('1.5') ?? exact(us ? 50_000 : 220);
      const design = loads?.design ?? ultimate.div('1.5');
      const long = loads ? convert(loads.overall, us ? 'ft' : 'm', 'mm').toNumber() : 2400;
      return {
        splits: inKn(ultimate) * (1.04 + 0.2 * share),
        opens: inKn(design) * (1.03 + 0.12 * share),
        crackAt: Math.round(long * (0.35 + 0.3 * share)),
      };
    },
  },
  set: {
    word: 'Pipe',
    quantity: CRACK,
    by: [],
    combine: 'each alone',
    step: 'teb.step',
    criteria: ['pipe-crack', 'pipe-most', 'pipe-foot-crack', 'pipe-foot'],
    // A lot that is judged together takes what is known, and no bound.
    derives: (_, { pieces: [pipe] }) => {
      const load = pipe?.bound ? undefined : pipe?.quantities[CRACK];
      return { values: Object.fromEntries(load ? [[KNOWN, load]] : []), said: [], lines: [], remarks: [] };
    },
    asAsked: (said) => {
      const own = classOf({ said });
      const quantity = own?.metre ? FOOT_CRACK : own?.plain === undefined ? undefined : FOOT;
      return quantity ? { quantity, step: 'teb.step-foot' } : {};
    },
  },
  columns: [
    { heading: 'Mark', of: ['~mark'] },
    { heading: 'Tested for', of: ['purpose'] },
    { heading: 'Strips apart', of: ['apart1', 'apart2', 'apart3'] },
    { heading: 'Design load', of: ['=Ps'] },
    { heading: 'Fastest', of: ['=q1', '=q2'] },
    { heading: 'Hairline', of: ['hairline'] },
    { heading: 'Last without the crack', of: ['=P0'] },
    { heading: 'First with it', of: ['=P1'] },
    { heading: 'Over', of: ['=Lc'] },
    { heading: 'Greatest', of: ['=Pm'] },
    { heading: 'Ultimate D-load', of: ['*Dm'] },
    { heading: 'It ended', of: ['ended'] },
  ],
  notClaimed: [
    'A 0.01 in crack in this test is a measure of load, not damage in service.',
    'The result is of this pipe; what it says of the others of its year is for the plant and the owner.',
  ],
  plan,
  compute,
  draws,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(ThreeEdgeInput), system), system },
    setup: {
      zone: 'America/New_York',
      specimen: { label: 'EXAMPLE-P1', form: 'pipe', since: '2031-09-02T07:00:00-04:00' },
      equipment: [
        {
          number: 'PIPE-1',
          kind: 'pipe press',
          verifiedOn: '2031-02-11',
          verifiedTo: '900 kN',
          machine: { capacity: system === 'US' ? '200,000 lbf' : '900 kN' },
        },
        { number: 'LEAF-1', kind: 'crack gauge', verifiedOn: '2031-03-01' },
      ],
      facts:
        system === 'US'
          ? {
              ...{ design: 'c76-III', span: '36 in', wallLetter: 'B' },
              ...{ joint: 'tongue', overall: '8.25 ft', jointDepth: '3.5 in' },
              cage: 'elliptical',
            }
          : {
              ...{ design: 'c76-III', span: '900 mm', wall: '102 mm' },
              ...{ joint: 'tongue', overall: '2.515 m', jointDepth: '90 mm' },
              cage: 'elliptical',
            },
    },
  }),
};
