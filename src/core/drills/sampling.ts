import { acceptanceSetup, choose, press, read } from './steps';
import type { Drill, DrillScript, DrillWorld } from './types';

/** Sampling from a truck with a chute. */
export const samplingDrill: Drill = {
  id: 'sampling',
  title: 'Sampling from the truck',
  method: 'sampling',
  faults: ['first-portion', 'before-water'],
  script,
};

function script(world: DrillWorld): DrillScript {
  const { system, fault } = world;
  const us = system === 'US';
  const load = us ? 9 : 7;
  const unit = us ? 'yd³' : 'm³';
  const early = fault === 'first-portion';
  const wet = fault === 'before-water';
  const first = early ? (load * 0.03).toFixed(1) : (load * world.between(0.2, 0.35)).toFixed(1);
  const last = (load * world.between(0.55, 0.75)).toFixed(1);
  return {
    fault,
    suspects: ['none', 'first-portion', 'before-water', 'shear'],
    given: {
      kind: 'acceptance',
      source: 'chute',
      loadVolume: String(load),
      specimens: 'yes',
      allIn: 'true',
      wholeStream: 'true',
      portions: '2',
    },
    setup: acceptanceSetup({}),
    steps: [
      choose(
        'water',
        'All water and admixture in, and mixed, before the sample',
        'The driver says: “They may want a bit more water yet.”',
        ['Wait until it is in and the drum has turned', 'A sample from before an addition is void.'],
        ['Sample now, note the water later', 'The sample does not stand for what is placed.'],
      ),
      choose(
        'middle',
        'From the middle of the load, two portions or more',
        'The chute swings over. When do you take the portions?',
        [
          'Two or more, well apart, in the middle of the discharge',
          'The ends of a load are not like the rest.',
        ],
        ['One good barrow, once it runs well', 'One portion is a grab, not a composite.'],
        ['The first and the last of it, so that both ends are in', 'The ends are just what is left out.'],
      ),
      press(
        'firstPortionAt',
        'First portion',
        'First portion stamped',
        early
          ? `The first concrete drops off the chute and the bucket is in it. Discharged so far: ${first} ${unit} of ${load}.`
          : `The discharge is well under way: ${first} ${unit} of ${load} are out.`,
        20,
        { starred: false },
      ),
      choose(
        'stream',
        'Whole stream, by a full pass or by diverting it',
        'How do you take a portion?',
        ['Pass the bucket through the whole stream', 'The edges of the stream differ from its middle.'],
        ['Hold it under the edge, where it splashes less', 'The edge carries the stones that roll.'],
        ['Have the gate throttled to a thin stream', 'A throttled gate holds the stones back.'],
      ),
      read(
        'out',
        'Places in the load recorded',
        `First portion at ${first} ${unit}, last at ${last} ${unit} out of ${load}.`,
        { outAtFirst: first, outAtLast: last },
        0.05,
      ),
      press(
        'finalPortionAt',
        'Final portion',
        'First to last within fifteen minutes',
        'The last portion falls into the barrow.',
        420,
        { fails: ['sampling.composite'] },
      ),
      ...(wet
        ? [
            choose(
              'after',
              'No water after the sample',
              'As you push the barrow away the driver opens the water: “two more gallons for the crew”.',
              [
                'Say that this sample is void and take a new one after mixing',
                'What is placed now is another concrete.',
              ],
              ['Go on: the water came after', 'The specimens would stand for concrete that nobody places.'],
              ['Note the water beside the result', 'A note does not put the water into the specimens.'],
            ),
          ]
        : []),
      choose(
        'remix',
        'Combined and remixed with the shovel, protected',
        'Both portions lie in the barrow, the sun is on it.',
        [
          'Turn it until it is one, then cover it',
          'Uniform before anything is taken out; shaded from then on.',
        ],
        ['Fill the slump mould from the top at once', 'The top is the last portion only.'],
        ['Add a cup of water to make up for the sun', 'Nothing is ever added.'],
      ),
      press('compositeAt', 'Composite remixed', 'Composite stamped', 'One colour, one texture.', 60, {
        starred: false,
      }),
      read(
        'size',
        'Enough for the specimens',
        `The barrow holds ${us ? '1.5 ft³' : '42 L'}; strength specimens are made of it.`,
        { size: us ? '1.5' : '42' },
        us ? 0.1 : 1,
      ),
    ],
    decision:
      early || wet
        ? {
            right: 'resample',
            why: early
              ? 'Concrete from the very start of a load is not like the rest: the composite is void.'
              : 'Water went in after the sample: it no longer stands for the load.',
          }
        : {
            right: 'report',
            why: 'Two portions from the middle, whole stream, in time, remixed: a valid composite.',
          },
  };
}
