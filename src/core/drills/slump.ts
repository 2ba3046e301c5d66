import { quarters } from './instruments';
import { acceptanceSetup, choose, press, read, seen } from './steps';
import type { Drill, DrillScript, DrillWorld } from './types';

/** Slump: three layers by volume, a lift in its seconds, the displaced centre. */
export const slumpDrill: Drill = {
  id: 'slump',
  title: 'Slump',
  method: 'slump',
  faults: ['fast-lift', 'shear'],
  script,
};

function script(world: DrillWorld): DrillScript {
  const { system, fault } = world;
  const us = system === 'US';
  const drop = world.between(3, 5);
  const text = us ? quarters(drop) : String(Math.round((drop * 25.4) / 5) * 5);
  const unit = us ? 'in' : 'mm';
  const fast = fault === 'fast-lift';
  const sheared = fault === 'shear';
  return {
    fault,
    suspects: ['none', 'fast-lift', 'shear', 'first-portion', 'rod-strike'],
    given: { shearedBefore: 'false' },
    setup: acceptanceSetup(
      { sampledAt: new Date(world.startedAt).toISOString() },
      { slump: us ? '4 in' : '100 mm', slumpKind: 'target' },
    ),
    steps: [
      choose(
        'damp',
        'Damp mould on a flat damp base',
        'The composite is remixed. Mould, rod and plate lie beside you, dry from the sun.',
        ['Dampen mould and plate, no puddle, and set up', 'A dry plate drinks water, a puddle feeds it.'],
        ['Set up dry so that no water gets in', 'A dry plate takes water out of the cone and holds it up.'],
        ['Pour a cup of water over the plate', 'Free water lets the cone slide and raises the slump.'],
      ),
      choose(
        'feet',
        'Mould held by both feet throughout',
        'The mould stands on the plate.',
        [
          'Stand on both foot pieces and stay until the lift',
          'A mould that lifts once lets mortar run out below.',
        ],
        [
          'Hold it by hand for the first layer, then let go',
          'It floats up with the next layer: the test is lost.',
        ],
      ),
      press(
        'fillStartedAt',
        'Slump: fill starts',
        'Begun within five minutes of the sample',
        'The scoop is full, over the mould.',
        70,
        { fails: ['slump.start'] },
      ),
      choose(
        'layers',
        'Three layers by volume',
        'How deep is the first layer?',
        [
          us ? '2 5/8 in: a third of the volume' : '70 mm: a third of the volume',
          'The mould is wide at the bottom: a third of its volume is low.',
        ],
        [
          us ? '4 in: a third of the height' : '100 mm: a third of the height',
          'That holds nearly half the volume.',
        ],
        [us ? '3 in: a quarter' : '75 mm: a quarter', 'Four layers belong to another school.'],
      ),
      read(
        'strokes',
        'Twenty-five strokes each, counted',
        'Rod each layer; a helper counts aloud: twenty-five, twenty-five, twenty-five. Enter what was counted.',
        { strokes: '25 25 25' },
      ),
      choose(
        'penetration',
        'Second and third layer about an inch into the one below',
        'You rod the second layer. How deep?',
        [us ? 'About 1 in into the first' : 'About 25 mm into the first', 'It knits the layers together.'],
        ['To the bottom every time', 'That works the bottom layer twice over.'],
        ['Only the new layer', 'The seam stays loose and the cone breaks along it.'],
      ),
      choose(
        'heap',
        'Last layer heaped, kept above the rim',
        'While you rod the last layer the concrete sinks below the rim after ten strokes.',
        ['Stop, top up, go on counting from eleven', 'The rim must stay covered; the strokes go on.'],
        ['Rod on and fill the rest at the end', 'What is added last is never rodded.'],
        ['Start the count again', 'The layer would get thirty-five.'],
      ),
      choose(
        'strike',
        'Struck off by rolling the rod, spill cleared from the foot',
        'The mould is full, some concrete lies round the foot.',
        ['Screed and roll the rod over the rim, clear the foot', 'Concrete at the foot holds the cone up.'],
        ['Strike off and lift at once', 'What lies at the foot holds the cone and makes a low number.'],
      ),
      press('struckAt', 'Slump: struck off', 'Struck off', 'The top is flush.', 75, { starred: false }),
      ...(fast
        ? [
            seen(
              'helper-lift',
              'A helper takes the handles before you do and pulls the mould up. It comes away in a jerk; the clock has stamped the lift.',
              { liftStartedAt: 8, liftEndedAt: 10.2 },
            ),
          ]
        : [
            press(
              'liftStartedAt',
              'Lift starts',
              'Straight up',
              'Hands on the handles. Press when the mould leaves the plate.',
              8,
              {
                real: true,
                starred: false,
              },
            ),
            press(
              'liftEndedAt',
              'Lift ends',
              'Lifted in 5 ± 2 s, all within 2½ minutes',
              'Press when the mould is clear of the cone.',
              5,
              { fails: ['slump.lift', 'slump.total'], real: true },
            ),
          ]),
      read(
        'shape',
        'Shape judged from what is seen',
        sheared
          ? 'One side of the cone has slid away along a slope; the other half stands.'
          : `The cone settles evenly. From the rod across the mould down to the displaced original centre of the top, the ruler says ${text} ${unit}.`,
        sheared ? { shape: 'shear' } : { shape: 'true', slump: text },
        us ? 0.13 : 3,
      ),
      press('readAt', 'Slump read', 'Measured at once', 'The number is written down.', 12, {
        fails: ['slump.read'],
      }),
      ...(sheared
        ? []
        : [
            choose(
              'centre',
              'Measured to the displaced original centre',
              'The top has tilted a little. Where do you measure to?',
              ['To where the middle of the top has gone', 'This school measures to the displaced centre.'],
              ['To the highest point', 'That is how EN and IS do it.'],
              ['To the mean of high and low edge', 'No school does.'],
            ),
          ]),
    ],
    decision: fast
      ? {
          right: 'redo',
          why: 'A lift outside 5 ± 2 s is no test: a fast lift drags the concrete apart and reads high. Another portion, while the clock of the start still allows.',
        }
      : sheared
        ? {
            right: 'redo',
            why: 'A first shear is repeated on another portion; a second in a row means that the test does not apply to this concrete.',
          }
        : { right: 'report', why: 'Every rule was kept: the number stands, in or out of tolerance.' },
  };
}
