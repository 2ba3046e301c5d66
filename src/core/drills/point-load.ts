import { choose, press, read, seen } from './steps';
import type { Drill, DrillScript, DrillWorld } from './types';

/** A lump under the point load: laid, measured, loaded within its minute, and looked at before its number is. */
export const pointLoadDrill: Drill = {
  id: 'point-load',
  title: 'Point load on a lump',
  method: 'point-load',
  faults: ['one-point', 'held-zero', 'pumped-fast'],
  script,
};

/** What the usual index and sizes of a lump come to, as a load: Is(50) · De^1.55 · 50^0.45. */
function loadOf(index: number, depth: number, width: number): number {
  const diameter = Math.sqrt((4 * depth * width) / Math.PI);
  return (index * diameter ** 1.55 * 50 ** 0.45) / 1000;
}

function script(world: DrillWorld): DrillScript {
  const { system, fault } = world;
  const us = system === 'US';
  const size = (mm: number): string => (us ? (mm / 25.4).toFixed(2) : mm.toFixed(1));
  const unit = us ? 'in' : 'mm';
  const force = (kn: number): string => (us ? String(Math.round((kn * 224.809) / 2) * 2) : kn.toFixed(2));
  const of = us ? 'lbf' : 'kN';
  const depth = world.between(38, 46);
  const upper = world.between(54, 58);
  const lower = world.between(60, 66);
  const end = world.between(36, 42);
  const load = loadOf(world.between(2.4, 3.6), depth, (upper + lower) / 2);
  const held = 0.6;
  const [first, second, third] = [end * 2 + 6, depth, lower].map(size);
  const fast = fault === 'pumped-fast';
  const zeroed = fault === 'held-zero';
  const one = fault === 'one-point';
  const time = fast ? 4 : Math.round(world.between(18, 40));
  return {
    fault,
    suspects: ['none', 'one-point', 'held-zero', 'pumped-fast'],
    given: {},
    setup: { zone: 'utc', profile: 'astm', facts: { weathering: 'II', direction: 'none' } },
    steps: [
      choose(
        'guard',
        'Guard and eye shield in place, tips whole',
        'The frame stands on the tailgate. Its guard hangs open; one lump lies beside it.',
        [
          'Look at both tips, shut the guard, shield on',
          'Rock throws chips, and a blunt tip raises the load.',
        ],
        ['Pump first, the guard only matters at the end', 'Failure is sudden: nobody shuts it in time.'],
        ['Hold the lump by hand while it is loaded', 'Fingers do not belong between points under pressure.'],
      ),
      choose(
        'cracks',
        'No crack, vein or joint through the load line',
        'The lump is sound but for a hairline joint near one end, away from the middle.',
        [
          'Lay the load line through the middle, clear of the joint',
          'It must split the rock, not an old crack.',
        ],
        ['Lay it along the joint, it opens easily', 'That is the strength of the joint.'],
      ),
      choose(
        'lie',
        'Its smallest size lies between the points',
        `It measures ${first} × ${second} × ${third} ${unit}. Which size lies between the points?`,
        [
          `${second} ${unit}, the smallest`,
          'Depth over width shall be 0.3 to 1: with the smallest between the points it is never above 1.',
        ],
        [`${first} ${unit}, it stands well on its end`, 'Far taller than wide: the method does not take it.'],
        [`${third} ${unit}, the middle one`, 'It is taller than its narrowest width.'],
      ),
      choose(
        'width',
        'Widths in one direction, near the upper and the lower point',
        'Its sides are not parallel. Which widths count?',
        [
          'The narrowest direction, once near each point',
          'Their mean makes the section through both points, which is what splits.',
        ],
        ['The two largest widths there are', 'They need not lie in the section that splits.'],
        ['The widest place in the middle', 'The smallest width through the points counts.'],
      ),
      read(
        'widths',
        'Both widths and the free end read',
        `Turned to where it is narrowest the calliper says ${size(upper)} ${unit} near the upper point and ${size(lower)} ${unit} near the lower one. From the load line to the nearest end it is ${size(end)} ${unit}; the whole lump is ${size(end * 2 + 6)} ${unit} long.`,
        { width1: size(upper), width2: size(lower), freeEnd: size(end) },
        us ? 0.005 : 0.05,
      ),
      read(
        'separation',
        'Depth read on the frame as the points just grip',
        `The points just grip. The scale of the frame says ${size(depth)} ${unit}.`,
        { separation: size(depth) },
        us ? 0.005 : 0.05,
      ),
      ...(zeroed
        ? [
            seen(
              'helper-zero',
              `A helper has given the pump a stroke already: the indicator shows ${force(held)} ${of}. Then he presses zero.`,
              {},
              { zeroed: 'held', type: 'lump', cracked: 'no' },
            ),
          ]
        : [
            seen(
              'zero',
              'With the points only touching you press zero and set the peak back.',
              {},
              { zeroed: 'touching', type: 'lump', cracked: 'no' },
            ),
          ]),
      choose(
        'pace',
        'Failure within 10 to 60 s',
        `About ${force(load)} ${of} is expected; a stroke adds about ${force(load / 20)} ${of}. How do you pump?`,
        ['A stroke every second or two, without jerks', 'About twenty strokes: half a minute.'],
        ['As fast as the arm goes', 'It fails in a few seconds and reads high.'],
        ['One stroke, then wait until the needle stands', 'It takes minutes: the rock creeps meanwhile.'],
      ),
      ...(fast
        ? [
            seen(
              'pumped',
              'The helper takes the lever and pumps as fast as he can. It cracks almost at once.',
            ),
          ]
        : [seen('pumped', 'The load climbs stroke by stroke. It cracks with a bang, and the peak is held.')]),
      read(
        'load',
        'Peak load and time read',
        zeroed
          ? `The indicator holds ${force(load - held)} ${of} after ${time} s. Before zeroing it showed ${force(held)} ${of}.`
          : `The indicator holds ${force(load)} ${of} after ${time} s.`,
        zeroed
          ? { load: force(load - held), seatLoad: force(held), time: String(time) }
          : { load: force(load), time: String(time) },
        us ? 2 : 0.005,
      ),
      press('testedAt', 'Broken', 'Stamped', 'The pieces lie in the guard.', 5, { starred: false }),
      read(
        'fracture',
        'Pieces fitted together and looked at',
        one
          ? 'Fitted together, the crack starts at the upper point, turns, and runs out at the side. The lower point left only a dent.'
          : 'Fitted together, one plane runs from the upper to the lower point. Both points left no other mark.',
        { fracture: one ? 'one-point' : 'through' },
      ),
    ],
    decision: decided(fault),
  };
}

function decided(fault: DrillWorld['fault']): DrillScript['decision'] {
  switch (fault) {
    case 'one-point':
      return {
        right: 'redo',
        why: 'A crack through one point only is no test of the rock: the piece stays on record with its reason, another is taken.',
      };
    case 'pumped-fast':
      return {
        right: 'redo',
        why: 'Failed before 10 s: it counts only where a reviewer accepts the reason. Another piece is quicker.',
      };
    case 'held-zero':
      return {
        right: 'remark',
        why: 'What was held at zero is known and is added back: the number stands, with the remark.',
      };
    default:
      return { right: 'report', why: 'Every rule was kept: the number stands.' };
  }
}
