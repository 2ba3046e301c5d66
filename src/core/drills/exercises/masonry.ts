import { Limits } from '../../limits';
import { ratesFor } from '../../methods/masonry-press/rates';
import { exact, withThousands } from '../../quantity';
import { onPaper } from './on-paper';

const LIMITS = new Limits();
const shown = (value: number, place = 0): string => withThousands(value.toFixed(place));

/** Choosing the rate that gives the second half of the load its time. */
export const blockRateExercise = onPaper(
  {
    id: 'block-rate',
    title: 'Choose the rate for block',
    about:
      'Five units of block, each with its net area and the strength it will probably reach. Type the rate that keeps the second half of the load between 60 and 120 s.',
  },
  'Unit',
  5,
  (chance) => {
    const area = Math.round(chance.between(52, 78) * 10) / 10;
    const strength = Math.round(chance.between(17, 42)) * 100;
    const load = area * strength;
    const { low, target, high } = ratesFor(exact(load), 'unit.second-half', LIMITS, 'US');
    return {
      kind: 'paper',
      lines: [
        ['Net area', `${shown(area, 1)} in²`],
        ['Expected net strength', `${shown(strength)} psi`],
      ],
      ask: 'Rate, lbf/s',
      help: 'Half of the expected load, in the time it is to take.',
      options: [],
      right: { low: low.toNumber(), high: high.toNumber() },
      why: `${shown(load)} lbf are expected: its half takes 60 to 120 s at ${shown(low.toNumber())} to ${shown(high.toNumber())} lbf/s, best about ${shown(target.toNumber())}.`,
    };
  },
);

const WEIGHED = {
  received: 'as received',
  immersed: 'under water',
  saturated: 'saturated',
  dry: 'oven-dry',
} as const;

/** What tells a false mass, by which it is. */
const FALSE = {
  none: 'Received lies between dry and saturated, density and absorption are those of block.',
  received: 'More as received than saturated: it holds more water than it can.',
  immersed:
    'So little is displaced that its density is far above that of any block: the hanger was not tared.',
  saturated: 'Saturated it cannot be lighter than dry.',
  dry: 'So dry it is far too light, and takes up far too much: it is another unit’s mass, or misread.',
} as const;

/** Finding the mass of a set of units that cannot be. */
export const falseMassExercise = onPaper(
  {
    id: 'false-mass',
    title: 'Find the false mass',
    about:
      'Five units that were weighed as received, under water, saturated and dry. One mass is wrong, or none: compare density and absorption with what block usually has.',
  },
  'Unit',
  5,
  (chance) => {
    const volume = chance.between(0.27, 0.31);
    const dry = volume * chance.between(112, 126);
    const saturated = dry + volume * chance.between(8.5, 12.5);
    const masses = {
      received: dry + (saturated - dry) * chance.between(0.25, 0.5),
      immersed: saturated - volume * 62.4,
      saturated,
      dry,
    };
    const fault = chance.pick<keyof typeof FALSE>(['none', 'received', 'immersed', 'saturated', 'dry']);
    if (fault === 'received') masses.received = saturated + chance.between(1, 2);
    // The hanger was not tared: it hangs in the reading.
    if (fault === 'immersed') masses.immersed += chance.between(5, 7);
    if (fault === 'saturated') masses.saturated = dry - chance.between(0.5, 1);
    if (fault === 'dry') masses.dry -= chance.between(8, 10);
    return {
      kind: 'paper',
      lines: (['received', 'immersed', 'saturated', 'dry'] as const).map(
        (name) => [`Mass ${WEIGHED[name]}`, `${masses[name].toFixed(2)} lb`] as const,
      ),
      ask: 'Which is false?',
      help: '',
      options: [['none', 'None of them'], ...Object.entries(WEIGHED)],
      right: { answer: fault },
      why: FALSE[fault],
    };
  },
);

/** Telling whether a coupon of a face shell may be broken. */
export const couponExercise = onPaper(
  {
    id: 'coupon-legal',
    title: 'Is this coupon legal?',
    about:
      'Six coupons sawn out of face shells. Twice as high and four times as long as thick, five percent either way, and at least 3/4 in thick.',
  },
  'Coupon',
  6,
  (chance) => {
    const fault = chance.pick(['legal', 'thick', 'height', 'length']);
    const thickness = fault === 'thick' ? chance.between(0.6, 0.72) : chance.between(0.9, 1.4);
    const off = chance.pick(['below', 'above']) === 'below' ? [1.7, 1.86] : [2.14, 2.3];
    const ratio = (to: number, wrong: boolean): number =>
      wrong ? (to / 2) * chance.between(off[0] ?? 1.7, off[1] ?? 1.8) : to * chance.between(0.97, 1.03);
    const height = thickness * ratio(2, fault === 'height');
    const length = thickness * ratio(4, fault === 'length');
    return {
      kind: 'paper',
      lines: [
        ['Thickness', `${thickness.toFixed(2)} in`],
        ['Height', `${height.toFixed(2)} in`],
        ['Length', `${length.toFixed(2)} in`],
      ],
      ask: 'What is it?',
      help: '',
      options: [
        ['legal', 'Legal'],
        ['thick', 'Too thin'],
        ['height', 'Wrong height'],
        ['length', 'Wrong length'],
      ],
      right: { answer: fault },
      why: `It is ${thickness.toFixed(2)} in thick, ${(height / thickness).toFixed(2)} times as high and ${(length / thickness).toFixed(2)} times as long.`,
    };
  },
);

/** Taking the strength on the right area, and seeing what the wrong one costs. */
export const netAreaExercise = onPaper(
  {
    id: 'net-area',
    title: 'On which area?',
    about:
      'Four units of block with their loads, their sizes and the net areas of the units that were dried. Type the net strength to 10 psi: what the gross area would have cost stands in the answer.',
  },
  'Unit',
  4,
  (chance) => {
    const [length, width] = [15.62 + chance.between(-0.03, 0.03), 7.62 + chance.between(-0.03, 0.03)];
    const share = chance.between(0.52, 0.57);
    const areas = [0, 1, 2].map(() => length * width * (share + chance.between(-0.004, 0.004)));
    const mean = areas.reduce((sum, each) => sum + Number(each.toFixed(1)), 0) / areas.length;
    const load = Math.round((mean * chance.between(1900, 3300)) / 10) * 10;
    const [net, gross] = [load / mean, load / (length * width)];
    return {
      kind: 'paper',
      lines: [
        ['Maximum load', `${shown(load)} lbf`],
        ['Length and width', `${length.toFixed(2)} × ${width.toFixed(2)} in`],
        ['Net areas of the dried units', `${areas.map((each) => each.toFixed(1)).join(', ')} in²`],
      ],
      ask: 'Net strength, psi',
      help: 'The load over the mean net area of the units that were dried.',
      options: [],
      right: { low: net - 11, high: net + 11 },
      why: `${shown(load)} lbf over ${mean.toFixed(1)} in² is ${shown(Math.round(net / 10) * 10)} psi. On the gross area it would be ${shown(Math.round(gross / 10) * 10)} psi: ${(100 * (1 - gross / net)).toFixed(0)} % of the strength lost on paper.`,
    };
  },
);
