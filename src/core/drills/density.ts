import { acceptanceSetup, choose, press, read } from './steps';
import type { Drill, DrillScript, DrillWorld } from './types';

/** Density: tare, layers, plate, mass. */
export const densityDrill: Drill = {
  id: 'density',
  title: 'Density',
  method: 'density-yield',
  faults: ['rod-strike'],
  script,
};

function script(world: DrillWorld): DrillScript {
  const { system, fault } = world;
  const us = system === 'US';
  const volume = us ? 0.249 : 7.05;
  const empty = us ? '8.2' : '3.70';
  const density = us ? world.between(140, 150) : world.between(2240, 2400);
  const net = us ? density * volume : (density * volume) / 1000;
  const full = (Number(empty) + net).toFixed(us ? 1 : 2);
  const mass = us ? 'lb' : 'kg';
  const rod = fault === 'rod-strike';
  return {
    fault,
    suspects: ['none', 'rod-strike', 'fast-lift', 'stuck'],
    given: {
      consolidation: 'rod',
      measureVolume: String(volume),
      nominalVolume: us ? '0.25' : '7',
      plate: rod ? 'false' : 'true',
    },
    setup: acceptanceSetup(
      { sampledAt: new Date(world.startedAt).toISOString() },
      { measuredSlump: us ? '4 in' : '100 mm' },
    ),
    steps: [
      choose(
        'tare',
        'Tared clean and damp',
        'The measure comes dry from the van.',
        ['Dampen it, wipe off free water, weigh it so', 'It will be damp when it is full.'],
        ['Weigh it dry: it is lighter and cleaner', 'The water that wets it would count as concrete.'],
      ),
      read(
        'empty',
        'Tare read',
        `The balance shows ${empty} ${mass}.`,
        { emptyMass: empty },
        us ? 0.05 : 0.02,
      ),
      choose(
        'layers',
        'Three layers, twenty-five strokes each',
        us ? 'A measure of a quarter cubic foot, slump 4 in.' : 'A measure of 7 L, slump 100 mm.',
        ['Three equal layers, twenty-five strokes each', 'So it is asked for measures of this size.'],
        ['Two layers, it is quicker', 'Two layers belong to vibrating.'],
        ['Three layers, strokes until it looks closed', 'The count is the rule; the eye is not.'],
      ),
      read(
        'counts',
        'Strokes and taps counted',
        'The helper counts: strokes twenty-five each layer; taps twelve, eleven, thirteen.',
        { strokes: '25 25 25', taps: '12 11 13' },
      ),
      choose(
        'plate',
        'Struck off with the flat plate',
        rod
          ? 'Before you reach for the plate a helper has drawn the tamping rod across the rim and smoothed the dish with a trowel.'
          : 'The measure stands an eighth of an inch over full.',
        rod
          ? [
              'Say that it is not struck off: it needs the plate',
              'The rod leaves a dish; the volume is short.',
            ]
          : [
              'Plate over two thirds, saw back, over the same again, push on',
              'The plate leaves the full volume.',
            ],
        rod
          ? ['Weigh it: it looks flat', 'The dish is short of concrete and reads light.']
          : ['Roll the rod over it', 'The rod leaves a dish.'],
        ['Scrape it with a float from the middle outwards', 'That drags stones out.'],
      ),
      choose(
        'clean',
        'Outside wiped clean before it is weighed',
        'Mortar runs down the side.',
        ['Wipe it off, the rim too', 'It is not inside the volume.'],
        ['Leave it: it came out of the measure', 'It weighs, and it is outside the volume.'],
      ),
      read(
        'full',
        'Full mass read',
        `The balance shows ${full} ${mass}.`,
        { fullMass: full },
        us ? 0.05 : 0.02,
      ),
      press('weighedAt', 'Density weighed', 'Stamped', 'The mass is written down.', 200, { starred: false }),
    ],
    decision: rod
      ? {
          right: 'redo',
          why: 'Without the plate the volume is not known. Again, with concrete that has not been used.',
        }
      : { right: 'report', why: 'The mass stands for a known volume.' },
  };
}
