import type { Chance } from '../../statistics';
import { onPaper } from './on-paper';

/** What can be wrong with a beam that was loaded, as a trainee calls it. */
const FAULTS = {
  none: 'Nothing: it counts',
  span: 'Span and depth do not go together',
  gap: 'It did not bear on all its lines',
  late: 'Too long out of the water',
  beyond: 'It broke too far out',
  fast: 'Loaded too fast',
  top: 'Loaded on the wrong face',
} as const;
export type BeamFault = keyof typeof FAULTS;

const HINTS: Readonly<Record<BeamFault, string>> = {
  none: 'Every line of it is as it should be.',
  span: 'The span is three depths as they were measured, within 2 %: 18 over 3 × 6.18 is 0.970.',
  gap: 'Where the leaf of 0.015 in goes in, leather does not do: that line is capped or ground.',
  late: 'A beam dries from its skin inwards, and the skin is then in tension before any load: it reads low.',
  beyond: 'The third begins at 6.00 in and 5 % of the span is 0.90 in: below 5.10 in it is discarded.',
  fast: '125 to 175 psi a minute in the extreme fibre: P L / (b d²) of the load in a minute.',
  top: 'A moulded beam is turned on its side: the trowelled face is neither flat nor alike.',
};

/** Readings of one beam, 18 in between its supports, with one thing wrong or nothing; times are minutes before the break. */
export interface BeamReadings {
  readonly b: readonly [string, string, string];
  readonly d: readonly [string, string, string];
  readonly a: readonly [string, string, string];
  readonly gap: 'none' | 'leather' | 'wide leather';
  readonly side: 'side' | 'top';
  readonly minutesOut: number;
  /** psi a minute. */
  readonly rate: number;
  readonly load: number;
}

/** A beam with a fault; what is not wrong lies well within what is allowed. */
export function beamWith(fault: BeamFault, chance: Chance): BeamReadings {
  const three = (from: number, to: number): [string, string, string] => {
    const one = (): string => (Math.round(chance.between(from, to) / 0.05) * 0.05).toFixed(2);
    return [one(), one(), one()];
  };
  return {
    b: three(5.98, 6.07),
    d: fault === 'span' ? three(6.18, 6.22) : three(5.98, 6.04),
    a: fault === 'beyond' ? three(4.5, 5.02) : three(6.3, 8.8),
    gap: fault === 'gap' ? 'wide leather' : chance.pick(['none', 'none', 'leather']),
    side: fault === 'top' ? 'top' : 'side',
    minutesOut: Math.round(fault === 'late' ? chance.between(38, 70) : chance.between(4, 11)),
    rate: Math.round(fault === 'fast' ? chance.between(200, 270) : chance.between(135, 165)),
    load: Math.round(chance.between(6200, 8300) / 10) * 10,
  };
}

const GAP_WORDS = {
  none: 'no leaf goes in on any of the four lines',
  leather: 'at the left load 0.004 in goes in, 0.015 in does not: leather; none elsewhere',
  'wide leather': 'at the left load 0.015 in goes in: leather; none elsewhere',
} as const;

/** Saying of finished sheets of beams what is wrong with them, if anything is. */
export const beamRecordExercise = onPaper(
  {
    id: 'beam-record',
    title: 'Does this beam count?',
    about:
      'Six sheets of moulded beams, 6 × 6 in, loaded at the third points over 18 in. One thing is wrong with each, or nothing: say what.',
  },
  'Beam',
  6,
  (chance) => {
    const fault = chance.pick(Object.keys(FAULTS) as [BeamFault, ...BeamFault[]]);
    const beam = beamWith(fault, chance);
    const { b, d, a, load, rate, minutesOut } = beam;
    const middle = (of: readonly string[]): number => of.reduce((sum, each) => sum + Number(each), 0) / 3;
    const aMinute = rate * ((middle(b) * middle(d) ** 2) / 18);
    return {
      kind: 'paper',
      lines: [
        ['Out of the water', `${minutesOut} min before the break, damp cloth over it`],
        ['Load goes on', beam.side === 'side' ? 'a moulded side' : 'the face as it was cast, on top'],
        ['Gauge', GAP_WORDS[beam.gap]],
        [
          'Load',
          `steady, ${(Math.round(aMinute / 10) * 10).toLocaleString('en-US')} lbf a minute from half of it on`,
        ],
        ['Most', `${load.toLocaleString('en-US')} lbf`],
        ['Break, from the nearer support', `${a.join(', ')} in`],
        ['Width at the break', `${b.join(', ')} in`],
        ['Depth at the break', `${d.join(', ')} in`],
      ],
      ask: 'What is wrong with it?',
      help: '',
      options: Object.entries(FAULTS),
      right: { answer: fault },
      why: `${FAULTS[fault]}. ${HINTS[fault]}`,
    };
  },
);
