import { apparentAir, gaugeAfterRelease } from './instruments';
import { acceptanceSetup, choose, press, read, seen } from './steps';
import type { Drill, DrillScript, DrillWorld } from './types';

/** Chamber over bowl, and initial gauge, of the practice meter. */
const CHAMBER = 0.05;
const INITIAL = 15;
/** What a petcock left open adds to the reading, percent: water escapes instead of being pressed. Our choice. */
const PETCOCK_ADDS = 1.9;

/** Air by the pressure method, type B. */
export const airPressureDrill: Drill = {
  id: 'air-pressure',
  title: 'Air, pressure meter',
  method: 'air-pressure',
  faults: ['petcock-open', 'main-valve'],
  script,
};

function script(world: DrillWorld): DrillScript {
  const { system, fault } = world;
  const us = system === 'US';
  const air = Math.round(world.between(4.5, 7.5) * 10) / 10;
  const open = fault === 'petcock-open';
  const main = fault === 'main-valve';
  const shown = open ? air + PETCOCK_ADDS : air;
  const gauge = gaugeAfterRelease(shown / 100, INITIAL, CHAMBER);
  const dial = apparentAir(gauge, INITIAL, CHAMBER).toFixed(1);
  return {
    fault,
    suspects: ['none', 'petcock-open', 'main-valve', 'leak', 'rod-strike'],
    given: { type: 'B', consolidation: 'rod', factor: '0.3', onLine: 'true', watered: 'true' },
    setup: acceptanceSetup(
      { sampledAt: new Date(world.startedAt).toISOString() },
      { measuredSlump: us ? '4 in' : '100 mm', air: '6 %' },
    ),
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
        'Three layers of twenty-five, ten to fifteen taps each',
        'You rod and tap; the helper counts: twenty-five each layer; taps eleven, twelve, twelve.',
        { strokes: '25 25 25', taps: '11 12 12' },
      ),
      choose(
        'rim',
        'Rim clean before the lid',
        'Sand grains stick to the flange.',
        ['Wipe flange and gasket until nothing is felt', 'A grain breaks the seal.'],
        ['Clamp harder', 'A grain keeps the lid off, however hard it is clamped.'],
      ),
      choose(
        'lid',
        'Lid even, both petcocks open, main valve shut',
        'The lid is on.',
        [
          'Clamp crosswise, both petcocks open, main valve shut',
          'Air can leave through the petcocks and the chamber stays apart.',
        ],
        ['Petcocks shut, so that no water runs out', 'Then the air under the lid cannot leave.'],
        ['Main valve open, to let the air out', 'Then pumping drives air into the bowl.'],
      ),
      choose(
        'water',
        'Water in at one petcock until the other runs without bubbles',
        'Water runs from the far petcock with a bubble now and then.',
        ['Go on, rock the meter gently, until no bubble comes', 'Every bubble under the lid reads as air.'],
        ['It runs: shut both', 'What is left under the lid reads as air in the concrete.'],
      ),
      ...(main
        ? [
            seen(
              'pumped',
              'A helper has begun to pump. You see the main valve: it stands open, and the gauge falls back with each stroke.',
              { pumpedAt: 60, trimmedAt: 70 },
              { mainValve: 'open' },
            ),
          ]
        : [
            seen('valve', 'The main valve is shut.', {}, { mainValve: 'shut' }),
            press(
              'pumpedAt',
              'Pump stopped',
              'Pumped a little past the line',
              'The needle is just past the initial line.',
              90,
              {
                starred: false,
              },
            ),
            press(
              'trimmedAt',
              'Gauge trimmed',
              'Waited a few seconds, then trimmed to the line',
              'The needle creeps back while the air cools.',
              8,
              { fails: ['air-pressure.settle'], real: true },
            ),
          ]),
      read(
        'petcocks',
        'Both petcocks shut before the main valve is opened',
        open
          ? 'You open the main valve. Beside it there is a fine hiss, and a drop hangs at the far petcock. Enter how the petcocks stand.'
          : 'You turn both petcocks shut and try them by hand: they are. Enter how the petcocks stand.',
        { petcocks: open ? 'open' : 'closed' },
      ),
      choose(
        'tap',
        'Bowl struck, gauge tapped, valve held open',
        'The main valve is open.',
        [
          'Strike the bowl, tap the gauge, read while the valve is held',
          'The pressure evens out and the needle comes free.',
        ],
        ['Let go of the valve, then read', 'The chamber is closed off again and the needle drifts.'],
        ['Read at once, before it moves', 'The needle still hangs.'],
      ),
      read('apparent', 'Read to 0.1 %', `The needle stands at ${dial} %.`, { apparent: dial }, 0.05),
      press('readAt', 'Air read', 'Stamped', 'The number is written down.', 25, { starred: false }),
      choose(
        'factor',
        'Aggregate correction subtracted',
        'On the card of this pair of aggregates stands 0.3 %.',
        ['Subtract it from the reading', 'It is air in the stones, not in the paste.'],
        ['Add it', 'The meter already counted it.'],
        ['Leave it: it is small', 'It is part of the result.'],
      ),
      choose(
        'release',
        'Main valve shut, then pressure vented, then the lid',
        'The test is over.',
        [
          'Shut the main valve, open the petcocks away from faces, then unclamp',
          'Stored pressure throws water and lid; the valve first, or water is drawn into the chamber.',
        ],
        ['Unclamp: the pressure has gone into the concrete', 'The bowl is still under pressure.'],
        ['Open the petcocks with the main valve open', 'Water is drawn into the chamber.'],
      ),
    ],
    decision:
      open || main
        ? {
            right: 'redo',
            why: open
              ? 'An open petcock lets water out: the reading is too high by nobody knows how much.'
              : 'With the main valve open the pump fills the bowl too: the initial pressure means nothing.',
          }
        : { right: 'report', why: 'Reading less the aggregate correction, to 0.1 %.' },
  };
}
