import { withThousands } from '../../quantity';
import type { Chance } from '../../statistics';
import { onPaper } from './on-paper';

const FAULTS = {
  none: 'Nothing: the two agree',
  clock: 'Its clock is wrong, by half an hour and more',
  high: 'It reads too high or too low all the time',
  slow: 'It answers slowly: its peak is lower and later',
  air: 'It is in the air, not in the concrete',
  stuck: 'It stands still',
} as const;
type SensorFault = keyof typeof FAULTS;

const LENGTH_H = 48;
const STEP_H = 0.5;

const WHY: Readonly<Record<SensorFault, string>> = {
  none: 'Both rise, peak and cool together, a few tenths apart: that is what two good sensors do.',
  clock: 'Shape and height are alike and all of it stands to one side: shift the clock, and nothing else.',
  high: 'Both move at the same times and stay as far apart: a bath tells which of them is right.',
  slow: 'Its curve is wider, its peak lower and later: a housing that takes long to warm, not a clock.',
  air: 'It follows day and night and never the concrete: the sensor fell out, or the plugs were exchanged.',
  stuck: 'It shows one number for hours while the concrete warms: a broken wire, or a logger that stopped.',
};

/** A concrete that warms and cools, with the air beside it, and what the second sensor makes of it. */
function records(chance: Chance, fault: SensorFault) {
  const [rise, peak, placed] = [chance.between(8, 16), chance.between(9, 13), chance.between(14, 24)];
  const [air, swing, start] = [chance.between(8, 18), chance.between(3, 6), chance.between(0, 24)];
  const outside = (t: number): number => air + swing * Math.sin((2 * Math.PI * (t + start)) / 24);
  const concrete = (t: number): number =>
    placed +
    rise * (Math.max(t, 0) / peak) ** 2 * Math.exp(2 * (1 - Math.max(t, 0) / peak)) -
    0.04 * Math.max(t, 0);
  const hours = Array.from({ length: LENGTH_H / STEP_H + 1 }, (_, row) => row * STEP_H);
  const late = chance.pick([-1, 1]) * chance.between(1, 2.5);
  const off = chance.pick([-1, 1]) * chance.between(2, 4);
  const constant = chance.between(4, 7);
  const from = chance.between(3, 6);
  let now = placed;
  const second = hours.map((t) => {
    now += (1 - Math.exp(-STEP_H / constant)) * (concrete(t) - now);
    switch (fault) {
      case 'clock':
        return concrete(t - late);
      case 'high':
        return concrete(t) + off;
      case 'slow':
        return now;
      case 'air':
        return outside(t);
      case 'stuck':
        return concrete(Math.min(t, from));
      default:
        return concrete(t) + 0.2;
    }
  });
  const points = (values: readonly number[], noise: number) =>
    values.map((y, row) => ({
      x: hours[row] ?? 0,
      y: Math.round(10 * (y + noise * chance.normal(0, 1))) / 10,
    }));
  return [
    { name: 'first sensor, checked in a bath', points: points(hours.map(concrete), 0.1) },
    { name: 'second sensor', points: points(second, fault === 'stuck' ? 0 : 0.1) },
  ];
}

/** Seeing in two curves of one place what is wrong with one of the sensors. */
export const whichLiesExercise = onPaper(
  {
    id: 'which-sensor-lies',
    title: 'Which sensor lies?',
    about:
      'Six pairs of records of one place in fresh concrete, two days long. The first sensor was checked in a bath. Say what is wrong with the second one, if anything is.',
  },
  'Pair',
  6,
  (chance) => {
    const fault = chance.pick(Object.keys(FAULTS) as [SensorFault, ...SensorFault[]]);
    return {
      kind: 'paper',
      curves: { x: 'hours since placing', y: '°C', lines: records(chance, fault) },
      lines: [],
      ask: 'What is wrong with the second sensor?',
      help: '',
      options: Object.entries(FAULTS),
      right: { answer: fault },
      why: WHY[fault],
    };
  },
);

const DECISIONS = {
  wait: 'Not yet: wait and read it again',
  hold: 'Hold: something else is missing',
  ask: 'Ask the engineer for the release',
} as const;
type Decision = keyof typeof DECISIONS;

/** What keeps a maturity from being acted on, although the number is there. */
const HOLDS = [
  [
    'Supplementary test',
    'none yet',
    'No test was made in the member: a number from a thermometer alone releases nothing.',
  ],
  ['Mix', 'other admixture than calibrated', 'The curve is of another mix and says nothing of this one.'],
  [
    'Record',
    '14 h without a reading, no air recorded',
    'Over such a gap nothing is known; the index stands still and the record holds.',
  ],
  [
    'Cylinder of the job',
    '12 % below the curve',
    'The concrete of the job does not follow the curve: find out why first.',
  ],
] as const;

/** Whether forms may be asked for, by what a maturity comes to: the best line tempts. */
export const removeOrNotExercise = onPaper(
  {
    id: 'remove-or-not',
    title: 'Remove or not?',
    about:
      'Six members whose forms wait for a strength. Read what their maturity says and what stands beside it. Nobody takes a form away on it: say what is done now.',
  },
  'Member',
  6,
  (chance) => {
    const decision = chance.pick<Decision>(['wait', 'hold', 'ask']);
    const asked = 10 * Math.round(chance.between(150, 320));
    const counted = Math.round(
      asked * (decision === 'wait' ? chance.between(0.88, 0.98) : chance.between(1.01, 1.12)),
    );
    // The best line stands about a seventh above what may be counted on: of those that wait it is there already.
    const best = Math.round(counted * 1.15);
    const held =
      decision === 'hold'
        ? chance.pick([...HOLDS] as [(typeof HOLDS)[number], ...(typeof HOLDS)[number][]])
        : undefined;
    const psi = (value: number): string => `${withThousands(String(10 * Math.round(value / 10)))} psi`;
    const beside = HOLDS.map(([name, bad]): readonly [string, string] => [
      name,
      held?.[0] === name
        ? bad
        : {
            'Supplementary test': `cylinders cast in place, ${psi(asked * 1.08)}`,
            Mix: 'as calibrated',
            Record: 'whole, a row every 15 min',
            'Cylinder of the job': 'on the curve within 4 %',
          }[name],
    ]);
    return {
      kind: 'paper',
      lines: [
        ['Asked for by the engineer', psi(asked)],
        ['By the best line', psi(best)],
        ['To be counted on', psi(counted)],
        ...beside,
      ],
      ask: 'What is done now?',
      help: '',
      options: Object.entries(DECISIONS),
      right: { answer: decision },
      why:
        held?.[2] ??
        (decision === 'wait'
          ? 'The best line is there already and tempts; what may be counted on is not.'
          : 'All of it stands: the technician reports, a licensed engineer releases, nobody else.'),
    };
  },
);
