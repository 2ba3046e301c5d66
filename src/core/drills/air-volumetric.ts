import { divisions, meterLevel, type RollMeter } from './instruments';
import { acceptanceSetup, choose, press, read, seen } from './steps';
import type { Drill, DrillScript, DrillWorld } from './types';

/** Air by the volumetric method, alcohol measured before rolling. */
export const airVolumetricDrill: Drill = {
  id: 'air-volumetric',
  title: 'Air, volumetric meter',
  method: 'air-volumetric',
  faults: ['leak', 'alcohol-uncounted', 'stuck'],
  script,
};

const quarter = (value: number): string => divisions(value, 0.25).toFixed(2);

function script(world: DrillWorld): DrillScript {
  const { system, fault } = world;
  const us = system === 'US';
  const air = world.between(4.5, 7);
  const leak = fault === 'leak';
  const stuck = fault === 'stuck';
  const uncounted = fault === 'alcohol-uncounted';
  const meter: RollMeter = {
    air,
    ...(stuck ? { stuck: 0.12 } : {}),
    ...(leak ? { leaked: 0.8 } : {}),
    // What more than two and a half pints adds of itself, by the table of the method.
    ...(uncounted ? { alcohol: 0.3 } : {}),
  };
  const level = (minutes: number): string => quarter(meterLevel(meter, minutes));
  const poured = us ? '1.5' : '0.7';
  const steady = level(4);
  return {
    fault,
    suspects: ['none', 'leak', 'alcohol-uncounted', 'stuck', 'petcock-open'],
    given: { variant: 'before' },
    setup: acceptanceSetup({ sampledAt: new Date(world.startedAt).toISOString() }, { air: '6 %' }),
    steps: [
      press(
        'fillStartedAt',
        'Air: fill starts',
        'Begun within five minutes of the sample',
        'The bowl is damp, the scoop full.',
        200,
        {
          fails: ['air.start'],
        },
      ),
      read(
        'counts',
        'Two layers of twenty-five, ten to fifteen taps each',
        'You rod and tap; the helper counts: twenty-five and twenty-five; taps twelve and twelve.',
        { strokes: '25 25', taps: '12 12' },
      ),
      choose(
        'flange',
        'Flange clean',
        'The bowl is struck off; sand sticks to the flange.',
        ['Wipe it until nothing is felt, wet the gasket, clamp', 'Grit on the flange is how it leaks.'],
        ['Clamp it and see whether it leaks', 'Then the test is lost.'],
      ),
      uncounted
        ? read(
            'alcohol',
            'Amount of alcohol recorded',
            `You measure ${poured} ${us ? 'pints' : 'litres'} of alcohol and pour. While you look for the syringe a helper tips the rest of the bottle in: “the foam, you know”. How much it was nobody knows. Enter what you measured.`,
            { alcohol: poured },
            us ? 0.05 : 0.03,
          )
        : read(
            'alcohol',
            'Amount of alcohol recorded',
            `Water first, then ${poured} ${us ? 'pints' : 'litres'} of alcohol from the measuring vessel.`,
            { alcohol: poured },
            us ? 0.05 : 0.03,
          ),
      choose(
        'zero',
        'Bottom of the meniscus on zero',
        'Water up to the neck, the syringe in your hand.',
        ['Bring the bottom of the meniscus to zero', 'The bottom is what the neck is divided for.'],
        [
          'Bring the upper rim of the liquid to zero',
          'The rim climbs the glass: the reading would be off by it.',
        ],
      ),
      seen('zeroed', 'The level stands on zero; the cap is on.', {}, { zeroed: 'true' }),
      choose(
        'invert',
        'Inverted and shaken, five seconds at the most at a time',
        'The meter is closed.',
        [
          'Invert and shake, upright again within five seconds, until the stones are heard, 45 s in all',
          'Upside down for longer, stones jam in the neck.',
        ],
        ['Leave it upside down until it is empty', 'Stones jam in the neck.'],
        ['Twenty seconds will do', 'It takes at least 45 s to work the concrete free.'],
      ),
      press('shakeStartedAt', 'First inversion', 'Stamped', 'Over it goes.', 60, { starred: false }),
      press(
        'shakeEndedAt',
        'Aggregate loose',
        'At least 45 s, stones heard',
        'The stones rattle freely.',
        52,
        {
          fails: ['air-volumetric.shake'],
        },
      ),
      press('rollStartedAt', 'Rolling starts', 'Stamped', 'Neck up at an angle, on the mat.', 10, {
        starred: false,
      }),
      read(
        'leaked',
        'Leak seen',
        leak
          ? 'While it rolls a dark line creeps from under the flange and drips on the mat. Enter what you see of the joint.'
          : 'While it rolls the joint stays dry all round. Enter what you see of the joint.',
        { leaked: leak ? 'yes' : 'no' },
      ),
      press(
        'rollEndedAt',
        'Rolling ends',
        'Rolled for about a minute, stones heard',
        'The stones slide freely.',
        62,
        {
          fails: ['air-volumetric.roll'],
        },
      ),
      press('uprightAt', 'Meter upright', 'Stamped', 'Cap loosened, level rising.', 8, { starred: false }),
      read(
        'reading1',
        'Read when it is steady, not before',
        `The level: at once ${level(0)} %, after one minute ${level(1)} %, two ${level(2)} %, three ${level(3)} %, four ${steady} %.`,
        { reading1: steady },
        0.01,
      ),
      press(
        'steadyAt',
        'Level steady',
        'Steady within two minutes, six at the most',
        'Four minutes have gone by.',
        240,
        {
          fails: ['air-volumetric.stable-time'],
        },
      ),
      read(
        'reading2',
        'Rolled again, second reading within 0.25',
        `You roll again for a minute; it stands and steadies at ${steady} %.`,
        { reading2: steady },
        0.01,
      ),
      read(
        'stuck',
        'Bowl looked into',
        stuck
          ? 'You take it apart and turn the bowl over: a hand-sized piece stays in the corner, packed as it was rodded.'
          : 'You take it apart and turn the bowl over: everything falls out loose.',
        { stuck: stuck ? 'yes' : 'no' },
      ),
      press('readAt', 'Air read', 'Stamped', 'Written down.', 60, { starred: false }),
    ],
    decision:
      leak || stuck || uncounted
        ? {
            right: 'redo',
            why: leak
              ? 'What leaks reads as air. New concrete, clean flange.'
              : stuck
                ? 'The air of the packed piece never came up: the reading is low.'
                : 'The correction goes by the amount; without it there is no result.',
          }
        : { right: 'report', why: 'Steady, confirmed by rolling again, all loose, alcohol known.' },
  };
}
