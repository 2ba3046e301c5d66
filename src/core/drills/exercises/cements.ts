import { nextWater } from '../../cement/consistency';
import { curveOf, depthAt, type Fall, initialOf } from '../../cement/setting';
import { Limits } from '../../limits';
import { onPaper } from './on-paper';

const LIMITS = new Limits();
const MARK = LIMITS.number('setting.initial', 'US').toNumber();
const RING = LIMITS.number('setting.depth', 'US').toNumber();
const half = (depth: number): number => Math.min(RING, Math.max(0, Math.round(depth * 2) / 2));

type Fault = readonly [what: string, factor: number];

/** What makes a fall count for nothing, and what it does to its depth. */
const FAULTS: readonly [Fault, ...Fault[]] = [
  ['paste on the needle', 0.75],
  ['a hole 3 mm beside it', 1.15],
  ['slowed by the fingers', 0.8],
  ['read after 15 s', 0.93],
];

/** Falls of a needle with one among them that does not count: when has it set? */
export const initialSetExercise = onPaper(
  {
    id: 'initial-set',
    title: 'When has it set?',
    about:
      'Five rings under the needle, minutes since the water met the cement and millimetres that it went in. A fall with something wrong counts for nothing. Give the initial set, to the minute.',
  },
  'Ring',
  5,
  (chance) => {
    const initial = Math.round(chance.between(85, 190));
    const curve = curveOf(initial, initial * chance.between(1.7, 2.1), MARK, RING);
    const begin = 35 + Math.round(chance.between(0, 4));
    const every = 15;
    const count = Math.ceil((initial - begin) / every) + 3;
    const [fault, factor] = chance.pick(FAULTS);
    // Next to the crossing, where it would move the answer.
    const bad =
      chance.between(0, 1) < 0.75
        ? Math.ceil((initial - begin) / every) - (chance.between(0, 1) < 0.5 ? 1 : 0)
        : -1;
    const falls = Array.from({ length: count }, (_, place) => {
      const minutes = begin + place * every;
      const depth = depthAt(curve, minutes, RING) * (place === bad ? factor : 1);
      return { minutes, depth: half(depth), bad: place === bad };
    });
    const counted: Fall[] = falls.filter((fall) => !fall.bad);
    const told = initialOf(counted, MARK, LIMITS.of('setting.rise', 'US').high?.toNumber() ?? 0);
    const minutes = told.kind === 'between' ? told.minutes : initial;
    const between =
      told.kind === 'between'
        ? `${told.from.minutes} min (${told.from.depth} mm) and ${told.to.minutes} min (${told.to.depth} mm)`
        : '';
    return {
      kind: 'paper',
      lines: [
        [
          'Falls, min: mm',
          falls.map((fall) => `${fall.minutes}: ${fall.depth}${fall.bad ? ' ✕' : ''}`).join(', '),
        ],
        ...(bad < 0 ? [] : [['The one with ✕', fault] as const]),
      ],
      ask: 'Initial set, min',
      help: `Between the last fall deeper than ${MARK} mm and the first that is not; right to a minute.`,
      options: [],
      right: { low: minutes - 1, high: minutes + 1 },
      why: `${minutes.toFixed(0)} min, in proportion between ${between}${bad < 0 ? '' : `; the fall with ${fault} counts for nothing`}.`,
    };
  },
);

/** Batches of a mortar, and the water that the next one wants. */
export const flowWaterExercise = onPaper(
  {
    id: 'flow-water',
    title: 'How much water for the flow?',
    about:
      'Five cements that are not portland cement: their mortar has the water that makes its flow 110 %. Two batches of 500 g of cement were tried. Give the water of the next one in grams.',
  },
  'Cement',
  5,
  (chance) => {
    const slope = chance.between(1.3, 2.4);
    const right = Math.round(chance.between(236, 266) * 10) / 10;
    const aim = LIMITS.number('cement-mortar.aim', 'US').toNumber();
    const batch = (off: number) => {
      const water = Math.round((right + off) * 2) / 2;
      return { water, flow: Math.round(aim + (water - right) * slope) };
    };
    const [low, high] = [batch(-chance.between(5, 9)), batch(chance.between(5, 9))];
    const next = nextWater(
      [low, high].map(({ water, flow }) => ({ water: water / 5, depth: flow })),
      aim,
      LIMITS.number('cement-mortar.slope', 'US').toNumber(),
    );
    const grams = (next ?? 0) * 5;
    return {
      kind: 'paper',
      lines: [
        ['First batch', `${low.water} g of water, flow ${low.flow} %`],
        ['Second batch', `${high.water} g of water, flow ${high.flow} %`],
      ],
      ask: 'Water of the next batch, g',
      help: 'In proportion between the two; right to a gram. It is a fresh batch: none is added to one that was tried.',
      options: [],
      right: { low: grams - 1, high: grams + 1 },
      why: `${grams.toFixed(1)} g: ${low.water} + (110 − ${low.flow}) · ${(high.water - low.water).toFixed(1)} / ${high.flow - low.flow}.`,
    };
  },
);
