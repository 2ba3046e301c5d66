import { COUNTS } from '../../pipe/absorption';
import { standard } from '../../working';
import type { Method, Step } from '../contract';
import { exampleInput } from '../example';
import { asked } from '../facts';
import { fieldsOf } from '../fields';
import { limitRows } from '../limit-rows';
import type { RunSetup } from '../setup';
import { ABSORPTION, compute, derives, isShort, waits } from './compute';
import { PipeAbsorptionInput } from './input';
import { LIMITS } from './limits';

const isLong = (setup: RunSetup): boolean => !isShort(setup);
const BOIL_CAUTION =
  'Boiling water and steam: face shield, tongs, long gloves. What may boil unattended says the laboratory’s own rule.';

const boil = (
  id: string,
  limit: 'pipe-water.boil-a' | 'pipe-water.boil-b',
  words: string,
  when: NonNullable<Step['when']>,
): Step => ({
  id,
  title: 'Boil',
  phase: 'test',
  instruction: `${words} from when it boils, without a break; the piece under water all the time.`,
  fields: ['offAt'],
  caution: BOIL_CAUTION,
  clock: {
    title: 'Boiling',
    from: 'boilingAt',
    to: 'offAt',
    limit,
    means: {
      severity: 'departure',
      needsReason: true,
      late: 'It boiled longer than it should: say so.',
      early: 'Boil on until the time is full.',
    },
    waits: { what: 'Turn the boil off', lane: 'tank' },
  },
  when,
});
const cool = (
  id: string,
  limit: 'pipe-water.cool-a' | 'pipe-water.cool-b',
  words: string,
  when: NonNullable<Step['when']>,
): Step => ({
  id,
  title: 'Let it cool',
  phase: 'test',
  instruction: words,
  fields: ['outAt'],
  clock: {
    title: 'Cooling',
    from: 'offAt',
    to: 'outAt',
    limit,
    means: {
      severity: 'departure',
      needsReason: true,
      late: 'It lay in the water longer: say so.',
      early: 'It is still cooling, and takes up water meanwhile: wait.',
    },
    waits: { what: 'Take the piece out of its water', lane: 'tank' },
  },
  when,
});

/** Absorption of a piece of the wall of a pipe. Order of work: ASTM C497 (from memory), in our own words. */
export const pipeAbsorption: Method<PipeAbsorptionInput> = {
  id: 'pipe-absorption',
  title: 'Absorption of the wall',
  designations: [standard('ASTM C497/C497M')],
  runOn: 'specimen',
  forms: ['pipe-wall'],
  facts: {
    absorptionBy: asked('absorptionBy', { options: ['a', 'b'] }),
    earlier: {
      ...{ of: 'specification', take: ABSORPTION, by: ['pipe-absorption'], is: 'texts' },
      which: 'several',
    },
  },
  yields: [{ quantity: ABSORPTION, symbol: 'Aw' }],
  Input: PipeAbsorptionInput,
  steps: [
    {
      id: 'piece',
      title: 'The piece',
      phase: 'before',
      instruction:
        'Of the whole wall, broken or cored out of the pipe that was loaded, or another of its lot. Mark it; photograph where it came from.',
      fields: ['piece', 'thickness'],
      caution: 'Hammering and sawing: glasses, gloves, silica dust kept down by the local rule.',
    },
    {
      id: 'dry',
      title: 'Dry it',
      phase: 'before',
      instruction:
        'In the oven by the thickness of its wall, a day to three. Cooled, weighed, back for six hours, weighed again: a loss of no more than 0.10 % ends it.',
      fields: ['balance', 'oven', 'temperature', 'hottest', 'inAt', 'weighings'],
      caution: 'Hot pieces and trays: gloves and tongs.',
    },
    {
      id: 'soak',
      title: 'Into the water',
      phase: 'test',
      instruction: 'Within a day after the oven, covered all round. Heat on.',
      fields: ['wetAt', 'water', 'heatAt'],
    },
    {
      id: 'heat',
      title: 'Bring it to the boil',
      phase: 'test',
      instruction: 'Not under an hour and not over two; no live steam in the first hour.',
      fields: ['steam', 'boilingAt'],
      caution: BOIL_CAUTION,
      clock: {
        title: 'Heating',
        from: 'heatAt',
        to: 'boilingAt',
        limit: 'pipe-water.heat',
        means: {
          severity: 'departure',
          needsReason: true,
          late: 'It took longer than the method means: dry it again and begin anew.',
          early: 'It boiled too soon: dry it again and begin anew.',
        },
      },
    },
    boil('boil', 'pipe-water.boil-a', 'Five hours', isLong),
    boil('boil-short', 'pipe-water.boil-b', 'Three hours', isShort),
    cool(
      'cool',
      'pipe-water.cool-a',
      'In its water, by itself, overnight: 14 to 24 h. No cold water, no ice.',
      isLong,
    ),
    cool('cool-short', 'pipe-water.cool-b', 'In running water, three hours.', isShort),
    {
      id: 'weigh',
      title: 'Drain, wipe, weigh',
      phase: 'test',
      instruction:
        'A minute on the open rack; then quickly a dry cloth that takes up water, all faces, and weigh at once.',
      fields: ['drained', 'wet', 'weighedAt', 'remarks'],
    },
  ],
  performedAt: 'weighedAt',
  sequence: [['inAt', 'wetAt', 'heatAt', 'boilingAt', 'offAt', 'outAt', 'weighedAt']],
  set: {
    word: 'Absorption of the pipe',
    quantity: ABSORPTION,
    by: [],
    combine: 'each alone',
    step: 'pipe-water.step',
    criteria: ['pipe-absorption'],
    follows: [COUNTS],
    derives,
    derivedBy: LIMITS,
  },
  columns: [
    { heading: 'Dry, g', of: ['=Wd'] },
    { heading: 'Wiped, g', of: ['wet'] },
    { heading: 'Boiling', of: ['boilingAt'] },
    { heading: 'Off', of: ['offAt'] },
    { heading: 'Out', of: ['outAt'] },
  ],
  plan: (system, setup) =>
    limitRows(
      isShort(setup)
        ? ['pipe-water.boil-b', 'pipe-water.cool-b', 'pipe-water.most-b', 'pipe-water.mass-b']
        : ['pipe-water.boil-a', 'pipe-water.cool-a', 'pipe-water.most-a', 'pipe-water.mass-a'],
      system,
      setup,
    ),
  waits,
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(PipeAbsorptionInput), system), system },
    setup: {
      zone: 'America/New_York',
      specimen: { label: 'EXAMPLE-W1', form: 'pipe-wall', since: '2031-09-02T07:00:00-04:00' },
      equipment: [
        { number: 'BALANCE-1', kind: 'balance', verifiedOn: '2031-02-03' },
        { number: 'OVEN-1', kind: 'oven', verifiedOn: '2031-02-03' },
      ],
      facts: { absorptionBy: 'a' },
    },
  }),
};
