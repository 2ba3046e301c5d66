import { acceptanceSetup, choose, press, read, seen } from './steps';
import type { Drill, DrillScript, DrillWorld } from './types';

/** Temperature: cover, dwell, read in place. */
export const temperatureDrill: Drill = {
  id: 'temperature',
  title: 'Concrete temperature',
  method: 'concrete-temperature',
  faults: ['early-read'],
  script,
};

function script(world: DrillWorld): DrillScript {
  const { system, fault } = world;
  const us = system === 'US';
  const truth = us
    ? String(Math.round(world.between(66, 84)))
    : (Math.round(world.between(19, 29) * 2) / 2).toFixed(1);
  const unit = us ? '°F' : '°C';
  const early = fault === 'early-read';
  return {
    fault,
    suspects: ['none', 'early-read', 'first-portion', 'leak'],
    given: { place: 'barrow' },
    setup: acceptanceSetup({ sampledAt: new Date(world.startedAt).toISOString() }),
    steps: [
      choose(
        'device',
        'Device verified and in date',
        'Two thermometers lie in the box: one with this year’s tag, one without a tag that agrees with it to a degree.',
        ['Take the tagged one', 'Only a verified device counts, however well the other agrees.'],
        ['Take either: they agree', 'They agree today at this temperature; that is no verification.'],
        ['Take an infrared gun, it is quicker', 'It sees the skin of the concrete, not the concrete.'],
      ),
      choose(
        'cover',
        'Sensor covered on all sides',
        'Where does the sensor go?',
        [
          us
            ? 'Where 3 in of concrete surround it on every side'
            : 'Where 75 mm of concrete surround it on every side',
          'Near the steel it reads the barrow.',
        ],
        ['Against the wall of the barrow, where it stands firm', 'It reads the steel in the sun.'],
        ['Just under the surface, so that it can be read', 'It reads the air and the sun.'],
      ),
      press(
        'insertedAt',
        'Thermometer in',
        'In within three minutes of the sample',
        'The sensor is in the concrete.',
        40,
        { fails: ['temperature.insert'] },
      ),
      choose(
        'pressed',
        'Concrete pressed closed round the stem',
        'A hole is left round the stem.',
        ['Press the concrete closed round it', 'An open hole lets the air in.'],
        ['Leave it: the sensor is deep enough', 'Air runs down the hole to the sensor.'],
      ),
      ...(early
        ? [
            seen(
              'helper-read',
              `A helper pulls out the stem after forty seconds, looks at it, calls “${truth} ${unit}” and writes it down.`,
              { readAt: 40 },
              { temperature: truth },
            ),
          ]
        : [
            read(
              'temperature',
              'Read in place, to the step of the method',
              `The display has not moved for half a minute and more: ${truth} ${unit}. The sensor is still in.`,
              { temperature: truth },
              us ? 0.5 : 0.25,
            ),
            press(
              'readAt',
              'Temperature read',
              'Two minutes in, done within five minutes of the sample',
              'Press when you read it.',
              130,
              { fails: ['temperature.dwell', 'temperature.complete'] },
            ),
            choose(
              'steady',
              'Steady before it is read',
              'How do you know that it is steady?',
              [
                us ? 'It moved 1 °F or less in half a minute' : 'It moved 0.5 °C or less in half a minute',
                'Two minutes alone are not enough for a slow sensor.',
              ],
              ['Two minutes are over', 'A slow sensor may still be moving.'],
            ),
          ]),
    ],
    decision: early
      ? {
          right: 'redo',
          why: 'Forty seconds are no dwell, and the stem was out when it was read. Put it back or take a fresh portion of the same load: temperature needs no composite.',
        }
      : { right: 'report', why: 'Cover, dwell and place were as asked.' },
  };
}
