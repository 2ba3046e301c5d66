import { acceptanceSetup, choose, press, read } from './steps';
import type { Drill, DrillScript, DrillWorld } from './types';

/** The visit to the box: extremes, hours, the way to the laboratory. */
export const curingDrill: Drill = {
  id: 'curing',
  title: 'Initial curing and collection',
  method: 'initial-curing',
  faults: ['hot-box', 'moved-early'],
  script,
};

const HOUR = 3600;

function script(world: DrillWorld): DrillScript {
  const { system, fault } = world;
  const us = system === 'US';
  const hot = fault === 'hot-box';
  const early = fault === 'moved-early';
  const low = us ? String(Math.round(world.between(62, 68))) : String(Math.round(world.between(17, 20)));
  const high = hot
    ? us
      ? '84'
      : '29'
    : us
      ? String(Math.round(world.between(72, 78)))
      : String(Math.round(world.between(22, 26)));
  const unit = us ? '°F' : '°C';
  const start = (hours: number): string => new Date(world.startedAt + hours * HOUR * 1000).toISOString();
  return {
    fault,
    suspects: ['none', 'hot-box', 'moved-early', 'wrong-rod'],
    given: { method: 'box', setAt: start(early ? 1 : -14), condition: 'ok', protectedOnTheWay: 'true' },
    setup: acceptanceSetup(
      { events: { moulded: start(-20) } },
      { specifiedStrength: us ? '4,500 psi' : '30 MPa' },
    ),
    steps: [
      choose(
        'set',
        'Eight hours after final set',
        early
          ? 'You come to the box twenty hours after moulding. The retarded mix has its final set, by the mix’s own data, in an hour from now.'
          : 'You come to the box twenty hours after moulding. Final set was fourteen hours ago, by the mix’s own data.',
        early
          ? [
              'Leave them: they may go nine hours from now',
              'Eight hours are counted from final set, not from casting.',
            ]
          : [
              'They may go: eight hours after final set are over',
              'Counted from final set, not from casting.',
            ],
        early
          ? [
              'They may go: twenty hours are over',
              'Eight hours are counted from final set, not from casting.',
            ]
          : ['Wait another eight hours', 'The clock began at final set, fourteen hours ago.'],
      ),
      read(
        'extremes',
        'Lowest and highest read and recorded',
        `The min-max thermometer at the height of the specimens: ${low} ${unit} and ${high} ${unit}.`,
        { minimum: low, maximum: high },
        0.5,
      ),
      press(
        'collectedAt',
        'Collected',
        'Within forty-eight hours of moulding',
        early
          ? 'The driver has begun to load them while you read the thermometer.'
          : 'Counted, all in order.',
        300,
        { fails: ['curing.initial'] },
      ),
      choose(
        'load',
        'Upright, cushioned, tied, kept from drying',
        'The van is empty, blankets in the corner.',
        ['Upright in the rack, blankets round them, tied, lids on', 'They may neither roll nor dry.'],
        ['Lying side by side, they roll less', 'Green concrete does not lie on its side on the road.'],
      ),
      press('leftAt', 'Left the site', 'Stamped', 'The van leaves.', 600, { starred: false }),
      press(
        'receivedAt',
        'Received',
        'Four hours on the way at the most',
        'At the laboratory’s dock.',
        5400,
        {
          fails: ['curing.transport'],
        },
      ),
      press(
        'demouldedAt',
        'Mould off',
        'Stamped',
        'The first mould is cut open; mark the concrete before the next.',
        900,
        {
          starred: false,
        },
      ),
      press(
        'wetAt',
        'In final cure',
        'Wet again within thirty minutes',
        'The last one goes into the tank.',
        1200,
        {
          fails: ['curing.bare'],
        },
      ),
    ],
    decision: hot
      ? {
          right: 'remark',
          why: 'Outside the range is not standard initial curing: every specimen carries the remark and is still tested. Nothing is discarded and no strength is corrected.',
        }
      : early
        ? {
            right: 'remark',
            why: 'Moved before eight hours after final set: every specimen carries the remark.',
          }
        : { right: 'report', why: 'In range, in time, protected.' },
  };
}
