import { Limits } from '../../limits';
import { CENTRE, THIRD } from '../../methods/beam/arrangement';
import { placeLimits, placeOf } from '../../methods/beam/place';
import { type BeamBreak, simulatedBreak } from '../../press/beam-break';
import { exact, meanOf, withThousands } from '../../quantity';
import { onPaper } from './on-paper';

const LIMITS = new Limits();
/** Breaks that are drawn, for one that is plain to be among them. */
const DRAWN = 12;
const shown = (value: number, place = 0): string => withThousands(value.toFixed(place));

const PLACES = {
  inside: 'Inside the middle third: P L / (b d²)',
  outside: 'Outside, within 5 % of the span: 3 P a / (b d²)',
  beyond: 'Farther out: discard it',
} as const;

/** Reading off a broken beam where it broke, and by which formula it counts, if it does. */
export const whereBrokeExercise = onPaper(
  {
    id: 'where-broke',
    title: 'Where did it break?',
    about:
      'Six beams loaded at the third points, seen from below with a rule from the left support. Read the break at both edges and in the middle, take the mean to the nearer support, and say what it means.',
  },
  'Beam',
  6,
  (chance) => {
    const unit = chance.pick<'in' | 'mm'>(['in', 'mm']);
    const [span, depth] = unit === 'in' ? [18, 6] : [450, 150];
    const system = unit === 'in' ? 'US' : 'SI';
    const limits = placeLimits(exact(span), exact(depth), LIMITS, system);
    const meanPlace = (edges: readonly number[]) =>
      meanOf(edges.map((share) => exact(Math.min(share, 1 - share) * span)));
    // Breaks near a dividing line are read one way or the other by any eye: they are no question.
    const plain = (edges: readonly number[]): boolean =>
      [limits.inside, limits.least].every((line) =>
        meanPlace(edges).minus(line).abs().greaterThan(LIMITS.number('beam.size-step', system)),
      );
    const drawn = Array.from({ length: DRAWN }, () =>
      simulatedBreak(Math.round(chance.between(1, 1e6)), 'third'),
    );
    const { edges } = drawn.find((each) => plain(each.edges)) ?? (drawn[0] as BeamBreak);
    const a = meanPlace(edges);
    const place = placeOf(a, limits);
    return {
      kind: 'paper',
      broken: { span, unit, edges },
      lines: [
        ['Span', `${span} ${unit}`],
        ['A third of it', `${span / 3} ${unit}`],
        ['5 % of it', `${LIMITS.number('beam.outside', system).times(span).div(100)} ${unit}`],
      ],
      ask: 'What does the break mean?',
      help: '',
      options: Object.entries(PLACES),
      right: { answer: place },
      why: `It lies ${a.toFixed(unit === 'in' ? 2 : 0)} ${unit} from the nearer support; the third begins at ${limits.inside} and ${limits.least} ${unit} is the least. ${PLACES[place]}.`,
    };
  },
);

/** Turning the rate in the extreme fibre into that of the machine. */
export const ramRateExercise = onPaper(
  {
    id: 'ram-rate',
    title: 'How fast may the ram go?',
    about:
      'Five beams, at the third points or in the middle. The extreme fibre takes 125 to 175 psi a minute. Type the load a minute that the machine is set to.',
  },
  'Beam',
  5,
  (chance) => {
    const arrangement = chance.pick([THIRD, CENTRE]);
    const nominal = chance.pick([4, 6]);
    const [b, d] = [0, 1].map(() => Number((nominal + chance.between(-0.05, 0.1)).toFixed(2))) as [
      number,
      number,
    ];
    const span = nominal * 3;
    const area = arrangement.area(exact(b), exact(d), exact(span)).toNumber();
    const band = LIMITS.of('beam.rate', 'US');
    const [low, high] = [Number(band.low) * area, Number(band.high) * area];
    const cylinder = 35 * 60 * 28.27;
    return {
      kind: 'paper',
      lines: [
        ['Loaded', arrangement.kind === 'third' ? 'at the third points' : 'in the middle'],
        ['Width × depth', `${b} × ${d} in`],
        ['Span', `${span} in`],
      ],
      ask: 'Rate, lbf a minute',
      help:
        arrangement.kind === 'third'
          ? 'R = P L / (b d²): solve it for P.'
          : 'R = 3 P L / (2 b d²): solve it for P.',
      options: [],
      right: { low, high },
      why: `${shown(low)} to ${shown(high)} lbf a minute. A press left at the rate of a 6 in cylinder, ${shown(cylinder)}, would be ${(cylinder / ((low + high) / 2)).toFixed(0)} times too fast.`,
    };
  },
);
