import { acceptanceSetup, choose, press, read, seen } from './steps';
import type { Drill, DrillScript, DrillStep, DrillWorld } from './types';

/** Cylinders: rod, layers, finish, marks, rest. */
export const cylinderDrill: Drill = {
  id: 'cylinders',
  title: 'Making cylinders',
  method: 'moulding',
  faults: ['wrong-rod', 'domed-top'],
  script: (world) => script(world, 'cylinders'),
};

/** Beams: strokes by area, spading. */
export const beamDrill: Drill = {
  id: 'beams',
  title: 'Making beams',
  method: 'moulding',
  faults: ['domed-top'],
  script: (world) => script(world, 'beams'),
};

function script(world: DrillWorld, what: 'cylinders' | 'beams'): DrillScript {
  const { system, fault } = world;
  const us = system === 'US';
  const beams = what === 'beams';
  const wrong = fault === 'wrong-rod';
  const domed = fault === 'domed-top';
  const mould = beams ? (us ? 'beam-6x6x20' : 'beam-150x150x530') : us ? '4x8' : '100x200';
  const count = beams ? 2 : 3;
  const strokes = beams ? (us ? '60' : '57') : '25';
  const counted = Array.from({ length: count * 2 }, () => strokes).join(' ');
  const taps = Array.from({ length: count * 2 }, () => '12').join(' ');
  const rodStep: DrillStep = beams
    ? choose(
        'rod',
        'Right rod for the mould',
        'Rods of 3/8 in and of 5/8 in lie in the box.',
        ['5/8 in [16 mm]', 'For beams of this width.'],
        ['3/8 in [10 mm]', 'Too thin for this width.'],
      )
    : wrong
      ? seen(
          'rod',
          'Only the 5/8 in [16 mm] rod of the slump kit is within reach; a helper has already rodded the first layer of every mould with it.',
          {},
          { rod: 'large' },
        )
      : choose(
          'rod',
          'Right rod for the mould',
          us
            ? 'Moulds of 4 by 8 in; rods of 3/8 in and of 5/8 in in the box.'
            : 'Moulds of 100 by 200 mm; rods of 10 mm and 16 mm in the box.',
          ['The thin one', 'For moulds under 6 in [150 mm].'],
          ['The thick one: it compacts better', 'It drives too much mortar aside in a small mould.'],
        );
  return {
    fault,
    suspects: ['none', 'wrong-rod', 'domed-top', 'first-portion', 'moved-early'],
    given: {
      mould,
      consolidation: 'rod',
      mouldState: 'good',
      ...(wrong ? {} : { rod: beams ? 'large' : 'small' }),
      planned: String(count),
    },
    setup: acceptanceSetup(
      { sampledAt: new Date(world.startedAt).toISOString() },
      { measuredSlump: us ? '4 in' : '100 mm', aggregate: us ? '3/4 in' : '20 mm' },
    ),
    steps: [
      choose(
        'place',
        'Level, firm place, free of vibration',
        'The tailgate of the truck is level; beside the compactor lies a slab in the shade; by the curing box the ground is firm.',
        ['By the curing box', 'Level, firm, quiet, and they need not be carried.'],
        ['On the tailgate', 'It shakes as soon as somebody starts the truck.'],
        ['On the slab beside the compactor', 'It shakes the concrete while it sets.'],
      ),
      rodStep,
      press(
        'startedAt',
        'Moulding starts',
        'Begun within fifteen minutes of remixing',
        'The first scoop goes in.',
        600,
        { fails: ['sampling.moulding-start'] },
      ),
      choose(
        'layers',
        'Right number of equal layers',
        beams ? 'A beam, 6 in [150 mm] deep.' : us ? 'A mould of 4 by 8 in.' : 'A mould of 100 by 200 mm.',
        ['Two', beams ? 'For depths of 6 to 8 in [150 to 200 mm].' : 'Three are for the larger cylinder.'],
        ['Three', beams ? 'Three are for deeper beams.' : 'Three are for the larger cylinder.'],
        ['One, rodded well', 'One layer is for self-consolidating concrete.'],
      ),
      read(
        'counts',
        'Strokes and taps of every layer',
        `${count} ${what}, layer by layer: ${strokes} strokes each, twelve taps each${beams ? ', and the trowel along sides and ends' : ''}. Enter the counts, one number a layer: ${count * 2} of each.`,
        { strokes: counted, taps },
      ),
      choose(
        'depth',
        'About an inch into the layer below',
        'You rod the upper layer.',
        ['About 1 in [25 mm] into the lower one', 'It closes the seam.'],
        ['Through to the bottom', 'The lower layer is worked twice.'],
      ),
      ...(beams
        ? [
            choose(
              'spade',
              'Spaded along sides and ends',
              'Both layers are rodded and tapped.',
              ['Run the trowel along sides and ends', 'It closes the honeycomb at the form.'],
              ['Give ten strokes more', 'Strokes do not reach the faces.'],
            ),
          ]
        : []),
      press(
        'finishedAt',
        'Last specimen finished',
        'Struck off and finished',
        'The last top is struck off.',
        300,
        {
          starred: false,
        },
      ),
      read(
        'tops',
        'Tops flat',
        domed
          ? 'You lay the straightedge across: two tops stand up in the middle by a quarter of an inch.'
          : 'You lay the straightedge across: no light under it anywhere.',
        { tops: domed ? 'rough' : 'flat' },
      ),
      choose(
        'mark',
        'Marked on the side, not on the lid, then covered',
        'The marker is in your hand.',
        ['On the side of the mould, then the lid', 'A lid changes places in the box.'],
        ['On the lid, where it can be read in the box', 'Lids are swapped at demoulding.'],
        ['Into the fresh top with a nail', 'The end is tested.'],
      ),
      seen('marked', 'All are marked on the side.', {}, { marked: 'true' }),
      press('coveredAt', 'Last specimen covered', 'Covered at once', 'The last lid goes on.', 40, {
        fails: ['moulding.cover'],
      }),
      press('restingAt', 'All in initial cure', 'Into initial cure at once', 'All stand in the box.', 60, {
        fails: ['moulding.to-cure'],
      }),
      read('counted', 'Counted', `You count ${count} in the box.`, { counted: String(count) }),
      choose(
        'rest',
        'Not moved before eight hours after final set',
        'In the evening the crew wants to move the box to plug it in elsewhere.',
        ['Not before eight hours after final set', 'Shaken while it sets it cracks inside.'],
        ['Carefully, it is still soft', 'That is the worst time.'],
      ),
    ],
    decision: wrong
      ? {
          right: 'redo',
          why: 'The wrong rod makes another specimen: made again with unused concrete while the clock of moulding holds.',
        }
      : domed
        ? {
            right: 'remark',
            why: 'Refinish now while it can be; a bad end becomes a low strength, so it is recorded before the test.',
          }
        : { right: 'report', why: 'A valid set.' },
  };
}
