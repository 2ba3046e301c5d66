import { isWithin, Limits } from '../../limits';
import { profileOf } from '../../methods/rock-compression/ends';
import { crossheadSpeed, ratesAllowed, ratesInTime } from '../../methods/rock-compression/rate';
import { exact, withThousands } from '../../quantity';
import { onPaper } from './on-paper';

const LIMITS = new Limits();
const EVERY = 0.25;

const ENDS = {
  fit: 'Fit: flat and square',
  flat: 'Not flat: grind it again',
  square: 'Not square: set it up and grind it again',
} as const;

/** What the dial makes of an end, by the method’s own check. */
function endSays(points: readonly { x: number; y: number }[], diameter: number): keyof typeof ENDS {
  const profile = profileOf('1A', points, 3);
  if (!profile) return 'fit';
  if (!isWithin(profile.off, LIMITS.of('ucs.flat', 'US'))) return 'flat';
  const share = profile.highest.minus(profile.lowest).div(diameter);
  return isWithin(share, LIMITS.of('ucs.square', 'US')) ? 'fit' : 'square';
}

/** Ends of cores by the dial: fit for the press or not, and why. */
export const endFitExercise = onPaper(
  {
    id: 'end-fit',
    title: 'Is this end fit?',
    about:
      'Six ends of cores, a dial along one diameter of each, a quarter of an inch apart. Lay the line through the points in your head: how far is a point off it, and how far does it lean?',
  },
  'End',
  6,
  (chance) => {
    const wanted = chance.pick(['fit', 'flat', 'square'] as const);
    const diameter = Math.round(chance.between(1.9, 2.9) * 100) / 100;
    const count = Math.floor(diameter / EVERY) + 1;
    const across = (count - 1) * EVERY;
    // Well to one side of either limit: nobody is caught by the last digit.
    const lean =
      (wanted === 'square' ? chance.between(0.0056, 0.0085) : chance.between(0.0003, 0.0022)) *
      (chance.between(0, 1) < 0.5 ? -1 : 1) *
      (diameter / across);
    const dome = wanted === 'flat' ? chance.between(0.0026, 0.004) : 0;
    const points = Array.from({ length: count }, (_, place) => {
      const share = place / (count - 1);
      const height = lean * place * EVERY + dome * 4 * share * (1 - share) + chance.between(-0.0002, 0.0002);
      return { x: place * EVERY, y: Math.round(height * 10_000) / 10_000 };
    });
    const reads = endSays(points, diameter);
    const profile = profileOf('1A', points, 3);
    const off = profile?.off.toFixed(4) ?? '0';
    const share = profile ? profile.highest.minus(profile.lowest).div(diameter).toFixed(4) : '0';
    return {
      kind: 'paper',
      lines: [
        ['Diameter', `${diameter.toFixed(2)} in`],
        ['Dial, 0.0001 in', points.map(({ y }) => Math.round(y * 10_000)).join('  ')],
      ],
      ask: 'What is to be done with it?',
      help: `No point more than ${LIMITS.of('ucs.flat', 'US').text.replace(/^\D+/u, '')} off its line; highest less lowest no more than ${LIMITS.number('ucs.square', 'US').toFixed()} of the diameter.`,
      options: Object.entries(ENDS),
      right: { answer: reads },
      why: `${ENDS[reads]}. The farthest point lies ${off} in off its line, and highest less lowest is ${share} of the diameter.`,
    };
  },
);

/** The rate of a core, by what it should bear: a rate of the stress, or the crosshead. */
export const coreRateExercise = onPaper(
  {
    id: 'core-rate',
    title: 'How fast, this core?',
    about:
      'Five cores of rock. Give a rate of the stress in psi/s that the method allows and that fails it in 2 to 15 min; where there is none, the speed of the crosshead in inches a minute, by half a percent of strain in five minutes.',
  },
  'Core',
  5,
  (chance) => {
    const weak = chance.between(0, 1) < 0.4;
    const expected = exact(
      Math.round(chance.between(...((weak ? [1500, 7000] : [11_000, 30_000]) as [number, number])) / 100) *
        100,
    );
    const length = exact(chance.between(3.9, 5.6).toFixed(2));
    const lines = [
      ['Strength expected', `${withThousands(expected.toFixed())} psi`],
      ['Length', `${length.toFixed()} in`],
    ] as const;
    const allowed = ratesAllowed(expected, LIMITS, 'US');
    if (!allowed) {
      const speed = crossheadSpeed(length, LIMITS, 'US').toNumber();
      return {
        kind: 'paper',
        lines,
        ask: 'Speed of the crosshead, in/min',
        help: 'Half a percent of its length in five minutes; right to a tenth of it.',
        options: [],
        right: { low: speed * 0.9, high: speed * 1.1 },
        why: `At the slowest rate that is allowed it would fail within two minutes: ${speed.toFixed(4)} in/min, 0.005 × ${length.toFixed()} in over 5 min.`,
      };
    }
    const band = LIMITS.of('ucs.rate', 'US');
    const inTime = ratesInTime(expected, LIMITS, 'US');
    const [low, high] = [allowed.low.toNumber(), allowed.high.toNumber()];
    return {
      kind: 'paper',
      lines,
      ask: 'Rate, psi/s',
      help: 'Any that is allowed and fails it in time.',
      options: [],
      right: { low, high },
      why: `${low.toFixed(0)} to ${high.toFixed(0)} psi/s: the method allows ${band.text}, and two minutes to failure take no more than ${inTime?.high.toFixed(0)} psi/s.`,
    };
  },
);
